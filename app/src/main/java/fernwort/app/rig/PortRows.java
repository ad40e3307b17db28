package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.FaceSketch;
import fernwort.app.web.Field;
import fernwort.core.describe.TankResize;
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
          new Field.Head("from the rear", ""),
          new Field.Head("from the right", ""),
          new Field.Head("from the bottom", ""),
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
              "float passes at 1 bar", "in " + units.unit(Measure.FLOW).sign() + ", fully open"));
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
        "Openings (" + units.unit(Measure.LENGTH).sign() + ")",
        "Inside, to the middle of the hole. A bore starts as that of its line; leave it out for a"
            + " mere point. A float is a fill whose valve closes when the water comes up to it.",
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
                new FaceSketch.Opening(Integer.toString(i), ports.get(i).id(), ports.get(i).at()))
            .toList(),
        units,
        "port-",
        false);
  }

  private List<Field> row(int i, Optional<TankPort> port) {
    String p = "port-" + i + "-";
    String which = port.map(TankPort::id).orElse("a new opening");
    return List.of(
        Field.text(p + "name", which + ", its name", port.map(TankPort::id).orElse(""), ""),
        Field.choice(
            p + "use", which + ", its use", port.map(q -> Values.key(q.use())).orElse(""), USES),
        cell(p + "x", which + ", from the rear", port.map(q -> q.at().x())),
        cell(p + "y", which + ", from the right", port.map(q -> q.at().y())),
        cell(p + "z", which + ", from the bottom", port.map(q -> q.at().z())),
        cell(p + "bore", which + ", its bore", port.flatMap(TankPort::bore)));
  }

  private Field passes(int i, Optional<TankPort> port) {
    String name = "port-" + i + "-passes";
    String label = port.map(TankPort::id).orElse("a new opening") + ", its float passes";
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
    String what = "Opening " + (typed.isEmpty() ? "without a name" : "“" + typed + "”");
    Optional<TankPort.Use> use =
        v.guarded(p + "use", () -> Optional.of(use(v.text(p + "use"), what)), Optional.empty());
    return use.map(u ->
        new TankPort(
            typed.isEmpty() ? freeName(Values.key(u), others) : typed,
            u,
            new Point(
                v.amount(p + "x", what + ", from the rear", Measure.LENGTH),
                v.amount(p + "y", what + ", from the right", Measure.LENGTH),
                v.amount(p + "z", what + ", from the bottom", Measure.LENGTH)),
            v.optional(p + "bore", what + ", its bore", Measure.LENGTH),
            v.optional(p + "passes", what + ", its float passes", Measure.FLOW)));
  }

  private static TankPort.Use use(String text, String what) {
    return Arrays.stream(TankPort.Use.values())
        .filter(u -> Values.key(u).equals(text))
        .findFirst()
        .orElseThrow(() ->
            new Refusal(
                "%s: “%s” is not a use; choose fill, feed, vent, drain, gauge, link or float"
                    .formatted(what, text)));
  }

  private static String freeName(String use, List<TankPort> others) {
    String name = use;
    for (int n = 2; has(others, name); n++) {
      name = use + "-" + n;
    }
    return name;
  }

  private static boolean has(List<TankPort> ports, String id) {
    return ports.stream().anyMatch(p -> p.id().equals(id));
  }
}
