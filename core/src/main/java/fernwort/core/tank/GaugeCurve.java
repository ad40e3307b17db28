package fernwort.core.tank;

import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What a gauge shows against what a tank holds, as found by jugs poured in.
 *
 * <p>The curve only rises: of what was seen out of order the mean is taken (pool adjacent
 * violators; Barlow, Bartholomew, Bremner and Brunk 1972), and between those it goes straight.
 *
 * @param points where the curve bends, by rising indication
 * @param doubt how far off a look is: root of the mean square of what was seen from the curve (m³)
 */
public record GaugeCurve(List<Point> points, double doubt) {

  /** Fewer looks make no curve. */
  public static final int FEWEST = 3;

  /**
   * A look.
   *
   * @param shows what the gauge shows, in its own steps or millimetres
   * @param holds what the tank holds (m³)
   */
  public record Point(double shows, double holds) {}

  public GaugeCurve {
    points = List.copyOf(points);
  }

  /**
   * Fits a curve.
   *
   * @throws Refusal when there are too few looks
   */
  public static GaugeCurve of(List<Point> looks) {
    if (looks.stream().mapToDouble(Point::shows).distinct().count() < FEWEST) {
      throw new Refusal(
          "A gauge is calibrated by three looks or more, with water poured in between; add a row");
    }
    List<Point> order =
        looks.stream()
            .sorted(Comparator.comparingDouble(Point::shows).thenComparingDouble(Point::holds))
            .toList();
    List<Pool> pools = new ArrayList<>();
    for (Point look : order) {
      Pool pool = new Pool(look.shows(), look.holds(), 1);
      boolean joins = true;
      while (joins && !pools.isEmpty()) {
        Pool last = pools.getLast();
        joins = last.holds() > pool.holds() || last.shows() == pool.shows();
        if (joins) {
          pool = pools.removeLast().with(pool);
        }
      }
      pools.add(pool);
    }
    List<Point> points = pools.stream().map(p -> new Point(p.shows(), p.holds())).toList();
    GaugeCurve curve = new GaugeCurve(points, 0);
    double squares =
        order.stream().mapToDouble(l -> Math.pow(l.holds() - curve.holds(l.shows()), 2)).sum();
    return new GaugeCurve(points, Math.sqrt(squares / order.size()));
  }

  /** Looks that go together, with their means. */
  private record Pool(double shows, double holds, int count) {
    Pool with(Pool other) {
      int all = count + other.count;
      return new Pool(
          (shows * count + other.shows * other.count) / all,
          (holds * count + other.holds * other.count) / all,
          all);
    }
  }

  /** Returns what the tank holds when the gauge shows something (m³); at its ends, the ends. */
  public double holds(double shows) {
    if (shows <= points.getFirst().shows()) {
      return points.getFirst().holds();
    }
    for (int i = 1; i < points.size(); i++) {
      Point a = points.get(i - 1);
      Point b = points.get(i);
      if (shows <= b.shows()) {
        double part = (shows - a.shows()) / (b.shows() - a.shows());
        return a.holds() + part * (b.holds() - a.holds());
      }
    }
    return points.getLast().holds();
  }
}
