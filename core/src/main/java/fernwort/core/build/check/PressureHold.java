package fernwort.core.build.check;

import fernwort.core.say.Refusal;

/**
 * A pressure that was shut in for a while: what temperature alone explains of its change, and what
 * leaked for the rest.
 *
 * <p>The air of accumulators and pockets follows the law of gases: its pressure, counted from
 * nothing, goes with its temperature at one volume. What the rest of the drop let out is by how
 * much that air grew.
 *
 * @param expected gauge pressure that the temperature alone leads to (Pa)
 * @param drop by how much the pressure is below it (Pa)
 * @param leaked water that went meanwhile, with the air there is (m³); 0 where nothing did
 * @param tight whether that is within what a gauge shows
 */
public record PressureHold(double expected, double drop, double leaked, boolean tight) {

  /** Pressure of the air around (Pa). */
  private static final double AIR = 101_325;

  /** A gauge is read no better than this (Pa), and a drop below this share says nothing. */
  private static final double READ = 5e3;

  private static final double SHARE = 0.02;

  /**
   * Judges a test.
   *
   * @param before gauge pressure at its begin (Pa)
   * @param after gauge pressure at its end (Pa)
   * @param warmBefore temperature at its begin (K)
   * @param warmAfter temperature at its end (K)
   * @param air volume of air shut in, at the first pressure (m³)
   * @throws Refusal when there was no pressure to begin with
   */
  public static PressureHold of(
      double before, double after, double warmBefore, double warmAfter, double air) {
    if (!(before > 0 && warmBefore > 0 && warmAfter > 0)) {
      throw new Refusal(Says.BEGIN_WITH_PRESSURE.with());
    }
    double expected = (before + AIR) * warmAfter / warmBefore - AIR;
    double drop = expected - after;
    boolean tight = drop <= Math.max(READ, SHARE * before);
    double grown = air * ((expected + AIR) / (Math.max(0, after) + AIR) - 1);
    return new PressureHold(expected, drop, tight ? 0 : Math.max(0, grown), tight);
  }
}
