package fernwort.core.jobs.mistake;

import fernwort.core.say.Message;

/**
 * One slip in a job and what follows from it.
 *
 * @param kind what sort of slip
 * @param step number of the step it happens at, from 0; −1 for the whole job
 * @param words what is done wrong, as a sentence
 * @param grade how bad it is
 * @param after when the worst begins, from the slip on (s)
 * @param lost water that is lost (m³)
 * @param leads what it leads to, as a sentence
 * @param undone whether and how it can be undone
 */
public record Slip(
    Kind kind,
    int step,
    Message words,
    Grade grade,
    double after,
    double lost,
    Message leads,
    String undone) {

  /** The sorts of slip. */
  public enum Kind {
    MISSED,
    TOO_FAR,
    SWAPPED,
    NEIGHBOUR,
    POWER_LOST,
    TAP_OPEN,
    OVERRUN,
    BUMPED
  }

  /** How bad it is, the worst first. */
  public enum Grade {
    /** Something breaks, or somebody drinks what they should not. */
    GRAVE,
    /** Water is lost, or comes where it should not. */
    BAD,
    /** The job does not get done. */
    NUISANCE,
    /** Nothing happens. */
    HARMLESS
  }
}
