package fernwort.core.run.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.hydraulics.Flows;
import fernwort.core.network.Network;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class HeadsTest {

  private static final double AROUND = 1e-3;
  private static final double MINUTE = 60;

  private static final DemoRig VAN = DemoRig.all().getFirst();
  private static final Network NETWORK = Network.of(VAN.rig());

  private final Tanks tanks = new Tanks(NETWORK, VAN.state());
  private final double[] gains = new double[tanks.count()];

  /** The head of a tank after a time of the rates (m). */
  private double head(int tank, double seconds) {
    return tanks.head(tank, tanks.volume(tank) + gains[tank] * seconds);
  }

  private double[] around(List<double[]> heights) {
    return new Heads(tanks, heights).around(new Rates(Flows.NONE, gains), MINUTE, AROUND);
  }

  @Test
  void standsAtAHeightBetweenTheOneBeforeAndTheOneAfter() {
    gains[0] = -1e-4;
    gains[1] = 2e-4;
    List<double[]> heights =
        List.of(new double[] {head(0, 41)}, new double[] {head(1, 7), head(1, 55)});

    double[] times = around(heights);

    assertThat(times).isSorted().hasSize(6);
    List<Double> middles = new ArrayList<>();
    for (int i = 0; i < times.length; i += 2) {
      assertThat(times[i + 1] - times[i]).isCloseTo(AROUND, within(1e-9));
      middles.add((times[i] + times[i + 1]) / 2);
    }
    IntStream.range(0, 3)
        .forEach(
            i -> assertThat(middles.get(i)).isCloseTo(List.of(7, 41, 55).get(i), within(AROUND)));
  }

  @Test
  void meetsNothingBeyondTheStepNorWhereNothingFlows() {
    gains[0] = -1e-4;
    gains[1] = 0;

    List<double[]> heights =
        List.of(new double[] {head(0, MINUTE + 1), head(0, -1)}, new double[] {head(1, 0)});

    assertThat(around(heights)).isEmpty();
  }
}
