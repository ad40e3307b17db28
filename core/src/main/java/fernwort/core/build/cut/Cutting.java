package fernwort.core.build.cut;

import fernwort.core.say.Amount;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Pieces cut from coils or sticks of one length with the fewest of them, and so the least waste.
 *
 * <p>Exact for up to {@value #EXACT} pieces ({@link CutSearch}) unless the search takes more than
 * two million steps, which is told; beyond that best fit decreasing.
 *
 * @param sticks what is cut from each
 * @param exact whether fewer sticks are known not to do
 */
public record Cutting(List<Stick> sticks, boolean exact) {

  /** So many pieces are cut with proof. */
  public static final int EXACT = 30;

  /** Lengths are one when they differ by less (m). */
  static final double EPSILON = 1e-9;

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
            Says.IS_LONG_AND_A_COIL_OR_STICK.with(
                piece.mark(), Amount.length(piece.length()), Amount.length(stock)));
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
    CutSearch search = new CutSearch(needs, room, first);
    search.run();
    return made(order, search.best(), stock, kerf, search.isProven());
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
    for (int s = 0; s < CutSearch.count(in); s++) {
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
}
