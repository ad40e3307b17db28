package fernwort.app.units;

import static tech.units.indriya.unit.Units.LITRE;
import static tech.units.indriya.unit.Units.METRE;
import static tech.units.indriya.unit.Units.PASCAL;

import fernwort.core.say.Refusal;
import fernwort.core.say.Scale;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A number as it was typed, with the unit typed behind it, if any.
 *
 * @param number the number
 * @param unit the unit in small letters; empty for none
 */
record TypedAmount(double number, String unit) {

  private static final Pattern AMOUNT =
      Pattern.compile(
          "\\s*(?<sign>[-−]?)(?:(?<whole>\\d{1,7})\\s+)?(?:(?<top>\\d{1,4})/(?<bottom>\\d{1,4})"
              + "|(?<decimal>\\d{1,9}(?:[.,]\\d{1,20})?))\\s*(?<unit>[\\p{L}\"′″'/²³°. ]*)\\s*");

  static TypedAmount of(String what, String text) {
    Matcher m = AMOUNT.matcher(text);
    boolean readable =
        m.matches()
            && (m.group("whole") == null || m.group("top") != null)
            && !"0".equals(m.group("bottom"));
    if (!readable) {
      throw new Refusal(
          text.isBlank()
              ? what + " is empty; type a number"
              : "%s: “%s” is not a number; type digits, such as 620, 7,5 or 1/2 in"
                  .formatted(
                      what, text.length() > 20 ? text.substring(0, 20) + "…" : text.strip()));
    }
    double value =
        m.group("top") == null
            ? Double.parseDouble(m.group("decimal").replace(',', '.'))
            : Double.parseDouble(m.group("top")) / Double.parseDouble(m.group("bottom"))
                + (m.group("whole") == null ? 0 : Double.parseDouble(m.group("whole")));
    return new TypedAmount(
        m.group("sign").isEmpty() ? value : -value,
        m.group("unit").strip().toLowerCase(Locale.ROOT));
  }

  /** Returns the unit that a typed sign stands for; a bare gallon is that of the chosen units. */
  static Optional<Measure.Named> unit(Measure measure, String sign, Measure.Named chosen) {
    String plain = sign.replace(".", "").replaceAll("\\s+", " ").strip();
    return switch (measure) {
      case LENGTH ->
          switch (plain) {
            case "mm" -> pick(measure, 0);
            case "cm" -> own("cm", METRE.divide(100));
            case "m", "metre", "meter" -> own("m", METRE);
            case "in", "inch", "inches", "\"", "″" -> pick(measure, 1);
            case "ft", "foot", "feet", "'", "′" -> own("ft", METRE.multiply(0.3048));
            default -> Optional.empty();
          };
      case VOLUME ->
          switch (plain) {
            case "l", "litre", "litres", "liter", "liters" -> pick(measure, 0);
            case "ml" -> own("mL", LITRE.divide(1000));
            case "m³", "m3" -> own("m³", LITRE.multiply(1000));
            case "gal", "gallon", "gallons" ->
                Optional.of(chosen.sign().endsWith("gal") ? chosen : measure.choices().get(1));
            case "us gal" -> pick(measure, 1);
            case "imp gal", "uk gal" -> pick(measure, 2);
            default -> Optional.empty();
          };
      case FLOW ->
          switch (plain) {
            case "l/min", "lpm" -> pick(measure, 0);
            case "l/h" -> own("L/h", measure.choices().getFirst().unit().divide(60));
            case "gpm", "gal/min" ->
                Optional.of(chosen.sign().contains("gal") ? chosen : measure.choices().get(1));
            case "us gal/min" -> pick(measure, 1);
            case "imp gal/min" -> pick(measure, 2);
            default -> Optional.empty();
          };
      case PRESSURE ->
          switch (plain) {
            case "bar" -> pick(measure, 0);
            case "kpa" -> pick(measure, 1);
            case "psi" -> pick(measure, 2);
            case "mbar" -> own("mbar", PASCAL.multiply(100));
            case "pa" -> own("Pa", PASCAL);
            default -> Optional.empty();
          };
      case MASS ->
          switch (plain) {
            case "kg" -> pick(measure, 0);
            case "lb", "lbs" -> pick(measure, 1);
            case "t" -> own("t", measure.choices().getFirst().unit().multiply(1000));
            default -> Optional.empty();
          };
      case TEMPERATURE ->
          switch (plain) {
            case "°c", "c" -> pick(measure, 0);
            case "°f", "f" -> pick(measure, 1);
            default -> Optional.empty();
          };
    };
  }

  private static Optional<Measure.Named> pick(Measure measure, int index) {
    return Optional.of(measure.choices().get(index));
  }

  private static Optional<Measure.Named> own(String sign, javax.measure.Unit<?> unit) {
    return Optional.of(new Measure.Named(Scale.of(sign, 1, 1), unit));
  }
}
