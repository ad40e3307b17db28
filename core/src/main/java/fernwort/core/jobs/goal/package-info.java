/**
 * What a job is, what has to hold for it, and the one who tells whether it does, {@link
 * fernwort.core.jobs.goal.ConditionEvaluator}. The one thing to call is {@link
 * fernwort.core.jobs.goal.Job}.
 *
 * <pre>{@code
 * List<Job.Stage> stages = job.stages();
 * boolean moves = stages.stream().anyMatch(s -> !s.goal().needs().isEmpty());
 * }</pre>
 *
 * <p>A new thing to ask for is a {@code Condition} of its own, with the {@code Objection} that it
 * names and what mends that in {@code jobs.plan.Targets}.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.jobs.goal;
