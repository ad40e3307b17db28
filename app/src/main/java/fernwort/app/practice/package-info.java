/**
 * Practice as people meet it: a job from handles somebody may have left, done on a copy that
 * touches no rig. What was done stands in the address, so that a step back is the browser's.
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.practice;
