/**
 * What a job is, what has to hold for it, and the one who tells whether it does, {@link
 * fernwort.core.jobs.goal.ConditionEvaluator}.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.jobs.goal;
