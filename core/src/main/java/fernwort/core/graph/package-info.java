/**
 * Searches over a graph that is given by numbers, knowing nothing of rigs. The one thing to call is
 * {@link fernwort.core.graph.LowestCrest}; whoever has a graph implements {@link
 * fernwort.core.graph.Arcs}.
 *
 * <pre>{@code
 * Arcs three = Arcs.complete(3);
 * double over = 0.4;          // each way passes 0.4 m
 * double none = Double.POSITIVE_INFINITY;
 * LowestCrest.of(three, arc -> over, new double[] {0.1, none, none});   // 0.1, 0.4, 0.4
 * }</pre>
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.graph;
