package fernwort.core.ways;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.network.End;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.network.PartSet;
import fernwort.core.network.Water;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import java.util.BitSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Finds every open way of a state.
 *
 * <p>In order: mains, running pumps, falls (which do not move against the pressure of the former
 * two), what runs away from fixtures in use, and last the air of each tank over what is left dry.
 */
public final class OpenWays {

  /** A held jug is lifted so far above what it pours into (m). */
  public static final double POURING_HEIGHT = 0.2;

  private final Network network;
  private final Levels levels;
  private final OpenGraph graph;
  private final Waters waters;
  private final Gathering gathering;
  private final HeadReach sweep;
  private final Pumping pumping;

  private OpenWays(Network network, Setting setting, Levels levels, Set<PartId> running) {
    this.network = network;
    this.levels = levels;
    graph = new OpenGraph(network, setting);
    waters = Waters.none(network.size());
    gathering = new Gathering(network, levels, graph);
    sweep = new HeadReach(graph, levels);
    pumping = new Pumping(network, levels, graph, running, waters, gathering, sweep);
  }

  /** Returns everything that is open in a state. */
  public static FlowPaths find(Network network, State state) {
    return find(network, state.setting(), Levels.of(network, state));
  }

  /**
   * Returns everything that is open; for trying many settings on the same levels.
   *
   * @param network the prepared rig
   * @param setting a setting of that rig
   * @param levels heights and levels for the state of its tanks
   */
  public static FlowPaths find(Network network, Setting setting, Levels levels) {
    return find(network, setting, levels, Set.of());
  }

  /**
   * The same where it is known that some pumps run, since the pressure behind them is less with
   * what flows than the mains' own.
   *
   * @param running ids of those pumps
   */
  public static FlowPaths find(
      Network network, Setting setting, Levels levels, Set<PartId> running) {
    return new OpenWays(network, setting, levels, running).search();
  }

  private FlowPaths search() {
    for (Part part : network.sources()) {
      if (part.kind() instanceof HoseInlet inlet && graph.is(part, HoseInlet.MAINS.id())) {
        mains(part, inlet, network.first(network.index(part.id())));
      }
    }
    List<Origin> origins = Origin.all(network, graph, levels);
    network.pumps().forEach(pump -> pumping.pump(pump, origins));
    List<PumpWork> pumps = pumping.works();
    origins.forEach(this::fall);
    wastes();
    return answer(
        pumps, new AirSearch(graph, levels, graph.outlets().openings(), waters.wet()).find());
  }

  private void mains(Part inlet, HoseInlet kind, int v) {
    sweep
        .begin(HeadReach.Medium.PRESSED)
        .from(v, levels.height(v) + Water.head(kind.mainsPressure()))
        .run(waters.nowhere(), -1);
    Source source = new Source(Source.Kind.MAINS, inlet.id());
    gathering.collect(sweep, source, DrivenBy.MAINS, Optional.empty());
    for (int u = 0; u < network.size(); u++) {
      if (sweep.reached(u)) {
        waters.pressed()[u] = true;
        waters.wet()[u] = true;
        waters.mainsHead()[u] = Math.max(waters.mainsHead()[u], sweep.head[u] - levels.height(u));
      }
    }
  }

  private void fall(Origin origin) {
    sweep.begin(HeadReach.Medium.FALLING);
    for (int v : origin.ports()) {
      if (!waters.pressed()[v]) {
        sweep.from(v, origin.surface());
      }
    }
    sweep.run(waters.pressed(), -1);
    gathering.collect(sweep, origin.source(), DrivenBy.FALL, Optional.empty());
    sweep.mark(waters.wet());
  }

  private void wastes() {
    Set<PartId> running = new LinkedHashSet<>();
    for (FlowPath way : gathering.ways()) {
      if (way.end().kind() == End.Kind.FIXTURE) {
        running.add(way.end().part());
      }
    }
    for (PartId id : running) {
      Part part = network.rig().parts().get(network.index(id));
      if (part.kind().ports().contains(PortId.WASTE) && network.hasLine(part.port(PortId.WASTE))) {
        int v = network.vertex(part, PortId.WASTE);
        fall(
            new Origin(
                new Source(Source.Kind.WASTE, id),
                levels.height(v) + Gathering.LEAST_FALL,
                new int[] {v}));
      }
    }
  }

  private FlowPaths answer(List<PumpWork> pumps, List<TankAir> air) {
    Currents currents = gathering.currents();
    List<Part> parts = network.rig().parts();
    BitSet dead = new BitSet(parts.size());
    BitSet pressed = new BitSet(parts.size());
    BitSet wetted = new BitSet(parts.size());
    for (int i = 0; i < parts.size(); i++) {
      int from = network.first(i);
      int to = network.first(i + 1);
      dead.set(i, !currents.movesAny(from, to));
      pressed.set(i, any(waters.pressed(), from, to));
      wetted.set(i, any(waters.wet(), from, to));
    }
    air.stream()
        .flatMap(a -> Stream.concat(a.out().stream(), a.in().stream()))
        .flatMap(route -> route.parts().stream())
        .forEach(part -> dead.clear(network.index(part)));
    return new FlowPaths(
        gathering.ways(),
        air,
        pumps,
        new Moving(network, currents.directions()),
        new PartSet(network, pressed),
        new PartSet(network, wetted),
        new PartSet(network, dead));
  }

  private static boolean any(boolean[] marks, int from, int to) {
    for (int v = from; v < to; v++) {
      if (marks[v]) {
        return true;
      }
    }
    return false;
  }
}
