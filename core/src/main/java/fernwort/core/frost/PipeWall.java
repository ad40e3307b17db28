package fernwort.core.frost;

/**
 * A round pipe as heat meets it, from the water out.
 *
 * @param bore inner diameter (m)
 * @param wall wall thickness (m)
 * @param conductivity of the wall (W/(m K))
 * @param insulation thickness round it (m), 0 for none
 */
public record PipeWall(double bore, double wall, double conductivity, double insulation) {

  /** Of closed-cell foam (W/(m K)). */
  public static final double FOAM = 0.037;

  /** Returns the outer diameter, insulation and all (m). */
  public double outside() {
    return bore + 2 * wall + 2 * insulation;
  }

  /** Returns the area of its bore (m²). */
  public double section() {
    return Math.PI / 4 * bore * bore;
  }

  /**
   * Returns the thermal resistance of a metre: R′ = ln(r₂/r₁)/(2πk_wall) + ln(r₃/r₂)/(2πk_ins) +
   * 1/(2πr₃h) (m K/W).
   *
   * @param film heat transfer of the air round it (W/(m² K))
   */
  public double resistance(double film) {
    double inner = bore / 2;
    double middle = inner + wall;
    double outer = middle + insulation;
    return Math.log(middle / inner) / (2 * Math.PI * conductivity)
        + Math.log(outer / middle) / (2 * Math.PI * FOAM)
        + 1 / (2 * Math.PI * outer * film);
  }
}
