package fernwort.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What people, pets and the rig use in a day. */
class HabitsTest {

  private static Habit shower(double times) {
    return new Habit(
        "shower",
        "Shower",
        Habit.Per.PERSON,
        times,
        0,
        Optional.of(new Habit.Running(4, 6, 0.5)),
        1,
        1.5,
        "");
  }

  @Test
  void aShowerIsItsMinutesTimesItsFlowWhileItRuns() {
    Habits habits = new Habits(3, 0, Habits.Season.MILD, List.of(shower(0.5)));
    assertThat(habits.freshPerDay()).isCloseTo(3 * 0.5 * 4 * 6 * 0.5 / 1000, within(1e-12));
    assertThat(habits.grayPerDay()).isEqualTo(habits.freshPerDay());
  }

  @Test
  void heatRaisesOnlyWhatItRaises() {
    Habit dishes = Habit.daily("dishes", "Dishes", 4, 1);
    Habits hot = new Habits(1, 0, Habits.Season.HOT, List.of(shower(1), dishes));
    assertThat(hot.perDay(shower(1))).isCloseTo(0.018, within(1e-12));
    assertThat(hot.perDay(dishes)).isCloseTo(0.004, within(1e-12));
  }

  @Test
  void petsDrinkOnlyWhereThereAreSome() {
    Habits none = Habits.DEFAULT;
    Habits two = new Habits(2, 2, Habits.Season.MILD, none.habits());
    assertThat(two.freshPerDay() - none.freshPerDay()).isCloseTo(0.0024, within(1e-12));
    assertThat(two.grayPerDay()).isCloseTo(none.grayPerDay(), within(1e-12));
  }

  @Test
  void everyDefaultSaysWhereItComesFrom() {
    assertThat(Habits.DEFAULT.habits()).allMatch(h -> h.source().length() > 20);
  }

  @Test
  void nonsenseIsRefusedByName() {
    assertThatThrownBy(() -> shower(-1)).hasMessageContaining("Shower");
    assertThatThrownBy(() -> new Habits(2, 99, Habits.Season.MILD, List.of()))
        .hasMessageContaining("Pets");
  }

  @Test
  void habitsFitWhatTheRigHas() {
    Habits plain = Habits.DEFAULT.fitting(Map.of("shower", false, "toilet", false, "rinse", true));
    assertThat(plain.habits()).extracting(Habit::id).doesNotContain("shower", "toilet");
    assertThat(plain.habits()).extracting(Habit::id).contains("rinse", "drinking", "dishes");
    assertThat(plain.freshPerDay()).isLessThan(Habits.DEFAULT.freshPerDay());
    Habits again = plain.fitting(Map.of("shower", true, "toilet", true));
    assertThat(again.habits())
        .extracting(Habit::id)
        .containsExactlyInAnyOrderElementsOf(
            Habits.DEFAULT.habits().stream().map(Habit::id).toList());
    assertThat(again.freshPerDay()).isEqualTo(Habits.DEFAULT.freshPerDay());
    assertThat(again.people()).isEqualTo(Habits.DEFAULT.people());
  }
}
