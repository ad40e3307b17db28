/**
 * The rig run in time.
 *
 * <p>Between events the levels follow the steady flow of the moment (a slow change beside the speed
 * at which flow settles), integrated by Heun's method with a step that the difference of its two
 * slopes chooses. Events are found in volume, not in time: a port is covered when its tank holds so
 * much, which the shape of the tank says exactly, so a step is cut where the parabola that Heun's
 * method draws meets that volume. Air that is shut in gives way within a step, to what flows at its
 * end (the trapezoidal rule, linearly implicit in the air), which keeps stiff air from swinging.
 * What a line ran full of stays in it, so that a siphon goes on below its crest; the air in a tank
 * whose vents are shut keeps its p·V.
 *
 * <p>Water is conserved, for every volume changes by flows that balance at every junction. Nothing
 * is stepped through while nothing moves, so hours of rest cost nothing.
 *
 * <p>A pump that its switch turns on and off is taken at its mean; its starts are counted by {@link
 * fernwort.core.sizing.PumpCycle}'s rule and not stepped through one by one.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.run;
