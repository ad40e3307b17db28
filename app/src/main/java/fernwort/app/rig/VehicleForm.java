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
        length("rear", Says.REAR_END.text(), v.rear(), Says.AHEAD_OF_THE_REAR_AXLE_BEHIND.text()),
        length("nose", Says.FRONT_END.text(), v.nose(), Says.DRAWBAR_INCLUDED.text()),
        length("width", "Width", v.width(), ""),
        length("floor", Says.FLOOR_OVER_THE_GROUND.text(), v.floor(), ""),
        length("roof", Says.ROOF_OVER_THE_GROUND.text(), v.roof(), ""),
        length(
            "clearance",
            Says.LOWEST_THAT_A_PART_MAY_HANG.text(),
            v.clearance(),
            Says.YOUR_RULE_OR_YOUR_RAMPS_MEASURED.text()),
        axles(v.axles()),
        length(
            "hitch",
            Says.COUPLING_AHEAD_OF_THE_REAR_AXLE.text(),
            hitch.map(Hitch::x),
            Says.FOR_A_TRAILER_EMPTY_FOR_NONE.text()),
        mass("hitch-lowest", Says.LEAST_IT_SHOULD_CARRY.text(), hitch.map(Hitch::lowest), ""),
        mass(
            "hitch-highest",
            Says.MOST_IT_MAY_CARRY.text(),
            hitch.map(Hitch::highest),
            Says.ITS_PLATE.text()),
        mass(
            "hitch-empty",
            Says.IT_CARRIES_WITH_EMPTY_TANKS.text(),
            hitch.flatMap(Hitch::emptyLoad),
            Says.A_BATHROOM_SCALE_UNDER.text()));
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
      String which = axle.map(Axle::label).orElse(Says.ONE_MORE.text()) + " axle, ";
      rows.add(
          List.of(
              Field.text(
                  "axle-" + i,
                  Says.ITS_NAME_OF_2.filled(which),
                  axle.map(Axle::label).orElse(""),
                  ""),
              length(
                  "axle-x-" + i,
                  Says.AHEAD_OF_THE_REAR_AXLE_OF.filled(which),
                  axle.map(Axle::x),
                  ""),
              mass("axle-limit-" + i, Says.ITS_LIMIT.filled(which), axle.map(Axle::limit), ""),
              mass(
                  "axle-empty-" + i,
                  Says.WITH_EMPTY_TANKS.filled(which),
                  axle.map(Axle::emptyLoad),
                  "")));
    }
    return Field.table(
        "axles",
        Says.AXLES_REAR_FIRST.text(),
        Says.AHEAD_OF_THE_REAR_AXLE_IN_LIMIT.filled(sign(Measure.LENGTH), sign(Measure.MASS)),
        new Field.Table(
            List.of(
                new Field.Head("name", ""),
                new Field.Head(Says.AHEAD_OF_THE_REAR.text(), ""),
                new Field.Head(Says.LIMIT_0_NOT_KNOWN.text(), ""),
                new Field.Head(Says.WITH_EMPTY_TANKS_INSIDE.text(), "")),
            rows,
            false));
  }

  /**
   * Reads the form.
   *
   * @throws Refusal naming field and fix
   * @throws Doubt when an amount looks like a slip of the decimal point
   */
  Vehicle read(Vehicle old, Map<String, String> form) {
    Values v = new Values(form, units, fields(old));
    Vehicle vehicle =
        new Vehicle(
            v.choice("body", Says.WHAT_IT_IS.text(), Vehicle.Body.class),
            v.amount("rear", Says.REAR_END.text(), Measure.LENGTH, -6, 0),
            v.amount("nose", Says.FRONT_END.text(), Measure.LENGTH, 0.5, 14),
            v.amount("width", "Width", Measure.LENGTH, 0.8, 2.6),
            v.amount("floor", Says.FLOOR_OVER_THE_GROUND.text(), Measure.LENGTH, 0.2, 1.6),
            v.amount("roof", Says.ROOF_OVER_THE_GROUND.text(), Measure.LENGTH, 1, 4.5),
            v.amount(
                "clearance", Says.LOWEST_THAT_A_PART_MAY_HANG.text(), Measure.LENGTH, 0.05, 0.8),
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
        v.slip(field, Says.AN_AXLE_HAS_NO_NAME.text());
      } else if (!name.isEmpty()) {
        axles.add(
            new Axle(
                name,
                v.amount("axle-x-" + i, Says.PLACE_OF_AXLE.filled(name), Measure.LENGTH),
                v.amount("axle-limit-" + i, Says.LIMIT_OF_AXLE.filled(name), Measure.MASS),
                v.amount("axle-empty-" + i, Says.EMPTY_LOAD_OF_AXLE.filled(name), Measure.MASS)));
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
            v.amount("hitch-lowest", Says.LEAST_ON_THE_COUPLING.text(), Measure.MASS, 0, 500),
            v.amount("hitch-highest", Says.MOST_ON_THE_COUPLING.text(), Measure.MASS, 20, 1500),
            v.text("hitch-empty").isEmpty()
                ? Optional.empty()
                : Optional.of(
                    v.amount(
                        "hitch-empty",
                        Says.EMPTY_LOAD_OF_THE_COUPLING.text(),
                        Measure.MASS,
                        0,
                        1500))));
  }
}
