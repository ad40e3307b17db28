package fernwort.core.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.bench.JugAgainstModel;
import fernwort.core.build.check.ModelFit;
import fernwort.core.build.check.PressureHold;
import fernwort.core.demo.DemoRig;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.kind.end.Fixture;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** What measuring a finished rig tells. */
class CommissionTest {

  @Test
  void aDropThatTheColdExplainsIsNoLeak() {
    // 3 bar at 20 °C, 10 K colder: (3e5 + 101325) · 283.15/293.15 − 101325 = 286310 Pa.
    PressureHold cooled = PressureHold.of(3e5, 2.85e5, 293.15, 283.15, 5e-4);
    assertThat(cooled.expected()).isCloseTo(286_310, within(1.0));
    assertThat(cooled.tight()).isTrue();
    assertThat(cooled.leaked()).isZero();
    // At one temperature 0.5 bar went: half a litre of air grew by 401325/351325 − 1 = 14 %.
    PressureHold leaks = PressureHold.of(3e5, 2.5e5, 293.15, 293.15, 5e-4);
    assertThat(leaks.tight()).isFalse();
    assertThat(leaks.leaked()).isCloseTo(7.116e-5, within(1e-8));
    assertThatThrownBy(() -> PressureHold.of(0, 0, 293, 293, 1e-3)).isInstanceOf(Refusal.class);
  }

  @Test
  void lossesAreFoundAgainFromTheFlowsTheyMake() {
    DemoRig demo = DemoRig.all().getFirst();
    Network network = Network.of(demo.rig());
    List<PartId> taps =
        demo.rig().parts().stream().filter(p -> p.kind() instanceof Fixture).map(Part::id).toList();
    State state = demo.state();
    Hydraulics rough = Hydraulics.of(network).withFittings(2);
    Map<PartId, Double> timed = new TreeMap<>();
    for (PartId tap : taps) {
      double flow = rough.solve(JugAgainstModel.alone(network, state, tap)).fixture(tap);
      if (flow > 1e-6) {
        timed.put(tap, flow);
      }
    }
    assertThat(timed).isNotEmpty();
    ModelFit fit = ModelFit.of(network, state, timed);
    assertThat(fit.losses().times()).isCloseTo(2, within(0.2));
    assertThat(fit.losses().low()).isLessThanOrEqualTo(2);
    assertThat(fit.losses().high()).isGreaterThanOrEqualTo(1.9);
    assertThat(fit.off()).isLessThan(fit.offBefore());
    assertThat(fit.pump().low()).isLessThanOrEqualTo(1);
    assertThat(fit.pump().high()).isGreaterThanOrEqualTo(1);
    assertThat(ModelFit.of(network, state, Map.of(timed.keySet().iterator().next(), 1e-4)).pump())
        .isEqualTo(new ModelFit.Factor(1, 1, 1));
    assertThatThrownBy(() -> ModelFit.of(network, state, Map.of())).isInstanceOf(Refusal.class);
  }
}
