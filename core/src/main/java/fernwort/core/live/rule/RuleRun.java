package fernwort.core.live.rule;

import fernwort.core.live.Value;
import fernwort.core.network.Turn;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One rule as it goes on: it watches, acts step by step, and ends or is put safe. It is looked at
 * every second or so, and says what is to be done. Not for use by several threads.
 */
public final class RuleRun {

  /** What is to be done, or is told. */
  public sealed interface Deed {}

  /** A motor is to move. */
  public record Moves(Turn turn) implements Deed {}

  /** Something is to be said. */
  public record Tells(String words) implements Deed {}

  /** It has begun. */
  public record Begun() implements Deed {}

  /** It has done what it should. */
  public record Ended() implements Deed {}

  /** It was broken off, and has put safe what it could. */
  public record BrokenOff(Why why) implements Deed {}

  /** Why a rule is broken off. */
  public enum Why {
    /** A signal cannot be trusted any more. */
    SIGNAL_LOST,
    /** A motor did not arrive. */
    MOTOR_FAILED,
    /** It took too long. */
    TOO_LONG,
    /** Fernwort or the link stopped in the middle. */
    STOPPED,
    /** A leak was told, and the rule for that moves the same parts. */
    GIVES_WAY
  }

  /** What was pressed and not looked at for so long counts no more (s): the link was away. */
  private static final double PRESS_HOLDS = 10;

  private enum Phase {
    WATCHING,
    ACTING,
    ENDING
  }

  private final Rule rule;
  private final Map<Rule.Test, Double> since = new HashMap<>();
  private final Map<Rule.Test, Boolean> on = new HashMap<>();
  private Phase phase = Phase.WATCHING;
  private boolean armed = true;
  private boolean told;
  private double pressed = Double.NEGATIVE_INFINITY;
  private double clock;
  private double waiting = Double.NaN;
  private int step;
  private double begun;

  /** Begins to watch. */
  public RuleRun(Rule rule) {
    this.rule = rule;
  }

  /** Returns the rule. */
  public Rule rule() {
    return rule;
  }

  /** Tells whether it is in the middle. */
  public boolean isActing() {
    return phase != Phase.WATCHING;
  }

  /** Tells whether it has acted and what made it act has not been seen to be over since. */
  public boolean isSpent() {
    return phase == Phase.WATCHING && !armed;
  }

  /** Returns which of its steps it is at. */
  public int step() {
    return step;
  }

  /**
   * Somebody presses its button: it begins at the next look, if it may then.
   *
   * @param now the steady clock (s)
   */
  public void press(double now) {
    if (phase == Phase.WATCHING) {
      pressed = now;
      armed = true;
    }
  }

  /** Tells whether its button was pressed and it has not been looked at since. */
  public boolean isPressed() {
    return pressed > Double.NEGATIVE_INFINITY;
  }

  /**
   * Goes on.
   *
   * @param sight what it can see
   * @param free whether nobody else holds what it wants to turn
   * @param now the steady clock (s)
   */
  public List<Deed> go(Sight sight, boolean free, double now) {
    List<Deed> deeds = new ArrayList<>();
    clock = now;
    if (phase == Phase.WATCHING) {
      watch(sight, free, now, deeds);
      pressed = Double.NEGATIVE_INFINITY;
    }
    if (phase == Phase.ACTING) {
      act(sight, now, deeds);
    }
    if (phase == Phase.ENDING) {
      end(sight, now, deeds);
    }
    return deeds;
  }

  private void watch(Sight sight, boolean free, double now, List<Deed> deeds) {
    boolean holds = true;
    for (Rule.Test test : rule.when()) {
      holds &= lasts(test, sight, now);
    }
    if (!holds) {
      // A reason that nobody can see has not gone, nor one that is there and has to last.
      boolean seen = rule.when().stream().allMatch(t -> seen(t, sight).isPresent());
      armed |= seen && !rule.when().stream().allMatch(t -> holds(t, sight));
      return;
    }
    boolean meant = rule.onlyIf().stream().allMatch(t -> holds(t, sight));
    if (armed && free && meant) {
      armed = false;
      phase = Phase.ACTING;
      step = 0;
      told = false;
      waiting = Double.NaN;
      begun = now;
      deeds.add(new Begun());
    }
  }

  private void act(Sight sight, double now, List<Deed> deeds) {
    while (step < rule.acts().size()) {
      if (now - begun > rule.atMost()) {
        breakOff(Why.TOO_LONG, deeds);
        return;
      }
      switch (rule.acts().get(step)) {
        case Rule.Say say -> deeds.add(new Tells(say.words()));
        case Rule.Pause pause -> {
          waiting = Double.isNaN(waiting) ? now : waiting;
          if (now - waiting < pause.seconds()) {
            return;
          }
        }
        case Rule.Until until -> {
          if (until.any().stream().anyMatch(t -> seen(t, sight).isEmpty())) {
            breakOff(Why.SIGNAL_LOST, deeds);
            return;
          }
          if (until.any().stream().filter(t -> lasts(t, sight, now)).findAny().isEmpty()) {
            return;
          }
        }
        case Rule.Move move -> {
          if (!arrives(move.turn(), sight, deeds)) {
            return;
          }
        }
      }
      step++;
      told = false;
      waiting = Double.NaN;
    }
    phase = Phase.ENDING;
    step = 0;
    told = false;
  }

  /** Returns whether it is there; tells it to move, and breaks off where it does not arrive. */
  private boolean arrives(Turn turn, Sight sight, List<Deed> deeds) {
    if (sight.position(turn.part()).equals(turn.position()) && !sight.leaves(turn)) {
      return true;
    }
    if (!told) {
      told = true;
      deeds.add(new Moves(turn));
    } else if (sight.failed(turn.part())) {
      breakOff(Why.MOTOR_FAILED, deeds);
    }
    return false;
  }

  private void end(Sight sight, double now, List<Deed> deeds) {
    while (phase == Phase.ENDING && step < rule.then().size()) {
      if (now - begun > rule.atMost() + Rule.LONGEST) {
        breakOff(Why.TOO_LONG, deeds);
        return;
      }
      if (!arrives(rule.then().get(step), sight, deeds)) {
        return;
      }
      step++;
      told = false;
    }
    if (phase == Phase.ENDING) {
      phase = Phase.WATCHING;
      deeds.add(new Ended());
    }
  }

  /** Lets it be: it has only told what it would do, and watches on until its reason has gone. */
  public void letBe() {
    phase = Phase.WATCHING;
    armed = false;
  }

  /** Breaks it off: everything is put safe, whether it arrives or not. */
  public List<Deed> breakOff(Why why) {
    List<Deed> deeds = new ArrayList<>();
    breakOff(why, deeds);
    return deeds;
  }

  private void breakOff(Why why, List<Deed> deeds) {
    rule.onFailure().forEach(t -> deeds.add(new Moves(t)));
    deeds.add(new BrokenOff(why));
    phase = Phase.WATCHING;
    armed = false;
    since.clear();
  }

  private boolean lasts(Rule.Test test, Sight sight, double now) {
    if (test instanceof Rule.Any any) {
      boolean one = false;
      for (Rule.Test of : any.of()) {
        one |= lasts(of, sight, now);
      }
      return one;
    }
    if (!holds(test, sight)) {
      since.remove(test);
      return false;
    }
    double lasting =
        switch (test) {
          case Rule.Amount amount -> amount.lasting();
          case Rule.Contact contact -> contact.lasting();
          case Rule.Handle handle -> 0;
          case Rule.Pressed button -> 0;
          case Rule.Any any -> 0;
        };
    return now - since.computeIfAbsent(test, t -> now) >= lasting;
  }

  private boolean holds(Rule.Test test, Sight sight) {
    return seen(test, sight).orElse(false);
  }

  /** Tells whether a test holds; nothing where its signal cannot be trusted. */
  private Optional<Boolean> seen(Rule.Test test, Sight sight) {
    return switch (test) {
      case Rule.Handle handle ->
          Optional.of(sight.position(handle.part()).equals(handle.position()));
      case Rule.Contact contact ->
          sight
              .value(contact.signal())
              .filter(Value.Contact.class::isInstance)
              .map(v -> ((Value.Contact) v).on() == contact.on());
      case Rule.Amount amount ->
          sight
              .value(amount.signal())
              .filter(Value.Amount.class::isInstance)
              .map(v -> beyond(amount, ((Value.Amount) v).amount()));
      case Rule.Pressed button -> Optional.of(clock - pressed <= PRESS_HOLDS);
      case Rule.Any any -> seenAny(any, sight);
    };
  }

  /** One that holds is enough; that none does is known only where all can be seen. */
  private Optional<Boolean> seenAny(Rule.Any any, Sight sight) {
    boolean all = true;
    boolean one = false;
    for (Rule.Test test : any.of()) {
      Optional<Boolean> seen = seen(test, sight);
      all &= seen.isPresent();
      one |= seen.orElse(false);
    }
    return one || all ? Optional.of(one) : Optional.empty();
  }

  private boolean beyond(Rule.Amount test, double amount) {
    double slack = on.getOrDefault(test, false) ? test.margin() : 0;
    boolean beyond =
        test.above() ? amount >= test.amount() - slack : amount <= test.amount() + slack;
    on.put(test, beyond);
    return beyond;
  }
}
