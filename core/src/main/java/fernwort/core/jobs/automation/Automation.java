package fernwort.core.jobs.automation;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Valve;
import fernwort.core.network.Beyond;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What motor valves do by themselves: rules that watch tanks or a leak sensor and turn valves.
 *
 * @param purpose what it is for
 * @param rules its rules, looked at in this order
 * @param onlyWhile how handles have to be for it to begin
 * @param purge what lets the air out after it, for a while
 * @param changesTo the tank that is drawn from after it, where it changes that
 */
public record Automation(
    Aim purpose,
    List<Rule> rules,
    List<Turn> onlyWhile,
    List<Turn> purge,
    Optional<PartId> changesTo) {

  private Automation(Aim purpose, List<Rule> rules) {
    this(purpose, rules, List.of(), List.of(), Optional.empty());
  }

  /** What an automation is for. */
  public enum Aim {
    KEEP_BETWEEN,
    STOP_WHEN_FULL,
    CHANGE_WHEN_DRY,
    STOP_WHEN_DRY,
    TOP_UP,
    FILL_IN_TURN,
    CIRCULATE,
    DRAIN_IN_FROST,
    SHUT_ON_LEAK
  }

  /** When a rule acts. */
  public sealed interface When {}

  /** A tank has fallen to a share of what it holds, 0 to 1. */
  public record Low(PartId tank, double share) implements When {}

  /** A tank has risen to a share of what it holds, 0 to 1. */
  public record High(PartId tank, double share) implements When {}

  /** A leak sensor is wet. */
  public record Leak() implements When {}

  /** It is colder than this (°C). */
  public record Cold(double celsius) implements When {}

  /** Somebody has pressed a button. */
  public record Button() implements When {}

  /**
   * One rule.
   *
   * @param when when it acts
   * @param turns what it turns then
   */
  public record Rule(When when, List<Turn> turns) {
    public Rule {
      turns = List.copyOf(turns);
    }
  }

  public Automation {
    rules = List.copyOf(rules);
    onlyWhile = List.copyOf(onlyWhile);
    purge = List.copyOf(purge);
  }

  /**
   * Keeps a tank between two marks: a valve or pump lets water in at the lower, until the upper.
   *
   * @param low lower mark (share of the tank, 0 to 1)
   * @param high upper mark (share of the tank, 0 to 1)
   */
  public static Automation keepBetween(
      Rig rig, PartId tank, PartId actor, double low, double high) {
    marks(low, high);
    return new Automation(
        Aim.KEEP_BETWEEN,
        List.of(
            new Rule(new High(tank, high), List.of(away(rig, actor, tank))),
            new Rule(new Low(tank, low), List.of(to(rig, actor, tank)))));
  }

  /**
   * Shuts a valve, or stops a pump, when a tank is full.
   *
   * @param high mark to stop at (share of the tank, 0 to 1)
   */
  public static Automation stopWhenFull(Rig rig, PartId tank, PartId actor, double high) {
    marks(0, high);
    return new Automation(
        Aim.STOP_WHEN_FULL,
        List.of(new Rule(new High(tank, high), List.of(away(rig, actor, tank)))));
  }

  /**
   * Changes from one tank to another when the first runs dry: from its valve to another's, or with
   * one selector that stands between them.
   *
   * @param low mark at which the first counts as dry (share of the tank, 0 to 1)
   * @param purge what is opened for a while after it to let the air out; empty for nothing
   */
  public static Automation changeWhenDry(
      Rig rig, PartId tank, PartId other, PartId from, PartId to, double low, PartId purge) {
    marks(low, 1);
    watches(rig, tank);
    List<Turn> turns =
        from.equals(to)
            ? List.of(to(rig, to, other))
            : List.of(to(rig, to, other), away(rig, from, tank));
    List<Turn> air = purge.isEmpty() ? List.of() : List.of(opened(actor(rig, purge)));
    return new Automation(
        Aim.CHANGE_WHEN_DRY,
        List.of(new Rule(new Low(tank, low), turns)),
        List.of(),
        air,
        Optional.of(other));
  }

  /**
   * Stops a pump when the tank that it draws from is empty.
   *
   * @param pump what is switched off
   * @param from the valve that has to be open for it to draw from there; empty for none
   * @param low mark at which the tank counts as dry (share of the tank, 0 to 1)
   */
  public static Automation stopWhenDry(Rig rig, PartId tank, PartId pump, PartId from, double low) {
    marks(low, 1);
    watches(rig, tank);
    Part actor = mover(rig, pump);
    if (!actor.kind().is(Purpose.DRIVES)) {
      throw new Refusal(Says.IS_NO_PUMP_CHOOSE_THE_PUMP.with(actor.label()));
    }
    return new Automation(
        Aim.STOP_WHEN_DRY,
        List.of(new Rule(new Low(tank, low), List.of(new Turn(pump, Position.OFF.id())))),
        from.isEmpty() ? List.of() : List.of(to(rig, from, tank)),
        List.of(),
        Optional.empty());
  }

  /** A pump that runs, a valve that is open. */
  private static Turn opened(Part actor) {
    return valve(actor).isEmpty()
        ? new Turn(actor.id(), Kind.ON)
        : valve(actor).stream()
            .flatMap(v -> open(v).stream())
            .findFirst()
            .map(s -> new Turn(actor.id(), s.id()))
            .orElseThrow(() -> new Refusal(Says.HAS_NO_OPEN_POSITION_CHOOSE.with(actor.label())));
  }

  /**
   * Fills one tank, then the next: when the first is full, what fills it is turned to the other,
   * until that one is full, too.
   *
   * @param from what lets water into the first
   * @param to what lets water into the other; the same where a selector stands between them
   * @param high mark at which a tank counts as full (share of the tank, 0 to 1)
   */
  public static Automation fillInTurn(
      Rig rig, PartId tank, PartId other, PartId from, PartId to, double high) {
    marks(0, high);
    watches(rig, tank);
    watches(rig, other);
    List<Turn> next =
        from.equals(to)
            ? List.of(to(rig, to, other))
            : List.of(to(rig, to, other), away(rig, from, tank));
    return new Automation(
        Aim.FILL_IN_TURN,
        List.of(
            new Rule(new High(tank, high), next),
            new Rule(new High(other, high), List.of(away(rig, to, other)))),
        List.of(to(rig, from, tank)),
        List.of(),
        Optional.empty());
  }

  /** Runs a loop pump at a button, until hot water has come round. */
  public static Automation circulate(Rig rig, PartId pump) {
    Part actor = actor(rig, pump);
    if (!actor.kind().is(Purpose.CIRCULATES)) {
      throw new Refusal(Says.IS_NO_PUMP_CHOOSE_THE_LOOP.with(actor.label()));
    }
    return new Automation(
        Aim.CIRCULATE,
        List.of(
            new Rule(new Button(), List.of(new Turn(pump, Kind.ON))),
            new Rule(new Button(), List.of(new Turn(pump, Position.OFF.id())))));
  }

  /**
   * Opens a frost drain when it is cold: pumps that can be switched are stopped first.
   *
   * @param celsius below which it opens (°C)
   */
  public static Automation drainInFrost(Rig rig, PartId drain, double celsius) {
    Part actor = actor(rig, drain);
    if (valve(actor).isEmpty()) {
      throw new Refusal(Says.IS_NO_VALVE_CHOOSE_THE_DRAIN.with(actor.label()));
    }
    List<Turn> turns = new ArrayList<>();
    // A loop pump first: it must not run when nothing feeds it any more.
    actors(rig).stream()
        .filter(p -> p.kind().is(Purpose.DRIVES))
        .sorted(Comparator.comparing(p -> !p.kind().is(Purpose.CIRCULATES)))
        .forEach(p -> turns.add(new Turn(p.id(), Position.OFF.id())));
    turns.add(opened(actor));
    return new Automation(
        Aim.DRAIN_IN_FROST, List.of(new Rule(new Cold(celsius), List.copyOf(turns))));
  }

  /**
   * Tops a tank up from another one, and stops when that one is nearly dry.
   *
   * @param low mark to begin at (share of the tank, 0 to 1)
   * @param high mark to stop at (share of the tank, 0 to 1)
   */
  public static Automation topUp(
      Rig rig, PartId tank, PartId other, PartId actor, double low, double high) {
    marks(low, high);
    watches(rig, other);
    return new Automation(
        Aim.TOP_UP,
        List.of(
            new Rule(new High(tank, high), List.of(away(rig, actor, tank))),
            new Rule(new Low(other, low), List.of(away(rig, actor, tank))),
            new Rule(new Low(tank, low), List.of(to(rig, actor, tank)))));
  }

  /**
   * Tops a tank up from another one as a job does it: all that the job turns is turned at the lower
   * mark, and put back at the upper one or when the other tank is nearly dry.
   *
   * @param plan how the job is done, as things stand
   * @param low mark to begin at (share of the tank, 0 to 1)
   * @param high mark to stop at (share of the tank, 0 to 1)
   * @throws Refusal when the job cannot be done, or a hand has to turn something for it
   */
  public static Automation topUpBy(
      Rig rig, PartId tank, PartId other, Plan plan, double low, double high) {
    marks(low, high);
    watches(rig, tank);
    watches(rig, other);
    plan.trouble()
        .ifPresent(t -> {
          throw new Refusal(t.words());
        });
    List<Turn> begin = new ArrayList<>();
    List<Turn> end = new ArrayList<>();
    boolean filled = false;
    for (Step step : plan.steps()) {
      switch (step) {
        case Step.Wait wait -> filled |= wait.until().fills();
        case Step.Move move -> {
          actor(rig, move.part());
          (filled ? end : begin).add(new Turn(move.part(), move.to()));
        }
      }
    }
    if (begin.isEmpty()) {
      throw new Refusal(Says.THE_JOB_TURNS_NOTHING_AS_THINGS.with());
    }
    return new Automation(
        Aim.TOP_UP,
        List.of(
            new Rule(new High(tank, high), end),
            new Rule(new Low(other, low), end),
            new Rule(new Low(tank, low), begin)));
  }

  /**
   * Stops every pump, then shuts every motor valve that can be shut, when a leak sensor is wet: a
   * pump that ran on would have nothing to draw.
   */
  public static Automation shutOnLeak(Rig rig) {
    List<Turn> turns = new ArrayList<>();
    for (Part actor : actors(rig).reversed()) {
      valve(actor)
          .ifPresentOrElse(
              v -> v.shut().ifPresent(s -> turns.add(new Turn(actor.id(), s.id()))),
              () -> turns.add(new Turn(actor.id(), Position.OFF.id())));
    }
    return new Automation(Aim.SHUT_ON_LEAK, List.of(new Rule(new Leak(), turns)));
  }

  /**
   * Returns the purpose of this name.
   *
   * @throws Refusal when there is none
   */
  public static Aim purpose(String name) {
    return Arrays.stream(Aim.values())
        .filter(p -> p.name().equals(name))
        .findFirst()
        .orElseThrow(() -> new Refusal(Says.IS_NOTHING_THAT_AN_AUTOMATION.with(name)));
  }

  private static void marks(double low, double high) {
    if (!(low >= 0 && high <= 1 && low < high)) {
      throw new Refusal(Says.THE_LOWER_MARK_MUST_LIE_UNDER.with());
    }
  }

  /** What lets water to or from a tank: a pump that runs, a valve that is open that way. */
  private static Turn to(Rig rig, PartId id, PartId tank) {
    watches(rig, tank);
    Part actor = mover(rig, id);
    if (valve(actor).isEmpty()) {
      return new Turn(id, Kind.ON);
    }
    List<Stop> open = open(valve(actor).get());
    return open.stream()
        .filter(s -> serves(rig, actor, open, s, tank))
        .findFirst()
        .or(() -> open.stream().findFirst())
        .map(s -> new Turn(id, s.id()))
        .orElseThrow(() -> new Refusal(Says.HAS_NO_OPEN_POSITION_CHOOSE.with(actor.label())));
  }

  /** What lets none: a pump at rest, a valve that is shut or open another way. */
  private static Turn away(Rig rig, PartId id, PartId tank) {
    watches(rig, tank);
    Part actor = mover(rig, id);
    if (valve(actor).isEmpty()) {
      return new Turn(id, Position.OFF.id());
    }
    Valve valve = valve(actor).get();
    List<Stop> open = open(valve);
    boolean leadsThere = open.stream().anyMatch(s -> serves(rig, actor, open, s, tank));
    return valve
        .shut()
        .or(() ->
            open.stream().filter(s -> leadsThere && !serves(rig, actor, open, s, tank)).findFirst())
        .map(s -> new Turn(id, s.id()))
        .orElseThrow(() ->
            new Refusal(
                Says.HAS_NO_CLOSED_POSITION_NOR.with(actor.label(), rig.part(tank).label())));
  }

  private static Optional<Valve> valve(Part actor) {
    return actor.kind() instanceof Valve valve ? Optional.of(valve) : Optional.empty();
  }

  /** What can bring water to a tank; a loop pump only takes it round. */
  private static Part mover(Rig rig, PartId id) {
    Part actor = actor(rig, id);
    if (actor.kind().is(Purpose.CIRCULATES)) {
      throw new Refusal(Says.ONLY_TAKES_WATER_ROUND.with(actor.label()));
    }
    return actor;
  }

  private static List<Stop> open(Valve valve) {
    return valve.stops().stream()
        .filter(s -> !s.joins().isEmpty())
        .sorted(Valve.BY_HANDLE)
        .toList();
  }

  /** Tells whether a stop joins a port that leads to a tank, other than one that all stops join. */
  private static boolean serves(Rig rig, Part valve, List<Stop> open, Stop stop, PartId tank) {
    return ports(stop).stream()
        .filter(p -> open.size() == 1 || !open.stream().allMatch(s -> ports(s).contains(p)))
        .anyMatch(p -> Beyond.of(rig, valve, p).contains(tank));
  }

  private static Set<PortId> ports(Stop stop) {
    Set<PortId> ports = new HashSet<>();
    stop.joins().forEach(ports::addAll);
    return ports;
  }

  private static void watches(Rig rig, PartId tank) {
    if (!rig.partsById().containsKey(tank) || !rig.part(tank).kind().is(Purpose.HOLDS)) {
      throw new Refusal(Says.IS_NOT_A_TANK_CHOOSE_A_TANK.with(tank));
    }
  }

  private static Part actor(Rig rig, PartId id) {
    if (!rig.partsById().containsKey(id)) {
      throw new Refusal(Says.IS_NOTHING_THAT_CAN_ACT_CHOOSE.with(id));
    }
    Part part = rig.part(id);
    if (!part.kind().setsItself()) {
      throw new Refusal(Says.HAS_NO_MOTOR_CHOOSE_A_MOTOR.with(part.label()));
    }
    return part;
  }

  /**
   * Returns what of a rig can act by itself: valves with a motor, and pumps that can be switched.
   */
  public static List<Part> actors(Rig rig) {
    return rig.parts().stream()
        .filter(p -> p.kind().setsItself())
        .sorted(Comparator.comparing(p -> !p.kind().is(Purpose.TURNS)))
        .toList();
  }

  /** Returns the rules of several automations as those of one. */
  static Automation joined(List<Automation> automations) {
    return new Automation(
        automations.getFirst().purpose(),
        automations.stream().flatMap(a -> a.rules().stream()).toList());
  }

  /** Returns every turn that some rule makes, once. */
  List<Turn> turns() {
    List<Turn> all = new ArrayList<>();
    for (Rule rule : rules) {
      for (Turn turn : rule.turns()) {
        if (!all.contains(turn)) {
          all.add(turn);
        }
      }
    }
    return all;
  }

  /** Returns a position's words. */
  static String words(Rig rig, Turn turn) {
    Position position = rig.position(turn.part(), turn.position());
    return rig.part(turn.part()).label() + " “" + position.words() + "”";
  }
}
