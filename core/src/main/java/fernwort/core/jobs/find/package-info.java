/**
 * Which jobs a rig can do: the one thing to call is {@link fernwort.core.jobs.find.Jobs}.
 *
 * <pre>{@code
 * Jobs jobs = Jobs.of(network);
 * List<Job> all = jobs.all();
 * List<Jobs.Cannot> cannot = jobs.cannot(); // with what would make it possible
 * }</pre>
 *
 * <p>A new sort of job is a finder of its own and a line in {@code Jobs}.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.jobs.find;
