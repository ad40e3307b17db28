package fernwort.core.say;

/**
 * An amount in a sentence.
 *
 * @param quantity what it measures
 * @param si the value in SI (SI units)
 */
public record Amount(Quantity quantity, double si) implements Message.Piece {

  private static final double ABSOLUTE_ZERO = 273.15;

  /** Returns a volume (m³). */
  public static Amount volume(double volume) {
    return new Amount(Quantity.VOLUME, volume);
  }

  /** Returns a volume that is only known roughly, to the whole litre (m³). */
  public static Amount roughly(double volume) {
    return volume(Math.rint(1000 * volume) / 1000);
  }

  /** Returns a length (m). */
  public static Amount length(double length) {
    return new Amount(Quantity.LENGTH, length);
  }

  /** Returns how high something is lifted (m). */
  public static Amount lift(double height) {
    return new Amount(Quantity.LIFT, height);
  }

  /** Returns a pressure (Pa). */
  public static Amount pressure(double pressure) {
    return new Amount(Quantity.PRESSURE, pressure);
  }

  /** Returns a flow (m³/s). */
  public static Amount flow(double flow) {
    return new Amount(Quantity.FLOW, flow);
  }

  /** Returns a mass (kg). */
  public static Amount mass(double mass) {
    return new Amount(Quantity.MASS, mass);
  }

  /** Returns a time (s). */
  public static Amount time(double seconds) {
    return new Amount(Quantity.TIME, seconds);
  }

  /** Returns a share (1). */
  public static Amount share(double share) {
    return new Amount(Quantity.SHARE, share);
  }

  /** Returns it in metric units, as a person would round it. */
  public String metric() {
    return switch (quantity) {
      case LENGTH -> Scale.MILLIMETRES.show(1000 * si);
      case LIFT -> Scale.CENTIMETRES.show(100 * si);
      case VOLUME -> Scale.LITRES.show(1000 * si);
      case FLOW -> Scale.LITRES_A_MINUTE.show(60_000 * si);
      case PRESSURE -> Scale.BARS.show(si / 1e5);
      case MASS -> Scale.KILOGRAMS.show(si);
      case TEMPERATURE -> Scale.CELSIUS.show(si - ABSOLUTE_ZERO);
      case TIME -> Times.of(si);
      case SHARE -> Scale.PERCENT.show(100 * si);
    };
  }

  @Override
  public String toString() {
    return metric();
  }
}
