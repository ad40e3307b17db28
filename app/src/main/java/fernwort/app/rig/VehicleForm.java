package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Doubt;
import fernwort.app.web.Field;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Hitch;
import fernwort.core.rig.Vehicle;
import fernwort.core.say.Refusal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** The vehicle as a form, and back. */
final class VehicleForm {

  private final Units units;

  VehicleForm(Units units) {
    this.units = units;
  }

  List<Field> fields(Vehicle v) {
    Optional<Hitch> hitch = v.hitch();
    return List.of(
        Field.choice("body", "Is a", Values.key(v.body()), Values.options(Vehicle.Body.class)),
        length("rear", "Rear end", v.rear(), "Ahead of the rear axle; behind it is negative."),
        length("nose", "Front end", v.nose(), "Drawbar included."),
        length("width", "Width", v.width(), ""),
        length("floor", "Floor over the ground", v.floor(), ""),
        length("roof", "Roof over the ground", v.roof(), ""),
        length(
            "clearance",
            "Lowest that a part may hang",
            v.clearance(),
            "Your rule, or your ramp's; measured laden."),
        Field.rows(
            "axles",
            "Axles, rear first",
            v.axles().stream().map(this::axle).collect(Collectors.joining("\n")),
            "A line for each: name; ahead of the rear axle (%s); limit; load with empty tanks (%s)."
                .formatted(sign(Measure.LENGTH), sign(Measure.MASS))),
        length(
            "hitch",
            "Coupling ahead of the rear axle",
            hitch.map(Hitch::x),
            "For a trailer; empty for none."),
        mass("hitch-lowest", "Least it should carry", hitch.map(Hitch::lowest), ""),
        mass("hitch-highest", "Most it may carry", hitch.map(Hitch::highest), "Its plate."),
        mass(
            "hitch-empty",
            "It carries with empty tanks",
            hitch.flatMap(Hitch::emptyLoad),
            "A bathroom scale under the jockey wheel; empty if nobody weighed it."));
  }

  private Field length(String name, String label, double si, String hint) {
    return length(name, label, Optional.of(si), hint);
  }

  private Field length(String name, String label, Optional<Double> si, String hint) {
    return amount(name, label, Measure.LENGTH, si, hint);
  }

  private Field mass(String name, String label, Optional<Double> si, String hint) {
    return amount(name, label, Measure.MASS, si, hint);
  }

  private Field amount(
      String name, String label, Measure measure, Optional<Double> si, String hint) {
    return Field.number(
        name, label, si.map(x -> units.number(measure, x)).orElse(""), sign(measure), hint);
  }

  private String sign(Measure measure) {
    return units.unit(measure).sign();
  }

  private String axle(Axle axle) {
    return "%s; %s; %s; %s"
        .formatted(
            axle.label(),
            units.number(Measure.LENGTH, axle.x()),
            units.number(Measure.MASS, axle.limit()),
            units.number(Measure.MASS, axle.emptyLoad()));
  }

  /**
   * Reads the form.
   *
   * @throws Refusal naming field and mend
   * @throws Doubt when an amount looks like a slip of the decimal point
   */
  Vehicle read(Values v) {
    Vehicle vehicle =
        new Vehicle(
            v.choice("body", "What it is", Vehicle.Body.class),
            v.amount("rear", "Rear end", Measure.LENGTH, -6, 0),
            v.amount("nose", "Front end", Measure.LENGTH, 0.5, 14),
            v.amount("width", "Width", Measure.LENGTH, 0.8, 2.6),
            v.amount("floor", "Floor over the ground", Measure.LENGTH, 0.2, 1.6),
            v.amount("roof", "Roof over the ground", Measure.LENGTH, 1, 4.5),
            v.amount("clearance", "Lowest that a part may hang", Measure.LENGTH, 0.05, 0.8),
            v.text("axles").lines().filter(l -> !l.isBlank()).map(this::axle).toList(),
            hitch(v));
    v.settle();
    return vehicle;
  }

  private Axle axle(String line) {
    String[] cells = line.strip().split("\\s*;\\s*");
    if (cells.length != 4) {
      throw new Refusal(
          "Axles: “%s” needs a name and three numbers, parted by semicolons".formatted(line));
    }
    return new Axle(
        cells[0],
        units.parse("Place of axle " + cells[0], Measure.LENGTH, cells[1]),
        units.parse("Limit of axle " + cells[0], Measure.MASS, cells[2]),
        units.parse("Empty load of axle " + cells[0], Measure.MASS, cells[3]));
  }

  private static Optional<Hitch> hitch(Values v) {
    if (v.text("hitch").isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        new Hitch(
            v.amount("hitch", "Coupling", Measure.LENGTH, 0.5, 14),
            v.amount("hitch-lowest", "Least on the coupling", Measure.MASS, 0, 500),
            v.amount("hitch-highest", "Most on the coupling", Measure.MASS, 20, 1500),
            v.text("hitch-empty").isEmpty()
                ? Optional.empty()
                : Optional.of(
                    v.amount("hitch-empty", "Empty load of the coupling", Measure.MASS, 0, 1500))));
  }
}
