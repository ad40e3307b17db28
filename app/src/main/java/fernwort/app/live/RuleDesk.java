package fernwort.app.live;

import fernwort.app.Missing;
import fernwort.app.services.States;
import fernwort.core.jobs.automation.Automation;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.live.Now;
import fernwort.core.live.Signal;
import fernwort.core.live.rule.ReadyRules;
import fernwort.core.live.rule.Rule;
import fernwort.core.live.rule.RuleProof;
import fernwort.core.say.Refusal;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The rules of the rigs: kept, tried, let act, taken away. */
@Service
public class RuleDesk {

  private final LiveDesk live;
  private final States states;
  private @Nullable Trials trials;

  RuleDesk(LiveDesk live, States states) {
    this.live = live;
    this.states = states;
  }

  /** The bench is not there before the first rule is. */
  private synchronized Trials trials() {
    if (trials == null) {
      trials = new Trials(states);
    }
    return trials;
  }

  /**
   * A rule as it is.
   *
   * @param acting whether it is in the middle
   * @param told what it told last
   */
  public record RuleNow(
      String name, String state, boolean acting, String told, RuleText rule, Proof proof) {}

  /**
   * What came of trying a rule.
   *
   * @param done whether all trials are over
   * @param held whether it did what it is for, and no harm
   * @param runs how many trials there were
   * @param stories those that ended in harm
   */
  public record Proof(boolean done, boolean held, int runs, List<RuleProof.Story> stories) {}

  /** Returns the rules of a rig. */
  public List<RuleNow> rules(String rig) {
    return live.in(rig, room -> room.rules().all().stream().map(r -> now(room, r)).toList());
  }

  /** Returns a rule. */
  public RuleNow rule(String rig, String name) {
    return rules(rig).stream()
        .filter(r -> r.name().equals(name))
        .findFirst()
        .orElseThrow(() -> new Missing(Says.THERE_IS_NO_RULE.filled(name)));
  }

  private RuleNow now(Room room, RuleBook.Kept rule) {
    return new RuleNow(
        rule.name(),
        rule.state(),
        rule.acting(),
        rule.told(),
        rule.text().in(rule.state()),
        trials().look(room.asBuilt(), rule.rule()));
  }

  /**
   * Keeps a rule. A new one tells only; it acts when it held in the simulation.
   *
   * @throws Refusal naming what is missing, or why it may not act
   */
  public RuleNow keep(String rig, String name, RuleText text) {
    String state = text.state() == null ? RuleBook.TELLS : text.state();
    if (!Set.of(RuleBook.OFF, RuleBook.TELLS, RuleBook.LIVE).contains(state)) {
      throw new Refusal(Says.A_RULE_IS.with(state));
    }
    Rule rule = text.rule(name);
    boolean acts = state.equals(RuleBook.LIVE);
    Room.AsBuilt asked =
        live.in(
            rig,
            room -> {
              Signal.checkName(name);
              rule.checked(room.rig().rig(), room.live().signals());
              // It is kept as one that tells before it is tried: what was typed is not lost.
              room.rules().put(name, text, acts ? RuleBook.TELLS : state, live.hands(room));
              return room.asBuilt();
            });
    if (acts) {
      try {
        rule.canAct(asked.rig().rig(), asked.signals());
      } catch (Refusal lacking) {
        throw new Refusal(Says.IT_STAYS.with(name, lacking.saying()));
      }
      trials()
          .refusal(trials().wait(asked, rule))
          .ifPresent(why -> {
            throw new Refusal(Says.IT_STAYS.with(name, why));
          });
      live.in(
          rig,
          room -> {
            if (!room.asBuilt().triedWith().equals(asked.triedWith())) {
              throw new Refusal(Says.IT_STAYS.with(name, Says.TRY_IT_ANEW.text()));
            }
            room.rules().put(name, text.triedWith(asked.triedWith()), state, live.hands(room));
            return true;
          });
    }
    return rule(rig, name);
  }

  /**
   * Makes a rule of an aim as people choose it.
   *
   * @param title what people call it
   */
  public RuleNow keep(String rig, String name, String title, Automation automation) {
    // Tried on the thread that asks: Live goes on meanwhile.
    Room.AsBuilt built = live.in(rig, Room::asBuilt);
    Rule rule =
        ReadyRules.of(built.rig().network(), built.signals())
            .of(name, automation, states.of(built.rig()).state());
    return keep(rig, name, RuleText.of(rule, RuleBook.TELLS).titled(title));
  }

  /**
   * Makes a rule of a job, at a button, as things stand.
   *
   * @param title what people call it
   */
  public RuleNow keep(String rig, String name, String title, Plan plan) {
    Room.AsBuilt built = live.in(rig, Room::asBuilt);
    Rule rule =
        ReadyRules.of(built.rig().network(), built.signals())
            .atButton(name, plan, states.of(built.rig()).state());
    return keep(rig, name, RuleText.of(rule, RuleBook.TELLS).titled(title));
  }

  /**
   * Presses the button of a rule.
   *
   * @throws Refusal when it has none or is off
   */
  public RuleNow press(String rig, String name) {
    rule(rig, name);
    if (!live.connection().connected()) {
      throw new Refusal(Says.NO_CONNECTION_AT_ALL.with());
    }
    live.in(
        rig,
        room -> {
          if (!room.rules().press(name, Now.read())) {
            throw new Refusal(Says.THE_RULE_HAS_NO_BUTTON.with(name));
          }
          room.stir();
          return true;
        });
    return rule(rig, name);
  }

  /** Takes a rule away; one that is in the middle is put safe first. */
  public void removeRule(String rig, String name) {
    live.in(
        rig,
        room -> {
          if (!room.rules().remove(name, live.hands(room))) {
            throw new Missing(Says.THERE_IS_NO_RULE.filled(name));
          }
          return true;
        });
  }
}
