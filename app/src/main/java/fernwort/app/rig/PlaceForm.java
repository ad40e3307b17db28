package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.describe.FloorGrid;
import fernwort.core.describe.RigEdit;
import fernwort.core.id.PlaceId;
import fernwort.core.kind.tank.Point;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** A place of a rig: its name, how one gets at it, where it is on the plan, how high. */
final class PlaceForm {

  /** More than any heater of a vehicle (W). */
  private static final double MOST_HEATING = 10_000;

  private static final double OVER_THE_FLOOR = 0.6;
  private static final FloorGrid.Cell MIDDLE = new FloorGrid.Cell(2, 1);

  private final Rig rig;
  private final Units units;

  PlaceForm(Rig rig, Units units) {
    this.rig = rig;
    this.units = units;
  }

  DescribeView.PlaceView view(Place place) {
    return new DescribeView.PlaceView(place.id().value(), place.label(), fields(place));
  }

  /** The form for one more place. */
  List<Field> blank() {
    return fields(anew());
  }

  /** A place that is not there yet, in the middle of the vehicle. */
  Place anew() {
    Point middle = FloorGrid.of(rig.vehicle()).point(MIDDLE, 0);
    return new Place(
        PlaceId.NONE, "", "", middle.x(), middle.y(), rig.vehicle().floor() + OVER_THE_FLOOR);
  }

  private List<Field> fields(Place place) {
    String p = prefix(place);
    FloorGrid.Cell cell = FloorGrid.of(rig.vehicle()).cell(place.x(), place.y());
    return List.of(
        Field.text(p + "label", Says.ITS_NAME.text(), place.label(), ""),
        Field.text(
            p + "reach",
            Says.HOW_YOU_GET_AT_IT.text(),
            place.reach(),
            Says.AS_IN_KNEEL_AT_THE_REAR_DOOR.text()),
        Field.spot(p + "spot", Says.WHERE_IT_IS.text(), cell.along() + "-" + cell.side()),
        Describing.length(units, p + "height", Says.HEIGHT_OVER_THE_GROUND.text(), place.z(), ""),
        Field.number(
            p + "warmth",
            Says.HOW_MUCH_OF_THE_INSIDES_WARMTH.text(),
            place.warmth().map(w -> String.format(Locale.ROOT, "%.0f", 100 * w)).orElse(""),
            "%",
            Says.FOR_0_UNDER_THE_OPEN_FLOOR_100.text()),
        Field.number(
            p + "heating",
            Says.WARM_AIR_OR_A_PAD_PUTS_IN.text(),
            place.heating().map(h -> String.format(Locale.ROOT, "%.0f", h)).orElse(""),
            "W",
            Says.EMPTY_FOR_NONE.text()));
  }

  /** Two forms for places may stand on a page: the fields of that for a new one have a prefix. */
  private static String prefix(Place place) {
    return place.id().isEmpty() ? "new-" : "";
  }

  /** Reads the form of a place; one without an id is new. */
  Place read(Place old, Map<String, String> form) {
    Values v = new Values(form, units, fields(old));
    String p = prefix(old);
    String label = v.text(p + "label");
    double height =
        v.amount(p + "height", Says.HEIGHT_OVER_THE_GROUND.text(), Measure.LENGTH, -1, 4.5);
    Optional<Double> warmth = share(v, p + "warmth", old.warmth());
    Optional<Double> heating = watts(v, p + "heating", old.heating());
    v.settle();
    PlaceId id = old.id().isEmpty() ? PlaceId.of(RigEdit.of(rig).freeId(label)) : old.id();
    String spot = v.text(p + "spot");
    if (v.isAsShown(p + "spot") || !spot.matches("[0-4]-[0-2]")) {
      return new Place(id, label, v.text(p + "reach"), old.x(), old.y(), height, warmth, heating);
    }
    FloorGrid.Cell cell = new FloorGrid.Cell(spot.charAt(0) - '0', spot.charAt(2) - '0');
    Point at = FloorGrid.of(rig.vehicle()).point(cell, height);
    return new Place(id, label, v.text(p + "reach"), at.x(), at.y(), height, warmth, heating);
  }

  private static Optional<Double> share(Values v, String name, Optional<Double> old) {
    if (v.isAsShown(name) || v.text(name).isEmpty()) {
      return v.isAsShown(name) ? old : Optional.empty();
    }
    double percent = v.plain(name, Says.HOW_MUCH_WARMTH_IT_KEEPS.text());
    if (percent < 0 || percent > 100) {
      v.slip(name, Says.HOW_MUCH_WARMTH_IT_KEEPS_LIES.text());
    }
    return Optional.of(percent / 100);
  }

  private static Optional<Double> watts(Values v, String name, Optional<Double> old) {
    if (v.isAsShown(name) || v.text(name).isEmpty()) {
      return v.isAsShown(name) ? old : Optional.empty();
    }
    double watts = v.plain(name, Says.WARM_AIR_OR_A_PAD.text());
    if (watts < 0 || watts > MOST_HEATING) {
      v.slip(name, Says.WARM_AIR_OR_A_PAD_GIVES_BETWEEN.text());
    }
    return Optional.of(watts);
  }
}
