package fernwort.core.ways;

import fernwort.core.effort.Effort;
import fernwort.core.id.PartId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.machine.Driven;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.network.Outlets;
import fernwort.core.network.Water;
import fernwort.core.rig.Part;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What running pumps draw, where they press it, and by which way they draw air. */
final class Pumping {

  /** Suction paths that are tried where a pump's two sides meet. */
  private static final int MOST_SUCTION_PATHS = 64;

  private final Network network;
  private final Set<PartId> running;
  private final Levels levels;
  private final OpenGraph graph;
  private final Outlets outlets;
  private final int[] islands;
  private final Waters waters;
  private final Gathering gathering;
  private final HeadReach suction;
  private final HeadReach delivery;
  private final HeadReach single;
  private final List<PumpWork> pumps = new ArrayList<>();

  /**
   * Prepares the pumps of a setting.
   *
   * @param running ids of pumps that are known to run, whatever the mains press behind them
   * @param waters where the mains press; what pumps press and wet is added
   * @param gathering takes in the ways that are found
   * @param single a sweep that nobody else needs meanwhile
   */
  Pumping(
      Network network,
      Levels levels,
      OpenGraph graph,
      Set<PartId> running,
      Waters waters,
      Gathering gathering,
      HeadReach single) {
    this.network = network;
    this.running = running;
    this.levels = levels;
    this.graph = graph;
    this.waters = waters;
    this.gathering = gathering;
    this.single = single;
    outlets = graph.outlets();
    islands = graph.islands();
    suction = new HeadReach(graph, levels);
    delivery = new HeadReach(graph, levels);
  }

  /** Returns what each pump that is on does, once all of them run. */
  List<PumpWork> works() {
    pumps.replaceAll(this::boosting);
    return pumps;
  }

  /** Lets a pump run that is on. */
  void pump(Part part, List<Origin> origins) {
    int in = network.first(network.index(part.id()));
    if (!graph.is(part, Kind.ON)) {
      return;
    }
    if (part.kind() instanceof Pump pump && isHeldOff(part, pump, in + 1)) {
      pumps.add(new PumpWork(part.id(), List.of(), Optional.empty(), List.of(), true));
      return;
    }
    Driven driven = (Driven) part.kind();
    run(part, in, Water.head(driven.shutOffPressure()), driven.suctionLift(), origins);
  }

  /**
   * Tells whether the mains, at their full pressure, keep a pump's switch open, unless it is known
   * to run all the same. A circulation pump knows only its own pressure.
   */
  private boolean isHeldOff(Part part, Pump pump, int out) {
    return !pump.works().byHand()
        && pump.duty() != Pump.Duty.CIRCULATION
        && !running.contains(part.id())
        && waters.mainsHead()[out] >= Water.head(pump.cutOut());
  }

  private void run(Part part, int in, double lift, double priming, List<Origin> origins) {
    DrivenBy drive = DrivenBy.pump(part.id());
    List<Source> drawn = new ArrayList<>();
    boolean[] delivered = new boolean[network.size()];
    Set<PartId> loop = new LinkedHashSet<>();
    for (Origin origin : origins) {
      Effort.look();
      if (!origin.isOn(islands, islands[in])) {
        continue;
      }
      suction.begin(HeadReach.Medium.PRESSED);
      for (int v : origin.ports()) {
        suction.from(v, origin.surface() + priming);
      }
      suction.run(waters.nowhere(), in);
      if (!suction.reached(in)) {
        continue;
      }
      drawn.add(origin.source());
      deliver(delivery, in, origin.surface() + lift, waters.nowhere());
      delivery.mark(delivered);
      if (delivery.reached(in)) {
        loop.addAll(partsOf(delivery.routeTo(in)));
      }
      deliverFrom(origin, drive, in, lift);
    }
    for (int v = 0; v < delivered.length; v++) {
      waters.pressed()[v] |= delivered[v];
      waters.wet()[v] |= delivered[v];
    }
    Optional<PartId> air = airIntake(in, delivered);
    pumps.add(new PumpWork(part.id(), drawn, air, List.copyOf(loop), false));
  }

  /** A pump that draws from no tank but sits in water that mains or another pump press. */
  private PumpWork boosting(PumpWork work) {
    int in = network.first(network.index(work.pump()));
    if (!work.sources().isEmpty() || work.heldOff() || !waters.pressed()[in]) {
      return work;
    }
    deliver(delivery, in, Double.MAX_VALUE, waters.nowhere());
    List<PartId> loop = delivery.reached(in) ? partsOf(delivery.routeTo(in)) : List.of();
    return new PumpWork(work.pump(), pressers(in), Optional.empty(), loop, false);
  }

  /** The mains, and what other pumps draw from, in the water that a port is joined to. */
  private List<Source> pressers(int vertex) {
    List<Source> pressers = new ArrayList<>();
    for (Part part : network.sources()) {
      boolean joined = islands[network.first(network.index(part.id()))] == islands[vertex];
      if (joined && part.kind().is(Purpose.INLET) && graph.is(part, HoseInlet.MAINS.id())) {
        pressers.add(new Source(Source.Kind.MAINS, part.id()));
      }
    }
    for (PumpWork other : pumps) {
      if (islands[network.first(network.index(other.pump()))] == islands[vertex]) {
        pressers.addAll(other.sources());
      }
    }
    return pressers;
  }

  private static void deliver(HeadReach sweep, int in, double head, boolean[] blocked) {
    sweep.begin(HeadReach.Medium.PRESSED).from(in + 1, head).run(blocked, in);
  }

  private void deliverFrom(Origin origin, DrivenBy drive, int in, double lift) {
    BitSet path = suction.routeTo(in);
    if (path.stream().noneMatch(delivery::reached)) {
      gathering.collect(
          delivery, origin.source(), drive, Optional.of(new Gathering.Intake(suction, in)));
      return;
    }
    for (BitSet simple : new SuctionPaths(suction, in, origin.ports()).find(MOST_SUCTION_PATHS)) {
      boolean[] blocked = new boolean[network.size()];
      simple.stream().forEach(v -> blocked[v] = true);
      deliver(single, in, origin.surface() + lift, blocked);
      gathering.collect(
          single, origin.source(), drive, Optional.of(new Gathering.Intake(suction, in)));
    }
  }

  private Optional<PartId> airIntake(int in, boolean[] delivered) {
    HeadReach air = single.begin(HeadReach.Medium.AIR);
    boolean[] blocked = delivered.clone();
    for (int v : outlets.openings()) {
      if (!blocked[v] && islands[v] == islands[in]) {
        air.from(v, 0);
      }
    }
    for (int tank = 0; tank < network.tanks().size(); tank++) {
      for (int v : network.tankVertices(tank)) {
        if (islands[v] == islands[in] && levels.breathes(v)) {
          air.from(v, 0);
        }
      }
    }
    air.run(blocked, -1);
    if (!air.reached(in)) {
      return Optional.empty();
    }
    int v = in;
    while (air.arrival[v] >= 0) {
      v = graph.from(air.arrival[v]);
    }
    return Optional.of(network.part(v).id());
  }

  private List<PartId> partsOf(BitSet vertices) {
    return vertices.stream().mapToObj(v -> network.part(v).id()).distinct().toList();
  }
}
