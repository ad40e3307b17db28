package fernwort.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.sizing.Itinerary.Chance;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A trip on which filling and dumping come at different stops. */
class ItineraryTest {

  /** Ten litres of fresh a day, eight of them to gray. */
  private static final Habits HABITS =
      new Habits(1, 0, Habits.Season.MILD, List.of(Habit.daily("all", "All", 10, 0.8)));

  private static Itinerary trip(double days, Chance... chances) {
    return Itinerary.of(HABITS, 0.060, 0.040, days, List.of(chances));
  }

  @Test
  void grayEndsATripThatFreshWaterWouldLast() {
    Itinerary trip = trip(6);
    assertThat(trip.works()).isFalse();
    assertThat(trip.legs().getFirst().full()).isCloseTo(5, within(1e-9));
    assertThat(trip.legs().getFirst().dry()).isInfinite();
  }

  @Test
  void fillingWithoutDumpingDoesNotHelp() {
    assertThat(trip(6, new Chance(3, true, false)).works()).isFalse();
    assertThat(trip(6, new Chance(3, false, true)).works()).isTrue();
  }

  @Test
  void aStretchStartsWithWhatTheLastOneLeft() {
    Itinerary trip = trip(8, new Chance(4, false, true), new Chance(2, true, false));
    assertThat(trip.legs()).hasSize(3);
    assertThat(trip.legs().get(1).freshAtStart()).isCloseTo(0.060, within(1e-12));
    assertThat(trip.legs().get(2).freshAtStart()).isCloseTo(0.040, within(1e-12));
    assertThat(trip.legs().get(2).roomAtStart()).isCloseTo(0.040, within(1e-12));
    assertThat(trip.works()).isTrue();
  }

  @Test
  void whatIsMissingIsMissedOnlyOnce() {
    Itinerary trip = trip(20, new Chance(10, false, true));
    assertThat(trip.legs().get(0).dry()).isCloseTo(6, within(1e-9));
    assertThat(trip.legs().get(1).freshAtStart()).isZero();
  }

  @Test
  void aStopOutsideTheTripIsRefused() {
    assertThatThrownBy(() -> trip(5, new Chance(7, true, true))).hasMessageContaining("day 7.0");
  }
}
