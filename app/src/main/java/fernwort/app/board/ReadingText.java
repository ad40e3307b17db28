package fernwort.app.board;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.say.Refusal;
import fernwort.core.tank.Reading;
import java.math.BigDecimal;
import java.math.RoundingMode;

/** A tank reading as people type it. */
public final class ReadingText {

  private static final int SAID = 4;

  private ReadingText() {}

  /** A reading and the words for it. */
  public record Typed(Reading reading, String shown) {}

  /**
   * Understands a typed reading.
   *
   * @param amount the number, with decimal point or comma, with or without a unit behind it
   * @param way percent, litres (a volume), stick (a length) or steps
   * @param units what a bare number is in
   * @throws Refusal in one sentence, when it is no number or no such way
   */
  public static Typed of(String amount, String way, Units units) {
    return switch (way) {
      case "percent" -> {
        double value = Units.percent(Says.THE_READING.text(), amount);
        yield new Typed(new Reading.Percent(value), plain(value) + " %");
      }
      case "litres" -> {
        double volume = units.parse(Says.THE_READING.text(), Measure.VOLUME, amount);
        yield new Typed(new Reading.Volume(volume), units.show(Measure.VOLUME, volume));
      }
      case "stick" -> {
        double wet = units.parse(Says.THE_READING.text(), Measure.LENGTH, amount);
        yield new Typed(
            new Reading.Stick(wet), Says.ON_THE_STICK.filled(units.show(Measure.LENGTH, wet)));
      }
      case "steps" -> {
        double value = number(amount);
        if (value != Math.rint(value)) {
          throw new Refusal(Says.A_SENDER_SHOWS_WHOLE_STEPS.with());
        }
        yield new Typed(new Reading.Steps((int) value), plain(value) + " steps");
      }
      default -> throw new Refusal(Says.IS_NOT_A_WAY_TO_READ.with(way));
    };
  }

  /** A number as somebody would say it, to four digits behind the point. */
  private static String plain(double value) {
    return BigDecimal.valueOf(value)
        .setScale(SAID, RoundingMode.HALF_EVEN)
        .stripTrailingZeros()
        .toPlainString();
  }

  private static double number(String text) {
    String plain = text.strip().replace(',', '.');
    if (!plain.matches("[0-9]{1,9}(\\.[0-9]{1,20})?")) {
      throw new Refusal(
          Says.IS_NOT_A_NUMBER_TYPE_DIGITS.with(
              text.length() > 20 ? text.substring(0, 20) + "…" : text));
    }
    return Double.parseDouble(plain);
  }
}
