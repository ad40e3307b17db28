package fernwort.app.units;

import static tech.units.indriya.unit.Units.LITRE;
import static tech.units.indriya.unit.Units.METRE;
import static tech.units.indriya.unit.Units.PASCAL;

import fernwort.core.say.Refusal;
import fernwort.core.say.Scale;
import java.util.Comparator;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A number as it was typed, with the unit typed behind it, if any.
 *
 * @param number the number
 * @param unit the unit in small letters; empty for none
 * @param fraction whether it was typed as a fraction, as in 3/4
 */
record TypedAmount(double number, String unit, boolean fraction) {

  /** Fractions as people say them. */
  private static final Map<String, String> SAID =
      Map.ofEntries(
          Map.entry("half", "1/2"),
          Map.entry("a half", "1/2"),
          Map.entry("a quarter", "1/4"),
          Map.entry("quarter", "1/4"),
          Map.entry("three quarters", "3/4"),
          Map.entry("a third", "1/3"),
          Map.entry("third", "1/3"),
          Map.entry("two thirds", "2/3"),
          Map.entry("½", "1/2"),
          Map.entry("¼", "1/4"),
          Map.entry("¾", "3/4"));

  /** Puts digits in place of a fraction that is said, with what stands before and behind it. */
  private static String digits(String text) {
    String plain = text.strip().toLowerCase(Locale.ROOT);
    for (Map.Entry<String, String> said :
        SAID.entrySet().stream()
            .sorted(Comparator.comparingInt(e -> -e.getKey().length()))
            .toList()) {
      if (plain.startsWith(said.getKey())) {
        return said.getValue() + " " + plain.substring(said.getKey().length());
      }
      int at = plain.indexOf(said.getKey());
      if (at > 0 && plain.substring(0, at).matches("\\d+\\s*(?:and )?\\s*")) {
        return plain.substring(0, at).replace("and", "").strip()
            + " "
            + said.getValue()
            + " "
            + plain.substring(at + said.getKey().length());
      }
    }
    return text;
  }

  private static final Pattern AMOUNT =
      Pattern.compile(
          "\\s*(?<sign>[-−]?)(?:(?<whole>\\d{1,7})\\s+)?(?:(?<top>\\d{1,4})/(?<bottom>\\d{1,4})"
              + "|(?<decimal>\\d{1,9}(?:[.,]\\d{1,20})?))\\s*(?<unit>[\\p{L}\"′″'/²³°%. ]*)\\s*");

  static TypedAmount of(String what, String text) {
    Matcher m = AMOUNT.matcher(digits(text));
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
        m.group("unit").strip().toLowerCase(Locale.ROOT),
        m.group("top") != null);
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
            case "in", "inch", "inches", "an inch", "\"", "″" -> pick(measure, 1);
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
