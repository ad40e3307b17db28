/**
 * To which level water stays in the lines when what is open has run, and by which drain each part
 * of a rig runs dry. Flooding inwards from the drains with a queue, O(E log V).
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.drain;
