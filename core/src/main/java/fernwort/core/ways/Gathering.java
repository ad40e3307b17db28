package fernwort.core.ways;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.Given;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.network.Outlets;
import fernwort.core.rig.Part;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The ways as they are found, each once, with the lines in which they move water. */
final class Gathering {

  /** The least by which water falls at all (m). */
  static final double LEAST_FALL = 1e-4;

  /** The suction side of a pump: how a source reaches its inlet. */
  record Intake(HeadReach suction, int in) {}

  private final Network network;
  private final Levels levels;
  private final OpenGraph graph;
  private final Outlets outlets;
  private final Currents currents;
  private final Map<FlowPath.Key, FlowPath> ways = new LinkedHashMap<>();

  Gathering(Network network, Levels levels, OpenGraph graph) {
    this.network = network;
    this.levels = levels;
    this.graph = graph;
    outlets = graph.outlets();
    currents = new Currents(graph);
  }

  /** Returns the ways in the order in which they were found. */
  List<FlowPath> ways() {
    return List.copyOf(ways.values());
  }

  /** Returns where they move water. */
  Currents currents() {
    return currents;
  }

  /**
   * Takes in the ways from a source to the outlets that a sweep reached.
   *
   * @param intake how the source reaches the pump that drives it, if one does
   */
  void collect(HeadReach sweep, Source source, DrivenBy drive, Optional<Intake> intake) {
    BitSet ends = new BitSet(network.size());
    for (Outlets.Outlet outlet : reached(sweep)) {
      if (accepts(sweep, source, drive, outlet)) {
        ends.set(outlet.vertex());
        ways.computeIfAbsent(
            new FlowPath.Key(source, outlet.end(), drive),
            key -> way(key, sweep, outlet.vertex(), intake));
      }
    }
    if (!ends.isEmpty()) {
      intake.ifPresent(i -> currents.addRoute(i.suction(), i.in()));
      currents.add(sweep, ends);
    }
  }

  /** The outlets that a sweep reached, in the order of the rig. */
  private List<Outlets.Outlet> reached(HeadReach sweep) {
    BitSet found = new BitSet(outlets.ends().size());
    for (int i = 0; i < sweep.touches(); i++) {
      int outlet = outlets.at(sweep.touched(i));
      if (outlet >= 0) {
        found.set(outlet);
      }
    }
    List<Outlets.Outlet> inOrder = new ArrayList<>();
    for (int i = found.nextSetBit(0); i >= 0; i = found.nextSetBit(i + 1)) {
      inOrder.add(outlets.ends().get(i));
    }
    return inOrder;
  }

  private boolean accepts(HeadReach sweep, Source source, DrivenBy drive, Outlets.Outlet outlet) {
    int v = outlet.vertex();
    return switch (outlet.end().kind()) {
      case TANK -> {
        PartId tank = outlet.end().part();
        boolean same = tank.equals(source.part()) && drive.kind() == DrivenBy.Kind.FALL;
        double against = levels.wet(v) ? levels.surface(tank) : levels.height(v);
        yield !same && !levels.floatShut(v) && sweep.head[v] > against + LEAST_FALL / 2;
      }
      case GROUND ->
          isOutside(v)
              ? !outlet.end().part().equals(source.part())
                  && sweep.head[v] > outside(v) + LEAST_FALL
              : !(source.kind() == Source.Kind.JUG && sweep.arrival[v] >= 0 && isMouth(v));
      case FIXTURE, DUMP -> true;
    };
  }

  /** A hose that hangs in outside water lets water out into it, too. */
  private boolean isOutside(int v) {
    Part part = network.part(v);
    return part.kind().is(Purpose.INLET) && graph.is(part, HoseInlet.OUTSIDE.id());
  }

  private double outside(int v) {
    return network.part(v).kind().gives().stream()
        .filter(given -> given.from() == Given.From.OUTSIDE)
        .mapToDouble(Given::height)
        .findFirst()
        .orElse(0);
  }

  /** Water poured into a neck passes its mouth without being lost there. */
  private boolean isMouth(int v) {
    return network.part(v).kind().is(Purpose.POURED_INTO);
  }

  private FlowPath way(FlowPath.Key key, HeadReach sweep, int end, Optional<Intake> intake) {
    List<PartId> parts = new ArrayList<>();
    Set<LineId> lines = new LinkedHashSet<>();
    intake.ifPresent(i -> addRoute(i.suction(), i.in(), parts, lines));
    addRoute(sweep, end, parts, lines);
    return new FlowPath(key.source(), key.end(), key.drive(), parts, List.copyOf(lines));
  }

  private void addRoute(HeadReach sweep, int end, List<PartId> parts, Set<LineId> lines) {
    List<Integer> backwards = new ArrayList<>();
    int v = end;
    while (sweep.arrival[v] >= 0) {
      backwards.add(sweep.arrival[v]);
      v = graph.from(sweep.arrival[v]);
    }
    append(parts, network.part(v).id());
    for (int e : backwards.reversed()) {
      if (graph.line(e) >= 0) {
        lines.add(network.rig().lines().get(graph.line(e)).id());
      }
      append(parts, network.part(graph.to(e)).id());
    }
  }

  /** A part that is entered and left is named once; a tank that water returns to, twice. */
  private static void append(List<PartId> parts, PartId part) {
    if (parts.isEmpty() || !parts.getLast().equals(part)) {
      parts.add(part);
    }
  }
}
