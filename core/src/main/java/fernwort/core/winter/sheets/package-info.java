/**
 * What a way through the winter is made of: acts, steps, and what is left. The one thing to call is
 * {@link fernwort.core.winter.sheets.WinterPlan}.
 *
 * <pre>{@code
 * List<ResidualWater> stays = ResidualWater.of(network, state, Set.of(), true); // most first
 * }</pre>
 *
 * <p>A new thing to do is an {@code Operation}; done again from the start a sheet gives the same.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.winter.sheets;
