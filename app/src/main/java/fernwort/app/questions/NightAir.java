package fernwort.app.questions;

import fernwort.app.services.Forecast;
import fernwort.app.store.SizingStore;
import fernwort.app.units.Measure;
import fernwort.app.web.Field;
import fernwort.core.frost.Curve;
import fernwort.core.frost.FreezeForecast;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
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

  /** The field that says for which evening a night was entered. */
  public static final String GIVEN_ON = "night-date";

  /** Two degrees in the evening and five below zero at six, to be changed (K); own choice. */
  private static final double EVENING = 275.15;

  private static final double LOWEST = 268.15;

  /** What a night is taken to be where nobody said anything: to see what it would do. */
  private static final Forecast.Night WHAT_IF = new Forecast.Night(EVENING, LOWEST, 3);

  /**
   * Asks for the air outside and inside, and returns what is asked of the night.
   *
   * @param form asks; keeps what was entered
   * @param forecast the simulated night of a demo rig; empty where nobody told the weather
   */
  public static FreezeForecast.Asked asked(Form form, Optional<Forecast.Night> forecast) {
    Forecast.Night night = forecast.orElse(WHAT_IF);
    boolean told = forecast.isPresent() && isTold(form);
    double inside = temperature(form, "night-inside", "Inside", 288.15);
    if (told) {
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

  private static boolean isTold(Form form) {
    return form.choice(
            "night-source",
            Says.OUTSIDE_AIR.text(),
            List.of(
                new Field.Option("forecast", Says.THE_FORECAST_FOR_TONIGHT.text()),
                new Field.Option("typed", Says.AS_I_ENTER_IT.text())))
        .equals("forecast");
  }

  /**
   * Tells whether somebody entered the lowest temperature of this night: on its day, or on the day
   * before until noon.
   */
  public static boolean isGiven(Map<String, SizingStore.Kept> kept, LocalDateTime now) {
    if (!kept.containsKey("night-lowest") || !kept.containsKey(GIVEN_ON)) {
      return false;
    }
    String given = kept.get(GIVEN_ON).text();
    LocalDate today = now.toLocalDate();
    return given.equals(today.toString())
        || now.getHour() < DAY / 2 && given.equals(today.minusDays(1).toString());
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
