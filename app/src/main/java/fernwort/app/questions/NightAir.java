package fernwort.app.questions;

import fernwort.app.services.Forecast;
import fernwort.app.units.Measure;
import fernwort.app.web.Field;
import fernwort.core.frost.Curve;
import fernwort.core.frost.FreezeForecast;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** The air of tonight: the forecast, or what somebody entered; the same for every page. */
public final class NightAir {

  /** The hour of the day at which the night begins. */
  public static final int BEGINS = 18;

  private static final double HOUR = 3600;

  /** By midnight it has fallen by so much of what it falls; own choice. */
  private static final double BY_MIDNIGHT = 0.7;

  private static final int MINUTE = 60;
  private static final int DAY = 24;

  private NightAir() {}

  /**
   * Asks for the air outside and inside, and returns what is asked of the night.
   *
   * @param form asks; keeps what was entered
   * @param date day on whose evening the night begins
   */
  public static FreezeForecast.Asked asked(Form form, LocalDate date) {
    Forecast.Night night = Forecast.of(date);
    String source =
        form.choice(
            "night-source",
            Says.OUTSIDE_AIR.text(),
            List.of(
                new Field.Option("forecast", Says.THE_FORECAST_FOR_TONIGHT.text()),
                new Field.Option("typed", Says.AS_I_ENTER_IT.text())));
    double inside = temperature(form, "night-inside", "Inside", 288.15);
    if (source.equals("forecast")) {
      return asked(night.evening(), night.lowest(), night.wind(), inside);
    }
    double lowest = temperature(form, "night-lowest", Says.LOWEST_6_H.text(), night.lowest());
    double evening =
        temperature(form, "night-evening", Says.IN_THE_EVENING_18_H.text(), night.evening());
    double wind =
        form.number(
            "night-wind", "Wind", night.wind(), "m/s", Says.COUNTS_UNDER_THE_OPEN_FLOOR.text());
    return asked(evening, lowest, wind, inside);
  }

  private static FreezeForecast.Asked asked(
      double evening, double lowest, double wind, double inside) {
    return new FreezeForecast.Asked(
        night(evening, lowest), inside, wind, inside, false, 0, Set.of());
  }

  private static double temperature(Form form, String name, String label, double normal) {
    return form.amount(name, label, Measure.TEMPERATURE, normal, "");
  }

  /** Evening, the lowest at six, and the morning half way back. */
  private static Curve night(double evening, double lowest) {
    return new Curve(
        List.of(0 * HOUR, 6 * HOUR, 12 * HOUR, 15 * HOUR),
        List.of(
            evening, evening + BY_MIDNIGHT * (lowest - evening), lowest, (lowest + evening) / 2));
  }

  /** Returns a time of the night (s from its beginning) as a clock shows it. */
  public static String clock(double seconds) {
    long minutes = Math.round(seconds / MINUTE) + BEGINS * MINUTE;
    return String.format(Locale.ROOT, "%02d:%02d", minutes / MINUTE % DAY, minutes % MINUTE);
  }
}
