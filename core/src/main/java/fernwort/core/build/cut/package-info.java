/**
 * How lines are cut from stock with the least waste. The one thing to call is {@link
 * fernwort.core.build.cut.Cutting}.
 *
 * <pre>{@code
 * Cutting.Piece piece = new Cutting.Piece("Heater in", 0.8); // m
 * Cutting cut = Cutting.of(List.of(piece, piece), 2, 0.002); // of sticks of 2 m, by a saw
 * }</pre>
 *
 * <p>Either search may be replaced by a better one; {@code CuttingTest} holds it against every
 * cutting.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.build.cut;
