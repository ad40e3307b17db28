package fernwort.core.drain;

import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Link;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.Purpose;
import fernwort.core.plumbing.End;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.OpenGraph;
import fernwort.core.plumbing.Outlets;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import java.util.stream.IntStream;

/**
 * The level to which water stays everywhere in the lines when all open drains have run.
 *
 * <p>Flooded inwards from the drains with a queue that always takes the lowest point first, so each
 * port is settled once: O(E log V). One-way parts let water leave in their direction only. Air is
 * taken to be able to follow.
 */
public final class Flood {

  /** Ends of a line whose heights differ by less are level (m). */
  private static final double LEVEL = 1e-9;

  private final Plumbing plumbing;
  private final Levels levels;
  private final double[] spill;

  private Flood(Plumbing plumbing, OpenGraph graph, Levels levels, int[] drains) {
    this.plumbing = plumbing;
    this.levels = levels;
    spill = new double[plumbing.size()];
    Arrays.fill(spill, Double.POSITIVE_INFINITY);
    List<List<Integer>> arriving = new ArrayList<>();
    for (int v = 0; v < plumbing.size(); v++) {
      arriving.add(new ArrayList<>());
    }
    for (int e = 0; e < graph.edges(); e++) {
      arriving.get(graph.to(e)).add(e);
    }
    run(graph, arriving, drains);
  }

  /** Floods a setting from its open drains. */
  public static Flood of(Plumbing plumbing, Setting setting, Levels levels) {
    OpenGraph graph = new OpenGraph(plumbing, setting);
    // Water that reaches a tank's port above its surface drops in and is gone from the line.
    int[] drains =
        graph.outlets().ends().stream()
            .filter(o -> o.end().kind() != End.Kind.TANK || !levels.wet(o.vertex()))
            .mapToInt(Outlets.Outlet::vertex)
            .toArray();
    return new Flood(plumbing, graph, levels, drains);
  }

  /**
   * Floods the layout with every handle free, from every drain that a hand could open, a heater's
   * plug among them, and every tank port over its water.
   */
  public static Flood withHandlesFree(Plumbing plumbing, Levels levels) {
    IntStream ends =
        plumbing.rig().parts().stream()
            .filter(p -> canDrain(p.kind()))
            .flatMapToInt(p -> p.kind().ports().stream().mapToInt(q -> plumbing.vertex(p, q)));
    IntStream tanks =
        IntStream.range(0, plumbing.tanks().size())
            .flatMap(tank -> Arrays.stream(plumbing.tankVertices(tank)))
            .filter(v -> !levels.wet(v));
    int[] drains = IntStream.concat(ends, tanks).toArray();
    return new Flood(plumbing, OpenGraph.withHandlesFree(plumbing), levels, drains);
  }

  private static boolean canDrain(Kind kind) {
    return kind.is(Purpose.CAP)
        || kind.is(Purpose.OUTLET)
        || kind.keeps() == Keeps.UNDER_ITS_DRAIN
        || kind.is(Purpose.OUTSIDE);
  }

  private record Settled(int vertex, double level) {}

  private void run(OpenGraph graph, List<List<Integer>> arriving, int[] drains) {
    PriorityQueue<Settled> queue = new PriorityQueue<>(Comparator.comparingDouble(Settled::level));
    for (int drain : drains) {
      lower(drain, levels.height(drain), queue);
    }
    while (!queue.isEmpty()) {
      Settled next = queue.remove();
      if (next.level() > spill[next.vertex()]) {
        continue;
      }
      for (int e : arriving.get(next.vertex())) {
        if (graph.law(e) != Link.Law.DRIVE) {
          int v = graph.from(e);
          double crest = graph.line(e) >= 0 ? levels.crest(graph.line(e)) : levels.height(v);
          double before = Math.max(levels.height(v), crest);
          lower(v, Math.max(next.level(), before), queue);
        }
      }
    }
  }

  private void lower(int vertex, double level, PriorityQueue<Settled> queue) {
    if (level < spill[vertex]) {
      spill[vertex] = level;
      queue.add(new Settled(vertex, level));
    }
  }

  /**
   * Returns the height below which a tank does not empty by any of its ports (m); infinite when
   * nothing lets it out.
   */
  public double tankLevel(Part tank) {
    int first = plumbing.first(plumbing.index(tank.id()));
    double lowest = Double.POSITIVE_INFINITY;
    for (int v = first; v < first + tank.kind().ports().size(); v++) {
      lowest = Math.min(lowest, spill[v]);
    }
    return lowest;
  }

  /** Returns the level to which water stays at a port (m); infinite when nothing lets it out. */
  public double level(Part part, String port) {
    return spill[plumbing.vertex(part, port)];
  }

  /** Returns the water that stays in a line (m³). */
  public double stays(Line line) {
    int a = plumbing.vertex(line.from());
    int b = plumbing.vertex(line.to());
    double[] height = levels.profile(plumbing.lineNumber(line.id()));
    List<ProfilePoint> run = new ArrayList<>();
    for (int i = 0; i < height.length; i++) {
      run.add(new ProfilePoint(along(line, i), height[i]));
    }
    double[] level = standing(run, spill[a], spill[b]);
    double wet = 0;
    for (int i = 1; i < run.size(); i++) {
      ProfilePoint p = run.get(i - 1);
      ProfilePoint q = run.get(i);
      double water = Math.min(level[i - 1], level[i]);
      wet += (q.along() - p.along()) * shareBelow(water, p.height(), q.height());
    }
    return line.volume() * Math.clamp(wet / line.length(), 0, 1);
  }

  private static double along(Line line, int point) {
    if (point == 0) {
      return 0;
    }
    return point <= line.profile().size() ? line.profile().get(point - 1).along() : line.length();
  }

  /** Floods one line from both ends: each point keeps water up to the lower of its two crests. */
  private static double[] standing(List<ProfilePoint> run, double atStart, double atEnd) {
    int n = run.size();
    double[] left = new double[n];
    double[] right = new double[n];
    left[0] = Math.max(atStart, run.getFirst().height());
    right[n - 1] = Math.max(atEnd, run.getLast().height());
    for (int i = 1; i < n; i++) {
      left[i] = Math.max(left[i - 1], run.get(i).height());
    }
    for (int i = n - 2; i >= 0; i--) {
      right[i] = Math.max(right[i + 1], run.get(i).height());
    }
    double[] level = new double[n];
    Arrays.setAll(level, i -> Math.min(left[i], right[i]));
    return level;
  }

  private static double shareBelow(double water, double a, double b) {
    double low = Math.min(a, b);
    double high = Math.max(a, b);
    if (water >= high - LEVEL) {
      return water > low + Levels.COVERED || Double.isInfinite(water) ? 1 : 0;
    }
    return Math.clamp((water - low) / (high - low), 0, 1);
  }
}
