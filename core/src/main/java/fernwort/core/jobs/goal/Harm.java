package fernwort.core.jobs.goal;

import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.say.Message;
import java.util.Optional;

/**
 * What went wrong when a plan was run.
 *
 * @param kind what sort of thing
 * @param part id of the part it happened to
 * @param seconds when (s)
 * @param words what, as a sentence
 * @param fix what to do about it, as a sentence
 * @param hazard the danger that began then, where it is one that no run shows
 */
public record Harm(
    Kind kind, PartId part, double seconds, Message words, Message fix, Optional<Warning> hazard) {

  /**
   * What the run itself shows.
   *
   * @param seconds when (s)
   */
  public Harm(Kind kind, PartId part, double seconds, Message words, Message fix) {
    this(kind, part, seconds, words, fix, Optional.empty());
  }

  /** The sorts. */
  public enum Kind {
    /** The air in a tank was pressed or thinned beyond its limit. */
    STRAINED,
    /** A pump drew air. */
    DREW_AIR,
    /** Water left at an end. */
    LOST,
    /** A tank gained what the job has nothing to do with. */
    GAINED,
    /** A tank lost what the job has nothing to do with. */
    DRAINED,
    /** Water came where it must not. */
    SPOILT,
    /** Waste came back up. */
    BACKED_UP,
    /** No water came where it should. */
    NO_WATER,
    /** What was waited for did not happen. */
    NOT_REACHED
  }
}
