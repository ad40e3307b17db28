package fernwort.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.Filter;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.streams.Directions;
import fernwort.core.streams.LineService;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ConnectionsTest {

  private final DemoRig tern = DemoRig.called("tern");
  private final DemoRig marginalia = DemoRig.called("marginalia");

  private static Optional<List<PartId>> route(
      DemoRig rig, Setting setting, PartId from, PartId to) {
    return Connections.of(Network.of(rig.rig()), setting)
        .route(from, p -> false, p -> p.id().equals(to));
  }

  @Test
  void aRouteNamesThePartsFromOneEndToTheOther() {
    List<PartId> route =
        route(marginalia, marginalia.state().setting(), PartId.of("main"), PartId.of("sink"))
            .orElseThrow();
    assertThat(route)
        .startsWith(PartId.of("main"), PartId.of("tank-selector"), PartId.of("strainer"))
        .endsWith(PartId.of("sink"));
  }

  @Test
  void aShutValveCutsARouteAndACheckValveCutsItOneWay() {
    Setting open = marginalia.state().setting();
    assertThat(
            route(
                marginalia,
                open.with(PartId.of("tank-selector"), PositionId.of("shut")),
                PartId.of("main"),
                PartId.of("sink")))
        .isEmpty();
    Setting filling =
        open.with(PartId.of("fill-selector"), PositionId.of("main"))
            .with(PartId.of("inlet"), PositionId.of("mains"));
    assertThat(route(marginalia, filling, PartId.of("inlet"), PartId.of("main"))).isPresent();
    assertThat(route(marginalia, filling, PartId.of("main"), PartId.of("inlet"))).isEmpty();
  }

  @Test
  void aTankIsLeftByThePortsThatAreAskedFor() {
    Connections connections =
        Connections.of(Network.of(marginalia.rig()), marginalia.state().setting());
    Part main = marginalia.rig().part(PartId.of("main"));
    assertThat(
            connections.leaving(
                main, PortId.of("feed")::equals, p -> p.id().equals(PartId.of("sink"))))
        .hasValueSatisfying(
            way -> assertThat(way).startsWith(PartId.of("main")).endsWith(PartId.of("sink")));
    assertThat(
            connections.leaving(
                main, PortId.of("vent")::equals, p -> p.id().equals(PartId.of("sink"))))
        .isEmpty();
  }

  @Test
  void whatPurifiesCanBeAvoided() {
    Setting setting = tern.state().setting();
    Connections connections = Connections.of(Network.of(tern.rig()), setting);
    assertThat(
            connections.route(
                PartId.of("fore"),
                p -> p.kind() instanceof Filter f && f.grade() == Filter.Grade.PURIFIER,
                p -> p.id().equals(PartId.of("drink"))))
        .isEmpty();
    assertThat(
            connections.route(
                PartId.of("fore"), p -> false, p -> p.id().equals(PartId.of("drink"))))
        .isPresent();
  }

  @Test
  void theLayoutTellsWhatEachLineIsThereToCarry() {
    Map<LineId, LineService.Stream> streams = LineService.of(marginalia.rig());
    assertThat(streams)
        .hasSize(marginalia.rig().lines().size())
        .containsEntry(LineId.of("feed-main"), LineService.Stream.FRESH)
        .containsEntry(LineId.of("w1"), LineService.Stream.HOT)
        .containsEntry(LineId.of("c1"), LineService.Stream.FRESH)
        .containsEntry(LineId.of("g2"), LineService.Stream.GRAY)
        .containsEntry(LineId.of("vent-main"), LineService.Stream.AIR)
        .containsEntry(LineId.of("g8"), LineService.Stream.AIR);
    assertThat(LineService.of(tern.rig())).containsValue(LineService.Stream.OUTSIDE);
  }

  @Test
  void noCheckValveOfTheDemoRigsFacesTheWrongWay() {
    for (DemoRig demo : DemoRig.all()) {
      assertThat(Directions.of(Network.of(demo.rig())).reversedCheckValves()).isEmpty();
    }
    assertThat(tern.rig().parts()).extracting(Part::kind).anyMatch(CheckValve.class::isInstance);
  }
}
