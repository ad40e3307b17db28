package fernwort.core.jobs;

import fernwort.core.effort.Effort;
import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Warning;
import fernwort.core.network.Plumbing;
import fernwort.core.network.Turns;
import fernwort.core.network.Turns.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Position;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;

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

  private final Plumbing plumbing;
  private final Hazards hazards;

  private Planner(Plumbing plumbing) {
    this.plumbing = plumbing;
    hazards = Hazards.of(plumbing);
  }

  /** Prepares a rig. */
  public static Planner of(Plumbing plumbing) {
    return new Planner(plumbing);
  }

  /** Returns the prepared rig. */
  public Plumbing plumbing() {
    return plumbing;
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
   * @param hazard what stands in the way, when a hazard does
   */
  public record Blocked(Optional<Warning> hazard) implements Result {}

  /**
   * Finds the turns.
   *
   * @param from handles and levels as they are
   * @param goal what to reach
   */
  public Result plan(State from, Goal goal) {
    return plan(from, goal, MOST_LOOKS);
  }

  /** Tells whether a goal can be reached, looking less hard. */
  boolean isWithinReach(State from, Goal goal) {
    return plan(from, goal, FEW_LOOKS) instanceof Found;
  }

  private Result plan(State from, Goal goal, int looks) {
    Scout scout = new Scout(plumbing, hazards, from, goal);
    Targets targets = new Targets(scout, Turns.of(plumbing, scout.levels()), from.setting());
    List<Setting> found = targets.find(looks);
    if (found.isEmpty()) {
      return new Blocked(hazard(targets.lastFault()));
    }
    Sequence sequence = new Sequence(scout, from.setting());
    Optional<Sequence.Order> best =
        found.stream()
            .map(sequence::turnsTo)
            .map(sequence::order)
            .flatMap(Optional::stream)
            .min(Comparator.comparing(Sequence.Order::cost));
    if (best.isPresent()) {
      return new Found(best.get().turns(), after(from.setting(), best.get().turns()));
    }
    return withDetours(scout, targets, from.setting(), looks);
  }

  private static Setting after(Setting setting, List<Turn> turns) {
    Setting after = setting;
    for (Turn turn : turns) {
      after = after.with(turn.part(), turn.position());
    }
    return after;
  }

  private static Optional<Warning> hazard(Optional<Fault> fault) {
    return fault.flatMap(
        f -> f instanceof Fault.Danger danger ? Optional.of(danger.warning()) : Optional.empty());
  }

  // --- when no order of the fewest turns is safe ------------------------------------------------

  private record Node(Setting setting, List<Turn> turns, int bound, double metres) {
    int least() {
      return turns.size() + bound;
    }
  }

  /** A* over all settings, whatever handle is turned how often. */
  private Result withDetours(Scout scout, Targets targets, Setting start, int most) {
    Sequence sequence = new Sequence(scout, start);
    PriorityQueue<Node> queue =
        new PriorityQueue<>(Comparator.comparingInt(Node::least).thenComparingDouble(Node::metres));
    Map<Setting, Integer> seen = new HashMap<>();
    queue.add(new Node(start, List.of(), targets.bound(start), 0));
    Optional<Warning> hazard = Optional.empty();
    for (int looks = 0; !queue.isEmpty() && looks < most; looks++) {
      Effort.look();
      Node node = queue.remove();
      if (!node.turns().isEmpty()) {
        Optional<Warning> here = scout.newHazard(node.setting());
        if (here.isPresent()) {
          hazard = here;
          continue;
        }
      }
      if (scout.fault(node.setting()).isEmpty()) {
        return new Found(node.turns(), node.setting());
      }
      for (Part part : plumbing.rig().handles().toList()) {
        for (Position position : part.kind().positions()) {
          boolean offered =
              Targets.isOffered(part, position.id())
                  || position.id().equals(scout.goal().musts().get(part.id()));
          if (offered && !node.setting().of(part.id()).equals(position.id())) {
            List<Turn> more = new ArrayList<>(node.turns());
            more.add(new Turn(part.id(), position.id()));
            Setting next = node.setting().with(part.id(), position.id());
            int bound = targets.bound(next);
            if (bound < Turns.NEVER && more.size() < seen.getOrDefault(next, Integer.MAX_VALUE)) {
              seen.put(next, more.size());
              queue.add(new Node(next, more, bound, sequence.walking(more).metres()));
            }
          }
        }
      }
    }
    return new Blocked(hazard);
  }
}
