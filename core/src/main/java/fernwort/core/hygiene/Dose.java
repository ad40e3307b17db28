package fernwort.core.hygiene;

/**
 * Chlorine that sanitizes a tank with its lines.
 *
 * <p>mL = litres · (mg/L) ÷ (10 · (g per 100 mL)). Each change of water leaves what is stranded, so
 * that the concentration falls by left/litres each time.
 *
 * @param bleach what goes in (m³)
 * @param changes how often the tank is drained and filled until no more than {@link #REST} is added
 *     to what the water brings
 */
public record Dose(double bleach, int changes) {

  /** What may be left (kg/m³, which is g/L): 0.5 mg/L. */
  public static final double REST = 0.5e-3;

  /** More changes than this help nobody: the tank does not drain. */
  public static final int MOST = 20;

  /** What sanitizes, unless the product's label or local rules say otherwise (kg/m³): 50 mg/L. */
  private static final double CONCENTRATION = 0.05;

  /** Plain household bleach, available chlorine: 6 g per 100 mL (kg/m³). */
  private static final double BLEACH = 60;

  /**
   * Returns the usual dose that sanitizes so much water (m³), each drain leaving some (m³).
   *
   * @param volume water to be treated (m³)
   * @param left chlorine already in it (kg/m³)
   */
  public static Dose sanitizing(double volume, double left) {
    return of(volume, CONCENTRATION, BLEACH, left);
  }

  /**
   * Returns the dose.
   *
   * @param volume clean water to be brought to a concentration (m³)
   * @param concentration chlorine in it (kg/m³)
   * @param strength available chlorine in the bleach (kg/m³): 60 for 6 g per 100 mL
   * @param left water that each drain leaves (m³)
   */
  public static Dose of(double volume, double concentration, double strength, double left) {
    double bleach = volume * concentration / strength;
    double now = concentration;
    int changes = 0;
    while (now > REST && changes < MOST) {
      now *= Math.min(1, left / volume);
      changes++;
    }
    return new Dose(bleach, changes);
  }
}
