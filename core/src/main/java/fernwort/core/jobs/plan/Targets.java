package fernwort.core.jobs.plan;

import fernwort.core.effort.Effort;
import fernwort.core.hazard.Warning;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.ConditionEvaluator;
import fernwort.core.jobs.goal.Need;
import fernwort.core.jobs.goal.Objection;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Connections;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.HandleDistance;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Which handles have to change: the settings that reach a goal with the fewest of them.
 *
 * <p>A* over settings. A setting that falls short names its first {@link Objection}, and is
 * followed only by the turns of which every setting without that objection has made at least one.
 */
final class Targets {

  private static final int MOST_TARGETS = 24;

  /** How many settings more are looked at for one that needs no power to be safe. */
  private static final int MOST_FOR_BETTER = 120;

  private static final int ANY = 1;
  private static final int NO_HANDLE = 2;
  private static final int DANGER = 3;
  private static final int LEFT_TO_CARE = 4;

  /** How many settings more are looked at for others that are as near as the first. */
  private static final int MOST_FOR_TIES = 40;

  /** So many searches are kept at hand, for a setting is asked about more than once. */
  private static final int MOST_SEARCHED = 500;

  private final ConditionEvaluator scout;
  private final HandleDistance turns;
  private final Setting start;
  private final Map<PartId, PositionId> musts;
  private final List<Need> needs;
  private final List<Condition.Joined> joins;
  private final List<Condition.Linked> links;
  private final List<Condition.GoesRound> rounds;
  private final Map<Searched, HandleDistance.From> searched = new HashMap<>();
  private Optional<Objection> inTheWay = Optional.empty();
  private int truth;
  private boolean through;

  Targets(ConditionEvaluator scout, Setting start) {
    this.scout = scout;
    turns = scout.seen().distances();
    this.start = start;
    musts = scout.goal().musts();
    needs = scout.goal().needs();
    joins = scout.goal().of(Condition.Joined.class);
    links = scout.goal().of(Condition.Linked.class);
    rounds = scout.goal().of(Condition.GoesRound.class);
  }

  /**
   * A setting on the way.
   *
   * @param changed how many turns it is from the start
   * @param bound how many more it takes at least
   * @param sure whether the bound was searched for; else it is one less than that of the setting
   *     before, since a turn brings a goal no nearer than that
   */
  private record Node(Setting setting, int changed, int bound, boolean sure) {
    int least() {
      return changed + bound;
    }
  }

  /** Returns the first setting that reaches the goal with the fewest turns, if one does. */
  Optional<Setting> first(int mostLooks) {
    return find(mostLooks, 1).stream().findFirst();
  }

  /** Returns the nearest settings that reach the goal, all as near; empty for none. */
  List<Setting> find(int mostLooks) {
    return find(mostLooks, MOST_TARGETS);
  }

  private List<Setting> find(int mostLooks, int mostFound) {
    PriorityQueue<Node> queue =
        new PriorityQueue<>(
            Comparator.comparingInt(Node::least).thenComparingInt(n -> -n.changed()));
    Set<Setting> seen = new HashSet<>();
    List<Setting> found = new ArrayList<>();
    List<Setting> bearable = new ArrayList<>();
    int nearest = Integer.MAX_VALUE;
    int looks = 0;
    int most = mostLooks;
    queue.add(new Node(start, 0, bound(start), true));
    seen.add(start);
    while (!queue.isEmpty() && looks < most && found.size() < mostFound) {
      Effort.look();
      Node node = queue.remove();
      if (node.least() > nearest) {
        break;
      }
      if (!node.sure()) {
        int bound = bound(node.setting(), turned(node.setting()));
        if (bound < HandleDistance.NEVER && node.changed() + bound <= nearest) {
          queue.add(new Node(node.setting(), node.changed(), bound, true));
        }
        continue;
      }
      looks++;
      Optional<Objection> objection =
          missing(node.setting()).or(() -> scout.objection(node.setting()));
      if (objection.isEmpty()) {
        found.add(node.setting());
        nearest = node.changed();
        most = Math.min(most, looks + MOST_FOR_TIES);
        continue;
      }
      if (isBearable(objection.get())) {
        bearable.add(node.setting());
        most = Math.min(most, looks + MOST_FOR_BETTER);
      }
      Set<Turn> mends = mends(node.setting(), objection.get());
      remember(objection.get(), mends);
      for (Turn turn : mends) {
        follow(node, turn, seen).ifPresent(queue::add);
      }
    }
    through = queue.isEmpty();
    return found.isEmpty() ? bearable.stream().limit(MOST_TARGETS).toList() : found;
  }

  /** What only happens if the power fails is borne where nothing better is found, and said. */
  static boolean isBearable(Objection objection) {
    return objection instanceof Objection.Danger danger
        && danger.warning().code() == Warning.Code.POWER_LOSS;
  }

  /** Tells whether every setting was looked at that could do. */
  boolean isThrough() {
    return through;
  }

  /**
   * Returns what truly stands in the way: a danger where all that the job asks for was met, one
   * that is left to care before one that a turn may end; else what no handle mends, else what was
   * wrong with the last setting that was looked at in vain.
   */
  Optional<Objection> inTheWay() {
    return inTheWay;
  }

  private void remember(Objection objection, Set<Turn> mends) {
    int rank =
        switch (objection) {
          case Objection.Danger danger ->
              danger.warning().code().is(Warning.Is.LEFT_TO_CARE) ? LEFT_TO_CARE : DANGER;
          default -> mends.isEmpty() ? NO_HANDLE : ANY;
        };
    if (rank > truth || rank == truth && rank == ANY) {
      truth = rank;
      inTheWay = Optional.of(objection);
    }
  }

  private Optional<Node> follow(Node node, Turn turn, Set<Setting> seen) {
    boolean turned = !node.setting().of(turn.part()).equals(start.of(turn.part()));
    boolean kept = node.setting().of(turn.part()).equals(musts.get(turn.part()));
    if (turned || kept) {
      return Optional.empty();
    }
    Setting next = node.setting().with(turn.part(), turn.position());
    return seen.add(next)
        ? Optional.of(new Node(next, node.changed() + 1, Math.max(0, node.bound() - 1), false))
        : Optional.empty();
  }

  /** The parts that have been turned or have to stay, which a nearest setting has as they are. */
  private Set<PartId> turned(Setting setting) {
    Set<PartId> turned = new HashSet<>(musts.keySet());
    turned.addAll(setting.turnedFrom(start));
    return turned;
  }

  /** Returns the fewest turns that any goal is away from a setting. */
  int bound(Setting setting) {
    return bound(setting, Set.of());
  }

  private int bound(Setting setting, Set<PartId> kept) {
    int misplaced = 0;
    Setting placed = setting;
    for (Map.Entry<PartId, PositionId> must : musts.entrySet()) {
      if (!setting.of(must.getKey()).equals(must.getValue())) {
        misplaced++;
        placed = placed.with(must.getKey(), must.getValue());
      }
    }
    int farthest = 0;
    for (Need need : needs) {
      farthest = Math.max(farthest, away(need, placed, kept));
    }
    for (Condition.GoesRound round : rounds) {
      farthest = Math.max(farthest, dry(round, placed, kept));
    }
    for (Condition.Joined pair : joins) {
      farthest =
          Math.max(
              farthest, from(pair.from(), placed, kept).to(pair.to(), HandleDistance.Pumped.NO));
    }
    for (Condition.Linked pair : links) {
      farthest = Math.max(farthest, scout.turnsBetween(pair.from(), pair.to(), placed, kept));
    }
    return farthest >= HandleDistance.NEVER ? farthest : misplaced + farthest;
  }

  /**
   * Returns a way that surely is not open, since turns stand between its source and its end: the
   * objection that the scout would name, found without asking what is open. Empty where it may be.
   */
  private Optional<Objection> missing(Setting setting) {
    for (Condition condition : scout.goal().conditions()) {
      if (condition instanceof Condition.Placed placed) {
        if (!setting.of(placed.part()).equals(placed.position())) {
          return Optional.empty();
        }
      } else {
        return condition instanceof Condition.Runs runs && isAway(runs.need(), setting)
            ? Optional.of(new Objection.Missing(runs.need()))
            : Optional.empty();
      }
    }
    return Optional.empty();
  }

  private boolean isAway(Need need, Setting setting) {
    return away(need, setting, turned(setting)) != 0;
  }

  /** The fewest turns that a need takes: to its end, to the part it passes, and on from there. */
  private int away(Need need, Setting setting, Set<PartId> kept) {
    HandleDistance.From from = from(need.source().part(), setting, kept);
    int away = from.to(need.end().part(), need.pumped());
    if (need.via().isPresent()) {
      PartId via = need.via().get();
      int behind =
          behind(via, setting)
              .mapToInt(b -> b.to(need.end().part(), HandleDistance.Pumped.EITHER))
              .min()
              .orElse(HandleDistance.NEVER);
      away = Math.max(away, Math.max(comes(from, via), behind));
    }
    return away;
  }

  /** The fewest turns until any water comes to the tap of a loop, past its heater. */
  private int dry(Condition.GoesRound round, Setting setting, Set<PartId> kept) {
    if (round.tap().isEmpty()) {
      return 0;
    }
    int fewest = HandleDistance.NEVER;
    for (Part source : scout.network().sources()) {
      HandleDistance.From from = from(source.id(), setting, kept);
      int heated = round.heater().map(heater -> comes(from, heater)).orElse(0);
      int tapped = from.to(round.tap().get(), HandleDistance.Pumped.EITHER);
      fewest = Math.min(fewest, Math.max(heated, tapped));
    }
    return fewest;
  }

  /** The fewest turns to a part, whether water is driven there or drawn. */
  private static int comes(HandleDistance.From from, PartId part) {
    return Math.min(
        from.to(part, HandleDistance.Pumped.EITHER), from.to(part, HandleDistance.Pumped.TO_PUMP));
  }

  /** The searches on from each port of a part that water has passed. */
  private Stream<HandleDistance.From> behind(PartId part, Setting setting) {
    return part(part).kind().ports().stream().map(port -> turns.behind(part, port, setting));
  }

  /** What a search was made from. */
  private record Searched(PartId source, Setting setting, Set<PartId> kept) {}

  private HandleDistance.From from(PartId source, Setting setting, Set<PartId> kept) {
    if (searched.size() > MOST_SEARCHED) {
      searched.clear();
    }
    return searched.computeIfAbsent(
        new Searched(source, setting, kept), s -> turns.from(source, setting, kept));
  }

  // --- what meets an objection ----------------------------------------------------------------

  private Set<Turn> mends(Setting setting, Objection objection) {
    return switch (objection) {
      case Objection.Misplaced f -> Set.of(new Turn(f.part(), f.position()));
      case Objection.Missing f -> opening(setting, f.need());
      case Objection.Stray f -> turnsOf(setting, f.way().parts());
      case Objection.Bare f -> turnsOf(setting, f.way().parts());
      case Objection.Danger f -> against(setting, f.warning());
      case Objection.Apart f -> turns.from(f.from(), setting).barriers();
      case Objection.Unlinked f -> {
        Set<Turn> mends = new LinkedHashSet<>(scout.barriersOf(f.from(), setting));
        mends.addAll(scout.barriersOf(f.to(), setting));
        yield mends;
      }
      case Objection.Joined f -> turnsOf(setting, f.route());
      case Objection.Leaking f -> turnsOf(setting, f.way().parts());
      case Objection.PumpOn f -> stopping(setting, f.pump());
      case Objection.Bypassed f -> {
        Set<Turn> mends = turnsOf(setting, f.route());
        mends.addAll(pumpsOff(setting));
        yield mends;
      }
      case Objection.Airless f -> all(setting);
      case Objection.ShutIn f -> all(setting);
      case Objection.StopsShort f -> all(setting);
      case Objection.NotRound f -> {
        boolean dry = rounds.stream().anyMatch(round -> dry(round, setting, Set.of()) > 0);
        yield dry ? letting(setting) : all(setting);
      }
      case Objection.Unfed f -> all(setting);
      case Objection.Keeping f -> letting(setting, f.needs());
      case Objection.Disproved f -> all(setting);
    };
  }

  private Set<Turn> opening(Setting setting, Need need) {
    HandleDistance.From from = from(need.source().part(), setting, turned(setting));
    boolean comes = need.via().filter(via -> comes(from, via) > 0).isEmpty();
    if (!comes || from.to(need.end().part(), need.pumped()) > 0) {
      return from.barriers();
    }
    if (away(need, setting, turned(setting)) > 0) {
      Set<Turn> on = new LinkedHashSet<>();
      behind(need.via().orElseThrow(), setting).forEach(b -> on.addAll(b.barriers()));
      return on;
    }
    return parting(setting);
  }

  /**
   * What is open and gives nothing may be overpowered: where other water comes instead, as a goal
   * that wants its own alone forbids, every turn that stops that; else every turn.
   */
  private Set<Turn> parting(Setting setting) {
    return scout.goal().of(Condition.Alone.class).stream()
        .flatMap(alone -> scout.objection(alone, setting).stream())
        .findFirst()
        .map(stray -> mends(setting, stray))
        .orElseGet(() -> all(setting));
  }

  private Set<Turn> against(Setting setting, Warning warning) {
    if (warning.parts().isEmpty()) {
      return all(setting);
    }
    Warning.Code code = warning.code();
    ElementId first = warning.parts().getFirst();
    ElementId last = warning.parts().getLast();
    if (code.is(Warning.Is.OF_A_WAY)) {
      return scout.ways(scout.probed(setting)).ways().stream()
          .filter(w -> w.end().part().equals(first) && w.source().part().equals(last))
          .findFirst()
          .map(FlowPath::parts)
          .map(parts -> turnsOf(setting, parts))
          .orElseGet(() -> all(setting));
    }
    if (code.is(Warning.Is.BETWEEN_TWO)) {
      return between(setting, first, last);
    }
    if (!code.is(Warning.Is.LACKS_WATER)) {
      return all(setting);
    }
    Set<Turn> mends = switching(first.part(), Position.OFF.id());
    mends.addAll(first.equals(last) ? letting(setting) : between(setting, last, first));
    return mends;
  }

  private static Set<Turn> letting(Setting setting, Map<PartId, PositionId> needs) {
    Set<Turn> turns = new LinkedHashSet<>();
    needs.forEach((part, position) -> {
      if (!setting.of(part).equals(position)) {
        turns.add(new Turn(part, position));
      }
    });
    return turns;
  }

  /** Every turn that stops a pump, or parts it from what it is joined to. */
  private Set<Turn> stopping(Setting setting, PartId pump) {
    Set<Turn> mends = switching(pump, Position.OFF.id());
    scout
        .network()
        .rig()
        .handles()
        .filter(p -> p.kind().is(Purpose.TURNS))
        .forEach(p -> add(setting, p, mends));
    return mends;
  }

  private Set<Turn> pumpsOff(Setting setting) {
    Set<Turn> off = new LinkedHashSet<>();
    scout
        .network()
        .rig()
        .handles()
        .filter(p -> p.kind().is(Purpose.PUMPS) && setting.of(p.id()).equals(Kind.ON))
        .forEach(p -> off.add(new Turn(p.id(), Position.OFF.id())));
    return off;
  }

  private static Set<Turn> switching(PartId part, PositionId position) {
    Set<Turn> mends = new LinkedHashSet<>();
    mends.add(new Turn(part, position));
    return mends;
  }

  /** Every turn of what joins two parts now, by the shortest route. */
  private Set<Turn> between(Setting setting, ElementId from, ElementId to) {
    return Connections.of(scout.network(), setting)
        .route(from.part(), p -> false, p -> p.id().equals(to))
        .map(route -> turnsOf(setting, route))
        .orElseGet(() -> all(setting));
  }

  /** Every turn that lets any water on from where it stands, and pumps that could press it. */
  private Set<Turn> letting(Setting setting) {
    Set<Turn> found = new LinkedHashSet<>();
    for (Part source : scout.network().sources()) {
      for (Turn turn : turns.from(source.id(), setting).barriers()) {
        if (isOffered(part(turn.part()), turn.position())) {
          found.add(turn);
        }
      }
    }
    return found;
  }

  private Part part(PartId id) {
    return scout.network().rig().parts().get(scout.network().index(id));
  }

  /** Every turn of the parts of a way. */
  private Set<Turn> turnsOf(Setting setting, List<PartId> parts) {
    Set<Turn> found = new LinkedHashSet<>();
    for (PartId id : parts) {
      add(setting, part(id), found);
    }
    return found;
  }

  private Set<Turn> all(Setting setting) {
    Set<Turn> found = new LinkedHashSet<>();
    scout.network().rig().handles().forEach(p -> add(setting, p, found));
    return found;
  }

  private void add(Setting setting, Part part, Set<Turn> found) {
    for (Position position : part.kind().positions()) {
      if (!position.id().equals(setting.of(part.id())) && isOffered(part, position.id())) {
        found.add(new Turn(part.id(), position.id()));
      }
    }
  }

  /** What brings in water or heat or lets it out is opened only where the job says so. */
  static boolean isOffered(Part part, PositionId position) {
    return !part.kind().onlyOnPurpose() || part.kind().rests(position);
  }
}
