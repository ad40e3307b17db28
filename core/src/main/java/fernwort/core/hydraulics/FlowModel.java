package fernwort.core.hydraulics;

import fernwort.core.flow.FlowNetwork;
import fernwort.core.flow.Reductions;
import fernwort.core.flow.SteadyFlow;
import fernwort.core.flow.Venting;
import fernwort.core.hydraulics.RigNetwork.Gate;
import fernwort.core.id.PartId;
import fernwort.core.kind.Kind;
import fernwort.core.network.AirEntries;
import fernwort.core.network.Levels;
import fernwort.core.network.LinePipes;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.rig.Part;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The ports of one state that stand under water as a flow network, and its solution: what is under
 * water ({@link WetPorts}), the network ({@link NetworkBuilder}), and the answer in the rig's words
 * ({@link FlowReading}). Between them {@link Hydraulics} tries again with other pumps at rest and
 * other ports open to the air.
 */
final class FlowModel {

  private static final double STILL = FlowReading.STILL;

  private final WetPorts wet;
  private final Network network;
  private final Levels levels;
  private final LinePipes pipes;
  private final Map<PartId, Venting> vents;

  /** What falls into tanks that spill, by their place in the rig (m³/s). */
  private final Map<Integer, Double> fallingIn = new HashMap<>();

  private RigNetwork built;

  FlowModel(OpenGraph graph, Levels levels, LinePipes pipes, Vents narrow, Conditions conditions) {
    this.network = graph.network();
    this.levels = levels;
    this.pipes = pipes;
    wet = new WetPorts(graph, levels, conditions);
    vents = narrow.of(conditions.carried().vents().orElseGet(wet::ventLines));
    built = builder().build(Set.of(), Set.of());
  }

  private NetworkBuilder builder() {
    return new NetworkBuilder(wet, pipes, vents, fallingIn);
  }

  /**
   * Builds the network anew.
   *
   * @param cycling indices of the pumps that their switch holds between its two pressures
   * @param airy vertices at which the moving water is open to the air
   */
  void build(Set<Integer> cycling, Set<Integer> airy) {
    built = builder().build(cycling, airy);
  }

  boolean isOn(Part pump) {
    return wet.graph().is(pump, Kind.ON);
  }

  /** Returns the ports at which tanks spill, where air passes beside the water. */
  Set<Integer> spills() {
    Set<Integer> spills = new HashSet<>();
    for (int tank = 0; tank < network.tanks().size(); tank++) {
      if (wet.spill(tank) >= 0 && built.node()[wet.spill(tank)] >= 0) {
        spills.add(wet.spill(tank));
      }
    }
    return spills;
  }

  /** Returns the ports above a tank's water at which water falls in, and no air goes up. */
  Set<Integer> falling() {
    Set<Integer> falling = new HashSet<>();
    for (int i = 0; i < network.tanks().size(); i++) {
      for (int v : network.tankVertices(i)) {
        if (built.breathing()[i] >= 0
            && wet.spill(i) < 0
            && built.node()[v] >= 0
            && !levels.wet(v)) {
          falling.add(v);
        }
      }
    }
    return falling;
  }

  FlowNetwork flowNetwork() {
    return built.flowNetwork();
  }

  SteadyFlow solve(Reductions known) {
    return built.flowNetwork().solve(known);
  }

  /** Returns what people call the thing that a link stands for. */
  String nameOf(int link) {
    return built.nameOf(link);
  }

  double pressureAt(int vertex, SteadyFlow flow) {
    return reading(flow, Set.of(), Set.of()).pressureAt(vertex);
  }

  private FlowReading reading(SteadyFlow flow, Set<Integer> cycling, Set<Integer> airy) {
    return new FlowReading(wet, pipes, built, flow, cycling, airy);
  }

  /** Returns the flow in the rig's words. */
  Flows answer(SteadyFlow flow, Set<Integer> cycling, Set<Integer> airy) {
    return reading(flow, cycling, airy).answer();
  }

  // --- air -----------------------------------------------------------------------------------

  /** Takes away the airy ports where the water pushes out; tells whether there were any. */
  boolean dropFull(SteadyFlow flow, Set<Integer> airy, Set<Integer> full) {
    if (airy.isEmpty()) {
      return false;
    }
    List<Integer> pushing =
        airy.stream().filter(v -> flow.flows()[built.airLink(v)] > STILL).toList();
    pushing.forEach(airy::remove);
    return full.addAll(pushing);
  }

  /** Returns ports of moving water at which air comes in, but for those known or found full. */
  Set<Integer> airEntries(SteadyFlow flow, Set<Integer> known, Set<Integer> full) {
    Set<Integer> entries =
        new AirEntries(wet.graph(), levels, wet.outlets(), built.node()).find(flow, moving(flow));
    entries.removeAll(known);
    entries.removeAll(full);
    return entries;
  }

  private boolean[] moving(SteadyFlow flow) {
    boolean[] moving = new boolean[flow.heads().length];
    for (int l = 0; l < flow.flows().length; l++) {
      if (Math.abs(flow.flows()[l]) > STILL) {
        moving[built.flowNetwork().from(l)] = true;
        moving[built.flowNetwork().to(l)] = true;
      }
    }
    return moving;
  }

  /**
   * Takes over what falls into tanks that pass on what they get; tells whether it is not what it
   * was taken to be.
   */
  boolean findFalling(SteadyFlow flow, Set<Integer> airy) {
    if (built.spillLinks().isEmpty()) {
      return false;
    }
    double[] share = reading(flow, Set.of(), airy).shares();
    Map<Integer, Double> falls = new HashMap<>();
    for (Gate gate : built.gates()) {
      int tank = gate.kind() == Gate.Kind.TANK && gate.sign() > 0 ? place(gate.part()) : -1;
      if (tank >= 0 && built.spillLinks().containsKey(tank)) {
        double whole = flow.flows()[gate.link()];
        falls.merge(
            tank, Math.max(0, whole) * share[built.flowNetwork().from(gate.link())], Double::sum);
      }
    }
    boolean changed =
        built.spillLinks().keySet().stream()
            .anyMatch(
                t -> Math.abs(falls.getOrDefault(t, 0.0) - fallingIn.getOrDefault(t, 0.0)) > STILL);
    fallingIn.clear();
    fallingIn.putAll(falls);
    return changed;
  }

  private int place(PartId tank) {
    for (int i = 0; i < network.tanks().size(); i++) {
      if (network.tanks().get(i).id().equals(tank)) {
        return i;
      }
    }
    return -1;
  }
}
