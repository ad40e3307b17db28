package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.FaceSketch;
import fernwort.app.web.Field;
import fernwort.core.describe.TankResize;
import fernwort.core.guide.Guided;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankAnswers.Opening;
import fernwort.core.guide.answers.Venting;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Face;
import fernwort.core.rig.Part;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** The openings of each tank, shown on a sketch of its faces; where its vent ends. */
final class VentsPage implements GuidePage {

  private static final double LARGEST = 4;

  @Override
  public String id() {
    return "vents";
  }

  @Override
  public String title() {
    return Says.VENTS_AND_OPENINGS.text();
  }

  @Override
  public List<Card> cards(RigAnswers answers, Units units) {
    Guided guided = Guided.of(answers);
    return answers.tanks().stream().map(tank -> card(tank, answers, guided, units)).toList();
  }

  private static Card card(TankAnswers tank, RigAnswers answers, Guided guided, Units units) {
    Part part = guided.rig().part(guided.tanks().getOrDefault(tank.id(), PartId.NONE));
    fernwort.core.kind.end.Tank made = (fernwort.core.kind.end.Tank) part.kind();
    List<Field> fields = new ArrayList<>();
    fields.add(
        GuidePage.amount(
            tank.id() + "-vent",
            Says.ITS_VENT_ENDS_ABOVE_THE_GROUND.text(),
            units,
            Measure.LENGTH,
            tank.ventEnd(),
            Says.THE_THIN_LINE_FROM_ITS_TOP.text()));
    fields.add(
        Field.tick(
            tank.id() + "-rises", Says.THE_VENT_HOSE_LOOPS_HIGHER.text(), tank.ventRises(), ""));
    fields.add(openings(tank, made, answers, units));
    return new Card(
        tank.id(),
        tank.label(),
        Says.ITS_OPENINGS.text(),
        fields,
        List.of(),
        Optional.of(sketch(tank, made, answers, units)),
        more(tank, answers));
  }

  /** How few tanks breathe. */
  private static More more(TankAnswers tank, RigAnswers answers) {
    Venting venting = tank.venting();
    List<Field> fields = new ArrayList<>();
    fields.add(
        Field.choice(
            tank.id() + "-second",
            Says.A_SECOND_OPENING_AT_ITS_TOP.text(),
            venting.second().name(),
            List.of(
                new Field.Option("NONE", Says.THERE_IS_NONE.text()),
                new Field.Option("OPEN", Says.AN_OVERFLOW_THAT_LEADS_DOWN.text()),
                new Field.Option("VALVED", Says.AN_OVERFLOW_WITH_A_VALVE.text()))));
    fields.add(
        Field.tick(
            tank.id() + "-overflow",
            Says.ITS_VENT_IS_THE_OVERFLOW.text(),
            venting.overflow(),
            Says.IT_LEADS_DOWN_AND_OUT.text()));
    fields.add(
        Field.tick(
            tank.id() + "-vent-valve", Says.A_VALVE_CLOSES_ITS_VENT.text(), venting.valve(), ""));
    List<TankAnswers> earlier = answers.tanks().subList(0, answers.tanks().indexOf(tank));
    List<TankAnswers> same = earlier.stream().filter(t -> t.contents() == tank.contents()).toList();
    if (!same.isEmpty()) {
      List<Field.Option> options = new ArrayList<>();
      options.add(new Field.Option("", Says.IT_ENDS_BY_ITSELF.text()));
      same.forEach(t -> options.add(new Field.Option(t.id(), t.label())));
      fields.add(
          Field.choice(
              tank.id() + "-joins",
              Says.ITS_VENT_RUNS_INTO_THAT_OF.text(),
              venting.joins().orElse(""),
              options));
    }
    return new More(
        Says.AN_OVERFLOW_OR_A_VALVE_ON_THE_VENT.text(), fields, !venting.equals(Venting.USUAL));
  }

  private static Venting venting(TankAnswers tank, FilledPage sheet) {
    String second = tank.id() + "-second";
    if (!sheet.has(second)) {
      return tank.venting();
    }
    return new Venting(
        sheet.tick(tank.id() + "-overflow"),
        sheet.tick(tank.id() + "-vent-valve"),
        sheet.choice(second, tank.venting().second()),
        Optional.of(sheet.text(tank.id() + "-joins")).filter(joined -> !joined.isEmpty()));
  }

  private static FaceSketch sketch(
      TankAnswers tank, fernwort.core.kind.end.Tank made, RigAnswers answers, Units units) {
    Point inner =
        new Point(TankResize.length(made), TankResize.width(made), TankResize.height(made));
    return FaceSketch.of(
        inner,
        made.tankPorts().stream()
            .map(p -> new FaceSketch.Opening(p.id().value(), words(p, answers), p.at()))
            .toList(),
        units,
        tank.id() + "-open-",
        true);
  }

  private static String words(TankPort port, RigAnswers answers) {
    return switch (port.id().value()) {
      case "vent" -> "vent";
      case "neck" -> Says.TANK_FILLER.text();
      case "mains" -> Says.FROM_MAINS_WATER.text();
      case "feed" -> Says.TO_THE_PUMP.text();
      case "drain" -> "drain";
      case "transfer" -> Says.FROM_ANOTHER_TANK.text();
      case "overflow" -> Says.TO_THE_OVERFLOW.text();
      case "return" -> Says.FROM_THE_PUMP.text();
      case "low-float" -> Says.FROM_THE_LOWER_FLOAT.text();
      case "barrel" -> Says.FROM_THE_BARREL.text();
      case "spout" -> Says.TO_ITS_CAP.text();
      case "rinse" -> Says.FROM_THE_RINSE_INLET.text();
      default ->
          answers.tanks().stream()
              .filter(t -> port.id().value().equals("to-" + t.id()))
              .map(t -> "to " + t.label())
              .findFirst()
              .orElse(port.id().value().replace('-', ' '));
    };
  }

  private static Field openings(
      TankAnswers tank, fernwort.core.kind.end.Tank made, RigAnswers answers, Units units) {
    List<List<Field>> rows = new ArrayList<>();
    List<String> names = new ArrayList<>();
    for (TankPort port : made.tankPorts()) {
      Optional<Opening> shown =
          tank.openings().stream().filter(o -> o.port().equals(port.id())).findFirst();
      String field = field(tank, port.id());
      String words = words(port, answers);
      names.add(words);
      rows.add(
          List.of(
              Field.choice(
                  field + "face",
                  Says.ITS_FACE.filled(words),
                  shown.map(o -> o.face().name()).orElse(""),
                  FACES),
              length(
                  field + "across", Says.ACROSS.filled(words), shown.map(Opening::across), units),
              length(field + "up", words + ", up", shown.map(Opening::up), units)));
    }
    return Field.table(
        tank.id() + "-openings",
        Says.MEASURED_FROM_TWO_EDGES.filled(units.lengthSign()),
        Says.TO_THE_MIDDLE_OF_THE_HOLE.filled(tank.inside() ? "Inside" : "Outside"),
        new Field.Table(HEADS, rows, false, names));
  }

  private static final List<Field.Head> HEADS =
      List.of(new Field.Head("face", ""), new Field.Head("across", ""), new Field.Head("up", ""));

  private static final List<Field.Option> FACES = faces();

  private static List<Field.Option> faces() {
    List<Field.Option> faces = new ArrayList<>();
    faces.add(new Field.Option("", Says.AS_USUAL.text()));
    Arrays.stream(Face.values()).forEach(f -> faces.add(new Field.Option(f.name(), f.words())));
    return List.copyOf(faces);
  }

  private static String field(TankAnswers tank, PortId port) {
    return tank.id() + "-open-" + port + "-";
  }

  private static Field length(String name, String label, Optional<Double> si, Units units) {
    return Field.number(
        name, label, si.map(x -> units.number(Measure.LENGTH, x)).orElse(""), "", "");
  }

  @Override
  public RigAnswers read(RigAnswers before, FilledPage sheet) {
    Guided guided = Guided.of(before);
    return before.with(
        before.tanks().stream()
            .map(tank -> sheet.has(tank.id() + "-vent") ? read(tank, guided, sheet) : tank)
            .toList());
  }

  private static TankAnswers read(TankAnswers tank, Guided guided, FilledPage sheet) {
    Part part = guided.rig().part(guided.tanks().getOrDefault(tank.id(), PartId.NONE));
    List<Opening> openings = new ArrayList<>();
    for (PortId port : part.kind().ports()) {
      Optional<Opening> was =
          tank.openings().stream().filter(o -> o.port().equals(port)).findFirst();
      if (!sheet.has(field(tank, port) + "face")) {
        was.ifPresent(openings::add);
      } else {
        sheet
            .choice(field(tank, port) + "face", Face.class)
            .ifPresent(face -> openings.add(opening(tank, port, face, was, sheet)));
      }
    }
    return tank.vented(
            sheet.amount(
                tank.id() + "-vent",
                Says.VENT.filled(tank.label()),
                Measure.LENGTH,
                tank.ventEnd(),
                0.05,
                5),
            sheet.tick(tank.id() + "-rises"))
        .breathing(venting(tank, sheet))
        .opened(openings);
  }

  private static Opening opening(
      TankAnswers tank, PortId port, Face face, Optional<Opening> was, FilledPage sheet) {
    String label = tank.label() + ", " + port;
    return new Opening(
        port,
        face,
        sheet.amount(
            field(tank, port) + "across",
            Says.ACROSS.filled(label),
            Measure.LENGTH,
            was.map(Opening::across).orElse(0.0),
            0,
            LARGEST),
        sheet.amount(
            field(tank, port) + "up",
            label + ", up",
            Measure.LENGTH,
            was.map(Opening::up).orElse(0.0),
            0,
            LARGEST));
  }
}
