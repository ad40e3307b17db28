package fernwort.app.rig;

import fernwort.app.board.Drawing;
import fernwort.app.board.PlanDrawing;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.describe.FloorGrid;
import fernwort.core.describe.NewParts;
import fernwort.core.describe.PortNames;
import fernwort.core.describe.TankResize;
import fernwort.core.id.LineId;
import fernwort.core.id.PlaceId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Point;
import fernwort.core.review.LayoutReview;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

  /** What somebody has picked on the rig: a part, a line, a free port or a place; or nothing. */
  record Picked(String part, String line, String port, String place) {}

  DescribeView view(OpenRig open, Picked picked, Units units) {
    Rig rig = open.rig();
    PortNames names = PortNames.of(rig);
    boolean[] can = rigs.canStep(open);
    Drawing drawing = plans.of(open);
    return new DescribeView(
        open.id(),
        rig.name(),
        open.version(),
        drawing,
        FreeEnds.of(rig, names, drawing),
        rig.places().stream().map(p -> place(rig, p)).toList(),
        rig.parts().stream()
            .filter(p -> p.id().value().equals(picked.part()))
            .findFirst()
            .map(p -> part(rig, names, p, units)),
        rig.lines().stream()
            .filter(l -> l.id().value().equals(picked.line()))
            .findFirst()
            .map(l -> line(names, l, units)),
        rig.places().stream()
            .filter(p -> p.id().value().equals(picked.place()))
            .findFirst()
            .map(p -> new PlaceForm(rig, units).view(p)),
        AddForm.at(rig, names, picked, units),
        LayoutReview.of(open.network()),
        new VehicleForm(units).fields(rig.vehicle()),
        can[0],
        can[1]);
  }

  private static DescribeView.PlaceParts place(Rig rig, Place place) {
    return new DescribeView.PlaceParts(
        place.id().value(),
        place.label(),
        place.reach(),
        rig.parts().stream()
            .filter(p -> p.place().equals(place.id()))
            .map(p -> new Field.Option(p.id().value(), p.label()))
            .toList());
  }

  private static DescribeView.PartView part(Rig rig, PortNames names, Part part, Units units) {
    return new DescribeView.PartView(
        part.id().value(),
        part.label(),
        common(rig, part, units),
        measured(part, units),
        form(rig, part, units).fields(TankForm.withBores(rig, part)),
        measure(part.kind()),
        tank(part).map(t -> TankPicture.of(t, units)),
        tank(part).map(t -> new PortRows(units).sketch(t)),
        form(rig, part, units).positions(part.kind()),
        part.kind().ports().stream().map(p -> end(rig, names, part.port(p))).toList());
  }

  private static KindForm form(Rig rig, Part part, Units units) {
    PortNames names = PortNames.of(rig);
    return new KindForm(units, port -> names.beyond(part.port(port)));
  }

  private static DescribeView.End end(Rig rig, PortNames names, PortRef port) {
    Optional<Line> line = Optional.ofNullable(rig.linesByPort().get(port));
    return new DescribeView.End(
        names.words(port),
        line.map(Line::id).orElse(LineId.NONE).value(),
        line.map(Line::label).orElse(""),
        AddForm.name(port));
  }

  private static List<Field> common(Rig rig, Part part, Units units) {
    List<Field> common = new ArrayList<>();
    common.add(Field.text("label", "Name", part.label(), ""));
    common.add(
        Field.choice(
            "place",
            "Place",
            part.place().value(),
            rig.places().stream().map(p -> new Field.Option(p.id().value(), p.label())).toList()));
    boolean tank = part.kind().is(Purpose.HOLDS);
    common.add(
        length(
            units,
            "height",
            tank ? Says.INSIDE_BOTTOM_OVER_THE_GROUND.text() : Says.HEIGHT_OVER_THE_GROUND.text(),
            part.height(),
            Says.TAPE_FROM_LEVEL_GROUND.text()));
    if (!tank) {
      common.add(body(part, units));
    }
    common.add(Field.spot("spot", Says.WHERE_IT_IS_ON_THE_PLAN.text(), spot(rig, part)));
    return common;
  }

  /** What its body holds; 0 is not known where its kind usually holds something. */
  private static Field body(Part part, Units units) {
    Optional<Double> usual = NewParts.body(part.kind()).filter(v -> v > 0);
    String hint =
        usual
            .map(v -> Says.WINTER_HAS_TO_GET_IT_OUT_EMPTY.filled(units.show(Measure.VOLUME, v)))
            .orElse(Says.WINTER_HAS_TO_GET_IT_OUT.text());
    String label = Says.WATER_ITS_BODY_HOLDS.text();
    String sign = units.unit(Measure.VOLUME).sign();
    return part.volume() == 0 && usual.isPresent()
        ? Field.number("volume", label, "", sign, hint)
        : Field.exact(
            "volume",
            label,
            units.number(Measure.VOLUME, part.volume()),
            part.volume(),
            sign,
            hint);
  }

  /** The field of the plan in which the middle of a part is. */
  private static String spot(Rig rig, Part part) {
    Point middle = middle(part);
    FloorGrid.Cell cell = FloorGrid.of(rig.vehicle()).cell(middle.x(), middle.y());
    return cell.along() + "-" + cell.side();
  }

  private static Optional<Tank> tank(Part part) {
    return part.kind() instanceof Tank tank ? Optional.of(tank) : Optional.empty();
  }

  private static Point middle(Part part) {
    double x = tank(part).map(t -> TankResize.length(t) / 2).orElse(0.0);
    double y = tank(part).map(t -> TankResize.width(t) / 2).orElse(0.0);
    return new Point(part.x() + x, part.y() + y, part.height());
  }

  /** Where it is to the centimetre, for whoever has measured. */
  private static List<Field> measured(Part part, Units units) {
    boolean tank = part.kind().is(Purpose.HOLDS);
    return List.of(
        length(
            units,
            "x",
            tank
                ? Says.REAR_EDGE_AHEAD_OF_THE_REAR_AXLE.text()
                : Says.AHEAD_OF_THE_REAR_AXLE.text(),
            part.x(),
            Says.BEHIND_IT_IS_NEGATIVE.text()),
        length(
            units,
            "y",
            tank ? Says.RIGHT_EDGE_LEFT_OF_THE_MIDDLE.text() : Says.LEFT_OF_THE_MIDDLE.text(),
            part.y(),
            Says.TO_THE_RIGHT_IS_NEGATIVE.text()));
  }

  /** The picture of what to measure on a kind; tanks have their own, to scale. */
  private static String measure(Kind kind) {
    return switch (kind.figure()) {
      case "valve", "motor" -> "handle";
      case "pump" -> "plate";
      case "tap", "shower", "toilet" -> "jug";
      case "regulator", "surge" -> "dial";
      case "check" -> "arrow";
      case "inlet", "filter", "heater" -> kind.figure();
      default -> "";
    };
  }

  static Field length(Units units, String name, String label, double si, String hint) {
    return Field.exact(
        name, label, units.number(Measure.LENGTH, si), si, units.unit(Measure.LENGTH).sign(), hint);
  }

  private static DescribeView.LineView line(PortNames names, Line line, Units units) {
    return new DescribeView.LineView(
        line.id().value(),
        line.label(),
        names.at(line.from()),
        names.at(line.to()),
        new LineForm(units).fields(line));
  }

  /** Returns all that the form of a part asks. */
  static List<Field> asked(Rig rig, Part part, Units units) {
    List<Field> asked = new ArrayList<>(common(rig, part, units));
    asked.addAll(measured(part, units));
    asked.addAll(form(rig, part, units).fields(TankForm.withBores(rig, part)));
    return asked;
  }

  /** Reads a part's form. */
  static Part part(Rig rig, Part old, Map<String, String> form, Units units) {
    Values v = new Values(form, units, asked(rig, old, units));
    rig.place(PlaceId.of(v.text("place")));
    Point at = spotted(rig, old, v);
    Kind kind = form(rig, old, units).read(old.kind(), v);
    double height = v.amount("height", Says.HEIGHT_OVER_THE_GROUND.text(), Measure.LENGTH, -1, 4.5);
    double body =
        old.kind().is(Purpose.HOLDS)
            ? 0
            : v.optional("volume", Says.WATER_ITS_BODY_HOLDS.text(), Measure.VOLUME, 0, 0.06)
                .filter(given -> given > 0)
                .or(() -> NewParts.body(old.kind()))
                .orElse(0.0);
    v.settle();
    return new Part(
        old.id(), v.text("label"), PlaceId.of(v.text("place")), at.x(), at.y(), height, body, kind);
  }

  /** Where a part is: as measured, where that was changed; else where it was tapped to be. */
  private static Point spotted(Rig rig, Part old, Values v) {
    double x = v.amount("x", Says.AHEAD_OF_THE_REAR_AXLE.text(), Measure.LENGTH, -6, 14);
    double y = v.amount("y", Says.LEFT_OF_THE_MIDDLE.text(), Measure.LENGTH, -1.6, 1.6);
    String spot = v.text("spot");
    boolean measured = x != old.x() || y != old.y();
    if (measured || !spot.matches("[0-4]-[0-2]") || spot.equals(spot(rig, old))) {
      return new Point(x, y, old.height());
    }
    FloorGrid.Cell cell = new FloorGrid.Cell(spot.charAt(0) - '0', spot.charAt(2) - '0');
    Point to = FloorGrid.of(rig.vehicle()).point(cell, old.height());
    Point was = middle(old);
    return new Point(old.x() + to.x() - was.x(), old.y() + to.y() - was.y(), old.height());
  }
}
