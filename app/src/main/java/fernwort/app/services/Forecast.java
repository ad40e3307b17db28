package fernwort.app.services;

import java.time.LocalDate;

/**
 * A simulated forecast, in the place of a service outside: nights that follow the year, with warm
 * and cold spells of some days. The same date always gets the same night.
 */
public final class Forecast {

  private static final double FREEZING = 273.15;
  private static final double MEAN = 6;
  private static final double SWING = 10;
  private static final double SPELL = 4;
  private static final int COLDEST_DAY = 20;
  private static final double YEAR = 365.25;
  private static final int MOST_DAYS = 400;

  private Forecast() {}

  /**
   * A night.
   *
   * @param evening temperature at 18 h (K)
   * @param lowest at 6 h (K)
   * @param wind speed (m/s)
   */
  public record Night(double evening, double lowest, double wind) {}

  /** Returns the night that begins on a date. */
  public static Night of(LocalDate date) {
    double year = 2 * Math.PI * (date.getDayOfYear() - COLDEST_DAY) / YEAR;
    double spell = Math.sin(date.toEpochDay() * 0.9) + Math.sin(date.toEpochDay() * 0.37);
    double lowest = FREEZING + MEAN - SWING * Math.cos(year) + SPELL * spell;
    double wind = 3 + 2.5 * Math.sin(date.toEpochDay() * 1.7);
    return new Night(lowest + 6, lowest, wind);
  }

  /** Returns the first date from one on whose night is below 0 °C. */
  public static LocalDate firstFrost(LocalDate from) {
    return from.datesUntil(from.plusDays(MOST_DAYS))
        .filter(d -> of(d).lowest() < FREEZING)
        .findFirst()
        .orElse(from.plusDays(MOST_DAYS));
  }
}
