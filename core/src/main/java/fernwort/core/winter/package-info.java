/**
 * What stays in a rig that is drained, the ways through the winter, and spring. The one thing to
 * call is {@link fernwort.core.winter.WinterizingMethods}.
 *
 * <p>Water at a point leaves when two ways without a common part lead from it: one down to an
 * opening, never rising above it, and one from another opening by which air comes ({@link
 * fernwort.core.drain.Draining}). A winter is a list of acts, done to the rig one after another
 * ({@link fernwort.core.winter.sheets.Operation}); a school writes them down while it does them
 * ({@link fernwort.core.winter.WinterizingMethods}), and done again from the start they give the
 * same. The model and its estimates: docs/cold.md.
 *
 * <pre>{@code
 * Wintering inUse = Filled.of(network, state);
 * List<WinterPlan> ways = WinterizingMethods.of(plans).all(inUse, WinterWish.USUAL);
 * }</pre>
 *
 * <p>A new way through the winter is a constant of {@code WinterizingMethod} and what it does in
 * {@code WinterizingMethods}.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.winter;
