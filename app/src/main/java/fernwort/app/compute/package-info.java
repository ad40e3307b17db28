/**
 * Bounds on computing, so that nobody waits for ever and one rig does not hold up the others: a
 * time limit around every request, one heavy request at a time for each rig, and as many in all as
 * there are processors.
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.compute;
