/**
 * A rig as water meets it: ports, passages between them, heights.
 *
 * <p>A rig is compiled once ({@link fernwort.core.network.Network}) into ports as small integers. A
 * setting then becomes a directed graph of open passages ({@link fernwort.core.network.OpenGraph}):
 * check valves and regulators one way, running pumps one way, pumps at rest as their type allows,
 * caps and shut valves not at all. Both are plain arrays, for every search of a plan walks them
 * some hundred thousand times; what is asked once per rig may take a graph library instead.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.network;
