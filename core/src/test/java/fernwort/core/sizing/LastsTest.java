package fernwort.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import java.util.List;
import org.junit.jupiter.api.Test;

class LastsTest {

  private static final DemoRig RIG = DemoRig.all().getFirst();
  private static final Network PLUMBING = Network.of(RIG.rig());

  private static Habits habits(double litres, double gray) {
    return new Habits(2, 0, Habits.Season.MILD, List.of(Habit.daily("all", "All", litres, gray)));
  }

  @Test
  void freshEndsWhenWhatStandsOverTheOutletsIsDrawn() {
    State state =
        RIG.state()
            .withVolume(PartId.of("main"), 0.05)
            .withVolume(PartId.of("low"), 0)
            .withVolume(PartId.of("gray"), 0);
    Lasts lasts = Lasts.of(PLUMBING, state, habits(5, 0));
    double strandedMain = 1.108 * 0.448 * 0.022;
    assertThat(lasts.freshDays()).isCloseTo((0.05 - strandedMain) / 0.010, within(1e-6));
    assertThat(lasts.ends()).isEqualTo(Lasts.Ends.FRESH);
  }

  @Test
  void grayEndsTheStayWhenItsRoomIsLessThanTheFresh() {
    Lasts lasts = Lasts.of(PLUMBING, RIG.state(), habits(10, 1));
    assertThat(lasts.ends()).isEqualTo(Lasts.Ends.GRAY);
    assertThat(lasts.days()).isCloseTo(lasts.grayRoom() / 0.020, within(1e-9));
    assertThat(lasts.days()).isLessThan(lasts.freshDays());
  }

  @Test
  void aRigWithoutGrayTankOnlyRunsOutOfFresh() {
    DemoRig trailer = DemoRig.called("samphire");
    Lasts lasts = Lasts.of(Network.of(trailer.rig()), trailer.state(), Habits.DEFAULT);
    assertThat(lasts.grayDays()).isEmpty();
    assertThat(lasts.days()).isEqualTo(lasts.freshDays()).isPositive();
  }

  @Test
  void fullTanksAtTheSameUseLastAsLongAsTheirWaterIsMore() {
    Lasts learnt =
        Lasts.of(PLUMBING, RIG.state(), habits(10, 1)).withFresh(0.03, 2).withGray(0.03, 2);
    State full = RIG.state().withVolume(PartId.of("gray"), 0);
    Lasts fromFull = Lasts.of(PLUMBING, full, habits(10, 1)).usedLike(learnt);
    assertThat(fromFull.freshDays()).isCloseTo(fromFull.freshLeft() / 0.03, within(1e-9));
    assertThat(fromFull.grayDays()).hasValue(fromFull.grayRoom() / 0.03);
  }

  @Test
  void impossibleHabitsAreRefusedByName() {
    assertThatThrownBy(() -> Habit.daily("s", "Shower", -1, 1)).hasMessageContaining("Shower");
    assertThatThrownBy(() -> Habit.daily("s", "Shower", 5, 3)).hasMessageContaining("100");
    assertThatThrownBy(() -> Habits.DEFAULT.of(0)).hasMessageContaining("1 to 50");
  }
}
