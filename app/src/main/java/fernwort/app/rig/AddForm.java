package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.describe.Addition;
import fernwort.core.describe.Alteration;
import fernwort.core.describe.NewParts;
import fernwort.core.describe.PortNames;
import fernwort.core.describe.RigEdit;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.kind.NewPart;
import fernwort.core.rig.Line;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The one form by which something is added where somebody tapped: at a line, a port, a place. */
final class AddForm {

  private static final String LINE = "line:";
  private static final String PORT = "port:";
  private static final String PLACE = "place:";
  private static final String JOIN = "join:";

  /** What is chosen first, where nothing else is more likely. */
  private static final String USUAL = "valve";

  private AddForm() {}

  /** A port in an address. */
  static String name(PortRef port) {
    return port.part() + "." + port.port();
  }

  /** Returns the form for what was picked; none for a part, or for nothing. */
  static Optional<DescribeView.AddView> at(
      Rig rig, PortNames names, Describing.Picked picked, Units units) {
    if (rig.lines().stream().anyMatch(l -> l.id().value().equals(picked.line()))) {
      return Optional.of(line(names, RigEdit.of(rig).line(LineId.of(picked.line())), rig, units));
    }
    Optional<PortRef> free =
        names.free().stream().filter(p -> name(p).equals(picked.port())).findFirst();
    if (free.isPresent()) {
      return Optional.of(port(rig, names, free.orElseThrow(), units));
    }
    return rig.places().stream()
        .filter(p -> p.id().value().equals(picked.place()))
        .findFirst()
        .map(p ->
            new DescribeView.AddView(
                PLACE + p.id(),
                Says.ADD_A_PART.text(),
                Says.IT_IS_JOINED_TO_NOTHING_YET.text(),
                USUAL,
                List.of(new DescribeView.Group("", options(NewParts.all()))),
                List.of(name(), height(units, p.z()))));
  }

  private static DescribeView.AddView line(PortNames names, Line line, Rig rig, Units units) {
    List<Field> fields = new ArrayList<>();
    fields.add(name());
    fields.add(
        Field.choice(
            "towards",
            Says.WATER_GOES_ON_TOWARDS.text(),
            name(Addition.onward(rig, line)),
            List.of(
                new Field.Option(name(line.to()), names.beyond(line.from())),
                new Field.Option(name(line.from()), names.beyond(line.to())))));
    fields.add(length(units, Says.FOR_A_BRANCH_EMPTY_IF_NOBODY.text()));
    return new DescribeView.AddView(
        LINE + line.id(),
        Says.ADD_A_PART.text(),
        Says.WHAT_LETS_WATER_PASS_IS_PUT.text(),
        USUAL,
        List.of(
            new DescribeView.Group(Says.INTO_THE_LINE.text(), options(NewParts.inLine())),
            new DescribeView.Group(Says.ON_A_BRANCH.text(), options(NewParts.atEnd()))),
        fields);
  }

  private static DescribeView.AddView port(Rig rig, PortNames names, PortRef port, Units units) {
    List<DescribeView.Group> groups = new ArrayList<>();
    groups.add(new DescribeView.Group(Says.SOMETHING_NEW.text(), options(NewParts.joined())));
    List<Field.Option> others =
        names.free().stream()
            .filter(p -> !p.part().equals(port.part()))
            .map(p -> new Field.Option(JOIN + name(p), names.full(p)))
            .toList();
    if (!others.isEmpty()) {
      groups.add(new DescribeView.Group(Says.A_LINE_TO.text(), others));
    }
    return new DescribeView.AddView(
        PORT + name(port),
        "At " + names.at(port),
        Says.WHAT_YOU_CONNECT_GETS_A_LINE.text(),
        NewParts.usualAt(rig.part(port.part()), port.port()).id(),
        groups,
        List.of(name(), length(units, Says.OF_THE_LINE_EMPTY_IF_NOBODY.text())));
  }

  private static List<Field.Option> options(List<NewPart> parts) {
    return parts.stream().map(p -> new Field.Option(p.id(), p.label())).toList();
  }

  private static Field name() {
    return Field.text("add-label", Says.ITS_NAME.text(), "", "");
  }

  private static Field length(Units units, String hint) {
    return Field.number("add-length", "Length", "", units.unit(Measure.LENGTH).sign(), hint);
  }

  private static Field height(Units units, double si) {
    return Field.number(
        "add-height",
        Says.HEIGHT_OVER_THE_GROUND.text(),
        "",
        units.unit(Measure.LENGTH).sign(),
        Says.EMPTY_AS_HIGH_AS_THE_PLACE.filled(units.show(Measure.LENGTH, si)));
  }

  /**
   * Reads the form.
   *
   * @throws Refusal when it points at nothing that is there
   */
  static Alteration read(Rig rig, Map<String, String> form, Units units) {
    Values v = new Values(form, units, List.of());
    Optional<Double> length = v.optional("add-length", "Length", Measure.LENGTH, 0.03, 15);
    Optional<Double> height = v.optional("add-height", "Height", Measure.LENGTH, -1, 4.5);
    v.settle();
    String at = v.text("at");
    String what = v.text("what");
    if (what.startsWith(JOIN) && at.startsWith(PORT)) {
      PortRef from = free(rig, at.substring(PORT.length()));
      return Addition.joined(rig, from, free(rig, what.substring(JOIN.length())), length);
    }
    Addition addition =
        new Addition(
            NewParts.of(what),
            v.text("add-label"),
            Optional.of(v.text("towards")).filter(t -> !t.isEmpty()).map(AddForm::port),
            length,
            height);
    return addition.at(rig, where(rig, at));
  }

  private static Addition.Where where(Rig rig, String at) {
    if (at.startsWith(LINE)) {
      return new Addition.OnLine(LineId.of(at.substring(LINE.length())));
    }
    if (at.startsWith(PLACE)) {
      return new Addition.InPlace(PlaceId.of(at.substring(PLACE.length())));
    }
    if (at.startsWith(PORT)) {
      return new Addition.OnPort(free(rig, at.substring(PORT.length())));
    }
    throw new Refusal(Says.NOTHING_WAS_PICKED_PICK_A_LINE.with());
  }

  private static PortRef free(Rig rig, String name) {
    PortRef port = port(name);
    if (!PortNames.of(rig).free().contains(port)) {
      throw new Refusal(Says.IS_NO_LONGER_A_FREE_END_PICK.with(name));
    }
    return port;
  }

  private static PortRef port(String text) {
    int dot = text.lastIndexOf('.');
    if (dot < 0) {
      throw new Refusal(Says.IS_NOT_A_PORT_PICK.with(text));
    }
    return new PortRef(PartId.of(text.substring(0, dot)), PortId.of(text.substring(dot + 1)));
  }
}
