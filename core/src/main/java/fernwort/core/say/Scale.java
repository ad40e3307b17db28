package fernwort.core.say;

import java.util.Locale;
import java.util.Optional;

/**
 * How amounts are written in one unit, rounded as a person would: the one number format, whoever
 * shows an amount.
 *
 * @param sign what stands behind the number
 * @param decimals decimals at most, from 10 on
 * @param small decimals at most, below 10
 * @param whole from here on nobody reads a decimal (in this unit)
 * @param finer the unit for amounts that are too small for this one
 * @param coarser the unit for amounts that are too large for this one
 */
public record Scale(
    String sign,
    int decimals,
    int small,
    double whole,
    Optional<Finer> finer,
    Optional<Coarser> coarser) {

  private static final double TEN = 10;

  /** From here down a finer unit reads better (of the coarser). */
  private static final double TENTH = 0.1;

  private static final double HALF = 0.5;

  /** Millilitres in an imperial fluid ounce. */
  private static final double OUNCE = 28.4130625;

  /** Millimetres, and metres where a tape reads them. */
  public static final Scale MILLIMETRES = of("mm", 0, 1).from(10_000, 1e-3, of("m", 1, 1));

  /** Inches, and feet from twenty on. */
  public static final Scale INCHES = of("in", 1, 1).from(240, 1 / 12.0, of("ft", 0, 1));

  public static final Scale CENTIMETRES = of("cm", 0, 0);

  /** Litres, whole ones from twenty on; below one millilitres. */
  public static final Scale LITRES = of("L", 1, 1).wholeFrom(20).below(1, 1000, of("mL", 0, 0));

  /** US gallons; below a tenth fluid ounces, and below half of one of those teaspoons. */
  public static final Scale US_GALLONS =
      of("US gal", 1, 2).below(TENTH, 128, of("US fl oz", 0, 1).below(HALF, 6, of("tsp", 1, 2)));

  /** Imperial gallons; below a tenth fluid ounces, and below half of one millilitres. */
  public static final Scale IMPERIAL_GALLONS =
      of("imp gal", 1, 2)
          .below(TENTH, 160, of("imp fl oz", 0, 1).below(HALF, OUNCE, of("mL", 0, 1)));

  /** Litres a minute. */
  public static final Scale LITRES_A_MINUTE = of("L/min", 1, 1).below(1, 1000, of("mL/min", 0, 0));

  /** Bar, and below a tenth millibar. */
  public static final Scale BARS = of("bar", 1, 2).below(TENTH, 1000, of("mbar", 0, 1));

  /** Kilograms. */
  public static final Scale KILOGRAMS = of("kg", 0, 1);

  /** Degrees Celsius. */
  public static final Scale CELSIUS = of("°C", 0, 1);

  /** Percent of a share. */
  public static final Scale PERCENT = of("%", 0, 0);

  /**
   * A finer unit.
   *
   * @param below the amount in the coarser unit from which down it is used (the scale's unit)
   * @param times how many of it are one of the coarser (1)
   * @param scale how it is written
   */
  public record Finer(double below, double times, Scale scale) {}

  /**
   * A coarser unit.
   *
   * @param from the amount in the finer unit from which on it is used (the scale's unit)
   * @param times how many of it are one of the finer (1)
   * @param scale how it is written
   */
  public record Coarser(double from, double times, Scale scale) {}

  /** Returns a scale with neither a finer nor a coarser one. */
  public static Scale of(String sign, int decimals, int small) {
    return new Scale(
        sign, decimals, small, Double.POSITIVE_INFINITY, Optional.empty(), Optional.empty());
  }

  private Scale wholeFrom(double least) {
    return new Scale(sign, decimals, small, least, finer, coarser);
  }

  private Scale below(double least, double times, Scale scale) {
    Optional<Finer> fine = Optional.of(new Finer(least, times, scale));
    return new Scale(sign, decimals, small, whole, fine, coarser);
  }

  private Scale from(double least, double times, Scale scale) {
    Optional<Coarser> coarse = Optional.of(new Coarser(least, times, scale));
    return new Scale(sign, decimals, small, whole, finer, coarse);
  }

  /**
   * Returns an amount in this unit, or in the finer one, with its sign.
   *
   * @param value the amount (SI units)
   */
  public String show(double value) {
    if (finer.isPresent() && Math.abs(value) < finer.get().below()) {
      String fine = finer.get().scale().show(value * finer.get().times());
      return fine.startsWith("0 ") ? "0 " + sign : fine;
    }
    if (coarser.isPresent() && Math.abs(value) >= coarser.get().from()) {
      return coarser.get().scale().show(value * coarser.get().times());
    }
    return rounded(value, places(Math.abs(value))) + " " + sign;
  }

  private int places(double value) {
    return value >= whole ? 0 : value < TEN ? small : decimals;
  }

  /**
   * Returns a number with at most so many decimals, without zeros at its end.
   *
   * @param value the amount (SI units)
   */
  public static String rounded(double value, int decimals) {
    String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
    String plain = text.contains(".") ? text.replaceAll("0+$", "").replaceAll("\\.$", "") : text;
    return plain.equals("-0") ? "0" : plain;
  }
}
