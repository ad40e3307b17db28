package fernwort.core.live.rule;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.live.Signal;
import fernwort.core.live.SignalKind;
import fernwort.core.network.Turn;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A rule: when something holds for long enough, and only if, it does this, for so long at most, and
 * puts back that; if anything goes wrong, it puts it safe.
 *
 * @param name what it is called
 * @param when what has to hold, all of it
 * @param onlyIf what has to hold besides
 * @param acts what it does, one after another
 * @param atMost how long all of it may take (s)
 * @param then what it puts back at the end
 * @param onFailure what it puts safe when anything goes wrong
 */
public record Rule(
    String name,
    List<Test> when,
    List<Test> onlyIf,
    List<Act> acts,
    double atMost,
    List<Turn> then,
    List<Turn> onFailure) {

  /** No rule takes longer (s); own choice. */
  public static final double LONGEST = 6 * 3600;

  /** A rule has no more of anything; own choice. */
  private static final int MOST = 40;

  /** Something that holds or does not. */
  public sealed interface Test {}

  /**
   * A signal is above or below an amount.
   *
   * @param signal its name
   * @param above whether it has to be above
   * @param amount of what (in the unit of the signal's kind)
   * @param margin how far it has to come back until it holds no more (in the unit of the kind)
   * @param lasting for how long it has to hold (s)
   */
  public record Amount(String signal, boolean above, double amount, double margin, double lasting)
      implements Test {}

  /**
   * A contact is on or off.
   *
   * @param signal its name
   * @param on whether it has to be on
   * @param lasting for how long it has to hold (s)
   */
  public record Contact(String signal, boolean on, double lasting) implements Test {}

  /** A handle is in a position. */
  public record Handle(PartId part, PositionId position) implements Test {}

  /** Somebody has pressed the rule's button. */
  public record Pressed() implements Test {}

  /** One of these holds, each for as long as it says. */
  public record Any(List<Test> of) implements Test {
    public Any {
      of = List.copyOf(of);
      if (of.isEmpty() || of.stream().anyMatch(Any.class::isInstance)) {
        throw new Refusal(Says.SAY_ONE_OF_WHICH.with());
      }
    }
  }

  /** Something that a rule does. */
  public sealed interface Act {}

  /** It turns something, and waits until that has arrived. */
  public record Move(Turn turn) implements Act {}

  /** It waits until one of these holds. */
  public record Until(List<Test> any) implements Act {
    public Until {
      any = List.copyOf(any);
      if (any.isEmpty()) {
        throw new Refusal(Says.SAY_UNTIL_WHEN.with());
      }
    }
  }

  /**
   * It waits for a while.
   *
   * @param seconds how long (s)
   */
  public record Pause(double seconds) implements Act {
    public Pause {
      if (!(seconds >= 0 && seconds <= LONGEST)) {
        throw new Refusal(Says.SAY_HOW_LONG.with(Math.round(LONGEST / 3600)));
      }
    }
  }

  /** It says something. */
  public record Say(String words) implements Act {}

  public Rule {
    when = List.copyOf(when);
    onlyIf = List.copyOf(onlyIf);
    acts = List.copyOf(acts);
    then = List.copyOf(then);
    onFailure = List.copyOf(onFailure);
  }

  /**
   * Checks that a rig has all that this rule names, and that it cannot run for ever.
   *
   * @param signals what is bound
   * @throws Refusal naming what is missing
   */
  public Rule checked(Rig rig, Collection<Signal> signals) {
    Map<String, Signal> byName =
        signals.stream().collect(Collectors.toMap(Signal::name, Function.identity()));
    if (when.isEmpty()) {
      throw new Refusal(Says.SAY_WHEN.with());
    }
    if (acts.isEmpty()) {
      throw new Refusal(Says.SAY_WHAT_IT_DOES.with());
    }
    if (Stream.of(when, onlyIf, acts, then, onFailure).anyMatch(l -> l.size() > MOST)) {
      throw new Refusal(Says.TOO_MANY_STEPS.with(MOST));
    }
    if (!(atMost > 0 && atMost <= LONGEST)) {
      throw new Refusal(Says.SAY_AT_MOST.with(Math.round(LONGEST / 3600)));
    }
    tests().forEach(t -> check(rig, byName, t));
    for (Turn turn : turns()) {
      rig.position(turn.part(), turn.position());
      if (!rig.part(turn.part()).kind().setsItself()) {
        throw new Refusal(Says.HAS_NO_MOTOR.with(rig.part(turn.part()).label()));
      }
    }
    return this;
  }

  /**
   * Checks that all that it turns can be told to.
   *
   * @param signals what is bound
   * @throws Refusal naming what cannot
   */
  public void canAct(Rig rig, Collection<Signal> signals) {
    turns().forEach(turn -> Signal.order(rig, signals, turn));
  }

  private static void check(Rig rig, Map<String, Signal> signals, Test test) {
    switch (test) {
      case Amount amount -> {
        form(signals, amount.signal(), SignalKind.Form.AMOUNT);
        boolean sound =
            Double.isFinite(amount.amount()) && amount.margin() >= 0 && amount.lasting() >= 0;
        if (!sound) {
          throw new Refusal(Says.A_TEST_HAS_NUMBERS.with(amount.signal()));
        }
      }
      case Contact contact -> form(signals, contact.signal(), SignalKind.Form.CONTACT);
      case Handle handle -> rig.position(handle.part(), handle.position());
      case Any any -> any.of().forEach(t -> check(rig, signals, t));
      case Pressed pressed -> {}
    }
  }

  private static void form(Map<String, Signal> signals, String name, SignalKind.Form form) {
    Signal signal = signals.get(name);
    if (signal == null) {
      throw new Refusal(Says.THERE_IS_NO_SIGNAL.with(name));
    }
    if (signal.kind().form() != form) {
      throw new Refusal(Says.THE_SIGNAL_IS_OF_ANOTHER_FORM.with(name));
    }
  }

  /** Tells whether it begins because one of these contacts is on. */
  public boolean isBegunBy(Set<String> contacts) {
    return when.stream()
        .flatMap(t -> t instanceof Any any ? any.of().stream() : Stream.of(t))
        .anyMatch(t -> t instanceof Contact c && c.on() && contacts.contains(c.signal()));
  }

  /** Tells whether it begins when somebody presses its button. */
  public boolean hasButton() {
    return tests().anyMatch(Pressed.class::isInstance);
  }

  /** Returns all that it tests, down to single signals and handles. */
  private Stream<Test> tests() {
    return Stream.of(
            when.stream(),
            onlyIf.stream(),
            acts.stream().filter(Until.class::isInstance).flatMap(a -> ((Until) a).any().stream()))
        .flatMap(t -> t)
        .flatMap(t -> t instanceof Any any ? any.of().stream() : Stream.of(t));
  }

  /**
   * Returns it with another limit.
   *
   * @param seconds how long it may take at most (s)
   */
  public Rule within(double seconds) {
    return new Rule(name, when, onlyIf, acts, seconds, then, onFailure);
  }

  /** Returns the names of the signals that it watches. */
  public Set<String> signals() {
    Set<String> names = new LinkedHashSet<>();
    tests()
        .forEach(t -> {
          switch (t) {
            case Amount amount -> names.add(amount.signal());
            case Contact contact -> names.add(contact.signal());
            case Handle handle -> {}
            case Pressed pressed -> {}
            case Any any -> {}
          }
        });
    return names;
  }

  /** Returns all that it may turn. */
  public List<Turn> turns() {
    List<Turn> turns = new ArrayList<>();
    acts.forEach(a -> {
      if (a instanceof Move move) {
        turns.add(move.turn());
      }
    });
    turns.addAll(then);
    turns.addAll(onFailure);
    return turns;
  }

  /** Returns the parts that it may turn. */
  public Set<PartId> parts() {
    return turns().stream().map(Turn::part).collect(Collectors.toSet());
  }
}
