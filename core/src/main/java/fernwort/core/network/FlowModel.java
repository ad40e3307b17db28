package fernwort.core.network;

import fernwort.core.network.flow.Filtering;
import fernwort.core.network.flow.FlowNetwork;
import fernwort.core.network.flow.Fluid;
import fernwort.core.network.flow.Hold;
import fernwort.core.network.flow.Lift;
import fernwort.core.network.flow.Loss;
import fernwort.core.network.flow.OneWay;
import fernwort.core.network.flow.Orifice;
import fernwort.core.network.flow.SteadyFlow;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The ports of one state that stand under water as a flow network, and its solution in the rig's
 * words.
 *
 * <p>Ports that a body joins without loss are one node. A tank's water is a reservoir at its
 * surface; a port of it above the water lets water fall in. Every open end lets water out at its
 * own height and none in.
 */
final class FlowModel {

  private static final double STILL = 1e-10;

  /** What a link stands for: a line or a part. */
  private record Stands(Optional<String> line, Part part) {}

  /** Where water leaves or enters the network, and the link it does so by. */
  private record Gate(Kind kind, String part, int link, int sign) {
    enum Kind {
      FIXTURE,
      END,
      TANK,
      SUPPLY
    }
  }

  private final OpenGraph graph;
  private final Plumbing plumbing;
  private final Levels levels;
  private final LinePipes pipes;
  private final Conditions conditions;
  private final Fluid water;
  private final Reach reach;
  private final Outlets outlets;
  private final int[] root;
  private final int[] node;
  private FlowNetwork network = FlowNetwork.builder().build();
  private FlowNetwork.Builder building = FlowNetwork.builder();
  private final List<Stands> stands = new ArrayList<>();
  private final List<Gate> gates = new ArrayList<>();
  private final Map<Integer, Integer> airLinks = new HashMap<>();
  private final Map<Integer, Integer> pumpLinks = new HashMap<>();

  FlowModel(OpenGraph graph, Levels levels, LinePipes pipes, Conditions conditions) {
    this.graph = graph;
    this.plumbing = graph.plumbing;
    this.levels = levels;
    this.pipes = pipes;
    this.conditions = conditions;
    this.water = conditions.water();
    outlets = new Outlets(graph);
    reach = new Reach(graph, levels, conditions.airlocked());
    root = new int[plumbing.size()];
    node = new int[plumbing.size()];
    flood();
    join();
  }

  boolean isOn(Part pump) {
    return graph.is(pump, "on");
  }

  // --- what is under water -------------------------------------------------------------------

  private void flood() {
    for (Part part : plumbing.sources()) {
      int v = plumbing.first(plumbing.index(part.id()));
      switch (part.kind()) {
        case Kind.Tank tank -> {
          for (int i = 0; i < tank.tankPorts().size(); i++) {
            if (levels.wet(v + i)) {
              reach.from(v + i, surface(part));
            }
          }
        }
        case Kind.HoseInlet inlet -> {
          if (!graph.is(part, "capped")) {
            reach.from(v, supplyHead(part, inlet, v));
          }
        }
        case Kind.PortableContainer jug -> {
          if (pours(part)) {
            reach.from(v, levels.height(v) + OpenWays.POURING_HEIGHT);
          }
        }
        default -> {}
      }
    }
    for (String line : conditions.runningFull()) {
      reach.runsFull(plumbing.lineNumber(line));
    }
    reach.run();
  }

  private boolean pours(Part jug) {
    return graph.is(jug, "pouring") && !conditions.emptyJugs().contains(jug.id());
  }

  private double surface(Part tank) {
    return levels.surface(tank.id()) + conditions.airHead(tank.id());
  }

  private double supplyHead(Part part, Kind.HoseInlet inlet, int v) {
    return graph.is(part, "mains")
        ? levels.height(v) + water.head(inlet.mainsPressure())
        : inlet.outsideHeight();
  }

  /**
   * Joins the ports between which a body takes no head, and the ports of a tank under its water.
   */
  private void join() {
    Arrays.setAll(root, v -> v);
    for (int e = 0; e < graph.edges; e++) {
      if (isFree(e) && reach.holds(e)) {
        union(graph.from[e], graph.to[e]);
      }
    }
    for (int tank = 0; tank < plumbing.tanks().size(); tank++) {
      int first = -1;
      for (int v : plumbing.tankVertices(tank)) {
        if (levels.wet(v)) {
          first = first < 0 ? v : first;
          union(first, v);
        }
      }
    }
  }

  private boolean isFree(int e) {
    boolean passage = graph.type[e] == OpenGraph.PLAIN || graph.type[e] == OpenGraph.SEAL;
    return passage
        && graph.line[e] < 0
        && !(plumbing.part(graph.from[e]).kind() instanceof Kind.Filter);
  }

  private int find(int vertex) {
    int v = vertex;
    while (root[v] != v) {
      root[v] = root[root[v]];
      v = root[v];
    }
    return v;
  }

  private void union(int a, int b) {
    root[Math.max(find(a), find(b))] = Math.min(find(a), find(b));
  }

  // --- the network ---------------------------------------------------------------------------

  /**
   * Builds the network.
   *
   * @param cycling indices of the pumps that their switch holds between its two pressures
   * @param airy vertices at which the moving water is open to the air
   */
  void build(Set<Integer> cycling, Set<Integer> airy) {
    building = FlowNetwork.builder();
    stands.clear();
    gates.clear();
    airLinks.clear();
    pumpLinks.clear();
    addNodes();
    addPassages(cycling);
    addTanks();
    addSupplies();
    addOutlets();
    for (int v : airy) {
      int free = building.reservoir(levels.height(v));
      airLinks.put(v, link(node[v], free, new Filtering(0), Optional.empty(), plumbing.part(v)));
    }
    network = building.build();
  }

  private void addNodes() {
    Arrays.fill(node, -1);
    for (int i = 0; i < plumbing.tanks().size(); i++) {
      for (int v : plumbing.tankVertices(i)) {
        if (levels.wet(v) && node[find(v)] < 0) {
          node[find(v)] = waterOf(plumbing.tanks().get(i));
        }
      }
    }
    for (int v = 0; v < node.length; v++) {
      if (!reach.dry[v]) {
        int r = find(v);
        if (node[r] < 0) {
          node[r] = building.junction(levels.height(r));
        }
        node[v] = node[r];
      }
    }
  }

  /**
   * A tank's water: a reservoir; brim-full, a junction that gives water but takes no more; with its
   * air locked in, one that does neither.
   */
  private int waterOf(Part tank) {
    if (conditions.airlocked().contains(tank.id())) {
      return building.junction(surface(tank));
    }
    int water = building.reservoir(surface(tank));
    if (!levels.isBrimFull(tank.id())) {
      return water;
    }
    int brim = building.junction(surface(tank));
    int link = link(water, brim, OneWay.FREE_END, Optional.empty(), tank);
    gates.add(new Gate(Gate.Kind.TANK, tank.id(), link, -1));
    return brim;
  }

  private int link(int a, int b, Loss loss, Optional<String> line, Part part) {
    stands.add(new Stands(line, part));
    return building.link(a, b, loss);
  }

  private void addPassages(Set<Integer> cycling) {
    for (int e = 0; e < graph.edges; e++) {
      boolean both = graph.type[e] == OpenGraph.PLAIN || graph.type[e] == OpenGraph.SEAL;
      boolean holds = reach.holds(e) || both && reach.holds(e + 1);
      if (holds && !isFree(e)) {
        addPassage(e, cycling);
      }
      if (both) {
        e++;
      }
    }
  }

  private void addPassage(int e, Set<Integer> cycling) {
    int a = node[graph.from[e]];
    int b = node[graph.to[e]];
    Part part = plumbing.part(graph.from[e]);
    Optional<String> none = Optional.empty();
    switch (graph.type[e]) {
      case OpenGraph.CHECK -> link(a, b, new OneWay(graph.value[e]), none, part);
      case OpenGraph.REGULATOR ->
          link(
              a,
              b,
              new Hold(levels.height(graph.to[e]) + graph.value[e], OneWay.FREE_END),
              none,
              part);
      case OpenGraph.PUMP -> {
        int index = plumbing.index(part.id());
        pumpLinks.put(index, link(a, b, lift(part, graph.to[e], cycling), none, part));
      }
      default -> {
        if (graph.line[e] >= 0) {
          String id = plumbing.rig().lines().get(graph.line[e]).id();
          link(a, b, pipes.pipe(graph.line[e], water), Optional.of(id), part);
        } else if (part.kind() instanceof Kind.Filter filter) {
          link(a, b, filtering(part, filter), none, part);
        }
      }
    }
  }

  private Loss filtering(Part part, Kind.Filter filter) {
    double clean = water.head(filter.ratedLoss()) / filter.ratedFlow();
    return new Filtering(clean * conditions.clogging(part.id()));
  }

  private Loss lift(Part part, int out, Set<Integer> cycling) {
    return switch (part.kind()) {
      case Kind.Pump pump -> {
        boolean valves =
            switch (pump.works()) {
              case DIAPHRAGM, FOOT, HAND -> true;
              case CENTRIFUGAL, IMPELLER -> false;
            };
        Lift lift = new Lift(water.head(pump.shutOffPressure()), pump.freeFlow(), valves);
        double mean = (pump.cutIn() + pump.cutOut()) / 2;
        yield cycling.contains(plumbing.index(part.id()))
            ? new Hold(levels.height(out) + water.head(mean), lift)
            : lift;
      }
      case Kind.Macerator k -> new Lift(water.head(k.shutOffPressure()), k.freeFlow(), true);
      default -> throw new IllegalStateException(part.label() + " is no pump");
    };
  }

  private void addTanks() {
    for (int i = 0; i < plumbing.tanks().size(); i++) {
      Part tank = plumbing.tanks().get(i);
      for (int v : plumbing.tankVertices(i)) {
        boolean takes = !conditions.airlocked().contains(tank.id());
        if (node[v] >= 0 && !levels.wet(v) && !levels.floatShut(v) && takes) {
          int over = building.reservoir(levels.height(v) + conditions.airHead(tank.id()));
          int link = link(node[v], over, OneWay.FREE_END, Optional.empty(), tank);
          gates.add(new Gate(Gate.Kind.TANK, tank.id(), link, 1));
        }
      }
    }
  }

  private void addSupplies() {
    for (Part part : plumbing.sources()) {
      int v = plumbing.first(plumbing.index(part.id()));
      Optional<String> none = Optional.empty();
      if (part.kind() instanceof Kind.HoseInlet inlet && !graph.is(part, "capped")) {
        double head =
            inlet.tapFlow().isPresent() && graph.is(part, "mains")
                ? levels.height(v)
                : supplyHead(part, inlet, v);
        int supply = building.reservoir(head);
        int link = link(supply, node[v], tap(part, inlet), none, part);
        gates.add(new Gate(Gate.Kind.SUPPLY, part.id(), link, 1));
      }
      if (part.kind() instanceof Kind.PortableContainer && pours(part)) {
        int supply = building.reservoir(levels.height(v) + OpenWays.POURING_HEIGHT);
        int link = link(supply, node[v], OneWay.FREE_END, none, part);
        gates.add(new Gate(Gate.Kind.SUPPLY, part.id(), link, 1));
      }
    }
  }

  /** Tap and hose: straight from their pressure at no flow to what they give into a bucket. */
  private Loss tap(Part part, Kind.HoseInlet inlet) {
    boolean timed = inlet.tapFlow().isPresent() && graph.is(part, "mains");
    return timed
        ? new Lift(water.head(inlet.mainsPressure()), inlet.tapFlow().orElseThrow(), false)
        : new Filtering(0);
  }

  private void addOutlets() {
    for (Outlets.Outlet outlet : outlets.ends) {
      int v = outlet.vertex();
      Part part = plumbing.part(v);
      if (node[v] < 0 || part.kind() instanceof Kind.Tank || isPouredInto(part, v)) {
        continue;
      }
      int open = building.reservoir(levels.height(v));
      if (part.kind() instanceof Kind.Fixture fixture) {
        int link = link(node[v], open, orifice(part, fixture), Optional.empty(), part);
        gates.add(new Gate(Gate.Kind.FIXTURE, part.id(), link, 1));
      } else {
        int link = link(node[v], open, OneWay.FREE_END, Optional.empty(), part);
        gates.add(new Gate(Gate.Kind.END, part.id(), link, 1));
      }
    }
    for (Part part : plumbing.rig().parts()) {
      if (part.kind() instanceof Kind.Fixture && part.kind().ports().contains("waste")) {
        int v = plumbing.vertex(part, "waste");
        if (node[v] >= 0) {
          int open = building.reservoir(levels.height(v));
          int link = link(node[v], open, OneWay.FREE_END, Optional.empty(), part);
          gates.add(new Gate(Gate.Kind.END, part.id(), link, 1));
        }
      }
    }
  }

  /** A jug is tilted only as far as the filler swallows, so that nothing comes back out. */
  private boolean isPouredInto(Part part, int v) {
    return part.kind() instanceof Kind.GravityFiller
        && plumbing.hasLine(part.port(plumbing.port(v)));
  }

  /** A mixer that is open half way passes half its flow on each side. */
  private Loss orifice(Part part, Kind.Fixture fixture) {
    double share = graph.setting.of(part.id()).equals("warm") ? 0.5 : 1;
    double most = fixture.restrictor().orElse(Double.POSITIVE_INFINITY);
    return new Orifice(
        share * fixture.ratedFlow(), water.head(fixture.ratedPressure()), share * most);
  }

  FlowNetwork network() {
    return network;
  }

  SteadyFlow solve() {
    return network.solve();
  }

  /** Returns what people call the thing that a link stands for. */
  String nameOf(int link) {
    return stands.get(link).line().map(l -> "line " + l).orElse(stands.get(link).part().label());
  }

  double pressureAt(int vertex, SteadyFlow flow) {
    return node[vertex] < 0
        ? 0
        : water.pressure(flow.heads()[node[vertex]] - levels.height(vertex));
  }

  // --- air -----------------------------------------------------------------------------------

  /** Takes away the airy ports where the water pushes out; tells whether there were any. */
  boolean dropFull(SteadyFlow flow, Set<Integer> airy, Set<Integer> full) {
    List<Integer> pushing =
        airy.stream().filter(v -> flow.flows()[at(airLinks, v)] > STILL).toList();
    pushing.forEach(airy::remove);
    return full.addAll(pushing);
  }

  private static int at(Map<Integer, Integer> links, int key) {
    Integer link = links.get(key);
    if (link == null) {
      throw new IllegalStateException("no link for vertex " + key);
    }
    return link;
  }

  /** Returns ports of moving water at which air comes in, but for those known or found full. */
  Set<Integer> airEntries(SteadyFlow flow, Set<Integer> known, Set<Integer> full) {
    Set<Integer> entries = new AirEntries(graph, levels, outlets, node).find(flow, moving(flow));
    entries.removeAll(known);
    entries.removeAll(full);
    return entries;
  }

  private boolean[] moving(SteadyFlow flow) {
    boolean[] moving = new boolean[flow.heads().length];
    for (int l = 0; l < flow.flows().length; l++) {
      if (Math.abs(flow.flows()[l]) > STILL) {
        moving[network.from(l)] = true;
        moving[network.to(l)] = true;
      }
    }
    return moving;
  }

  private double[] shares(SteadyFlow flow, Set<Integer> airy) {
    if (airy.isEmpty()) {
      return Mixing.waterAlone(network);
    }
    Set<Integer> air = new HashSet<>();
    airLinks.values().forEach(l -> air.add(network.to(l)));
    return new Mixing(network, flow, stillWater()).shares(air);
  }

  /** Nodes at which air and water part: the tanks, brim-full ones too. */
  private boolean[] stillWater() {
    boolean[] still = new boolean[network.size()];
    for (int n = 0; n < still.length; n++) {
      still[n] = network.isReservoir(n);
    }
    for (int i = 0; i < plumbing.tanks().size(); i++) {
      for (int v : plumbing.tankVertices(i)) {
        if (levels.wet(v)) {
          still[node[v]] = true;
        }
      }
    }
    return still;
  }

  // --- the answer ----------------------------------------------------------------------------

  Flows answer(SteadyFlow flow, Set<Integer> cycling, Set<Integer> airy) {
    double[] share = shares(flow, airy);
    double[] q = new double[flow.flows().length];
    for (int l = 0; l < q.length; l++) {
      double whole = flow.flows()[l];
      q[l] = whole * share[whole >= 0 ? network.from(l) : network.to(l)];
    }
    Map<String, Double> lines = new HashMap<>();
    Set<String> full = new HashSet<>();
    for (int l = 0; l < q.length; l++) {
      double of = q[l];
      double whole = flow.flows()[l];
      stands
          .get(l)
          .line()
          .ifPresent(id -> {
            lines.put(id, of);
            if (Math.abs(of) > STILL && of == whole) {
              full.add(id);
            }
          });
    }
    Map<Gate.Kind, Map<String, Double>> through = new HashMap<>();
    for (Gate.Kind kind : Gate.Kind.values()) {
      through.put(kind, new HashMap<>());
    }
    gates.forEach(g ->
        through
            .getOrDefault(g.kind(), new HashMap<>())
            .merge(g.part(), g.sign() * q[g.link()], Double::sum));
    Map<String, Double> tanks = through.getOrDefault(Gate.Kind.TANK, new HashMap<>());
    addUnderWater(q, tanks);
    return new Flows(
        lines,
        pressures(flow),
        through.getOrDefault(Gate.Kind.FIXTURE, Map.of()),
        through.getOrDefault(Gate.Kind.END, Map.of()),
        tanks,
        through.getOrDefault(Gate.Kind.SUPPLY, Map.of()),
        pumps(flow, q, share, cycling),
        airy.stream().map(v -> plumbing.part(v).id()).distinct().sorted().toList(),
        full);
  }

  private void addUnderWater(double[] q, Map<String, Double> tanks) {
    double[] gain = new double[network.size()];
    for (int l = 0; l < q.length; l++) {
      gain[network.from(l)] -= q[l];
      gain[network.to(l)] += q[l];
    }
    for (int i = 0; i < plumbing.tanks().size(); i++) {
      String id = plumbing.tanks().get(i).id();
      for (int v : plumbing.tankVertices(i)) {
        if (levels.wet(v)) {
          tanks.merge(id, gain[node[v]], Double::sum);
          break;
        }
      }
    }
  }

  private Pressures pressures(SteadyFlow flow) {
    double[] at = new double[node.length];
    for (int v = 0; v < at.length; v++) {
      at[v] = node[v] < 0 ? Double.NaN : pressureAt(v, flow);
    }
    return Pressures.of(plumbing, at);
  }

  private Map<String, Flows.Running> pumps(
      SteadyFlow flow, double[] q, double[] share, Set<Integer> cycling) {
    Map<String, Flows.Running> running = new HashMap<>();
    for (Part part : plumbing.pumps()) {
      if (isOn(part)) {
        Integer link = pumpLinks.get(plumbing.index(part.id()));
        running.put(
            part.id(),
            link == null
                ? new Flows.Running(Flows.Does.DRAWS_AIR, 0, 0, 1)
                : running(part, link, flow, q, share, cycling));
      }
    }
    return running;
  }

  private Flows.Running running(
      Part part, int link, SteadyFlow flow, double[] q, double[] share, Set<Integer> cycling) {
    double rise = water.pressure(flow.heads()[network.to(link)] - flow.heads()[network.from(link)]);
    if (share[network.from(link)] < 1 - 1e-9) {
      return new Flows.Running(Flows.Does.DRAWS_AIR, q[link], rise, 1);
    }
    if (part.kind() instanceof Kind.Pump pump && cycling.contains(plumbing.index(part.id()))) {
      if (q[link] <= STILL) {
        return new Flows.Running(Flows.Does.RESTS, 0, rise, 0);
      }
      double gives = pump.freeFlow() * Math.max(0.02, 1 - rise / pump.shutOffPressure());
      return new Flows.Running(Flows.Does.CYCLES, q[link], rise, Math.min(1, q[link] / gives));
    }
    boolean rests = q[link] <= STILL;
    return new Flows.Running(
        rests ? Flows.Does.RESTS : Flows.Does.RUNS, q[link], rise, rests ? 0 : 1);
  }
}
