package fernwort.core.winter;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Practised;
import fernwort.core.Worked;
import fernwort.core.drain.Filled;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.winter.sheets.FrostHarm;
import fernwort.core.winter.sheets.FrostRisk;
import fernwort.core.winter.sheets.FrostVerdict;
import fernwort.core.winter.sheets.ResidualWater;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.util.EnumMap;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** One verdict for each method: from what is left and what that breaks, naming the part. */
class FrostVerdictTest {

  /** Shipped rigs that are tried each time; the sweep tries all. */
  private static final long FEW = 3;

  private static WinterPlan plan(Network network, WinterizingMethod method) {
    return WinterizingMethods.of(Plans.of(network))
        .plan(method, Filled.of(network, Practised.filled(network, 0.6)), WinterWish.USUAL);
  }

  @Test
  void aSumpThatMayBreakIsNamed() {
    Network network = Worked.rig("sump");
    FrostVerdict verdict = plan(network, WinterizingMethod.FALL).verdict();
    assertThat(verdict.worst()).isEqualTo(FrostHarm.WARNING);
    assertThat(verdict.words(network.rig())).hasToString("Heater may break");
  }

  static Stream<Rig> rigs() {
    long most = Boolean.getBoolean("sweep.cases") ? Long.MAX_VALUE : FEW;
    return Stream.concat(Stream.of(Worked.rig("sump").rig()), Worked.shipped().limit(most));
  }

  @ParameterizedTest
  @MethodSource("rigs")
  @Tag("slow")
  void itIsCalmOnlyWhereNothingIsAtRiskAndAirLeavesNoMoreThanGravity(Rig rig) {
    Network network = Network.of(rig);
    Map<WinterizingMethod, Double> inLines = new EnumMap<>(WinterizingMethod.class);
    for (WinterizingMethod method : WinterizingMethod.values()) {
      WinterPlan plan = plan(network, method);
      inLines.put(method, inLines(plan));
      boolean risk = plan.left().stream().anyMatch(r -> r.harm() != FrostHarm.NONE);
      assertThat(plan.verdict().isCalm()).as(rig.name() + " " + method).isEqualTo(!risk);
      assertThat(plan.verdict().parts().isEmpty()).isEqualTo(!risk);
    }
    assertThat(inLines.get(WinterizingMethod.AIR))
        .as(rig.name())
        .isLessThanOrEqualTo(inLines.get(WinterizingMethod.FALL) + 3e-4);
  }

  private static double inLines(WinterPlan plan) {
    return plan.left().stream()
        .filter(r -> r.kind() == ResidualWater.Kind.LINE)
        .mapToDouble(FrostRisk::volume)
        .sum();
  }
}
