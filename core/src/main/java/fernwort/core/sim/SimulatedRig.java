package fernwort.core.sim;

import fernwort.core.fault.Fault;
import fernwort.core.fault.FaultyRig;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.UnsettledFlowException;
import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.tank.Contents;
import fernwort.core.live.SignalKind;
import fernwort.core.live.Value;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * A rig that is made up, as its sensors and motors see it. It begins in the morning. Not for use by
 * several threads.
 */
public final class SimulatedRig {

  private static final double HOUR = 3600;
  private static final double DAY = 24 * HOUR;

  /** It begins at eight in the morning (s). */
  private static final double MORNING = 8 * HOUR;

  /** A level sensor follows so slowly (s); own choice. */
  private static final double LAG = 3;

  /** What a level sensor errs by, up and down (share of the tank); own choice. */
  private static final double NOISE = 0.003;

  /** Water that slops about in a tank, up and down (share of it) in so long (s); own choice. */
  private static final double SLOSH = 0.08;

  private static final double SLOSH_PERIOD = 3.1;

  /** A sensor that drifts tells so much less each hour (share of the tank); own choice. */
  private static final double DRIFT = 0.3;

  /** A contact is wet once so much has run out (m³); own choice. */
  private static final double WETS = 2e-4;

  /** A day outside: around so many °C, up and down by so many; own choice. */
  private static final double MILD = 13;

  private static final double SWING = 7;

  /** A night in which it freezes (°C); own choice. */
  private static final double FREEZING = -9;

  /** Indoors it is so warm (°C), and follows what is outside so slowly (s); own choice. */
  private static final double INDOORS = 19;

  private static final double FOLLOWS = 2 * HOUR;

  /** A place whose warmth nobody knows keeps so much of that of indoors (share); own choice. */
  private static final double USUAL_WARMTH = 0.5;

  /** Nobody draws from a tank that holds less (m³), or with a gray tank fuller (share). */
  private static final double LEFT = 5e-3;

  private static final double GRAY_FULL = 0.9;

  /** So long a rig whose flow is not found is left as it is (s). */
  private static final double UNSETTLED = 1;

  private final Rig sound;
  private final List<Sensor> sensors;
  private final Household household;
  private final Random random;
  private final Map<Mishap, Set<String>> mishaps = new EnumMap<>(Mishap.class);
  private final Map<Turn, Double> turning = new HashMap<>();
  private final Map<PartId, Double> shown = new TreeMap<>();
  private final Map<String, Value> stuck = new HashMap<>();
  private final Map<String, Double> drifting = new HashMap<>();
  private final Map<ElementId, Double> warmth = new TreeMap<>();
  private final Set<String> wet = new HashSet<>();
  private Network network;
  private Simulation simulation;
  private double before;
  private Map<PartId, ElementId> outlets = Map.of();

  /**
   * A sensor and what it says.
   *
   * @param value in the unit of its kind
   */
  public record Told(Sensor sensor, Value value) {}

  /**
   * Begins.
   *
   * @param state how handles and levels are
   */
  public SimulatedRig(Rig rig, State state, Random random) {
    sound = rig;
    this.random = random;
    sensors = Sensor.of(rig);
    household = new Household(rig, random);
    network = Network.of(rig);
    simulation = Simulation.start(network, state);
    rig.tanks().forEach(t -> shown.put(t.id(), state.volume(t.id())));
    rig.places().forEach(p -> warmth.put(p.id(), warm(p)));
  }

  /** Returns what it has. */
  public List<Sensor> sensors() {
    return sensors;
  }

  /** Returns the rig as it was made. */
  public Rig rig() {
    return sound;
  }

  /** Returns the time since midnight of the first day (s). */
  public double time() {
    return MORNING + elapsed();
  }

  private double elapsed() {
    return before + simulation.time();
  }

  /** Returns how handles and levels really are. */
  public State state() {
    State now = simulation.moment().state();
    Map<PartId, PositionId> positions = new TreeMap<>();
    sound.handles().forEach(p -> positions.put(p.id(), now.setting().of(p.id())));
    return new State(new Setting(positions), now.volumes(), now.slope());
  }

  /** Returns what is going wrong, and with what; an empty name for all of the rig. */
  public Map<Mishap, Set<String>> mishaps() {
    return mishaps;
  }

  /** Tells whether something is going wrong with all of the rig. */
  public boolean is(Mishap mishap) {
    return mishaps.containsKey(mishap);
  }

  private boolean is(Mishap mishap, String on) {
    return mishaps.getOrDefault(mishap, Set.of()).contains(on);
  }

  /** Returns what a mishap can be done to, by id. */
  public List<String> choices(Mishap mishap) {
    return switch (mishap.on()) {
      case LINE -> sound.lines().stream().map(x -> x.id().value()).toList();
      case MOTOR ->
          sensors.stream()
              .filter(s -> s.kind() == SignalKind.POSITION)
              .map(s -> s.on().id().value())
              .toList();
      case PUMP ->
          sound.parts().stream()
              .filter(p -> p.kind().is(Purpose.PUMPS))
              .map(x -> x.id().value())
              .toList();
      case SENSOR ->
          mishap == Mishap.SENSOR_DRIFTS
              ? sensors.stream()
                  .filter(s -> s.kind() == SignalKind.LEVEL)
                  .map(Sensor::name)
                  .toList()
              : sensors.stream().map(Sensor::name).toList();
      case ALL -> List.of("");
    };
  }

  /**
   * Lets something go wrong.
   *
   * @param on what it is done to; empty where it is done to all
   * @throws Refusal when there is no such thing
   */
  public void begin(Mishap mishap, String on) {
    if (!choices(mishap).contains(on)) {
      throw new Refusal(Says.THERE_IS_NOTHING_CALLED.with(on));
    }
    mishaps.computeIfAbsent(mishap, m -> new TreeSet<>()).add(on);
    switch (mishap) {
      case SENSOR_DRIFTS -> drifting.put(on, elapsed());
      case POWER_CUT -> {
        turning.clear();
        network
            .rig()
            .withoutPower(simulation.moment().state().setting())
            .positions()
            .forEach(this::set);
      }
      // A board that hears nobody any more stops its pumps; valves stay where they are.
      case LINK_CUT ->
          sensors.stream()
              .filter(s -> s.kind() == SignalKind.PUMP)
              .forEach(s -> set(s.on().id().part(), Position.OFF.id()));
      case LEAK, PUMP_WORN, LOW_MAINS -> rebuild();
      default -> {}
    }
  }

  /** All that goes wrong with a thing in one way is well again; what is wet dries. */
  public void end(Mishap mishap) {
    mishaps.remove(mishap);
    switch (mishap) {
      case SENSOR_STUCK -> stuck.clear();
      case SENSOR_DRIFTS -> drifting.clear();
      case LEAK -> {
        wet.clear();
        rebuild();
      }
      case PUMP_WORN, LOW_MAINS -> rebuild();
      default -> {}
    }
  }

  /** The rig with what is wrong in it now, its water and handles as they are. */
  private void rebuild() {
    State now = simulation.moment().state();
    before += simulation.time();
    Rig rig = sound;
    Map<PartId, PositionId> forced = new TreeMap<>();
    Map<PartId, ElementId> leaks = new HashMap<>();
    for (Fault fault : faults()) {
      Optional<FaultyRig> with = FaultyRig.of(rig, fault);
      if (with.isPresent()) {
        rig = with.get().rig();
        forced.putAll(with.get().forced());
        with.get().outlets().forEach(o -> leaks.put(o, fault.on()));
      }
    }
    Map<PartId, PositionId> positions = new TreeMap<>(rig.atRest().positions());
    sound.handles().forEach(p -> positions.put(p.id(), now.setting().of(p.id())));
    positions.putAll(forced);
    network = Network.of(rig);
    outlets = leaks;
    simulation =
        Simulation.start(network, new State(new Setting(positions), now.volumes(), now.slope()));
  }

  private List<Fault> faults() {
    List<Fault> faults = new ArrayList<>();
    mishaps
        .getOrDefault(Mishap.LEAK, Set.of())
        .forEach(l -> faults.add(new Fault(LineId.of(l), FaultKind.LEAKING)));
    mishaps
        .getOrDefault(Mishap.PUMP_WORN, Set.of())
        .forEach(p -> faults.add(new Fault(PartId.of(p), FaultKind.WORN)));
    if (is(Mishap.LOW_MAINS)) {
      sound.parts().stream()
          .filter(p -> p.kind().is(Purpose.INLET))
          .forEach(p -> faults.add(new Fault(p.id(), FaultKind.WEAK_SUPPLY)));
    }
    return faults;
  }

  /**
   * A motor is told to move; it arrives after its travel time, unless it sticks or has no power.
   *
   * @throws Refusal when there is no such part or position
   */
  public void command(PartId part, PositionId position) {
    sound.position(part, position);
    if (!is(Mishap.POWER_CUT) && !is(Mishap.VALVE_STUCK, part.value())) {
      turning.keySet().removeIf(t -> t.part().equals(part));
      turning.put(new Turn(part, position), elapsed() + Sensor.travel(sound.part(part)));
    }
  }

  /**
   * A hand turns something, at once.
   *
   * @throws Refusal when there is no such part or position
   */
  public void turn(PartId part, PositionId position) {
    sound.position(part, position);
    set(part, position);
  }

  private void set(PartId part, PositionId position) {
    if (!simulation.moment().state().setting().of(part).equals(position)) {
      simulation.set(part, position);
    }
  }

  /** Lets time pass (s). */
  public void run(double seconds) {
    double end = elapsed() + seconds;
    while (elapsed() < end) {
      double due = turning.values().stream().reduce(Math.min(end, household.next()), Math::min);
      advance(Math.max(due, elapsed()));
      act();
    }
    notice(seconds);
  }

  private void advance(double until) {
    try {
      simulation.runTo(until - before);
    } catch (UnsettledFlowException e) {
      // What cannot be solved stands still for a moment: a demo goes on.
      State now = simulation.moment().state();
      before = Math.max(until, elapsed() + UNSETTLED);
      simulation = Simulation.start(network, now.with(atRest(now.setting())));
    }
  }

  private Setting atRest(Setting setting) {
    Map<PartId, PositionId> positions = new TreeMap<>(setting.positions());
    positions.putAll(sound.shutDown());
    return new Setting(positions);
  }

  private void act() {
    double now = elapsed();
    List<Turn> arrived =
        turning.entrySet().stream()
            .filter(e -> e.getValue() <= now)
            .map(Map.Entry::getKey)
            .toList();
    for (Turn turn : arrived) {
      turning.remove(turn);
      set(turn.part(), turn.position());
    }
    while (household.next() <= now) {
      household.act(now, mayDraw()).ifPresent(t -> set(t.part(), t.position()));
    }
  }

  private boolean mayDraw() {
    State now = simulation.moment().state();
    boolean fresh = sound.tanks(Contents.FRESH).mapToDouble(t -> now.volume(t.id())).sum() > LEFT;
    boolean room =
        sound
            .tanks(Contents.GRAY)
            .allMatch(t -> now.volume(t.id()) < GRAY_FULL * network.room(t.id()).capacity());
    return fresh && room && !is(Mishap.FROST) && !is(Mishap.DRIVING);
  }

  /** What sensors and the ground notice of the time that passed (s). */
  private void notice(double seconds) {
    Moment moment = simulation.moment();
    double share = 1 - Math.exp(-seconds / LAG);
    shown.replaceAll((tank, value) -> value + share * (moment.state().volume(tank) - value));
    double warmer = 1 - Math.exp(-seconds / FOLLOWS);
    sound.places().forEach(p -> warmth.merge(p.id(), warm(p), (is, to) -> is + warmer * (to - is)));
    outlets.forEach((outlet, line) -> {
      if (moment.totals().out().getOrDefault(outlet, 0.0) > WETS) {
        sensors.stream()
            .filter(s -> s.kind() == SignalKind.LEAK && isAt(s, line))
            .forEach(s -> wet.add(s.name()));
      }
    });
  }

  /**
   * Tells whether water from a line comes to a contact: it lies in the place of one of its ends.
   */
  private boolean isAt(Sensor contact, ElementId line) {
    ElementId id = contact.on().id();
    PlaceId place = id instanceof PartId part ? sound.part(part).place() : id.place();
    return sound.lines().stream()
        .filter(l -> l.id().equals(line))
        .anyMatch(l ->
            sound.part(l.from().part()).place().equals(place)
                || sound.part(l.to().part()).place().equals(place));
  }

  /** Returns what is the case in its water now, such as a pump that draws air. */
  public List<Event> standing() {
    return simulation.standing();
  }

  /** Returns how warm it is outside (°C). */
  public double outside() {
    double day = MILD - SWING * Math.cos(2 * Math.PI * (time() % DAY - 4 * HOUR) / DAY);
    return is(Mishap.FROST) ? FREEZING : day;
  }

  private double warm(Place place) {
    double kept = place.warmth().orElse(USUAL_WARMTH);
    return outside() + kept * (INDOORS - outside());
  }

  /** Returns what each sensor says now; none of those that are silent, or without power. */
  public List<Told> told() {
    if (is(Mishap.POWER_CUT)) {
      return List.of();
    }
    Moment moment = simulation.moment();
    List<Told> told = new ArrayList<>();
    for (Sensor sensor : sensors) {
      if (!is(Mishap.SENSOR_LOST, sensor.name())) {
        Value value = value(sensor, moment);
        told.add(
            new Told(
                sensor,
                is(Mishap.SENSOR_STUCK, sensor.name())
                    ? stuck.computeIfAbsent(sensor.name(), s -> value)
                    : value));
      }
    }
    return told;
  }

  private Value value(Sensor sensor, Moment moment) {
    ElementId on = sensor.on().id();
    Flows flows = moment.flows();
    return switch (sensor.kind()) {
      case LEVEL -> new Value.Amount(level(sensor.name(), on.part()));
      case LEAK -> new Value.Contact(wet.contains(sensor.name()));
      case PUMP ->
          new Value.Contact(
              Optional.ofNullable(flows.pumps().get(on))
                  .filter(r -> r.does() != Flows.Does.RESTS)
                  .isPresent());
      case POSITION -> new Value.Stop(moment.state().setting().of(on.part()));
      case FLOW -> new Value.Amount(Math.max(0, flows.line(on.line())));
      case TEMPERATURE ->
          new Value.Amount(
              sensor.on().where() == SignalKind.Where.OUTSIDE
                  ? outside()
                  : warmth.getOrDefault(on, outside()));
      case SWITCH, TOTAL, PRESSURE, PITCH, ROLL -> new Value.Amount(0);
    };
  }

  private double level(String sensor, PartId tank) {
    double capacity = network.room(tank).capacity();
    double off = NOISE * (2 * random.nextDouble() - 1);
    if (is(Mishap.DRIVING)) {
      off += SLOSH * Math.sin(2 * Math.PI * elapsed() / SLOSH_PERIOD + tank.hashCode());
    }
    if (drifting.containsKey(sensor)) {
      off -= DRIFT * (elapsed() - drifting.get(sensor)) / HOUR;
    }
    return Math.clamp(shown.getOrDefault(tank, 0.0) + off * capacity, 0, capacity);
  }

  /** Returns the water in a tank as it really is (m³). */
  public double holds(PartId tank) {
    return simulation.moment().state().volume(tank);
  }
}
