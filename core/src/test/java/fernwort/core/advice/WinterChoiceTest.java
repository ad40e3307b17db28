package fernwort.core.advice;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Practised;
import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.drain.Filled;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.winter.WinterizingMethods;
import fernwort.core.winter.sheets.FrostHarm;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The method that is recommended leaves least that breaks, and then is the least work. */
class WinterChoiceTest {

  static Stream<Network> rigs() {
    return Stream.of(
            ReadyRig.find("one-tank").orElseThrow().rig(), DemoRig.called("samphire").rig())
        .map(Network::of);
  }

  private static List<WinterPlan> plans(Network network) {
    WinterizingMethods.Round round =
        WinterizingMethods.of(Plans.of(network))
            .round(Filled.of(network, Practised.filled(network, 0.5)), WinterWish.USUAL);
    return Stream.of(WinterizingMethod.values()).map(round::plan).toList();
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void noOtherBreaksLessAndNoneAsSafeIsLessWork(Network network) {
    List<WinterPlan> plans = plans(network);

    WinterChoice choice = WinterChoice.among(plans, network.rig()).orElseThrow();

    long breaks = choice.plan().count(FrostHarm.DANGER);
    assertThat(plans)
        .allSatisfy(p -> assertThat(p.count(FrostHarm.DANGER)).isGreaterThanOrEqualTo(breaks))
        .filteredOn(p -> p.count(FrostHarm.DANGER) == breaks)
        .allSatisfy(p ->
            assertThat(WinterChoice.work(p))
                .isGreaterThanOrEqualTo(WinterChoice.work(choice.plan())));
    assertThat(choice.why().toString())
        .containsPattern(
            breaks > 0
                ? "fewest parts"
                : choice.plan().verdict().isCalm()
                    ? "leaves no water that breaks|No water is left that breaks anything"
                    : "may break");
  }

  @Test
  void whereThereIsNoPlanNoneIsRecommended() {
    Rig rig = rigs().toList().getFirst().rig();

    assertThat(WinterChoice.among(List.of(), rig)).isEmpty();
  }
}
