/**
 * What comes of a step left out, taken early or at the wrong handle: the one thing to call is
 * {@link fernwort.core.jobs.mistake.Slips}.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.jobs.mistake;
