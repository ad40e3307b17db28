package fernwort.core.live.rule;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.jobs.automation.Automation;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.live.Signal;
import fernwort.core.live.SignalKind;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import fernwort.core.ways.OpenWays;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Rules made from what a rig can do, out of an aim as people choose it. */
public final class ReadyRules {

  /** A mark has to hold for so long (s); own choice. */
  private static final double LASTING = 5;

  /** Back by so much of the tank, and a mark holds no more (share); own choice. */
  private static final double MARGIN = 0.02;

  /**
   * A rule that fills is broken off at this share of the time after which harm comes; own choice.
   */
  private static final double SOONER = 0.85;

  /** A fill or change takes no longer (s); own choice. */
  private static final double AT_MOST = 3600;

  /** Air is pumped out of a line that a motor opens for so long (s); own choice. */
  private static final double PURGE = 20;

  /**
   * A loop without a sensor has gone round after so long (s); own choice: some litres at some
   * litres a minute, and no longer than a pump may draw air, should its tank run dry meanwhile.
   */
  private static final double CIRCULATE = 60;

  /** A loop that is not warm by then will not be (s); own choice. */
  private static final double LOOP_AT_MOST = 600;

  /** A shower wants water of this (°C); own choice. */
  private static final double HOT = 40;

  private static final double DEGREE = 1;

  /** It has to be cold for so long before water is given away (s); own choice. */
  private static final double COLD_FOR = 600;

  /** A job fills a tank to this share, which a sensor can still tell; own choice. */
  private static final double FULL = 0.95;

  /** A tank with less is not worth changing to (share); own choice. */
  private static final double LITTLE = 0.1;

  /** A tank is empty at this share; own choice. */
  private static final double EMPTY = 0.03;

  /** The tank that is drawn from is left with so much (share); own choice. */
  private static final double NEARLY_EMPTY = 0.06;

  private static final double HALF = 0.5;

  /** A step that takes no time is given this much (s); own choice. */
  private static final double LEAST_WAIT = 5;

  private final Network network;
  private final Collection<Signal> signals;

  private ReadyRules(Network network, Collection<Signal> signals) {
    this.network = network;
    this.signals = signals;
  }

  /**
   * Prepares.
   *
   * @param signals what is bound
   */
  public static ReadyRules of(Network network, Collection<Signal> signals) {
    return new ReadyRules(network, signals);
  }

  /**
   * Returns an aim as a rule.
   *
   * @param name what it is called
   * @param automation what is turned, and at which marks
   * @param now how the handles are, to which a failure puts them back
   * @throws Refusal when a sensor is missing for it
   */
  public Rule of(String name, Automation automation, State now) {
    return switch (automation.purpose()) {
      case SHUT_ON_LEAK -> leak(name, automation);
      case STOP_WHEN_FULL -> once(name, automation, List.of());
      case STOP_WHEN_DRY -> once(name, automation, whiles(automation));
      case CHANGE_WHEN_DRY -> change(name, automation, now.setting());
      case KEEP_BETWEEN, TOP_UP -> inTime(between(name, automation, now), now);
      case FILL_IN_TURN -> inTime(inTurn(name, automation), now);
      case CIRCULATE -> circulate(name, automation);
      case DRAIN_IN_FROST -> frost(name, automation);
    };
  }

  private Rule leak(String name, Automation automation) {
    List<Turn> turns = automation.rules().getFirst().turns();
    if (turns.isEmpty()) {
      throw new Refusal(Says.NOTHING_TO_SHUT.with());
    }
    List<Rule.Test> leaks =
        signals.stream()
            .filter(s -> s.kind() == SignalKind.LEAK)
            .map(s -> (Rule.Test) new Rule.Contact(s.name(), true, 0))
            .toList();
    if (leaks.isEmpty()) {
      throw new Refusal(Says.NO_LEAK_SENSOR.with());
    }
    return new Rule(
        name,
        leaks.size() == 1 ? leaks : List.of(new Rule.Any(leaks)),
        List.of(),
        moves(turns),
        AT_MOST,
        List.of(),
        turns);
  }

  /** How handles have to be for it to begin. */
  private static List<Rule.Test> whiles(Automation automation) {
    return automation.onlyWhile().stream()
        .map(t -> (Rule.Test) new Rule.Handle(t.part(), t.position()))
        .toList();
  }

  /** Nothing is changed to a tank of which a sensor tells that it is empty, too. */
  private List<Rule.Test> hasWater(Automation automation) {
    return automation.changesTo().stream()
        .filter(t ->
            signals.stream().anyMatch(s -> s.kind() == SignalKind.LEVEL && s.on().id().equals(t)))
        .map(t -> level(t, true, LITTLE, 0))
        .toList();
  }

  private Rule once(String name, Automation automation, List<Rule.Test> onlyIf) {
    Automation.Rule rule = automation.rules().getFirst();
    return new Rule(
        name,
        List.of(test(rule.when(), LASTING)),
        onlyIf,
        moves(rule.turns()),
        AT_MOST,
        List.of(),
        rule.turns());
  }

  /** Changes tanks; after that a motor lets the air out, and hands are told to do the rest. */
  private Rule change(String name, Automation automation, Setting now) {
    Rule changed = once(name, automation, hasWater(automation));
    List<Rule.Act> acts = new ArrayList<>(changed.acts());
    List<Turn> safe = new ArrayList<>();
    for (Turn turn : automation.purge()) {
      Turn back = new Turn(turn.part(), now.of(turn.part()));
      acts.add(new Rule.Move(turn));
      acts.add(new Rule.Pause(PURGE));
      acts.add(new Rule.Move(back));
      safe.add(back);
    }
    safe.addAll(changed.onFailure());
    automation
        .changesTo()
        .ifPresent(t ->
            acts.add(
                new Rule.Say(Says.OPEN_A_TAP_UNTIL_NO_AIR.filled(network.rig().part(t).label()))));
    return new Rule(name, changed.when(), changed.onlyIf(), acts, AT_MOST, List.of(), safe);
  }

  /** When the first tank is full its filling goes on into the next, until that one is full. */
  private Rule inTurn(String name, Automation automation) {
    Automation.Rule first = automation.rules().getFirst();
    Automation.Rule last = automation.rules().getLast();
    List<Rule.Act> acts = new ArrayList<>(moves(first.turns()));
    acts.add(new Rule.Until(List.of(test(last.when(), 0))));
    return new Rule(
        name,
        List.of(test(first.when(), LASTING)),
        whiles(automation),
        acts,
        AT_MOST,
        last.turns(),
        last.turns());
  }

  /** At its button the loop runs until the sensor at its pump is warm, or for a while. */
  private Rule circulate(String name, Automation automation) {
    List<Turn> off = automation.rules().getLast().turns();
    Set<LineId> loop = linesAt(off.getFirst().part());
    List<Rule.Act> acts = new ArrayList<>(moves(automation.rules().getFirst().turns()));
    acts.add(
        signals.stream()
            .filter(s -> s.kind() == SignalKind.TEMPERATURE)
            .filter(s -> s.on().where() == SignalKind.Where.LINE && loop.contains(s.on().id()))
            .findFirst()
            .map(s ->
                (Rule.Act) new Rule.Until(List.of(new Rule.Amount(s.name(), true, HOT, DEGREE, 0))))
            .orElse(new Rule.Pause(CIRCULATE)));
    acts.addAll(moves(off));
    acts.add(new Rule.Say(Says.HOT_WATER_IS_AT_THE_TAPS.text()));
    return new Rule(
        name, List.of(new Rule.Pressed()), List.of(), acts, LOOP_AT_MOST, List.of(), off);
  }

  private Set<LineId> linesAt(PartId part) {
    return network.rig().lines().stream()
        .filter(l -> l.from().part().equals(part) || l.to().part().equals(part))
        .map(Line::id)
        .collect(Collectors.toSet());
  }

  /** How far a sensor's cold is from that at a part: its own place before others, a line last. */
  private static int distance(Signal signal, Part part) {
    return switch (signal.on().where()) {
      case PLACE -> signal.on().id().equals(part.place()) ? 0 : 1;
      case PART, TRAY -> 2;
      case OUTSIDE, VEHICLE -> 3;
      case LINE -> 4;
    };
  }

  /** Below a temperature for long enough pumps are stopped and the frost drain is opened. */
  private Rule frost(String name, Automation automation) {
    Automation.Rule rule = automation.rules().getFirst();
    double mark = ((Automation.Cold) rule.when()).celsius();
    Part drain = network.rig().part(rule.turns().getLast().part());
    Signal signal =
        signals.stream()
            .filter(s -> s.kind() == SignalKind.TEMPERATURE)
            .min(Comparator.comparingInt(s -> distance(s, drain)))
            .orElseThrow(() -> new Refusal(Says.NO_TEMPERATURE.with()));
    List<Rule.Act> acts = new ArrayList<>(moves(rule.turns()));
    acts.add(new Rule.Say(Says.THE_FROST_DRAIN_IS_OPEN.filled(drain.label())));
    return new Rule(
        name,
        List.of(new Rule.Amount(signal.name(), false, mark, DEGREE, COLD_FOR)),
        List.of(),
        acts,
        AT_MOST,
        List.of(),
        rule.turns().subList(0, rule.turns().size() - 1));
  }

  /**
   * Returns a job as a rule at a button: every handle that it turns has a motor, and every wait is
   * told by a sensor or takes a known time.
   *
   * @param plan how the job is done as things stand
   * @param now how the handles are, to which a failure puts them back
   * @throws Refusal when a hand or a sensor is missing for it
   */
  public Rule atButton(String name, Plan plan, State now) {
    plan.trouble()
        .ifPresent(t -> {
          throw new Refusal(t.words());
        });
    List<Rule.Act> acts = new ArrayList<>();
    Map<PartId, Turn> back = new LinkedHashMap<>();
    for (Step step : plan.steps()) {
      switch (step) {
        case Step.Move move -> {
          Part part = network.rig().part(move.part());
          if (!part.kind().setsItself()) {
            throw new Refusal(Says.A_HAND_IS_NEEDED.with(part.label()));
          }
          acts.add(new Rule.Move(new Turn(move.part(), move.to())));
          back.put(move.part(), new Turn(move.part(), now.setting().of(move.part())));
        }
        case Step.Wait wait -> acts.add(wait(wait));
      }
    }
    if (back.isEmpty()) {
      throw new Refusal(Says.THE_JOB_TURNS_NOTHING.with());
    }
    List<Turn> safe = new ArrayList<>(back.values());
    safe.sort(Comparator.comparing(t -> !network.rig().part(t.part()).kind().is(Purpose.DRIVES)));
    Rule rule =
        new Rule(name, List.of(new Rule.Pressed()), List.of(), acts, AT_MOST, List.of(), safe);
    return inTime(rule, now);
  }

  private Rule.Act wait(Step.Wait wait) {
    Job.Until until = wait.until();
    if (until.what().isByHand()) {
      throw new Refusal(Says.HANDS_DO_THIS.with(wait.words()));
    }
    boolean tank = network.rig().part(until.part()).kind().is(Purpose.HOLDS);
    double capacity = tank ? network.room(until.part()).capacity() : 0;
    return switch (until.what()) {
      case FULL, FIRST_FULL -> new Rule.Until(List.of(level(until.part(), true, FULL, 0)));
      case MARK, RUNS_OVER ->
          new Rule.Until(List.of(level(until.part(), true, until.mark() / capacity, 0)));
      case DRY ->
          tank ? new Rule.Until(List.of(level(until.part(), false, EMPTY, 0))) : pause(wait);
      default -> pause(wait);
    };
  }

  private static Rule.Act pause(Step.Wait wait) {
    return new Rule.Pause(Math.clamp(wait.seconds().high(), LEAST_WAIT, AT_MOST));
  }

  /** Lets water in at the lower mark, until the upper one; then puts away what let it in. */
  private Rule between(String name, Automation automation, State now) {
    Automation.Rule begin = automation.rules().getLast();
    Automation.Rule end = automation.rules().getFirst();
    List<Rule.Act> acts = new ArrayList<>(moves(begin.turns()));
    List<Rule.Test> until =
        new ArrayList<>(
            automation.rules().subList(0, automation.rules().size() - 1).stream()
                .map(r -> test(r.when(), 0))
                .toList());
    // A float switch is a second means: it ends the filling whatever the level sensor says.
    List<Rule.Test> dry = new ArrayList<>();
    signals.stream()
        .filter(s -> s.kind() == SignalKind.SWITCH)
        .filter(s -> begin.when() instanceof Automation.Low low && s.on().id().equals(low.tank()))
        .forEach(s -> {
          until.add(new Rule.Contact(s.name(), true, 0));
          dry.add(new Rule.Contact(s.name(), false, 0));
        });
    for (PartId source : sources(begin, now)) {
      dry.add(level(source, true, LITTLE, 0));
      until.add(level(source, false, NEARLY_EMPTY, 0));
    }
    acts.add(new Rule.Until(until));
    List<Turn> safe = new ArrayList<>(end.turns());
    Automation.actors(network.rig()).stream()
        .filter(p -> p.kind().is(Purpose.DRIVES))
        .filter(p -> safe.stream().noneMatch(t -> t.part().equals(p.id())))
        .forEach(p -> safe.add(new Turn(p.id(), Position.OFF.id())));
    for (Turn turn : begin.turns()) {
      if (safe.stream().noneMatch(t -> t.part().equals(turn.part()))) {
        safe.add(new Turn(turn.part(), now.setting().of(turn.part())));
      }
    }
    return new Rule(
        name, List.of(test(begin.when(), LASTING)), dry, acts, AT_MOST, end.turns(), safe);
  }

  /**
   * Tanks with a level sensor that are drawn from: the filling ends before one of them is empty.
   */
  private List<PartId> sources(Automation.Rule begin, State now) {
    State filling = now;
    for (Turn turn : begin.turns()) {
      filling = filling.with(turn.part(), turn.position());
    }
    for (Part tank : network.tanks()) {
      filling = filling.withVolume(tank.id(), HALF * network.room(tank.id()).capacity());
    }
    PartId filled = begin.when() instanceof Automation.Low low ? low.tank() : PartId.NONE;
    return OpenWays.find(network, filling)
        .to(filled)
        .map(w -> w.source().part())
        .distinct()
        .filter(t -> !t.equals(filled))
        .filter(t ->
            signals.stream().anyMatch(s -> s.kind() == SignalKind.LEVEL && s.on().id().equals(t)))
        .toList();
  }

  /**
   * Returns a rule that fills with a limit of time: one within which no harm comes, were its sensor
   * to stick as it begins.
   */
  private Rule inTime(Rule rule, State now) {
    return RuleProof.of(network, signals)
        .harmless(rule, now)
        .map(seconds -> rule.within(Math.clamp(SOONER * seconds, 1, AT_MOST)))
        .orElse(rule);
  }

  private static List<Rule.Act> moves(List<Turn> turns) {
    return turns.stream().map(t -> (Rule.Act) new Rule.Move(t)).toList();
  }

  private Rule.Test test(Automation.When when, double lasting) {
    return switch (when) {
      case Automation.Low low -> level(low.tank(), false, low.share(), lasting);
      case Automation.High high -> full(high, lasting);
      case Automation.Leak leak -> throw new IllegalArgumentException("a leak is no level");
      case Automation.Cold cold -> throw new IllegalArgumentException("cold is no level");
      case Automation.Button button -> throw new IllegalArgumentException("a button is no level");
    };
  }

  /** Full by its level; by a float switch where that is all there is. */
  private Rule.Test full(Automation.High high, double lasting) {
    boolean level =
        signals.stream()
            .anyMatch(s -> s.kind() == SignalKind.LEVEL && s.on().id().equals(high.tank()));
    return signals.stream()
        .filter(s -> !level && s.kind() == SignalKind.SWITCH)
        .filter(s -> s.on().id().equals(high.tank()))
        .findFirst()
        .map(s -> (Rule.Test) new Rule.Contact(s.name(), true, lasting))
        .orElseGet(() -> level(high.tank(), true, high.share(), lasting));
  }

  private Rule.Test level(PartId tank, boolean above, double share, double lasting) {
    double capacity = network.room(tank).capacity();
    String signal =
        signals.stream()
            .filter(s -> s.kind() == SignalKind.LEVEL && s.on().id().equals(tank))
            .map(Signal::name)
            .findFirst()
            .orElseThrow(
                () -> new Refusal(Says.NO_LEVEL_OF.with(network.rig().part(tank).label())));
    return new Rule.Amount(signal, above, share * capacity, MARGIN * capacity, lasting);
  }
}
