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

import fernwort.core.say.Quantity;
import fernwort.core.say.Scale;
import java.util.List;
import java.util.Optional;
import javax.measure.IncommensurableException;
import javax.measure.Unit;

/** What people measure on a rig, with the units they may choose from, the SI-like one first. */
public enum Measure {
  LENGTH(
      METRE,
      new Named(Scale.MILLIMETRES, METRE.divide(1000)),
      new Named(Scale.INCHES, METRE.multiply(0.0254))),
  VOLUME(
      CUBIC_METRE,
      new Named(Scale.LITRES, LITRE),
      new Named(Scale.US_GALLONS, LITRE.multiply(3.785411784)),
      new Named(Scale.IMPERIAL_GALLONS, LITRE.multiply(4.54609))),
  FLOW(
      CUBIC_METRE.divide(SECOND),
      new Named(Scale.LITRES_A_MINUTE, LITRE.divide(MINUTE)),
      new Named(Scale.of("US gal/min", 1, 2), LITRE.multiply(3.785411784).divide(MINUTE)),
      new Named(Scale.of("imp gal/min", 1, 2), LITRE.multiply(4.54609).divide(MINUTE))),
  PRESSURE(
      PASCAL,
      new Named(Scale.BARS, PASCAL.multiply(100_000)),
      new Named(Scale.of("kPa", 0, 1), PASCAL.multiply(1000)),
      new Named(Scale.of("psi", 0, 2), PASCAL.multiply(6894.757293168))),
  MASS(
      KILOGRAM,
      new Named(Scale.KILOGRAMS, KILOGRAM),
      new Named(Scale.of("lb", 0, 1), KILOGRAM.multiply(0.45359237))),
  TEMPERATURE(
      KELVIN,
      new Named(Scale.CELSIUS, CELSIUS),
      new Named(Scale.of("°F", 0, 1), KELVIN.multiply(5).divide(9).shift(459.67)));

  /**
   * A unit with how people write it.
   *
   * @param scale its sign and its decimals
   * @param unit the unit
   */
  public record Named(Scale scale, Unit<?> unit) {

    /** Tells whether it is the one that a metric reader has. */
    public boolean isMetric() {
      return scale.equals(Scale.MILLIMETRES);
    }

    /** Returns what stands behind a number. */
    public String sign() {
      return scale.sign();
    }
  }

  /** Returns the measure of a quantity, where people choose a unit for it. */
  public static Optional<Measure> of(Quantity quantity) {
    return switch (quantity) {
      case LENGTH -> Optional.of(LENGTH);
      // In inches like any length; in metric units in centimetres, whatever lengths are in.
      case LIFT -> Optional.empty();
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
