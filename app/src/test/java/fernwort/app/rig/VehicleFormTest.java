package fernwort.app.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.app.units.Units;
import fernwort.app.web.Doubt;
import fernwort.app.web.Field;
import fernwort.core.demo.DemoRig;
import fernwort.core.rig.Vehicle;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The vehicle's form. */
class VehicleFormTest {

  private static Map<String, String> shown(Vehicle vehicle, Units units) {
    Map<String, String> form = new HashMap<>();
    for (Field field : new VehicleForm(units).fields(vehicle)) {
      form.put(field.name(), field.value());
    }
    return form;
  }

  private static Vehicle read(Map<String, String> form, Units units) {
    return new VehicleForm(units).read(new Values(form, units));
  }

  @Test
  void sentBackAsItWasShownItChangesNothing() {
    for (DemoRig demo : DemoRig.all()) {
      for (Units units : List.of(Units.METRIC, Units.of("in,lb"))) {
        Vehicle vehicle = demo.rig().vehicle();
        assertThat(read(shown(vehicle, units), units))
            .usingRecursiveComparison()
            .withComparatorForType((a, b) -> Math.abs(a - b) <= 1e-3 ? 0 : 1, Double.class)
            .isEqualTo(vehicle);
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
    form.put("axles", "rear; 0; 1800");
    assertThatThrownBy(() -> read(form, Units.METRIC)).hasMessageContaining("rear; 0; 1800");
    form.put("axles", "rear; 0; heavy; 1200");
    assertThatThrownBy(() -> read(form, Units.METRIC)).hasMessageContaining("Limit of axle rear");
  }

  @Test
  void aSlipOfTheDecimalPointIsAsked() {
    Map<String, String> form = shown(DemoRig.all().getFirst().rig().vehicle(), Units.METRIC);
    form.put("width", "23400");
    assertThatThrownBy(() -> read(form, Units.METRIC)).isInstanceOf(Doubt.class);
  }
}
