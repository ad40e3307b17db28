package fernwort.core.guide;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.ReadyAnswers;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.say.Refusal;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WaterWalkTest {

  private static Guided made(String layout) {
    return Guided.of(ReadyAnswers.of(layout, "W").orElseThrow());
  }

  private static WaterWalk walk(String layout, PartId part) {
    Guided made = made(layout);
    return WaterWalk.of(Network.of(made.rig()), made.running(), part);
  }

  @Test
  void aTapTellsWhereItsWaterComesFromAndGoesTo() {
    WaterWalk sink = walk("one-tank", PartId.of("sink"));
    assertThat(sink.stands())
        .containsExactly(
            new WaterWalk.Stands("closed", List.of()),
            new WaterWalk.Stands(
                "open",
                List.of(
                    List.of("Sink", "Sink trap", "Gray"),
                    List.of("Fresh", "Strainer", "Pump", "Sink"))));
    assertThat(sink.lines()).hasSizeGreaterThan(4);
    assertThat(sink.beside()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "main-and-low, valve-for-fresh, along the pipe, Low fresh > Valve for Fresh > Pump for Fresh > Check valve for Fresh > Fresh",
    "main-and-low, gray-dump, pulled out, Gray > Gray dump > Gray outlet",
    "main-and-low, low-fresh-drain-cap, cap off, Low fresh > Low fresh drain cap",
  })
  void aHandleTellsWhatItDoesInEachPosition(
      String layout, PartId part, PositionId position, String way) {
    assertThat(walk(layout, part).stands())
        .contains(new WaterWalk.Stands(position.value(), List.of(List.of(way.split(" > ")))));
  }

  @Test
  void aVentTellsWhatItIsJoinedTo() {
    WaterWalk vent = walk("one-tank", PartId.of("fresh-vent"));
    assertThat(vent.stands()).allMatch(s -> s.ways().isEmpty());
    assertThat(vent.beside()).containsExactly("Fresh");
    assertThat(vent.lines()).hasSize(1);
  }

  /** Whatever somebody stands before, something is said of it, and a page decides it. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "jug",
        "one-tank",
        "pump-or-drain",
        "main-and-low",
        "shore-and-bucket",
        "three-in-a-row",
        "haulage",
        "long-stay"
      })
  void everyPartOfEveryLayoutIsTold(String layout) {
    Guided made = made(layout);
    Network network = Network.of(made.rig());
    for (Part part : made.rig().parts()) {
      WaterWalk walk = WaterWalk.of(network, made.running(), part.id());
      boolean runs = walk.stands().stream().anyMatch(s -> !s.ways().isEmpty());
      assertThat(runs || !walk.beside().isEmpty()).as(part.label()).isTrue();
      // Air, jugs and what goes round come from nowhere and go nowhere.
      boolean still =
          part.kind().is(Purpose.VENTS)
              || part.kind().is(Purpose.POURED_INTO)
              || part.label().matches("Hot loop .*|Vent tee");
      assertThat(runs || still || part.kind().is(Purpose.CUSHIONS)).as(part.label()).isTrue();
      assertThat(made.pages()).as(part.label()).containsKey(part.id());
    }
  }

  @ParameterizedTest
  @CsvSource({
    "sink, TAPS", "fresh, TANKS", "low-fresh-drain-cap, TANKS", "low-fresh-neck, FILL",
    "pump, PUMP", "pump-for-fresh, FILL", "valve-for-fresh, FILL", "strainer, SUCTION",
    "fresh-vent, VENTS", "fresh-neck, FILL", "sink-trap, WASTE", "gray-dump, WASTE",
  })
  void thePageThatAsksForAPartIsKnown(PartId part, QuestionPage page) {
    assertThat(made("main-and-low").pages()).containsEntry(part, page);
    assertThat(made("shore-and-bucket").pages())
        .containsEntry(PartId.of("cold-drain-cap"), QuestionPage.LOWS)
        .containsEntry(PartId.of("inlet-diverter"), QuestionPage.FILL);
  }

  @Test
  void aPartThatIsNotThereIsRefused() {
    Assertions.assertThatThrownBy(() -> walk("one-tank", PartId.of("bidet")))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("bidet");
  }
}
