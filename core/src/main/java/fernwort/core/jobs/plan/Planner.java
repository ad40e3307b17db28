package fernwort.core.jobs.plan;

import fernwort.core.effort.Effort;
import fernwort.core.hazard.Hazards;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.ConditionEvaluator;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Objection;
import fernwort.core.jobs.goal.Seen;
import fernwort.core.jobs.goal.Uncovered;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.ways.HandleDistance;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;

/**
 * Finds the cheapest safe turns of handles from how they stand to a goal. Made once per rig; safe
 * to share.
 *
 * <p>As few turns as any safe plan has; among those the one that spills least and walks least. See
 * the package for the method.
 */
public final class Planner {

  private static final int MOST_LOOKS = 1000;
  private static final int FEW_LOOKS = 300;

  private final Network network;
  private final Hazards hazards;
  private final Set<PartId> parting;
  private final Set<PartId> unheld;

  private Planner(Network network) {
    this.network = network;
    hazards = Hazards.of(network);
    parting = Uncovered.of(network).held();
    unheld = Uncovered.of(network).unheld();
  }

  /** Prepares a rig. */
  public static Planner of(Network network) {
    return new Planner(network);
  }

  /** Returns the prepared rig. */
  public Network network() {
    return network;
  }

  /** Tells whether a valve can hold all water back from an end that hoses are changed at. */
  boolean isHeld(PartId end) {
    return parting.contains(end);
  }

  /** Returns the hose inlets from which no valve holds all water back. */
  Set<PartId> unheld() {
    return unheld;
  }

  /** Looks from a state towards a goal. */
  ConditionEvaluator scout(State from, Goal goal) {
    return scout(seen(from), from, goal);
  }

  /** Looks from a state towards a goal, with what was seen before. */
  ConditionEvaluator scout(Seen seen, State from, Goal goal) {
    return new ConditionEvaluator(seen, parting, from, goal);
  }

  /** Begins to look at what each setting does with the water as it stands. */
  Seen seen(State from) {
    return new Seen(network, hazards, from);
  }

  /** What a search came to. */
  public sealed interface Result {}

  /**
   * A way to the goal.
   *
   * @param turns the turns in order
   * @param after the setting they lead to
   */
  public record Found(List<Turn> turns, Setting after) implements Result {
    public Found {
      turns = List.copyOf(turns);
    }
  }

  /**
   * There is none.
   *
   * @param objection what stands in the way, as far as it is known
   * @param proven whether everything was looked at, or the search was given up
   */
  public record Blocked(Optional<Objection> objection, boolean proven) implements Result {}

  /**
   * Finds the turns.
   *
   * @param from handles and levels as they are
   * @param goal what to reach
   */
  public Result plan(State from, Goal goal) {
    return plan(from, scout(from, goal));
  }

  /** Finds the turns from where a scout looks. */
  Result plan(State from, ConditionEvaluator scout) {
    return plan(from, scout, MOST_LOOKS);
  }

  /** Finds the turns, looking less hard. */
  Result within(State from, ConditionEvaluator scout) {
    return plan(from, scout, FEW_LOOKS);
  }

  /** Returns why there surely is no way to a goal; empty where there is one, or may be. */
  Optional<Blocked> surelyBlocked(State from, Goal goal) {
    return blocked(from, goal, FEW_LOOKS).filter(Blocked::proven);
  }

  /** Returns why no way to a goal is found, as a plan says it; empty where one is. */
  Optional<Blocked> blocked(State from, Goal goal) {
    return blocked(from, goal, MOST_LOOKS);
  }

  private Optional<Blocked> blocked(State from, Goal goal, int looks) {
    ConditionEvaluator scout = scout(from, goal);
    Targets targets = new Targets(scout, from.setting());
    Optional<Setting> near = targets.first(looks);
    if (near.isEmpty()) {
      return Optional.of(new Blocked(targets.inTheWay(), targets.isThrough()));
    }
    Sequence sequence = new Sequence(scout, from.setting());
    boolean simple = near.map(sequence::turnsTo).flatMap(sequence::order).isPresent();
    return !simple && plan(from, scout, looks) instanceof Blocked blocked
        ? Optional.of(blocked)
        : Optional.empty();
  }

  private Result plan(State from, ConditionEvaluator scout, int looks) {
    Targets targets = new Targets(scout, from.setting());
    List<Setting> found = targets.find(looks);
    Sequence sequence = new Sequence(scout, from.setting());
    if (found.isEmpty()) {
      Optional<Found> fromRest =
          targets.isThrough() ? Optional.empty() : fromRest(from, scout, sequence, looks);
      if (fromRest.isPresent()) {
        return fromRest.get();
      }
      return new Blocked(targets.inTheWay(), targets.isThrough());
    }
    Optional<Sequence.Order> best =
        found.stream()
            .map(sequence::turnsTo)
            .map(sequence::order)
            .flatMap(Optional::stream)
            .min(Comparator.comparing(Sequence.Order::cost));
    if (best.isPresent()) {
      return new Found(best.get().turns(), after(from.setting(), best.get().turns()));
    }
    Result near =
        withDetours(scout, targets, from.setting(), near(from, found), looks, Integer.MAX_VALUE);
    int known = near instanceof Found f ? f.turns().size() : Integer.MAX_VALUE;
    int least = sequence.turnsTo(found.getFirst()).size() + 1;
    if (known <= least) {
      return near;
    }
    List<Part> all = network.rig().handles().toList();
    Result far = withDetours(scout, targets, from.setting(), all, looks, known);
    return far instanceof Found || known == Integer.MAX_VALUE ? far : near;
  }

  /** The handles that have to change, and pumps and heaters, which may have to rest meanwhile. */
  private List<Part> near(State from, List<Setting> targets) {
    return network
        .rig()
        .handles()
        .filter(p ->
            p.kind().is(Purpose.PUMPS)
                || p.kind().is(Purpose.CUTS)
                || p.kind().is(Purpose.HEATS)
                || targets.stream().anyMatch(t -> !t.of(p.id()).equals(from.setting().of(p.id()))))
        .toList();
  }

  /**
   * Where handles stand so far from the goal that the search is given up: the setting that it finds
   * from rest, gone to from where they stand. Safe, but perhaps with more turns than there need be.
   */
  private Optional<Found> fromRest(
      State from, ConditionEvaluator scout, Sequence sequence, int looks) {
    State rest = from.with(network.rig().atRest());
    if (rest.setting().equals(from.setting())) {
      return Optional.empty();
    }
    ConditionEvaluator resting = scout(scout.seen(), rest, scout.goal());
    Targets targets = new Targets(resting, rest.setting());
    return targets.find(looks).stream()
        .filter(t -> scout.objection(t).filter(f -> !Targets.isBearable(f)).isEmpty())
        .flatMap(t -> sequence.order(sequence.turnsTo(t)).stream())
        .min(Comparator.comparing(Sequence.Order::cost))
        .map(o -> new Found(o.turns(), after(from.setting(), o.turns())));
  }

  private static Setting after(Setting setting, List<Turn> turns) {
    Setting after = setting;
    for (Turn turn : turns) {
      after = after.with(turn.part(), turn.position());
    }
    return after;
  }

  // --- when no order of the fewest turns is safe ------------------------------------------------

  private record Node(Setting setting, List<Turn> turns, int bound, double metres) {
    int least() {
      return turns.size() + bound;
    }
  }

  /**
   * A* over all settings of some handles, whichever is turned how often.
   *
   * @param most how many settings are looked at
   * @param fewer only plans with fewer turns than this are looked for
   */
  private Result withDetours(
      ConditionEvaluator scout,
      Targets targets,
      Setting start,
      List<Part> handles,
      int most,
      int fewer) {
    Sequence sequence = new Sequence(scout, start);
    PriorityQueue<Node> queue =
        new PriorityQueue<>(Comparator.comparingInt(Node::least).thenComparingDouble(Node::metres));
    Map<Setting, Integer> seen = new HashMap<>();
    Map<PartId, PositionId> musts = scout.goal().musts();
    queue.add(new Node(start, List.of(), targets.bound(start), 0));
    Optional<Objection> hazard = Optional.empty();
    for (int looks = 0; !queue.isEmpty() && looks < most; looks++) {
      Effort.look();
      Node node = queue.remove();
      if (!node.turns().isEmpty()) {
        Optional<Objection> here = scout.newHazard(node.setting());
        if (here.isPresent()) {
          hazard = here;
          continue;
        }
      }
      if (scout.objection(node.setting()).filter(f -> !Targets.isBearable(f)).isEmpty()) {
        return new Found(node.turns(), node.setting());
      }
      for (Part part : handles) {
        for (Position position : part.kind().positions()) {
          boolean offered =
              Targets.isOffered(part, position.id())
                  || position.id().equals(musts.get(part.id()))
                  || position.equals(HoseInlet.HOSE);
          Turn turn = new Turn(part.id(), position.id());
          PositionId at = node.setting().of(part.id());
          if (offered
              && !at.equals(position.id())
              && Hands.canTurn(part, at, position.id())
              && scout.forbids(node.setting(), turn).isEmpty()) {
            List<Turn> more = new ArrayList<>(node.turns());
            more.add(turn);
            Setting next = node.setting().with(part.id(), position.id());
            int bound = targets.bound(next);
            boolean near = bound < HandleDistance.NEVER && more.size() + bound < fewer;
            if (near && more.size() < seen.getOrDefault(next, Integer.MAX_VALUE)) {
              seen.put(next, more.size());
              queue.add(new Node(next, more, bound, sequence.walking(more).metres()));
            }
          }
        }
      }
    }
    return new Blocked(hazard, queue.isEmpty());
  }
}
