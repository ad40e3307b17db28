package fernwort.core.winter.water;

import fernwort.core.kind.tank.Point;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Part;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.TreeMap;

/**
 * Down to where the tanks of a rig run out by themselves: each over the lowest crest between it and
 * the open air, through other tanks where the way leads there. A minimax flood from the openings,
 * O(E log V). A tank that no air gets into keeps what it holds.
 */
final class TankRun {

  /** So far below its crest that rounding leaves the port free (m). */
  private static final double FREE = 2 * Levels.COVERED;

  private final Plumbing plumbing;
  private final Wintering now;
  private final Levels levels;
  private final Passages passages;
  private final double[] spill;

  TankRun(Plumbing plumbing, Wintering now, Levels levels, Passages passages) {
    this.plumbing = plumbing;
    this.now = now;
    this.levels = levels;
    this.passages = passages;
    spill = new double[passages.points()];
    Arrays.fill(spill, Double.POSITIVE_INFINITY);
    flood();
  }

  private record Settled(int point, double level) {}

  private void flood() {
    PriorityQueue<Settled> queue = new PriorityQueue<>(Comparator.comparingDouble(Settled::level));
    for (int v = 0; v < spill.length; v++) {
      if (passages.isOpenEnd(v)) {
        lower(v, passages.height(v), queue);
      }
    }
    while (!queue.isEmpty()) {
      Settled next = queue.remove();
      if (next.level() > spill[next.point()]) {
        continue;
      }
      for (int e = passages.first(next.point()); e >= 0; e = passages.next(e)) {
        if (passages.lets(e ^ 1)) {
          lower(passages.to(e), Math.max(next.level(), passages.high(e)), queue);
        }
      }
      throughTank(next, queue);
    }
  }

  private void throughTank(Settled next, PriorityQueue<Settled> queue) {
    if (next.point() < plumbing.size()) {
      int tank = plumbing.tanks().indexOf(plumbing.part(next.point()));
      if (tank >= 0) {
        for (int v : plumbing.tankVertices(tank)) {
          lower(v, Math.max(next.level(), passages.height(v)), queue);
        }
      }
    }
  }

  private void lower(int point, double level, PriorityQueue<Settled> queue) {
    if (level < spill[point]) {
      spill[point] = level;
      queue.add(new Settled(point, level));
    }
  }

  /** Returns what stays in each tank that holds water and breathes, by its id (m³). */
  Map<String, Double> left() {
    Map<String, Double> left = new TreeMap<>();
    for (int i = 0; i < plumbing.tanks().size(); i++) {
      Part tank = plumbing.tanks().get(i);
      int[] ports = plumbing.tankVertices(i);
      boolean breathes = Arrays.stream(ports).anyMatch(passages::letsAirIn);
      double lowest =
          Arrays.stream(ports)
              .filter(levels::wet)
              .mapToDouble(v -> spill[v])
              .min()
              .orElse(Double.POSITIVE_INFINITY);
      if (breathes && lowest < levels.surface(tank.id())) {
        double corner = levels.slope().heightOf(new Point(tank.x(), tank.y(), tank.height()));
        double volume = plumbing.room(tank.id()).volumeBelow(lowest - corner, levels.slope());
        left.put(tank.id(), Math.min(volume, now.state().volume(tank.id())));
      }
    }
    return left;
  }
}
