package fernwort.core.winter;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.say.Message;
import fernwort.core.winter.sheets.Groups;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterStep;
import fernwort.core.winter.sheets.WinterStep.Hand;
import fernwort.core.winter.sheets.WinterStep.Sort;
import java.util.List;
import org.junit.jupiter.api.Test;

class GroupsTest {

  private static WinterStep step(PlaceId place, Hand hand) {
    return new WinterStep(
            new Operation.Heed(), place, Message.NOTHING, Message.NOTHING, 15, false, 0)
        .by(hand);
  }

  @Test
  void allTapsOfAPlaceAreOneActUntilSomethingIsWaitedFor() {
    assertThat(
            Groups.of(
                List.of(
                    step(PlaceId.of("bath"), Hand.of(PartId.of("basin"), Sort.TAPS)),
                    step(PlaceId.of("galley"), Hand.of(PartId.of("sink"), Sort.TAPS)),
                    step(PlaceId.of("bath"), Hand.of(PartId.of("shower"), Sort.TAPS)),
                    step(PlaceId.of("bath"), Hand.of(PartId.of("trap"), Sort.CAPS)),
                    step(PlaceId.of("under"), Hand.of(PartId.of("tank"), Sort.WAIT)),
                    step(PlaceId.of("bath"), Hand.of(PartId.of("basin"), Sort.TAPS)))))
        .containsExactly(1, 2, 1, 3, 4, 5);
  }

  @Test
  void whileTheJugIsOnEachVisitToATapIsOne() {
    assertThat(
            Groups.of(
                List.of(
                    step(PlaceId.of("bench"), Hand.of(PartId.of("pump"), Sort.JUG)),
                    step(PlaceId.of("bath"), Hand.of(PartId.of("basin"), Sort.TAPS)),
                    step(PlaceId.of("bath"), Hand.of(PartId.of("basin"), Sort.RUN).running(1e-3)),
                    step(PlaceId.of("bath"), Hand.of(PartId.of("basin"), Sort.TAPS)),
                    step(PlaceId.of("bath"), Hand.of(PartId.of("shower"), Sort.TAPS)),
                    step(PlaceId.of("bench"), Hand.of(PartId.of("pump"), Sort.JUG).comingOff()),
                    step(PlaceId.of("bath"), Hand.of(PartId.of("basin"), Sort.TAPS)),
                    step(PlaceId.of("bath"), Hand.of(PartId.of("shower"), Sort.TAPS)))))
        .containsExactly(1, 2, 2, 2, 3, 4, 5, 5);
  }

  @Test
  void whatIsKeptFromAnEarlierFernwortIsOneActEach() {
    WinterStep old =
        new WinterStep(
            new Operation.Heed(),
            PlaceId.of("bath"),
            Message.NOTHING,
            Message.NOTHING,
            15,
            false,
            0);
    assertThat(Groups.of(List.of(old, old))).containsExactly(1, 2);
  }
}
