package fernwort.core.jobs.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.hazard.LoadCheck;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Step;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What is let out of full tanks before a drive, and what is told of loads. */
class BeforeDrivingTest {

  private static final DemoRig TRUCK = DemoRig.called("marginalia");
  private static final Network NETWORK = Network.of(TRUCK.rig());
  private static final PartId MAIN = PartId.of("main");

  static Stream<Network> demos() {
    return DemoRig.all().stream().map(d -> Network.of(d.rig()));
  }

  private static double top() {
    return NETWORK.figures(TRUCK.rig().part(MAIN), TRUCK.state().slope()).full();
  }

  private static State holding(double volume) {
    return TRUCK.state().withVolume(MAIN, volume).withVolume(PartId.of("low"), 0);
  }

  @ParameterizedTest
  @CsvSource({"0, 2.482", "0.005, 1.861", "0.0195, 1"})
  void aFullTankGetsAFiftiethOfRoom(double below, double litres) {
    List<Step.Wait> steps = new BeforeDriving(NETWORK, holding(top() * (1 - below))).lettingOut();
    assertThat(steps).hasSize(1);
    Step.Wait only = steps.getFirst();
    assertThat(only.until()).isEqualTo(new Job.Until(Job.Until.What.LET_OUT, MAIN));
    assertThat(only.moved()).isCloseTo(litres / 1000, within(2e-6));
    assertThat(only.levels().get(MAIN)).isCloseTo(top() * (1 - below) - only.moved(), within(1e-9));
  }

  @Test
  void aTankWithRoomIsLeftAsItIs() {
    assertThat(new BeforeDriving(NETWORK, holding(top() * 0.97)).lettingOut()).isEmpty();
  }

  /** Whatever is in the tanks: what is too heavy is told with what to do, and nothing else is. */
  @ParameterizedTest
  @MethodSource("demos")
  void onlyWhatIsTooHeavyIsTold(Network network) {
    for (double share : new double[] {0, 0.5, 1}) {
      State state = new State(network.rig().atRest(), Map.of(), Slope.LEVEL);
      for (Part tank : network.rig().tanks(Contents.FRESH).toList()) {
        state = state.withVolume(tank.id(), share * network.room(tank.id()).capacity());
      }
      List<String> dangers =
          LoadCheck.of(network, state.volumes()).stream()
              .filter(w -> w.severity() == Severity.DANGER)
              .map(Warning::title)
              .map(Object::toString)
              .toList();
      assertThat(new BeforeDriving(network, state).loads())
          .hasSameSizeAs(dangers)
          .allMatch(m -> dangers.stream().anyMatch(m.toString()::contains));
    }
  }
}
