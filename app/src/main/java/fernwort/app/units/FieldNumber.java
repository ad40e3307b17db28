package fernwort.app.units;

import fernwort.core.say.Scale;
import java.math.BigDecimal;
import java.math.MathContext;

/**
 * Numbers as they stand in a field: rounded as somebody with a tape, a jug or a plate would type
 * them, and always such that they can be typed back.
 */
final class FieldNumber {

  private static final int SIXTEENTHS = 16;
  private static final int THIRTY_SECONDS = 32;

  /** From here on nobody reads a tape closer than to a sixteenth (in). */
  private static final double COARSE = 2;

  /** Closer than this to a thirty-second, it is meant (in). */
  private static final double MEANT = 0.008;

  /** From here on nobody reads a tape closer than to a millimetre (mm). */
  private static final double HUNDRED = 100;

  private static final MathContext SMALL = new MathContext(3);
  private static final MathContext USUAL = new MathContext(4);
  private static final MathContext TAPE = new MathContext(5);

  private FieldNumber() {}

  /** Returns a value in a unit. */
  static String of(Measure measure, Measure.Named unit, double value) {
    return switch (measure) {
      case LENGTH ->
          unit.sign().equals("in")
              ? inches(value)
              : decimal(value, TAPE, Math.abs(value) < HUNDRED ? 1 : 0);
      case VOLUME, MASS -> decimal(value, Math.abs(value) < 1 ? SMALL : USUAL, 6);
      case FLOW, PRESSURE -> decimal(value, SMALL, 6);
      case TEMPERATURE -> decimal(value, USUAL, 1);
    };
  }

  private static String decimal(double value, MathContext digits, int decimals) {
    return Scale.rounded(BigDecimal.valueOf(value).round(digits).doubleValue(), decimals);
  }

  private static String inches(double value) {
    double size = Math.abs(value);
    long fine = Math.round(size * THIRTY_SECONDS);
    if (size < COARSE && Math.abs(size - (double) fine / THIRTY_SECONDS) > MEANT) {
      return decimal(value, SMALL, 2);
    }
    String text =
        size < COARSE
            ? fraction(fine, THIRTY_SECONDS)
            : fraction(Math.round(size * SIXTEENTHS), SIXTEENTHS);
    return value < 0 && !text.equals("0") ? "-" + text : text;
  }

  private static String fraction(long parts, int of) {
    long whole = parts / of;
    long top = parts % of;
    long bottom = of;
    while (top > 0 && top % 2 == 0) {
      top /= 2;
      bottom /= 2;
    }
    String part = top == 0 ? "" : top + "/" + bottom;
    return whole > 0 && top > 0 ? whole + " " + part : whole > 0 || top == 0 ? "" + whole : part;
  }
}
