package fernwort.core.build.remove;

import fernwort.core.build.joints.Adapter;
import fernwort.core.build.joints.JointEnds;
import fernwort.core.build.joints.Region;
import fernwort.core.drain.Draining;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.effort.Effort;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.end.Tap;
import fernwort.core.kind.line.Valve;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.network.Walk;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * How to take parts out: what to switch off and shut, what to empty, the joints in the order of
 * undoing with the litres that come at each, and how it goes together again.
 *
 * <p>The litres are run, not guessed: the joints are opened one after another in the rig as it
 * stands, its highest tap open, by the same draining that tells what stays in winter. Of the
 * handles one after another is shut that keeps most back, until none keeps more; joints are undone
 * from the highest down, so that air comes in above what runs out below.
 *
 * @param out what comes out
 * @param off what is switched off or shut at its source first, with how it stands then
 * @param shut handles to shut, with what each keeps back (m³)
 * @param empty tanks to empty before, with what would run out of each (m³)
 * @param joints the joints, in order
 * @param litres all that comes at them (m³)
 * @param caps what to close the halves with, and how many of each
 * @param heed what to mind
 */
public record TakeApart(
    List<Part> out,
    List<Turn> off,
    List<Turn> shut,
    Map<PartId, Double> empty,
    List<Undo> joints,
    double litres,
    Map<String, Integer> caps,
    List<Message> heed) {

  /** Less is not worth a turn (m³). */
  private static final double WORTH = 1e-4;

  /** More than this is emptied before, and not caught (m³). */
  private static final double MUCH = 1e-3;

  /** Less is a rounding (m³). */
  private static final double NOTHING = 1e-6;

  private static final int MOST_SHUT = 6;
  private static final int MOST_JOINTS = 80;

  /** What a towel takes, and a bucket (m³). */
  private static final double TOWEL = 3e-4;

  private static final double BUCKET = 8e-3;

  /**
   * A handle to turn.
   *
   * @param part the part
   * @param to the position
   * @param keeps what that keeps back (m³); 0 for what is only switched off
   */
  public record Turn(Part part, Position to, double keeps) {}

  /** What to hold under a joint. */
  public enum Catch {
    NOTHING,
    TOWEL,
    BUCKET,
    EMPTY_FIRST
  }

  /**
   * A joint to undo.
   *
   * @param tag number of its two tags, of which one stays on the line and one on the part
   * @param line the line
   * @param at the port
   * @param place id of the place where it is
   * @param comes water that comes when it is undone, after those before it (m³)
   * @param seal what to renew when it goes together again
   */
  public record Undo(int tag, Line line, PortRef at, PlaceId place, double comes, PartId seal) {

    /** Returns what to hold under it. */
    public Catch under() {
      return comes < 1e-5
          ? Catch.NOTHING
          : comes <= TOWEL ? Catch.TOWEL : comes <= BUCKET ? Catch.BUCKET : Catch.EMPTY_FIRST;
    }
  }

  public TakeApart {
    out = List.copyOf(out);
    off = List.copyOf(off);
    shut = List.copyOf(shut);
    empty = Map.copyOf(empty);
    joints = List.copyOf(joints);
    caps = Map.copyOf(caps);
    heed = List.copyOf(heed);
  }

  /**
   * Plans it.
   *
   * @param parts ids of the parts that come out
   * @param from how the rig stands
   * @throws Refusal when nothing is chosen, or nothing chosen has a joint
   */
  public static TakeApart of(Network network, State from, Set<PartId> parts) {
    return of(network, from, parts, Region.METRIC);
  }

  /**
   * Plans it with caps and seals in the sizes of a region.
   *
   * @param from how it stands
   * @param parts ids of the parts that come out
   * @throws Refusal when there is nothing to undo, or too much at once
   */
  public static TakeApart of(Network network, State from, Set<PartId> parts, Region region) {
    return new Planning(network, from, parts, region).plan();
  }

  private static final class Planning {

    private final Network network;
    private final Rig rig;
    private final Region region;
    private final List<Part> out;
    private final List<PortRef> joints;
    private final State from;
    private State state;

    private Planning(Network network, State from, Set<PartId> parts, Region region) {
      this.region = region;
      this.network = network;
      this.from = from;
      rig = network.rig();
      out = parts.stream().map(rig::part).toList();
      joints = Undoing.joints(rig, parts);
      if (joints.isEmpty()) {
        throw new Refusal(Says.CHOOSE_WHAT_HAS_TO_COME.with());
      }
      if (joints.size() > MOST_JOINTS) {
        throw new Refusal(Says.THAT_IS_JOINTS_REMOVE.with(joints.size(), MOST_JOINTS));
      }
      state = from;
    }

    private TakeApart plan() {
      List<Turn> off = off();
      List<Turn> shut = shut();
      List<Undo> undone = undo();
      return new TakeApart(
          out,
          off,
          shut,
          emptied(),
          undone,
          undone.stream().mapToDouble(Undo::comes).sum(),
          caps(),
          ApartWords.heed(out, state, highestTap()));
    }

    /**
     * Pumps and heaters off, taps shut, hoses off; then the highest tap is opened and stays open,
     * so that no pressure is left and air comes in.
     */
    private List<Turn> off() {
      Map<PartId, PositionId> turns = new TreeMap<>(rig.shutDown());
      Optional<Part> tap = highestTap();
      tap.ifPresent(t -> turns.remove(t.id()));
      List<Turn> off = new ArrayList<>();
      for (Map.Entry<PartId, PositionId> turn : turns.entrySet()) {
        if (!from.setting().of(turn.getKey()).equals(turn.getValue())) {
          off.add(turn(turn.getKey(), turn.getValue()));
        }
      }
      tap.ifPresent(t -> off.add(turn(t.id(), open(t))));
      return off;
    }

    private Turn turn(PartId part, PositionId position) {
      state = state.with(part, position);
      return new Turn(rig.part(part), rig.position(part, position), 0);
    }

    private Optional<Part> highestTap() {
      return rig.parts().stream()
          .filter(p -> p.kind().is(Purpose.USE) && !out.contains(p))
          .max(Comparator.comparingDouble(Part::height).thenComparing(Part::id));
    }

    private static PositionId open(Part tap) {
      Tap fixture = (Tap) tap.kind();
      return fixture.mixes() ? Tap.WARM.id() : fixture.cold().id();
    }

    /** One handle after another that keeps most back. */
    private List<Turn> shut() {
      List<Turn> shut = new ArrayList<>();
      Rig apart = Undoing.open(rig, joints);
      Network opened = Network.of(apart);
      double loses = loses(opened, state);
      double held = held(full(state));
      // A shut vent keeps water back only until the first bubble.
      Set<PartId> coming = new HashSet<>(breathing());
      out.forEach(p -> coming.add(p.id()));
      for (int round = 0; round < MOST_SHUT && loses > WORTH; round++) {
        Optional<Turn> best = Optional.empty();
        for (Part part : rig.handles().toList()) {
          Effort.look();
          if (part.kind() instanceof Valve valve && !coming.contains(part.id())) {
            for (Position position : valve.positions()) {
              State turned = state.with(part.id(), position.id());
              // What a turn lets out by itself, by a drain it opens, is not kept back.
              boolean holds = held(full(turned)) > held - NOTHING;
              double kept = holds ? loses - loses(opened, turned) : 0;
              if (kept > WORTH && kept > best.map(Turn::keeps).orElse(0.0)) {
                best = Optional.of(new Turn(part, position, kept));
              }
            }
          }
        }
        if (best.isEmpty()) {
          break;
        }
        shut.add(best.get());
        state = state.with(best.get().part().id(), best.get().to().id());
        loses -= best.get().keeps();
      }
      return shut;
    }

    /** Parts on the lines by which tanks breathe. */
    private Set<PartId> breathing() {
      List<PortRef> vents = new ArrayList<>();
      for (Part part : network.tanks()) {
        ((Tank) part.kind())
            .tankPorts().stream()
                .filter(p -> p.use() == TankPort.Use.VENT)
                .forEach(p -> vents.add(part.port(p.id())));
      }
      return new Walk(rig, p -> p.kind().is(Purpose.JOINS) || p.kind().is(Purpose.TURNS))
          .parts(vents);
    }

    private double loses(Network opened, State at) {
      Wintering full = full(at);
      return held(full) - held(Draining.of(opened, full));
    }

    /** The rig's own water as it stands before anything is undone: what runs out anyway has. */
    private Wintering full(State at) {
      return Draining.of(network, Filled.of(network, at));
    }

    private double held(Wintering now) {
      double held = 0;
      for (Line line : rig.lines()) {
        held += now.wetness().volume(line);
      }
      for (Part part : rig.parts()) {
        held += now.wetness().body(part.id());
        held += part.kind().is(Purpose.HOLDS) ? now.state().volume(part.id()) : 0;
      }
      return held;
    }

    private List<Undo> undo() {
      List<PortRef> order =
          joints.stream()
              .sorted(
                  Comparator.comparingDouble((PortRef j) -> -height(j))
                      .thenComparing(PortRef::toString))
              .toList();
      Map<PortRef, Line> lines = rig.linesByPort();
      List<Undo> undone = new ArrayList<>();
      List<PortRef> open = new ArrayList<>();
      Wintering now = full(state);
      for (PortRef joint : order) {
        open.add(joint);
        Wintering next = Draining.of(Network.of(Undoing.open(rig, open)), now);
        undone.add(
            new Undo(
                undone.size() + 1,
                Objects.requireNonNull(lines.get(joint)),
                joint,
                rig.part(joint.part()).place(),
                Math.max(0, held(now) - held(next)),
                seal(joint)));
        now = next;
      }
      return undone;
    }

    private double height(PortRef joint) {
      return rig.part(joint.part()).at(joint.port()).z();
    }

    private PartId seal(PortRef joint) {
      return PartId.of(
          JointEnds.of(rig, region).stream()
              .filter(e -> e.at().equals(joint))
              .findFirst()
              .map(e -> ApartWords.seal(e.port().form(), e.end().form()))
              .orElse(""));
    }

    /** Something over or into each half. */
    private Map<String, Integer> caps() {
      Map<String, Integer> caps = new TreeMap<>();
      for (JointEnds ends : JointEnds.of(rig, region)) {
        if (joints.contains(ends.at())) {
          for (Connection.Form half : List.of(ends.port().form(), ends.end().form())) {
            if (!(half instanceof Connection.Open)) {
              caps.merge(Adapter.words(half), 1, Integer::sum);
            }
          }
        }
      }
      return caps;
    }

    private Map<PartId, Double> emptied() {
      Wintering full = full(state);
      Wintering drained = Draining.of(Network.of(Undoing.open(rig, joints)), full);
      Map<PartId, Double> empty = new HashMap<>();
      rig.tanks()
          .forEach(t -> {
            double runs = full.state().volume(t.id()) - drained.state().volume(t.id());
            if (runs > MUCH) {
              empty.put(t.id(), runs);
            }
          });
      return empty;
    }
  }

  /** Returns the rig while they are out, all their lines' ends capped. */
  public Rig meanwhile(Rig rig) {
    return Undoing.without(rig, out.stream().map(Part::id).toList());
  }

  /** Returns which way round each goes back, where it matters. */
  public List<Message> wayRound() {
    return ApartWords.wayRound(out);
  }
}
