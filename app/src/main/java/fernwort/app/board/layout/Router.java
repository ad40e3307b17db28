package fernwort.app.board.layout;

import fernwort.core.id.PortId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

  /** What a point of distance is reckoned at: a little over a step, which halves the search. */
  private static final int EAGERNESS = 3;

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

  /** Of the search at hand; entries of earlier searches are told by their number. */
  private final int[] cost;

  private final int[] cameBy;
  private final int[] known;
  private final int[] settled;

  /** For each state in which a line arrives at a goal, the goal's number from 1. */
  private final int[] goalAt;

  private final StateQueue queue = new StateQueue();
  private int search;
  private int aimLeft;
  private int aimRight;
  private int aimTop;
  private int aimBottom;

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
    cost = new int[4 * width * height];
    cameBy = new int[4 * width * height];
    known = new int[4 * width * height];
    settled = new int[4 * width * height];
    goalAt = new int[4 * width * height];
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

  /** Leads all lines. When one cannot be led at all it is left out, and no more is tidied. */
  List<Wire> lead(List<Job> jobs) {
    List<Job> order =
        jobs.stream().sorted(Comparator.comparingInt(this::span).thenComparing(Job::line)).toList();
    for (Job job : order) {
      lead(job);
    }
    for (int round = 1; round < ROUNDS; round++) {
      for (Job job : order) {
        if (isEntangled(job)) {
          takeUp(job);
          lead(job);
          if (!led.containsKey(job.line())) {
            return wires(jobs);
          }
        }
      }
    }
    return wires(jobs);
  }

  private List<Wire> wires(List<Job> jobs) {
    List<Wire> wires = new ArrayList<>();
    for (Job job : jobs) {
      Led found = led.get(job.line());
      if (found != null) {
        wires.add(new Wire(job.line(), corners(found.points())));
      }
    }
    return wires;
  }

  /** Tells whether a line crosses another, shares a stretch with one, or was not led at all. */
  private boolean isEntangled(Job job) {
    Led found = led.get(job.line());
    if (found == null) {
      return true;
    }
    for (int[] p : found.points().subList(1, found.points().size() - 1)) {
      int at = p[1] * width + p[0];
      if (usedAcross[at] + usedDown[at] > 2
          || usedAcross[at] > 1
          || usedDown[at] > 1
          || usedAcross[at] + usedDown[at] > 1 && isStraight(found.points(), p)) {
        return true;
      }
    }
    return false;
  }

  private static boolean isStraight(List<int[]> points, int[] p) {
    int i = points.indexOf(p);
    return straight(points.get(i - 1), p, points.get(i + 1));
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

  private List<End> ends(String part, PortId port) {
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
    List<End> starts = ends(job.fromPart(), PortId.of(job.fromPort()));
    List<End> goals = ends(job.toPart(), PortId.of(job.toPort()));
    Optional<Led> found = search(starts, goals);
    found.ifPresent(f -> {
      led.put(job.line(), f);
      takenPins.add(f.start());
      takenPins.add(f.end());
      mark(f.points(), 1);
    });
  }

  private Optional<Led> search(List<End> starts, List<End> goals) {
    if (starts.isEmpty() || goals.isEmpty()) {
      return Optional.empty();
    }
    search++;
    queue.clear();
    for (int i = 0; i < goals.size(); i++) {
      goalAt[arriving(goals.get(i))] = i + 1;
    }
    aim(goals);
    Map<Integer, End> startAt = new HashMap<>();
    for (End start : starts) {
      int outside = (start.y() + start.side().dy) * width + start.x() + start.side().dx;
      if (!wall[outside]) {
        int state = 4 * outside + start.side().ordinal();
        startAt.put(state, start);
        offer(state, 0, -1);
      }
    }
    int last = reachGoal();
    Optional<Led> found =
        last < 0
            ? Optional.empty()
            : Optional.of(trace(last, startAt, goals.get(goalAt[last] - 1)));
    goals.forEach(goal -> goalAt[arriving(goal)] = 0);
    return found;
  }

  /** Returns the state in which a line arrives at a goal. */
  private int arriving(End goal) {
    int outside = (goal.y() + goal.side().dy) * width + goal.x() + goal.side().dx;
    return 4 * outside + goal.side().opposite().ordinal();
  }

  /** Returns the first goal state that is settled, or −1 when none can be reached. */
  private int reachGoal() {
    while (!queue.isEmpty()) {
      int state = queue.remove();
      if (settled[state] != search) {
        settled[state] = search;
        if (goalAt[state] > 0) {
          return state;
        }
        expand(state);
      }
    }
    return -1;
  }

  /** Sets the rectangle around the goals, to which distances are estimated. */
  private void aim(List<End> goals) {
    aimLeft = goals.stream().mapToInt(End::x).min().orElse(0);
    aimRight = goals.stream().mapToInt(End::x).max().orElse(0);
    aimTop = goals.stream().mapToInt(End::y).min().orElse(0);
    aimBottom = goals.stream().mapToInt(End::y).max().orElse(0);
  }

  private void expand(int state) {
    int point = state / 4;
    int heading = state % 4;
    Pin.Side ahead = Pin.Side.of(heading);
    int x = point % width + ahead.dx;
    int y = point / width + ahead.dy;
    if (x >= 0 && y >= 0 && x < width && y < height && !wall[y * width + x]) {
      int next = y * width + x;
      offer(4 * next + heading, cost[state] + stepCost(next, ahead), state);
    }
    int bend = cost[state] + BEND + (usedAcross[point] + usedDown[point] > 0 ? SHARED : 0);
    offer(4 * point + (heading + 1) % 4, bend, state);
    offer(4 * point + (heading + 3) % 4, bend, state);
  }

  private int stepCost(int point, Pin.Side side) {
    boolean across = side.dx != 0;
    int along = across ? usedAcross[point] : usedDown[point];
    int athwart = across ? usedDown[point] : usedAcross[point];
    return STEP + crowd[point] + (along > 0 ? SHARED : 0) + (athwart > 0 ? CROSSING : 0);
  }

  private void offer(int state, int total, int from) {
    if (known[state] != search || total < cost[state]) {
      known[state] = search;
      cost[state] = total;
      cameBy[state] = from;
      queue.add(state, total + estimate(state / 4));
    }
  }

  private int estimate(int point) {
    int x = point % width;
    int y = point / width;
    int across = Math.max(0, Math.max(aimLeft - x, x - aimRight));
    int down = Math.max(0, Math.max(aimTop - y, y - aimBottom));
    return EAGERNESS * Math.max(0, across + down - 1);
  }

  private Led trace(int last, Map<Integer, End> startAt, End goal) {
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
