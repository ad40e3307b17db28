package fernwort.core.winter.sheets;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What water stays in a truck as it was left, and what the ways through a winter are called. */
class ResidualWaterTest {

  private static final DemoRig TRUCK = DemoRig.called("marginalia");
  private static final Network NETWORK = Network.of(TRUCK.rig());

  @Test
  void whatStaysIsToldWithTheMostFirst() {
    List<ResidualWater> left =
        ResidualWater.of(NETWORK, TRUCK.state(), Set.of(PartId.of("low"), PartId.of("main")), true);
    assertThat(left)
        .isSortedAccordingTo(Comparator.comparingDouble(ResidualWater::volume).reversed());
    assertThat(left)
        .extracting(ResidualWater::kind)
        .startsWith(ResidualWater.Kind.TANK, ResidualWater.Kind.TANK)
        .contains(ResidualWater.Kind.LINE, ResidualWater.Kind.BODY);
    assertThat(left.getFirst().id()).isEqualTo(PartId.of("main"));
    assertThat(left.getFirst().volume()).isCloseTo(0.074, within(0.001));
    assertThat(left).as("drops are nothing worth a word").allMatch(w -> w.volume() > 1e-6);
  }

  @Test
  void onlyWhatWasToBeEmptiedCounts() {
    assertThat(ResidualWater.of(NETWORK, TRUCK.state(), Set.of(), false)).isEmpty();
    assertThat(ResidualWater.of(NETWORK, TRUCK.state(), Set.of(PartId.of("gray")), false))
        .singleElement()
        .satisfies(w -> assertThat(w.id()).isEqualTo(PartId.of("gray")));
  }

  @ParameterizedTest
  @EnumSource
  void aMethodIsFoundByItsWordAndByItsNameInAnyLetters(WinterizingMethod method) {
    assertThat(WinterizingMethod.named(method.word())).contains(method);
    assertThat(WinterizingMethod.named(method.name())).contains(method);
    assertThat(WinterizingMethod.named(method.name().toLowerCase(Locale.ROOT))).contains(method);
    assertThat(WinterizingMethod.named("by magic")).isEmpty();
  }
}
