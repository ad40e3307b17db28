package fernwort.app.services;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.util.Map;
import org.junit.jupiter.api.Test;

class OutlookTest {

  private static final DemoRig MARGINALIA = DemoRig.all().getFirst();
  private static final PartId SINK = PartId.of("sink");

  private final OpenRig rig = OpenRig.of("truck", 1, MARGINALIA.rig());
  private final State now = MARGINALIA.state();

  private State turned(String position) {
    return now.with(SINK, PositionId.of(position));
  }

  @Test
  void whoPointsAtAHandleAndThenTurnsItAsksOnce() {
    Outlook.Preview preview = Outlook.Preview.of(rig, now, SINK, PositionId.of("hot"));

    assertThat(Outlook.of(rig, now)).isSameAs(preview.before());
    assertThat(Outlook.of(rig, turned("hot"))).isSameAs(preview.after());
  }

  @Test
  void eachStateHasItsOwnOutlook() {
    Outlook shut = Outlook.of(rig, turned("shut"));
    Outlook open = Outlook.of(rig, turned("cold"));
    Outlook dry = Outlook.of(rig, turned("cold").withVolume(PartId.of("low"), 0));

    assertThat(shut.ways().to(SINK)).isEmpty();
    assertThat(open.ways().to(SINK)).isNotEmpty();
    assertThat(dry.warnings()).isNotEqualTo(open.warnings());
    assertThat(Outlook.of(rig, turned("cold"))).isEqualTo(open);
  }

  @Test
  void whatWasFoundIsNotTakenForAnotherDescription() {
    OpenRig clogged =
        OpenRig.of("truck", 1, Network.of(MARGINALIA.rig()), Map.of(PartId.of("sediment"), 4.0));

    assertThat(Outlook.of(clogged, now)).isNotSameAs(Outlook.of(rig, now));
    assertThatThrownBy(() -> Outlook.Preview.of(rig, now, SINK, PositionId.of("boiling")))
        .isInstanceOf(Refusal.class);
  }
}
