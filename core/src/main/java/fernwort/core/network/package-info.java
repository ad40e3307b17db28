/**
 * A rig as water meets it: ports, passages between them, heights. The one thing to call is {@link
 * fernwort.core.network.Network}.
 *
 * <p>A rig is compiled once ({@link fernwort.core.network.Network}) into ports as small integers. A
 * setting then becomes a directed graph of open passages ({@link fernwort.core.network.OpenGraph}):
 * check valves and regulators one way, running pumps one way, pumps at rest as their type allows,
 * caps and shut valves not at all. Both are plain arrays, for every search of a plan walks them
 * some hundred thousand times; what is asked once per rig may take a graph library instead.
 *
 * <pre>{@code
 * Network compiled = Network.of(rig);
 * OpenGraph open = new OpenGraph(compiled, state.setting()); // what stands open
 * Levels levels = Levels.of(compiled, state); // how high everything is, on the slope
 * double surface = levels.surface(PartId.of("main")); // m
 * }</pre>
 *
 * <p>To change with care: the order of numbers, for plain arrays all over core are indexed by them.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.network;
