/**
 * Steady flow in any network of junctions, reservoirs and links, knowing nothing of rigs.
 *
 * <p>Unknown are the heads at the junctions and the flows in the links. Both are found together by
 * Newton's method on the energy equation of every link and the balance at every junction, which
 * comes down to one sparse symmetric system for the heads in each step: the global gradient
 * algorithm (Todini and Pilati 1988). The loss of every link rises with its flow, so the solution
 * minimises a strictly convex function of the flows and is the only one; where full steps do not
 * settle, a line search along that function makes every step a descent (Collins et al. 1978).
 *
 * <p>One-way links are links whose loss against their direction is so steep that nothing passes.
 * Links that hold a pressure, which is no loss law of their own flow, are found around the rest by
 * Newton steps on what they must take away.
 *
 * <p>Losses are Darcy and Weisbach's with the friction factor of Colebrook and White (1939). Cost
 * is a few steps of near-linear work, for plumbing is nearly a tree and fills in hardly at all when
 * eliminated in the order of least degree.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.flow;
