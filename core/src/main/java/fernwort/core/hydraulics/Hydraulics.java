package fernwort.core.hydraulics;

import fernwort.core.flow.FlowNetwork;
import fernwort.core.flow.Fluid;
import fernwort.core.flow.Reductions;
import fernwort.core.flow.SteadyFlow;
import fernwort.core.flow.UnsettledException;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Levels;
import fernwort.core.network.LinePipes;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.ways.OpenWays;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Steady flow and pressure everywhere in a rig, for any state.
 *
 * <p>Ports that stand under water become a network of junctions and links ({@link FlowModel}),
 * which {@link fernwort.core.flow} solves. Around that, two things are found by trying again: pumps
 * that their switch stops, and places where air gets into the moving water because its pressure
 * falls below the air's at a port that is open to it. Prepared once per rig; safe to share.
 */
public final class Hydraulics {

  /** How much less than described fittings may lose, for nobody measures them (1). */
  public static final double SMOOTHER = 0.5;

  /** How much more than described fittings may lose (1). */
  public static final double ROUGHER = 2;

  private static final int MOST_ROUNDS = 40;
  private static final double TOLERANCE = 1e-6;

  private static final int MOST_KNOWN = 400;

  /** What the surroundings of a state depend on. */
  private record Key(Setting setting, Slope slope, List<Integer> covered) {}

  private final Network network;
  private final LinePipes pipes;
  private final Vents vents;

  /** What is open around a state, which the losses of lines do not decide. */
  private final Map<Key, Surroundings> known;

  private final Reductions reductions;
  private final Blend blend;

  /** The passages asked for last: a run asks for the same from step to step. */
  private volatile @Nullable OpenGraph graph;

  /** How many times its clean loss a filter takes from what passed it before, by id. */
  private final Map<PartId, Double> clogged;

  private Hydraulics(Network network, Map<PartId, Double> clogged) {
    this.network = network;
    this.clogged = Map.copyOf(clogged);
    pipes = new LinePipes(network.rig(), network.rig().lines());
    vents = new Vents(network, pipes);
    known = new ConcurrentHashMap<>();
    reductions = new Reductions();
    blend = new Blend(this, network);
  }

  private Hydraulics(Hydraulics like, LinePipes pipes) {
    this.pipes = pipes;
    network = like.network;
    clogged = like.clogged;
    vents = new Vents(network, pipes);
    known = like.known;
    reductions = like.reductions;
    blend = new Blend(this, network);
  }

  /** Prepares a rig. */
  public static Hydraulics of(Network network) {
    return of(network, Map.of());
  }

  /**
   * Prepares a rig whose filters have been used.
   *
   * @param clogged how many times its clean loss a filter takes, by id; 1 where none is given
   */
  public static Hydraulics of(Network network, Map<PartId, Double> clogged) {
    return new Hydraulics(network, clogged);
  }

  /** Returns the same rig with some of its lines of another bore (m). */
  public Hydraulics withBore(Collection<LineId> lines, double bore) {
    return with(l -> lines.contains(l.id()) ? l.ofBore(bore) : l);
  }

  /**
   * Returns the same rig with the losses of all its fittings so many times what they are said to
   * be, since nobody measures them.
   */
  public Hydraulics withFittings(double times) {
    return with(l -> l.losing(times * l.minorLoss()));
  }

  /** Returns the same rig with some lines losing more, by id (1, on their own speed). */
  public Hydraulics losing(Map<LineId, Double> more) {
    return with(l -> l.losing(l.minorLoss() + more.getOrDefault(l.id(), 0.0)));
  }

  /**
   * Returns the same rig with lines that run full, and siphon, as soon as they may: from a Froude
   * number of 0.31, where they are otherwise taken to do so from 1. Between the two both happen.
   */
  public Hydraulics primingEarly() {
    return new Hydraulics(this, pipes.primingEarly());
  }

  private Hydraulics with(UnaryOperator<Line> change) {
    List<Line> changed = network.rig().lines().stream().map(change).toList();
    return new Hydraulics(this, new LinePipes(network.rig(), changed));
  }

  /**
   * Returns the head that a line takes (m).
   *
   * @param line id of the line
   * @param flow flow from its first end to its second (m³/s)
   */
  public double loss(LineId line, double flow) {
    return pipes.pipe(network.lineNumber(line), Fluid.WATER).loss(flow);
  }

  /** Returns the pressure that a line takes in a steady flow (Pa). */
  public double pressureLost(LineId line, Flows flows) {
    return Fluid.WATER.pressure(Math.abs(loss(line, flows.line(line))));
  }

  /**
   * Returns the steady flow in a state, with filters as used as they are, open vents and water at
   * 15 °C.
   */
  public Flows solve(State state) {
    return solve(state, Conditions.ORDINARY);
  }

  /**
   * Returns the steady flow in a state.
   *
   * @param conditions its clogging comes on top of that of filters used before
   * @throws IllegalStateException when the flow does not settle; names the part to look at
   */
  public Flows solve(State state, Conditions conditions) {
    return blend.isNeeded() ? blend.solve(state, conditions) : once(state, conditions);
  }

  /** The steady flow with mixing valves as they stand. */
  Flows once(State state, Conditions conditions) {
    OpenGraph graph = graph(state.setting());
    Levels levels = Levels.of(network, state);
    Set<Integer> cycling = new HashSet<>();
    Set<Integer> airy = new HashSet<>();
    Set<Integer> full = new HashSet<>();
    FlowModel model = new FlowModel(graph, levels, pipes, vents, used(conditions));
    full.addAll(model.falling());
    if (airy.addAll(model.spills())) {
      model.build(cycling, airy);
    }
    for (int round = 0; ; round++) {
      SteadyFlow flow = settle(model);
      boolean again = findCycling(model, flow, cycling);
      if (!again) {
        again =
            model.dropFull(flow, airy, full)
                || airy.addAll(model.airEntries(flow, airy, full))
                || model.findFalling(flow, airy);
      }
      if (!again || round == MOST_ROUNDS) {
        return model.answer(flow, cycling, airy);
      }
      model.build(cycling, airy);
    }
  }

  /**
   * Returns what is open around the flow of a state. Remembered, since a run meets the same handles
   * and the same covered ports again and again.
   *
   * @param state the state
   * @param covered numbers that differ where different ports and crests are under water
   */
  public Surroundings around(State state, int[] covered) {
    Key seen = new Key(state.setting(), state.slope(), Arrays.stream(covered).boxed().toList());
    if (known.size() > MOST_KNOWN) {
      known.clear();
    }
    return known.computeIfAbsent(
        seen,
        s -> Surroundings.of(OpenWays.find(network, state.setting(), Levels.of(network, state))));
  }

  private OpenGraph graph(Setting setting) {
    OpenGraph last = graph;
    if (last == null || !last.setting().equals(setting)) {
      last = new OpenGraph(network, setting);
      graph = last;
    }
    return last;
  }

  /** Returns the network of a state before its pumps' switches and air are looked at. */
  public FlowNetwork flowNetwork(State state) {
    OpenGraph graph = graph(state.setting());
    FlowModel model =
        new FlowModel(graph, Levels.of(network, state), pipes, vents, used(Conditions.ORDINARY));
    return model.flowNetwork();
  }

  /** Loss grows evenly with what passed, so that what passed before and since add up. */
  private Conditions used(Conditions conditions) {
    Conditions used = conditions;
    for (Map.Entry<PartId, Double> filter : clogged.entrySet()) {
      double since = conditions.clogging(filter.getKey()) - 1;
      used = used.withClogged(filter.getKey(), filter.getValue() + since);
    }
    return used;
  }

  private SteadyFlow settle(FlowModel model) {
    try {
      return model.solve(reductions);
    } catch (UnsettledException e) {
      throw new UnsettledFlowException(
          Says.THE_FLOW_THROUGH_DOES_NOT_SETTLE.filled(model.nameOf(e.link())), e);
    }
  }

  /** Adds the pumps whose delivery stands above their cut-out pressure; tells whether any did. */
  private boolean findCycling(FlowModel model, SteadyFlow flow, Set<Integer> cycling) {
    boolean found = false;
    for (Part part : network.pumps()) {
      if (part.kind() instanceof Pump pump && !pump.works().byHand()) {
        int index = network.index(part.id());
        int in = network.first(index);
        // A circulation pump knows only what it adds itself.
        double under = pump.duty() == Pump.Duty.CIRCULATION ? model.pressureAt(in, flow) : 0;
        double delivery = model.pressureAt(in + 1, flow) - under;
        if (delivery > pump.cutOut() + TOLERANCE && model.isOn(part)) {
          found |= cycling.add(index);
        }
      }
    }
    return found;
  }
}
