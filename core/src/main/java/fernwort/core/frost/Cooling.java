package fernwort.core.frost;

import java.util.OptionalDouble;

/**
 * Something that holds water, well mixed, in air: m·c·dT/dt = UA·(T_air − T) + P.
 *
 * @param volume water in it (m³)
 * @param conductance UA, heat lost for each kelvin (W/K)
 * @param heating P, what heats it (W)
 */
public record Cooling(double volume, double conductance, double heating) {

  /**
   * Returns a metre of pipe.
   *
   * @param film heat passed from its surface to the air (W/(m² K))
   */
  public static Cooling pipe(PipeWall pipe, double film) {
    return new Cooling(pipe.section(), 1 / pipe.resistance(film), 0);
  }

  /** Returns the rate at which it follows the air (1/s). */
  double rate() {
    return conductance / ColdWater.heat(volume);
  }

  /** Returns the temperature at which it would settle in air of a temperature (K). */
  public double settles(double air) {
    return air + (heating > 0 ? heating / conductance : 0);
  }

  /**
   * Returns the time until it is at a temperature in air that stays as it is (s), if it ever is.
   *
   * @param start temperature now (K)
   * @param air temperature of the air (K)
   * @param goal the temperature (K), no higher than the start
   */
  public OptionalDouble until(double start, double air, double goal) {
    double end = settles(air);
    if (start <= goal) {
      return OptionalDouble.of(0);
    }
    return end >= goal
        ? OptionalDouble.empty()
        : OptionalDouble.of(Math.log((start - end) / (goal - end)) / rate());
  }

  /**
   * Returns the time from 0 °C until a share of it is ice in air that stays as it is (s), if it
   * ever is.
   *
   * @param air temperature of the air (K)
   * @param share of the water (0 to 1)
   */
  public OptionalDouble untilIce(double air, double share) {
    double loss = conductance * (ColdWater.ZERO - air) - heating;
    return loss <= 0
        ? OptionalDouble.empty()
        : OptionalDouble.of(ColdWater.freezing(volume, share) / loss);
  }

  /**
   * Returns the heating that holds it at a temperature in air of another (W).
   *
   * @param temperature of the water (K)
   * @param air temperature around it (K)
   */
  public double holds(double temperature, double air) {
    return Math.max(0, conductance * (temperature - air));
  }
}
