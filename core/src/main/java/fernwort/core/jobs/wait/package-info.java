/**
 * What happens while one waits within a job, by running it. The one thing to call is {@link
 * fernwort.core.jobs.wait.Waits}.
 *
 * <pre>{@code
 * boolean over = Marks.isReached(network, state, job, until);
 * }</pre>
 *
 * <p>May be touched: words and marks of a wait. Not: that its minutes come from a run.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.jobs.wait;
