package fernwort.core.jobs.automation;

import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tap;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.HappeningWords;
import fernwort.core.say.Message;
import fernwort.core.say.Times;
import fernwort.core.ways.OpenWays;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Looks for hazards in every setting that an automation can bring about from how things stand: its
 * rules in any order, each broken off after any of its turns, and the power lost at any moment.
 * Then it is run on the simulated rig for an hour, its motors taking their time, and what goes
 * wrong is told, too.
 */
public final class AutomationCheck {

  /** Turns of a handle that are no fight (in {@link #RUN}). */
  private static final int FEW = 3;

  /** A run for its aim begins so far under the lower mark (share of the tank); own choice. */
  private static final double UNDER = 0.02;

  /** Other tanks hold so much then (share); own choice. */
  private static final double PLENTY = 0.9;

  /** A tank that rises by less has not been filled (share); own choice. */
  private static final double RISES = 0.05;

  /** How long it is run on the simulated rig (s). */
  private static final double RUN = 3600;

  /**
   * A hazard it can bring about.
   *
   * @param warning what would go wrong
   * @param when in which setting, in words
   */
  public record Finding(Warning warning, String when) {}

  private final Network network;
  private final Hazards hazards;

  private AutomationCheck(Network network) {
    this.network = network;
    hazards = Hazards.of(network);
  }

  /** Prepares a rig. */
  public static AutomationCheck of(Network network) {
    return new AutomationCheck(network);
  }

  /** Returns the hazards that an automation can bring about and that are not there now. */
  public List<Finding> findings(Automation automation, State now) {
    Set<Warning.Key> before = new LinkedHashSet<>();
    warnings(now).forEach(w -> before.add(w.key()));
    warnings(now.with(network.rig().withoutPower(now.setting()))).forEach(w -> before.add(w.key()));
    Map<Warning.Key, Finding> found = new LinkedHashMap<>();
    for (Setting setting : reachable(automation, now.setting())) {
      State there = now.with(setting);
      String words = words(automation, setting);
      note(automation, there, "with " + words, before, found);
      note(
          automation,
          now.with(network.rig().withoutPower(setting)),
          Says.WHEN_THE_POWER_FAILS_WITH.filled(words),
          before,
          found);
    }
    ran(automation, now, found);
    missed(automation, now).ifPresent(f -> found.putIfAbsent(f.warning().key(), f));
    return List.copyOf(found.values());
  }

  /**
   * What is to fill a tank is run from just under its lower mark, all other tanks nearly full: does
   * it bring the tank up?
   */
  private Optional<Finding> missed(Automation automation, State now) {
    if (automation.purpose() != Automation.Aim.KEEP_BETWEEN
        && automation.purpose() != Automation.Aim.TOP_UP) {
      return Optional.empty();
    }
    Automation.Low low =
        automation.rules().stream()
            .map(Automation.Rule::when)
            .filter(Automation.Low.class::isInstance)
            .map(Automation.Low.class::cast)
            .reduce((first, last) -> last)
            .orElseThrow();
    State start = now;
    for (Part tank : network.tanks()) {
      boolean own = tank.id().equals(low.tank());
      double share = own ? Math.max(0, low.share() - UNDER) : PLENTY;
      boolean filled = own || tank.kind().holds(Contents.FRESH);
      start =
          filled ? start.withVolume(tank.id(), share * network.room(tank.id()).capacity()) : start;
    }
    double held = start.volume(low.tank());
    double most = course(List.of(automation), start).highest().getOrDefault(low.tank(), held);
    if (most - held > RISES * network.room(low.tank()).capacity()) {
      return Optional.empty();
    }
    String label = network.rig().part(low.tank()).label();
    return Optional.of(
        new Finding(
            new Warning(
                Warning.Code.RULE_MISSES,
                Severity.WARNING,
                Says.DOES_NOT_FILL.with(label),
                Says.WHAT_THE_RULE_TURNS_LETS.with(label),
                Says.IT_WAS_RUN_FOR_AN_HOUR.with(),
                Says.SEE_WHAT_ELSE_HAS_TO_BE_TURNED.with(),
                List.of(low.tank())),
            Says.WHEN_IT_IS_RUN_FROM_ITS_LOWER.text()));
  }

  /**
   * Returns what several automations bring about together that none of them does alone: hazards in
   * the settings that all their rules can reach, harm when all are run at once, and handles that
   * they turn against each other.
   *
   * @param alone what was found of each by itself
   */
  public List<Finding> together(List<Automation> automations, List<Finding> alone, State now) {
    if (automations.size() < 2) {
      return List.of();
    }
    Set<Warning.Key> known = new LinkedHashSet<>();
    alone.forEach(f -> known.add(f.warning().key()));
    List<Finding> found = new ArrayList<>();
    findings(Automation.joined(automations), now).stream()
        .filter(f -> !known.contains(f.warning().key()))
        .forEach(found::add);
    Map<PartId, Integer> fights = new LinkedHashMap<>();
    for (State start : starts(now)) {
      Map<PartId, Integer> apart = new LinkedHashMap<>();
      automations.forEach(
          a -> turned(List.of(a), start).forEach((part, n) -> apart.merge(part, n, Integer::sum)));
      turned(automations, start)
          .forEach((part, n) -> {
            if (n > apart.getOrDefault(part, 0) + FEW) {
              fights.merge(part, n, Math::max);
            }
          });
    }
    fights.forEach((part, n) -> found.add(fight(part, n)));
    return found;
  }

  private Map<PartId, Integer> turned(List<Automation> automations, State start) {
    Map<PartId, Integer> turned = new LinkedHashMap<>();
    course(automations, start)
        .events()
        .forEach(e -> e.turn().ifPresent(t -> turned.merge(t.part(), 1, Integer::sum)));
    return turned;
  }

  private Finding fight(PartId part, int times) {
    String label = network.rig().part(part).label();
    return new Finding(
        new Warning(
            Warning.Code.RULES_FIGHT,
            Severity.WARNING,
            Says.IS_TURNED_BACK_AND_FORTH.with(label),
            Says.ONE_RULE_UNDOES_WHAT_ANOTHER.with(),
            Says.IT_WAS_TURNED_TIMES_IN_AN_HOUR.with(times),
            Says.TAKE_ONE_OF_THEM_AWAY_OR_SET.with(),
            List.of(part)),
        Says.WHEN_THEY_ARE_RUN_TOGETHER.text());
  }

  /**
   * Lets it act on the simulated rig, with no tap open and with one, and takes note of the harm
   * that does not come about without it.
   */
  private void ran(Automation automation, State now, Map<Warning.Key, Finding> found) {
    for (State start : starts(now)) {
      Set<Trial.Thing> without = things(List.of(), start);
      for (AutomationRun.Noted event : course(List.of(automation), start).events()) {
        event
            .happening()
            .filter(h -> h.begins() && !without.contains(new Trial.Thing(h.kind(), h.subject())))
            .flatMap(this::harm)
            .ifPresent(w ->
                found.putIfAbsent(
                    w.key(),
                    new Finding(w, Says.WHEN_IT_IS_RUN_AFTER.filled(Times.of(event.at())))));
      }
    }
  }

  /** How things stand, with no more taps open and with one. */
  private List<State> starts(State now) {
    List<State> starts = new ArrayList<>();
    starts.add(now);
    network.rig().parts().stream()
        .filter(p -> p.kind().is(Purpose.USE))
        .findFirst()
        .ifPresent(tap -> starts.add(now.with(tap.id(), ((Tap) tap.kind()).cold().id())));
    return starts;
  }

  private Set<Trial.Thing> things(List<Automation> automations, State start) {
    Set<Trial.Thing> things = new LinkedHashSet<>();
    course(automations, start)
        .events()
        .forEach(
            e -> e.happening().ifPresent(h -> things.add(new Trial.Thing(h.kind(), h.subject()))));
    return things;
  }

  private AutomationRun.Course course(List<Automation> automations, State start) {
    return AutomationRun.run(network, automations, start, RUN, Double.POSITIVE_INFINITY);
  }

  private Optional<Warning> harm(Event h) {
    return switch (h.kind()) {
      case BULGES, BURSTS ->
          harm(Warning.Code.NO_AIR_OUT, h, Says.OPEN_ITS_VENT_OR_LET_IT_STOP.text());
      case SUCKED_IN -> harm(Warning.Code.NO_AIR_IN, h, Says.OPEN_ITS_VENT_OR_LET_IT_STOP.text());
      case DRAWS_AIR -> harm(Warning.Code.PUMP_DRY, h, Says.LET_IT_CHANGE_OVER_SOONER.text());
      case BACKS_UP -> harm(Warning.Code.GRAY_FULL, h, Says.LET_IT_STOP_BEFORE_GRAY_IS_FULL.text());
      case RUNS_OUT ->
          harm(Warning.Code.OPEN_TO_GROUND, h, Says.LET_IT_STOP_SOONER_OR_CLOSE.text());
      case FULL, DRY, SIPHONS, CYCLES, RESTS, POURED_OUT, FLOAT_SHUTS, HOT, AWAITED, HAND ->
          Optional.empty();
    };
  }

  private Optional<Warning> harm(Warning.Code code, Event h, String fix) {
    return HappeningWords.harm(network.rig(), h)
        .map(words -> Message.words(words).capitalised())
        .map(title ->
            new Warning(
                code,
                Severity.WARNING,
                title,
                Says.WHEN_IT_DOES_WHAT_IT_IS_TOLD.with(title),
                Says.IT_WAS_RUN_ON_THE_SIMULATED_RIG.with(),
                Message.words(fix),
                List.of(h.subject())));
  }

  private void note(
      Automation automation,
      State state,
      String when,
      Set<Warning.Key> before,
      Map<Warning.Key, Finding> found) {
    for (Warning warning : warnings(state)) {
      // Water on the ground is what a frost drain is opened for.
      boolean meant =
          automation.purpose() == Automation.Aim.DRAIN_IN_FROST
              && warning.code() == Warning.Code.OPEN_TO_GROUND;
      if (warning.severity() != Severity.NOTE
          && !meant
          && !warning.code().is(Warning.Is.MEANT_BY_RULES)
          && !before.contains(warning.key())) {
        found.putIfAbsent(warning.key(), new Finding(warning, when));
      }
    }
  }

  private List<Warning> warnings(State state) {
    Levels levels = Levels.of(network, state);
    return hazards.warnings(
        state.setting(), levels, OpenWays.find(network, state.setting(), levels));
  }

  private Set<Setting> reachable(Automation automation, Setting start) {
    Set<Setting> seen = new LinkedHashSet<>();
    Deque<Setting> front = new ArrayDeque<>();
    seen.add(start);
    front.add(start);
    while (!front.isEmpty()) {
      Setting at = front.remove();
      for (Automation.Rule rule : automation.rules()) {
        Setting next = at;
        for (Turn turn : rule.turns()) {
          next = network.rig().turned(next, turn.part(), turn.position());
          if (seen.add(next)) {
            front.add(next);
          }
        }
      }
    }
    return seen;
  }

  private String words(Automation automation, Setting setting) {
    String turned =
        String.join(
            " and ",
            automation.turns().stream()
                .filter(t -> setting.of(t.part()).equals(t.position()))
                .map(t -> Automation.words(network.rig(), t))
                .toList());
    return turned.isEmpty() ? Says.THE_VALVES_AS_THEY_ARE.text() : turned;
  }
}
