package fernwort.core.build;

import fernwort.core.effort.Effort;
import fernwort.core.say.Amount;
import fernwort.core.say.Refusal;
import fernwort.core.say.Saying;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Pieces cut from coils or sticks of one length with the fewest of them, and so the least waste.
 *
 * <p>Branch and bound over the pieces from the longest on, each put into one of the sticks begun or
 * a new one; sticks with the same room left are tried once. The start is best fit decreasing; the
 * bound is the rounded-up sum of what is left, and that no two pieces longer than half a stick
 * share one (Martello and Toth 1990). Exact for up to {@value #EXACT} pieces unless the search
 * takes more than a million steps, which is told; beyond that best fit decreasing.
 *
 * @param sticks what is cut from each
 * @param exact whether fewer sticks are known not to do
 */
public record Cutting(List<Stick> sticks, boolean exact) {

  /** So many pieces are cut with proof. */
  public static final int EXACT = 30;

  private static final int MOST_STEPS = 1_000_000;
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

  /** The search. */
  private static final class Search {

    private final double[] needs;
    private final double[] after;
    private final double[] left;
    private final int[] in;
    private final double room;
    private int[] best;
    private int fewest;
    private int steps;

    Search(double[] needs, double room, int[] first) {
      this.needs = needs;
      this.room = room;
      best = first.clone();
      fewest = count(first);
      in = new int[needs.length];
      left = new double[needs.length];
      after = new double[needs.length + 1];
      for (int i = needs.length - 1; i >= 0; i--) {
        after[i] = after[i + 1] + needs[i];
      }
    }

    void run() {
      if (needs.length > 0 && fewest > lowest()) {
        put(0, 0);
      }
    }

    private int lowest() {
      int large = 0;
      for (double need : needs) {
        large += need > room / 2 + EPSILON ? 1 : 0;
      }
      return Math.max(large, (int) Math.ceil(after[0] / room - EPSILON));
    }

    private void put(int piece, int sticks) {
      if (sticks >= fewest || steps >= MOST_STEPS) {
        return;
      }
      steps++;
      if (piece == needs.length) {
        fewest = sticks;
        best = in.clone();
        return;
      }
      if ((steps & 1023) == 0) {
        Effort.look();
      }
      double open = 0;
      for (int s = 0; s < sticks; s++) {
        // Room that nothing fits into any more is no room.
        open += left[s] + EPSILON >= needs[needs.length - 1] ? left[s] : 0;
      }
      int more = (int) Math.ceil((after[piece] - open) / room - EPSILON);
      if (sticks + Math.max(0, more) >= fewest) {
        return;
      }
      for (int s = 0; s < sticks; s++) {
        if (left[s] + EPSILON >= needs[piece] && !triedLike(s)) {
          left[s] -= needs[piece];
          in[piece] = s;
          put(piece + 1, sticks);
          left[s] += needs[piece];
        }
      }
      left[sticks] = room - needs[piece];
      in[piece] = sticks;
      put(piece + 1, sticks + 1);
    }

    private boolean triedLike(int stick) {
      for (int s = 0; s < stick; s++) {
        if (Math.abs(left[s] - left[stick]) < EPSILON) {
          return true;
        }
      }
      return false;
    }
  }
}
