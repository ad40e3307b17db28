/**
 * Putting a rig together: ends that fit, holes, supports, lists, taking apart and putting back.
 *
 * <p>Each question is a class of its own that asks the rig and nothing else. Chains of adapters are
 * shortest ways in the graph of what mates with what (breadth first, found once for each pair of
 * ends); loads on supports are those of a rigid body on equal springs; sticks are cut by branch and
 * bound; the assembly check is a smallest set of trials in which every single mistake shows. What
 * decides something and was not described is usual for its kind, and marked so.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.build;
