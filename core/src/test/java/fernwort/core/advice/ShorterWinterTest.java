package fernwort.core.advice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.Practised;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Which one part would shorten a winter, found by putting it in. */
class ShorterWinterTest {

  private static Optional<ShorterWinter.Found> found(String rig, WinterizingMethod school) {
    Network network = Network.of(Practised.rig(rig));
    return ShorterWinter.of(network, Practised.filled(network, 0.5), school, WinterWish.USUAL);
  }

  @Test
  void aHeaterWithoutABypassTakesAllItsLitresOfAntifreeze() {
    ShorterWinter.Found bypass = found("flatbed", WinterizingMethod.ANTIFREEZE).orElseThrow();
    assertThat(bypass.parts()).containsExactly(PartId.of("heater"));
    assertThat(bypass.antifreeze()).isCloseTo(0.010, within(5e-4));
    assertThat(ShorterWinter.saves(bypass).toString()).isEqualTo("It saves 10 L of antifreeze.");
  }

  @Test
  void aDrainSparesASpanner() {
    ShorterWinter.Found drain = found("siphoning", WinterizingMethod.AIR).orElseThrow();
    assertThat(drain.words().toString())
        .isEqualTo("Fit a drain valve at the lowest point beside Pump.");
    assertThat(ShorterWinter.saves(drain).toString()).isEqualTo("It saves 2 things to do.");
  }

  @Test
  void whereAllIsThereNothingIsWorthIt() {
    assertThat(found("antifreeze-van", WinterizingMethod.ANTIFREEZE)).isEmpty();
  }
}
