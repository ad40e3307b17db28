package fernwort.core.advice;

import fernwort.core.hazard.Severity;
import fernwort.core.jobs.goal.Job;
import fernwort.core.say.Message;
import java.util.Optional;

/**
 * One thing to do next.
 *
 * @param grade how bad it is to leave it
 * @param words what to do and why, in a sentence
 * @param days until it has to be done (days)
 * @param job the job that does it, where one can be done as things are
 */
public record Advice(Severity grade, Message words, double days, Optional<Job> job) {}
