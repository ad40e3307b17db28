package fernwort.core.run;

import static fernwort.core.hydraulics.CaseRigs.rig;
import static fernwort.core.hydraulics.CaseRigs.tank;
import static fernwort.core.hydraulics.CaseRigs.vented;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.flow.Fluid;
import fernwort.core.id.PartId;
import fernwort.core.kind.end.Plug;
import fernwort.core.network.Network;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Water that rises against air without a way out: never past its balance. */
class ShutInAirTest {

  private static final double ATMOSPHERE = 101_325;
  private static final double AREA = 0.25;
  private static final double CAPACITY = AREA * 0.5;
  private static final PartId HIGH = PartId.of("one");
  private static final PartId SHUT_IN = PartId.of("two");

  /** A vented tank whose bottom is 3 m above that of one without a vent, and a line down to it. */
  private static Rig stacked() {
    return vented(
            rig().part("one", "One", 0, 0, 4, tank(AREA)).part("two", "Two", 0, 0, 1, tank(AREA)),
            HIGH,
            4)
        .part("plug", "Plug", 0, 0, 1.6, new Plug(false))
        .line("down", "Down", "one.low > two.low", 19, 4, Material.PEX, 2)
        .line("stub", "Stub", "two.vent > plug.in", 13, 0.2, Material.PEX, 0)
        .build();
  }

  /** By how much the air of the lower tank pushes more than the water above it (Pa). */
  private static double surplus(double total, double shutIn, double amount) {
    double air = amount / (CAPACITY - shutIn) - ATMOSPHERE;
    double levels = 3 + (total - 2 * shutIn) / AREA;
    return air - Fluid.WATER.pressure(levels);
  }

  /** What the lower tank holds at last (m³): p·V of its air is constant, levels are by area. */
  private static double balance(double total, double shutIn) {
    double amount = ATMOSPHERE * (CAPACITY - shutIn);
    double low = shutIn;
    double high = CAPACITY - 1e-6;
    for (int i = 0; i < 60; i++) {
      double middle = (low + high) / 2;
      if (surplus(total, middle, amount) < 0) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  @ParameterizedTest
  @CsvSource({"20, 110", "60, 80", "100, 20", "100, 124"})
  void waterComesToItsBalanceWithTheAirAndNotPast(double highLitres, double shutInLitres) {
    double begins = shutInLitres / 1000;
    double balance = balance((highLitres + shutInLitres) / 1000, begins);
    Simulation run =
        Simulation.start(
            Network.of(stacked()),
            new State(
                stacked().atRest(), Map.of(HIGH, highLitres / 1000, SHUT_IN, begins), Slope.LEVEL));
    double before = begins;
    for (int step = 1; run.isBefore(300); step++) {
      run.runToNext(300, step);
      double now = run.moment().state().volume(SHUT_IN);
      assertThat(now).isBetween(before - 1e-6, balance + 5e-5);
      before = now;
    }
    assertThat(before).isCloseTo(balance, within(5e-5));
    assertThat(run.steps()).isLessThan(100);
  }
}
