package fernwort.app.rig;

import fernwort.app.board.PlanDrawing;
import fernwort.app.garage.Descriptions;
import fernwort.app.garage.OpenRig;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.describe.RigEdit;
import fernwort.core.review.LayoutReview;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.ProfilePoint;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Puts the describing screen together, and reads its forms for lines and parts. */
@Component
class Describing {

  private final Descriptions rigs;
  private final PlanDrawing plans;

  Describing(Descriptions rigs, PlanDrawing plans) {
    this.rigs = rigs;
    this.plans = plans;
  }

  DescribeView view(OpenRig open, String part, String line, Units units) {
    Rig rig = open.rig();
    boolean[] can = rigs.canStep(open);
    return new DescribeView(
        open.id(),
        rig.name(),
        open.version(),
        plans.of(open),
        rig.places().stream().map(p -> place(rig, p)).toList(),
        rig.parts().stream()
            .filter(p -> p.id().equals(part))
            .findFirst()
            .map(p -> part(rig, p, units)),
        rig.lines().stream()
            .filter(l -> l.id().equals(line))
            .findFirst()
            .map(l -> line(rig, l, units)),
        LayoutReview.of(open.plumbing()),
        freePorts(rig),
        new VehicleForm(units).fields(rig.vehicle()),
        can[0],
        can[1]);
  }

  private static DescribeView.PlaceParts place(Rig rig, Place place) {
    return new DescribeView.PlaceParts(
        place.id(),
        place.label(),
        place.reach(),
        rig.parts().stream()
            .filter(p -> p.place().equals(place.id()))
            .map(p -> new Field.Option(p.id(), p.label()))
            .toList());
  }

  private static DescribeView.PartView part(Rig rig, Part part, Units units) {
    List<Field> common = new ArrayList<>();
    common.add(Field.text("label", "Name", part.label(), ""));
    common.add(
        Field.choice(
            "place",
            "Place",
            part.place(),
            rig.places().stream().map(p -> new Field.Option(p.id(), p.label())).toList()));
    boolean tank = part.kind() instanceof Kind.Tank;
    common.add(
        length(
            units,
            "height",
            tank ? "Inside bottom over the ground" : "Height over the ground",
            part.height(),
            "Tape from level ground."));
    common.add(
        length(
            units,
            "x",
            tank ? "Rear edge ahead of the rear axle" : "Ahead of the rear axle",
            part.x(),
            "Behind it is negative."));
    common.add(
        length(
            units,
            "y",
            tank ? "Right edge left of the middle" : "Left of the middle",
            part.y(),
            "To the right is negative."));
    if (!tank) {
      common.add(
          Field.number(
              "volume",
              "Water its body holds",
              units.number(Measure.VOLUME, part.volume()),
              units.unit(Measure.VOLUME).sign(),
              "What winter has to get out of it; default of its kind."));
    }
    return new DescribeView.PartView(
        part.id(),
        part.label(),
        common,
        new KindForm(units).fields(TankForm.withBores(rig, part)),
        measure(part.kind()),
        part.kind() instanceof Kind.Tank t
            ? Optional.of(TankPicture.of(t, units))
            : Optional.empty(),
        RigEdit.of(rig).linesAt(part.id()).stream()
            .map(l -> new Field.Option(l.id(), l.label()))
            .toList());
  }

  /** The picture of what to measure on a kind; tanks have their own, to scale. */
  private static String measure(Kind kind) {
    return switch (kind) {
      case Kind.TwoWayValve k -> "handle";
      case Kind.ThreeWayValve k -> "handle";
      case Kind.Pump k -> "plate";
      case Kind.Macerator k -> "plate";
      case Kind.Fixture k -> "jug";
      case Kind.HoseInlet k -> "inlet";
      case Kind.Regulator k -> "dial";
      case Kind.Accumulator k -> "dial";
      case Kind.Filter k -> "filter";
      case Kind.CheckValve k -> "arrow";
      case Kind.Heater k -> "heater";
      case Kind.Tank k -> "";
      case Kind.GravityFiller k -> "";
      case Kind.OpenEnd k -> "";
      case Kind.AirAdmittanceValve k -> "";
      case Kind.Strainer k -> "";
      case Kind.Tee k -> "";
      case Kind.Manifold k -> "";
      case Kind.DrainTrap k -> "";
      case Kind.PortableContainer k -> "";
      case Kind.Plug k -> "";
    };
  }

  private static Field length(Units units, String name, String label, double si, String hint) {
    return Field.number(
        name, label, units.number(Measure.LENGTH, si), units.unit(Measure.LENGTH).sign(), hint);
  }

  private static DescribeView.LineView line(Rig rig, Line line, Units units) {
    List<Field> fields =
        List.of(
            Field.text(
                "label", "Tag", line.label(), "What you write on it before you take it off."),
            length(units, "bore", "Bore", line.bore(), "Inside; printed on the pipe."),
            length(units, "length", "Length", line.length(), "Along the run."),
            Field.choice(
                "material",
                "Material",
                Values.key(line.material()),
                Values.options(Line.Material.class)),
            Field.number(
                "minor",
                "Losses of its fittings (K)",
                Double.toString(line.minorLoss()),
                "",
                "About 0.9 for each elbow, 1.5 for a tee's branch. Default 1.2."),
            Field.rows(
                "profile",
                "Rises and sags",
                line.profile().stream()
                    .map(p ->
                        units.number(Measure.LENGTH, p.along())
                            + ", "
                            + units.number(Measure.LENGTH, p.height()))
                    .collect(Collectors.joining("\n")),
                "A line for each low or high spot: along the run, height over the ground ("
                    + units.unit(Measure.LENGTH).sign()
                    + ")."));
    return new DescribeView.LineView(
        line.id(), line.label(), end(rig, line.from()) + " to " + end(rig, line.to()), fields);
  }

  private static String end(Rig rig, PortRef end) {
    return rig.part(end.part()).label() + " (" + end.port() + ")";
  }

  private static List<Field.Option> freePorts(Rig rig) {
    RigEdit edit = RigEdit.of(rig);
    return rig.parts().stream()
        .flatMap(p ->
            edit.freePorts(p.id()).stream()
                .map(port -> new Field.Option(p.id() + "." + port, p.label() + " (" + port + ")")))
        .toList();
  }

  /** Reads a part's form. */
  static Part part(Rig rig, Part old, Values v) {
    rig.place(v.text("place"));
    boolean tank = old.kind() instanceof Kind.Tank;
    Part changed =
        new Part(
            old.id(),
            v.text("label"),
            v.text("place"),
            v.amount("x", "Ahead of the rear axle", Measure.LENGTH, -6, 14),
            v.amount("y", "Left of the middle", Measure.LENGTH, -1.6, 1.6),
            v.amount("height", "Height over the ground", Measure.LENGTH, -1, 4.5),
            tank ? 0 : v.amount("volume", "Water its body holds", Measure.VOLUME, 0, 0.06),
            new KindForm(v.units()).read(old.kind(), v));
    v.settle();
    return changed;
  }

  /** Reads a line's form. */
  static Line line(Line old, Values v) {
    Line changed =
        new Line(
            old.id(),
            v.text("label"),
            old.from(),
            old.to(),
            v.amount("bore", "Bore", Measure.LENGTH, 0.004, 0.16),
            v.amount("length", "Length", Measure.LENGTH, 0.03, 15),
            v.choice("material", "Material", Line.Material.class),
            v.plain("minor", "Losses of its fittings"),
            v.text("profile")
                .lines()
                .filter(l -> !l.isBlank())
                .map(l -> point(v.units(), l))
                .toList());
    v.settle();
    return changed;
  }

  private static ProfilePoint point(Units units, String line) {
    String[] cells = line.strip().split("\\s*[,;]\\s+|\\s*;\\s*");
    if (cells.length != 2) {
      throw new Refusal(
          "Rises and sags: “%s” needs two numbers, along the run and height".formatted(line));
    }
    return new ProfilePoint(
        units.parse("Along the run", Measure.LENGTH, cells[0]),
        units.parse("Height", Measure.LENGTH, cells[1]));
  }
}
