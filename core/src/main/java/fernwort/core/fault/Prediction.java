package fernwort.core.fault;

import fernwort.core.fault.Suspects.Suspect;
import fernwort.core.hydraulics.Carried;
import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.hydraulics.UnsettledFlowException;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.InOut;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.Simulation;
import fernwort.core.say.Refusal;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * What one would see on a rig with a fault, or on the sound one. What was worked out is kept for
 * the next question about the same state.
 */
final class Prediction {

  /** Water below this share of what a sound rig gives is none. */
  private static final double NONE = 0.03;

  /** Below this share it is weak. */
  private static final double WEAK = 0.6;

  /** A flow that nobody sees (m³/s): 0.05 L/min. */
  private static final double UNSEEN = 0.05e-3 / 60;

  /** A drip that wets what is below it (m³/s): 0.02 L/min. */
  private static final double WETS = 0.02e-3 / 60;

  /** Later than this, water at a tap is what comes after a while (s). */
  private static final double LATER = 60;

  private static final double LATER_SPAN = 30;

  /** The pressure at which a pump's switch is half way, nearly. */
  private static final double HALF_WAY = 0.49;

  // So much is kept of each fault: flows are large, answers are not; own choice.
  private static final int FLOWS = 12;
  private static final int RUNS = 24;
  private static final int ANSWERS = 1000;

  private static final double HOT = 0.8;
  private static final double LUKEWARM = 0.2;
  private static final double STILL = 1e-8;

  private final Rig rig;
  private final Optional<Fault> fault;
  private final Optional<FaultyRig> faulty;
  private final Hydraulics hydraulics;
  private final Network network;
  private final Conditions conditions;
  private final Map<State, Optional<Flows>> solved = newest(FLOWS);
  private final Map<Ran, Optional<Outcome>> ran = newest(RUNS);
  private final Map<Asked, Optional<String>> answered = newest(ANSWERS);

  /** The gray tanks and all that hangs on them up to the fixtures, by id. */
  private final Set<ElementId> wasteSide;

  private record Asked(Observation look, State noted) {}

  /** A map that keeps what was put into it last. */
  private static <K, V> Map<K, V> newest(int most) {
    return new LinkedHashMap<>() {
      private static final long serialVersionUID = 1L;

      @Override
      protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
        return size() > most;
      }
    };
  }

  private record Ran(State state, double seconds) {}

  /** What a run came to. */
  private record Outcome(
      Map<PartId, Double> volumes, Map<PartId, Double> drawn, Set<ElementId> backsUp) {}

  private Prediction(Rig rig) {
    this.rig = rig;
    fault = Optional.empty();
    faulty = Optional.empty();
    network = Network.of(rig);
    hydraulics = Hydraulics.of(network);
    conditions = Conditions.ORDINARY;
    wasteSide = wasteSide(rig);
  }

  /** What does not change a rig shares all that was worked out about the sound one. */
  private Prediction(Rig rig, Fault fault, FaultyRig faulty, Prediction sound) {
    this.rig = rig;
    this.fault = Optional.of(fault);
    this.faulty = Optional.of(faulty);
    wasteSide = sound.wasteSide;
    boolean same = faulty.rig() == rig;
    network = same ? sound.network : Network.of(faulty.rig(), sound.network);
    hydraulics = same ? sound.hydraulics : Hydraulics.of(network);
    conditions = Conditions.ORDINARY.carrying(Carried.runningFull(faulty.full()));
  }

  private static Set<ElementId> wasteSide(Rig rig) {
    Set<ElementId> found = new HashSet<>();
    Deque<PartId> open = new ArrayDeque<>();
    rig.parts().stream()
        .filter(p -> p.kind().contained().equals(Optional.of(Contents.GRAY)))
        .forEach(p -> open.add(p.id()));
    while (!open.isEmpty()) {
      PartId at = open.poll();
      if (found.add(at) && !rig.part(at).kind().is(Purpose.USE)) {
        for (Line line : rig.lines()) {
          if (line.from().part().equals(at) || line.to().part().equals(at)) {
            found.add(line.id());
            open.add(line.from().part());
            open.add(line.to().part());
          }
        }
      }
    }
    return found;
  }

  /** Returns what one sees on the sound rig. */
  static Prediction sound(Rig rig) {
    return new Prediction(rig);
  }

  /** Returns what one sees under a fault; nothing where the rig cannot be drawn with it. */
  static Optional<Prediction> under(Rig rig, Suspect suspect, Prediction sound) {
    try {
      return FaultyRig.of(rig, suspect.fault())
          .map(f -> new Prediction(rig, suspect.fault(), f, sound));
    } catch (Refusal notDrawn) {
      return Optional.empty();
    }
  }

  private boolean is(ElementId on, FaultKind... kinds) {
    return fault.filter(f -> f.on().equals(on) && Set.of(kinds).contains(f.kind())).isPresent();
  }

  /**
   * Returns what one would see. Several may ask at once; one that asks the sound rig waits for it,
   * which never waits for another.
   *
   * @param noted handles and levels as far as anybody knows
   * @param sound what one sees on the sound rig; itself for the sound one
   * @return nothing where that is not known
   */
  synchronized Optional<String> value(Observation of, State noted, Prediction sound) {
    Asked asked = new Asked(of.seen(""), noted);
    Optional<String> known = answered.get(asked);
    if (known == null) {
      known = worked(of, noted, sound);
      answered.put(asked, known);
    }
    return known;
  }

  private Optional<String> worked(Observation of, State noted, Prediction sound) {
    ElementId on = of.on();
    boolean put =
        fault.isPresent()
            && is(fault.get().on(), FaultKind.MISPLACED)
            && of.positions().containsKey(fault.get().on())
            && of.kind() != Look.HANDLE;
    if (put) {
      // Whoever turns a handle for a check puts it where it belongs.
      return sound.value(of, noted, sound);
    }
    State believed = noted.with(over(noted.setting(), of.positions()));
    return switch (of.kind()) {
      case HANDLE ->
          Optional.of(
              is(on, FaultKind.MISPLACED)
                  ? fault.orElseThrow().position().orElseThrow().value()
                  : believed.setting().of(on.part()).value());
      case DIP -> Optional.of(dip(on.part()));
      case POWER -> Optional.of(is(on, FaultKind.NO_POWER) ? "no" : "yes");
      case BUCKET ->
          Optional.of(
              is(on, FaultKind.NO_SUPPLY)
                  ? "none"
                  : is(on, FaultKind.WEAK_SUPPLY) ? "weak" : "normal");
      case INSPECT -> Optional.of(inspected(on));
      case PUMP -> pump(on.part(), believed);
      case WATER -> water(of, believed, sound);
      case WARMTH -> solve(believed).flatMap(f -> warmth(f, on.part(), state(believed).setting()));
      case LEVEL -> level(of, believed);
      case WET -> wet(on, believed);
      case DRAIN -> drain(of, noted, sound);
    };
  }

  /** What is found on a part or a line; in a place the line on which something is found. */
  private String inspected(ElementId on) {
    if (fault.isEmpty()) {
      return Observation.FINE;
    }
    Fault wrong = fault.get();
    if (wrong.on().equals(on)) {
      return wrong.kind().written();
    }
    return Observation.linesIn(rig, on).anyMatch(l -> l.id().equals(wrong.on()))
        ? wrong.on().value()
        : Observation.FINE;
  }

  private String dip(PartId tank) {
    if (is(tank, FaultKind.EMPTIER, FaultKind.GAUGE_STUCK)) {
      return FaultKind.EMPTIER.written();
    }
    return is(tank, FaultKind.FULLER) ? FaultKind.FULLER.written() : "as-shown";
  }

  private static Setting over(Setting noted, Map<PartId, PositionId> turned) {
    if (turned.isEmpty()) {
      return noted;
    }
    Map<PartId, PositionId> all = new TreeMap<>(noted.positions());
    all.putAll(turned);
    return new Setting(all);
  }

  private State state(State believed) {
    return faulty.map(f -> f.state(believed)).orElse(believed);
  }

  private synchronized Optional<Flows> solve(State believed) {
    return solved.computeIfAbsent(
        state(believed),
        s -> {
          try {
            return Optional.of(hydraulics.solve(s, conditions));
          } catch (UnsettledFlowException e) {
            return Optional.empty();
          }
        });
  }

  private synchronized Optional<Outcome> run(State believed, double seconds) {
    return ran.computeIfAbsent(
        new Ran(state(believed), seconds),
        r -> {
          try {
            Simulation run = Simulation.start(network, hydraulics, r.state(), conditions);
            Set<ElementId> backsUp = new HashSet<>();
            for (Event event : run.runTo(r.seconds())) {
              if (event.kind() == Event.Kind.BACKS_UP && event.begins()) {
                backsUp.add(event.subject());
              }
            }
            return Optional.of(
                new Outcome(
                    run.moment().state().volumes(), run.moment().totals().drawn(), backsUp));
          } catch (UnsettledFlowException e) {
            return Optional.empty();
          }
        });
  }

  private Optional<String> pump(PartId pump, State believed) {
    boolean on = believed.setting().has(pump, Kind.ON);
    if (is(pump, FaultKind.JAMMED)) {
      return Optional.of(on ? "hums" : "silent");
    }
    return solve(believed).map(f -> heard(pump, f));
  }

  private String heard(PartId pump, Flows flows) {
    Flows.Running running = flows.pumps().get(pump);
    if (running == null) {
      return "silent";
    }
    return switch (running.does()) {
      case RESTS -> keepsOn(pump, running) ? "runs" : "silent";
      case CYCLES -> "starts-again";
      default -> "runs";
    };
  }

  /** A pump that does not come to its cut-out runs on and on, though nothing flows. */
  private boolean keepsOn(PartId pump, Flows.Running running) {
    Kind kind = network.rig().part(pump).kind();
    if (!(kind instanceof fernwort.core.kind.machine.Pump switched) || switched.cutIn() == 0) {
      return true;
    }
    return is(pump, FaultKind.RUNS_ON)
        || running.rise() < HALF_WAY * (switched.cutIn() + switched.cutOut());
  }

  private Optional<String> water(Observation of, State believed, Prediction sound) {
    ElementId on = of.on();
    Part part = rig.part(on.part());
    boolean tap = part.kind().is(Purpose.USE);
    if (tap && of.seconds().orElse(0.0) > LATER) {
      return later(on.part(), believed, of.seconds().orElseThrow())
          .flatMap(q ->
              sound.later(on.part(), believed, of.seconds().orElseThrow()).map(q0 -> share(q, q0)));
    }
    return solve(believed).flatMap(a -> sound.solve(believed).map(b -> water(part, tap, a, b)));
  }

  private String water(Part part, boolean tap, Flows here, Flows sound) {
    double q = passes(part, tap, here);
    double q0 = passes(part, tap, sound);
    if (q < UNSEEN) {
      return "none";
    }
    if (tap && here.airAt().stream().anyMatch(a -> a.value().startsWith(FaultyRig.MARK))) {
      return "spitting";
    }
    if (q0 < UNSEEN) {
      return part.kind().is(Purpose.OUTLET) || !tap && !part.kind().is(Purpose.INLET)
          ? "runs"
          : "normal";
    }
    return share(q, q0);
  }

  private static double passes(Part part, boolean tap, Flows flows) {
    if (tap) {
      return flows.fixture(part.id());
    }
    return part.kind().is(Purpose.INLET)
        ? flows.supplies().getOrDefault(part.id(), 0.0)
        : flows.end(part.id());
  }

  private static String share(double q, double sound) {
    return q < NONE * sound ? "none" : q < WEAK * sound ? "weak" : "normal";
  }

  /** What a tap gives after a while: the mean of half a minute (m³/s). */
  private Optional<Double> later(PartId tap, State believed, double seconds) {
    return run(believed, seconds)
        .flatMap(a ->
            run(believed, seconds + LATER_SPAN)
                .map(b ->
                    (b.drawn().getOrDefault(tap, 0.0) - a.drawn().getOrDefault(tap, 0.0))
                        / LATER_SPAN));
  }

  private Optional<String> level(Observation of, State believed) {
    PartId tank = of.on().part();
    if (is(tank, FaultKind.GAUGE_STUCK)) {
      return Optional.of("steady");
    }
    double start = state(believed).volume(tank);
    double least = Proof.seen(network.room(tank).capacity());
    return run(believed, of.watched())
        .map(o -> {
          double got = o.volumes().getOrDefault(tank, 0.0) - start;
          return got > least ? "rises" : got < -least ? "falls" : "steady";
        });
  }

  private Optional<String> wet(ElementId on, State believed) {
    List<PartId> outlets = faulty.map(FaultyRig::outlets).orElse(List.of());
    if (outlets.isEmpty()) {
      return Optional.of("dry");
    }
    PlaceId place = network.rig().part(outlets.getFirst()).place();
    ElementId at = fault.orElseThrow().on();
    boolean near = on.equals(at) || on.equals(place) || isEndOf(at, on);
    if (!near) {
      return Optional.of("dry");
    }
    return solve(believed)
        .map(f -> outlets.stream().mapToDouble(f::end).sum() > WETS ? "wet" : "dry");
  }

  /** Tells whether a part stands at an end of a line: what drips there is seen at the part. */
  private boolean isEndOf(ElementId line, ElementId part) {
    return rig.lines().stream()
        .filter(l -> l.id().equals(line))
        .anyMatch(l -> l.from().part().equals(part) || l.to().part().equals(part));
  }

  /** Less water from the tap does not back up where all of it does not, with a sound waste side. */
  private Optional<String> drain(Observation of, State noted, Prediction sound) {
    boolean elsewhere = fault.filter(f -> !sound.wasteSide.contains(f.on())).isPresent();
    return elsewhere && sound.value(of, noted, sound).filter("normal"::equals).isPresent()
        ? Optional.of("normal")
        : drain(of, noted.with(over(noted.setting(), of.positions())));
  }

  private Optional<String> drain(Observation of, State believed) {
    if (fault
        .filter(f -> isInTheWay(f.kind()) && waste(of.on().part()).contains(f.on()))
        .isPresent()) {
      return Optional.of("backs-up");
    }
    if (fault
        .filter(f -> f.kind() == FaultKind.DRY && waste(of.on().part()).contains(f.on()))
        .isPresent()) {
      return Optional.of("smells");
    }
    return run(believed, of.watched())
        .map(o -> o.backsUp().contains(of.on()) ? "backs-up" : "normal");
  }

  private static boolean isInTheWay(FaultKind kind) {
    return kind == FaultKind.BLOCKED || kind == FaultKind.FROZEN || kind == FaultKind.AIR_LOCKED;
  }

  /** The traps and lines by which the waste of a fixture runs off. */
  private Set<ElementId> waste(PartId fixture) {
    Set<ElementId> found = new HashSet<>();
    Map<PortRef, Line> lines = rig.linesByPort();
    PortRef at = rig.part(fixture).port(PortId.WASTE);
    while (lines.containsKey(at)) {
      Line line = lines.get(at);
      Part next = rig.part(line.other(at).part());
      found.add(line.id());
      if (!next.kind().is(Purpose.TRAPS) || !found.add(next.id())) {
        return found;
      }
      at = next.port(next.kind().through().map(InOut::out).orElse(PortId.OUT));
    }
    return found;
  }

  /** The share of what leaves a tap that came out of a heater that is on. */
  private Optional<String> warmth(Flows flows, PartId tap, Setting setting) {
    if (flows.fixture(tap) < UNSEEN) {
      return Optional.empty();
    }
    double hot = hot(tap, flows, setting, new HashMap<>(), new HashSet<>());
    return Optional.of(hot > HOT ? "hot" : hot > LUKEWARM ? "lukewarm" : "cold");
  }

  private double hot(
      PartId at, Flows flows, Setting setting, Map<PartId, Double> known, Set<PartId> passed) {
    Double before = known.get(at);
    if (before != null) {
      return before;
    }
    Part part = network.rig().part(at);
    if (part.kind().is(Purpose.HEATS)) {
      return setting.has(at, Kind.ON) ? 1 : 0;
    }
    if (part.kind().is(Purpose.HOLDS) || part.kind().is(Purpose.INLET) || !passed.add(at)) {
      return 0;
    }
    double all = 0;
    double warm = 0;
    for (Line line : linesAt(at)) {
      boolean last = line.to().part().equals(at);
      double q = flows.line(line.id());
      double into = last ? q : -q;
      PortRef here = last ? line.to() : line.from();
      if (into > STILL && !here.port().equals(PortId.WASTE)) {
        all += into;
        warm += into * hot(line.other(here).part(), flows, setting, known, new HashSet<>(passed));
      }
    }
    double share = all > 0 ? warm / all : 0;
    known.put(at, share);
    return share;
  }

  private List<Line> linesAt(PartId part) {
    List<Line> at = new ArrayList<>();
    for (Line line : network.rig().lines()) {
      if (line.from().part().equals(part) || line.to().part().equals(part)) {
        at.add(line);
      }
    }
    return at;
  }
}
