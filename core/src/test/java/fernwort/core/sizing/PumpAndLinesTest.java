package fernwort.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.network.Network;
import fernwort.core.network.WasteRuns;
import fernwort.core.rig.Line;
import fernwort.core.rig.State;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What pump and lines of the demo truck give. */
class PumpAndLinesTest {

  private static final DemoRig TRUCK = DemoRig.all().getFirst();
  private static final Network PLUMBING = Network.of(TRUCK.rig());

  private static PumpAndLines figures(State state) {
    return PumpAndLines.of(
        PLUMBING,
        state,
        Stream.of("rinse", "sink", "drink", "shower", "basin", "toilet").map(PartId::of).toList());
  }

  @Test
  void togetherEachFixtureGetsLessThanAlone() {
    PumpAndLines all = figures(TRUCK.state());
    assertThat(all.fixtures()).hasSizeGreaterThan(4);
    assertThat(all.fixtures()).allMatch(f -> f.together() < f.alone());
    assertThat(all.fixtures()).allMatch(f -> f.needs() > 2e5 && f.needs() < 6e5);
  }

  @Test
  void allAtOnceIsMoreThanThePumpGives() {
    PumpAndLines all = figures(TRUCK.state());
    double rated = all.fixtures().stream().mapToDouble(PumpAndLines.AtFixture::rated).sum();
    assertThat(all.need().flow()).isCloseTo(rated, within(1e-12));
    assertThat(all.need().given()).isLessThan(all.need().pressure());
  }

  @Test
  void widerLinesAndStrongerPumpsGiveMore() {
    PumpAndLines all = figures(TRUCK.state());
    assertThat(all.bores()).isSortedAccordingTo((a, b) -> Double.compare(a.total(), b.total()));
    assertThat(all.pumps()).isSortedAccordingTo((a, b) -> Double.compare(a.total(), b.total()));
    double now = all.fixtures().stream().mapToDouble(PumpAndLines.AtFixture::together).sum();
    assertThat(all.wider()).isNotEmpty().allMatch(t -> t.total() > now);
  }

  @Test
  void linesAreListedByWhatTheyTake() {
    List<PumpAndLines.Taken> lines = figures(TRUCK.state()).lines();
    assertThat(lines)
        .isSortedAccordingTo((a, b) -> Double.compare(b.pressure(), a.pressure()))
        .allMatch(l -> l.pressure() > 0);
  }

  @Test
  void thePressureFallsFromThePumpToTheWeakestTap() {
    PumpAndLines usual = PumpAndLines.of(PLUMBING, TRUCK.state(), List.of());
    PressureAlong way = usual.weakest();
    assertThat(way.tap().value()).isEqualTo("shower");
    assertThat(way.stops().getFirst().part().value()).isEqualTo("pump");
    assertThat(way.stops().getLast().part().value()).isEqualTo("shower");
    assertThat(way.stops()).isSortedAccordingTo((a, b) -> Double.compare(a.along(), b.along()));
    assertThat(way.losses())
        .allMatch(l -> l.pressure() > -1)
        .isSortedAccordingTo((a, b) -> Double.compare(b.pressure(), a.pressure()));
    double up =
        TRUCK.rig().part(PartId.of("shower")).height()
            - TRUCK.rig().part(PartId.of("pump")).height();
    assertThat(way.climb()).isCloseTo(up * 1000 * 9.80665, within(30.0));
    Set<LineId> passed =
        way.stops().stream().map(PressureAlong.Stop::line).collect(Collectors.toSet());
    double run =
        TRUCK.rig().lines().stream()
            .filter(l -> passed.contains(l.id()))
            .mapToDouble(Line::length)
            .sum();
    assertThat(way.stops().getLast().along()).isCloseTo(run, within(1e-9));
  }

  @Test
  void aPartThatTakesMuchIsNamedBeforeTheLines() {
    PressureAlong way = PumpAndLines.of(PLUMBING, TRUCK.state(), List.of()).weakest();
    assertThat(way.losses().getFirst().id().value()).isEqualTo("carbon");
    assertThat(way.losses().getFirst().isLine()).isFalse();
    assertThat(way.losses().getFirst().pressure()).isGreaterThan(0.3 * way.lost());
  }

  @Test
  void thePumpLiftsFromTheLowestOutlet() {
    PumpAndLines.Suction suction = figures(TRUCK.state()).suction().getFirst();
    assertThat(suction.tank().value()).isEqualTo("low");
    assertThat(suction.lift()).isBetween(0.7, 0.9);
    assertThat(suction.works()).isTrue();
  }

  @Test
  void theTwoThatTakeMostInTheHouseAreOpenUnlessOthersAreChosen() {
    PumpAndLines usual = PumpAndLines.of(PLUMBING, TRUCK.state(), List.of());
    assertThat(usual.together()).containsExactlyInAnyOrder(PartId.of("shower"), PartId.of("sink"));
    assertThat(usual.need().flow()).isLessThan(figures(TRUCK.state()).need().flow());
  }

  @Test
  void shutHandlesAreNamedAsTheReason() {
    State shut = TRUCK.state().with(PartId.of("tank-selector"), PositionId.of("shut"));
    assertThatThrownBy(() -> figures(shut)).hasMessageContaining("handles");
  }

  @Test
  void wasteRunsDownhillFromEveryFixture() {
    List<WasteRuns.Run> runs = WasteRuns.of(PLUMBING);
    assertThat(runs)
        .extracting(WasteRuns.Run::fixture)
        .contains(PartId.of("sink"), PartId.of("shower"), PartId.of("basin"));
    assertThat(runs).allMatch(r -> r.fall() > 0);
  }
}
