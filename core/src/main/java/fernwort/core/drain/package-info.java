/**
 * Where water stands in a rig and what of it runs out by itself: the one law of draining, which
 * plans, review, frost and winter ask. The one thing to call is {@link
 * fernwort.core.drain.Draining}.
 *
 * <p>Water at a point leaves when two ways without a common part lead from it: one down to an
 * opening, never rising above it, and one from another opening by which air comes. The model and
 * its estimates: docs/cold.md.
 *
 * <pre>{@code
 * Wintering full = Filled.of(network, state.with(PartId.of("cold-drain"), PositionId.of("off")));
 * Wintering left = Draining.of(network, full);
 * double before = rig.lines().stream().mapToDouble(full.wetness()::volume).sum();
 * double stays = rig.lines().stream().mapToDouble(left.wetness()::volume).sum(); // m³
 * }</pre>
 *
 * <p>To change with care: anything, for plans, review, frost and winter all change with it; {@code
 * DrainingLawsTest} and {@code OneLawOfDrainingTest} say what holds.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.drain;
