package fernwort.core.graph;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class LowestCrestTest {

  private static final double NONE = Double.POSITIVE_INFINITY;

  /** A graph that somebody drew without looking, with the height that each of its arcs passes. */
  private record Drawn(int points, int[] from, int[] to, double[] crests) implements Arcs {

    static Drawn of(Random random) {
      int points = 2 + random.nextInt(12);
      int arcs = random.nextInt(4 * points);
      return new Drawn(
          points,
          random.ints(arcs, 0, points).toArray(),
          random.ints(arcs, 0, points).toArray(),
          random.doubles(arcs, 0, 2).map(h -> random.nextInt(8) == 0 ? NONE : h).toArray());
    }

    @Override
    public int first(int point) {
      return after(-1, point);
    }

    @Override
    public int next(int arc) {
      return after(arc, from[arc]);
    }

    private int after(int arc, int point) {
      for (int e = arc + 1; e < from.length; e++) {
        if (from[e] == point) {
          return e;
        }
      }
      return -1;
    }

    @Override
    public int to(int arc) {
      return to[arc];
    }

    /** Relaxes every arc until nothing sinks any more: slow, and plainly the lowest crest. */
    double[] byRelaxation(double[] starts, int[][] leaps, double[] heights) {
      double[] level = starts.clone();
      for (int round = 0; round <= points; round++) {
        for (int e = 0; e < from.length; e++) {
          level[to[e]] = Math.min(level[to[e]], Math.max(level[from[e]], crests[e]));
        }
        for (int v = 0; v < points; v++) {
          for (int u : leaps[v]) {
            level[u] = Math.min(level[u], Math.max(level[v], heights[u]));
          }
        }
      }
      return level;
    }
  }

  @Property(tries = 1000)
  void itIsTheLowestCrestOverAllWays(@ForAll long seed) {
    Random random = new Random(seed);
    Drawn drawn = Drawn.of(random);
    int n = drawn.points();
    double[] heights = random.doubles(n, 0, 2).toArray();
    double[] starts = Arrays.stream(heights).map(h -> random.nextInt(4) == 0 ? h : NONE).toArray();
    int[][] leaps = new int[n][];
    Arrays.setAll(leaps, v -> random.nextInt(5) == 0 ? new int[] {random.nextInt(n)} : new int[0]);
    assertThat(LowestCrest.of(drawn, e -> drawn.crests()[e], starts, v -> leaps[v], heights))
        .containsExactly(drawn.byRelaxation(starts, leaps, heights));
  }

  @Test
  void waterComesToEveryPointOverTheLowerOfTwoSills() {
    assertThat(LowestCrest.of(Arcs.complete(3), arc -> 0.4, new double[] {0.1, NONE, NONE}))
        .containsExactly(0.1, 0.4, 0.4);
  }
}
