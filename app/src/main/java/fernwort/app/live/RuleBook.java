package fernwort.app.live;

import fernwort.app.store.LiveStore;
import fernwort.core.id.PartId;
import fernwort.core.live.Now;
import fernwort.core.live.Signal;
import fernwort.core.live.rule.Rule;
import fernwort.core.live.rule.RuleRun;
import fernwort.core.live.rule.Sight;
import fernwort.core.network.Turn;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
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
  }

  private final String rig;
  private final LiveStore store;
  private final JsonMapper mapper;
  private final Map<String, Entry> entries = new LinkedHashMap<>();

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
    keep(name, "");
  }

  /**
   * Lets no rule act on what it was not tried with: the rig or what is bound to it has changed. One
   * that names what is gone is off.
   *
   * @param triedWith what a trial holds for now
   */
  void distrust(Rig rig, List<Signal> signals, String triedWith) {
    for (Map.Entry<String, Entry> one : entries.entrySet()) {
      Entry entry = one.getValue();
      String before = entry.state;
      try {
        entry.run.rule().checked(rig, signals);
        if (entry.state.equals(LIVE) && !triedWith.equals(entry.text.triedWith())) {
          entry.state = TELLS;
          entry.told = Says.TRY_IT_ANEW.text();
        }
      } catch (Refusal gone) {
        entry.state = OFF;
        entry.told = gone.saying().toString();
      }
      if (!entry.state.equals(before)) {
        // What it was in the middle of is put safe before it stops.
        entry.toPutSafe |= entry.run.isActing();
        keep(one.getKey(), entry.toPutSafe ? ACTING : "");
      }
    }
  }

  boolean remove(String name, Hands hands) {
    end(name, hands);
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

  /** Tells whether some rule has to be looked at. */
  boolean isEmpty() {
    return entries.isEmpty();
  }

  /** Lets all rules go on. */
  void go(Sight sight, Hands hands, Now now) {
    Set<PartId> held = new HashSet<>();
    for (Entry entry : entries.values()) {
      if (entry.run.isActing()) {
        held.addAll(entry.run.rule().parts());
      }
    }
    for (Entry entry : entries.values()) {
      if (entry.toPutSafe) {
        entry.toPutSafe = false;
        entry.run.breakOff(RuleRun.Why.STOPPED).forEach(d -> take(entry, d, hands));
      } else if (!entry.state.equals(OFF)) {
        boolean acting = entry.run.isActing();
        boolean free = acting || entry.run.rule().parts().stream().noneMatch(held::contains);
        boolean pressed = entry.run.isPressed();
        List<RuleRun.Deed> deeds = entry.run.go(sight, free, now.steady());
        if (pressed && deeds.isEmpty()) {
          tell(entry, Says.IT_COULD_NOT_BEGIN.text(), hands);
        }
        if (entry.state.equals(TELLS) && !deeds.isEmpty()) {
          entry.run.letBe();
          would(entry, hands);
        } else {
          deeds.forEach(d -> take(entry, d, hands));
        }
        if (entry.run.isActing()) {
          held.addAll(entry.run.rule().parts());
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
        keep(name, ACTING);
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
        keep(name, "");
        tell(entry, Says.THE_RULE_HAS_ENDED.text(), hands);
      }
      case RuleRun.BrokenOff off -> {
        keep(name, "");
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
    };
  }
}
