/**
 * What a rig is: a vehicle with places, the parts in those places, the lines that join their ports,
 * and the setting of everything a hand can move.
 *
 * <p>This is the data model alone, immutable and validated when it is made; what follows from it
 * (open ways, litres, hazards) is computed in the sibling packages. Lengths are in metres, volumes
 * in cubic metres, pressures in pascals above the atmosphere, flows in cubic metres a second,
 * masses in kilograms. The vehicle frame has x forward, y left and z up, its origin on the ground
 * under the rear axle.
 *
 * <p>What a part is stands in {@link fernwort.core.kind}. A broken rig cannot exist: {@link
 * fernwort.core.rig.Rig} reports every fault of a description at once.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.rig;
