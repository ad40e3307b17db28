package fernwort.core.drain;

import fernwort.core.graph.Arcs;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Mouth;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.line.Valve;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Passage;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;

/**
 * A rig as draining meets it: pieces of line that are all wet or all dry and rise or fall all
 * along, the ways through bodies, and the openings.
 *
 * <p>Arcs come in pairs, an arc and its way back; the arcs of piece number p are 2p and 2p + 1. The
 * points of the graph are the ports of {@link Network}, then the places where pieces of a line meet
 * and the openings of bodies.
 */
final class Passages implements Arcs {

  /** From this bore on air passes beside the water (m). */
  static final double WIDE = 0.019;

  private static final double NOTHING = 1e-9;

  /** A piece of a line between two of its points. */
  record Piece(int line, double from, double to, int a, int b, boolean wet) {}

  private final Network network;
  private final Wintering now;
  private final Levels levels;
  private final boolean[] wideAt;

  private final List<Piece> pieces = new ArrayList<>();
  private double[] height;
  private int points;

  private int arcs;
  private int[] from;
  private int[] to;
  private int[] next;
  private int[] first;
  private boolean[] lets;
  private boolean[] wide;
  private double[] crack;

  private boolean[] air;
  private boolean[] water;

  /** The point of what is open about a part itself: its spout, bowl or drain plug; −1 for none. */
  private final int[] mouth;

  private Passages(Network network, Wintering now, Levels levels) {
    this.network = network;
    this.now = now;
    this.levels = levels;
    points = network.size();
    mouth = new int[network.rig().parts().size()];
    Arrays.fill(mouth, -1);
    int room = 4 * points + 64;
    height = new double[room];
    first = new int[room];
    air = new boolean[room];
    water = new boolean[room];
    Arrays.fill(first, -1);
    for (int v = 0; v < points; v++) {
      height[v] = levels.height(v);
    }
    from = new int[room];
    to = new int[room];
    next = new int[room];
    lets = new boolean[room];
    wide = new boolean[room];
    crack = new double[room];
    wideAt = new boolean[network.size()];
    List<Line> lines = network.rig().lines();
    for (int i = 0; i < lines.size(); i++) {
      if (lines.get(i).bore() >= WIDE - NOTHING) {
        wideAt[network.lineFrom(i)] = true;
        wideAt[network.lineTo(i)] = true;
      }
      addLine(i, lines.get(i));
    }
    List<Part> parts = network.rig().parts();
    for (int i = 0; i < parts.size(); i++) {
      addPart(i, parts.get(i), network.first(i));
    }
    for (int tank = 0; tank < network.tanks().size(); tank++) {
      addTank(tank);
    }
  }

  /** Returns the passages of a rig as it stands. */
  static Passages of(Network network, Wintering now, Levels levels) {
    return new Passages(network, now, levels);
  }

  private void addLine(int index, Line line) {
    double[] profile = levels.profile(index);
    List<Double> cuts = new ArrayList<>(List.of(0.0));
    line.profile().forEach(p -> cuts.add(p.along()));
    cuts.add(line.length());
    List<Stretch> wet = now.wetness().of(line);
    int a = network.lineFrom(index);
    for (int i = 1; i < cuts.size(); i++) {
      int b = i == cuts.size() - 1 ? network.lineTo(index) : addPoint(profile[i]);
      addRun(index, cuts.get(i - 1), cuts.get(i), a, b, wet);
      a = b;
    }
  }

  /** Adds a straight run as pieces, cut where water begins and ends. */
  private void addRun(int line, double begin, double end, int a, int b, List<Stretch> wet) {
    if (end - begin <= NOTHING) {
      // Two points at one place: a step, which is a passage but holds nothing.
      addPiece(new Piece(line, begin, end, a, b, false));
      return;
    }
    double at = begin;
    int v = a;
    for (Stretch stretch : wet) {
      double wetFrom = Math.max(stretch.from(), at);
      double wetTo = Math.min(stretch.to(), end);
      if (wetTo - wetFrom > NOTHING) {
        if (wetFrom - at > NOTHING) {
          int u = addPoint(between(height[a], height[b], (wetFrom - begin) / (end - begin)));
          addPiece(new Piece(line, at, wetFrom, v, u, false));
          v = u;
        }
        boolean last = end - wetTo <= NOTHING;
        int u = last ? b : addPoint(between(height[a], height[b], (wetTo - begin) / (end - begin)));
        addPiece(new Piece(line, wetFrom, last ? end : wetTo, v, u, true));
        v = u;
        at = last ? end : wetTo;
      }
    }
    if (end - at > NOTHING) {
      addPiece(new Piece(line, at, end, v, b, false));
    }
  }

  private static double between(double a, double b, double share) {
    return a + share * (b - a);
  }

  private void addPiece(Piece piece) {
    // Pieces are added before anything else, so that a piece's number is half that of its arc.
    pieces.add(piece);
    add(piece.a(), piece.b(), true, true, isWide(piece), 0);
  }

  private int addPoint(double at) {
    if (points == height.length) {
      int room = 2 * points;
      height = Arrays.copyOf(height, room);
      air = Arrays.copyOf(air, room);
      water = Arrays.copyOf(water, room);
      int before = first.length;
      first = Arrays.copyOf(first, room);
      Arrays.fill(first, before, room, -1);
    }
    height[points] = at;
    return points++;
  }

  private void add(int a, int b, boolean there, boolean back, boolean isWide, double cracking) {
    if (arcs + 2 > from.length) {
      int room = 2 * from.length;
      from = Arrays.copyOf(from, room);
      to = Arrays.copyOf(to, room);
      next = Arrays.copyOf(next, room);
      lets = Arrays.copyOf(lets, room);
      wide = Arrays.copyOf(wide, room);
      crack = Arrays.copyOf(crack, room);
    }
    half(a, b, there, isWide, cracking);
    half(b, a, back, isWide, cracking);
  }

  private void half(int a, int b, boolean open, boolean isWide, double cracking) {
    from[arcs] = a;
    to[arcs] = b;
    lets[arcs] = open;
    wide[arcs] = isWide;
    crack[arcs] = cracking;
    next[arcs] = first[a];
    first[a] = arcs++;
  }

  private void through(int a, int b) {
    add(a, b, true, true, wideAt[a] && wideAt[b], 0);
  }

  private void branch(int port, int middle) {
    add(port, middle, true, true, wideAt[port], 0);
  }

  private void star(int port, int ports, int middle) {
    for (int i = 0; i < ports; i++) {
      branch(port + i, middle);
    }
  }

  private void open(int v) {
    air[v] = true;
    water[v] = true;
  }

  private int openMouth(int part, double at) {
    int point = addPoint(at);
    open(point);
    mouth[part] = point;
    return point;
  }

  private void addPart(int index, Part part, int v) {
    if (now.has(part, Kind.UNDONE)) {
      star(v, part.kind().ports().size(), openMouth(index, levels.height(part)));
      return;
    }
    Kind kind = part.kind();
    if (!now.has(part, Kind.OFF)) {
      links(index, part, v);
    }
    if (isBodyOpen(part)) {
      // Its ports stand at its bottom here, and water runs out beside them.
      star(v, kind.ports().size(), openMouth(index, levels.height(part)));
    }
    List<Mouth> spouts = new ArrayList<>();
    for (Mouth mouth : network.mouths(index, now.state().setting())) {
      switch (mouth.onto()) {
        case GROUND, DRAIN -> open(v + mouth.port());
        case AIR -> air[v + mouth.port()] = true;
        case USE -> spouts.add(mouth);
        case WATER, TANK -> {}
      }
    }
    if (!spouts.isEmpty()) {
      int spout = openMouth(index, levels.height(part));
      spouts.forEach(m -> branch(v + m.port(), spout));
    }
  }

  /** A bowl or plug is off, or a drain out. */
  private boolean isBodyOpen(Part part) {
    PositionId left = now.service().get(part.id());
    return left != null && !left.equals(Valve.HALF) && part.kind().opensToDrain(left);
  }

  /** The ways through a part; one that is left half way stands as it then joins its ports. */
  private List<Passage> passages(int index, Part part) {
    Setting setting = now.state().setting();
    return now.has(part, Valve.HALF)
        ? network.passages(index, part.kind().halfWay(setting.of(part.id())))
        : network.passages(index, setting);
  }

  private void links(int index, Part part, int v) {
    Kind kind = part.kind();
    int middle = v + kind.ports().size();
    for (Passage passage : passages(index, part)) {
      int a = passage.from();
      int b = passage.to();
      switch (passage.law()) {
        case FREE -> {
          if (b == middle) {
            branch(a, b);
          } else if (a < b) {
            through(a, b);
          }
        }
        case CHECK -> {
          // What a pump's own valves let by under pressure does not run out by itself.
          if (!kind.is(Purpose.DRIVES)) {
            add(a, b, true, false, wideAt[a] && wideAt[b], passage.head());
          }
        }
        case REGULATOR -> add(a, b, true, false, wideAt[a] && wideAt[b], 0);
        case DRIVE, SEAL -> {}
      }
    }
  }

  /** A tank that breathes is an opening by each port above its water. */
  private void addTank(int tank) {
    int[] ports = network.tankVertices(tank);
    int[] free = Arrays.stream(ports).filter(levels::breathes).toArray();
    if (breathes(free)) {
      Arrays.stream(free).forEach(this::open);
    }
  }

  /** Air comes to one of these ports from an opening through what is dry, other tanks included. */
  private boolean breathes(int[] ports) {
    boolean[] seen = new boolean[points];
    Deque<Integer> front = new ArrayDeque<>();
    for (int v : ports) {
      seen[v] = true;
      front.add(v);
    }
    while (!front.isEmpty()) {
      int v = front.remove();
      if (air[v] && !isTank(v)) {
        return true;
      }
      for (int e = first[v]; e >= 0; e = next[e]) {
        if (lets[e ^ 1] && !isWet(e) && !seen[to[e]]) {
          seen[to[e]] = true;
          front.add(to[e]);
        }
      }
      if (isTank(v) && levels.breathes(v)) {
        for (int u : network.tankPortsAt(v)) {
          if (levels.breathes(u) && !seen[u]) {
            seen[u] = true;
            front.add(u);
          }
        }
      }
    }
    return false;
  }

  private boolean isTank(int v) {
    return v < network.size() && network.part(v).kind().is(Purpose.HOLDS);
  }

  /** Returns the point at which a part itself stands open, −1 when it does not. */
  int mouth(int part) {
    return mouth[part];
  }

  /** Returns the pieces of the lines. */
  List<Piece> pieces() {
    return pieces;
  }

  /** Returns the number of points. */
  @Override
  public int points() {
    return points;
  }

  /** Returns the number of arcs. */
  int arcs() {
    return arcs;
  }

  /** Returns the height of a point (m). */
  double height(int point) {
    return height[point];
  }

  /** Returns the first arc out of a point, −1 for none. */
  @Override
  public int first(int point) {
    return first[point];
  }

  /** Returns the arc after another out of the same point, −1 for none. */
  @Override
  public int next(int arc) {
    return next[arc];
  }

  /** Returns where an arc leads from. */
  int from(int arc) {
    return from[arc];
  }

  /** Returns where an arc leads to. */
  @Override
  public int to(int arc) {
    return to[arc];
  }

  /** Tells whether water and air may go along an arc. */
  boolean lets(int arc) {
    return lets[arc];
  }

  /** Tells whether air passes beside the water along an arc. */
  boolean wide(int arc) {
    return wide[arc];
  }

  /** Tells whether air passes beside the water in a piece of line. */
  boolean isWide(Piece piece) {
    return network.rig().lines().get(piece.line()).bore() >= WIDE - NOTHING;
  }

  /** Returns the head that a check valve on an arc takes to open (m). */
  double crack(int arc) {
    return crack[arc];
  }

  /** Tells whether an arc is a piece of line. */
  boolean isPiece(int arc) {
    return arc < 2 * pieces.size();
  }

  /** Tells whether an arc is a piece of line that is wet. */
  boolean isWet(int arc) {
    return isPiece(arc) && pieces.get(arc / 2).wet();
  }

  /** Returns the height of the lower end of an arc (m). */
  double low(int arc) {
    return Math.min(height[from[arc]], height[to[arc]]);
  }

  /** Returns the height of the upper end of an arc (m). */
  double high(int arc) {
    return Math.max(height[from[arc]], height[to[arc]]);
  }

  /** Tells whether air can come in at a point. */
  boolean letsAirIn(int point) {
    return air[point];
  }

  /** Tells whether water can go out at a point. */
  boolean letsWaterOut(int point) {
    return water[point];
  }

  /** Tells whether water goes out at a point, and not into a tank. */
  boolean isOpenEnd(int point) {
    return water[point] && !isTank(point);
  }
}
