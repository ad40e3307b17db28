package fernwort.core.build;

import fernwort.core.effort.Effort;
import fernwort.core.say.Amount;
import fernwort.core.say.Refusal;
import fernwort.core.say.Saying;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Pieces cut from coils or sticks of one length with the fewest of them, and so the least waste.
 *
 * <p>One stick after another is begun with the longest piece left and filled in every way that
 * leaves no room for one more, the longer pieces first, as long as what is left over of all sticks
 * lets fewer do (Korf 2003); what is left after as many sticks is tried once. The start is best fit
 * decreasing, the bound that of dual feasible functions (Fekete and Schepers 2001). Exact for up to
 * {@value #EXACT} pieces unless the search takes more than two million steps, which is told; beyond
 * that best fit decreasing.
 *
 * @param sticks what is cut from each
 * @param exact whether fewer sticks are known not to do
 */
public record Cutting(List<Stick> sticks, boolean exact) {

  /** So many pieces are cut with proof. */
  public static final int EXACT = 30;

  private static final int MOST_STEPS = 2_000_000;
  private static final double EPSILON = 1e-9;

  /**
   * A piece.
   *
   * @param mark what to write on it
   * @param length (m)
   */
  public record Piece(String mark, double length) {}

  /**
   * A stick or coil with what is cut from it, in order.
   *
   * @param rest what is left of it (m)
   */
  public record Stick(List<Piece> pieces, double rest) {
    public Stick {
      pieces = List.copyOf(pieces);
    }
  }

  public Cutting {
    sticks = List.copyOf(sticks);
  }

  /** Returns all that is left (m). */
  public double waste() {
    return sticks.stream().mapToDouble(Stick::rest).sum();
  }

  /**
   * Cuts pieces.
   *
   * @param stock length of a coil or stick (m)
   * @param kerf what each cut takes (m)
   * @throws Refusal when a piece is longer than a stick
   */
  public static Cutting of(List<Piece> pieces, double stock, double kerf) {
    for (Piece piece : pieces) {
      if (piece.length() > stock + EPSILON) {
        throw new Refusal(
            Saying.of(
                "{} is {} long, and a coil or stick {}: take a longer one, or join it",
                piece.mark(),
                Amount.length(piece.length()),
                Amount.length(stock)));
      }
    }
    List<Piece> order =
        pieces.stream().sorted(Comparator.comparingDouble(Piece::length).reversed()).toList();
    double[] needs = order.stream().mapToDouble(p -> p.length() + kerf).toArray();
    // The last cut of a stick that is used up is none.
    double room = stock + kerf;
    int[] first = bestFit(needs, room);
    if (order.size() > EXACT) {
      return made(order, first, stock, kerf, false);
    }
    Search search = new Search(needs, room, first);
    search.run();
    return made(order, search.best, stock, kerf, search.steps < MOST_STEPS);
  }

  private static int count(int[] sticks) {
    return Arrays.stream(sticks).max().orElse(-1) + 1;
  }

  private static int[] bestFit(double[] needs, double room) {
    int[] in = new int[needs.length];
    List<Double> left = new ArrayList<>();
    for (int i = 0; i < needs.length; i++) {
      int best = -1;
      for (int s = 0; s < left.size(); s++) {
        boolean fits = left.get(s) + EPSILON >= needs[i];
        best = fits && (best < 0 || left.get(s) < left.get(best)) ? s : best;
      }
      if (best < 0) {
        left.add(room);
        best = left.size() - 1;
      }
      left.set(best, left.get(best) - needs[i]);
      in[i] = best;
    }
    return in;
  }

  private static Cutting made(
      List<Piece> order, int[] in, double stock, double kerf, boolean exact) {
    List<List<Piece>> cut = new ArrayList<>();
    for (int s = 0; s < count(in); s++) {
      cut.add(new ArrayList<>());
    }
    for (int i = 0; i < in.length; i++) {
      cut.get(in[i]).add(order.get(i));
    }
    return new Cutting(
        cut.stream()
            .map(p -> {
              double used = p.stream().mapToDouble(x -> x.length() + kerf).sum();
              return new Stick(p, Math.max(0, stock - used));
            })
            .toList(),
        exact);
  }

  /** The search: one stick after another, begun with the longest piece that is left. */
  private static final class Search {

    private static final int FUNCTIONS = 20;
    private static final double TOLERANCE = 1e-9;

    private final double[] needs;
    private final double all;
    private final double room;
    private final int[] in;
    private final Map<Integer, Integer> tried = new HashMap<>();
    private int[] best;
    private int fewest;
    private int steps;
    private int lowest;

    Search(double[] needs, double room, int[] first) {
      this.needs = needs;
      this.room = room;
      all = Arrays.stream(needs).sum();
      best = first.clone();
      fewest = count(first);
      in = new int[needs.length];
    }

    void run() {
      lowest = lowest();
      if (needs.length > 0) {
        next((1 << needs.length) - 1, 0, 0);
      }
    }

    /** What no way of cutting does with fewer. */
    private int lowest() {
      int least = 0;
      for (int i = -1; i < needs.length; i++) {
        double small = i < 0 ? 0 : needs[i] / room;
        for (int k = 1; small <= 0.5 && k <= FUNCTIONS; k++) {
          double sum = 0;
          for (double need : needs) {
            sum += share(rounded(need / room, small), k);
          }
          least = Math.max(least, (int) Math.ceil(sum - TOLERANCE));
        }
      }
      return least;
    }

    /** A piece that leaves room for nothing but what is left out takes a whole stick. */
    private static double rounded(double share, double small) {
      if (share > 1 - small + TOLERANCE) {
        return 1;
      }
      return share < small - TOLERANCE ? 0 : share;
    }

    /** Of pieces longer than a (k + 1)th of a stick no more than k come out of one. */
    private static double share(double share, int k) {
      double times = (k + 1) * share;
      return Math.abs(times - Math.rint(times)) < TOLERANCE ? share : Math.floor(times) / k;
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
     * Puts pieces beside the longest, the longer first; a stick into which one more would go is
     * left out.
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
}
