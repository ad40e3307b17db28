/**
 * How a job is done, turn by turn: the one thing to call is {@link fernwort.core.jobs.plan.Plans}.
 *
 * <pre>{@code
 * Plan plan = plans.plan(job, state);
 * boolean can = plan.trouble().isEmpty(); // else it says what stands in the way
 * State then = plan.after(); // for it was run
 * }</pre>
 *
 * <p>May be touched: the order in which turns are tried. Not: that every plan is run before it is
 * shown.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.jobs.plan;
