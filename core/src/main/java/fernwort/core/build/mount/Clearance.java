package fernwort.core.build.mount;

import fernwort.core.rig.Vehicle;

/**
 * What lies between a tank and the road, and between it and the floor.
 *
 * @param lowest its lowest point over the ground, loaded and on its springs (m)
 * @param spare what it hangs above the lowest permitted line (m); below 0 it hangs too low
 * @param above from its top to the floor (m); below 0 it does not hang under it
 */
public record Clearance(double lowest, double spare, double above) {

  /**
   * Reckons a tank's clearance.
   *
   * @param bottom its outside bottom over the ground, empty (m)
   * @param top its outside top (m)
   * @param under what carries it below its bottom (m)
   * @param sinks how far the vehicle sinks with everything aboard (m)
   */
  public static Clearance of(
      Vehicle vehicle, double bottom, double top, double under, double sinks) {
    double lowest = bottom - under - sinks;
    return new Clearance(lowest, lowest - vehicle.clearance(), vehicle.floor() - top);
  }
}
