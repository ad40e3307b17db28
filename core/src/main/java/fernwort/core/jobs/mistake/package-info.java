/**
 * What comes of a step left out, taken early or at the wrong handle: the one thing to call is
 * {@link fernwort.core.jobs.mistake.Slips}.
 *
 * <pre>{@code
 * List<Slip> slips = Slips.of(network, plans).of(job, state); // the worst first
 * }</pre>
 *
 * <p>A new sort of slip is a constant of {@code Slip.Kind} and its way to be done in {@code Slips}.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.jobs.mistake;
