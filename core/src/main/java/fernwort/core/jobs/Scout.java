package fernwort.core.jobs;

import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.network.Connections;
import fernwort.core.network.End;
import fernwort.core.network.Levels;
import fernwort.core.network.OpenWays;
import fernwort.core.network.Plumbing;
import fernwort.core.network.Source;
import fernwort.core.network.TankAir;
import fernwort.core.network.Way;
import fernwort.core.network.Ways;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Looks at settings on the same levels and remembers what it saw. */
final class Scout {

  /** Hazards that no handle makes or takes away, or that are only worth a word. */
  private static final Set<Warning.Code> STANDING =
      Set.of(
          Warning.Code.CHECK_VALVE_REVERSED,
          Warning.Code.GRAY_FULL,
          Warning.Code.GRAY_NEARLY_FULL,
          Warning.Code.FILLING);

  /** What a setting leads to; its warnings are worked out when they are asked for. */
  static final class View {
    private final Ways ways;
    private Optional<List<Warning>> warnings = Optional.empty();

    private View(Ways ways) {
      this.ways = ways;
    }

    Ways ways() {
      return ways;
    }
  }

  private final Plumbing plumbing;
  private final Levels levels;
  private final Hazards hazards;
  private final Goal goal;
  private final Set<Warning.Key> before = new HashSet<>();
  private final Set<Way.Key> waysBefore = new HashSet<>();
  private final Map<Setting, View> views = new HashMap<>();

  Scout(Plumbing plumbing, Hazards hazards, State start, Goal goal) {
    this.plumbing = plumbing;
    this.hazards = hazards;
    this.goal = goal;
    levels = Levels.of(plumbing, start);
    View view = view(start.setting());
    warnings(start.setting()).forEach(w -> before.add(w.key()));
    hazards.withoutPower(start.setting(), levels, view.ways()).forEach(w -> before.add(w.key()));
    view.ways().ways().forEach(w -> waysBefore.add(w.key()));
  }

  Plumbing plumbing() {
    return plumbing;
  }

  Levels levels() {
    return levels;
  }

  Goal goal() {
    return goal;
  }

  View view(Setting setting) {
    return views.computeIfAbsent(setting, s -> new View(OpenWays.find(plumbing, s, levels)));
  }

  private List<Warning> warnings(Setting setting) {
    View view = view(setting);
    if (view.warnings.isEmpty()) {
      view.warnings = Optional.of(hazards.withPower(setting, levels, view.ways()));
    }
    return view.warnings.get();
  }

  /** Returns the first hazard on the way that was not there before; empty for none. */
  Optional<Warning> newHazard(Setting setting) {
    return warnings(setting).stream().filter(this::counts).findFirst();
  }

  private boolean counts(Warning warning) {
    return warning.severity() != Severity.NOTE
        && !STANDING.contains(warning.code())
        && !goal.inherent().contains(warning.code())
        && !before.contains(warning.key());
  }

  /** Returns what keeps a setting from the goal; empty when it is reached. */
  Optional<Fault> fault(Setting setting) {
    for (Map.Entry<String, String> must : goal.musts().entrySet()) {
      if (!setting.of(must.getKey()).equals(must.getValue())) {
        return Optional.of(new Fault.Misplaced(must.getKey(), must.getValue()));
      }
    }
    View view = view(probed(setting));
    return missing(view.ways())
        .or(() -> apart(setting))
        .or(() -> stray(view.ways()))
        .or(() -> airless(view.ways()))
        .or(() -> danger(warnings(probed(setting))))
        .or(() -> danger(warnings(setting)))
        .or(() -> danger(hazards.withoutPower(setting, levels, view(setting).ways())));
  }

  /** Returns a setting with the taps as they are for the look. */
  Setting probed(Setting setting) {
    Setting probed = setting;
    for (Map.Entry<String, String> tap : goal.probe().entrySet()) {
      if (!setting.of(tap.getKey()).equals(tap.getValue())) {
        probed = probed.with(tap.getKey(), tap.getValue());
      }
    }
    return probed;
  }

  private Optional<Fault> missing(Ways ways) {
    for (Need need : goal.needs()) {
      if (ways.ways().stream().noneMatch(need::isMetBy)) {
        return Optional.of(new Fault.Missing(need));
      }
    }
    return goal.circulating()
        .filter(pump ->
            ways.pumps().stream().noneMatch(w -> w.pump().equals(pump) && !w.loop().isEmpty()))
        .map(Fault.NotRound::new);
  }

  private Optional<Fault> apart(Setting setting) {
    for (Map.Entry<String, String> pair : goal.joined().entrySet()) {
      if (Connections.of(plumbing, setting)
          .route(pair.getKey(), p -> false, p -> p.id().equals(pair.getValue()))
          .isEmpty()) {
        return Optional.of(new Fault.Apart(pair.getKey(), pair.getValue()));
      }
    }
    return Optional.empty();
  }

  private Optional<Fault> stray(Ways ways) {
    return ways.ways().stream()
        .filter(w -> goal.isStray(w) || isNewFill(w))
        .findFirst()
        .map(Fault.Stray::new);
  }

  /** Tells whether a way begins to fill a tank that the job has nothing to do with. */
  private boolean isNewFill(Way way) {
    return way.end().kind() == End.Kind.TANK
        && way.source().kind() != Source.Kind.WASTE
        && !waysBefore.contains(way.key())
        && goal.needs().stream().noneMatch(n -> n.isMetBy(way));
  }

  private Optional<Fault> airless(Ways ways) {
    return ways.air().stream()
        .filter(a -> goal.breathing().contains(a.tank()))
        .filter(a -> a.in().isEmpty() || a.out().isEmpty())
        .findFirst()
        .map(TankAir::tank)
        .map(Fault.Airless::new);
  }

  /** Nothing new may go wrong, and what went wrong badly before must be over. */
  private Optional<Fault> danger(List<Warning> warnings) {
    return warnings.stream()
        .filter(w -> counts(w) || isGrave(w))
        .findFirst()
        .map(Fault.Danger::new);
  }

  private boolean isGrave(Warning warning) {
    return warning.severity() == Severity.DANGER
        && !STANDING.contains(warning.code())
        && !goal.inherent().contains(warning.code());
  }

  /** Returns how a way is still driven from a source in a setting, if it is. */
  Optional<Way> drawing(Setting setting, String source) {
    return view(setting).ways().from(source).findFirst();
  }
}
