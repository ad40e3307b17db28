package fernwort.core.ways;

import fernwort.core.kind.Kind;
import fernwort.core.kind.Link;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.OpenGraph;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Part;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;

/**
 * Vents, overflows and fillers whose ports stand under water while their lines stand open: air
 * comes in there once the tank's vacuum has pressed the water in the line down to the port.
 *
 * <p>The way with the lowest crest, by a queue that takes the lowest point first; O(E log V).
 */
final class CoveredVents {

  private static final Set<TankPort.Use> VENTS = Set.of(TankPort.Use.VENT, TankPort.Use.FILL);

  private final OpenGraph graph;
  private final Plumbing plumbing;
  private final Levels levels;
  private final boolean[] opening;

  CoveredVents(OpenGraph graph, Levels levels, int[] openings) {
    this.graph = graph;
    this.levels = levels;
    plumbing = graph.plumbing();
    opening = new boolean[plumbing.size()];
    for (int v : openings) {
      opening[v] = isAlwaysOpen(plumbing.part(v).kind());
    }
  }

  private static boolean isAlwaysOpen(Kind kind) {
    return kind.is(Purpose.OUTLET)
        || kind.is(Purpose.POURED_INTO)
        || kind.is(Purpose.BREATHES)
        || kind.is(Purpose.CLOSES);
  }

  /** Returns the vent of a tank by which air comes in with the least vacuum. */
  Optional<TankAir.Bubbling> of(Part tank) {
    double surface = levels.surface(tank.id());
    Optional<TankAir.Bubbling> best = Optional.empty();
    for (TankPort port : ((Tank) tank.kind()).tankPorts()) {
      if (VENTS.contains(port.use())) {
        double crest = crest(plumbing.vertex(tank, port.id()), surface);
        TankAir.Bubbling by = new TankAir.Bubbling(levels.top(tank.port(port.id())), crest);
        if (crest < Double.POSITIVE_INFINITY
            && best.filter(b -> b.vacuum(surface) <= by.vacuum(surface)).isEmpty()) {
          best = Optional.of(by);
        }
      }
    }
    return best;
  }

  /** How high the way from the open air to a port rises at the least (m); infinite for none. */
  private double crest(int port, double surface) {
    double[] crest = new double[plumbing.size()];
    Arrays.fill(crest, Double.POSITIVE_INFINITY);
    crest[port] = levels.height(port);
    PriorityQueue<Integer> queue = new PriorityQueue<>(Comparator.comparingDouble(v -> crest[v]));
    queue.add(port);
    boolean[] done = new boolean[crest.length];
    while (!queue.isEmpty()) {
      int v = queue.remove();
      if (done[v]) {
        continue;
      }
      done[v] = true;
      if (opening[v] && !isShutByWater(v, surface)) {
        return crest[v];
      }
      for (int e = graph.lastInto(v); e >= 0; e = graph.previousInto(e)) {
        int u = graph.from(e);
        boolean passes = graph.law(e) != Link.Law.DRIVE && graph.law(e) != Link.Law.SEAL;
        double over =
            Math.max(crest[v], graph.line(e) >= 0 ? levels.crest(graph.line(e)) : levels.height(u));
        if (passes && !done[u] && !isTank(u) && over < crest[u]) {
          crest[u] = over;
          queue.add(u);
        }
      }
    }
    return Double.POSITIVE_INFINITY;
  }

  /** An air valve's ball floats up once water comes to it. */
  private boolean isShutByWater(int v, double surface) {
    return plumbing.part(v).kind().is(Purpose.BREATHES) && surface > levels.height(v);
  }

  private boolean isTank(int v) {
    return plumbing.part(v).kind().is(Purpose.HOLDS);
  }
}
