package fernwort.core.drain;

import fernwort.core.effort.Effort;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What runs out of a rig that stands open, until nothing more does.
 *
 * <p>In rounds: first the tanks run out over the lowest crest that lets them, then every piece of
 * line loses what {@link GravityDrainage} says can go, all at once, and the next round begins with
 * what is dry by now. In a piece that falls all along, what leaves is always its upper part:
 * whatever way serves a point serves all points above it. Where the lower part begins is one of the
 * heights at which anything in the rig lies, found by halving.
 */
public final class Draining {

  /** What stays round the ball of an open valve, of what its body holds (our estimate). */
  public static final double ROUND_A_BALL = 0.15;

  private static final int MOST_ROUNDS = 60;

  /** Less than this is no stretch (m). */
  private static final double SLIVER = 1e-7;

  private final Network network;
  private Wintering now;
  private Levels levels;

  private Draining(Network network, Wintering now, Levels levels) {
    this.network = network;
    this.now = now;
    this.levels = levels;
  }

  /** Returns a rig when everything has run out that can. */
  public static Wintering of(Network network, Wintering before) {
    return of(network, before, Levels.of(network, before.state()));
  }

  /**
   * Returns a rig when everything has run out that can, its levels known already.
   *
   * @param levels of its tanks and on its slope
   */
  public static Wintering of(Network network, Wintering before, Levels levels) {
    return new Draining(network, before, levels).drained();
  }

  private Wintering drained() {
    Effort.look();
    Passages passages = Passages.of(network, now, levels);
    for (int round = 0; round < MOST_ROUNDS; round++) {
      if (tanksRun(passages)) {
        levels = Levels.of(network, now.state());
        passages = Passages.of(network, now, levels);
      }
      GravityDrainage leaving = new GravityDrainage(passages);
      // A body runs dry with the column that leads through it, not after it.
      Map<PartId, Double> bodies =
          new Bodies(network, now, levels, passages, leaving).left().bodies();
      Wetness left = new Wetness(linesRun(passages, leaving), bodies);
      if (left.equals(now.wetness())) {
        break;
      }
      now = now.with(left);
      passages = Passages.of(network, now, levels);
    }
    return now;
  }

  private boolean tanksRun(Passages passages) {
    Map<PartId, Double> left = new TankRun(network, now, levels, passages).left();
    boolean ran = false;
    for (Map.Entry<PartId, Double> tank : left.entrySet()) {
      if (tank.getValue() < now.state().volume(tank.getKey()) - SLIVER) {
        now = now.withVolume(tank.getKey(), tank.getValue());
        ran = true;
      }
    }
    return ran;
  }

  private Map<LineId, List<Stretch>> linesRun(Passages passages, GravityDrainage leaving) {
    double[] heights = heights(passages, leaving);
    List<Line> lines = network.rig().lines();
    Map<LineId, List<Stretch>> stretches = new TreeMap<>();
    for (Passages.Piece piece : passages.pieces()) {
      if (piece.wet()) {
        Stretch stays = stays(passages, leaving, heights, piece);
        if (stays.length() > SLIVER) {
          join(
              stretches.computeIfAbsent(lines.get(piece.line()).id(), id -> new ArrayList<>()),
              stays);
        }
      }
    }
    return stretches;
  }

  private static void join(List<Stretch> all, Stretch next) {
    if (!all.isEmpty() && next.from() - all.getLast().to() <= SLIVER) {
      all.add(new Stretch(all.removeLast().from(), next.to()));
    } else {
      all.add(next);
    }
  }

  /** The heights at which anything begins or ends, so that between two of them all is alike. */
  private static double[] heights(Passages passages, GravityDrainage leaving) {
    double[] crackings = leaving.crackings();
    double[] heights = new double[passages.points() * crackings.length];
    for (int i = 0; i < heights.length; i++) {
      heights[i] = passages.height(i / crackings.length) + crackings[i % crackings.length];
    }
    return Arrays.stream(heights).sorted().distinct().toArray();
  }

  private static Stretch stays(
      Passages passages, GravityDrainage leaving, double[] heights, Passages.Piece piece) {
    double a = passages.height(piece.a());
    double b = passages.height(piece.b());
    boolean wide = passages.isWide(piece);
    if (Math.abs(a - b) <= GravityDrainage.LEVEL) {
      double h = Math.max(a, b);
      boolean leaves =
          leaving.leaves(piece.a(), piece.b(), h)
              || leaving.leaves(piece.b(), piece.a(), h)
              || wide && (leaving.leavesWide(piece.a(), h) || leaving.leavesWide(piece.b(), h));
      return leaves ? new Stretch(piece.to(), piece.to()) : new Stretch(piece.from(), piece.to());
    }
    boolean falls = a > b;
    int up = falls ? piece.a() : piece.b();
    int down = falls ? piece.b() : piece.a();
    double low = Math.min(a, b);
    double high = Math.max(a, b);
    int begin = Arrays.binarySearch(heights, low);
    int none = Arrays.binarySearch(heights, high);
    // The lowest height from which everything above leaves, by halving.
    while (begin < none) {
      int middle = (begin + none) / 2;
      double h = heights[middle];
      if (leaving.leaves(up, down, h) || wide && leaving.leavesWide(down, h)) {
        none = middle;
      } else {
        begin = middle + 1;
      }
    }
    double share = (heights[none] - low) / (high - low);
    double length = share * (piece.to() - piece.from());
    return falls
        ? new Stretch(piece.to() - length, piece.to())
        : new Stretch(piece.from(), piece.from() + length);
  }
}
