package fernwort.core.kind;

/** What a part is there for in the water of a rig; one may have several. */
public enum Purpose {
  /** Water comes from it. */
  SOURCE,
  /** Water ends at it: it is used, kept or let out there. */
  END,
  /** Water stands in it. */
  HOLDS,
  /** People take water from it. */
  USE,
  /** What comes down its line leaves by it: the end of a drain, overflow or dump line. */
  OUTLET,
  /** It drives water on. */
  DRIVES,
  /** It keeps taps under pressure. */
  SUPPLIES,
  /** It heats water. */
  HEATS
}
