package fernwort.core.hazard;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.describe.RigEdit;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Hitch;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Vehicle;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The small trailer's coupling carries 24 kg without water; its tank lies ahead of the axle. */
class LoadCheckTest {

  private static final Rig TRAILER = DemoRig.all().get(1).rig();
  private static final Map<String, Double> EMPTY = Map.of("tank", 0.0);

  private static List<Warning.Code> warned(Rig rig, Map<String, Double> volumes) {
    return LoadCheck.of(Plumbing.of(rig), volumes).stream().map(Warning::code).toList();
  }

  private static Rig coupled(double lowest, double highest, Optional<Double> weighed) {
    Vehicle v = TRAILER.vehicle();
    double x = v.hitch().orElseThrow().x();
    return RigEdit.of(TRAILER)
        .vehicle(v.standingOn(v.axles(), Optional.of(new Hitch(x, lowest, highest, weighed))));
  }

  @Test
  void aCouplingBelowItsLeastLoadIsADanger() {
    Rig light = coupled(30, 60, Optional.of(24.0));
    assertThat(warned(light, EMPTY)).containsExactly(Warning.Code.HITCH_LIGHT);
    assertThat(LoadCheck.of(Plumbing.of(light), EMPTY).getFirst().severity())
        .isEqualTo(Severity.DANGER);
  }

  @Test
  void waterAheadOfTheAxleMakesItHeavyEnough() {
    assertThat(warned(coupled(25, 200, Optional.of(24.0)), Map.of("tank", 0.06)))
        .doesNotContain(Warning.Code.HITCH_LIGHT);
  }

  @Test
  void aCouplingThatNobodyWeighedIsNotSaidToBeLight() {
    assertThat(warned(coupled(30, 60, Optional.empty()), EMPTY)).isEmpty();
  }

  @Test
  void aCouplingOverItsLimitIsADanger() {
    assertThat(warned(coupled(0, 20, Optional.of(24.0)), EMPTY))
        .containsExactly(Warning.Code.HITCH_HEAVY);
  }

  @Test
  void anAxleOverItsLimitIsADanger() {
    Vehicle v = TRAILER.vehicle();
    Rig heavy =
        RigEdit.of(TRAILER)
            .vehicle(
                v.standingOn(
                    v.axles().stream()
                        .map(a -> new Axle(a.label(), a.x(), a.emptyLoad() - 1, a.emptyLoad()))
                        .toList(),
                    v.hitch()));
    assertThat(warned(heavy, EMPTY)).contains(Warning.Code.AXLE_OVER);
  }
}
