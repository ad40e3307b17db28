package fernwort.core.build.cut;

import fernwort.core.effort.Effort;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/**
 * The search for the fewest sticks.
 *
 * <p>One stick after another is begun with the longest piece left and filled in every way that
 * leaves no room for one more, the longer pieces first, as long as what is left over of all sticks
 * lets fewer do (Korf 2003); what is left after as many sticks is tried once. It ends where as few
 * do as {@link CutBound} lets.
 */
final class CutSearch {

  private static final int MOST_STEPS = 2_000_000;
  private static final double EPSILON = Cutting.EPSILON;

  private final double[] needs;
  private final double all;
  private final double room;
  private final int[] in;
  private final Map<Integer, Integer> tried = new HashMap<>();
  private int[] best;
  private int fewest;
  private int steps;

  /** Fewer than these do not do, whatever is tried. */
  private final int lowest;

  /**
   * Prepares a search.
   *
   * @param needs what each piece takes, the longest first (m)
   * @param room of a stick (m)
   * @param first a way to begin with: the stick of each piece
   */
  CutSearch(double[] needs, double room, int[] first) {
    this.needs = needs;
    this.room = room;
    all = Arrays.stream(needs).sum();
    best = first.clone();
    fewest = count(first);
    in = new int[needs.length];
    lowest = CutBound.of(needs, room);
  }

  void run() {
    if (needs.length > 0) {
      next((1 << needs.length) - 1, 0, 0);
    }
  }

  /** Returns the stick of each piece in the best way found. */
  int[] best() {
    return best.clone();
  }

  /** Tells whether fewer sticks are known not to do. */
  boolean isProven() {
    return steps < MOST_STEPS;
  }

  /** Returns how many pieces were decided on. */
  int steps() {
    return steps;
  }

  /** Returns how many sticks a way of cutting takes. */
  static int count(int[] sticks) {
    return Arrays.stream(sticks).max().orElse(-1) + 1;
  }

  private boolean isOver() {
    return fewest <= lowest || steps >= MOST_STEPS;
  }

  /** What may be left over of all sticks if fewer than the fewest so far are to do. */
  private double spare() {
    return (fewest - 1) * room - all;
  }

  /**
   * Cuts the next stick.
   *
   * @param left which pieces are left, as bits
   * @param sticks how many are cut
   * @param waste what is left over of them
   */
  private void next(int left, int sticks, double waste) {
    if (left == 0) {
      if (sticks < fewest) {
        fewest = sticks;
        best = in.clone();
      }
      return;
    }
    if (isOver() || sticks + 1 >= fewest) {
      return;
    }
    // The same pieces left after as many sticks lead nowhere twice.
    Integer before = tried.get(left);
    if (before != null && before <= sticks) {
      return;
    }
    tried.put(left, sticks);
    int first = Integer.numberOfTrailingZeros(left);
    Stage stage = new Stage(left, sticks, waste, lengths(left));
    fill(stage, first + 1, 1 << first, room - needs[first], room);
  }

  /** Returns for each piece the length of those left from it on. */
  private double[] lengths(int left) {
    double[] lengths = new double[needs.length + 1];
    for (int i = needs.length - 1; i >= 0; i--) {
      lengths[i] = lengths[i + 1] + ((left >> i & 1) == 1 ? needs[i] : 0);
    }
    return lengths;
  }

  /** The stick that is being cut, and for each piece the length of those left from it on. */
  private record Stage(int left, int sticks, double waste, double[] lengths) {}

  /**
   * Puts pieces beside the longest, the longer first; a stick into which one more would go is left
   * out.
   *
   * @param piece the piece to decide on
   * @param chosen what is in the stick, as bits
   * @param open what is left of it
   * @param shortest the shortest piece that was left out
   */
  private void fill(Stage stage, int piece, int chosen, double open, double shortest) {
    double over = stage.waste() + open - stage.lengths()[piece];
    if (isOver() || over > spare() + EPSILON) {
      return;
    }
    steps++;
    if ((steps & 4095) == 0) {
      Effort.look();
    }
    if (piece == needs.length) {
      boolean full = open + EPSILON < shortest;
      double waste = stage.waste() + Math.max(0, open);
      if (full && waste <= spare() + EPSILON) {
        for (int rest = chosen; rest != 0; rest &= rest - 1) {
          in[Integer.numberOfTrailingZeros(rest)] = stage.sticks();
        }
        next(stage.left() & ~chosen, stage.sticks() + 1, waste);
      }
      return;
    }
    boolean there = (stage.left() >> piece & 1) == 1;
    if (there && needs[piece] <= open + EPSILON) {
      fill(stage, piece + 1, chosen | 1 << piece, open - needs[piece], shortest);
    }
    int after = piece + 1;
    // Pieces as long as one that was left out are left out with it.
    while (there && after < needs.length && needs[after] == needs[piece]) {
      after++;
    }
    boolean leaves = there && needs[piece] < shortest;
    fill(stage, after, chosen, open, leaves ? needs[piece] : shortest);
  }
}
