package fernwort.core.guide;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Primed;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.OpenWays;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * Where the water at one part comes from and goes to, so that somebody in front of it can say
 * whether that is so: each way through it with every tap and valve open, tanks half full.
 *
 * @param part the part
 * @param stands what its handle does, position by position; one without words for a part without
 * @param beside what its lines lead to, for a part by which no water comes by itself: a vent, a cap
 * @param lines ids of the lines on any of its ways, or beside it
 */
public record WaterWalk(Part part, List<Stands> stands, List<String> beside, Set<LineId> lines) {

  /**
   * One position of a handle.
   *
   * @param words what the position is called; empty for a part without a handle
   * @param ways the parts of each way by their labels, from where it comes to where it goes
   */
  public record Stands(String words, List<List<String>> ways) {}

  /** How full a tank is that stands above those linked to it. */
  private static final double FULLER = 0.9;

  /** More ways through one part than a person compares are not told. */
  private static final int MOST = 6;

  public WaterWalk {
    stands = List.copyOf(stands);
    beside = List.copyOf(beside);
    lines = Set.copyOf(lines);
  }

  /**
   * Returns the ways through a part.
   *
   * @param running how handles stand while the pump draws from the first tank, by part
   * @throws fernwort.core.say.Refusal when there is no such part
   */
  public static WaterWalk of(Network asItIs, Map<PartId, PositionId> running, PartId id) {
    // Somebody has primed the pumps: how high they draw while dry is no question of the lines.
    Network network = Primed.of(asItIs);
    Rig rig = network.rig();
    Part part = rig.part(id);
    Map<PartId, PositionId> open = new HashMap<>();
    // A cap that is off elsewhere lets its tank run out; only what one stands before is taken off.
    rig.handles()
        .forEach(p -> open.put(p.id(), isCap(p.kind()) ? p.rest().id() : widest(p.kind())));
    open.putAll(running);
    Map<PartId, Double> half = network.halfFull();
    Set<LineId> lines = new TreeSet<>();
    List<Stands> stands = stands(network, open, half, part, lines);
    // A valve of three ways, or a hose from outside, gives its water in another of its positions.
    for (Part other : rig.handles().toList()) {
      for (Position position : other.kind().positions()) {
        if (lines.isEmpty() && !isCap(other.kind()) && !other.equals(part)) {
          Map<PartId, PositionId> turned = new HashMap<>(open);
          turned.put(other.id(), position.id());
          stands = stands(network, turned, half, part, lines);
        }
      }
    }
    // Between tanks that are level nothing runs: the first of them is the fuller one then.
    for (Part tank : network.tanks()) {
      if (lines.isEmpty()) {
        Map<PartId, Double> uneven = new HashMap<>(half);
        uneven.put(tank.id(), FULLER * network.room(tank.id()).capacity());
        stands = stands(network, open, uneven, part, lines);
      }
    }
    List<String> beside = new ArrayList<>();
    if (lines.isEmpty()) {
      for (Line line : rig.lines()) {
        boolean from = line.from().part().equals(id);
        if (from || line.to().part().equals(id)) {
          lines.add(line.id());
          beside.add(rig.part(from ? line.to().part() : line.from().part()).label());
        }
      }
    }
    return new WaterWalk(part, stands, beside, lines);
  }

  private static List<Stands> stands(
      Network network,
      Map<PartId, PositionId> open,
      Map<PartId, Double> half,
      Part part,
      Set<LineId> lines) {
    List<Position> positions = part.kind().positions();
    List<Stands> stands = new ArrayList<>();
    for (Position position : positions.isEmpty() ? List.of(NO_HANDLE) : positions) {
      Map<PartId, PositionId> tried = new HashMap<>(open);
      if (position != NO_HANDLE) {
        tried.put(part.id(), position.id());
      }
      List<FlowPath> through =
          through(network, new State(new Setting(tried), half, Slope.LEVEL), part.id());
      through.forEach(way -> lines.addAll(way.lines()));
      stands.add(
          new Stands(
              position.words(),
              through.stream()
                  .map(way -> labels(network.rig(), way))
                  .distinct()
                  .limit(MOST)
                  .toList()));
    }
    return stands;
  }

  /** What a part without a handle is in. */
  private static final Position NO_HANDLE = new Position(PositionId.NONE, "");

  /** A pump on; else the position that joins most ports, the last of those that join as many. */
  private static PositionId widest(Kind kind) {
    if (kind.is(Purpose.DRIVES)) {
      return kind.positions().isEmpty() ? PositionId.NONE : kind.positions().getLast().id();
    }
    return kind.positions().stream()
        .reduce((one, next) -> joined(kind, next) >= joined(kind, one) ? next : one)
        .map(Position::id)
        .orElse(PositionId.NONE);
  }

  private static boolean isCap(Kind kind) {
    return kind.is(Purpose.CLOSES) || kind.is(Purpose.POURED_INTO);
  }

  private static int joined(Kind kind, Position position) {
    return kind.links(position.id()).size();
  }

  private static List<FlowPath> through(Network network, State state, PartId part) {
    return OpenWays.find(network, state).ways().stream()
        .filter(way -> way.parts().contains(part))
        .sorted(Comparator.comparingInt(way -> way.parts().size()))
        .toList();
  }

  private static List<String> labels(Rig rig, FlowPath way) {
    return way.parts().stream()
        .map(rig::part)
        .filter(p -> !p.kind().is(Purpose.JOINS))
        .map(Part::label)
        .toList();
  }
}
