package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.rig.Contents;
import fernwort.core.rig.Gauge;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Point;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Shape;
import fernwort.core.rig.Slope;
import fernwort.core.rig.TankPort;
import fernwort.core.say.Refusal;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** A tank as people measure it: outside shape, wall, each port from two edges and the bottom. */
final class TankForm {

  private static final double LONGEST = 4;

  private final Units units;

  TankForm(Units units) {
    this.units = units;
  }

  /**
   * Returns what a part is, the openings of a tank whose bore nobody gave as wide as the lines that
   * leave by them: the start for whoever measures.
   */
  static Kind withBores(Rig rig, Part part) {
    if (!(part.kind() instanceof Kind.Tank tank)) {
      return part.kind();
    }
    Map<PortRef, Line> lines = rig.linesByPort();
    return tank.withPorts(
        tank.tankPorts().stream()
            .map(p ->
                new TankPort(
                    p.id(),
                    p.use(),
                    p.at(),
                    p.bore()
                        .or(() ->
                            Optional.ofNullable(lines.get(part.port(p.id()))).map(Line::bore))))
            .toList());
  }

  List<Field> fields(Kind.Tank tank) {
    List<Field> fields = new ArrayList<>();
    fields.add(
        Field.choice(
            "contents", "Holds", Values.key(tank.contents()), Values.options(Contents.class)));
    fields.add(
        Field.choice(
            "shape",
            "Shape",
            shape(tank.shape()),
            List.of(
                new Field.Option("box", "box"),
                new Field.Option("upright", "cylinder, standing"),
                new Field.Option("lying", "cylinder, lying along the vehicle"),
                new Field.Option("across", "cylinder, lying across"),
                new Field.Option("prism", "any side view, straight through"),
                new Field.Option("straddling", "boxes joined over an arch"),
                new Field.Option("table", "measured by filling"))));
    fields.add(
        Field.rows(
            "sizes",
            "Outside sizes (" + units.unit(Measure.LENGTH).sign() + ")",
            sizes(tank.shape()),
            "Box: length, width, height. Cylinder: diameter, length. Any side view: width, then a"
                + " line for each corner: forward, up. Boxes: a line each: x, y, z, length, width,"
                + " height. By filling: length, then a line each: depth, litres."));
    fields.add(length("wall", "Wall thickness", tank.wall(), "Callipers at a port; default 5 mm."));
    fields.add(new PortRows(units).field(tank.tankPorts()));
    fields.add(
        Field.tick(
            "carried",
            "Openings come along when its sizes change",
            true,
            "Each keeps its distance to the nearer wall."));
    fields.add(
        Field.tick(
            "flipped",
            "Measured upside down",
            false,
            "Then right becomes left and bottom becomes top; Fernwort mirrors the ports."));
    fields.add(
        Field.choice(
            "gauge",
            "Level is read by",
            Values.key(tank.gauge().kind()),
            Values.options(Gauge.GaugeKind.class)));
    fields.add(
        Field.number(
            "steps", "Steps a sender shows", Integer.toString(tank.gauge().steps()), "", ""));
    return fields;
  }

  private Field length(String name, String label, double si, String hint) {
    return Field.number(
        name, label, units.number(Measure.LENGTH, si), units.unit(Measure.LENGTH).sign(), hint);
  }

  private String n(double si) {
    return units.number(Measure.LENGTH, si);
  }

  private static String shape(Shape shape) {
    return switch (shape) {
      case Shape.Box s -> "box";
      case Shape.UprightCylinder s -> "upright";
      case Shape.LyingCylinder s -> s.across() ? "across" : "lying";
      case Shape.Prism s -> "prism";
      case Shape.Straddling s -> "straddling";
      case Shape.DepthTable s -> "table";
    };
  }

  private String sizes(Shape shape) {
    return switch (shape) {
      case Shape.Box s -> String.join(", ", n(s.length()), n(s.width()), n(s.height()));
      case Shape.UprightCylinder s -> String.join(", ", n(s.diameter()), n(s.height()));
      case Shape.LyingCylinder s -> String.join(", ", n(s.diameter()), n(s.length()));
      case Shape.Prism s ->
          n(s.width())
              + s.section().stream()
                  .map(c -> "\n" + n(c.x()) + ", " + n(c.z()))
                  .collect(Collectors.joining());
      case Shape.Straddling s ->
          s.blocks().stream()
              .map(b ->
                  String.join(
                      ", ",
                      n(b.x()),
                      n(b.y()),
                      n(b.z()),
                      n(b.length()),
                      n(b.width()),
                      n(b.height())))
              .collect(Collectors.joining("\n"));
      case Shape.DepthTable s ->
          n(s.length())
              + s.rows().stream()
                  .map(r ->
                      "\n"
                          + n(r.depth())
                          + ", "
                          + units.number(Measure.VOLUME, r.volume())
                          + " "
                          + units.unit(Measure.VOLUME).sign())
                  .collect(Collectors.joining());
    };
  }

  // --- reading ---------------------------------------------------------------------------------

  Kind.Tank read(Kind.Tank old, Values v) {
    double wall = v.amount("wall", "Wall thickness", Measure.LENGTH, 0, 0.03);
    Shape shape = shape(v);
    Gauge.GaugeKind gauge = v.choice("gauge", "How its level is read", Gauge.GaugeKind.class);
    Kind.Tank bare =
        new Kind.Tank(
            v.choice("contents", "What it holds", Contents.class),
            shape,
            wall,
            List.of(),
            new Gauge(gauge, (int) v.plain("steps", "Steps"), old.gauge().x(), old.gauge().y()),
            old.highestPressure(),
            old.lowestPressure());
    List<TankPort> ports = new PortRows(units).read(v, old.tankPorts());
    List<TankPort> placed = v.tick("carried") ? carried(old, bare, ports) : ports;
    return bare.withPorts(v.tick("flipped") ? mirrored(bare, placed) : placed);
  }

  /** Openings where they were, with their distance to the nearer wall of the tank as it is now. */
  private static List<TankPort> carried(Kind.Tank old, Kind.Tank now, List<TankPort> ports) {
    if (old.shape().equals(now.shape()) && old.wall() == now.wall()) {
      return ports;
    }
    return ports.stream()
        .map(p -> {
          boolean asItWas = old.tankPorts().stream().anyMatch(q -> q.at().equals(p.at()));
          Point at =
              new Point(
                  along(p.at().x(), length(old), length(now)),
                  along(p.at().y(), width(old), width(now)),
                  along(p.at().z(), height(old), height(now)));
          return asItWas ? new TankPort(p.id(), p.use(), at, p.bore()) : p;
        })
        .toList();
  }

  private static double along(double at, double before, double now) {
    return at > before / 2 ? now - (before - at) : at;
  }

  private static double height(Kind.Tank tank) {
    return TankRoom.of(tank).highest(Slope.LEVEL);
  }

  private static double length(Kind.Tank tank) {
    double outside =
        switch (tank.shape()) {
          case Shape.Box s -> s.length();
          case Shape.UprightCylinder s -> s.diameter();
          case Shape.LyingCylinder s -> s.across() ? s.diameter() : s.length();
          case Shape.Prism s -> s.section().stream().mapToDouble(Shape.Corner::x).max().orElse(0);
          case Shape.Straddling s ->
              s.blocks().stream().mapToDouble(b -> b.x() + b.length()).max().orElse(0);
          case Shape.DepthTable s -> s.length() + 2 * tank.wall();
        };
    return outside - 2 * tank.wall();
  }

  /** Turned over sideways: what was right is left, what was at the bottom is at the top. */
  private static List<TankPort> mirrored(Kind.Tank tank, List<TankPort> ports) {
    double height = TankRoom.of(tank).highest(Slope.LEVEL);
    double width = width(tank);
    return ports.stream()
        .map(p ->
            new TankPort(
                p.id(),
                p.use(),
                new Point(p.at().x(), width - p.at().y(), height - p.at().z()),
                p.bore()))
        .toList();
  }

  private static double width(Kind.Tank tank) {
    double outside =
        switch (tank.shape()) {
          case Shape.Box s -> s.width();
          case Shape.UprightCylinder s -> s.diameter();
          case Shape.LyingCylinder s -> s.across() ? s.length() : s.diameter();
          case Shape.Prism s -> s.width();
          case Shape.Straddling s ->
              s.blocks().stream().mapToDouble(b -> b.y() + b.width()).max().orElse(0);
          case Shape.DepthTable s -> 2 * tank.wall();
        };
    return outside - 2 * tank.wall();
  }

  private Shape shape(Values v) {
    List<List<String>> rows =
        v.text("sizes").lines().filter(l -> !l.isBlank()).map(TankForm::cells).toList();
    if (rows.isEmpty()) {
      throw new Refusal("Outside sizes are empty; type length, width, height");
    }
    List<String> first = rows.getFirst();
    return switch (v.text("shape")) {
      case "upright" -> new Shape.UprightCylinder(size(v, first, 0), size(v, first, 1));
      case "lying" -> new Shape.LyingCylinder(size(v, first, 0), size(v, first, 1), false);
      case "across" -> new Shape.LyingCylinder(size(v, first, 0), size(v, first, 1), true);
      case "prism" ->
          new Shape.Prism(
              rows.stream().skip(1).map(r -> new Shape.Corner(length(r, 0), length(r, 1))).toList(),
              size(v, first, 0));
      case "straddling" ->
          new Shape.Straddling(
              rows.stream()
                  .map(r ->
                      new Shape.Block(
                          length(r, 0),
                          length(r, 1),
                          length(r, 2),
                          size(v, r, 3),
                          size(v, r, 4),
                          size(v, r, 5)))
                  .toList());
      case "table" ->
          new Shape.DepthTable(
              size(v, first, 0),
              rows.stream()
                  .skip(1)
                  .map(r ->
                      new Shape.Row(
                          length(r, 0), units.parse("Depth table", Measure.VOLUME, cell(r, 1))))
                  .toList());
      default -> new Shape.Box(size(v, first, 0), size(v, first, 1), size(v, first, 2));
    };
  }

  /** A comma parts numbers where a space follows it; otherwise it is a decimal comma. */
  private static List<String> cells(String line) {
    return List.of(line.strip().split("\\s*[,;]\\s+|\\s*;\\s*"));
  }

  private double size(Values v, List<String> row, int index) {
    return v.checked("Outside size", Measure.LENGTH, cell(row, index), 0.06, LONGEST);
  }

  private double length(List<String> row, int index) {
    return units.parse("Outside sizes", Measure.LENGTH, cell(row, index));
  }

  private static String cell(List<String> row, int index) {
    if (index >= row.size()) {
      throw new Refusal(
          "“%s” has too few numbers; see the note below the field"
              .formatted(String.join(", ", row)));
    }
    return row.get(index);
  }
}
