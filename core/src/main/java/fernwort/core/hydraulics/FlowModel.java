package fernwort.core.hydraulics;

import fernwort.core.flow.Filtering;
import fernwort.core.flow.FlowNetwork;
import fernwort.core.flow.Fluid;
import fernwort.core.flow.Given;
import fernwort.core.flow.Hold;
import fernwort.core.flow.Lift;
import fernwort.core.flow.Loss;
import fernwort.core.flow.OneWay;
import fernwort.core.flow.Orifice;
import fernwort.core.flow.SteadyFlow;
import fernwort.core.flow.Venting;
import fernwort.core.plumbing.AirEntries;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.LinePipes;
import fernwort.core.plumbing.OpenGraph;
import fernwort.core.plumbing.Outlets;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.ways.AirSearch;
import fernwort.core.ways.OpenWays;
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

  /** The node of each tank's water, by its place in the rig; −1 where the air has no friction. */
  private final int[] breathing;

  private final Map<Integer, Integer> ventLinks = new HashMap<>();
  private final Map<Integer, Integer> spillLinks = new HashMap<>();

  /** What falls into tanks that spill, by their place in the rig (m³/s). */
  private final Map<Integer, Double> fallingIn = new HashMap<>();

  private final Map<String, Venting> vents;
  private FlowNetwork network = FlowNetwork.builder().build();
  private FlowNetwork.Builder building = FlowNetwork.builder();
  private final List<Stands> stands = new ArrayList<>();
  private final List<Gate> gates = new ArrayList<>();
  private final Map<Integer, Integer> airLinks = new HashMap<>();
  private final Map<Integer, Integer> pumpLinks = new HashMap<>();

  FlowModel(OpenGraph graph, Levels levels, LinePipes pipes, Conditions conditions) {
    this.graph = graph;
    this.plumbing = graph.plumbing();
    this.levels = levels;
    this.pipes = pipes;
    this.conditions = conditions;
    this.water = conditions.water();
    outlets = new Outlets(graph);
    reach = new Reach(graph, levels, conditions.airlocked());
    root = new int[plumbing.size()];
    node = new int[plumbing.size()];
    breathing = new int[plumbing.tanks().size()];
    flood();
    join();
    vents = new Vents(plumbing, pipes).of(conditions.vents().orElseGet(this::ventLines));
  }

  private Map<String, List<String>> ventLines() {
    boolean[] wet = new boolean[node.length];
    for (int v = 0; v < wet.length; v++) {
      wet[v] = !reach.dry[v];
    }
    return Vents.lines(new AirSearch(graph, levels, outlets.openings(), wet).find());
  }

  boolean isOn(Part pump) {
    return graph.is(pump, Kind.ON);
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
          if (gives(part)) {
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

  private boolean gives(Part inlet) {
    return graph.is(inlet, Kind.HoseInlet.MAINS.id())
        || graph.is(inlet, Kind.HoseInlet.OUTSIDE.id());
  }

  private boolean pours(Part jug) {
    return graph.is(jug, Kind.PortableContainer.POURING.id())
        && !conditions.emptyJugs().contains(jug.id());
  }

  private double surface(Part tank) {
    return levels.surface(tank.id()) + conditions.airHead(tank.id());
  }

  private double supplyHead(Part part, Kind.HoseInlet inlet, int v) {
    return graph.is(part, Kind.HoseInlet.MAINS.id())
        ? levels.height(v) + water.head(inlet.mainsPressure())
        : inlet.outsideHeight();
  }

  /**
   * Joins the ports between which a body takes no head, and the ports of a tank under its water.
   */
  private void join() {
    Arrays.setAll(root, v -> v);
    for (int e = 0; e < graph.edges(); e++) {
      if (isFree(e) && reach.holds(e)) {
        union(graph.from(e), graph.to(e));
      }
    }
    for (int tank = 0; tank < plumbing.tanks().size(); tank++) {
      int first = -1;
      for (int v : plumbing.tankVertices(tank)) {
        if (levels.wet(v) && v != spill(tank)) {
          first = first < 0 ? v : first;
          union(first, v);
        }
      }
    }
  }

  /** The port at which a tank spills, as a vertex; −1 for none. */
  private int spill(int tank) {
    Part part = plumbing.tanks().get(tank);
    String port = conditions.spilling().get(part.id());
    return port == null ? -1 : plumbing.vertex(part, port);
  }

  /** Returns the ports at which tanks spill, where air passes beside the water. */
  Set<Integer> spills() {
    Set<Integer> spills = new HashSet<>();
    for (int tank = 0; tank < plumbing.tanks().size(); tank++) {
      if (spill(tank) >= 0 && node[spill(tank)] >= 0) {
        spills.add(spill(tank));
      }
    }
    return spills;
  }

  /** Returns the ports above a tank's water at which water falls in, and no air goes up. */
  Set<Integer> falling() {
    Set<Integer> falling = new HashSet<>();
    for (int i = 0; i < plumbing.tanks().size(); i++) {
      for (int v : plumbing.tankVertices(i)) {
        if (breathing[i] >= 0 && spill(i) < 0 && node[v] >= 0 && !levels.wet(v)) {
          falling.add(v);
        }
      }
    }
    return falling;
  }

  private boolean isFree(int e) {
    boolean passage = graph.type(e) == OpenGraph.PLAIN || graph.type(e) == OpenGraph.SEAL;
    return passage
        && graph.line(e) < 0
        && !(plumbing.part(graph.from(e)).kind() instanceof Kind.Filter);
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
    ventLinks.clear();
    addNodes();
    addPassages(cycling);
    addTanks();
    addSpills();
    addSupplies();
    addOutlets();
    for (int v : airy) {
      int free = building.reservoir(spillHeight(v));
      airLinks.put(v, link(node[v], free, new Filtering(0), Optional.empty(), plumbing.part(v)));
    }
    network = building.build();
  }

  /** Where air meets the water at a port; at one that spills, over the crest behind it. */
  private double spillHeight(int v) {
    Part part = plumbing.part(v);
    return plumbing.port(v).equals(conditions.spilling().get(part.id()))
        ? levels.surface(part.id())
        : levels.height(v);
  }

  private void addNodes() {
    Arrays.fill(node, -1);
    for (int i = 0; i < plumbing.tanks().size(); i++) {
      breathing[i] = breathingWater(i);
      for (int v : plumbing.tankVertices(i)) {
        if (levels.wet(v) && v != spill(i) && node[find(v)] < 0) {
          node[find(v)] = breathing[i] >= 0 ? breathing[i] : waterOf(plumbing.tanks().get(i));
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
   * The water of a tank whose air takes pressure to move, or that passes on what it gets: a
   * junction that it stands on; or −1.
   */
  private int breathingWater(int place) {
    Part tank = plumbing.tanks().get(place);
    if (spill(place) >= 0) {
      return building.junction(surface(tank));
    }
    Venting vent = vents.get(tank.id());
    if (vent == null
        || levels.isBrimFull(tank.id())
        || conditions.airlocked().contains(tank.id())) {
      return -1;
    }
    int water = building.junction(surface(tank));
    int open = building.reservoir(surface(tank));
    int link = link(water, open, vent, Optional.empty(), tank);
    ventLinks.put(place, link);
    return water;
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
    for (int e = 0; e < graph.edges(); e++) {
      boolean both = graph.type(e) == OpenGraph.PLAIN || graph.type(e) == OpenGraph.SEAL;
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
    int a = node[graph.from(e)];
    int b = node[graph.to(e)];
    Part part = plumbing.part(graph.from(e));
    Optional<String> none = Optional.empty();
    switch (graph.type(e)) {
      case OpenGraph.CHECK -> link(a, b, new OneWay(graph.value(e)), none, part);
      case OpenGraph.REGULATOR ->
          link(
              a,
              b,
              new Hold(levels.height(graph.to(e)) + graph.value(e), OneWay.FREE_END),
              none,
              part);
      case OpenGraph.PUMP -> {
        int index = plumbing.index(part.id());
        pumpLinks.put(index, link(a, b, lift(part, graph.to(e), cycling), none, part));
      }
      default -> {
        if (graph.line(e) >= 0) {
          String id = plumbing.rig().lines().get(graph.line(e)).id();
          link(a, b, pipes.pipe(graph.line(e), water), Optional.of(id), part);
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
        if (node[v] < 0 || levels.wet(v) || levels.floatShut(v) || !takes) {
          continue;
        }
        if (breathing[i] >= 0 && spill(i) < 0) {
          double drop = levels.height(v) - levels.surface(tank.id());
          link(node[v], breathing[i], new OneWay(Math.max(0, drop)), Optional.empty(), tank);
        } else {
          int over = building.reservoir(levels.height(v) + conditions.airHead(tank.id()));
          int link = link(node[v], over, OneWay.FREE_END, Optional.empty(), tank);
          gates.add(new Gate(Gate.Kind.TANK, tank.id(), link, 1));
        }
      }
    }
  }

  private void addSpills() {
    spillLinks.clear();
    for (int i = 0; i < plumbing.tanks().size(); i++) {
      int v = spill(i);
      if (v >= 0 && node[v] >= 0) {
        Part tank = plumbing.tanks().get(i);
        Optional<String> none = Optional.empty();
        spillLinks.put(i, link(breathing[i], node[v], OneWay.FREE_END, none, tank));
        int fallen = building.reservoir(surface(tank));
        Given falls = new Given(fallingIn.getOrDefault(i, 0.0));
        int link = link(fallen, breathing[i], falls, none, tank);
        gates.add(new Gate(Gate.Kind.TANK, tank.id(), link, -1));
      }
    }
  }

  private void addSupplies() {
    for (Part part : plumbing.sources()) {
      int v = plumbing.first(plumbing.index(part.id()));
      Optional<String> none = Optional.empty();
      if (part.kind() instanceof Kind.HoseInlet inlet && gives(part)) {
        int supply = building.reservoir(supplyHead(part, inlet, v));
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

  /** Tap and hose: p = p₀·(1 − (Q/Q_t)²), from their pressure at no flow to what a bucket gets. */
  private Loss tap(Part part, Kind.HoseInlet inlet) {
    boolean timed = inlet.tapFlow().isPresent() && graph.is(part, Kind.HoseInlet.MAINS.id());
    return timed
        ? new Orifice(
            inlet.tapFlow().orElseThrow(),
            water.head(inlet.mainsPressure()),
            Double.POSITIVE_INFINITY)
        : new Filtering(0);
  }

  private void addOutlets() {
    for (Outlets.Outlet outlet : outlets.ends()) {
      int v = outlet.vertex();
      Part part = plumbing.part(v);
      boolean supplies = part.kind() instanceof Kind.HoseInlet && gives(part);
      if (node[v] < 0 || part.kind() instanceof Kind.Tank || supplies || isPouredInto(part, v)) {
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
    double share = graph.setting().of(part.id()).equals(Kind.Fixture.WARM.id()) ? 0.5 : 1;
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
      if (breathing[i] >= 0) {
        still[breathing[i]] = true;
      }
      for (int v : plumbing.tankVertices(i)) {
        if (levels.wet(v) && v != spill(i)) {
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
            if (Math.abs(of) > STILL && of == whole && runsFull(id, of)) {
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
        full,
        howSpilling(flow, airy),
        air(flow));
  }

  /**
   * Takes over what falls into tanks that pass on what they get; tells whether it is not what it
   * was taken to be.
   */
  boolean findFalling(SteadyFlow flow, Set<Integer> airy) {
    if (spillLinks.isEmpty()) {
      return false;
    }
    double[] share = shares(flow, airy);
    Map<Integer, Double> falls = new HashMap<>();
    for (Gate gate : gates) {
      int tank = gate.kind() == Gate.Kind.TANK && gate.sign() > 0 ? place(gate.part()) : -1;
      if (tank >= 0 && spillLinks.containsKey(tank)) {
        double whole = flow.flows()[gate.link()];
        falls.merge(tank, Math.max(0, whole) * share[network.from(gate.link())], Double::sum);
      }
    }
    boolean changed =
        spillLinks.keySet().stream()
            .anyMatch(
                t -> Math.abs(falls.getOrDefault(t, 0.0) - fallingIn.getOrDefault(t, 0.0)) > STILL);
    fallingIn.clear();
    fallingIn.putAll(falls);
    return changed;
  }

  private int place(String tank) {
    for (int i = 0; i < plumbing.tanks().size(); i++) {
      if (plumbing.tanks().get(i).id().equals(tank)) {
        return i;
      }
    }
    return -1;
  }

  private Map<String, Flows.Spill> howSpilling(SteadyFlow flow, Set<Integer> airy) {
    Map<String, Flows.Spill> fares = new HashMap<>();
    for (int i = 0; i < plumbing.tanks().size(); i++) {
      if (spill(i) < 0) {
        continue;
      }
      Integer link = spillLinks.get(i);
      Flows.Spill fare =
          link == null || flow.flows()[link] <= STILL
              ? Flows.Spill.FALLS
              : airy.contains(spill(i)) ? Flows.Spill.HOLDS : Flows.Spill.RISES;
      fares.put(plumbing.tanks().get(i).id(), fare);
    }
    return fares;
  }

  /** A line fills when its water carries the air out, and stays full until the air gets past it. */
  private boolean runsFull(String line, double flow) {
    double froude = pipes.froude(plumbing.lineNumber(line), flow);
    return froude >= pipes.primes()
        || conditions.runningFull().contains(line) && froude >= LinePipes.STAYS_PRIMED;
  }

  private Map<String, Double> air(SteadyFlow flow) {
    Map<String, Double> air = new HashMap<>(conditions.airPressure());
    ventLinks.forEach((place, link) -> {
      double rise = flow.heads()[network.from(link)] - flow.heads()[network.to(link)];
      air.merge(plumbing.tanks().get(place).id(), water.pressure(rise), Double::sum);
    });
    return air;
  }

  private void addUnderWater(double[] q, Map<String, Double> tanks) {
    double[] gain = new double[network.size()];
    for (int l = 0; l < q.length; l++) {
      if (!ventLinks.containsValue(l)) {
        gain[network.from(l)] -= q[l];
        gain[network.to(l)] += q[l];
      }
    }
    for (int i = 0; i < plumbing.tanks().size(); i++) {
      int water = waterNode(i);
      if (water >= 0) {
        tanks.merge(plumbing.tanks().get(i).id(), gain[water], Double::sum);
      }
    }
  }

  /** The node of a tank's water; −1 when none stands over a port. */
  private int waterNode(int tank) {
    if (breathing[tank] >= 0) {
      return breathing[tank];
    }
    for (int v : plumbing.tankVertices(tank)) {
      if (levels.wet(v)) {
        return node[v];
      }
    }
    return -1;
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
