package fernwort.core.live.rule;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Motor;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.live.Signal;
import fernwort.core.live.SignalKind;
import fernwort.core.live.Value;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.run.Actor;
import fernwort.core.run.Moment;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** One rule at work on the simulated rig, with one thing that goes wrong. */
final class RuleTrial implements Actor, Sight {

  /** How often a rule looks (s). */
  private static final double LOOK = 10;

  /** A level that acts is so old: the median of half a minute lags (s). */
  private static final double LAG = 15;

  /** A signal that is not told any more counts for so long (s). */
  private static final double STALE = 60;

  /** Fernwort is back after so long (s); own choice. */
  private static final double BACK = 120;

  /** A sensor that drifts tells so much less each hour (share of the tank); own choice. */
  private static final double DRIFT = 0.3;

  private static final double HOUR = 3600;

  /** What is heated or cooled for a rule has come to what it waits for after so long (s). */
  private static final double WARMS = 60;

  private record Sample(double time, Moment moment) {}

  private final Network network;
  private final Map<String, Signal> signals;
  private final RuleRun run;
  private final RuleFault fault;
  private final int faultStep;
  private final Deque<Sample> past = new ArrayDeque<>();
  private final Map<Turn, Double> turning = new HashMap<>();
  private final Set<PartId> failed = new HashSet<>();
  private final List<Told> told = new ArrayList<>();
  private final boolean acts;
  private double nextLook;
  private double broken = Double.POSITIVE_INFINITY;
  private boolean back;
  private Optional<Moment> now = Optional.empty();

  /**
   * What was done.
   *
   * @param at when (s)
   */
  record Told(double at, RuleRun.Deed deed) {}

  /**
   * Prepares a trial.
   *
   * @param faultStep at which of its steps it goes wrong
   * @param acts whether the rule acts; if not, only what goes wrong is tried, for comparison
   */
  RuleTrial(
      Network network,
      Map<String, Signal> signals,
      Rule rule,
      RuleFault fault,
      int faultStep,
      boolean acts) {
    this.network = network;
    this.signals = signals;
    this.fault = fault;
    this.faultStep = faultStep;
    this.acts = acts;
    run = new RuleRun(rule);
    run.press(0);
  }

  List<Told> told() {
    return told;
  }

  /** Returns when the rule was over (s); nothing while it is not, or can begin anew. */
  Optional<Double> over() {
    if (run.isActing() || told.isEmpty()) {
      return Optional.empty();
    }
    RuleRun.Deed last = told.getLast().deed();
    boolean ended = last instanceof RuleRun.Ended || last instanceof RuleRun.BrokenOff;
    return ended && turning.isEmpty() ? Optional.of(told.getLast().at()) : Optional.empty();
  }

  @Override
  public double next(Moment moment) {
    return turning.values().stream().reduce(nextLook, Math::min);
  }

  @Override
  public List<Act> act(Moment moment) {
    now = Optional.of(moment);
    List<Act> acts = new ArrayList<>();
    if (Actor.isDue(nextLook, moment)) {
      past.addLast(new Sample(moment.time(), moment));
      while (past.getFirst().time() < moment.time() - LAG) {
        past.removeFirst();
      }
      look(moment, acts);
      nextLook = this.acts ? moment.time() + LOOK : Double.POSITIVE_INFINITY;
    }
    List<Turn> due =
        turning.entrySet().stream()
            .filter(e -> Actor.isDue(e.getValue(), moment))
            .map(Map.Entry::getKey)
            .toList();
    for (Turn turn : due) {
      turning.remove(turn);
      if (fault == RuleFault.MOTOR_STUCK && isBroken(moment) && !stops(turn)) {
        failed.add(turn.part());
      } else {
        acts.add(new Act(turn.part(), turn.position()));
      }
    }
    return acts;
  }

  /** A pump that is dead stops; a valve that sticks stays where it is. */
  private boolean stops(Turn turn) {
    return isPump(turn.part()) && turn.position().equals(Position.OFF.id());
  }

  private boolean isPump(PartId part) {
    return network.rig().part(part).kind().is(Purpose.DRIVES);
  }

  private void look(Moment moment, List<Act> acts) {
    if (!this.acts) {
      // The rig by hand: power and link fail at once, a tap is open from the start.
      if (broken == Double.POSITIVE_INFINITY) {
        broken = moment.time();
        strike(moment, acts);
      }
      return;
    }
    boolean stopped =
        isBroken(moment)
            && (fault == RuleFault.POWER_LOST
                || fault == RuleFault.LINK_LOST
                || fault == RuleFault.FERNWORT_STOPPED);
    if (stopped) {
      if (fault == RuleFault.FERNWORT_STOPPED && !back && moment.time() - broken > BACK) {
        back = true;
        run.breakOff(RuleRun.Why.STOPPED).forEach(d -> take(d, moment));
      }
      return;
    }
    run.go(this, true, moment.time()).forEach(d -> take(d, moment));
    boolean there = run.isActing() && run.step() >= faultStep;
    if (fault != RuleFault.NONE && broken == Double.POSITIVE_INFINITY && there) {
      broken = moment.time();
      strike(moment, acts);
    }
  }

  /** What goes wrong with handles. */
  private void strike(Moment moment, List<Act> acts) {
    Setting setting = moment.state().setting();
    switch (fault) {
      case POWER_LOST, LINK_LOST -> {
        turning.clear();
        if (fault == RuleFault.LINK_LOST) {
          signals
              .values()
              .forEach(s ->
                  s.drive()
                      .filter(d ->
                          !d.lost().isEmpty() && !setting.of(s.on().id().part()).equals(d.lost()))
                      .ifPresent(d -> acts.add(new Act(s.on().id().part(), d.lost()))));
        }
        network
            .rig()
            .withoutPower(setting)
            .positions()
            .forEach((part, position) -> {
              boolean switched = network.rig().part(part).kind().motor().isPresent();
              boolean moves = fault == RuleFault.POWER_LOST || switched;
              if (moves && !setting.of(part).equals(position)) {
                acts.add(new Act(part, position));
              }
            });
      }
      case TAP_OPEN ->
          network.rig().parts().stream()
              .filter(p -> p.kind().is(Purpose.USE) && p.hasHandle())
              .findFirst()
              .ifPresent(tap ->
                  tap.kind().positions().stream()
                      .filter(p -> !p.id().equals(setting.of(tap.id())))
                      .findFirst()
                      .ifPresent(p -> acts.add(new Act(tap.id(), p.id()))));
      case MOTOR_STUCK ->
          run.rule().parts().stream()
              .filter(p -> isPump(p) && !setting.of(p).equals(Position.OFF.id()))
              .forEach(p -> acts.add(new Act(p, Position.OFF.id())));
      case NONE, SENSOR_STUCK, SENSOR_DRIFTS, SENSOR_LOST, FERNWORT_STOPPED -> {}
    }
  }

  private boolean isBroken(Moment moment) {
    return moment.time() >= broken;
  }

  private void take(RuleRun.Deed deed, Moment moment) {
    told.add(new Told(moment.time(), deed));
    if (deed instanceof RuleRun.Moves(Turn turn)) {
      turning.keySet().removeIf(t -> t.part().equals(turn.part()));
      double travel =
          network.rig().part(turn.part()).kind().motor().map(Motor::travelTime).orElse(0.0);
      turning.put(turn, moment.time() + travel);
    }
  }

  @Override
  public Optional<Value> value(String name) {
    Signal signal = signals.get(name);
    Moment moment = now.orElseThrow();
    if (signal == null) {
      return Optional.empty();
    }
    boolean wrong = isBroken(moment);
    if (wrong && fault == RuleFault.SENSOR_LOST && moment.time() - broken > STALE) {
      return Optional.empty();
    }
    return switch (signal.kind()) {
      case LEVEL -> {
        double told = seen(moment).state().volume(signal.on().id().part());
        double drift =
            wrong && fault == RuleFault.SENSOR_DRIFTS
                ? DRIFT
                    * network.room(signal.on().id().part()).capacity()
                    * (moment.time() - broken)
                    / HOUR
                : 0;
        yield Optional.of(new Value.Amount(Math.max(0, told - drift)));
      }
      case SWITCH -> {
        PartId tank = signal.on().id().part();
        double level = network.room(tank).level(seen(moment).state().volume(tank), Slope.LEVEL);
        double floor = network.room(tank).lowest(Slope.LEVEL);
        yield Optional.of(new Value.Contact(level - floor >= signal.height().orElseThrow()));
      }
      // A leak is tried as the reason, so that what the rule does then is seen.
      case LEAK -> Optional.of(new Value.Contact(true));
      case PUMP ->
          Optional.of(
              new Value.Contact(
                  position(signal.on().id().part()).equals(fernwort.core.kind.Kind.ON)));
      case TEMPERATURE -> Optional.of(new Value.Amount(warmth(name, moment)));
      case POSITION -> Optional.of(new Value.Stop(position(signal.on().id().part())));
      case FLOW, TOTAL, PRESSURE, PITCH, ROLL -> Optional.of(new Value.Amount(0));
    };
  }

  /**
   * How warm it is (°C): as the rule waits for it to begin, and some time after that as it waits
   * for it to end; the simulation has no weather and no heater.
   */
  private double warmth(String signal, Moment moment) {
    boolean later = !told.isEmpty() && moment.time() - told.getFirst().at() > WARMS;
    Stream<Rule.Test> tests =
        later
            ? run.rule().acts().stream()
                .filter(Rule.Until.class::isInstance)
                .flatMap(u -> ((Rule.Until) u).any().stream())
            : run.rule().when().stream();
    return tests
        .filter(Rule.Amount.class::isInstance)
        .map(Rule.Amount.class::cast)
        .filter(a -> a.signal().equals(signal))
        .findFirst()
        .map(a -> a.amount() + (a.above() ? 1 : -1))
        .orElse(0.0);
  }

  /** What a sensor sees: how things were a little before, or when it began to stick. */
  private Moment seen(Moment moment) {
    boolean sticks =
        isBroken(moment) && (fault == RuleFault.SENSOR_STUCK || fault == RuleFault.SENSOR_LOST);
    if (!sticks) {
      stuck = Optional.empty();
      return past.isEmpty() ? moment : past.getFirst().moment();
    }
    if (stuck.isEmpty()) {
      stuck = Optional.of(past.isEmpty() ? moment : past.getFirst().moment());
    }
    return stuck.get();
  }

  private Optional<Moment> stuck = Optional.empty();

  @Override
  public PositionId position(PartId part) {
    return now.orElseThrow().state().setting().of(part);
  }

  @Override
  public boolean leaves(Turn turn) {
    return turning.keySet().stream().anyMatch(t -> t.part().equals(turn.part()) && !t.equals(turn));
  }

  @Override
  public boolean failed(PartId part) {
    return failed.contains(part);
  }

  /** Tells whether a kind can be tried in the simulation. */
  static boolean canTry(SignalKind kind) {
    return switch (kind) {
      case LEVEL, SWITCH, LEAK, PUMP, POSITION, TEMPERATURE -> true;
      case FLOW, TOTAL, PRESSURE, PITCH, ROLL -> false;
    };
  }
}
