package fernwort.core.run;

import fernwort.core.effort.Effort;
import fernwort.core.flow.Fluid;
import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.hydraulics.Surroundings;
import fernwort.core.plumbing.End;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.plumbing.Relief;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Point;
import fernwort.core.rig.State;
import fernwort.core.rig.TankPort;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiFunction;
import java.util.function.IntPredicate;

/**
 * One run of a rig from a state. Not for use by several threads; a copy can be kept to go back to.
 */
public final class Simulation {

  /** Thermostats are not met in shorter steps than this (s). */
  private static final double SHORTEST = 1e-4;

  private static final int MOST_ATTEMPTS = 40;

  /** Steps shorter than this are a sign of air that is shut in (s). */
  private static final double STIFF = 0.05;

  /** How long a lock is trusted (s). */
  private static final double LOCKED = 60;

  /** What an error in volume may do to the pressure of air that is shut in (Pa): 10 cm of water. */
  private static final double MOST_SWING = 1000;

  private static final double STILL = Rates.STILL;
  private static final double NEARLY = 1e-9;

  private final Plumbing plumbing;
  private final Hydraulics hydraulics;
  private final Watch watch;
  private final Conditions conditions;
  private final List<Part> tanks;
  private final double[] volume;
  private final Crossings crossings;
  private final Air[] air;
  private final Jugs jugs;
  private final Pace pace;
  private final Set<String> wetVents;
  private final Totals totals;
  private final Warmth warmth;
  private final Wear wear;
  private State state;
  private Set<String> runningFull;
  private double time;
  private double lockTime;
  private Set<String> locked = Set.of();
  private int[] parts = {};
  private Flows flows;
  private Thresholds[] thresholds;

  /** Where a tank's water comes to other lines, which decides what is open but cuts no step. */
  private Thresholds[] crests;

  private Map<String, End> wastes = Map.of();

  /** Lines that the air of each tank passes. */
  private Map<String, List<String>> vents = Map.of();

  /** How much more a tank would hold at the very height of the port it spills at, by id (m³). */
  private final Map<String, Double> raised;

  /** Tanks that stand level with where a port lets their water over, with that port. */
  private Map<String, String> spilling = Map.of();

  private Set<Watch.Standing> standing = Set.of();

  private Simulation(Plumbing plumbing, Hydraulics hydraulics, State state, Conditions conditions) {
    this.plumbing = plumbing;
    this.hydraulics = hydraulics;
    this.conditions = conditions;
    this.state = state;
    watch = new Watch(plumbing, state.slope());
    tanks = plumbing.tanks();
    volume = tanks.stream().mapToDouble(t -> held(plumbing, state, t)).toArray();
    crossings = new Crossings(volume, capacities());
    air = new Air[tanks.size()];
    for (int i = 0; i < air.length; i++) {
      air[i] = new Air(plumbing.room(tanks.get(i).id()).capacity(), volume[i]);
    }
    jugs = new Jugs(plumbing.rig());
    pace = new Pace();
    wetVents = new HashSet<>();
    raised = new HashMap<>();
    runningFull = conditions.runningFull();
    totals = Totals.none();
    warmth = new Warmth(plumbing);
    wear = new Wear(plumbing);
    thresholds = thresholds(watch::heights);
    crests = thresholds(watch::crests);
    flows = Flows.NONE;
    lookAround();
    standing = look();
  }

  private Simulation(Simulation other, Hydraulics through) {
    plumbing = other.plumbing;
    hydraulics = through;
    watch = other.watch;
    conditions = other.conditions;
    tanks = other.tanks;
    volume = other.volume.clone();
    crossings = new Crossings(volume, capacities());
    air = new Air[other.air.length];
    for (int i = 0; i < air.length; i++) {
      air[i] = new Air(other.air[i]);
    }
    jugs = new Jugs(other.jugs);
    pace = new Pace(other.pace);
    wetVents = new HashSet<>(other.wetVents);
    totals = other.totals.copy();
    warmth = new Warmth(other.warmth);
    wear = new Wear(other.wear);
    state = other.state;
    runningFull = other.runningFull;
    time = other.time;
    lockTime = other.lockTime;
    locked = other.locked;
    parts = other.parts.clone();
    flows = other.flows;
    thresholds = other.thresholds;
    crests = other.crests;
    wastes = other.wastes;
    vents = other.vents;
    spilling = other.spilling;
    raised = new HashMap<>(other.raised);
    standing = other.standing;
  }

  private double[] capacities() {
    return tanks.stream().mapToDouble(t -> plumbing.room(t.id()).capacity()).toArray();
  }

  private static double held(Plumbing plumbing, State state, Part tank) {
    return Math.clamp(state.volume(tank.id()), 0, plumbing.room(tank.id()).capacity());
  }

  /** Starts a run from a state, with clean filters and water at 15 °C. */
  public static Simulation start(Plumbing plumbing, State state) {
    return start(plumbing, Hydraulics.of(plumbing), state, Conditions.ORDINARY);
  }

  /**
   * Starts a run.
   *
   * @param plumbing the prepared rig
   * @param hydraulics its hydraulics, which many runs may share
   * @param state where it starts
   * @param conditions water and filters
   */
  public static Simulation start(
      Plumbing plumbing, Hydraulics hydraulics, State state, Conditions conditions) {
    return new Simulation(plumbing, hydraulics, state, conditions);
  }

  /** Returns a copy that runs on by itself, to go back to. */
  public Simulation copy() {
    return new Simulation(this, hydraulics);
  }

  /** Returns a copy that runs on through the same rig with other losses. */
  public Simulation with(Hydraulics other) {
    Simulation changed = new Simulation(this, other);
    changed.lookAround();
    return changed;
  }

  /** Returns how things stand. */
  public Moment moment() {
    double[] rates = rates(flows);
    Map<String, Double> gains = new TreeMap<>();
    for (int i = 0; i < rates.length; i++) {
      gains.put(tanks.get(i).id(), rates[i]);
    }
    return new Moment(
        time, now(volume), flows, gains, flows.air(), warmth.temperatures(), totals.copy());
  }

  /** Returns the time since the run began (s). */
  public double time() {
    return time;
  }

  private State now(double[] volumes) {
    Map<String, Double> held = new HashMap<>();
    for (int i = 0; i < volumes.length; i++) {
      held.put(tanks.get(i).id(), volumes[i]);
    }
    return new State(state.setting(), held, state.slope());
  }

  private Map<String, Double> pressures(double[] volumes) {
    Map<String, Double> pressures = new TreeMap<>();
    for (int i = 0; i < volumes.length; i++) {
      double pressure = air[i].pressure(volumes[i]);
      if (pressure != 0) {
        pressures.put(tanks.get(i).id(), pressure);
      }
    }
    return pressures;
  }

  // --- hands ---------------------------------------------------------------------------------

  /**
   * Sets a handle, switch, cap or tap now.
   *
   * @return what begins and ends with it
   * @throws Refusal when the part or position does not exist
   */
  public List<Happening> set(String part, String position) {
    plumbing.rig().position(part, position);
    state = state.with(part, position);
    if (position.equals(Kind.PortableContainer.POURING.id())) {
      jugs.fill(plumbing.rig().part(part));
    }
    spilling = Map.of();
    lookAround();
    pace.restart(time);
    List<Happening> happenings = new ArrayList<>();
    happenings.add(new Happening(time, Happening.Kind.HAND, part, true));
    happenings.addAll(changes());
    return happenings;
  }

  // --- time ----------------------------------------------------------------------------------

  /** Runs on to a time (s) and returns what begins and ends on the way. */
  public List<Happening> runTo(double until) {
    List<Happening> all = new ArrayList<>();
    while (time < until - NEARLY) {
      all.addAll(advance(until));
    }
    return all;
  }

  /**
   * Runs on until something begins or ends, or to a time (s).
   *
   * @return what begins and ends then; empty at the time
   */
  public List<Happening> runToNext(double until) {
    List<Happening> found = List.of();
    while (found.isEmpty() && time < until - NEARLY) {
      found = advance(until);
    }
    return found;
  }

  /**
   * Runs on until one thing begins, or to a time (s).
   *
   * @return when it begins (s), if it does before then
   */
  public Optional<Double> runUntil(Happening.Kind kind, String subject, double until) {
    while (time < until - NEARLY) {
      for (Happening h : advance(until)) {
        if (h.kind() == kind && h.subject().equals(subject) && h.begins()) {
          return Optional.of(h.at());
        }
      }
    }
    return Optional.empty();
  }

  /** Takes one step, at most to a time; returns what changes at its end. */
  private List<Happening> advance(double until) {
    Rates start = new Rates(flows, rates(flows));
    double turn = Math.max(SHORTEST, warmth.untilTurn(state.setting(), flows));
    if (start.areStill()) {
      double idle = Math.min(until - time, turn);
      warmth.advance(idle, state.setting(), flows);
      time += idle;
      return idle == turn ? changes() : List.of();
    }
    if (!locked.isEmpty() && time > lockTime + LOCKED) {
      lookAround();
      start = new Rates(flows, rates(flows));
    }
    double h = Math.min(pace.next(time), until - time);
    double shortest = pace.shortest();
    h =
        Math.min(
            Math.min(h, turn),
            Math.max(shortest, crossings.untilCrossing(thresholds, start, start, h)));
    h = Math.min(h, Math.min(jugs.untilPouredOut(flows), crossings.untilLimit(start, start, h)));
    h = untilBackedUp(start, h);
    Rates end = start;
    double error = 0;
    for (int attempt = 0; attempt < MOST_ATTEMPTS; attempt++) {
      Effort.look();
      Flows ahead = solve(crossings.after(start, start, h, h));
      end = new Rates(ahead, rates(ahead));
      error = Crossings.difference(start.gains(), end.gains()) * h / 2;
      if (pace.isTooCoarse(error) && (h < STIFF || h <= shortest) && lock(start, end)
          || pace.isCoarse() && lockSwinging(start, end, h)
          || lockBalanced(start, end, h)) {
        return changes();
      }
      if (!pace.isTooCoarse(error) || h <= shortest) {
        break;
      }
      h = pace.shorter(h, error);
    }
    if (!moving(end.flows()).equals(moving(flows)) && h > shortest) {
      return floods(start, h);
    }
    double crossing = Math.max(shortest, crossings.untilCrossing(thresholds, start, end, h));
    double taken = Math.min(h, Math.min(crossing, crossings.untilLimit(start, end, h)));
    boolean turns = taken < h || jugs.runOut(start.flows(), taken);
    move(start, end, taken, h);
    pace.learn(h, taken, error);
    if (turns || crossings.crossed(thresholds, parts)) {
      turn(end.gains(), end.flows());
    } else {
      flows = solve(volume);
      letGo();
    }
    return changes();
  }

  /** Works out anew what is open after a port or crest was met, with what moved until then. */
  private void turn(double[] ratesBefore, Flows before) {
    Air[] airBefore = Arrays.stream(air).map(Air::new).toArray(Air[]::new);
    lookAround();
    letGo();
    boolean held = false;
    for (int i = 0; i < volume.length; i++) {
      double now = rates(flows)[i];
      boolean rose = ratesBefore[i] > STILL && now < -STILL;
      boolean fell = ratesBefore[i] < -STILL && now > STILL;
      // Where the level hovers at a port, air passes there as it did while the port was free.
      Air free = rose ? airBefore[i] : air[i];
      if (!free.isShutIn()
          && (rose && spill(i, before, flows) || fell && spillAgain(i, before, flows))) {
        air[i] = free;
        air[i].settle(volume[i]);
        flows = solve(volume);
        held = flows.spills().get(tanks.get(i).id()) == Flows.Spill.HOLDS;
        if (!held) {
          raised.remove(part(i));
          spilling = without(spilling, tanks.get(i).id());
          lookAround();
        }
      }
    }
    if (!held) {
      pace.flip(time);
    }
  }

  /** Takes a tank to stand level with the port by which its water has begun to leave. */
  private boolean spill(int tank, Flows before, Flows after) {
    Part part = tanks.get(tank);
    double most = STILL;
    String port = "";
    for (String p : part.kind().ports()) {
      double more = leaving(part, p, after) - leaving(part, p, before);
      if (more > most) {
        most = more;
        port = p;
      }
    }
    if (port.isEmpty()) {
      return false;
    }
    raised.remove(part.id());
    Map<String, String> more = new TreeMap<>(spilling);
    more.put(part.id(), port);
    spilling = more;
    return true;
  }

  /** The same for a tank that has just fallen to such a port while water comes in. */
  private boolean spillAgain(int tank, Flows before, Flows after) {
    double over = Math.min(thresholds[tank].above(volume[tank]), crests[tank].above(volume[tank]));
    if (!spill(tank, after, before)) {
      return false;
    }
    raised.put(part(tank), over - volume[tank]);
    return true;
  }

  private String part(int tank) {
    return tanks.get(tank).id();
  }

  /** Returns what leaves a tank by the line at one of its ports (m³/s). */
  private double leaving(Part tank, String port, Flows of) {
    return plumbing
        .lineId(tank.port(port))
        .map(id -> {
          boolean first =
              plumbing.rig().lines().get(plumbing.lineNumber(id)).from().equals(tank.port(port));
          return first ? of.line(id) : -of.line(id);
        })
        .orElse(0.0);
  }

  /** Lets tanks go that no longer stand level with a port: more comes than runs over, or less. */
  private void letGo() {
    while (flows.spills().containsValue(Flows.Spill.RISES)
        || flows.spills().containsValue(Flows.Spill.FALLS)) {
      Map<String, String> left = new TreeMap<>(spilling);
      flows
          .spills()
          .forEach((tank, fares) -> {
            if (fares != Flows.Spill.HOLDS) {
              left.remove(tank);
            }
          });
      spilling = left;
      lookAround();
    }
  }

  private static Map<String, String> without(Map<String, String> map, String key) {
    Map<String, String> fewer = new TreeMap<>(map);
    fewer.remove(key);
    return fewer;
  }

  /**
   * Locks the tank that keeps the step short, when it is for its air: air that is shut in gives way
   * so little that the tank soon passes on what it gets. Tells whether there was such a tank.
   */
  private boolean lock(Rates start, Rates end) {
    int stiffest = 0;
    for (int i = 0; i < volume.length; i++) {
      double change = Math.abs(end.gains()[i] - start.gains()[i]);
      double most = Math.abs(end.gains()[stiffest] - start.gains()[stiffest]);
      stiffest = change > most ? i : stiffest;
    }
    if (!air[stiffest].isShutIn()) {
      return false;
    }
    lock(stiffest);
    return true;
  }

  private void lock(int tank) {
    Set<String> more = new HashSet<>(locked);
    more.add(part(tank));
    locked = more;
    lockTime = time;
    flows = solve(volume);
  }

  /**
   * Locks a tank whose shut-in air comes to its balance within a step, hardly moving: a step beyond
   * would overshoot it, and swing about it without an end.
   */
  private boolean lockBalanced(Rates start, Rates end, double seconds) {
    return lockFirst(i -> {
      double first = start.gains()[i];
      return Math.abs(first) > STILL
          && first * end.gains()[i] < 0
          && !pace.isTooCoarse(Math.abs(first) * seconds);
    });
  }

  /**
   * Locks a tank whose shut-in air would swing in pressure by more than a coarse step can follow:
   * over such a step it passes on what it gets.
   */
  private boolean lockSwinging(Rates start, Rates end, double seconds) {
    return lockFirst(i -> {
      double moved = Math.abs(end.gains()[i] - start.gains()[i]) * seconds / 2;
      return air[i].swing(volume[i], moved) > MOST_SWING;
    });
  }

  /** Locks the first tank with its air shut in of which something holds; tells whether any does. */
  private boolean lockFirst(IntPredicate holds) {
    for (int i = 0; i < volume.length; i++) {
      if (air[i].isShutIn() && !locked.contains(part(i)) && holds.test(i)) {
        lock(i);
        return true;
      }
    }
    return false;
  }

  private static Set<String> moving(Flows of) {
    Set<String> moving = new HashSet<>();
    of.lines()
        .forEach((id, q) -> {
          if (Math.abs(q) > NEARLY) {
            moving.add(id);
          }
        });
    return moving;
  }

  /**
   * Goes to the moment within a step at which water begins or ceases to move in some lines: a crest
   * is reached, which the air's pressure decides as well as the level. Found by halving.
   */
  private List<Happening> floods(Rates start, double within) {
    Set<String> before = moving(start.flows());
    double low = 0;
    double high = within;
    while (high - low > pace.shortest()) {
      double middle = (low + high) / 2;
      if (moving(solve(crossings.after(start, start, middle, middle))).equals(before)) {
        low = middle;
      } else {
        high = middle;
      }
    }
    move(start, start, high, high);
    pace.slowDown();
    turn(start.gains(), start.flows());
    return changes();
  }

  /** What each tank gains: from lines, and from the wastes of fixtures. */
  private double[] rates(Flows of) {
    double[] rates = new double[tanks.size()];
    for (int i = 0; i < rates.length; i++) {
      rates[i] = of.tank(tanks.get(i).id());
    }
    of.fixtures()
        .forEach((fixture, q) -> {
          int tank = wasteTank(fixture);
          if (tank >= 0) {
            rates[tank] += q;
          }
        });
    return rates;
  }

  /** The place of the tank that takes a fixture's waste, −1 when none does or it is brim-full. */
  private int wasteTank(String fixture) {
    End end = wastes.get(fixture);
    if (end == null || end.kind() != End.Kind.TANK) {
      return -1;
    }
    for (int i = 0; i < tanks.size(); i++) {
      if (tanks.get(i).id().equals(end.part())) {
        double room = plumbing.room(end.part()).capacity() - volume[i];
        return room > NEARLY && head(i) < watch.wasteHeight(fixture) ? i : -1;
      }
    }
    return -1;
  }

  /** Returns the head of a tank's water, the pressure of its air included (m). */
  private double head(int tank) {
    return head(tank, volume[tank]);
  }

  private double head(int tank, double holding) {
    Part part = tanks.get(tank);
    double level = plumbing.room(part.id()).level(holding, state.slope());
    double corner = state.slope().heightOf(new Point(part.x(), part.y(), part.height()));
    return corner + level + Fluid.WATER.head(air[tank].pressure(holding));
  }

  /**
   * Returns how much of a step passes before a tank that waste runs into, whatever its pressure,
   * stands as high as the waste (s); all of it when none does.
   */
  private double untilBackedUp(Rates start, double within) {
    double soonest = within;
    for (Map.Entry<String, Double> use : start.flows().fixtures().entrySet()) {
      int tank = use.getValue() > STILL ? wasteTank(use.getKey()) : -1;
      double high = watch.wasteHeight(use.getKey());
      if (tank < 0 || head(tank, crossings.after(start, start, soonest, soonest)[tank]) < high) {
        continue;
      }
      double low = 0;
      while (soonest - low > pace.shortest()) {
        double middle = (low + soonest) / 2;
        if (head(tank, crossings.after(start, start, middle, middle)[tank]) < high) {
          low = middle;
        } else {
          soonest = middle;
        }
      }
    }
    return soonest;
  }

  /** Moves the water of one step and counts it. */
  private void move(Rates start, Rates end, double seconds, double over) {
    double[] moved = crossings.after(start, end, seconds, over);
    double bent = seconds * seconds / (2 * over);
    count(start.flows(), seconds - bent);
    count(end.flows(), bent);
    warmth.advance(seconds, state.setting(), start.flows());
    System.arraycopy(moved, 0, volume, 0, volume.length);
    for (int i = 0; i < air.length; i++) {
      air[i].settle(volume[i]);
    }
    time += seconds;
  }

  private void count(Flows of, double seconds) {
    wear.count(of, seconds);
    Totals.add(totals.supplied(), of.supplies(), seconds);
    Totals.add(totals.drawn(), of.fixtures(), seconds);
    Totals.add(totals.out(), of.ends(), seconds);
    of.fixtures()
        .forEach((fixture, q) -> {
          if (wasteTank(fixture) < 0) {
            totals.out().merge(fixture, q * seconds, Double::sum);
          }
        });
    jugs.pour(of, seconds);
  }

  // --- what is open ----------------------------------------------------------------------------

  /** Works out anew what the setting and the covered ports decide. */
  private void lookAround() {
    State now = now(volume);
    Set<String> airless = new HashSet<>();
    parts = new int[volume.length];
    for (int i = 0; i < parts.length; i++) {
      parts[i] = thresholds[i].part(volume[i]);
    }
    int[] reached = new int[volume.length];
    for (int i = 0; i < reached.length; i++) {
      reached[i] = crests[i].part(volume[i]);
    }
    Surroundings around = hydraulics.around(now, reached);
    wastes = around.wastes();
    vents = around.vents();
    Levels levels = Levels.of(plumbing, now);
    for (int i = 0; i < tanks.size(); i++) {
      int tank = i;
      // At a port where the level hovers, air passes beside the water: it stays open till it ends.
      boolean beside =
          (pace.isHovering() || spilling.containsKey(tanks.get(tank).id()))
              && !air[tank].isShutIn();
      around
          .airOf(tanks.get(i).id())
          .filter(a -> !beside)
          .ifPresent(a -> air[tank].ways(levels, a, wetVents));
      if (air[i].hasNoWayIn()) {
        vented(tanks.get(i), levels).ifPresent(air[tank]::drawsUnder);
      }
      air[i].settle(volume[i]);
      if (air[i].isAirless(volume[i])) {
        airless.add(tanks.get(i).id());
      }
    }
    locked = airless;
    lockTime = time;
    flows = solve(volume);
  }

  /** How deep a tank's highest vent is under water, where its line stands open (m). */
  private Optional<Double> vented(Part tank, Levels levels) {
    if (!Relief.of(plumbing, state.setting()).hasByVents(tank.id())) {
      return Optional.empty();
    }
    return ((Kind.Tank) tank.kind())
        .tankPorts().stream()
            .filter(p -> p.use() == TankPort.Use.VENT)
            .map(p -> levels.surface(tank.id()) - levels.top(tank.port(p.id())))
            .min(Double::compare);
  }

  /** How things stand, with tanks that spill at the very height of their port. */
  private State level(double[] volumes) {
    State level = now(volumes);
    for (Map.Entry<String, Double> r : raised.entrySet()) {
      if (spilling.containsKey(r.getKey())) {
        level = level.withVolume(r.getKey(), level.volume(r.getKey()) + r.getValue());
      }
    }
    return level;
  }

  private Flows solve(double[] volumes) {
    return hydraulics.solve(
        level(volumes),
        wear.on(conditions)
            .withAir(pressures(volumes))
            .withVents(vents)
            .withSpilling(spilling)
            .after(runningFull, jugs.empty(), locked));
  }

  private Thresholds[] thresholds(BiFunction<Part, State, double[]> heights) {
    Thresholds[] all = new Thresholds[tanks.size()];
    for (int i = 0; i < all.length; i++) {
      Part tank = tanks.get(i);
      all[i] = Thresholds.of(plumbing, tank, heights.apply(tank, state), state.slope());
    }
    return all;
  }

  private Set<Watch.Standing> look() {
    Set<Watch.Standing> standing = watch.look(now(volume), flows, flows.air(), jugs.empty());
    warmth
        .hot(state.setting())
        .forEach(h -> standing.add(new Watch.Standing(Happening.Kind.HOT, h)));
    flows
        .fixtures()
        .forEach((fixture, q) -> {
          End end = wastes.get(fixture);
          if (q > STILL && end != null && end.kind() == End.Kind.TANK && wasteTank(fixture) < 0) {
            standing.add(new Watch.Standing(Happening.Kind.BACKS_UP, fixture));
          }
        });
    return standing;
  }

  /** Returns what has begun and ended since it was last asked. */
  private List<Happening> changes() {
    flows
        .lines()
        .forEach((line, q) -> {
          if (Math.abs(q) > STILL) {
            wetVents.add(line);
          }
        });
    runningFull = flows.runningFull();
    Set<Watch.Standing> now = look();
    List<Happening> changes = new ArrayList<>();
    for (Watch.Standing s : now) {
      if (!standing.contains(s)) {
        changes.add(new Happening(time, s.kind(), s.subject(), true));
      }
    }
    for (Watch.Standing s : standing) {
      if (!now.contains(s)) {
        changes.add(new Happening(time, s.kind(), s.subject(), false));
      }
    }
    standing = now;
    return changes;
  }
}
