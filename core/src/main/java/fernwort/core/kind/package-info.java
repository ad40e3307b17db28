/**
 * What a part is: each kind, in a file of its own in {@link fernwort.core.kind.line}, {@link
 * fernwort.core.kind.machine} or {@link fernwort.core.kind.end}, declares what water, a hand, frost
 * and the workbench meet in it. Others ask the declaration and need not know the kind.
 *
 * <p>The one thing to call is {@link fernwort.core.kind.Kind}; {@link
 * fernwort.core.kind.list.Kinds} lists them. Lengths are in metres, volumes in cubic metres,
 * pressures in pascals above the atmosphere, flows in cubic metres a second.
 *
 * <pre>{@code
 * Kind check = new CheckValve(2_000);
 * List<Link> one = check.links(PositionId.NONE); // one way, from in to out, once 2 kPa press
 * boolean checks = check.is(Purpose.CHECKS);
 * Frost frost = check.frost(); // it cracks
 * }</pre>
 *
 * <p>To change with care: what most kinds share as a default; a wrong one must never be dangerous.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.kind;
