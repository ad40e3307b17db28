/**
 * Searches over a graph that is given by numbers, knowing nothing of rigs. The one thing to call is
 * {@link fernwort.core.graph.LowestCrest}; whoever has a graph implements {@link
 * fernwort.core.graph.Arcs}.
 *
 * <pre>{@code
 * Arcs three = Arcs.complete(3);
 * double none = Double.POSITIVE_INFINITY;
 * double[] level = LowestCrest.of(three, arc -> 0.4, new double[] {0.1, none, none});
 * }</pre>
 *
 * <p>Nothing here knows of rigs, and nothing should.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.graph;
