package fernwort.core.hydraulics;

import fernwort.core.flow.FlowNetwork;
import fernwort.core.flow.Fluid;
import fernwort.core.flow.SteadyFlow;
import fernwort.core.hydraulics.RigNetwork.Gate;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Levels;
import fernwort.core.network.LinePipes;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * Reads the solution of a rig's network back in the rig's words: what lines carry, taps give and
 * tanks gain, where air is drawn in, how pumps run. Linear in the links, but for the mixing of air.
 */
final class FlowReading {

  static final double STILL = 1e-10;

  /** Above this share all that comes is water; what lacks is a rounding error of the mixing. */
  private static final double ALL_WATER = 1 - 1e-9;

  private final WetPorts wet;
  private final Network network;
  private final Levels levels;
  private final LinePipes pipes;
  private final Conditions conditions;
  private final Fluid water;
  private final RigNetwork built;
  private final FlowNetwork flowNetwork;
  private final SteadyFlow flow;
  private final Set<Integer> cycling;
  private final Set<Integer> airy;

  FlowReading(
      WetPorts wet,
      LinePipes pipes,
      RigNetwork built,
      SteadyFlow flow,
      Set<Integer> cycling,
      Set<Integer> airy) {
    this.wet = wet;
    this.pipes = pipes;
    this.built = built;
    this.flow = flow;
    this.cycling = cycling;
    this.airy = airy;
    network = wet.network();
    levels = wet.levels();
    conditions = wet.conditions();
    water = conditions.water();
    flowNetwork = built.flowNetwork();
  }

  double[] shares() {
    if (airy.isEmpty()) {
      return Mixing.waterAlone(flowNetwork);
    }
    Set<Integer> air = new HashSet<>();
    built.airLinks().values().forEach(l -> air.add(flowNetwork.to(l)));
    return new Mixing(flowNetwork, flow, stillWater()).shares(air);
  }

  /** Nodes at which air and water part: the tanks, brim-full ones too. */
  private boolean[] stillWater() {
    boolean[] still = new boolean[flowNetwork.size()];
    for (int n = 0; n < still.length; n++) {
      still[n] = flowNetwork.isReservoir(n);
    }
    for (int i = 0; i < network.tanks().size(); i++) {
      if (built.breathing()[i] >= 0) {
        still[built.breathing()[i]] = true;
      }
      for (int v : network.tankVertices(i)) {
        if (levels.wet(v) && v != wet.spill(i)) {
          still[built.node()[v]] = true;
        }
      }
    }
    return still;
  }

  Flows answer() {
    double[] share = shares();
    double[] q = new double[flow.flows().length];
    for (int l = 0; l < q.length; l++) {
      double whole = flow.flows()[l];
      q[l] = whole * share[whole >= 0 ? flowNetwork.from(l) : flowNetwork.to(l)];
    }
    Map<LineId, Double> lines = HashMap.newHashMap(network.rig().lines().size());
    Set<LineId> full = new HashSet<>();
    for (int l = 0; l < q.length; l++) {
      double of = q[l];
      double whole = flow.flows()[l];
      built
          .stands()
          .get(l)
          .line()
          .ifPresent(id -> {
            lines.put(id, of);
            if (Math.abs(of) > STILL && of == whole && runsFull(id, of)) {
              full.add(id);
            }
          });
    }
    Map<Gate.Kind, Map<PartId, Double>> through = new EnumMap<>(Gate.Kind.class);
    for (Gate g : built.gates()) {
      through
          .computeIfAbsent(g.kind(), kind -> new HashMap<>())
          .merge(g.part(), g.sign() * q[g.link()], Double::sum);
    }
    Map<PartId, Double> tanks = through.computeIfAbsent(Gate.Kind.TANK, kind -> new HashMap<>());
    addUnderWater(q, tanks);
    return new Flows(
        lines,
        pressures(),
        through.getOrDefault(Gate.Kind.FIXTURE, Map.of()),
        through.getOrDefault(Gate.Kind.END, Map.of()),
        tanks,
        through.getOrDefault(Gate.Kind.SUPPLY, Map.of()),
        pumps(q, share),
        airy.stream().map(v -> network.part(v).id()).distinct().sorted().toList(),
        full,
        howSpilling(),
        air());
  }

  private Map<PartId, Flows.Spill> howSpilling() {
    Map<PartId, Flows.Spill> fares = new HashMap<>();
    for (int i = 0; i < network.tanks().size(); i++) {
      if (wet.spill(i) < 0) {
        continue;
      }
      Integer link = built.spillLinks().get(i);
      Flows.Spill fare =
          link == null || flow.flows()[link] <= STILL
              ? Flows.Spill.FALLS
              : airy.contains(wet.spill(i)) ? Flows.Spill.HOLDS : Flows.Spill.RISES;
      fares.put(network.tanks().get(i).id(), fare);
    }
    return fares;
  }

  /** A line fills when its water carries the air out, and stays full until the air gets past it. */
  private boolean runsFull(LineId line, double flow) {
    double froude = pipes.froude(network.lineNumber(line), flow);
    return froude >= pipes.primes()
        || conditions.carried().runningFull().contains(line) && froude >= LinePipes.STAYS_PRIMED;
  }

  private Map<PartId, Double> air() {
    Map<PartId, Double> air = new HashMap<>(conditions.carried().airPressure());
    built
        .ventLinks()
        .forEach((place, link) -> {
          double rise = flow.heads()[flowNetwork.from(link)] - flow.heads()[flowNetwork.to(link)];
          air.merge(network.tanks().get(place).id(), water.pressure(rise), Double::sum);
        });
    for (int i = 0; i < network.tanks().size(); i++) {
      PartId tank = network.tanks().get(i).id();
      int water = waterNode(i);
      if (water >= 0 && hasNoAir(tank) && wet.spill(i) < 0 && isHeld(water)) {
        air.put(tank, this.water.pressure(flow.heads()[water] - levels.surface(tank)));
      }
    }
    return air;
  }

  /** Tells whether something outside a tank decides its pressure: a supply, a pump, an open end. */
  private boolean isHeld(int water) {
    if (flowNetwork.isReservoir(water)) {
      return false;
    }
    BitSet seen = new BitSet();
    seen.set(water);
    boolean more = true;
    while (more) {
      more = false;
      for (int l = 0; l < flowNetwork.linkCount(); l++) {
        if (seen.get(flowNetwork.from(l)) != seen.get(flowNetwork.to(l))) {
          seen.set(flowNetwork.from(l));
          seen.set(flowNetwork.to(l));
          more = true;
        }
      }
    }
    return seen.stream().anyMatch(flowNetwork::isReservoir);
  }

  /** Tells whether a tank's water stands against its lid, or against air as stiff as that. */
  private boolean hasNoAir(PartId tank) {
    return levels.isBrimFull(tank) || conditions.carried().airlocked().contains(tank);
  }

  private void addUnderWater(double[] q, Map<PartId, Double> tanks) {
    double[] gain = new double[flowNetwork.size()];
    Set<Integer> air = Set.copyOf(built.ventLinks().values());
    for (int l = 0; l < q.length; l++) {
      if (!air.contains(l)) {
        gain[flowNetwork.from(l)] -= q[l];
        gain[flowNetwork.to(l)] += q[l];
      }
    }
    for (int i = 0; i < network.tanks().size(); i++) {
      int water = waterNode(i);
      if (water >= 0) {
        tanks.merge(network.tanks().get(i).id(), gain[water], Double::sum);
      }
    }
  }

  /** The node of a tank's water; −1 when none stands over a port. */
  private int waterNode(int tank) {
    if (built.breathing()[tank] >= 0) {
      return built.breathing()[tank];
    }
    for (int v : network.tankVertices(tank)) {
      if (levels.wet(v)) {
        return built.node()[v];
      }
    }
    return -1;
  }

  double pressureAt(int vertex) {
    int at = built.node()[vertex];
    return at < 0 ? 0 : water.pressure(flow.heads()[at] - levels.height(vertex));
  }

  private Pressures pressures() {
    double[] at = new double[built.node().length];
    for (int v = 0; v < at.length; v++) {
      at[v] = built.node()[v] < 0 ? Double.NaN : pressureAt(v);
    }
    return Pressures.of(network, at);
  }

  private Map<PartId, Flows.Running> pumps(double[] q, double[] share) {
    Map<PartId, Flows.Running> running = new HashMap<>();
    for (Part part : network.pumps()) {
      if (wet.graph().is(part, Kind.ON)) {
        Integer link = built.pumpLinks().get(network.index(part.id()));
        running.put(
            part.id(),
            link == null
                ? new Flows.Running(Flows.Does.DRAWS_AIR, 0, 0, 1)
                : running(part, link, q, share));
      }
    }
    return running;
  }

  private Flows.Running running(Part part, int link, double[] q, double[] share) {
    double rise =
        water.pressure(flow.heads()[flowNetwork.to(link)] - flow.heads()[flowNetwork.from(link)]);
    if (share[flowNetwork.from(link)] < ALL_WATER) {
      return new Flows.Running(Flows.Does.DRAWS_AIR, q[link], rise, 1);
    }
    if (part.kind() instanceof Pump pump && cycling.contains(network.index(part.id()))) {
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
