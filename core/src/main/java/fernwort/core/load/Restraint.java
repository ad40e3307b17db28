package fernwort.core.load;

import fernwort.core.say.Refusal;

/**
 * What holds a load when the vehicle brakes and swerves.
 *
 * <p>Design accelerations of EN 12195-1:2010 for road transport unless the user's own code says
 * otherwise. Friction is not counted, so the answer is on the safe side.
 *
 * @param load force at the design acceleration (N)
 * @param holds what the lashings hold in that direction (N)
 */
public record Restraint(double load, double holds) {

  /** Forwards, under braking (m/s² over g). */
  public static final double FORWARD = 0.8;

  /** Sideways and backwards (m/s² over g). */
  public static final double SIDEWAYS = 0.5;

  private static final double GRAVITY = 9.80665;

  /** Keeps a load that lashings just hold from asking for one more. */
  private static final double ROUNDING = 1e-9;

  /**
   * Weighs lashings against a load.
   *
   * @param mass full mass (kg)
   * @param acceleration design acceleration as a multiple of free fall (1)
   * @param lashings how many hold in that direction
   * @param rating lashing capacity of each, straight (N)
   * @param angle between a lashing and the direction (degrees)
   */
  public static Restraint of(
      double mass, double acceleration, int lashings, double rating, double angle) {
    if (!(angle >= 0 && angle < 90)) {
      throw new Refusal(Says.A_LASHING_MUST_RUN_AT_0.with());
    }
    return new Restraint(
        mass * acceleration * GRAVITY, lashings * rating * Math.cos(Math.toRadians(angle)));
  }

  /** Tells whether the lashings hold. */
  public boolean enough() {
    return holds >= load;
  }

  /** Returns how many lashings like these it takes. */
  public int needed(int lashings) {
    return (int) Math.ceil(lashings * load / holds - ROUNDING);
  }
}
