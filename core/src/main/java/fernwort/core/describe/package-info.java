/**
 * Describing a rig step by step, without drawing: each step takes a sound rig and gives a sound one
 * or says in one sentence why it cannot.
 *
 * <p>A step is a pure function, so that undo is keeping the rig from before, a fix that a review
 * proposes can be tried before it is applied, and nothing half-made can be stored. Steps cost O(n)
 * in parts and lines, mostly for the check of the new rig.
 *
 * <p>{@link fernwort.core.demo.ReadyRig} holds the layouts to start from.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.describe;
