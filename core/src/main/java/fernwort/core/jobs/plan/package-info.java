/**
 * How a job is done, turn by turn: the one thing to call is {@link fernwort.core.jobs.plan.Plans}.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.jobs.plan;
