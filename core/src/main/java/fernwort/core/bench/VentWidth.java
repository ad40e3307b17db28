package fernwort.core.bench;

import fernwort.core.flow.Fluid;
import fernwort.core.flow.Pipe;
import java.util.List;
import java.util.Optional;

/**
 * What a tank bears through a vent of some bore: air leaves while it fills, and water once it is
 * full and somebody is late to the tap; then the tank bears the rise and what the water loses on
 * its way.
 *
 * @param bore inside diameter of the vent (m)
 * @param withAir pressure in the tank while air leaves (Pa)
 * @param withWater pressure in the tank once water leaves (Pa)
 * @param verdict what comes of it
 */
public record VentWidth(double bore, double withAir, double withWater, Verdict verdict) {

  /** Inside diameters that vents are laid in (m), the narrowest first. */
  public static final List<Double> BORES =
      List.of(0.008, 0.010, 0.013, 0.016, 0.019, 0.025, 0.032, 0.038, 0.050, 0.065, 0.080, 0.100);

  /** Three elbows, the entrance and the free end. */
  private static final double COEFFICIENT =
      3 * Obstacle.ELBOW.coefficient()
          + Obstacle.ENTRANCE.coefficient()
          + Obstacle.FREE_END.coefficient();

  /** What comes of a vent. */
  public enum Verdict {
    HOLDS,
    ONLY_AIR,
    TOO_NARROW
  }

  /**
   * Reckons the usual bores.
   *
   * @param length of the vent (m)
   * @param rise of its crest over the tank's top (m)
   * @param filling what fills the tank (m³/s)
   * @param limit what the tank bears (Pa)
   */
  public static List<VentWidth> of(double length, double rise, double filling, double limit) {
    return BORES.stream()
        .map(bore -> {
          double air = Fluid.AIR.pressure(pipe(bore, length, Fluid.AIR).loss(filling));
          double water = Fluid.WATER.pressure(rise + pipe(bore, length, Fluid.WATER).loss(filling));
          return new VentWidth(bore, air, water, verdict(air, water, limit));
        })
        .toList();
  }

  /** Returns the narrowest that holds, of bores in order; empty where none does. */
  public static Optional<VentWidth> narrowest(List<VentWidth> bores) {
    return bores.stream().filter(b -> b.verdict() == Verdict.HOLDS).findFirst();
  }

  private static Verdict verdict(double air, double water, double limit) {
    if (water <= limit) {
      return Verdict.HOLDS;
    }
    return air <= limit ? Verdict.ONLY_AIR : Verdict.TOO_NARROW;
  }

  private static Pipe pipe(double bore, double length, Fluid fluid) {
    return Pipe.of(bore, length, PiecedLine.ROUGHNESS, COEFFICIENT, fluid);
  }
}
