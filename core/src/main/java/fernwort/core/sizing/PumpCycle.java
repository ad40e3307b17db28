package fernwort.core.sizing;

import fernwort.core.kind.machine.Pump;

/**
 * How often a pump starts while a tap runs that takes less than the pump gives.
 *
 * <p>While the pump runs it fills what gives way between cut-in and cut-out, while it rests the tap
 * empties it. What gives way is an accumulator's air, after Boyle's law, or the little by which
 * hoses stretch.
 */
public final class PumpCycle {

  /** Water by which a few metres of hose give way between the two pressures; our estimate (m³). */
  public static final double HOSES = 25e-6;

  private static final double ATMOSPHERE = 101_325;

  private PumpCycle() {}

  /**
   * Returns the water that an accumulator takes up between cut-in and cut-out (m³).
   *
   * @param pump the pump
   * @param volume volume of the vessel (m³)
   * @param precharge its air pressure without water (Pa)
   */
  public static double takesUp(Pump pump, double volume, double precharge) {
    double air = volume * (precharge + ATMOSPHERE);
    double low = Math.max(precharge, pump.cutIn()) + ATMOSPHERE;
    double high = Math.max(precharge, pump.cutOut()) + ATMOSPHERE;
    return air / low - air / high;
  }

  /**
   * Returns the starts per minute; 0 when the pump runs through.
   *
   * @param pump the pump
   * @param drawn what the tap takes (m³/s)
   * @param gives what gives way between the two pressures (m³)
   */
  public static double perMinute(Pump pump, double drawn, double gives) {
    double mean = (pump.cutIn() + pump.cutOut()) / 2;
    double pumped = flowAt(pump, mean);
    if (drawn <= 0 || drawn >= flowAt(pump, pump.cutOut())) {
      return 0;
    }
    return 60 / (gives / (pumped - drawn) + gives / drawn);
  }

  private static double flowAt(Pump pump, double pressure) {
    return Math.max(0, pump.freeFlow() * (1 - pressure / pump.shutOffPressure()));
  }
}
