package fernwort.app.services;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.drain.Filled;
import fernwort.core.id.PartId;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.network.Network;
import fernwort.core.winter.WinterizingMethods;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Sheets of winter are kept so that any later Fernwort can read them. */
class WinterTextTest {

  private final WinterText text = new WinterText();

  @ParameterizedTest
  @EnumSource
  void whatIsKeptIsReadAgainAsItWas(WinterizingMethod school) {
    DemoRig demo = DemoRig.called("samphire");
    Network network = Network.of(demo.rig());
    WinterPlan plan =
        WinterizingMethods.of(Plans.of(network))
            .plan(school, Filled.of(network, demo.state()), WinterWish.USUAL);
    WinterText.Kept kept =
        new WinterText.Kept(school.name(), 258.15, plan.before(), plan.steps(), plan.notes());
    assertThat(text.read(demo.rig(), text.write(kept))).isEqualTo(kept);
  }

  /** As the first release with sheets wrote it. */
  @Test
  void theFormOfTheFirstSheetsIsReadStill() {
    WinterText.Kept kept =
        text.read(
            DemoRig.called("samphire").rig(),
            """
            {"school":"FALL","cold":258.15,"before":{"state":{"setting":{"positions":\
            {"tap":"shut","foot-pump":"off"}},"volumes":{"tank":0.02},"slope":\
            {"pitch":0.0,"roll":0.0}},"service":{},"wetness":{"lines":{"l":[{"from":0.0,\
            "to":1.5}]},"bodies":{}},"glycol":{}},"steps":[],"notes":[]}
            """);
    assertThat(kept.before().state().setting().of(PartId.of("foot-pump")).value()).isEqualTo("off");
    assertThat(kept.before().state().volume(PartId.of("tank"))).isEqualTo(0.02);
  }
}
