/**
 * How tanks are hung or strapped. The one thing to call is {@link
 * fernwort.core.build.mount.Hanging}.
 *
 * <pre>{@code
 * TankSupport rear =
 *     new TankSupport(PartId.of("low"), TankSupport.Type.STRAP, 0.1, 0.05, 2, 6000, 4000);
 * TankSupport front =
 *     new TankSupport(PartId.of("low"), TankSupport.Type.STRAP, 0.7, 0.05, 2, 6000, 4000);
 * Hanging hanging =
 *     Hanging.of(80, 0.4, 0.1, 0.2, 0.5, List.of(rear, front), Hanging.Moving.USUAL);
 * double each = hanging.loads().getFirst().still(); // N
 * }</pre>
 *
 * <p>May be touched: what is usual. Not: the loads of EN 12195-1.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.build.mount;
