package fernwort.core.jobs.plan;

import fernwort.core.effort.Effort;
import fernwort.core.id.PlaceId;
import fernwort.core.jobs.goal.ConditionEvaluator;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.network.Turn;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;

/**
 * In which order to make given turns, through no state with a new hazard.
 *
 * <p>Shortest path over subsets of the turns and the place of the last (Held and Karp 1962), as
 * long as one is open. What counts, in this order: how often water is spilt, how often one has to
 * go to another place, how far, and how often power and pressure come before what they act on.
 */
final class Sequence {

  private static final int MOST_STATES = 20_000;

  /** With more turns than this, only spills and walks are kept as small as can be. */
  private static final int MOST_EXACT = 10;

  /**
   * What an order costs.
   *
   * @param spills how often a hose or cap comes off while water is behind it
   * @param walks how often one goes to another place
   * @param metres how far (m)
   * @param early how often something is done before what should come first
   */
  record Cost(int spills, int walks, double metres, int early) implements Comparable<Cost> {

    static final Cost NONE = new Cost(0, 0, 0, 0);

    Cost plus(Cost other) {
      return new Cost(
          spills + other.spills, walks + other.walks, metres + other.metres, early + other.early);
    }

    @Override
    public int compareTo(Cost other) {
      int order = Integer.compare(spills, other.spills);
      order = order == 0 ? Integer.compare(walks, other.walks) : order;
      order = order == 0 ? Long.compare(centimetres(), other.centimetres()) : order;
      return order == 0 ? Integer.compare(early, other.early) : order;
    }

    private long centimetres() {
      return Math.round(100 * metres);
    }
  }

  /** An order of turns with what it costs. */
  record Order(List<Turn> turns, Cost cost) {}

  private final ConditionEvaluator scout;
  private final Setting start;
  private final Rig rig;

  Sequence(ConditionEvaluator scout, Setting start) {
    this.scout = scout;
    this.start = start;
    rig = scout.network().rig();
  }

  private record State(long done, int last) {}

  /**
   * Some of the turns made.
   *
   * @param least cost so far, and that of going once to each other place that is left
   */
  private record Node(State state, Setting setting, Cost cost, Cost least, Optional<Node> before) {

    int made() {
      return Long.bitCount(state.done());
    }
  }

  /** Returns the turns that lead from the start to a setting. */
  List<Turn> turnsTo(Setting target) {
    List<Turn> turns = new ArrayList<>();
    rig.handles()
        .filter(p -> !start.of(p.id()).equals(target.of(p.id())))
        .forEach(p -> {
          if (!Hands.canTurn(p, start.of(p.id()), target.of(p.id()))) {
            turns.add(new Turn(p.id(), HoseInlet.HOSE.id()));
          }
          turns.add(new Turn(p.id(), target.of(p.id())));
        });
    return turns;
  }

  /** Returns the best safe order of some turns; empty when none is safe. */
  Optional<Order> order(List<Turn> turns) {
    return new Search(turns).best();
  }

  /** The search for an order of given turns, with what each of them costs worked out once. */
  private final class Search {

    private final List<Turn> turns;

    /** Of each turn, those that should come after it, a bit each. */
    private final long[] later;

    /** Of each turn, those of the same handle that must come before it, a bit each. */
    private final long[] first;

    /** Of each place, the turns there, a bit each. */
    private final List<Long> places;

    private final Cost[][] walks;

    Search(List<Turn> turns) {
      this.turns = turns;
      int n = turns.size();
      int[] ranks = turns.stream().mapToInt(this::rank).toArray();
      later = new long[n];
      first = new long[n];
      walks = new Cost[n][n];
      Map<PlaceId, Long> there = new LinkedHashMap<>();
      for (int i = 0; i < n; i++) {
        there.merge(rig.part(turns.get(i).part()).place(), 1L << i, (a, b) -> a | b);
        for (int j = 0; j < n; j++) {
          later[i] |= ranks[j] > ranks[i] ? 1L << j : 0;
          first[i] |= j < i && turns.get(j).part().equals(turns.get(i).part()) ? 1L << j : 0;
          walks[i][j] = walk(turns.get(i), turns.get(j));
        }
      }
      places = List.copyOf(there.values());
    }

    Optional<Order> best() {
      long all = (1L << turns.size()) - 1;
      Comparator<Node> exact = Comparator.comparing(Node::least);
      Comparator<Node> large =
          Comparator.<Node>comparingInt(n -> n.least().spills())
              .thenComparingInt(n -> n.least().walks());
      PriorityQueue<Node> queue =
          new PriorityQueue<>(
              (turns.size() > MOST_EXACT ? large : exact)
                  .thenComparing(Comparator.comparingInt(Node::made).reversed())
                  .thenComparing(Node::cost));
      Map<State, Cost> best = new HashMap<>();
      queue.add(new Node(new State(0, -1), start, Cost.NONE, Cost.NONE, Optional.empty()));
      for (int looks = 0; !queue.isEmpty() && looks < MOST_STATES; looks++) {
        Effort.look();
        Node node = queue.remove();
        Cost known = best.get(node.state());
        if (known != null && known.compareTo(node.cost()) < 0) {
          continue;
        }
        boolean safe = node.state().done() == 0 || scout.newHazard(node.setting()).isEmpty();
        if (!safe) {
          continue;
        }
        if (node.state().done() == all) {
          return Optional.of(new Order(path(node, turns), node.cost()));
        }
        for (int i = 0; i < turns.size(); i++) {
          if ((node.state().done() & 1L << i) == 0 && mayCome(node, i)) {
            Node next = step(node, i);
            Cost before = best.get(next.state());
            if (before == null || next.cost().compareTo(before) < 0) {
              best.put(next.state(), next.cost());
              queue.add(next);
            }
          }
        }
      }
      return Optional.empty();
    }

    private int rank(Turn turn) {
      return rig.part(turn.part()).kind().rank(turn.position()).ordinal();
    }

    /** Tells whether a turn may come next: a hose's tap is shut before the hose comes off. */
    private boolean mayCome(Node node, int i) {
      return (first[i] & ~node.state().done()) == 0
          && scout.forbids(node.setting(), turns.get(i)).isEmpty();
    }

    private Node step(Node node, int i) {
      Turn turn = turns.get(i);
      Setting after = node.setting().with(turn.part(), turn.position());
      int last = node.state().last();
      long made = node.state().done();
      Cost turned =
          new Cost(spill(node.setting(), after, turn), 0, 0, Long.bitCount(made & later[i]));
      Cost cost = node.cost().plus(last < 0 ? Cost.NONE : walks[last][i]).plus(turned);
      long done = made | 1L << i;
      Cost least = cost.plus(new Cost(0, placesLeft(done, i), 0, 0));
      return new Node(new State(done, i), after, cost, least, Optional.of(node));
    }

    /** How many places other than that of the last turn are still to be gone to. */
    private int placesLeft(long done, int last) {
      int left = 0;
      for (long place : places) {
        left += (place & 1L << last) == 0 && (place & ~done) != 0 ? 1 : 0;
      }
      return left;
    }
  }

  private static List<Turn> path(Node end, List<Turn> turns) {
    List<Turn> path = new ArrayList<>();
    Optional<Node> node = Optional.of(end);
    while (node.isPresent() && node.get().state().last() >= 0) {
      path.add(turns.get(node.get().state().last()));
      node = node.get().before();
    }
    return path.reversed();
  }

  // --- what counts -----------------------------------------------------------------------------

  private Cost walk(Turn from, Turn to) {
    Place a = rig.place(rig.part(from.part()).place());
    Place b = rig.place(rig.part(to.part()).place());
    return a.id().equals(b.id())
        ? Cost.NONE
        : new Cost(0, 1, Math.hypot(Math.hypot(a.x() - b.x(), a.y() - b.y()), a.z() - b.z()), 0);
  }

  /** Returns the cost of walking through turns in this order. */
  Cost walking(List<Turn> turns) {
    Cost cost = Cost.NONE;
    for (int i = 1; i < turns.size(); i++) {
      cost = cost.plus(walk(turns.get(i - 1), turns.get(i)));
    }
    return cost;
  }

  /** Tells whether a hose or cap is handled while water stands or runs behind it. */
  private int spill(Setting before, Setting after, Turn turn) {
    boolean spills =
        switch (rig.part(turn.part()).kind().wets(turn.position())) {
          case NOTHING -> false;
          case BEHIND -> scout.drawing(before, turn.part()).isPresent();
          case AT_MOUTH -> runs(before, turn) || runs(after, turn);
        };
    return spills ? 1 : 0;
  }

  private boolean runs(Setting setting, Turn turn) {
    return scout.ways(setting).to(turn.part()).findAny().isPresent();
  }
}
