package fernwort.core.flow;

import static fernwort.core.Reference.number;
import static fernwort.core.Reference.tolerance;
import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Reference;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;

/** The steady flows whose answers were worked out independently, put together link by link. */
public class FlowReferenceTest {

  private static final double LITRES_PER_MINUTE = 1e-3 / 60;

  @Test
  void frictionFactorInAllThreeRegimes() {
    JsonNode c = Reference.only("open-friction");
    for (JsonNode p : c.get("points")) {
      double factor = new Friction(number(p, "relative_roughness")).factor(number(p, "reynolds"));
      assertThat(factor).isCloseTo(number(p, "friction_factor"), tolerance(c));
    }
  }

  @TestFactory
  Stream<DynamicTest> gravityDrivesWaterToAFreeOutlet() {
    return Reference.cases("open-gravity")
        .map(c ->
            DynamicTest.dynamicTest(
                c.get("id").asString(),
                () -> assertThat(gravity(c)).isCloseTo(number(c, "flow_l_per_min"), tolerance(c))));
  }

  @TestFactory
  Stream<DynamicTest> aPumpSharesItsWaterBetweenFixtures() {
    return Reference.cases("open-pump")
        .map(c -> DynamicTest.dynamicTest(c.get("id").asString(), () -> sharesItsWater(c)));
  }

  private static void sharesItsWater(JsonNode c) {
    double[] flows = pump(c);
    assertThat(flows[0]).isCloseTo(number(c, "total_l_per_min"), tolerance(c));
    assertThat(flows[1]).isCloseTo(number(c, "fixture_1_l_per_min"), tolerance(c));
    assertThat(flows[2]).isCloseTo(number(c, "fixture_2_l_per_min"), tolerance(c));
  }

  /** Returns our answer to a gravity case (L/min). */
  public static double gravity(JsonNode c) {
    return pipe(c).flow(number(c, "surface_above_outlet_m")) / LITRES_PER_MINUTE;
  }

  /** Returns our answer to a pump case: total, first and second fixture (L/min). */
  public static double[] pump(JsonNode c) {
    String open = c.get("id").asString().replaceAll(".*-", "");
    FlowNetwork.Builder rig = FlowNetwork.builder();
    int tank = rig.reservoir(number(c, "tank_surface_m"));
    int in = rig.junction(0);
    int out = rig.junction(0);
    int split = rig.junction(0);
    rig.link(tank, in, pipe(c.get("suction")));
    double shutOff = Fluid.WATER.head(number(c, "pump_shutoff_pa"));
    double free = number(c, "pump_free_flow_l_per_min") * LITRES_PER_MINUTE;
    int pump = rig.link(in, out, new Lift(shutOff, free, true));
    rig.link(out, split, pipe(c.get("delivery_to_split")));
    int first = open.equals("second") ? -1 : fixture(rig, split, c, "1");
    int second = open.equals("first") ? -1 : fixture(rig, split, c, "2");
    double[] flows = rig.build().solve().flows();
    return new double[] {
      flows[pump] / LITRES_PER_MINUTE,
      first < 0 ? 0 : flows[first] / LITRES_PER_MINUTE,
      second < 0 ? 0 : flows[second] / LITRES_PER_MINUTE
    };
  }

  private static int fixture(FlowNetwork.Builder rig, int split, JsonNode c, String number) {
    JsonNode fixture = c.get("fixture_" + number);
    double height = number(fixture, "height_m");
    int end = rig.junction(height);
    rig.link(split, end, pipe(c.get("branch_" + number)));
    double rated = number(fixture, "rated_flow_l_per_min") * LITRES_PER_MINUTE;
    double head = Fluid.WATER.head(number(fixture, "rated_pressure_pa"));
    return rig.link(end, rig.reservoir(height), new Orifice(rated, head, Double.POSITIVE_INFINITY));
  }

  @Test
  void aHoseFillsThroughRegulatorCheckValveAndFilter() {
    JsonNode c = Reference.only("open-hose-fill");
    assertThat(hose(c)).isCloseTo(number(c, "flow_l_per_min"), tolerance(c));
  }

  /** Returns our answer to the case of a hose (L/min). */
  public static double hose(JsonNode c) {
    FlowNetwork.Builder rig = FlowNetwork.builder();
    int tap = rig.reservoir(Fluid.WATER.head(number(c, "tap_pa")));
    int[] at = {
      rig.junction(0), rig.junction(0), rig.junction(0), rig.junction(0), rig.junction(0)
    };
    double set = Fluid.WATER.head(number(c, "regulator_set_pa"));
    rig.link(tap, at[0], new PressureControl(set, OneWay.FREE_END));
    rig.link(at[0], at[1], pipe(c.get("hose")));
    rig.link(at[1], at[2], new OneWay(Fluid.WATER.head(number(c, "check_cracking_pa"))));
    double rated = number(c, "filter_rated_flow_l_per_min") * LITRES_PER_MINUTE;
    double loss = Fluid.WATER.head(number(c, "filter_rated_loss_pa"));
    rig.link(at[2], at[3], new Filtering(loss / rated));
    rig.link(at[3], at[4], pipe(c.get("inlet_line")));
    int end = rig.link(at[4], rig.reservoir(number(c, "inlet_port_above_tap_m")), OneWay.FREE_END);
    return rig.build().solve().flows()[end] / LITRES_PER_MINUTE;
  }

  private static Pipe pipe(JsonNode c) {
    return Pipe.of(
        number(c, "bore_m"),
        number(c, "length_m"),
        number(c, "roughness_m"),
        number(c, "k_sum"),
        Fluid.WATER);
  }
}
