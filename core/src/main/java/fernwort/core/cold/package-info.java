/**
 * What stays in a rig that has run out.
 *
 * <p>Water that cannot leave is found by flooding inwards from every open drain: the level that
 * stays at a point is the lowest crest over all ways from it to a drain, a minimax path (priority
 * flood, Barnes, Lehman and Mulla 2014). Which handles let it out is a job like any other ({@link
 * fernwort.core.jobs.EmptyingJob}).
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.cold;
