package fernwort.core.practice;

import fernwort.core.jobs.goal.Job;
import fernwort.core.rig.State;

/**
 * A job to be practised.
 *
 * @param from how handles and levels are
 * @param best how many turns it takes (1)
 */
public record Drill(Job job, State from, int best) implements Exercise {}
