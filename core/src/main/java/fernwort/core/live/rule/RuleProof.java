package fernwort.core.live.rule;

import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.live.Signal;
import fernwort.core.live.SignalKind;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.Acted;
import fernwort.core.run.Actor;
import fernwort.core.run.Event;
import fernwort.core.run.HappeningWords;
import fernwort.core.run.Simulation;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;

/**
 * Tries a rule on the simulated rig before it may act: in use, for what it is for; and from several
 * levels and with a tap open, with nothing wrong and with each single fault. Harm counts that does
 * not come about in the same run without the rule. So "held" means: in these runs; it is no proof
 * in the sense of mathematics.
 */
public final class RuleProof {

  /** It is watched for so long after it is over (s); own choice. */
  private static final double AFTER = 600;

  /** Whether it is over is looked up so often (s). */
  private static final double SLICE = 300;

  /** It is watched no longer (s); own choice: a run costs time. */
  static final double LONGEST = 2 * 3600;

  /** A pump that draws air for a shorter time comes to no harm (s). */
  static final double SPUTTERS = 60;

  /** How full the other tanks are (share); own choice. */
  private static final double[] OTHERS = {0.15, 0.85};

  /** A float switch is up at this share of its tank (1); own choice. */
  private static final double SURELY_UP = 0.95;

  /** A level lies so far beyond what a rule waits for (share of the tank); own choice. */
  private static final double BEYOND = 0.01;

  private final Network network;
  private final Map<String, Signal> signals;

  private RuleProof(Network network, Collection<Signal> signals) {
    this.network = network;
    this.signals =
        signals.stream().collect(Collectors.toMap(Signal::name, s -> s, (one, other) -> one));
  }

  /**
   * Prepares.
   *
   * @param signals what is bound
   */
  public static RuleProof of(Network network, Collection<Signal> signals) {
    return new RuleProof(network, signals);
  }

  /**
   * A run that ended in harm.
   *
   * @param fault what went wrong besides
   * @param harm what came of it
   * @param story what happened, in time
   */
  public record Story(RuleFault fault, String harm, List<Line> story) {}

  /**
   * A moment of a story.
   *
   * @param at since the run began (s)
   * @param words what happened
   */
  public record Line(double at, String words) {}

  /**
   * What came of all trials.
   *
   * @param runs how many there were
   * @param acted in how many of them the rule did something
   * @param reached in how many of those in which nothing went wrong it came to its end
   * @param stories those that ended in harm
   */
  public record Verdict(int runs, int acted, int reached, List<Story> stories) {

    /** Tells whether the rule may act: it was seen to do what it is for, and did no harm. */
    public boolean held() {
      return reached > 0 && stories.isEmpty();
    }
  }

  /** Tells whether all that a rule watches can be tried. */
  public boolean canTry(Rule rule) {
    return rule.signals().stream()
        .allMatch(s -> signals.containsKey(s) && RuleTrial.canTry(signals.get(s).kind()));
  }

  /**
   * Tries a rule.
   *
   * @param now handles as they are, and levels where the rule does not care
   */
  public Verdict verdict(Rule rule, State now) {
    int runs = 0;
    int acted = 0;
    int reached = 0;
    List<Story> stories = new ArrayList<>();
    Set<String> told = new LinkedHashSet<>();
    for (State start : starts(rule, now)) {
      boolean drains = drains(rule);
      Course untouched = course(rule, start, RuleFault.NONE, 0, false);
      Set<String> before = harms(untouched.standing());
      Set<String> byHand = harms(untouched, drains);
      for (RuleFault fault : RuleFault.values()) {
        Set<String> without = new LinkedHashSet<>(byHand);
        if (fault.isOfTheRig()) {
          without.addAll(harms(course(rule, start, fault, 0, false), drains));
        }
        if (fault == RuleFault.TAP_OPEN) {
          // A tap that is left open does the same where hands have turned what the rule turns.
          without.addAll(harms(course(rule, ended(rule, start), fault, 0, false), drains));
        }
        for (int step : steps(rule, fault)) {
          Course course = course(rule, start, fault, step, true);
          runs++;
          acted += course.told().isEmpty() ? 0 : 1;
          reached += fault == RuleFault.NONE && course.ended() ? 1 : 0;
          for (String harm : harms(course, drains)) {
            boolean known = without.contains(harm) || before.contains(harm);
            if (!known && told.add(fault + harm)) {
              stories.add(
                  new Story(fault, harm, story(course.told(), course.turns(), course.events())));
            }
          }
        }
      }
    }
    new RulePurpose(this, network, signals).missed(rule, now).ifPresent(stories::add);
    return new Verdict(runs, acted, reached, stories);
  }

  /** Returns how long a rule takes when nothing goes wrong and there is plenty (s), if it ends. */
  Optional<Double> takes(Rule rule, State now) {
    Course course = course(rule, starts(rule, now).getLast(), RuleFault.NONE, 0, true);
    Optional<Double> begun = Optional.empty();
    for (RuleTrial.Told told : course.told()) {
      if (told.deed() instanceof RuleRun.Begun && begun.isEmpty()) {
        begun = Optional.of(told.at());
      }
      if (told.deed() instanceof RuleRun.Ended && begun.isPresent()) {
        return Optional.of(told.at() - begun.get());
      }
    }
    return Optional.empty();
  }

  /**
   * Returns after how long the first harm comes when the sensor sticks as the rule begins, and it
   * may go on for as long as any (s); nothing where none comes.
   */
  Optional<Double> harmless(Rule rule, State now) {
    Course course =
        course(rule.within(LONGEST), starts(rule, now).getLast(), RuleFault.SENSOR_STUCK, 0, true);
    Optional<Double> begun =
        course.told().stream()
            .filter(t -> t.deed() instanceof RuleRun.Begun)
            .map(RuleTrial.Told::at)
            .findFirst();
    return course.events().stream()
        .filter(e -> e.begins() && HappeningWords.harm(network.rig(), e).isPresent())
        .map(Event::at)
        .findFirst()
        .flatMap(at -> begun.map(b -> at - b));
  }

  private static List<Integer> steps(Rule rule, RuleFault fault) {
    List<Integer> steps = new ArrayList<>();
    int last = fault == RuleFault.NONE || fault == RuleFault.TAP_OPEN ? 0 : rule.acts().size() - 1;
    for (int step = 0; step <= last; step++) {
      steps.add(step);
    }
    return steps;
  }

  /**
   * Levels at which the rule begins: the other tanks nearly empty, and the handles as they are; the
   * other tanks nearly full, and what the rule turns elsewhere than where it turns it.
   */
  private List<State> starts(Rule rule, State now) {
    List<State> starts = new ArrayList<>();
    for (double others : OTHERS) {
      State start = now;
      for (Part tank : network.tanks()) {
        start = start.withVolume(tank.id(), others * network.room(tank.id()).capacity());
      }
      for (Rule.Test test : rule.when()) {
        start = beyond(test, start);
      }
      for (Rule.Test test : rule.onlyIf()) {
        start = beyond(test, start);
      }
      starts.add(starts.isEmpty() ? start : elsewhere(rule, start));
    }
    return starts;
  }

  /** How the handles stand when a rule has come to its end. */
  private static State ended(Rule rule, State state) {
    State end = state;
    for (Rule.Act act : rule.acts()) {
      end = act instanceof Rule.Move(Turn turn) ? end.with(turn.part(), turn.position()) : end;
    }
    for (Turn turn : rule.then()) {
      end = end.with(turn.part(), turn.position());
    }
    return end;
  }

  private State elsewhere(Rule rule, State state) {
    State other = state;
    for (Rule.Act act : rule.acts()) {
      if (act instanceof Rule.Move(Turn turn)) {
        Optional<PositionId> position =
            network.rig().part(turn.part()).kind().positions().stream()
                .map(Position::id)
                .filter(p -> !p.equals(turn.position()))
                .findFirst();
        other = position.isPresent() ? other.with(turn.part(), position.get()) : other;
      }
    }
    return other;
  }

  private State beyond(Rule.Test test, State state) {
    return switch (test) {
      case Rule.Pressed pressed -> state;
      case Rule.Any any -> beyond(any.of().getFirst(), state);
      case Rule.Handle handle -> state.with(handle.part(), handle.position());
      case Rule.Contact contact -> {
        Signal signal = signals.get(contact.signal());
        if (signal == null || signal.kind() != SignalKind.SWITCH) {
          yield state;
        }
        TankRoom room = network.room(signal.on().id().part());
        double level = room.level(state.volume(signal.on().id().part()), Slope.LEVEL);
        boolean up = level - room.lowest(Slope.LEVEL) >= signal.height().orElseThrow();
        double share = contact.on() ? SURELY_UP : 1 - SURELY_UP;
        // What another test asks of the level stays where the switch agrees with it.
        yield up == contact.on()
            ? state
            : state.withVolume(signal.on().id().part(), share * room.capacity());
      }
      case Rule.Amount amount -> {
        Signal signal = signals.get(amount.signal());
        if (signal == null || signal.kind() != SignalKind.LEVEL) {
          yield state;
        }
        double capacity = network.room(signal.on().id().part()).capacity();
        double volume = amount.amount() + (amount.above() ? BEYOND : -BEYOND) * capacity;
        yield state.withVolume(signal.on().id().part(), Math.clamp(volume, 0, capacity));
      }
    };
  }

  /**
   * A run.
   *
   * @param standing what was the case at its start
   */
  private record Course(
      List<RuleTrial.Told> told,
      List<Event> standing,
      List<Event> events,
      List<Line> turns,
      double end) {

    /** Returns when the rule began (s); the beginning of the run where it did not. */
    double begun() {
      return told.stream()
          .filter(t -> t.deed() instanceof RuleRun.Begun)
          .mapToDouble(RuleTrial.Told::at)
          .findFirst()
          .orElse(0);
    }

    boolean ended() {
      return told.stream().anyMatch(t -> t.deed() instanceof RuleRun.Ended);
    }
  }

  private Course course(Rule rule, State start, RuleFault fault, int step, boolean acts) {
    RuleTrial trial = new RuleTrial(network, signals, rule, fault, step, acts);
    Simulation run = Simulation.start(network, Hydraulics.of(network), start, Conditions.ORDINARY);
    List<Event> standing = run.standing();
    List<Event> events = new ArrayList<>();
    List<Line> turns = new ArrayList<>();
    double end = Math.min(LONGEST, rule.atMost() + AFTER);
    Acted acted = new Acted(run, List.of(trial), events::add, noting(turns));
    for (double at = SLICE; at < end + SLICE; at += SLICE) {
      acted.runTo(Math.min(at, end));
      double now = at;
      if (trial.over().filter(over -> now - over > AFTER).isPresent()) {
        break;
      }
    }
    return new Course(trial.told(), standing, events, turns, end);
  }

  /** Notes what is set in a run, as lines of its story. */
  BiConsumer<Double, Actor.Act> noting(List<Line> turns) {
    return (at, act) -> turns.add(new Line(at, words(new Turn(act.part(), act.position()))));
  }

  private String words(Turn turn) {
    Rig rig = network.rig();
    return Says.IS_AT.filled(
        rig.part(turn.part()).label(), rig.position(turn.part(), turn.position()).words());
  }

  /** Tells whether a rule begins when it is cold: water at a drain is then what it is for. */
  private boolean drains(Rule rule) {
    return rule.when().stream()
        .anyMatch(t ->
            t instanceof Rule.Amount amount
                && !amount.above()
                && signals.containsKey(amount.signal())
                && signals.get(amount.signal()).kind() == SignalKind.TEMPERATURE);
  }

  private boolean isDrain(PartId part) {
    Rig rig = network.rig();
    return rig.partsById().containsKey(part) && rig.part(part).kind().is(Purpose.DRAINS);
  }

  /** Returns the harm in what is the case already: nothing that a rule brings. */
  private Set<String> harms(List<Event> standing) {
    Set<String> harms = new LinkedHashSet<>();
    standing.forEach(event -> HappeningWords.harm(network.rig(), event).ifPresent(harms::add));
    return harms;
  }

  private Set<String> harms(Course course, boolean drains) {
    Set<String> harms = new LinkedHashSet<>();
    Map<ElementId, Double> air = new HashMap<>();
    for (Event event : course.events()) {
      if (event.at() < course.begun() && event.begins()) {
        continue; // It was so before the rule did anything.
      }
      if (drains && event.kind() == Event.Kind.RUNS_OUT && isDrain(event.subject().part())) {
        continue;
      }
      if (event.kind() == Event.Kind.DRAWS_AIR) {
        if (event.begins()) {
          air.put(event.subject(), event.at());
        } else {
          sputtered(event.subject().part(), air.remove(event.subject()), event.at(), harms);
        }
      } else if (event.begins() && event.kind() != Event.Kind.HAND) {
        HappeningWords.harm(network.rig(), event).ifPresent(harms::add);
      }
    }
    air.forEach((pump, since) -> sputtered(pump.part(), since, course.end(), harms));
    return harms;
  }

  private void sputtered(
      PartId pump, @org.jspecify.annotations.Nullable Double since, double until, Set<String> to) {
    if (since != null && until - since > SPUTTERS) {
      HappeningWords.harm(network.rig(), new Event(since, Event.Kind.DRAWS_AIR, pump, true))
          .ifPresent(to::add);
    }
  }

  List<Line> story(List<RuleTrial.Told> tolds, List<Line> turns, List<Event> events) {
    List<Line> story = new ArrayList<>(turns);
    for (RuleTrial.Told told : tolds) {
      switch (told.deed()) {
        case RuleRun.Begun begun -> story.add(new Line(told.at(), Says.THE_RULE_BEGINS.text()));
        case RuleRun.Ended ended -> story.add(new Line(told.at(), Says.THE_RULE_ENDS.text()));
        case RuleRun.BrokenOff off ->
            story.add(new Line(told.at(), Says.THE_RULE_IS_BROKEN_OFF.text()));
        case RuleRun.Tells tells -> story.add(new Line(told.at(), tells.words()));
        case RuleRun.Moves moves ->
            story.add(new Line(told.at(), Says.IT_TURNS.filled(words(moves.turn()))));
      }
    }
    for (Event event : events) {
      if (HappeningWords.isSerious(event)) {
        story.add(new Line(event.at(), HappeningWords.of(network.rig(), event)));
      }
    }
    story.sort(Comparator.comparingDouble(Line::at));
    return story;
  }
}
