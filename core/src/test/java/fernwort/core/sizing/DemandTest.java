package fernwort.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import java.util.List;
import org.junit.jupiter.api.Test;

class DemandTest {

  private static final DemoRig RIG = DemoRig.all().getFirst();
  private static final Network PLUMBING = Network.of(RIG.rig());

  @Test
  void daysAndReserveMultiplyWhatIsUsed() {
    Demand demand = Demand.of(Habits.DEFAULT, 4, 0.25);
    assertThat(demand.fresh().expected()).isCloseTo(0.035 * 4 * 1.25, within(1e-9));
    assertThat(demand.fresh().low()).isLessThan(demand.fresh().expected());
    assertThat(demand.fresh().high()).isGreaterThan(demand.fresh().expected());
    assertThat(demand.gray().expected()).isLessThan(demand.fresh().expected());
  }

  @Test
  void daysAndReservesThatCannotBeAreRefusedInASentence() {
    assertThatThrownBy(() -> Demand.of(Habits.DEFAULT, 0, 0)).hasMessageContaining("Days must be");
    assertThatThrownBy(() -> Demand.of(Habits.DEFAULT, Double.NaN, 0)).hasMessageContaining("Days");
    assertThatThrownBy(() -> Demand.of(Habits.DEFAULT, 3, 2)).hasMessageContaining("reserve");
  }

  @Test
  void onlyWhatEndsTheStayIsWorthALitreMore() {
    Lasts lasts = Lasts.of(PLUMBING, RIG.state(), Habits.DEFAULT);
    List<Double> worth = Demand.worthOfALitre(lasts);
    assertThat(lasts.ends()).isEqualTo(Lasts.Ends.GRAY);
    assertThat(worth.getFirst()).isZero();
    double litre = worth.getLast();
    Lasts more =
        Lasts.of(
            PLUMBING,
            RIG.state().withVolume(PartId.of("gray"), RIG.state().volume(PartId.of("gray")) - 1e-3),
            Habits.DEFAULT);
    assertThat(more.days() - lasts.days()).isCloseTo(litre, within(1e-9));
  }

  @Test
  void aTimedJugGivesFlowWithItsSpread() {
    TimedJug jug = TimedJug.of(0.002, List.of(20.0, 22.0, 21.0));
    assertThat(jug.flow() * 60_000).isCloseTo(5.72, within(0.01));
    assertThat(jug.spread()).isPositive();
    assertThat(jug.fill(0.1)).isCloseTo(0.1 / jug.flow(), within(1e-9));
    assertThat(TimedJug.of(0.002, List.of(20.0)).spread()).isZero();
  }

  @Test
  void aSlowSupplyWantsABufferForAsLongAsItIsTooSlow() {
    TimedJug supply = TimedJug.of(0.006, List.of(60.0));
    assertThat(supply.buffer(8e-3 / 60, 300)).isCloseTo(0.010, within(1e-9));
    assertThat(supply.buffer(5e-3 / 60, 300)).isZero();
  }

  @Test
  void aJugThatTakesNoTimeIsRefused() {
    assertThatThrownBy(() -> TimedJug.of(0.002, List.of())).hasMessageContaining("at least one");
    assertThatThrownBy(() -> TimedJug.of(0.002, List.of(0.0))).hasMessageContaining("no time");
  }
}
