package fernwort.core.tank;

import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/**
 * What a gauge shows against what a tank holds, as found by jugs poured in, or by readings before
 * and after known fills.
 *
 * <p>The curve only rises: of what was seen out of order the mean is taken (pool adjacent
 * violators; Barlow, Bartholomew, Bremner and Brunk 1972). Between those it goes smoothly and still
 * only rises: cubic pieces whose slopes are harmonic means (Fritsch and Butland 1984).
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
   * @param shows what the gauge shows, in its own steps or millimetres (steps)
   * @param holds what the tank holds (m³)
   */
  public record Point(double shows, double holds) {}

  /**
   * A known fill between two readings.
   *
   * @param before what the gauge showed before (steps)
   * @param after what it showed after (steps)
   * @param poured what came in between (m³)
   */
  public record Fill(double before, double after, double poured) {

    /**
     * Returns the two looks that agree with the fill and lie nearest to what the tank's shape says
     * of both: as far below it as above it.
     *
     * @param shape what the tank holds by its shape (m³) when the gauge shows something
     * @throws Refusal when the gauge did not rise
     */
    private List<Point> looks(DoubleUnaryOperator shape) {
      if (after <= before || poured <= 0) {
        throw new Refusal(Says.A_FILL_TELLS_OF_A_GAUGE.with());
      }
      double middle = (shape.applyAsDouble(before) + shape.applyAsDouble(after)) / 2;
      double low = Math.max(0, middle - poured / 2);
      return List.of(new Point(before, low), new Point(after, low + poured));
    }
  }

  public GaugeCurve {
    points = List.copyOf(points);
  }

  /**
   * Fits a curve to jugs and to fills. One fill is enough: beyond what it covers the tank's shape
   * tells, at the gauge's two ends.
   *
   * @param looks what was seen of known contents
   * @param fills known fills between two readings
   * @param shape what the tank holds by its shape (m³) when the gauge shows something
   * @param most what the gauge shows of a full tank (m³)
   * @throws Refusal when there are too few looks
   */
  public static GaugeCurve of(
      List<Point> looks, List<Fill> fills, DoubleUnaryOperator shape, double most) {
    if (fills.isEmpty()) {
      return of(looks);
    }
    List<Point> all = new ArrayList<>(looks);
    fills.forEach(f -> all.addAll(f.looks(shape)));
    double lowest = all.stream().mapToDouble(Point::shows).min().orElse(0);
    double highest = all.stream().mapToDouble(Point::shows).max().orElse(most);
    if (lowest > 0) {
      all.add(new Point(0, shape.applyAsDouble(0)));
    }
    if (highest < most) {
      all.add(new Point(most, shape.applyAsDouble(most)));
    }
    return of(all);
  }

  /**
   * Fits a curve.
   *
   * @throws Refusal when there are too few looks
   */
  public static GaugeCurve of(List<Point> looks) {
    if (looks.stream().mapToDouble(Point::shows).distinct().count() < FEWEST) {
      throw new Refusal(Says.A_GAUGE_IS_CALIBRATED_BY_THREE.with());
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
        return between(i - 1, (shows - a.shows()) / (b.shows() - a.shows()));
      }
    }
    return points.getLast().holds();
  }

  /** The cubic piece that begins at a point, at a part of its way. */
  private double between(int begins, double part) {
    Point a = points.get(begins);
    Point b = points.get(begins + 1);
    double width = b.shows() - a.shows();
    double back = 1 - part;
    return back * back * (1 + 2 * part) * a.holds()
        + part * part * (1 + 2 * back) * b.holds()
        + width * part * back * (back * slope(begins) - part * slope(begins + 1));
  }

  /** How steep the curve is at a point: flat at a step, else no steeper than both sides allow. */
  private double slope(int at) {
    if (at == 0) {
      return rise(0);
    }
    if (at == points.size() - 1) {
      return rise(at - 1);
    }
    double left = rise(at - 1);
    double right = rise(at);
    if (left <= 0 || right <= 0) {
      return 0;
    }
    double before = points.get(at).shows() - points.get(at - 1).shows();
    double after = points.get(at + 1).shows() - points.get(at).shows();
    double leftWeight = 2 * after + before;
    double rightWeight = after + 2 * before;
    return (leftWeight + rightWeight) / (leftWeight / left + rightWeight / right);
  }

  private double rise(int begins) {
    Point a = points.get(begins);
    Point b = points.get(begins + 1);
    return (b.holds() - a.holds()) / (b.shows() - a.shows());
  }
}
