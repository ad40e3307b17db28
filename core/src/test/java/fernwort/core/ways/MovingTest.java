package fernwort.core.ways;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The lines in which water moves are a map like any other. */
class MovingTest {

  private static final Network NETWORK = Network.of(DemoRig.all().getFirst().rig());

  private static LineId line(int number) {
    return NETWORK.rig().lines().get(number).id();
  }

  private static Moving moving() {
    int[] directions = new int[NETWORK.rig().lines().size()];
    directions[1] = 1;
    directions[4] = -1;
    return new Moving(NETWORK, directions);
  }

  @Test
  void itTellsWhichWayWaterMoves() {
    Moving moving = moving();
    assertThat(moving.get(line(1))).isTrue();
    assertThat(moving.get(line(4))).isFalse();
    assertThat(moving.containsKey(line(0))).as("it stands").isFalse();
    assertThat(moving.containsKey(LineId.of("not on board"))).isFalse();
    assertThat(moving.containsKey((Object) PartId.of(line(1).value()))).isFalse();
  }

  @Test
  void itEqualsAMapOfTheSameLinesAndDoesNotChange() {
    Map<LineId, Boolean> other = Map.of(line(4), false, line(1), true);
    assertThat(moving()).isEqualTo(other).hasSameHashCodeAs(other).hasSize(2);
    assertThat(moving().keySet()).containsExactly(line(1), line(4));
    assertThatThrownBy(() -> moving().put(line(0), true))
        .isInstanceOf(UnsupportedOperationException.class);
  }
}
