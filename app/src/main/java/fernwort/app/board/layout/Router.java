package fernwort.app.board.layout;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;

/**
 * Leads lines at right angles over the grid.
 *
 * <p>A* over grid points and directions. Parts and labels are walls; a bend, a crossing, a point
 * next to a wall and a shared stretch each cost, the last so much that it is taken only when there
 * is no other way. Short lines are led first; then each line is taken up and led again once, now
 * that it can see all the others.
 */
final class Router {

  private static final int STEP = 2;
  private static final int BEND = 7;
  private static final int CROSSING = 14;
  private static final int CROWDED = 3;
  private static final int SHARED = 160;
  private static final int ROUNDS = 2;

  /** A line to be led: its id and, for each end, the part and port. */
  record Job(String line, String fromPart, String fromPort, String toPart, String toPort) {}

  private final int width;
  private final int height;
  private final boolean[] wall;
  private final byte[] crowd;
  private final int[] usedAcross;
  private final int[] usedDown;
  private final Map<String, Item> items;
  private final Set<Long> takenPins = new HashSet<>();
  private final Map<String, Led> led = new HashMap<>();

  /** A line that has been led: its points, and the pins it took. */
  private record Led(List<int[]> points, long start, long end) {}

  Router(int width, int height, Map<String, Item> items, List<Box> titles) {
    this.width = width;
    this.height = height;
    this.items = items;
    wall = new boolean[width * height];
    crowd = new byte[width * height];
    usedAcross = new int[width * height];
    usedDown = new int[width * height];
    titles.forEach(this::block);
    for (Item item : items.values()) {
      block(item.body());
      if (!item.label().isEmpty() && !item.labelInside()) {
        block(item.labelBox());
      }
    }
    crowdWalls();
  }

  private void block(Box box) {
    for (int y = Math.max(0, box.y()); y <= Math.min(height - 1, box.bottom()); y++) {
      for (int x = Math.max(0, box.x()); x <= Math.min(width - 1, box.right()); x++) {
        wall[y * width + x] = true;
      }
    }
  }

  private void crowdWalls() {
    for (int y = 1; y < height - 1; y++) {
      for (int x = 1; x < width - 1; x++) {
        int i = y * width + x;
        if (wall[i - 1] || wall[i + 1] || wall[i - width] || wall[i + width]) {
          crowd[i] = CROWDED;
        }
      }
    }
  }

  /** Leads all lines. A line that cannot be led at all is left out. */
  List<Wire> lead(List<Job> jobs) {
    List<Job> order =
        jobs.stream().sorted(Comparator.comparingInt(this::span).thenComparing(Job::line)).toList();
    for (Job job : order) {
      lead(job);
    }
    for (int round = 1; round < ROUNDS; round++) {
      for (Job job : order) {
        takeUp(job);
        lead(job);
      }
    }
    List<Wire> wires = new ArrayList<>();
    for (Job job : jobs) {
      Led found = led.get(job.line());
      if (found != null) {
        wires.add(new Wire(job.line(), corners(found.points())));
      }
    }
    return wires;
  }

  private int span(Job job) {
    Item a = item(job.fromPart());
    Item b = item(job.toPart());
    return Math.abs(a.x() - b.x()) + Math.abs(a.y() - b.y());
  }

  private Item item(String part) {
    Item item = items.get(part);
    if (item == null) {
      throw new IllegalArgumentException("\"" + part + "\" is not on the drawing");
    }
    return item;
  }

  private void takeUp(Job job) {
    Led old = led.remove(job.line());
    if (old != null) {
      takenPins.remove(old.start());
      takenPins.remove(old.end());
      mark(old.points(), -1);
    }
  }

  private void mark(List<int[]> points, int by) {
    for (int i = 0; i < points.size(); i++) {
      int[] p = points.get(i);
      int at = p[1] * width + p[0];
      boolean across = false;
      boolean down = false;
      for (int j : new int[] {i - 1, i + 1}) {
        if (j >= 0 && j < points.size()) {
          across |= points.get(j)[1] == p[1];
          down |= points.get(j)[0] == p[0];
        }
      }
      usedAcross[at] += across ? by : 0;
      usedDown[at] += down ? by : 0;
    }
  }

  private record End(int x, int y, Pin.Side side, long key) {}

  private List<End> ends(String part, String port) {
    Item item = item(part);
    List<End> free = new ArrayList<>();
    for (int i = 0; i < item.glyph().pins().size(); i++) {
      Pin pin = item.glyph().pins().get(i);
      long key = (long) part.hashCode() << 8 | i;
      int x = item.x() + pin.dx();
      int y = item.y() + pin.dy();
      boolean inside =
          x + pin.side().dx >= 0
              && x + pin.side().dx < width
              && y + pin.side().dy >= 0
              && y + pin.side().dy < height;
      if (pin.ports().contains(port) && !takenPins.contains(key) && inside) {
        free.add(new End(x, y, pin.side(), key));
      }
    }
    return free;
  }

  private void lead(Job job) {
    List<End> starts = ends(job.fromPart(), job.fromPort());
    List<End> goals = ends(job.toPart(), job.toPort());
    Optional<Led> found = search(starts, goals);
    found.ifPresent(f -> {
      led.put(job.line(), f);
      takenPins.add(f.start());
      takenPins.add(f.end());
      mark(f.points(), 1);
    });
  }

  private record Node(int state, int cost, int estimate) {}

  private Optional<Led> search(List<End> starts, List<End> goals) {
    int states = 4 * width * height;
    int[] best = new int[states];
    Arrays.fill(best, Integer.MAX_VALUE);
    int[] cameBy = new int[states];
    Map<Integer, End> goalAt = new HashMap<>();
    for (End goal : goals) {
      int outside = (goal.y() + goal.side().dy) * width + goal.x() + goal.side().dx;
      goalAt.put(4 * outside + goal.side().opposite().ordinal(), goal);
    }
    PriorityQueue<Node> queue = new PriorityQueue<>(Comparator.comparingInt(Node::estimate));
    Map<Integer, End> startAt = new HashMap<>();
    for (End start : starts) {
      int outside = (start.y() + start.side().dy) * width + start.x() + start.side().dx;
      int state = 4 * outside + start.side().ordinal();
      if (!wall[outside]) {
        startAt.put(state, start);
        best[state] = 0;
        cameBy[state] = -1;
        queue.add(new Node(state, 0, estimate(outside, goals)));
      }
    }
    while (!queue.isEmpty()) {
      Node node = queue.remove();
      if (node.cost() > best[node.state()]) {
        continue;
      }
      End goal = goalAt.get(node.state());
      if (goal != null) {
        return Optional.of(trace(node.state(), cameBy, startAt, goal));
      }
      expand(node, best, cameBy, goals, queue);
    }
    return Optional.empty();
  }

  private void expand(
      Node node, int[] best, int[] cameBy, List<End> goals, PriorityQueue<Node> queue) {
    int point = node.state() / 4;
    Pin.Side heading = Pin.Side.values()[node.state() % 4];
    for (Pin.Side side : Pin.Side.values()) {
      if (side == heading.opposite()) {
        continue;
      }
      int cost = node.cost();
      if (side == heading) {
        int x = point % width + side.dx;
        int y = point / width + side.dy;
        if (x < 0 || y < 0 || x >= width || y >= height || wall[y * width + x]) {
          continue;
        }
        cost += stepCost(y * width + x, side);
        offer(4 * (y * width + x) + side.ordinal(), cost, node.state(), best, cameBy, goals, queue);
      } else {
        cost += BEND + (usedAcross[point] + usedDown[point] > 0 ? SHARED : 0);
        offer(4 * point + side.ordinal(), cost, node.state(), best, cameBy, goals, queue);
      }
    }
  }

  private int stepCost(int point, Pin.Side side) {
    boolean across = side.dx != 0;
    int along = across ? usedAcross[point] : usedDown[point];
    int athwart = across ? usedDown[point] : usedAcross[point];
    return STEP + crowd[point] + (along > 0 ? SHARED : 0) + (athwart > 0 ? CROSSING : 0);
  }

  private void offer(
      int state,
      int cost,
      int from,
      int[] best,
      int[] cameBy,
      List<End> goals,
      PriorityQueue<Node> queue) {
    if (cost < best[state]) {
      best[state] = cost;
      cameBy[state] = from;
      queue.add(new Node(state, cost, cost + estimate(state / 4, goals)));
    }
  }

  private int estimate(int point, List<End> goals) {
    int nearest = Integer.MAX_VALUE;
    for (End goal : goals) {
      int d = Math.abs(point % width - goal.x()) + Math.abs(point / width - goal.y()) - 1;
      nearest = Math.min(nearest, Math.max(d, 0));
    }
    return STEP * nearest;
  }

  private Led trace(int last, int[] cameBy, Map<Integer, End> startAt, End goal) {
    List<int[]> backwards = new ArrayList<>();
    backwards.add(new int[] {goal.x(), goal.y()});
    int state = last;
    while (true) {
      int[] p = {state / 4 % width, state / 4 / width};
      if (!Arrays.equals(p, backwards.getLast())) {
        backwards.add(p);
      }
      if (cameBy[state] < 0) {
        break;
      }
      state = cameBy[state];
    }
    End start = startAt.get(state);
    if (start == null) {
      throw new IllegalStateException("a line was led from no start");
    }
    backwards.add(new int[] {start.x(), start.y()});
    return new Led(backwards.reversed(), start.key(), goal.key());
  }

  private static List<int[]> corners(List<int[]> points) {
    List<int[]> corners = new ArrayList<>();
    for (int i = 0; i < points.size(); i++) {
      boolean end = i == 0 || i == points.size() - 1;
      if (end || !straight(points.get(i - 1), points.get(i), points.get(i + 1))) {
        corners.add(points.get(i));
      }
    }
    return corners;
  }

  private static boolean straight(int[] a, int[] b, int[] c) {
    return a[0] == b[0] && b[0] == c[0] || a[1] == b[1] && b[1] == c[1];
  }
}
