package fernwort.core.ways;

import fernwort.core.graph.LowestCrest;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Link;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.rig.Part;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Vents, overflows and fillers whose ports stand under water while their lines stand open: air
 * comes in there once the tank's vacuum has pressed the water in the line down to the port.
 *
 * <p>The way with the lowest crest ({@link LowestCrest}).
 */
final class CoveredVents {

  private static final Set<TankPort.Use> VENTS = Set.of(TankPort.Use.VENT, TankPort.Use.FILL);

  private final OpenGraph graph;
  private final Network network;
  private final Levels levels;
  private final boolean[] opening;

  CoveredVents(OpenGraph graph, Levels levels, int[] openings) {
    this.graph = graph;
    this.levels = levels;
    network = graph.network();
    opening = new boolean[network.size()];
    for (int v : openings) {
      opening[v] = isAlwaysOpen(network.part(v).kind());
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
        double crest = crest(network.vertex(tank, port.id()), surface);
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
    double[] starts = new double[network.size()];
    Arrays.fill(starts, Double.POSITIVE_INFINITY);
    starts[port] = levels.height(port);
    double[] crest = LowestCrest.of(graph.backward(), this::over, starts);
    return IntStream.range(0, crest.length)
        .filter(v -> opening[v] && !isShutByWater(v, surface))
        .mapToDouble(v -> crest[v])
        .min()
        .orElse(Double.POSITIVE_INFINITY);
  }

  /** How high a passage leads, met from its end; infinite where no air comes by it. */
  private double over(int e) {
    int u = graph.from(e);
    if (graph.law(e) == Link.Law.DRIVE || graph.law(e) == Link.Law.SEAL || isTank(u)) {
      return Double.POSITIVE_INFINITY;
    }
    return graph.line(e) >= 0 ? levels.crest(graph.line(e)) : levels.height(u);
  }

  /** An air valve's ball floats up once water comes to it. */
  private boolean isShutByWater(int v, double surface) {
    return network.part(v).kind().is(Purpose.BREATHES) && surface > levels.height(v);
  }

  private boolean isTank(int v) {
    return network.part(v).kind().is(Purpose.HOLDS);
  }
}
