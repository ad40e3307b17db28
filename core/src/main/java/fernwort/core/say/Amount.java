package fernwort.core.say;

import java.util.Locale;

/**
 * An amount in a sentence.
 *
 * @param quantity what it measures
 * @param si the value in SI
 */
public record Amount(Quantity quantity, double si) implements Saying.Piece {

  private static final double ROUGH = 10;

  /** Pressures below this are told in smaller units (Pa). */
  private static final double FAINT = 1e4;

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

  /** Returns a pressure (Pa). */
  public static Amount pressure(double pressure) {
    return new Amount(Quantity.PRESSURE, pressure);
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
      case LENGTH -> rounded(1000 * si, 0) + " mm";
      case VOLUME -> litres(1000 * si);
      case FLOW -> rounded(60_000 * si, 1) + " L/min";
      case PRESSURE ->
          Math.abs(si) < FAINT ? rounded(si / 100, 1) + " mbar" : rounded(si / 1e5, 1) + " bar";
      case MASS -> rounded(si, Math.abs(si) < ROUGH ? 1 : 0) + " kg";
      case TEMPERATURE -> rounded(si - ABSOLUTE_ZERO, 0) + " °C";
      case TIME -> Times.of(si);
      case SHARE -> rounded(100 * si, 0) + " %";
    };
  }

  private static String litres(double litres) {
    double size = Math.abs(litres);
    return size < 1 && size >= 0.001
        ? rounded(1000 * litres, 0) + " mL"
        : rounded(litres, 1) + " L";
  }

  /** Returns a number with at most so many decimals, without zeros at its end. */
  public static String rounded(double value, int decimals) {
    String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
    String plain = text.contains(".") ? text.replaceAll("0+$", "").replaceAll("\\.$", "") : text;
    return plain.matches("-0") ? "0" : plain;
  }

  @Override
  public String toString() {
    return metric();
  }
}
