/** A rig on the road: drives as stretches of pull and tilt, and what they make it lose. */
@org.jspecify.annotations.NullMarked
package fernwort.core.road;
