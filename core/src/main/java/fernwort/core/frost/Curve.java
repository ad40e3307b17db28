package fernwort.core.frost;

import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;

/**
 * A temperature over time, straight between its points.
 *
 * @param times seconds from the start, rising
 * @param temperatures at those times (K)
 */
public record Curve(List<Double> times, List<Double> temperatures) {

  public Curve {
    times = List.copyOf(times);
    temperatures = List.copyOf(temperatures);
    if (times.size() != temperatures.size() || times.size() < 2) {
      throw new Refusal(Says.A_NIGHT_NEEDS_TWO_HOURS.with());
    }
    for (int i = 1; i < times.size(); i++) {
      if (times.get(i) <= times.get(i - 1)) {
        throw new Refusal(Says.THE_HOURS_OF_A_NIGHT_FOLLOW.with());
      }
    }
  }

  /**
   * Returns the curve of a place that keeps a share of the warmth inside (K).
   *
   * @param share what of the warmth inside it gets (0 to 1)
   * @param inside temperature inside (K)
   */
  public Curve sheltered(double share, double inside) {
    return new Curve(times, temperatures.stream().map(t -> t + share * (inside - t)).toList());
  }

  /** Returns the lowest temperature (K). */
  public double lowest() {
    return temperatures.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
  }

  /** Returns this curve so much warmer throughout (K). */
  public Curve warmer(double by) {
    return new Curve(times, temperatures.stream().map(t -> t + by).toList());
  }

  /** Returns the temperature at a time (s), that of its ends before and after it (K). */
  public double at(double time) {
    if (time <= times.getFirst()) {
      return temperatures.getFirst();
    }
    for (int i = 1; i < times.size(); i++) {
      if (time <= times.get(i)) {
        double share = (time - times.get(i - 1)) / (times.get(i) - times.get(i - 1));
        return temperatures.get(i - 1) + share * (temperatures.get(i) - temperatures.get(i - 1));
      }
    }
    return temperatures.getLast();
  }

  /**
   * Returns the part of it between two times (s).
   *
   * @param from from when (s)
   * @param to until when (s)
   */
  public Curve during(double from, double to) {
    List<Double> when = new ArrayList<>(List.of(from));
    times.stream().filter(t -> t > from && t < to).forEach(when::add);
    when.add(to);
    return new Curve(when, when.stream().map(this::at).toList());
  }

  /** Returns how long it is (s). */
  public double length() {
    return times.getLast() - times.getFirst();
  }
}
