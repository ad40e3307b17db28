package fernwort.core.jobs.goal;

import fernwort.core.drain.Wintering;
import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Point;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.HandleDistance.Pumped;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Looks at settings, on the levels that are and on those that will be, and remembers what it saw.
 */
public final class ConditionEvaluator {

  /** A tank with this share in it is as good as full. */
  private static final double FULL = 0.9999;

  private final Network network;
  private final State start;
  private final Levels levels;
  private final Seen seen;
  private final Goal goal;
  private final Set<Warning.Key> before = new HashSet<>();
  private final Set<FlowPath.Key> waysBefore = new HashSet<>();
  private final Set<PartId> parting;
  private final List<Condition.Passing> passing;
  private final boolean draws;

  /**
   * Looks from a state towards a goal.
   *
   * @param parting parts that are turned only while a valve holds gray water back from them
   */
  public ConditionEvaluator(
      Network network, Hazards hazards, Set<PartId> parting, State start, Goal goal) {
    this(new Seen(network, hazards, start), parting, start, goal);
  }

  /**
   * Looks from a state towards a goal.
   *
   * @param seen what was seen from there before
   * @param parting parts that are turned only while a valve holds gray water back from them
   */
  public ConditionEvaluator(Seen seen, Set<PartId> parting, State start, Goal goal) {
    this.seen = seen.at(start);
    this.start = start;
    this.goal = goal;
    network = seen.network();
    levels = this.seen.levels();
    FlowPaths ways = ways(start.setting(), levels);
    warnings(start.setting()).forEach(w -> before.add(w.key()));
    withoutPower(start.setting()).forEach(w -> before.add(w.key()));
    ways.ways().forEach(w -> waysBefore.add(w.key()));
    passing = goal.of(Condition.Passing.class);
    this.parting = parting;
    draws = draws(start.setting());
  }

  /** Returns the rig. */
  public Network network() {
    return network;
  }

  /** Returns what was seen so far, for another who looks from there. */
  public Seen seen() {
    return seen;
  }

  /** Returns what is asked for. */
  public Goal goal() {
    return goal;
  }

  /** Returns what is open on some levels. */
  public FlowPaths ways(Setting setting, Levels on) {
    return seen.ways(setting, on);
  }

  /** Returns what is open now. */
  public FlowPaths ways(Setting setting) {
    return ways(setting, levels);
  }

  /** Returns levels with one tank full, otherwise as others. */
  Levels full(Levels on, PartId tank) {
    double brim = FULL * network.room(tank).capacity();
    return holding(tank, Math.max(brim, on.volume(tank)));
  }

  /** Returns levels with one tank holding so much (m³), otherwise as they are at the start. */
  Levels holding(PartId tank, double volume) {
    return seen.holding(tank, volume);
  }

  /** Returns what a tank holds, as it is parked, when it stands so far above a port (m³). */
  double near(PartId tank, PortId port, double above) {
    return below(tank, levels.height(network.rig().part(tank).port(port)) + above);
  }

  /** Returns what a tank holds, as it is parked, when it stands at a height (m³). */
  double below(PartId tank, double height) {
    Part part = network.rig().part(tank);
    Point corner = new Point(part.x(), part.y(), part.height());
    return network.room(tank).volumeBelow(height - start.slope().heightOf(corner), start.slope());
  }

  /** Returns the rig when all has run out that can, its lines full before. */
  Wintering drained(Setting setting, Levels on) {
    return seen.drained(setting, on);
  }

  /**
   * Returns the fewest turns that let water pass between two tanks, whichever way, while both are
   * half full: what joins their air only does not count.
   */
  public int turnsBetween(PartId one, PartId other, Setting setting, Set<PartId> kept) {
    return Math.min(
        seen.halfFull().from(one, setting, kept).to(other, Pumped.NO),
        seen.halfFull().from(other, setting, kept).to(one, Pumped.NO));
  }

  /** Returns the turns that let water on from where a half full tank's comes to. */
  public Set<Turn> barriersOf(PartId tank, Setting setting) {
    return seen.halfFull().from(tank, setting).barriers();
  }

  /** Returns the open route between two parts, if there is one. */
  Optional<List<PartId>> route(Setting setting, PartId from, PartId to) {
    return seen.connections(setting).route(from, p -> false, p -> p.id().equals(to));
  }

  /** Tells whether a way was not there before. */
  public boolean isNew(FlowPath way) {
    return !waysBefore.contains(way.key());
  }

  private List<Warning> warnings(Setting setting) {
    return seen.warnings(setting);
  }

  private List<Warning> withoutPower(Setting setting) {
    return seen.hazards().withoutPower(setting, levels, ways(setting, levels));
  }

  /**
   * Returns why a setting must not be gone through; empty when it may: a hazard that was not there
   * before, or water that moves before all else is as it has to be.
   */
  public Optional<Objection> newHazard(Setting setting) {
    Optional<Objection> hazard =
        warnings(setting).stream().filter(this::counts).findFirst().map(Objection.Danger::new);
    for (Condition.Passing passing : passing) {
      hazard = hazard.isPresent() ? hazard : passing.onTheWay(this, setting, levels);
    }
    return hazard.isPresent() || draws || !draws(setting) ? hazard : guarded(setting);
  }

  /** Tells whether the job's water moves in a setting, as its taps stand. */
  private boolean draws(Setting setting) {
    return goal.needs().stream()
        .anyMatch(n -> ways(setting, levels).ways().stream().anyMatch(n::isMetBy));
  }

  private Optional<Objection> guarded(Setting setting) {
    return goal.conditions().stream()
        .filter(Condition::isGuard)
        .flatMap(c -> c.objection(this, setting, levels).stream())
        .findFirst();
  }

  /**
   * Returns why a handle must not be turned at this moment: a cap or hose comes off only while
   * nothing runs out there, and that of a dump only while a valve holds the gray water back; where
   * there is a valve that does.
   */
  public Optional<Objection> forbids(Setting from, Turn turn) {
    if (!parting.contains(turn.part())) {
      return Optional.empty();
    }
    Part end = network.rig().part(turn.part());
    Optional<Objection> out =
        end.kind().bare(from.of(end.id()), turn.position()).flatMap(bare -> runsOut(from, end));
    if (out.isPresent() || !end.kind().is(Purpose.DUMPS)) {
      return out;
    }
    Setting turning = Uncovered.turning(network.rig(), from);
    for (Part gray : network.rig().tanks(Contents.GRAY).toList()) {
      Optional<List<PartId>> route = route(turning, gray.id(), turn.part());
      if (route.isPresent()) {
        return Optional.of(new Objection.Joined(gray.id(), turn.part(), route.get()));
      }
    }
    return Optional.empty();
  }

  /** Returns what runs out at an end in a setting when it has neither cap nor hose. */
  Optional<Objection> runsOut(Setting setting, Part end) {
    return Uncovered.bare(end)
        .flatMap(bare -> ways(setting.with(end.id(), bare)).to(end.id()).findFirst())
        .map(way -> new Objection.Bare(end.id(), way));
  }

  /** Returns what would run out in a setting at one of the ends that a valve holds water from. */
  public Optional<Objection> runsOutBare(Setting setting) {
    return parting.stream()
        .flatMap(end -> runsOut(setting, network.rig().part(end)).stream())
        .findFirst();
  }

  private boolean counts(Warning warning) {
    return !before.contains(warning.key()) && matters(warning);
  }

  private boolean matters(Warning warning) {
    boolean stirs =
        warning.code() == Warning.Code.PUMP_STIRS
            && goal.needs().stream().anyMatch(n -> n.drives().contains(DrivenBy.Kind.PUMP));
    return (warning.severity() != Severity.NOTE || stirs)
        && !warning.code().is(Warning.Is.STANDING)
        && !goal.inherent().contains(warning.code())
        && !isWaste(warning);
  }

  /** Waste that runs to the ground does so whatever the handles; the layout's review says it. */
  private boolean isWaste(Warning warning) {
    return warning.code() == Warning.Code.OPEN_TO_GROUND
        && network.rig().part(warning.parts().getLast().part()).kind().is(Purpose.USE);
  }

  /** Returns what keeps a setting from the goal; empty when it is reached. */
  public Optional<Objection> objection(Setting setting) {
    for (Condition condition : goal.conditions()) {
      Optional<Objection> objection = condition.objection(this, setting, levels);
      if (objection.isPresent()) {
        return objection;
      }
    }
    return danger(warnings(probed(setting)))
        .or(() -> danger(warnings(setting)))
        .or(() -> danger(withoutPower(setting)));
  }

  /** Returns what one condition finds wrong with a setting. */
  public Optional<Objection> objection(Condition condition, Setting setting) {
    return condition.objection(this, setting, levels);
  }

  /** Returns a setting with the taps as they are for the look. */
  public Setting probed(Setting setting) {
    Setting probed = setting;
    for (Map.Entry<PartId, PositionId> tap : goal.probe().entrySet()) {
      if (!setting.of(tap.getKey()).equals(tap.getValue())) {
        probed = probed.with(tap.getKey(), tap.getValue());
      }
    }
    return probed;
  }

  /** Nothing new may go wrong, and what went wrong badly before must be over. */
  private Optional<Objection> danger(List<Warning> warnings) {
    return warnings.stream()
        .filter(w -> counts(w) || w.severity() == Severity.DANGER && matters(w))
        .findFirst()
        .map(Objection.Danger::new);
  }

  /** Returns a danger of what water it is, which no run shows, on some levels. */
  public Optional<Warning> unseen(Setting setting, Levels on) {
    return seen.hazards().withPower(setting, on, ways(setting, on)).stream()
        .filter(w -> w.code().is(Warning.Is.UNSEEN) && counts(w))
        .findFirst();
  }

  /** Returns how a way is still driven from a source in a setting, if it is. */
  public Optional<FlowPath> drawing(Setting setting, PartId source) {
    return ways(setting, levels).from(source).findFirst();
  }
}
