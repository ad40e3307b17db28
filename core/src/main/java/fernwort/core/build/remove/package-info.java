/**
 * How a part is taken out, and what the rig does meanwhile. The one thing to call is {@link
 * fernwort.core.build.remove.TakeApart}.
 *
 * <pre>{@code
 * TakeApart plan = TakeApart.of(network, state, Set.of(PartId.of("pump")));
 * List<TakeApart.Undo> joints = plan.joints(); // each with what comes out there (m³)
 * }</pre>
 *
 * <p>To change with care: which joints are opened, for the litres at each are drained one after
 * another.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.build.remove;
