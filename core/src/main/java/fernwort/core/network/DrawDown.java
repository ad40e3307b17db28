package fernwort.core.network;

import fernwort.core.graph.LowestCrest;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Link;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Point;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.function.IntPredicate;

/**
 * How far down each fresh tank can be drawn with the handles set as one likes: to the port that a
 * pump draws from, as far as the pump lifts; to the crest or port on a way down to a tap; and, into
 * another tank that is drawn, to the crest between them or as far as that one goes. A siphon over a
 * crest that stands above the water is not counted on.
 *
 * <p>Each pump and all taps together are searched from once, backward along the passages, for the
 * lowest crest ({@link LowestCrest}); tanks that feed others take one search more.
 *
 * <pre>{@code
 * double stays = DrawDown.of(network, Slope.LEVEL).stranded(tank);
 * }</pre>
 */
public final class DrawDown {

  private static final double NEVER = Double.POSITIVE_INFINITY;

  private final Network network;
  private final Slope slope;
  private final Heights heights;
  private final OpenGraph graph;

  /** Height that each tank's water can be drawn down to, by its id (m). */
  private final Map<PartId, Double> lowest = new HashMap<>();

  private DrawDown(Network network, Slope slope) {
    this.network = network;
    this.slope = slope;
    heights = network.heights(slope);
    graph = OpenGraph.withHandlesFree(network);
    network.pumps().stream()
        .filter(p -> !p.kind().is(Purpose.CIRCULATES) && p.kind().ports().contains(PortId.IN))
        .forEach(this::fromPump);
    byFall(v -> draws(network.part(v)) && !network.port(v).equals(PortId.WASTE));
    if (hasNoTap() || hasInlet() && !network.pumps().isEmpty()) {
      Map<PartId, Double> piped = Map.copyOf(lowest);
      byFall(v -> isDrain(network.part(v)));
      // A drain serves, by hose or jug, only what neither pump nor tap comes to.
      lowest.putAll(piped);
    }
  }

  /** Looks at a rig on a slope. */
  public static DrawDown of(Network network, Slope slope) {
    return network.drawDown(slope);
  }

  static DrawDown find(Network network, Slope slope) {
    return new DrawDown(network, slope);
  }

  /** Returns the water of a tank that nothing on board can draw, when it is full (m³). */
  public double stranded(PartId tank) {
    Part part = network.rig().part(tank);
    double height = lowest.getOrDefault(tank, NEVER);
    if (lowest.isEmpty()) {
      // Nothing is drawn by anything described: what leaves by an outlet counts.
      return network.figures(part, slope).stranded();
    }
    if (height == NEVER) {
      return network.room(tank).capacity();
    }
    double corner = slope.heightOf(new Point(part.x(), part.y(), part.height()));
    return network.room(tank).volumeBelow(height - corner, slope);
  }

  /** Returns what can be drawn of the water of a tank in a state (m³). */
  public static double drawable(Network network, State state, PartId tank) {
    return Math.max(0, state.volume(tank) - of(network, state.slope()).stranded(tank));
  }

  private boolean hasNoTap() {
    return network.rig().parts().stream().noneMatch(DrawDown::draws);
  }

  private boolean hasInlet() {
    return network.rig().parts().stream().anyMatch(p -> p.kind().is(Purpose.INLET));
  }

  private static boolean draws(Part part) {
    return part.kind().is(Purpose.USE) || part.kind().is(Purpose.OUTSIDE);
  }

  private static boolean isDrain(Part part) {
    return part.kind().is(Purpose.CAP) || part.kind().is(Purpose.DRAINS);
  }

  private void fromPump(Part pump) {
    double[] starts = nowhere();
    starts[network.vertex(pump.port(PortId.IN))] = Double.NEGATIVE_INFINITY;
    double[] crests = LowestCrest.of(graph.backward(), this::crest, starts);
    double lift = pump.kind().primed().suctionLift();
    for (int v : ports()) {
      if (crests[v] < NEVER) {
        lower(v, Math.max(heights.lower(v), crests[v] - lift));
      }
    }
  }

  /** From ends by gravity alone, through one tank into the next. */
  private void byFall(IntPredicate ends) {
    boolean more = true;
    while (more) {
      double[] starts = nowhere();
      for (int v = 0; v < starts.length; v++) {
        if (!network.part(v).kind().is(Purpose.HOLDS) && ends.test(v)) {
          starts[v] = heights.lower(v);
        }
      }
      for (int v : ports()) {
        double drawn = lowest.getOrDefault(network.part(v).id(), NEVER);
        starts[v] = Math.min(starts[v], Math.max(drawn, heights.lower(v)));
      }
      Map<PartId, Double> before = Map.copyOf(lowest);
      double[] crests = LowestCrest.of(graph.backward(), this::crest, starts);
      for (int v : ports()) {
        lower(v, Math.max(heights.lower(v), crests[v]));
      }
      more = !before.equals(lowest);
    }
  }

  private double[] nowhere() {
    double[] starts = new double[network.size()];
    Arrays.fill(starts, NEVER);
    return starts;
  }

  /** The ports by which fresh water leaves its tanks. */
  private int[] ports() {
    return network
        .rig()
        .tanks(Contents.FRESH)
        .flatMapToInt(t -> t.kind().ports().stream().mapToInt(p -> network.vertex(t.port(p))))
        .filter(v -> !network.onlyIn(v))
        .toArray();
  }

  private void lower(int port, double height) {
    if (height < NEVER) {
      lowest.merge(network.part(port).id(), height, Math::min);
    }
  }

  /** How high water is lifted along a passage; no pump is passed, its own search begins there. */
  private double crest(int passage) {
    if (graph.law(passage) == Link.Law.DRIVE) {
      return NEVER;
    }
    int line = graph.line(passage);
    return line >= 0
        ? heights.crest(line)
        : Math.max(heights.lower(graph.from(passage)), heights.lower(graph.to(passage)));
  }
}
