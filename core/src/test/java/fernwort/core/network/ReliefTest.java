package fernwort.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.rig.Setting;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ReliefTest {

  private static final DemoRig TRUCK = DemoRig.all().getFirst();
  private static final Network PLUMBING = Network.of(TRUCK.rig());

  private static boolean has(Setting setting, String tank) {
    return Relief.of(PLUMBING, setting).has(tank, Optional.of("inlet"));
  }

  @Test
  void anOverflowWithItsValveShutLetsNothingOut() {
    Setting shut =
        TRUCK.state().setting().with("low-overflow-valve", "shut").with("tank-selector", "shut");
    assertThat(has(shut, "low")).isFalse();
    assertThat(has(shut.with("low-overflow-valve", "open"), "low")).isTrue();
  }

  @Test
  void anOverflowWithoutAHandleAlwaysDoes() {
    assertThat(has(TRUCK.rig().atRest(), "main")).isTrue();
    assertThat(Relief.of(PLUMBING, TRUCK.rig().atRest()).hasByVents("main")).isTrue();
  }
}
