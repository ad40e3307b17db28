/**
 * Emptying a rig: which handles and caps in which order, and which water stays all the same.
 *
 * <p>Water that cannot leave is found by flooding inwards from every open drain: the level that
 * stays at a point is the lowest crest over all ways from it to a drain, a minimax path (priority
 * flood, Barnes, Lehman and Mulla 2014). The order of handles is a first version: the way of least
 * crest for each tank, then whatever single handle lets most water out, until none does.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.cold;
