package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.describe.TankResize;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** A tank as people measure it: outside shape, wall, each port from two edges and the bottom. */
final class TankForm {

  private static final double SHORTEST = 0.06;
  private static final double LONGEST = 4;

  /** Litres and sizes that differ by less agree: a label is rounded. */
  private static final double AGREES = 0.05;

  private final Units units;

  TankForm(Units units) {
    this.units = units;
  }

  /**
   * Returns what a part is, the openings of a tank whose bore nobody gave as wide as the lines that
   * leave by them: the start for whoever measures.
   */
  static Kind withBores(Rig rig, Part part) {
    if (!(part.kind() instanceof Tank tank)) {
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
                            Optional.ofNullable(lines.get(part.port(p.id()))).map(Line::bore)),
                    p.passes()))
            .toList());
  }

  List<Field> fields(Tank tank) {
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
                new Field.Option("upright", Says.CYLINDER_STANDING.text()),
                new Field.Option("lying", Says.CYLINDER_LYING_ALONG_THE_VEHICLE.text()),
                new Field.Option("across", Says.CYLINDER_LYING_ACROSS.text()),
                new Field.Option("prism", Says.ANY_SIDE_VIEW_STRAIGHT_THROUGH.text()),
                new Field.Option("straddling", Says.BOXES_JOINED_OVER_AN_ARCH.text()),
                new Field.Option("table", Says.MEASURED_BY_FILLING.text()))));
    fields.add(
        Field.rows(
            "sizes",
            Says.OUTSIDE_SIZES.filled(units.unit(Measure.LENGTH).sign()),
            sizes(tank.shape()),
            Says.BOX_LENGTH_X_WIDTH_X_HEIGHT.text()));
    double holds = TankRoom.of(tank).capacity();
    fields.add(
        Field.exact(
            "holds",
            Says.IT_HOLDS_TO_THE_BRIM.text(),
            units.number(Measure.VOLUME, holds),
            holds,
            units.unit(Measure.VOLUME).sign(),
            Says.FOLLOWS_FROM_ITS_SIZES_TYPE.text()));
    fields.add(
        Field.exact(
            "wall",
            Says.WALL_THICKNESS.text(),
            units.number(Measure.LENGTH, tank.wall()),
            tank.wall(),
            units.unit(Measure.LENGTH).sign(),
            Says.CALLIPERS_AT_A_PORT_DEFAULT_5_MM.text()));
    fields.add(new PortRows(units).field(tank.tankPorts()));
    fields.add(
        Field.tick(
            "carried", Says.OPENINGS_COME_ALONG.text(), true, Says.EACH_KEEPS_ITS_DISTANCE.text()));
    fields.add(
        Field.tick(
            "flipped",
            Says.MEASURED_UPSIDE_DOWN.text(),
            false,
            Says.THEN_RIGHT_BECOMES_LEFT.text()));
    fields.add(
        Field.choice(
            "gauge",
            Says.LEVEL_IS_READ_BY.text(),
            Values.key(tank.gauge().kind()),
            Values.options(Gauge.GaugeKind.class)));
    fields.add(
        Field.number(
            "steps",
            Says.STEPS_OR_LAMPS_IT_SHOWS.text(),
            Integer.toString(tank.gauge().steps()),
            "",
            Says.A_SENDER_SHOWS_THE_STEP_NEAREST.text()));
    fields.add(
        Field.text(
            "probes",
            Says.LAMPS_LIGHT_AT.filled(units.unit(Measure.LENGTH).sign()),
            tank.gauge().heights().stream().map(this::n).collect(Collectors.joining("; ")),
            Says.HEIGHTS_OVER_THE_INSIDE_FLOOR.text()));
    return fields;
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
      case Shape.Box s -> String.join(" x ", n(s.length()), n(s.width()), n(s.height()));
      case Shape.UprightCylinder s -> String.join(" x ", n(s.diameter()), n(s.height()));
      case Shape.LyingCylinder s -> String.join(" x ", n(s.diameter()), n(s.length()));
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

  private List<Double> probes(Values v) {
    return v.guarded(
        "probes",
        () ->
            Arrays.stream(v.text("probes").split(";"))
                .filter(t -> !t.isBlank())
                .map(t -> units.parse(Says.THE_HEIGHT_OF_A_LAMP.text(), Measure.LENGTH, t.strip()))
                .toList(),
        List.<Double>of());
  }

  Tank read(Tank old, Values v) {
    double wall = v.amount("wall", Says.WALL_THICKNESS.text(), Measure.LENGTH, 0, 0.03);
    boolean asItWas = v.isAsShown("sizes") && v.isAsShown("shape");
    Shape typed = asItWas ? old.shape() : v.guarded("sizes", () -> shape(v), old.shape());
    Gauge.GaugeKind gauge =
        v.choice("gauge", Says.HOW_ITS_LEVEL_IS_READ.text(), Gauge.GaugeKind.class);
    Tank sized =
        new Tank(
            v.choice("contents", Says.WHAT_IT_HOLDS.text(), Contents.class),
            typed,
            wall,
            List.of(),
            new Gauge(
                gauge,
                (int) v.plain("steps", "Steps"),
                old.gauge().x(),
                old.gauge().y(),
                v.isAsShown("probes") ? old.gauge().probes() : Optional.of(probes(v))),
            old.highestPressure(),
            old.lowestPressure());
    Tank bare = v.isAsShown("holds") ? sized : holding(sized, asItWas, v);
    List<TankPort> ports = new PortRows(units).read(v);
    List<TankPort> placed = v.tick("carried") ? TankResize.carried(old, bare, ports) : ports;
    return bare.withPorts(v.tick("flipped") ? TankResize.mirrored(bare, placed) : placed);
  }

  /** The tank for the litres that were typed; sizes typed with them are held against them. */
  private Tank holding(Tank sized, boolean asItWas, Values v) {
    Optional<Double> litres =
        v.optional("holds", Says.WHAT_IT_HOLDS.text(), Measure.VOLUME, 0.002, 3);
    if (litres.isEmpty()) {
      return sized;
    }
    double volume = litres.orElseThrow();
    if (!asItWas) {
      double made = TankRoom.of(sized).capacity();
      if (Math.abs(made - volume) > AGREES * volume) {
        v.doubt(
            Says.ITS_SIZES_MAKE.filled(
                units.show(Measure.VOLUME, made), units.show(Measure.VOLUME, volume)));
      }
      return sized;
    }
    return sized.shaped(v.guarded("holds", () -> TankResize.holding(sized, volume), sized.shape()));
  }

  private Shape shape(Values v) {
    List<String> rows = v.text("sizes").lines().filter(l -> !l.isBlank()).toList();
    if (rows.isEmpty()) {
      throw new Refusal(Says.OUTSIDE_SIZES_ARE_EMPTY_TYPE.with());
    }
    String first = rows.getFirst();
    List<List<String>> more = rows.stream().skip(1).map(TankForm::cells).toList();
    return switch (v.text("shape")) {
      case "upright" -> {
        List<Double> s = sizes(v, first, 2);
        yield new Shape.UprightCylinder(s.get(0), s.get(1));
      }
      case "lying" -> {
        List<Double> s = sizes(v, first, 2);
        yield new Shape.LyingCylinder(s.get(0), s.get(1), false);
      }
      case "across" -> {
        List<Double> s = sizes(v, first, 2);
        yield new Shape.LyingCylinder(s.get(0), s.get(1), true);
      }
      case "prism" ->
          new Shape.Prism(
              more.stream().map(r -> new Shape.Corner(length(r, 0), length(r, 1))).toList(),
              sizes(v, first, 1).getFirst());
      case "straddling" -> new Shape.Straddling(rows.stream().map(r -> block(v, r)).toList());
      case "table" ->
          new Shape.DepthTable(
              sizes(v, first, 1).getFirst(),
              more.stream()
                  .map(r ->
                      new Shape.Row(
                          length(r, 0),
                          units.parse(Says.DEPTH_TABLE.text(), Measure.VOLUME, cell(r, 1))))
                  .toList());
      default -> {
        List<Double> s = sizes(v, first, 3);
        yield new Shape.Box(s.get(0), s.get(1), s.get(2));
      }
    };
  }

  private Shape.Block block(Values v, String row) {
    List<Double> s = atLeast(units.sizes(Says.OUTSIDE_SIZES_FIRST.text(), row), row, 6);
    s.subList(3, 6)
        .forEach(x -> v.doubt(Says.OUTSIDE_SIZE.text(), Measure.LENGTH, x, SHORTEST, LONGEST));
    return new Shape.Block(s.get(0), s.get(1), s.get(2), s.get(3), s.get(4), s.get(5));
  }

  /** The first sizes of a row, a slip of the decimal point doubted (m). */
  private List<Double> sizes(Values v, String row, int count) {
    List<Double> sizes = atLeast(units.sizes(Says.OUTSIDE_SIZES_FIRST.text(), row), row, count);
    sizes.forEach(x -> v.doubt(Says.OUTSIDE_SIZE.text(), Measure.LENGTH, x, SHORTEST, LONGEST));
    return sizes;
  }

  private static List<Double> atLeast(List<Double> sizes, String row, int count) {
    if (sizes.size() < count) {
      throw tooFew(row);
    }
    return sizes;
  }

  private static Refusal tooFew(String row) {
    return new Refusal(Says.HAS_TOO_FEW_NUMBERS_SEE_THE_NOTE.with(row));
  }

  /** A comma parts numbers where a space follows it; otherwise it is a decimal comma. */
  private static List<String> cells(String line) {
    return List.of(line.strip().split("\\s*[,;]\\s+|\\s*;\\s*"));
  }

  private double length(List<String> row, int index) {
    return units.parse(Says.OUTSIDE_SIZES_FIRST.text(), Measure.LENGTH, cell(row, index));
  }

  private static String cell(List<String> row, int index) {
    if (index >= row.size()) {
      throw tooFew(String.join(", ", row));
    }
    return row.get(index);
  }
}
