package fernwort.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
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

  private static Optional<List<String>> route(
      DemoRig rig, Setting setting, String from, String to) {
    return Connections.of(Network.of(rig.rig()), setting)
        .route(from, p -> false, p -> p.id().equals(to));
  }

  @Test
  void aRouteNamesThePartsFromOneEndToTheOther() {
    List<String> route =
        route(marginalia, marginalia.state().setting(), "main", "sink").orElseThrow();
    assertThat(route).startsWith("main", "tank-selector", "strainer").endsWith("sink");
  }

  @Test
  void aShutValveCutsARouteAndACheckValveCutsItOneWay() {
    Setting open = marginalia.state().setting();
    assertThat(route(marginalia, open.with("tank-selector", "shut"), "main", "sink")).isEmpty();
    Setting filling = open.with("fill-selector", "main").with("inlet", "mains");
    assertThat(route(marginalia, filling, "inlet", "main")).isPresent();
    assertThat(route(marginalia, filling, "main", "inlet")).isEmpty();
  }

  @Test
  void aTankIsLeftByThePortsThatAreAskedFor() {
    Connections connections =
        Connections.of(Network.of(marginalia.rig()), marginalia.state().setting());
    Part main = marginalia.rig().part("main");
    assertThat(connections.leaving(main, "feed"::equals, p -> p.id().equals("sink")))
        .hasValueSatisfying(way -> assertThat(way).startsWith("main").endsWith("sink"));
    assertThat(connections.leaving(main, "vent"::equals, p -> p.id().equals("sink"))).isEmpty();
  }

  @Test
  void whatPurifiesCanBeAvoided() {
    Setting setting = tern.state().setting();
    Connections connections = Connections.of(Network.of(tern.rig()), setting);
    assertThat(
            connections.route(
                "fore",
                p -> p.kind() instanceof Filter f && f.grade() == Filter.Grade.PURIFIER,
                p -> p.id().equals("drink")))
        .isEmpty();
    assertThat(connections.route("fore", p -> false, p -> p.id().equals("drink"))).isPresent();
  }

  @Test
  void theLayoutTellsWhatEachLineIsThereToCarry() {
    Map<String, LineService.Stream> streams = LineService.of(marginalia.rig());
    assertThat(streams)
        .hasSize(marginalia.rig().lines().size())
        .containsEntry("feed-main", LineService.Stream.FRESH)
        .containsEntry("w1", LineService.Stream.HOT)
        .containsEntry("c1", LineService.Stream.FRESH)
        .containsEntry("g2", LineService.Stream.GRAY)
        .containsEntry("vent-main", LineService.Stream.AIR)
        .containsEntry("g8", LineService.Stream.AIR);
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
