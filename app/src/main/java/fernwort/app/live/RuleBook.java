package fernwort.app.live;

import fernwort.app.store.LiveStore;
import fernwort.app.store.StoreTrouble;
import fernwort.core.id.PartId;
import fernwort.core.live.Now;
import fernwort.core.live.Signal;
import fernwort.core.live.SignalKind;
import fernwort.core.live.rule.Rule;
import fernwort.core.live.rule.RuleRun;
import fernwort.core.live.rule.Sight;
import fernwort.core.network.Turn;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.transaction.TransactionException;
import tools.jackson.databind.json.JsonMapper;

/**
 * The rules of one rig as they go on. What a rule is in the middle of is kept, so that after a stop
 * it can be put safe. One thread alone uses it.
 */
final class RuleBook {

  private static final Logger LOG = LoggerFactory.getLogger(RuleBook.class);

  /** It only watches when it is off; it tells what it would do; it acts. */
  static final String OFF = "off";

  static final String TELLS = "tells";
  static final String LIVE = "live";
  private static final String ACTING = "acting";

  /** How a rule reaches the motors and the people. */
  interface Hands {

    /** Tells a motor to move; says why not where it cannot be told, or it would be a danger. */
    Optional<String> move(Turn turn, String rule);

    /** Tells what a rule does. */
    void tell(String rule, String words);

    /** Says what turning something is, in words. */
    String words(Turn turn);

    /** A rule was broken off. */
    void brokenOff(String rule, RuleRun.Why why);
  }

  private static final class Entry {
    final RuleText text;
    final RuleRun run;
    String state;
    String told = "";
    boolean toPutSafe;

    Entry(RuleText text, Rule rule, String state) {
      this.text = text;
      this.state = state;
      run = new RuleRun(rule);
    }

    Set<PartId> parts() {
      return run.rule().parts();
    }
  }

  private final String rig;
  private final LiveStore store;
  private final JsonMapper mapper;
  private final Map<String, Entry> entries = new LinkedHashMap<>();

  /** What each is in the middle of, where that is still to be kept, by the rule's name. */
  private final Map<String, String> left = new LinkedHashMap<>();

  private Set<String> leaks = Set.of();

  RuleBook(String rig, LiveStore store, JsonMapper mapper) {
    this.rig = rig;
    this.store = store;
    this.mapper = mapper;
    for (LiveStore.Rule kept : store.rules(rig)) {
      try {
        RuleText text = mapper.readValue(kept.rule(), RuleText.class);
        Entry entry = new Entry(text, text.rule(kept.name()), kept.state());
        entry.toPutSafe = !kept.doing().isEmpty();
        entries.put(kept.name(), entry);
      } catch (RuntimeException e) {
        LOG.warn("a rule of {} cannot be read and is left out", rig, e);
      }
    }
  }

  /**
   * A rule as it is.
   *
   * @param acting whether it is in the middle
   * @param told what it told last; empty for nothing
   */
  record Kept(String name, RuleText text, Rule rule, String state, boolean acting, String told) {}

  List<Kept> all() {
    return entries.entrySet().stream()
        .map(e ->
            new Kept(
                e.getKey(),
                e.getValue().text,
                e.getValue().run.rule(),
                e.getValue().state,
                e.getValue().run.isActing(),
                e.getValue().told))
        .toList();
  }

  /** Returns what each rule that is on did last, or its state where it did nothing yet. */
  Map<String, String> told() {
    Map<String, String> told = new TreeMap<>();
    entries.forEach(
        (name, entry) -> told.put(name, entry.told.isEmpty() ? entry.state : entry.told));
    return told;
  }

  /** Keeps a rule; one that is in the middle is put safe first. */
  void put(String name, RuleText text, String state, Hands hands) {
    end(name, hands);
    entries.put(name, new Entry(text, text.rule(name), state));
    left.remove(name);
    keep(name, "");
  }

  /**
   * Lets no rule act on what it was not tried with: the rig or what is bound to it has changed. One
   * that names what is gone is off.
   *
   * @param triedWith what a trial holds for now
   */
  void distrust(Rig rig, List<Signal> signals, String triedWith) {
    leaks =
        signals.stream()
            .filter(signal -> signal.kind() == SignalKind.LEAK)
            .map(Signal::name)
            .collect(Collectors.toSet());
    for (Map.Entry<String, Entry> one : entries.entrySet()) {
      Entry entry = one.getValue();
      String before = entry.state;
      try {
        entry.run.rule().checked(rig, signals);
        if (entry.state.equals(LIVE)) {
          untried(entry, rig, signals, triedWith)
              .ifPresent(why -> {
                entry.state = TELLS;
                entry.told = why;
              });
        }
      } catch (Refusal gone) {
        entry.state = OFF;
        entry.told = gone.saying().toString();
      }
      if (!entry.state.equals(before)) {
        // What it was in the middle of is put safe before it stops.
        entry.toPutSafe |= entry.run.isActing();
        left.put(one.getKey(), entry.toPutSafe ? ACTING : "");
      }
    }
    keepLeft();
  }

  /** Says why a rule may not act any more, if it may not. */
  private static Optional<String> untried(
      Entry entry, Rig rig, List<Signal> signals, String triedWith) {
    try {
      entry.run.rule().canAct(rig, signals);
    } catch (Refusal lacking) {
      return Optional.of(lacking.saying().toString());
    }
    return triedWith.equals(entry.text.triedWith())
        ? Optional.empty()
        : Optional.of(Says.TRY_IT_ANEW.text());
  }

  boolean remove(String name, Hands hands) {
    end(name, hands);
    left.remove(name);
    entries.remove(name);
    return store.remove(rig, name);
  }

  /**
   * Somebody presses a rule's button.
   *
   * @return whether it is there, has one and is on
   */
  boolean press(String name, Now now) {
    Entry entry = entries.get(name);
    if (entry == null || !entry.run.rule().hasButton() || entry.state.equals(OFF)) {
      return false;
    }
    entry.run.press(now.steady());
    return true;
  }

  private void end(String name, Hands hands) {
    Entry entry = entries.get(name);
    if (entry != null && entry.run.isActing()) {
      entry.run.breakOff(RuleRun.Why.STOPPED).forEach(d -> take(entry, d, hands));
    }
  }

  private void keep(String name, String doing) {
    Entry entry = entries.get(name);
    if (entry != null) {
      store.keep(
          rig,
          new LiveStore.Rule(
              name, entry.state, mapper.writeValueAsString(entry.text.in(entry.state)), doing));
    }
  }

  /** A disk that is full holds up nothing that a rule does. */
  private void keepLeft() {
    for (Map.Entry<String, String> one : List.copyOf(left.entrySet())) {
      try {
        keep(one.getKey(), one.getValue());
        left.remove(one.getKey());
      } catch (DataAccessException | TransactionException | StoreTrouble e) {
        LOG.warn("what a rule of {} is in the middle of cannot be kept yet", rig, e);
        return;
      }
    }
  }

  /** Tells whether some rule has to be looked at. */
  boolean isEmpty() {
    return entries.isEmpty();
  }

  /**
   * Lets all rules go on. One that makes safe after a leak has the first word: whatever else moves
   * the same parts is broken off at once, and does not begin again before the leak is over.
   */
  void go(Sight sight, Hands hands, Now now) {
    List<Entry> urgent = entries.values().stream().filter(this::isUrgent).toList();
    List<Entry> others = entries.values().stream().filter(e -> !isUrgent(e)).toList();
    Set<PartId> held = new HashSet<>();
    urgent.stream().filter(e -> e.run.isActing()).forEach(e -> held.addAll(e.parts()));
    urgent.forEach(e -> goOn(e, held, sight, hands, now));
    urgent.stream().filter(e -> e.run.isSpent()).forEach(e -> held.addAll(e.parts()));
    others.stream().filter(e -> e.run.isActing()).forEach(e -> held.addAll(e.parts()));
    others.forEach(e -> goOn(e, held, sight, hands, now));
    keepLeft();
  }

  private boolean isUrgent(Entry entry) {
    return entry.state.equals(LIVE) && entry.run.rule().isBegunBy(leaks);
  }

  private void goOn(Entry entry, Set<PartId> held, Sight sight, Hands hands, Now now) {
    if (entry.toPutSafe) {
      entry.toPutSafe = false;
      entry.run.breakOff(RuleRun.Why.STOPPED).forEach(d -> take(entry, d, hands));
    } else if (!entry.state.equals(OFF)) {
      boolean acting = entry.run.isActing();
      boolean free = acting || entry.parts().stream().noneMatch(held::contains);
      boolean pressed = entry.run.isPressed();
      List<RuleRun.Deed> deeds = entry.run.go(sight, free, now.steady());
      if (pressed && deeds.isEmpty()) {
        tell(entry, Says.IT_COULD_NOT_BEGIN.text(), hands);
      }
      if (entry.state.equals(TELLS) && !deeds.isEmpty()) {
        entry.run.letBe();
        would(entry, hands);
      } else {
        List<Due> due = new ArrayList<>();
        deeds.forEach(d -> due.add(new Due(entry, d)));
        if (isUrgent(entry) && deeds.stream().anyMatch(RuleRun.Begun.class::isInstance)) {
          makeWay(entry, due);
        }
        // What moves comes before what is written and told, which may take long.
        due.sort(Comparator.comparing(d -> !(d.deed() instanceof RuleRun.Moves)));
        due.forEach(d -> take(d.entry(), d.deed(), hands));
      }
      if (entry.run.isActing()) {
        held.addAll(entry.parts());
      }
    }
  }

  private record Due(Entry entry, RuleRun.Deed deed) {}

  /** Breaks off whatever else moves the parts of a rule; those are left to it. */
  private void makeWay(Entry urgent, List<Due> due) {
    for (Entry other : entries.values()) {
      boolean inTheWay =
          !isUrgent(other)
              && other.run.isActing()
              && other.parts().stream().anyMatch(urgent.parts()::contains);
      if (inTheWay) {
        for (RuleRun.Deed deed : other.run.breakOff(RuleRun.Why.GIVES_WAY)) {
          boolean left =
              deed instanceof RuleRun.Moves(Turn turn) && urgent.parts().contains(turn.part());
          if (!left) {
            due.add(new Due(other, deed));
          }
        }
      }
    }
  }

  private static void would(Entry entry, Hands hands) {
    List<String> steps = new ArrayList<>();
    for (Rule.Act act : entry.run.rule().acts()) {
      if (act instanceof Rule.Move move) {
        steps.add(hands.words(move.turn()));
      }
    }
    entry.told = Says.IT_WOULD_TURN.filled(String.join(", ", steps));
    hands.tell(entry.run.rule().name(), entry.told);
  }

  private void take(Entry entry, RuleRun.Deed deed, Hands hands) {
    String name = entry.run.rule().name();
    switch (deed) {
      case RuleRun.Begun begun -> {
        left.put(name, ACTING);
        tell(entry, Says.THE_RULE_HAS_BEGUN.text(), hands);
      }
      case RuleRun.Moves moves -> {
        Optional<String> against = hands.move(moves.turn(), name);
        if (against.isPresent() && entry.run.isActing()) {
          entry.run.breakOff(RuleRun.Why.MOTOR_FAILED).forEach(d -> take(entry, d, hands));
          entry.told = Says.BROKEN_OFF_BECAUSE.filled(against.get());
        }
      }
      case RuleRun.Tells tells -> tell(entry, tells.words(), hands);
      case RuleRun.Ended ended -> {
        left.put(name, "");
        tell(entry, Says.THE_RULE_HAS_ENDED.text(), hands);
      }
      case RuleRun.BrokenOff off -> {
        left.put(name, "");
        tell(entry, why(off.why()), hands);
        hands.brokenOff(name, off.why());
      }
    }
  }

  private static void tell(Entry entry, String words, Hands hands) {
    entry.told = words;
    hands.tell(entry.run.rule().name(), words);
  }

  private static String why(RuleRun.Why why) {
    return switch (why) {
      case SIGNAL_LOST -> Says.BROKEN_OFF_SIGNAL.text();
      case MOTOR_FAILED -> Says.BROKEN_OFF_MOTOR.text();
      case TOO_LONG -> Says.BROKEN_OFF_TIME.text();
      case STOPPED -> Says.BROKEN_OFF_STOP.text();
      case GIVES_WAY -> Says.BROKEN_OFF_LEAK.text();
    };
  }
}
