package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Doubt;
import fernwort.app.web.Field;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Hitch;
import fernwort.core.rig.Vehicle;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** The vehicle as a form, and back. */
final class VehicleForm {

  private static final int MOST_AXLES = 5;

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
        axles(v.axles()),
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
    return si.map(x -> Field.exact(name, label, units.number(measure, x), x, sign(measure), hint))
        .orElseGet(() -> Field.number(name, label, "", sign(measure), hint));
  }

  private String sign(Measure measure) {
    return units.unit(measure).sign();
  }

  private Field axles(List<Axle> axles) {
    List<List<Field>> rows = new ArrayList<>();
    for (int i = 0; i < Math.min(MOST_AXLES, axles.size() + 1); i++) {
      Optional<Axle> axle = i < axles.size() ? Optional.of(axles.get(i)) : Optional.empty();
      String which = axle.map(Axle::label).orElse("one more") + " axle, ";
      rows.add(
          List.of(
              Field.text("axle-" + i, which + "its name", axle.map(Axle::label).orElse(""), ""),
              length("axle-x-" + i, which + "ahead of the rear axle", axle.map(Axle::x), ""),
              mass("axle-limit-" + i, which + "its limit", axle.map(Axle::limit), ""),
              mass("axle-empty-" + i, which + "with empty tanks", axle.map(Axle::emptyLoad), "")));
    }
    return Field.table(
        "axles",
        "Axles, rear first",
        "Ahead of the rear axle in %s; limit on its plate and load with empty tanks in %s. One left without a name is removed."
            .formatted(sign(Measure.LENGTH), sign(Measure.MASS)),
        new Field.Table(
            List.of(
                new Field.Head("name", ""),
                new Field.Head("ahead of the rear", ""),
                new Field.Head("limit", ""),
                new Field.Head("with empty tanks", "")),
            rows,
            false));
  }

  /**
   * Reads the form.
   *
   * @throws Refusal naming field and mend
   * @throws Doubt when an amount looks like a slip of the decimal point
   */
  Vehicle read(Vehicle old, Map<String, String> form) {
    Values v = new Values(form, units, fields(old));
    Vehicle vehicle =
        new Vehicle(
            v.choice("body", "What it is", Vehicle.Body.class),
            v.amount("rear", "Rear end", Measure.LENGTH, -6, 0),
            v.amount("nose", "Front end", Measure.LENGTH, 0.5, 14),
            v.amount("width", "Width", Measure.LENGTH, 0.8, 2.6),
            v.amount("floor", "Floor over the ground", Measure.LENGTH, 0.2, 1.6),
            v.amount("roof", "Roof over the ground", Measure.LENGTH, 1, 4.5),
            v.amount("clearance", "Lowest that a part may hang", Measure.LENGTH, 0.05, 0.8),
            axles(v),
            hitch(v));
    v.settle();
    return vehicle;
  }

  private static List<Axle> axles(Values v) {
    List<Axle> axles = new ArrayList<>();
    for (int row = 0; row < MOST_AXLES; row++) {
      int i = row;
      String field = "axle-" + i;
      String name = v.text(field);
      boolean begun =
          Stream.of("axle-x-", "axle-limit-", "axle-empty-")
              .map(f -> f + i)
              .anyMatch(f -> !v.text(f).isEmpty() && !v.isAsShown(f));
      if (name.isEmpty() && begun) {
        v.slip(field, "An axle has no name; give it one, such as rear");
      } else if (!name.isEmpty()) {
        axles.add(
            new Axle(
                name,
                v.amount("axle-x-" + i, "Place of axle " + name, Measure.LENGTH),
                v.amount("axle-limit-" + i, "Limit of axle " + name, Measure.MASS),
                v.amount("axle-empty-" + i, "Empty load of axle " + name, Measure.MASS)));
      }
    }
    return axles;
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
