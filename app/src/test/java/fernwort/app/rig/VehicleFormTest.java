package fernwort.app.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.app.units.Units;
import fernwort.app.web.Doubt;
import fernwort.app.web.FieldErrors;
import fernwort.core.demo.DemoRig;
import fernwort.core.rig.Vehicle;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The vehicle's form. */
class VehicleFormTest {

  private static Map<String, String> shown(Vehicle vehicle, Units units) {
    return Sent.back(new VehicleForm(units).fields(vehicle));
  }

  private static Vehicle read(Map<String, String> form, Units units) {
    return new VehicleForm(units).read(DemoRig.all().getFirst().rig().vehicle(), form);
  }

  @Test
  void sentBackAsItWasShownItChangesNothing() {
    for (DemoRig demo : DemoRig.all()) {
      for (Units units : List.of(Units.METRIC, Units.of("in,lb"))) {
        Vehicle vehicle = demo.rig().vehicle();
        VehicleForm form = new VehicleForm(units);
        assertThat(form.read(vehicle, shown(vehicle, units))).isEqualTo(vehicle);
      }
    }
  }

  @Test
  void aTrailerIsWeighedAtItsCoupling() {
    Map<String, String> form = shown(DemoRig.all().getFirst().rig().vehicle(), Units.METRIC);
    form.put("hitch", "3,2 m");
    form.put("hitch-lowest", "25");
    form.put("hitch-highest", "75");
    form.put("hitch-empty", "110 lb");
    Vehicle trailer = read(form, Units.METRIC);
    assertThat(trailer.hitch().get().emptyLoad().get()).isBetween(49.8, 50.0);
  }

  @Test
  void anAxleThatIsHalfDescribedIsNamed() {
    Map<String, String> form = shown(DemoRig.all().getFirst().rig().vehicle(), Units.METRIC);
    form.put("axle-0", "tail");
    form.put("axle-empty-0", "");
    form.put("axle-limit-1", "heavy");
    assertThatThrownBy(() -> read(form, Units.METRIC))
        .isInstanceOfSatisfying(
            FieldErrors.class,
            slips -> assertThat(slips.byField()).containsOnlyKeys("axle-empty-0", "axle-limit-1"))
        .hasMessageContaining("Empty load of axle tail is empty")
        .hasMessageContaining("Limit of axle front: “heavy”");
  }

  @Test
  void aSlipOfTheDecimalPointIsAsked() {
    Map<String, String> form = shown(DemoRig.all().getFirst().rig().vehicle(), Units.METRIC);
    form.put("width", "23400");
    assertThatThrownBy(() -> read(form, Units.METRIC)).isInstanceOf(Doubt.class);
  }

  @Test
  void anAxleWithoutANameIsAskedForOneAndOneWhoseNameIsEmptiedIsGone() {
    Vehicle truck = DemoRig.all().getFirst().rig().vehicle();
    Map<String, String> form = shown(truck, Units.METRIC);
    form.put("axle-1", "");
    assertThat(read(form, Units.METRIC).axles()).hasSize(truck.axles().size() - 1);
    form.put("axle-limit-" + truck.axles().size(), "1200");
    assertThatThrownBy(() -> read(form, Units.METRIC)).hasMessageContaining("has no name");
  }
}
