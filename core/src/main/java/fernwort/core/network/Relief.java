package fernwort.core.network;

import fernwort.core.graph.LowestCrest;
import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Where the water of a full tank goes when more is pressed in: whether an open passage leads from
 * it to the open, if need be through other tanks. A float ball that lets air out does not count,
 * for water shuts it.
 *
 * <p>Breadth first, O(E).
 */
public final class Relief {

  private static final Set<TankPort.Use> OUTLETS = Set.of(TankPort.Use.FEED, TankPort.Use.DRAIN);

  private final Network network;
  private final OpenGraph graph;
  private final Set<Integer> openings = new HashSet<>();

  private Relief(Network network, Setting setting) {
    this.network = network;
    graph = new OpenGraph(network, setting);
    graph.outlets().ends().stream()
        .filter(o -> o.end().kind() != End.Kind.TANK)
        .filter(o -> !network.part(o.vertex()).kind().is(Purpose.INLET))
        .forEach(o -> openings.add(o.vertex()));
  }

  /** Looks at a setting. */
  public static Relief of(Network network, Setting setting) {
    return new Relief(network, setting);
  }

  /**
   * Tells whether a tank cannot be pressed beyond what its overflow's height makes.
   *
   * @param tank id of the tank
   * @param source id of what presses, whose own way back does not count; empty for whatever does
   */
  public boolean has(PartId tank, Optional<PartId> source) {
    return source.filter(s -> isShutByFloats(tank, s)).isPresent()
        || opens(tank, source, new HashSet<>(), v -> true);
  }

  /**
   * Returns how high water has to rise to leave a tank by its vents, their handles open (m);
   * infinite when it cannot.
   */
  public static double height(Network network, Levels levels, Part tank) {
    OpenGraph free = OpenGraph.withHandlesFree(network);
    double[] starts = new double[network.size()];
    Arrays.fill(starts, Double.POSITIVE_INFINITY);
    for (TankPort port : ((Tank) tank.kind()).tankPorts()) {
      if (port.use() == TankPort.Use.VENT) {
        int v = network.vertex(tank, port.id());
        starts[v] = levels.height(v);
      }
    }
    double[] crest =
        LowestCrest.of(
            free,
            e -> free.line(e) >= 0 ? levels.crest(free.line(e)) : levels.height(free.to(e)),
            starts);
    return IntStream.range(0, crest.length)
        .filter(v -> network.is(v, Purpose.OUTLET))
        .mapToDouble(v -> crest[v])
        .min()
        .orElse(Double.POSITIVE_INFINITY);
  }

  /** Tells whether the line of one of a tank's vents stands open to the air. */
  public boolean hasByVents(PartId tank) {
    return opens(tank, Optional.empty(), new HashSet<>(), v -> use(v) == TankPort.Use.VENT);
  }

  /**
   * Tells whether nothing stands open on a tank but its outlets, which water covers as it rises,
   * and the lines that it is filled by: then its air is shut in as soon as more comes than those
   * let out.
   *
   * @param source id of what presses
   */
  public boolean hasAtMostOutlets(PartId tank, PartId source) {
    Set<Integer> fed = fedBy(source);
    return !isShutByFloats(tank, source)
        && !opens(
            tank,
            Optional.of(source),
            new HashSet<>(),
            v -> !OUTLETS.contains(use(v)) && !fed.contains(v));
  }

  private boolean opens(
      PartId tank, Optional<PartId> source, Set<PartId> seen, IntPredicate ports) {
    seen.add(tank);
    int from = network.index(tank);
    BitSet reached =
        graph.reached(
            IntStream.range(network.first(from), network.first(from + 1))
                .filter(v -> !network.onlyIn(v) && ports.test(v)));
    for (int v = reached.nextSetBit(0); v >= 0; v = reached.nextSetBit(v + 1)) {
      Part part = network.part(v);
      if (source.filter(part.id()::equals).isPresent() || part.id().equals(tank)) {
        continue;
      }
      boolean on =
          part.kind().is(Purpose.HOLDS)
              && !seen.contains(part.id())
              && !network.onlyIn(v)
              && opens(part.id(), source, seen, ports);
      if (openings.contains(v) || on) {
        return true;
      }
    }
    return false;
  }

  private TankPort.Use use(int tankPort) {
    return ((Tank) network.part(tankPort).kind()).port(network.port(tankPort)).use();
  }

  /** Tells whether all that comes from a source to a tank comes through float valves. */
  private boolean isShutByFloats(PartId tank, PartId source) {
    Set<Integer> fed = fedBy(source);
    int into = network.index(tank);
    boolean comes = false;
    for (int v = network.first(into); v < network.first(into + 1); v++) {
      if (fed.contains(v) && !network.onlyIn(v)) {
        return false;
      }
      comes |= fed.contains(v);
    }
    return comes;
  }

  /** The ports that what comes from a source reaches, through anything but tanks. */
  private Set<Integer> fedBy(PartId source) {
    int from = network.index(source);
    return graph.reached(IntStream.range(network.first(from), network.first(from + 1))).stream()
        .boxed()
        .collect(Collectors.toSet());
  }
}
