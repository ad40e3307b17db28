package fernwort.core.hydraulics;

import fernwort.core.flow.Expected;
import fernwort.core.flow.Filtering;
import fernwort.core.flow.FlowNetwork;
import fernwort.core.flow.Fluid;
import fernwort.core.flow.Lift;
import fernwort.core.flow.Loss;
import fernwort.core.flow.OneWay;
import fernwort.core.flow.Orifice;
import fernwort.core.flow.Pipe;
import fernwort.core.flow.PressureControl;
import fernwort.core.flow.Throttle;
import fernwort.core.flow.Venting;
import fernwort.core.hydraulics.RigNetwork.Gate;
import fernwort.core.hydraulics.RigNetwork.Stands;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Given;
import fernwort.core.kind.Link;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tap;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.MixingValve;
import fernwort.core.kind.machine.Driven;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Levels;
import fernwort.core.network.LinePipes;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.network.Outlets;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * Makes the flow network of one state. A tank's water is a reservoir at its surface; a port of it
 * above the water lets water fall in. Every open end lets water out at its own height and none in.
 */
final class NetworkBuilder {

  /** A float valve less open than this share passes nothing that anybody could measure. */
  private static final double CLOSED = 1e-4;

  /** A mixing valve closes a side no further than this (share). */
  private static final double LEAST_OPEN = 1e-3;

  /** What floats and mixing valves are rated at (Pa). */
  private static final double BAR = 1e5;

  private final WetPorts wet;
  private final OpenGraph graph;
  private final Network network;
  private final Levels levels;
  private final LinePipes lines;
  private final List<Pipe> pipes;
  private final Map<Integer, Double> throttled;
  private final Conditions conditions;
  private final Fluid water;
  private final Map<PartId, Venting> vents;
  private final Map<Integer, Double> fallingIn;
  private final int[] node;
  private final int[] breathing;
  private final FlowNetwork.Builder building = FlowNetwork.builder();
  private final List<Stands> stands = new ArrayList<>(FlowNetwork.Builder.ROOM);
  private final List<Gate> gates = new ArrayList<>();
  private final Map<Integer, Integer> airLinks = new HashMap<>();
  private final Map<Integer, Integer> pumpLinks = new HashMap<>();
  private final Map<Integer, Integer> ventLinks = new HashMap<>();
  private final Map<Integer, Integer> spillLinks = new HashMap<>();

  /**
   * Prepares a network.
   *
   * @param vents what the air of each tank passes
   * @param fallingIn what falls into tanks that spill, by their place in the rig (m³/s)
   */
  NetworkBuilder(
      WetPorts wet, LinePipes lines, Map<PartId, Venting> vents, Map<Integer, Double> fallingIn) {
    this.wet = wet;
    this.vents = vents;
    this.fallingIn = fallingIn;
    graph = wet.graph();
    network = wet.network();
    levels = wet.levels();
    conditions = wet.conditions();
    water = conditions.water();
    this.lines = lines;
    pipes = lines.pipes(water);
    throttled = throttled();
    node = new int[network.size()];
    breathing = new int[network.tanks().size()];
  }

  /**
   * Builds the network.
   *
   * @param cycling indices of the pumps that their switch holds between its two pressures
   * @param airy vertices at which the moving water is open to the air
   */
  RigNetwork build(Set<Integer> cycling, Set<Integer> airy) {
    addNodes();
    addPassages(cycling);
    addTanks();
    addSpills();
    addSupplies();
    addOutlets();
    for (int v : airy) {
      int free = building.reservoir(wet.spillHeight(v));
      airLinks.put(v, link(node[v], free, new Filtering(0), Optional.empty(), network.part(v)));
    }
    return new RigNetwork(
        building.build(),
        node,
        breathing,
        stands,
        gates,
        airLinks,
        pumpLinks,
        ventLinks,
        spillLinks);
  }

  private void addNodes() {
    Arrays.fill(node, -1);
    for (int i = 0; i < network.tanks().size(); i++) {
      breathing[i] = breathingWater(i);
      for (int v : network.tankVertices(i)) {
        if (levels.wet(v) && v != wet.spill(i) && node[wet.one(v)] < 0) {
          node[wet.one(v)] = breathing[i] >= 0 ? breathing[i] : waterOf(network.tanks().get(i));
        }
      }
    }
    for (int v = 0; v < node.length; v++) {
      if (!wet.isDry(v)) {
        int r = wet.one(v);
        if (node[r] < 0) {
          node[r] = building.junction(levels.height(r));
        }
        node[v] = node[r];
      }
    }
  }

  /**
   * The water of a tank whose air takes pressure to move, or that passes on what it gets: a
   * junction that it stands on; or −1.
   */
  private int breathingWater(int place) {
    Part tank = network.tanks().get(place);
    if (wet.spill(place) >= 0) {
      return building.junction(wet.surface(tank));
    }
    Optional<Loss> air = airOf(tank.id());
    if (air.isEmpty()
        || levels.isBrimFull(tank.id())
        || conditions.carried().airlocked().contains(tank.id())) {
      return -1;
    }
    int water = building.junction(wet.surface(tank));
    int open = building.reservoir(wet.surface(tank));
    int link = link(water, open, air.get(), Optional.empty(), tank);
    ventLinks.put(place, link);
    return water;
  }

  /** What a tank's air takes to move: through its vent, or squeezed where it is shut in. */
  private Optional<Loss> airOf(PartId tank) {
    Loss vent = vents.get(tank);
    return Optional.ofNullable(vent != null ? vent : conditions.carried().yielding().get(tank));
  }

  /**
   * A tank's water: a reservoir; brim-full, a junction that gives water but takes no more; with its
   * air locked in, one that does neither.
   */
  private int waterOf(Part tank) {
    if (conditions.carried().airlocked().contains(tank.id())) {
      return building.junction(wet.surface(tank));
    }
    int water = building.reservoir(wet.surface(tank));
    if (!levels.isBrimFull(tank.id())) {
      return water;
    }
    int brim = building.junction(wet.surface(tank));
    int link = link(water, brim, OneWay.FREE_END, Optional.empty(), tank);
    gates.add(new Gate(Gate.Kind.TANK, tank.id(), link, -1));
    return brim;
  }

  private int link(int a, int b, Loss loss, Optional<LineId> line, Part part) {
    stands.add(new Stands(line, part));
    return building.link(a, b, loss);
  }

  private void addPassages(Set<Integer> cycling) {
    for (int e = 0; e < graph.edges(); e++) {
      boolean both = graph.law(e) == Link.Law.FREE || graph.law(e) == Link.Law.SEAL;
      boolean holds = wet.holds(e) || both && wet.holds(e + 1);
      if (holds && !wet.isFree(e)) {
        addPassage(e, cycling);
      }
      if (both) {
        e++;
      }
    }
  }

  private void addPassage(int e, Set<Integer> cycling) {
    int a = node[graph.from(e)];
    int b = node[graph.to(e)];
    Part part = network.part(graph.from(e));
    Optional<LineId> none = Optional.empty();
    switch (graph.law(e)) {
      case CHECK -> link(a, b, checked(part, e), none, part);
      case REGULATOR ->
          link(
              a,
              b,
              new PressureControl(levels.height(graph.to(e)) + graph.value(e), OneWay.FREE_END),
              none,
              part);
      case DRIVE -> {
        int index = network.index(part.id());
        pumpLinks.put(index, link(a, b, lift(part, graph.to(e), cycling), none, part));
      }
      case FREE, SEAL -> {
        if (graph.line(e) >= 0) {
          LineId id = network.rig().lines().get(graph.line(e)).id();
          link(a, b, pipe(graph.line(e)), Optional.of(id), part);
        } else if (part.kind() instanceof Filter filter) {
          link(a, b, filtering(part, filter), none, part);
        }
      }
    }
  }

  /** A line as a pipe, with what a valve takes in it that is open half way. */
  private Pipe pipe(int line) {
    double more = throttled.getOrDefault(line, 0.0);
    return more > 0 ? lines.throttled(line, water, more) : pipes.get(line);
  }

  /** Of each valve that is open half way, what it takes in the line at its first port. */
  private Map<Integer, Double> throttled() {
    Map<Integer, Double> throttled = new HashMap<>();
    graph
        .setting()
        .positions()
        .forEach((id, position) -> {
          Part part = network.rig().part(id);
          double takes = part.kind().throttles(position);
          if (takes > 0) {
            part.kind().ports().stream()
                .map(part::port)
                .filter(network::hasLine)
                .findFirst()
                .ifPresent(port -> throttled.merge(network.lineAt(port), takes, Double::sum));
          }
        });
    return throttled;
  }

  /** A check; in a mixing valve with what its side takes that is open so far. */
  private Loss checked(Part part, int e) {
    if (conditions.hot().isEmpty() || part.kind().mixesTo().isEmpty()) {
      return new OneWay(graph.value(e));
    }
    double hot = conditions.hot(part.id());
    double open = network.port(graph.from(e)).equals(PortId.HOT) ? hot : 1 - hot;
    double whole = water.head(BAR) / (MixingValve.PASSES * MixingValve.PASSES);
    double share = Math.max(LEAST_OPEN, open);
    return new Throttle(graph.value(e), whole / (share * share));
  }

  private Loss filtering(Part part, Filter filter) {
    double clean = water.head(filter.ratedLoss()) / filter.ratedFlow();
    return new Filtering(clean * conditions.clogging(part.id()));
  }

  private Loss lift(Part part, int out, Set<Integer> cycling) {
    Driven driven = (Driven) part.kind();
    Lift lift =
        new Lift(water.head(driven.shutOffPressure()), driven.freeFlow(), driven.holdsBack());
    OptionalDouble held = driven.held();
    return held.isPresent() && cycling.contains(network.index(part.id()))
        ? new PressureControl(levels.height(out) + water.head(held.getAsDouble()), lift)
        : lift;
  }

  private void addTanks() {
    for (int i = 0; i < network.tanks().size(); i++) {
      Part tank = network.tanks().get(i);
      int locked = conditions.carried().airlocked().contains(tank.id()) ? lockedWater(i) : -1;
      boolean takes = locked >= 0 || !conditions.carried().airlocked().contains(tank.id());
      for (int v : network.tankVertices(i)) {
        if (node[v] < 0 || levels.wet(v) || levels.floatShut(v) || !takes) {
          continue;
        }
        double drop = Math.max(0, levels.height(v) - levels.surface(tank.id()));
        if (locked >= 0) {
          link(node[v], locked, fallingIn(v, drop), Optional.empty(), tank);
        } else if (breathing[i] >= 0 && wet.spill(i) < 0) {
          link(node[v], breathing[i], fallingIn(v, drop), Optional.empty(), tank);
        } else {
          int over = building.reservoir(levels.height(v) + conditions.airHead(tank.id()));
          int link = link(node[v], over, fallingIn(v, 0), Optional.empty(), tank);
          gates.add(new Gate(Gate.Kind.TANK, tank.id(), link, 1));
        }
      }
    }
  }

  /** The node of the water of a tank that passes on what it gets; −1 where none covers a port. */
  private int lockedWater(int place) {
    for (int v : network.tankVertices(place)) {
      if (levels.wet(v) && v != wet.spill(place)) {
        return node[v];
      }
    }
    return -1;
  }

  /** What falls into a tank by a port above its water: freely, or through a float valve. */
  private Loss fallingIn(int v, double drop) {
    double opening = network.onlyIn(v) ? Math.max(CLOSED, levels.floatOpening(v)) : 1;
    Optional<Double> passes = floatPasses(v);
    if (passes.isPresent()) {
      double whole = water.head(BAR) / (passes.get() * passes.get());
      return new Throttle(drop, whole / (opening * opening));
    }
    if (opening >= 1) {
      return new OneWay(drop);
    }
    // The passage that is left, as a share of the line's own, takes its velocity head anew.
    double area = network.lineId(port(v)).map(this::area).orElse(0.0);
    double closed = 1 / (opening * opening) - 1;
    return new Throttle(drop, closed / (2 * Fluid.GRAVITY * area * area));
  }

  /** What a float valve passes at 1 bar (m³/s), where somebody knows. */
  private Optional<Double> floatPasses(int v) {
    return network.onlyIn(v)
        ? network.part(v).kind().opening(network.port(v)).flatMap(TankPort::passes)
        : Optional.empty();
  }

  private PortRef port(int v) {
    return network.part(v).port(network.port(v));
  }

  private double area(LineId line) {
    Line of = network.rig().lines().get(network.lineNumber(line));
    return of.volume() / of.length();
  }

  private void addSpills() {
    for (int i = 0; i < network.tanks().size(); i++) {
      int v = wet.spill(i);
      if (v >= 0 && node[v] >= 0) {
        Part tank = network.tanks().get(i);
        Optional<LineId> none = Optional.empty();
        spillLinks.put(i, link(breathing[i], node[v], OneWay.FREE_END, none, tank));
        int fallen = building.reservoir(wet.surface(tank));
        Expected falls = Expected.known(fallingIn.getOrDefault(i, 0.0));
        int link = link(fallen, breathing[i], falls, none, tank);
        gates.add(new Gate(Gate.Kind.TANK, tank.id(), link, -1));
      }
    }
  }

  private void addSupplies() {
    for (Part part : network.sources()) {
      if (wet.gives(part)) {
        int v = network.first(network.index(part.id()));
        int supply = building.reservoir(wet.supplyHead(part, v));
        Loss loss = tap(graph.setting().given(part).orElseThrow());
        int link = link(supply, node[v], loss, Optional.empty(), part);
        gates.add(new Gate(Gate.Kind.SUPPLY, part.id(), link, 1));
      }
    }
  }

  /** Tap and hose: p = p₀·(1 − (Q/Q_t)²), from their pressure at no flow to what a bucket gets. */
  private Loss tap(Given given) {
    return switch (given.from()) {
      case MAINS ->
          given
              .flow()
              .<Loss>map(
                  q -> new Orifice(q, water.head(given.pressure()), Double.POSITIVE_INFINITY))
              .orElseGet(() -> new Filtering(0));
      case OUTSIDE -> new Filtering(0);
      case JUG, NECK -> OneWay.FREE_END;
    };
  }

  private void addOutlets() {
    for (Outlets.Outlet outlet : wet.outlets().ends()) {
      int v = outlet.vertex();
      Part part = network.part(v);
      boolean supplies = wet.gives(part);
      if (node[v] < 0 || network.is(v, Purpose.HOLDS) || supplies || isPouredInto(part, v)) {
        continue;
      }
      int open = building.reservoir(levels.height(v));
      if (part.kind() instanceof Tap fixture) {
        int link = link(node[v], open, orifice(part, fixture), Optional.empty(), part);
        gates.add(new Gate(Gate.Kind.FIXTURE, part.id(), link, 1));
      } else {
        int link = link(node[v], open, OneWay.FREE_END, Optional.empty(), part);
        gates.add(new Gate(Gate.Kind.END, part.id(), link, 1));
      }
    }
    for (int v : network.wastes()) {
      if (node[v] >= 0) {
        Part part = network.part(v);
        int open = building.reservoir(levels.height(v));
        int link = link(node[v], open, OneWay.FREE_END, Optional.empty(), part);
        gates.add(new Gate(Gate.Kind.END, part.id(), link, 1));
      }
    }
  }

  /** A jug is tilted only as far as the filler swallows, so that nothing comes back out. */
  private boolean isPouredInto(Part part, int v) {
    return part.kind().is(Purpose.POURED_INTO) && network.hasLine(part.port(network.port(v)));
  }

  /** A mixer that is open half way passes half its flow on each side. */
  private Loss orifice(Part part, Tap fixture) {
    double share = graph.setting().of(part.id()).equals(Tap.WARM.id()) ? 0.5 : 1;
    double most = fixture.restrictor().orElse(Double.POSITIVE_INFINITY);
    return new Orifice(
        share * fixture.ratedFlow(), water.head(fixture.ratedPressure()), share * most);
  }
}
