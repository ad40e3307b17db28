/**
 * Which ways are open: for any setting and levels, every way from a source to an end, what drives
 * it and through which parts; each tank's way for air; and the parts in which nothing can move.
 *
 * <p>Each source's head is swept over the graph of open passages ({@link
 * fernwort.core.ways.HeadReach}): a passage is taken while the head stands above its crest, so
 * mains and pumps lift water over what they can and a fall goes no higher than its surface. That is
 * a widest-path search and costs one pass over the passages per source.
 *
 * <p>A way that a pump drives has a suction side and a delivery side that must not share a port,
 * for otherwise the pump only stirs; where the two sides meet, the simple suction paths are tried
 * one by one. Parallel branches of a way are found and given their direction by ear decomposition
 * (Whitney 1932), so that "moving" means on some simple path from source to end.
 *
 * <p>What a passage carries in litres a minute is the business of {@link fernwort.core.hydraulics},
 * not of this search.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.ways;
