package fernwort.core.advice;

import fernwort.core.hazard.Severity;
import fernwort.core.jobs.goal.Job;
import fernwort.core.say.Message;
import java.util.Optional;

/**
 * One thing to do next.
 *
 * @param what what sort of thing
 * @param grade how bad it is to leave it
 * @param words what to do and why, in a sentence
 * @param job the job that does it, where one can be done as things are
 */
public record Advice(What what, Severity grade, Message words, Optional<Job> job) {

  /** The sorts of thing, in the order in which they are done where they matter alike. */
  public enum What {
    /** A job was begun, and not ended. */
    GO_ON,
    /** Something freezes tonight, and may burst. */
    KEEP_FROM_FROST,
    /** Gray goes before fresh: what is filled in has to go somewhere. */
    DUMP,
    FILL,
    /** Something has to be looked after. */
    MAINTAIN
  }
}
