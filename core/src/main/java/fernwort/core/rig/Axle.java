package fernwort.core.rig;

/**
 * One axle of the vehicle.
 *
 * @param label what people call it
 * @param x position along the vehicle (m)
 * @param limit the highest permitted load (kg)
 * @param emptyLoad the measured load with empty tanks (kg)
 */
public record Axle(String label, double x, double limit, double emptyLoad) {}
