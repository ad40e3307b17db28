package fernwort.core.rig;

/**
 * One axle of the vehicle.
 *
 * @param label what people call it
 * @param x position along the vehicle (m)
 * @param limit the highest permitted load (kg); {@link #NOT_KNOWN} where nobody read the plate
 * @param emptyLoad the measured load with empty tanks (kg)
 */
public record Axle(String label, double x, double limit, double emptyLoad) {

  /** A limit that nobody knows, as a file has it (kg). */
  public static final double NOT_KNOWN = 0;

  /** Returns what it may carry (kg); without end where nobody knows. */
  public double bears() {
    return limit > NOT_KNOWN ? limit : Double.POSITIVE_INFINITY;
  }
}
