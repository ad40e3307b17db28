package fernwort.core.jobs;

import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.network.Levels;
import fernwort.core.network.OpenWays;
import fernwort.core.network.Plumbing;
import fernwort.core.network.Turns.Turn;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Looks for hazards in every setting that an automation can bring about from how things stand: its
 * rules in any order, each broken off after any of its turns, and the power lost at any moment.
 */
public final class AutomationCheck {

  private static final Set<Warning.Code> EXPECTED =
      Set.of(
          Warning.Code.FILLING,
          Warning.Code.FILLING_UNWATCHED,
          Warning.Code.GRAY_NEARLY_FULL,
          Warning.Code.CHECK_VALVE_REVERSED,
          Warning.Code.POWER_LOSS);

  /**
   * A hazard it can bring about.
   *
   * @param warning what would go wrong
   * @param when in which setting, in words
   */
  public record Finding(Warning warning, String when) {}

  private final Plumbing plumbing;
  private final Hazards hazards;

  private AutomationCheck(Plumbing plumbing) {
    this.plumbing = plumbing;
    hazards = Hazards.of(plumbing);
  }

  /** Prepares a rig. */
  public static AutomationCheck of(Plumbing plumbing) {
    return new AutomationCheck(plumbing);
  }

  /** Returns the hazards that an automation can bring about and that are not there now. */
  public List<Finding> findings(Automation automation, State now) {
    Set<Warning.Key> before = new LinkedHashSet<>();
    warnings(now).forEach(w -> before.add(w.key()));
    warnings(now.with(plumbing.rig().withoutPower(now.setting())))
        .forEach(w -> before.add(w.key()));
    Map<Warning.Key, Finding> found = new LinkedHashMap<>();
    for (Setting setting : reachable(automation, now.setting())) {
      State there = now.with(setting);
      String words = words(automation, setting);
      note(there, "with " + words, before, found);
      note(
          now.with(plumbing.rig().withoutPower(setting)),
          "when the power fails with " + words,
          before,
          found);
    }
    return List.copyOf(found.values());
  }

  private void note(
      State state, String when, Set<Warning.Key> before, Map<Warning.Key, Finding> found) {
    for (Warning warning : warnings(state)) {
      if (warning.severity() != Severity.NOTE
          && !EXPECTED.contains(warning.code())
          && !before.contains(warning.key())) {
        found.putIfAbsent(warning.key(), new Finding(warning, when));
      }
    }
  }

  private List<Warning> warnings(State state) {
    Levels levels = Levels.of(plumbing, state);
    return hazards.warnings(
        state.setting(), levels, OpenWays.find(plumbing, state.setting(), levels));
  }

  private static Set<Setting> reachable(Automation automation, Setting start) {
    Set<Setting> seen = new LinkedHashSet<>();
    Deque<Setting> front = new ArrayDeque<>();
    seen.add(start);
    front.add(start);
    while (!front.isEmpty()) {
      Setting at = front.remove();
      for (Automation.Rule rule : automation.rules()) {
        Setting next = at;
        for (Turn turn : rule.turns()) {
          next = next.with(turn.part(), turn.position());
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
                .map(t -> Automation.words(plumbing.rig(), t))
                .toList());
    return turned.isEmpty() ? "the valves as they are" : turned;
  }
}
