package fernwort.app.units;

import static tech.units.indriya.unit.Units.CELSIUS;
import static tech.units.indriya.unit.Units.CUBIC_METRE;
import static tech.units.indriya.unit.Units.KELVIN;
import static tech.units.indriya.unit.Units.KILOGRAM;
import static tech.units.indriya.unit.Units.LITRE;
import static tech.units.indriya.unit.Units.METRE;
import static tech.units.indriya.unit.Units.MINUTE;
import static tech.units.indriya.unit.Units.PASCAL;
import static tech.units.indriya.unit.Units.SECOND;

import fernwort.core.say.Amount;
import fernwort.core.say.Quantity;
import java.util.List;
import java.util.Optional;
import javax.measure.IncommensurableException;
import javax.measure.Unit;

/** What people measure on a rig, with the units they may choose from, the SI-like one first. */
public enum Measure {
  LENGTH(METRE, new Named("mm", METRE.divide(1000), 0), new Named("in", METRE.multiply(0.0254), 1)),
  VOLUME(
      CUBIC_METRE,
      new Named("L", LITRE, 1),
      new Named("US gal", LITRE.multiply(3.785411784), 1),
      new Named("imp gal", LITRE.multiply(4.54609), 1)),
  FLOW(
      CUBIC_METRE.divide(SECOND),
      new Named("L/min", LITRE.divide(MINUTE), 1),
      new Named("US gal/min", LITRE.multiply(3.785411784).divide(MINUTE), 1),
      new Named("imp gal/min", LITRE.multiply(4.54609).divide(MINUTE), 1)),
  PRESSURE(
      PASCAL,
      new Named("bar", PASCAL.multiply(100_000), 1),
      new Named("kPa", PASCAL.multiply(1000), 0),
      new Named("psi", PASCAL.multiply(6894.757293168), 0)),
  MASS(KILOGRAM, new Named("kg", KILOGRAM, 0), new Named("lb", KILOGRAM.multiply(0.45359237), 0)),
  TEMPERATURE(
      KELVIN,
      new Named("°C", CELSIUS, 0),
      new Named("°F", KELVIN.multiply(5).divide(9).shift(459.67), 0));

  /**
   * A unit with its sign and the decimals people write with it.
   *
   * @param sign what stands behind the number
   * @param unit the unit
   * @param decimals decimals in a display
   */
  public record Named(String sign, Unit<?> unit, int decimals) {

    /** Below this one more decimal is written. */
    private static final double SMALL = 10;

    /** Returns a number with the sign behind it, rounded as a person would. */
    public String show(double value) {
      if (sign.equals("L") && Math.abs(value) < 1) {
        return Amount.volume(value / 1000).metric();
      }
      int most = Math.abs(value) < SMALL && fine() ? decimals + 1 : decimals;
      return Amount.rounded(value, most) + " " + sign;
    }

    /**
     * Tells whether small numbers are worth a further decimal: nobody reads hundredths of inches.
     */
    private boolean fine() {
      return !sign.equals("in");
    }
  }

  /** Returns the measure of a quantity, where people choose a unit for it. */
  public static Optional<Measure> of(Quantity quantity) {
    return switch (quantity) {
      case LENGTH -> Optional.of(LENGTH);
      case VOLUME -> Optional.of(VOLUME);
      case FLOW -> Optional.of(FLOW);
      case PRESSURE -> Optional.of(PRESSURE);
      case MASS -> Optional.of(MASS);
      case TEMPERATURE -> Optional.of(TEMPERATURE);
      case TIME, SHARE -> Optional.empty();
    };
  }

  private final Unit<?> base;
  private final List<Named> choices;

  Measure(Unit<?> base, Named... choices) {
    this.base = base;
    this.choices = List.of(choices);
  }

  /** Returns the units to choose from. */
  public List<Named> choices() {
    return choices;
  }

  /** Returns a value given in a unit as SI. */
  public double toSi(double value, Named from) {
    return convert(value, from.unit(), base);
  }

  /** Returns an SI value in a unit. */
  public double fromSi(double value, Named to) {
    return convert(value, base, to.unit());
  }

  private static double convert(double value, Unit<?> from, Unit<?> to) {
    try {
      return from.getConverterToAny(to).convert(value);
    } catch (IncommensurableException e) {
      throw new IllegalStateException("a unit of another measure", e);
    }
  }
}
