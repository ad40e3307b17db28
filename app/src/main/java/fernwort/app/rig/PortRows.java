package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.FaceSketch;
import fernwort.app.web.Field;
import fernwort.core.describe.TankResize;
import fernwort.core.id.PortId;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** The openings of a tank as rows: name, use, where from two edges and the bottom, bore. */
final class PortRows {

  private static final int MOST = 24;

  /** Rows that are shown for more. */
  private static final int SPARE = 2;

  private static final List<Field.Head> HEADS =
      List.of(
          new Field.Head("name", ""),
          new Field.Head("use", ""),
          new Field.Head(Says.FROM_THE_REAR.text(), ""),
          new Field.Head(Says.FROM_THE_RIGHT.text(), ""),
          new Field.Head(Says.FROM_THE_BOTTOM.text(), ""),
          new Field.Head("bore", ""));

  private static final List<Field.Option> USES = options();

  private final Units units;

  PortRows(Units units) {
    this.units = units;
  }

  private static List<Field.Option> options() {
    List<Field.Option> options = new ArrayList<>();
    options.add(new Field.Option("", ""));
    options.addAll(Values.options(TankPort.Use.class));
    return List.copyOf(options);
  }

  Field field(List<TankPort> ports) {
    boolean floats = ports.stream().anyMatch(q -> !q.letsOut());
    List<Field.Head> heads = new ArrayList<>(HEADS);
    if (floats) {
      heads.add(
          new Field.Head(
              Says.FLOAT_PASSES_AT_1_BAR.text(),
              Says.IN_FULLY_OPEN.filled(units.unit(Measure.FLOW).sign())));
    }
    List<List<Field>> rows = new ArrayList<>();
    for (int i = 0; i < Math.min(MOST, ports.size() + SPARE); i++) {
      Optional<TankPort> port = i < ports.size() ? Optional.of(ports.get(i)) : Optional.empty();
      List<Field> row = new ArrayList<>(row(i, port));
      if (floats) {
        row.add(passes(i, port));
      }
      rows.add(row);
    }
    return Field.table(
        "ports",
        Says.OPENINGS.filled(units.unit(Measure.LENGTH).sign()),
        Says.INSIDE_TO_THE_MIDDLE_OF_THE_HOLE.text(),
        new Field.Table(heads, rows, false));
  }

  /** The faces of a tank, on which the openings of the rows are tapped. */
  FaceSketch sketch(Tank tank) {
    List<TankPort> ports = tank.tankPorts();
    Point inner =
        new Point(TankResize.length(tank), TankResize.width(tank), TankResize.height(tank));
    return FaceSketch.of(
        inner,
        IntStream.range(0, Math.min(MOST, ports.size()))
            .mapToObj(i ->
                new FaceSketch.Opening(
                    Integer.toString(i), ports.get(i).id().value(), ports.get(i).at()))
            .toList(),
        units,
        "port-",
        false);
  }

  private List<Field> row(int i, Optional<TankPort> port) {
    String p = "port-" + i + "-";
    String which = port.map(x -> x.id().value()).orElse(Says.A_NEW_OPENING.text());
    return List.of(
        Field.text(
            p + "name",
            Says.ITS_NAME_OF.filled(which),
            port.map(TankPort::id).orElse(PortId.NONE).value(),
            ""),
        Field.choice(
            p + "use",
            Says.ITS_USE.filled(which),
            port.map(q -> Values.key(q.use())).orElse(""),
            USES),
        cell(p + "x", Says.FROM_THE_REAR_OF.filled(which), port.map(q -> q.at().x())),
        cell(p + "y", Says.FROM_THE_RIGHT_OF.filled(which), port.map(q -> q.at().y())),
        cell(p + "z", Says.FROM_THE_BOTTOM_OF.filled(which), port.map(q -> q.at().z())),
        cell(p + "bore", Says.ITS_BORE.filled(which), port.flatMap(TankPort::bore)));
  }

  private Field passes(int i, Optional<TankPort> port) {
    String name = "port-" + i + "-passes";
    String label =
        Says.ITS_FLOAT_PASSES.filled(
            port.map(x -> x.id().value()).orElse(Says.A_NEW_OPENING.text()));
    return port.flatMap(TankPort::passes)
        .map(x -> Field.exact(name, label, units.number(Measure.FLOW, x), x, "", ""))
        .orElseGet(() -> Field.number(name, label, "", "", ""));
  }

  private Field cell(String name, String label, Optional<Double> si) {
    return si.map(x -> Field.exact(name, label, units.number(Measure.LENGTH, x), x, "", ""))
        .orElseGet(() -> Field.number(name, label, "", "", ""));
  }

  /** Reads the rows; one that is emptied is gone, one without a name is called after its use. */
  List<TankPort> read(Values v) {
    List<TankPort> ports = new ArrayList<>();
    for (int i = 0; i < MOST; i++) {
      String p = "port-" + i + "-";
      boolean empty =
          v.text(p + "use").isEmpty() && v.text(p + "name").isEmpty() && v.text(p + "x").isEmpty();
      if (!empty) {
        port(v, p, ports).ifPresent(ports::add);
      }
    }
    return ports;
  }

  /** One row; none where its use is not to be understood, which is noted at its field. */
  private static Optional<TankPort> port(Values v, String p, List<TankPort> others) {
    String typed = v.text(p + "name");
    String what = "Opening " + (typed.isEmpty() ? Says.WITHOUT_A_NAME.text() : "“" + typed + "”");
    Optional<TankPort.Use> use =
        v.guarded(p + "use", () -> Optional.of(use(v.text(p + "use"), what)), Optional.empty());
    Point at =
        new Point(
            v.amount(p + "x", Says.FROM_THE_REAR_OF.filled(what), Measure.LENGTH),
            v.amount(p + "y", Says.FROM_THE_RIGHT_OF.filled(what), Measure.LENGTH),
            v.amount(p + "z", Says.FROM_THE_BOTTOM_OF.filled(what), Measure.LENGTH));
    v.guarded(p + "x", () -> free(at, what, others), at);
    return use.map(u ->
        new TankPort(
            typed.isEmpty() ? PortId.of(freeName(Values.key(u), others)) : PortId.of(typed),
            u,
            at,
            v.optional(p + "bore", Says.ITS_BORE.filled(what), Measure.LENGTH),
            v.optional(p + "passes", Says.ITS_FLOAT_PASSES.filled(what), Measure.FLOW)));
  }

  /** Two openings cannot be cut at one spot. */
  private static Point free(Point at, String what, List<TankPort> others) {
    others.stream()
        .filter(o -> o.at().equals(at))
        .findFirst()
        .ifPresent(o -> {
          throw new Refusal(Says.IS_CUT_WHERE_ANOTHER_IS.with(what, o.id()));
        });
    return at;
  }

  private static TankPort.Use use(String text, String what) {
    return Arrays.stream(TankPort.Use.values())
        .filter(u -> Values.key(u).equals(text))
        .findFirst()
        .orElseThrow(() -> new Refusal(Says.IS_NOT_A_USE_CHOOSE_FILL_FEED.with(what, text)));
  }

  private static String freeName(String use, List<TankPort> others) {
    String name = use;
    for (int n = 2; has(others, PortId.of(name)); n++) {
      name = use + "-" + n;
    }
    return name;
  }

  private static boolean has(List<TankPort> ports, PortId id) {
    return ports.stream().anyMatch(p -> p.id().equals(id));
  }
}
