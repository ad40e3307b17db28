/**
 * What would go wrong: warnings for a state, each with what would happen, why, and what to do.
 *
 * <p>Every {@link fernwort.core.hazard.Check} looks at one sort of danger in a {@link
 * fernwort.core.hazard.Scene}, which holds the open ways and asks no more of the rig than they do.
 * What is wrong whatever the handles (a check valve facing the wrong way) is found once per rig.
 * What goes wrong only later, when a tank being filled is full, is told at once. What the open ways
 * cannot tell, such as whether the mains' pressure really holds a pump off, is asked of the solved
 * flow ({@link fernwort.core.hazard.FlowCheck}).
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.hazard;
