package fernwort.core.kind;

/** What water that freezes in the body of a part does to it. */
public enum Frost {
  /** A little of it cracks it: the body is narrow. */
  CRACKS,
  /** It cracks where it is full; beside a little of it there is air for ice to grow into. */
  CRACKS_WHEN_FULL,
  /** What it does to the line there. */
  AS_ITS_LINE,
  /** It is open above: ice lifts, and spoils at the most what lies in it. */
  LIFTS,
  /** Nothing that is looked at here: it is carried indoors, or judged as a tank. */
  NOTHING
}
