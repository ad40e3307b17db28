/**
 * Where water stands in a rig that is drained, and what is left of it: the one thing to call is
 * {@link fernwort.core.winter.water.Draining}.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.winter.water;
