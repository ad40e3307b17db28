package fernwort.core.live.rule;

import fernwort.core.jobs.automation.Automation;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.live.Signal;
import fernwort.core.live.SignalKind;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;

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
      case STOP_WHEN_FULL, CHANGE_WHEN_DRY -> once(name, automation);
      case KEEP_BETWEEN, TOP_UP -> inTime(between(name, automation, now.setting()), now);
    };
  }

  private Rule leak(String name, Automation automation) {
    List<Turn> turns = automation.rules().getFirst().turns();
    if (turns.isEmpty()) {
      throw new Refusal(Says.NOTHING_TO_SHUT.with());
    }
    String leak =
        signals.stream()
            .filter(s -> s.kind() == SignalKind.LEAK)
            .map(Signal::name)
            .findFirst()
            .orElseThrow(() -> new Refusal(Says.NO_LEAK_SENSOR.with()));
    return new Rule(
        name,
        List.of(new Rule.Contact(leak, true, 0)),
        List.of(),
        moves(turns),
        AT_MOST,
        List.of(),
        turns);
  }

  private Rule once(String name, Automation automation) {
    Automation.Rule rule = automation.rules().getFirst();
    return new Rule(
        name,
        List.of(test(rule.when(), LASTING)),
        List.of(),
        moves(rule.turns()),
        AT_MOST,
        List.of(),
        rule.turns());
  }

  /** Lets water in at the lower mark, until the upper one; then puts away what let it in. */
  private Rule between(String name, Automation automation, Setting now) {
    Automation.Rule begin = automation.rules().getLast();
    Automation.Rule end = automation.rules().getFirst();
    List<Rule.Act> acts = new ArrayList<>(moves(begin.turns()));
    acts.add(
        new Rule.Until(
            automation.rules().subList(0, automation.rules().size() - 1).stream()
                .map(r -> test(r.when(), 0))
                .toList()));
    List<Turn> safe = new ArrayList<>(end.turns());
    Automation.actors(network.rig()).stream()
        .filter(p -> p.kind().is(Purpose.DRIVES))
        .filter(p -> safe.stream().noneMatch(t -> t.part().equals(p.id())))
        .forEach(p -> safe.add(new Turn(p.id(), Position.OFF.id())));
    for (Turn turn : begin.turns()) {
      if (safe.stream().noneMatch(t -> t.part().equals(turn.part()))) {
        safe.add(new Turn(turn.part(), now.of(turn.part())));
      }
    }
    return new Rule(
        name, List.of(test(begin.when(), LASTING)), List.of(), acts, AT_MOST, end.turns(), safe);
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
      case Automation.High high -> level(high.tank(), true, high.share(), lasting);
      case Automation.Leak leak -> throw new IllegalArgumentException("a leak is no level");
    };
  }

  private Rule.Test level(String tank, boolean above, double share, double lasting) {
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
