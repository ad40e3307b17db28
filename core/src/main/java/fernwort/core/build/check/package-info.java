/**
 * Whether a rig was put together as planned, and holds its pressure. The one thing to call is
 * {@link fernwort.core.build.check.AssemblyCheck}.
 *
 * <pre>{@code
 * List<PortRef> joints = Undoing.joints(rig, Set.of(PartId.of("pump")));
 * AssemblyCheck check = AssemblyCheck.of(plans, joints);
 * }</pre>
 *
 * <p>May be touched: how trials are chosen. Not: that each is a setting without a danger.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.build.check;
