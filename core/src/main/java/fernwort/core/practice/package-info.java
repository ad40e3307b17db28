/**
 * Practice: jobs of a rig from handles that somebody may have left, drawn at random.
 *
 * <pre>{@code
 * Optional<Drill> drill = Drills.of(network, plans, jobs).draw(state, 2, new Random());
 * }</pre>
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.practice;
