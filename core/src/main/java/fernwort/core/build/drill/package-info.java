/**
 * Where holes go, on sheets to drill by. The one thing to call is {@link
 * fernwort.core.build.drill.Penetration}.
 *
 * <pre>{@code
 * List<Penetration> holes = Penetration.of(rig);
 * }</pre>
 *
 * <p>May be touched: papers and marks. Not: that a template prints at true size.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.build.drill;
