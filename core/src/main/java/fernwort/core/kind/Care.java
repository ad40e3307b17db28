package fernwort.core.kind;

import java.util.Optional;

/**
 * Something to do again and again, as long as a part is in use.
 *
 * @param what what is to be done
 * @param days after how long (days)
 * @param lasts after how much water it is due as well (m³)
 * @param flow at which flow hours are counted in water (m³/s)
 * @param ofGauge whether it is about a tank's gauge
 * @param source where the interval is from
 */
public record Care(
    String what,
    int days,
    Optional<Double> lasts,
    Optional<Double> flow,
    boolean ofGauge,
    String source) {

  /** Half a year (days). */
  public static final int HALF_A_YEAR = 182;

  /** A quarter of a year (days). */
  public static final int A_QUARTER = 91;

  /** A year (days). */
  public static final int A_YEAR = 365;

  /** A diaphragm pump is worn after so many hours (s); own choice. */
  private static final double PUMP_LIFE = 500 * 3600.0;

  /** Taps let through so much of what a pump gives at no pressure; own choice. */
  private static final double AT_TAPS = 0.6;

  /** Returns what is due after so many days. */
  public static Care of(String what, int days) {
    return new Care(
        what, days, Optional.empty(), Optional.empty(), false, KindWords.OUR_DEFAULT.text());
  }

  /**
   * Returns what is due after half a year, or once so much has passed.
   *
   * @param lasts how much (m³)
   * @param entered whether somebody entered how much
   */
  public static Care byUse(String what, double lasts, boolean entered) {
    String source = (entered ? KindWords.LITRES_AS_ENTERED : KindWords.OUR_DEFAULT).text();
    return new Care(what, HALF_A_YEAR, Optional.of(lasts), Optional.empty(), false, source);
  }

  /**
   * Returns what is due after half a year, or once a pump has worn.
   *
   * @param freeFlow its flow at no pressure (m³/s)
   */
  public static Care byHours(String what, double freeFlow) {
    double flow = AT_TAPS * freeFlow;
    return new Care(
        what,
        HALF_A_YEAR,
        Optional.of(PUMP_LIFE * flow),
        Optional.of(flow),
        false,
        KindWords.HOURS_OF_PUMP.text());
  }

  /** Returns this, about a tank's gauge. */
  public Care ofTheGauge() {
    return new Care(what, days, lasts, flow, true, source);
  }
}
