/**
 * What the water weighs on axles and drawbar, and in which order to draw the tanks.
 *
 * <p>Statics of a rigid vehicle on level ground: each tank's water acts at its centre of mass and
 * is shared between two supports by the lever rule. Axles that stand together count as one support
 * at their middle, which carries what they carry in equal parts; with a hitch, all axles do. Every
 * order of drawing is tried, n! of them; six tanks make 720.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.load;
