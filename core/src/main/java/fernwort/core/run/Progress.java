package fernwort.core.run;

import fernwort.core.flow.Expected;
import fernwort.core.hydraulics.Carried;
import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.hydraulics.Surroundings;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import fernwort.core.run.water.Air;
import fernwort.core.run.water.Dry;
import fernwort.core.run.water.EventLocation;
import fernwort.core.run.water.Fronts;
import fernwort.core.run.water.Heads;
import fernwort.core.run.water.Jugs;
import fernwort.core.run.water.Locks;
import fernwort.core.run.water.Rates;
import fernwort.core.run.water.Spills;
import fernwort.core.run.water.StepControl;
import fernwort.core.run.water.Tanks;
import fernwort.core.run.water.Thresholds;
import fernwort.core.run.water.Totals;
import fernwort.core.run.water.Warmth;
import fernwort.core.run.water.Wear;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How far a run has come: the water as it stands, what flows, and all that it carries along. A copy
 * goes on by itself.
 */
final class Progress {

  /** A step that is wrong by no more ends where it was taken to (m³): a thousandth of a mL. */
  private static final double NO_ERROR = 1e-9;

  final Network network;
  final EventMonitor watch;
  final Tanks tanks;
  final EventLocation crossings;
  final Heads heads;
  final Spills spills;
  final Locks locks;
  final Wastes wastes;
  final Jugs jugs;
  final StepControl pace;
  final Warmth warmth;
  final Totals totals;
  final Fronts fronts;

  private final Hydraulics hydraulics;
  private final Conditions given;
  private final Wear wear;

  /** Where a tank's water comes to other lines, which decides what is open but cuts no step. */
  private final List<Thresholds> crests;

  /** Vents that water has run through, whose sags hold some of it. */
  private final Set<LineId> wetVents;

  private State state;
  private double time;
  private Flows flows = Flows.NONE;
  private Set<LineId> runningFull;

  /** Lines that the air of each tank passes. */
  private Map<PartId, List<LineId>> vents = Map.of();

  Progress(Landmarks landmarks, Hydraulics hydraulics, State state, Conditions given, Dry dry) {
    Landmarks.OnSlope met = landmarks.on(state.slope());
    network = landmarks.network();
    this.hydraulics = hydraulics;
    this.given = given;
    this.state = state;
    watch = met.watch();
    tanks = new Tanks(network, state);
    crossings = new EventLocation(tanks, met.ports());
    heads = new Heads(tanks, met.heights());
    crests = met.crests();
    spills = new Spills(network);
    locks = new Locks(tanks);
    wastes = new Wastes(watch, tanks);
    jugs = new Jugs(network.rig());
    pace = new StepControl();
    warmth = new Warmth(network);
    wear = new Wear(network);
    totals = Totals.none();
    fronts = new Fronts(network.rig(), dry);
    wetVents = new HashSet<>();
    runningFull = given.carried().runningFull();
    lookAround();
  }

  /** A copy, through the same hydraulics or others of the same rig. */
  Progress(Progress other, Hydraulics through) {
    network = other.network;
    hydraulics = through;
    given = other.given;
    state = other.state;
    watch = other.watch;
    tanks = new Tanks(other.tanks);
    crossings = new EventLocation(other.crossings, tanks);
    heads = new Heads(other.heads, tanks);
    crests = other.crests;
    spills = new Spills(other.spills);
    locks = new Locks(other.locks, tanks);
    wastes = new Wastes(other.wastes, tanks);
    jugs = new Jugs(other.jugs);
    pace = new StepControl(other.pace);
    warmth = new Warmth(other.warmth);
    wear = new Wear(other.wear);
    totals = other.totals.copy();
    fronts = new Fronts(other.fronts);
    wetVents = new HashSet<>(other.wetVents);
    runningFull = other.runningFull;
    time = other.time;
    flows = other.flows;
    vents = other.vents;
  }

  Hydraulics hydraulics() {
    return hydraulics;
  }

  double time() {
    return time;
  }

  Flows flows() {
    return flows;
  }

  /** Returns the flows as they are, with what each tank gains by them. */
  Rates rates() {
    return rates(flows);
  }

  private Rates rates(Flows of) {
    return new Rates(of, wastes.gains(of));
  }

  /** Returns the handles and the water as they stand. */
  State now() {
    return now(tanks.volumes());
  }

  private State now(double[] volumes) {
    return new State(state.setting(), tanks.byId(volumes), state.slope());
  }

  /** Returns how much a tank gains before its water comes to another port or crest (m³). */
  double untilPortOrCrest(int tank) {
    double volume = tanks.volume(tank);
    return Math.min(crossings.above(tank), crests.get(tank).above(volume)) - volume;
  }

  /** Sets a handle, switch, cap or tap, and with it what hangs on one switch with it. */
  void set(PartId part, PositionId position) {
    state = state.with(network.rig().turned(state.setting(), part, position));
    if (position.equals(PortableContainer.POURING.id())) {
      jugs.fill(network.rig().part(part));
    }
    spills.forget();
    lookAround();
    pace.restart(time);
  }

  /** Works out anew what the setting and the covered ports decide. */
  void lookAround() {
    State now = now();
    crossings.look();
    int[] reached = new int[tanks.count()];
    for (int i = 0; i < reached.length; i++) {
      reached[i] = crests.get(i).part(tanks.volume(i));
    }
    Surroundings around = hydraulics.around(now, reached);
    wastes.runTo(around.wastes());
    vents = around.vents();
    Levels levels = Levels.of(network, now);
    for (int i = 0; i < tanks.count(); i++) {
      breathe(i, around, levels);
    }
    locks.renew(time);
    settle();
  }

  /** Finds the ways that the air of a tank has now. */
  private void breathe(int tank, Surroundings around, Levels levels) {
    Air air = tanks.air(tank);
    // At a port where the level hovers, air passes beside the water: it stays open till it ends.
    boolean beside = (pace.isHovering() || spills.has(tanks.id(tank))) && !air.isShutIn();
    if (!beside) {
      around.airOf(tanks.id(tank)).ifPresent(ways -> air.ways(levels, ways, wetVents));
    }
    air.settle(tanks.volume(tank));
  }

  /** Takes a tank's shut-in air to be stiff from now on, until it has let time pass. */
  void lock(int tank) {
    locks.lock(tank, time);
    flows = solve(tanks.volumes());
  }

  /** Finds the flows anew for the water as it stands. */
  void settle() {
    settle(solve(tanks.volumes()));
  }

  private void settle(Flows found) {
    flows = found;
    if (locks.letGo(flows)) {
      flows = solve(tanks.volumes());
    }
  }

  /**
   * Goes on with what flows at the end of a step that made no error, or else finds it anew.
   *
   * @param error what the step made in a volume (m³)
   */
  void settle(Rates end, double error) {
    if (error > NO_ERROR || fronts.lacking() > 0 || wear.passes(end.flows())) {
      settle();
    } else {
      settle(end.flows());
    }
  }

  /**
   * Returns what would flow at the end of a step: with each level, and the pressure of its air,
   * where the start of the step takes it; but as shut-in air gives way to what flows at the end.
   * That keeps air steady which gives way so little that it would swing about its balance.
   *
   * @param seconds how long the step is (s)
   */
  Rates after(Rates start, double seconds) {
    return rates(
        solve(
            crossings.after(start, start, seconds, seconds),
            tanks.yielding(start.gains(), seconds)));
  }

  private Flows solve(double[] volumes) {
    return solve(volumes, Map.of());
  }

  private Flows solve(double[] volumes, Map<PartId, Expected> yielding) {
    Carried carried =
        new Carried(
            tanks.pressures(volumes),
            runningFull,
            jugs.empty(),
            locks.ids(),
            spills.ports(),
            yielding,
            Optional.of(vents));
    return fronts.arriving(
        hydraulics.solve(spills.level(now(volumes)), wear.on(given).carrying(carried)));
  }

  /** Moves the water of one step, or of its first part, and counts it. */
  void move(Rates start, Rates end, double seconds, double over) {
    double[] moved = crossings.after(start, end, seconds, over);
    double bent = seconds * seconds / (2 * over);
    count(start.flows(), seconds - bent);
    count(end.flows(), bent);
    warmth.advance(seconds, state.setting(), start.flows());
    fronts.advance(start.flows(), seconds);
    tanks.hold(moved);
    time += seconds;
  }

  /** Lets time pass in which no water moves (s). */
  void idle(double seconds) {
    warmth.advance(seconds, state.setting(), flows);
    time += seconds;
  }

  private void count(Flows of, double seconds) {
    wear.count(of, seconds);
    Totals.add(totals.supplied(), of.supplies(), seconds);
    Totals.add(totals.drawn(), of.fixtures(), seconds);
    Totals.add(totals.out(), of.ends(), seconds);
    of.fixtures()
        .forEach((fixture, q) -> {
          if (wastes.isLost(fixture)) {
            totals.out().merge(fixture, q * seconds, Double::sum);
          }
        });
    jugs.pour(of, seconds);
  }

  /** Returns when a thermostat turns next (s). */
  double untilTurn() {
    return warmth.untilTurn(state.setting(), flows);
  }

  /** Keeps in mind which lines have had water in them, and which run full. */
  void remember() {
    flows
        .lines()
        .forEach((line, q) -> {
          if (Math.abs(q) > Rates.STILL) {
            wetVents.add(line);
          }
        });
    runningFull = flows.runningFull();
  }
}
