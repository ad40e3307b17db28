package fernwort.core.kind.tank;

import java.util.List;
import java.util.Optional;

/**
 * How somebody can tell what a tank holds.
 *
 * @param kind the way of looking
 * @param steps how many lamps or steps it shows; 0 for the other kinds
 * @param x where the stick or sender stands, from the tank's inside rear right corner (m)
 * @param y where it stands, to the left (m)
 * @param probes heights above the inside floor at which each lamp lights, from the lowest (m); as
 *     many as lamps; left out where they stand evenly
 */
public record Gauge(GaugeKind kind, int steps, double x, double y, Optional<List<Double>> probes) {

  public Gauge {
    probes = probes.filter(p -> !p.isEmpty()).map(List::copyOf);
  }

  /**
   * Makes a gauge of which nobody measured where its lamps light.
   *
   * @param x where it is, along the tank (m)
   * @param y where it is, across the tank (m)
   */
  public Gauge(GaugeKind kind, int steps, double x, double y) {
    this(kind, steps, x, y, Optional.empty());
  }

  /** The ways of looking into a tank. */
  public enum GaugeKind {
    NONE(Shows.NOTHING),
    SIGHT(Shows.LEVEL),
    STICK(Shows.LEVEL),
    /** A float or sensor that shows the step nearest to the level. */
    SENDER(Shows.STEPS),
    /** Probes in the wall: each lamp lights once the water has come up to it. */
    LAMPS(Shows.LAMPS);

    private final Shows shows;

    GaugeKind(Shows shows) {
      this.shows = shows;
    }

    /** Returns what it lets one see. */
    public Shows shows() {
      return shows;
    }
  }

  /** What a gauge lets one see of a level. */
  public enum Shows {
    NOTHING,
    LEVEL,
    STEPS,
    LAMPS
  }

  /** Returns the heights at which lamps light (m); none where nobody measured them. */
  public List<Double> heights() {
    return probes.orElse(List.of());
  }

  /** Tells whether it is lamps, each of which says "at least up to here". */
  public boolean hasLamps() {
    return kind.shows() == Shows.LAMPS;
  }

  /** Tells whether nothing shows its level. */
  public boolean showsNothing() {
    return kind.shows() == Shows.NOTHING;
  }

  /** Tells whether it shows steps. */
  public boolean showsSteps() {
    return kind.shows() == Shows.STEPS || hasLamps();
  }

  /**
   * Returns the lowest height at which it shows so many steps (m).
   *
   * @param shows steps or lamps, from 0
   * @param depth of the tank inside (m)
   */
  public double from(int shows, double depth) {
    if (shows <= 0) {
      return 0;
    }
    return hasLamps() ? probe(shows, depth) : (shows - 0.5) / steps * depth;
  }

  /**
   * Returns the highest height at which it shows so many steps (m).
   *
   * @param shows steps or lamps, from 0
   * @param depth of the tank inside (m)
   */
  public double upTo(int shows, double depth) {
    return shows >= steps ? depth : from(shows + 1, depth);
  }

  private double probe(int lamp, double depth) {
    List<Double> heights = heights();
    return heights.size() >= lamp ? Math.min(depth, heights.get(lamp - 1)) : depth * lamp / steps;
  }

  /**
   * Returns how many steps or lamps it shows at a height of the water (m).
   *
   * @param depth of the tank inside (m)
   * @param height of the water (m)
   */
  public int shows(double height, double depth) {
    int shows = 0;
    while (shows < steps && height >= from(shows + 1, depth) - ROUNDING) {
      shows++;
    }
    return shows;
  }

  /** Keeps a height that is just that of a step from being rounded below it (m). */
  private static final double ROUNDING = 1e-9;
}
