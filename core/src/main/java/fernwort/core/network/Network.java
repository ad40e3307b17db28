package fernwort.core.network;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Mouth;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.tank.TankFigures;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A rig prepared for searching: its ports numbered, its lines as pairs of numbers, its tanks' rooms
 * built. Immutable; made once per rig and shared by all searches.
 *
 * <p>Each port is a vertex. A part with more than two ports has one more, its middle, so that a
 * path passes through it only once.
 */
public final class Network {

  private static final int[] NO_PORTS = {};

  private final Rig rig;
  private final List<Part> parts;
  private final Map<PortRef, Integer> vertices = new HashMap<>();
  private final Map<PartId, Integer> partIndex = new HashMap<>();
  private final Map<PartId, TankRoom> rooms = new HashMap<>();
  private final Map<PortRef, Line> linesByPort;
  private final int[] firstVertex;
  private final Purposes[] purposes;
  private final int[] wastes;
  private final int[] owner;

  /** Tank ports that only let in: float valves. */
  private final boolean[] onlyIn;

  private final boolean[] pours;

  /** How far each port reaches above and below its middle (m). */
  private final double[] half;

  private final Point[] points;

  /** The points of each line's run, ends included. */
  private final Point[][] runs;

  private final int[] lineFrom;
  private final int[] lineTo;
  private final Map<PortRef, Integer> lineIndex = new HashMap<>();
  private final Map<LineId, Integer> lineNumbers = new HashMap<>();
  private final List<Part> tanks;
  private final int[][] tankVertices;

  /** Of each part, the vertices of its ports where it is a tank; none where not. */
  private final int[][] tankPortsOf;

  private final List<ByPosition<Passage>> passages = new ArrayList<>();

  /** Of each part in each of its positions, where water or air leaves it. */
  private final List<ByPosition<Mouth>> mouths = new ArrayList<>();

  /** Of each part, those of all its positions at once. */
  private final List<List<Passage>> everyPassage = new ArrayList<>();

  private final int mostPassages;

  private final List<Part> sources;
  private final List<Part> pumps;

  /** Those asked for last: one run after another stands on the same slope. */
  private volatile @Nullable Heights heights;

  private volatile @Nullable DrawnDown drawnDown;

  /** Where {@code like} has the same tank, joined up alike, its room is taken over. */
  private Network(Rig rig, Optional<Network> like) {
    this.rig = rig;
    this.parts = rig.parts();
    this.linesByPort = rig.linesByPort();
    this.firstVertex = new int[parts.size() + 1];
    List<Integer> owners = new ArrayList<>();
    List<Point> places = new ArrayList<>();
    for (int i = 0; i < parts.size(); i++) {
      Part part = parts.get(i);
      partIndex.put(part.id(), i);
      firstVertex[i] = owners.size();
      for (PortId port : part.kind().ports()) {
        vertices.put(part.port(port), owners.size());
        owners.add(i);
        places.add(part.at(port));
      }
      if (part.kind().meets()) {
        owners.add(i);
        places.add(new Point(part.x(), part.y(), part.height()));
      }
    }
    firstVertex[parts.size()] = owners.size();
    owner = owners.stream().mapToInt(Integer::intValue).toArray();
    purposes = parts.stream().map(p -> p.kind().purposes()).toArray(Purposes[]::new);
    onlyIn = new boolean[owner.length];
    for (Part part : parts) {
      part.kind().tankPorts().stream()
          .filter(p -> !p.letsOut())
          .forEach(p -> onlyIn[vertex(part, p.id())] = true);
    }
    half = new double[owner.length];
    for (Part part : parts) {
      part.kind().tankPorts().forEach(p -> half[vertex(part, p.id())] = p.half());
    }
    points = places.toArray(Point[]::new);
    runs = rig.lines().stream().map(this::run).toArray(Point[][]::new);
    lineFrom = rig.lines().stream().mapToInt(l -> vertex(l.from())).toArray();
    lineTo = rig.lines().stream().mapToInt(l -> vertex(l.to())).toArray();
    pours = new boolean[lineFrom.length];
    for (int i = 0; i < rig.lines().size(); i++) {
      pours[i] = isJug(lineFrom[i]) || isJug(lineTo[i]);
      lineNumbers.put(rig.lines().get(i).id(), i);
      lineIndex.put(rig.lines().get(i).from(), i);
      lineIndex.put(rig.lines().get(i).to(), i);
    }
    tanks = rig.tanks().toList();
    for (Part tank : tanks) {
      Tank joined = joined(tank);
      TankRoom room =
          like.flatMap(l -> l.roomOf(tank.id(), joined)).orElseGet(() -> TankRoom.of(joined));
      rooms.put(tank.id(), room);
    }
    tankVertices = tanks.stream().map(this::portVertices).toArray(int[][]::new);
    tankPortsOf =
        parts.stream()
            .map(p -> p.kind().is(Purpose.HOLDS) ? portVertices(p) : NO_PORTS)
            .toArray(int[][]::new);
    for (Part part : parts) {
      int first = firstVertex[index(part.id())];
      passages.add(ByPosition.of(part, at -> passages(part, first, at)));
      mouths.add(ByPosition.of(part, part.kind()::mouths));
    }
    parts.forEach(p -> {
      int first = firstVertex[index(p.id())];
      everyPassage.add(p.kind().links().stream().map(l -> Passage.of(l, first)).toList());
    });
    mostPassages = 2 * lineFrom.length + everyPassage.stream().mapToInt(List::size).sum();
    wastes =
        parts.stream()
            .filter(p -> p.kind().is(Purpose.USE) && p.kind().ports().contains(PortId.WASTE))
            .mapToInt(p -> vertex(p, PortId.WASTE))
            .toArray();
    sources = parts.stream().filter(p -> p.kind().is(Purpose.SOURCE)).toList();
    pumps = parts.stream().filter(p -> p.kind().is(Purpose.DRIVES)).toList();
  }

  /**
   * Returns a tank as it is joined up: without outlets and vents that a plug or cap closes, which
   * let nothing out.
   */
  public Tank joined(Part tank) {
    Tank kind = (Tank) tank.kind();
    return kind.withPorts(
        kind.tankPorts().stream()
            .filter(p ->
                p.use() != TankPort.Use.FEED && p.use() != TankPort.Use.VENT
                    || !isPlugged(tank.port(p.id())))
            .toList());
  }

  private boolean isPlugged(PortRef port) {
    Integer line = lineIndex.get(port);
    return line != null
        && rig.part(rig.lines().get(line).other(port).part()).kind().is(Purpose.CLOSES);
  }

  private boolean isJug(int vertex) {
    return part(vertex).kind().is(Purpose.CARRIED);
  }

  private int[] portVertices(Part part) {
    int start = firstVertex[index(part.id())];
    return IntStream.range(start, start + part.kind().ports().size()).toArray();
  }

  private static List<Passage> passages(Part part, int first, PositionId position) {
    return part.kind().links(position).stream().map(l -> Passage.of(l, first)).toList();
  }

  private Optional<TankRoom> roomOf(PartId tank, Tank joined) {
    return tanks.stream()
        .filter(t -> t.id().equals(tank) && joined(t).equals(joined))
        .map(t -> room(t.id()))
        .findFirst();
  }

  /** Prepares a rig. */
  public static Network of(Rig rig) {
    return new Network(rig, Optional.empty());
  }

  /**
   * Prepares a rig that differs little from another: what its tanks hold is not worked out anew.
   */
  public static Network of(Rig rig, Network like) {
    return new Network(rig, Optional.of(like));
  }

  /** Returns the rig. */
  public Rig rig() {
    return rig;
  }

  /**
   * Returns a state that was kept of this rig as it applies today: handles and tanks that are gone
   * are left out, no tank holds more than it can, and what was added since is at rest and empty.
   */
  public State fitted(State kept) {
    Map<PartId, Double> volumes = new TreeMap<>();
    kept.volumes()
        .forEach((tank, volume) -> {
          if (rooms.containsKey(tank)) {
            volumes.put(tank, Math.min(volume, room(tank).capacity()));
          }
        });
    return new State(rig.fitted(kept.setting().positions()), volumes, kept.slope());
  }

  /** Returns the room of a tank. */
  public TankRoom room(PartId tank) {
    TankRoom room = rooms.get(tank);
    if (room == null) {
      throw new IllegalArgumentException("\"" + tank + "\" is not a tank of this rig");
    }
    return room;
  }

  /** The points of a line's run; between its ends the vehicle's x and y change evenly. */
  private Point[] run(Line line) {
    Point a = points[vertex(line.from())];
    Point b = points[vertex(line.to())];
    List<Point> run = new ArrayList<>();
    run.add(a);
    for (ProfilePoint p : line.profile()) {
      double t = p.along() / line.length();
      run.add(new Point(a.x() + t * (b.x() - a.x()), a.y() + t * (b.y() - a.y()), p.height()));
    }
    run.add(b);
    return run.toArray(Point[]::new);
  }

  /** Returns what a tank, as it is joined up, takes and gives on a slope. */
  public TankFigures figures(Part tank, Slope slope) {
    return heights(slope).figures(tank);
  }

  /** Returns how far down each tank can be drawn; worked out once for the slope asked for last. */
  DrawDown drawDown(Slope slope) {
    DrawnDown last = drawnDown;
    if (last == null || !last.slope().equals(slope)) {
      last = new DrawnDown(slope, DrawDown.find(this, slope));
      drawnDown = last;
    }
    return last.found();
  }

  private record DrawnDown(Slope slope, DrawDown found) {}

  Heights heights(Slope slope) {
    Heights last = heights;
    if (last == null || !last.slope().equals(slope)) {
      last = new Heights(this, slope);
      heights = last;
    }
    return last;
  }

  /** Tells what the part at a port, by its number, is there for. */
  public boolean is(int vertex, Purpose purpose) {
    return purposes[owner[vertex]].has(purpose);
  }

  /** Returns the number of ports, those of bodies included. */
  public int size() {
    return owner.length;
  }

  /** Returns the number of a port. */
  public int vertex(PortRef port) {
    Integer vertex = vertices.get(port);
    if (vertex == null) {
      throw new IllegalArgumentException("The rig has no port " + port);
    }
    return vertex;
  }

  /** Returns the number of a port of a part. */
  public int vertex(Part part, PortId port) {
    return vertex(part.port(port));
  }

  /** Returns the first vertex of a part; its ports follow in order, then its middle if any. */
  public int first(int part) {
    return firstVertex[part];
  }

  /** Returns where a part stands in the rig's list of parts. */
  public int index(PartId part) {
    Integer index = partIndex.get(part);
    if (index == null) {
      throw new IllegalArgumentException("The rig has no part \"" + part + "\"");
    }
    return index;
  }

  /** Tells whether the rig has such a part. */
  public boolean has(PartId part) {
    return partIndex.containsKey(part);
  }

  /** Tells whether the rig has such a line. */
  public boolean has(LineId line) {
    return lineNumbers.containsKey(line);
  }

  /** Returns where the part that a port belongs to stands in the rig's list of parts. */
  int owner(int vertex) {
    return owner[vertex];
  }

  /** Returns the part that a port belongs to. */
  public Part part(int vertex) {
    return parts.get(owner[vertex]);
  }

  /** Returns the name of the port at a vertex. */
  public PortId port(int vertex) {
    return part(vertex).kind().ports().get(vertex - firstVertex[owner[vertex]]);
  }

  /** Tells whether a tank's port lets in but not out. */
  public boolean onlyIn(int vertex) {
    return onlyIn[vertex];
  }

  /** Returns how far a port reaches above and below its middle (m). */
  double half(int vertex) {
    return half[vertex];
  }

  Point point(int vertex) {
    return points[vertex];
  }

  /** Returns the points of a line's run, its first end first. */
  Point[] run(int line) {
    return runs[line];
  }

  /** Tells whether a line is joined to a port. */
  public boolean hasLine(PortRef port) {
    return linesByPort.containsKey(port);
  }

  /** Returns the index of the line at a port, which must have one. */
  public int lineAt(PortRef port) {
    Integer line = lineIndex.get(port);
    if (line == null) {
      throw new IllegalArgumentException("No line is joined to " + port);
    }
    return line;
  }

  /** Returns where a line stands in the rig's list of lines. */
  public int lineNumber(LineId id) {
    Integer line = lineNumbers.get(id);
    if (line == null) {
      throw new IllegalArgumentException("The rig has no line \"" + id + "\"");
    }
    return line;
  }

  /** Returns the port at which a line begins. */
  public int lineFrom(int line) {
    return lineFrom[line];
  }

  /** Returns the port at which a line ends. */
  public int lineTo(int line) {
    return lineTo[line];
  }

  /** Tells whether a portable container pours into a line, or is drawn from by it. */
  boolean pours(int line) {
    return pours[line];
  }

  /** Returns the ways for water through a part, by its number, as it stands in a setting. */
  public List<Passage> passages(int part, Setting setting) {
    return passages.get(part).in(setting);
  }

  /** Returns where water or air leaves a part, by its number, as it stands in a setting. */
  public List<Mouth> mouths(int part, Setting setting) {
    return mouths.get(part).in(setting);
  }

  /** Returns the ways for water through a part, by its number, in a position. */
  public List<Passage> passages(int part, PositionId position) {
    return passages.get(part).in(position);
  }

  /** Returns the ways for water through a part, by its number, in any position. */
  public List<Passage> passages(int part) {
    return everyPassage.get(part);
  }

  /** Returns no fewer than the passages of any setting: lines count both ways. */
  int mostPassages() {
    return mostPassages;
  }

  /** Returns the ports by which what is used runs off, by their numbers. */
  public int[] wastes() {
    return wastes.clone();
  }

  /** Returns the parts from which water can come, in the order of the rig. */
  public List<Part> sources() {
    return sources;
  }

  /** Returns the pumps of all kinds, in the order of the rig. */
  public List<Part> pumps() {
    return pumps;
  }

  /** Returns what each tank holds when all are half full, by their ids (m³). */
  public Map<PartId, Double> halfFull() {
    return tanks().stream().collect(Collectors.toMap(Part::id, t -> room(t.id()).capacity() / 2));
  }

  /** Returns the tanks in the order of the rig. */
  public List<Part> tanks() {
    return tanks;
  }

  /** Returns the vertices of the ports of a tank, by its place in {@link #tanks}. */
  public int[] tankVertices(int tank) {
    return tankVertices[tank];
  }

  /** Returns the vertices of the ports of the tank that a vertex belongs to; none for no tank. */
  public int[] tankPortsAt(int vertex) {
    return tankPortsOf[owner[vertex]];
  }

  /** Returns the id of the line at a port, if there is one. */
  public Optional<LineId> lineId(PortRef port) {
    return Optional.ofNullable(linesByPort.get(port)).map(Line::id);
  }

  /** Returns the vertex at the other end of the line at a port, or −1 when no line is there. */
  public int across(PortRef port) {
    Line line = linesByPort.get(port);
    return line == null ? -1 : vertex(line.other(port));
  }
}
