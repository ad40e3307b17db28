package fernwort.app.board;

import fernwort.core.tank.Reading;
import java.util.Locale;

/** A tank reading as people type it. */
public final class ReadingText {

  private ReadingText() {}

  /** A reading and the words for it. */
  public record Typed(Reading reading, String shown) {}

  /**
   * Understands a typed reading.
   *
   * @param amount the number, with decimal point or comma
   * @param unit percent, litres, stick (mm) or steps
   * @throws IllegalArgumentException in one sentence, when it is no number or no such unit
   */
  public static Typed of(String amount, String unit) {
    double value = number(amount);
    String plain = amount.strip().replace(',', '.');
    return switch (unit) {
      case "percent" -> new Typed(new Reading.Percent(value), plain + " %");
      case "litres" -> new Typed(new Reading.Volume(value / 1000), plain + " L");
      case "stick" -> new Typed(new Reading.Stick(value / 1000), plain + " mm on the stick");
      case "steps" -> {
        if (value != Math.rint(value)) {
          throw new IllegalArgumentException("A sender shows whole steps; give a whole number");
        }
        yield new Typed(new Reading.Steps((int) value), plain + " steps");
      }
      default ->
          throw new IllegalArgumentException(
              "\"" + unit + "\" is no way to read a tank; use percent, litres, stick or steps");
    };
  }

  static double number(String text) {
    String plain = text.strip().replace(',', '.');
    if (!plain.matches("[0-9]{1,7}(\\.[0-9]{1,6})?")) {
      throw new IllegalArgumentException(
          "\"%s\" is not a number; type digits, such as 62 or 7,5"
              .formatted(text.length() > 20 ? text.substring(0, 20) + "…" : text)
              .toString());
    }
    return Double.parseDouble(plain.toLowerCase(Locale.ROOT));
  }
}
