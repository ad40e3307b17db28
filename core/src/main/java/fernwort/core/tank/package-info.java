/**
 * Volume and level of a tank of any shape at any tilt.
 *
 * <p>Every shape becomes closed polyhedra. The volume under a plane is found without building the
 * cut face: each face is clipped to the half space below the plane (Sutherland and Hodgman 1974)
 * and the signed tetrahedra from a point <em>on</em> the plane to the clipped faces are added, so
 * that the missing cut face would add nothing. That is exact for flat faces, linear in their number
 * and allocates a few small arrays. Round walls are 64-sided, scaled to the circle's area. The
 * inverse, level from volume, is bracketed root finding (Brent, by Hipparchus); on level ground
 * both come from a curve of exact cubics made once per tank.
 *
 * <p>Water in the lobes of a straddling tank is taken to be levelled with each other where each has
 * an opening for it; a lobe without one strands what lies below the lowest way out of it, and air
 * stays where no vent lets it out (see {@code Lobes}).
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.tank;
