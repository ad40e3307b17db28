package fernwort.core.build.drill;

import fernwort.core.build.joints.Adapter;
import fernwort.core.build.joints.JointEnds;
import fernwort.core.build.joints.Region;
import fernwort.core.build.joints.Sizes;
import fernwort.core.id.LineId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Face;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Where to drill a tank: each face with its holes, what is wrong with where they are, and in which
 * order. Sizes of holes are usual ones until somebody measured the fitting in hand.
 *
 * @param tank the tank
 * @param faces faces that have holes
 * @param saws saws to have (m), the smallest first
 * @param flat whether the faces are flat; on a round or bent wall lengths go along the wall
 */
public record DrillSheet(Part tank, List<FaceSheet> faces, List<Double> saws, boolean flat) {

  /** A nut and what turns it are so much wider than the hole (our estimate). */
  private static final double NUT = 1.6;

  private static final double SPANNER = 0.016;

  /** Moulded edges and corners are round for so far (m, our estimate). */
  private static final double EDGE = 0.015;

  /** Between two nuts a hand has to reach (m). */
  private static final double HAND = 0.02;

  /** A weld or a mould's seam is left alone for so far beside it (m). */
  private static final double SEAM = 0.02;

  /** A top closer to the floor than this is not reached once it hangs, nor drilled before (m). */
  private static final double CLOSE = 0.15;

  private static final double THICK = 0.05;

  /**
   * What was measured by hand.
   *
   * @param holes holes for the fittings in hand, by port (m)
   * @param there ports that are already in the tank
   * @param seam height of a weld or seam round the tank, above its outside bottom (m)
   */
  public record Measured(Map<PortId, Double> holes, Set<String> there, Optional<Double> seam) {

    /** Nothing was. */
    public static final Measured NOTHING = new Measured(Map.of(), Set.of(), Optional.empty());

    public Measured {
      holes = Map.copyOf(holes);
      there = Set.copyOf(there);
    }
  }

  /** Returns the sheet of a tank with fittings in metric sizes. */
  public static DrillSheet of(Rig rig, Part tank, TankRoom room, Measured measured) {
    return of(rig, tank, room, measured, Region.METRIC);
  }

  /**
   * Returns the sheet of a tank.
   *
   * @param region whose sizes of fittings are usual
   */
  public static DrillSheet of(Rig rig, Part tank, TankRoom room, Measured measured, Region region) {
    Map<PortRef, Connection> ends = new HashMap<>();
    JointEnds.of(rig, region).forEach(e -> ends.putIfAbsent(e.at(), e.port()));
    Tank kind = (Tank) tank.kind();
    Point inner = inner(kind, room);
    Map<Face, List<Hole>> byFace = new EnumMap<>(Face.class);
    for (TankPort port : kind.tankPorts()) {
      Face face = nearest(port.at(), inner);
      byFace
          .computeIfAbsent(face, f -> new ArrayList<>())
          .add(
              hole(rig, tank, port, face, inner, measured, fitting(rig, tank, port, ends, region)));
    }
    List<FaceSheet> faces = new ArrayList<>();
    byFace.forEach((face, holes) -> faces.add(sheet(face, holes, inner, kind, measured)));
    double[] saws =
        faces.stream()
            .flatMap(f -> f.holes().stream())
            .filter(h -> !h.there())
            .flatMap(h -> h.diameter().stream())
            .mapToDouble(Double::doubleValue)
            .sorted()
            .distinct()
            .toArray();
    return new DrillSheet(
        tank, faces, Arrays.stream(saws).boxed().toList(), kind.shape() instanceof Shape.Box);
  }

  /** The smallest box round the inside of a tank. */
  private static Point inner(Tank tank, TankRoom room) {
    double wall = 2 * tank.wall();
    double height = room.highest(Slope.LEVEL);
    return switch (tank.shape()) {
      case Shape.Box b -> new Point(b.length() - wall, b.width() - wall, b.height() - wall);
      case Shape.UprightCylinder c -> new Point(c.diameter() - wall, c.diameter() - wall, height);
      case Shape.LyingCylinder c ->
          c.across()
              ? new Point(c.diameter() - wall, c.length() - wall, height)
              : new Point(c.length() - wall, c.diameter() - wall, height);
      case Shape.Prism p ->
          new Point(
              p.section().stream().mapToDouble(Shape.Corner::x).max().orElse(0)
                  - p.section().stream().mapToDouble(Shape.Corner::x).min().orElse(0)
                  - wall,
              p.width() - wall,
              height);
      case Shape.Straddling s ->
          new Point(
              s.blocks().stream().mapToDouble(b -> b.x() + b.length()).max().orElse(0) - wall,
              s.blocks().stream().mapToDouble(b -> b.y() + b.width()).max().orElse(0) - wall,
              height);
      case Shape.DepthTable t -> new Point(t.length(), breadth(t, room), height);
    };
  }

  /** As broad as a box of its volume. */
  private static double breadth(Shape.DepthTable table, TankRoom room) {
    double height = room.highest(Slope.LEVEL);
    return room.capacity() / Math.max(1e-6, table.length() * height);
  }

  private static Face nearest(Point at, Point inner) {
    return Arrays.stream(Face.values())
        .min(Comparator.comparingDouble(f -> Math.abs(f.away(at, inner))))
        .orElseThrow();
  }

  private static Hole hole(
      Rig rig,
      Part tank,
      TankPort port,
      Face face,
      Point inner,
      Measured measured,
      Connection fitting) {
    Tank kind = (Tank) tank.kind();
    Optional<Double> usual =
        switch (fitting.form()) {
          case Connection.Bulkhead b -> Sizes.bulkheadHole(b.standard(), b.size());
          case Connection.Grommet g -> Optional.of(Sizes.grommetHole(g.outside()));
          case Connection.Thread t ->
              Sizes.thread(t.standard(), t.size()).map(Sizes.ThreadSize::outside);
          case Connection.HoseTail t -> Optional.of(t.bore());
          case Connection.HoseEnd h -> Optional.of(h.bore());
          case Connection.TubeSocket s -> Optional.of(s.outside());
          case Connection.TubeEnd e -> Optional.of(e.outside());
          case Connection.Socket s -> Optional.of(Sizes.pipeOutside(s.nominal()));
          case Connection.Spigot s -> Optional.of(Sizes.pipeOutside(s.nominal()));
          case Connection.Open _ -> Optional.empty();
        };
    Optional<Double> diameter =
        Optional.ofNullable(measured.holes().get(port.id())).or(() -> usual);
    boolean grommet = fitting.form() instanceof Connection.Grommet;
    return new Hole(
        port.id(),
        port.use(),
        seen(face, face.across(port.at()), face.across(inner)) + kind.wall(),
        seenUp(face, face.up(port.at()), face.up(inner)) + kind.wall(),
        diameter,
        !measured.holes().containsKey(port.id()),
        Adapter.words(fitting.form()),
        diameter.map(d -> grommet ? d + SPANNER : Math.max(NUT * d, d + SPANNER)).orElse(0.0),
        measured.there().contains(port.id().value()),
        late(rig, tank, port, face, inner),
        List.of());
  }

  /** The rear is at the right of a picture of the left side, seen from outside. */
  private static double seen(Face face, double across, double whole) {
    return face == Face.LEFT || face == Face.REAR ? whole - across : across;
  }

  /** From below, with the front at the right, the left side is below. */
  private static double seenUp(Face face, double up, double whole) {
    return face == Face.BOTTOM ? whole - up : up;
  }

  private static Connection fitting(
      Rig rig, Part tank, TankPort port, Map<PortRef, Connection> ends, Region region) {
    PortRef at = tank.port(port.id());
    return Optional.ofNullable(ends.get(at))
        .or(() -> rig.built().joint(at).flatMap(j -> j.port()))
        .orElseGet(() ->
            new Connection(JointEnds.usualPort(tank, port.id(), unknown(tank, port), region)));
  }

  /** An opening that no line leads to yet is as wide as it says, or half an inch. */
  private static Line unknown(Part tank, TankPort port) {
    PortRef at = tank.port(port.id());
    return new Line(
        LineId.of("none"),
        "none",
        at,
        at,
        port.bore().orElse(0.013),
        1,
        Line.Material.PEX,
        0,
        List.of());
  }

  private static String late(Rig rig, Part tank, TankPort port, Face face, Point inner) {
    double top = tank.height() + inner.z();
    double floor = rig.vehicle().floor();
    boolean under = tank.height() < floor && top > floor - CLOSE && top < floor + THICK;
    return face == Face.TOP && under && port.use() == TankPort.Use.VENT
        ? Says.ITS_TOP_COMES_CLOSE_UNDER.text()
        : "";
  }

  private static FaceSheet sheet(
      Face face, List<Hole> holes, Point inner, Tank tank, Measured measured) {
    double width = face.across(inner) + 2 * tank.wall();
    double height = face.up(inner) + 2 * tank.wall();
    List<Hole> checked = new ArrayList<>();
    for (Hole hole : holes) {
      checked.add(hole.with(slips(hole, holes, face, width, height, measured.seam())));
    }
    checked.sort(Comparator.comparingDouble(Hole::across));
    return new FaceSheet(face, width, height, leftEdge(face), lowerEdge(face), checked);
  }

  private static Face leftEdge(Face face) {
    return switch (face) {
      case TOP, BOTTOM, RIGHT -> Face.REAR;
      case LEFT -> Face.FRONT;
      case REAR -> Face.LEFT;
      case FRONT -> Face.RIGHT;
    };
  }

  private static Face lowerEdge(Face face) {
    return switch (face) {
      case TOP -> Face.RIGHT;
      case BOTTOM -> Face.LEFT;
      case LEFT, RIGHT, REAR, FRONT -> Face.BOTTOM;
    };
  }

  private static List<Message> slips(
      Hole hole, List<Hole> all, Face face, double width, double height, Optional<Double> seam) {
    List<Message> slips = new ArrayList<>();
    double rim = hole.room() / 2;
    edge(slips, Says.LEFT_EDGE_OF_THE_DRAWING.text(), hole.across(), rim);
    edge(slips, Says.RIGHT_EDGE_OF_THE_DRAWING.text(), width - hole.across(), rim);
    edge(slips, Says.LOWER_EDGE_OF_THE_DRAWING.text(), hole.up(), rim);
    edge(slips, Says.UPPER_EDGE_OF_THE_DRAWING.text(), height - hole.up(), rim);
    for (Hole other : all) {
      double apart = Math.hypot(hole.across() - other.across(), hole.up() - other.up());
      double needs = rim + other.room() / 2 + HAND;
      if (!other.port().equals(hole.port()) && apart < needs) {
        slips.add(
            Says.FROM_THE_NUTS_AND_A_HAND_NEED.with(
                Amount.length(apart),
                other.port(),
                Amount.length(needs),
                Amount.length(needs - apart)));
      }
    }
    boolean side = face != Face.TOP && face != Face.BOTTOM;
    seam.filter(s -> side && Math.abs(s - hole.up()) < rim + SEAM)
        .ifPresent(s -> slips.add(Says.OVER_THE_WELD_OR_SEAM_KEEP.with(Amount.length(rim + SEAM))));
    return slips;
  }

  private static void edge(List<Message> slips, String edge, double away, double rim) {
    double needs = rim + EDGE;
    if (away < needs) {
      slips.add(
          Says.FROM_THE_ITS_NUT_NEEDS_TO_SIT.with(
              Amount.length(away), edge, Amount.length(needs), Amount.length(needs - away)));
    }
  }

  /** Returns what to do, in order. */
  public List<Message> steps() {
    List<Message> steps = new ArrayList<>();
    steps.add(Says.MEASURE_THE_FITTINGS.with());
    steps.add(Says.LOOK_WHICH_WAY_UP_THE_TANK_LIES.with());
    steps.add(Says.MARK_EACH_MIDDLE.with());
    steps.add(Says.DRILL_A_PILOT_HOLE_THEN_THE_SAWS.with());
    List<PortId> late =
        faces.stream()
            .flatMap(f -> f.holes().stream())
            .filter(h -> !h.there() && !h.late().isEmpty())
            .map(Hole::port)
            .toList();
    if (!late.isEmpty()) {
      steps.add(Says.LEAVE_UNTIL_THE_TANK_HANGS_MARK.with(PortId.listed(late)));
    }
    steps.add(Says.ALL_CHIPS_OUT_VACUUM_RINSE_LOOK.with());
    steps.add(Says.FIT_WITH_THE_SEAL_ON_THE_WET.with());
    return steps;
  }
}
