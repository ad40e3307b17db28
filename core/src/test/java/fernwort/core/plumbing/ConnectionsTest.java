package fernwort.core.plumbing;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.Filter;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.streams.Directions;
import fernwort.core.streams.Streams;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ConnectionsTest {

  private final DemoRig tern = DemoRig.called("tern");
  private final DemoRig marginalia = DemoRig.called("marginalia");

  private static Optional<List<String>> route(
      DemoRig rig, Setting setting, String from, String to) {
    return Connections.of(Plumbing.of(rig.rig()), setting)
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
  void whatPurifiesCanBeAvoided() {
    Setting setting = tern.state().setting();
    Connections connections = Connections.of(Plumbing.of(tern.rig()), setting);
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
    Map<String, Streams.Stream> streams = Streams.of(marginalia.rig());
    assertThat(streams)
        .hasSize(marginalia.rig().lines().size())
        .containsEntry("feed-main", Streams.Stream.FRESH)
        .containsEntry("w1", Streams.Stream.HOT)
        .containsEntry("c1", Streams.Stream.FRESH)
        .containsEntry("g2", Streams.Stream.GRAY)
        .containsEntry("vent-main", Streams.Stream.AIR)
        .containsEntry("g8", Streams.Stream.AIR);
    assertThat(Streams.of(tern.rig())).containsValue(Streams.Stream.OUTSIDE);
  }

  @Test
  void noCheckValveOfTheDemoRigsFacesTheWrongWay() {
    for (DemoRig demo : DemoRig.all()) {
      assertThat(Directions.of(Plumbing.of(demo.rig())).reversedCheckValves()).isEmpty();
    }
    assertThat(tern.rig().parts()).extracting(Part::kind).anyMatch(CheckValve.class::isInstance);
  }
}
