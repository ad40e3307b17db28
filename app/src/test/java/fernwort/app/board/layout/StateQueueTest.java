package fernwort.app.board.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class StateQueueTest {

  @Test
  void takesTheLeastFirstHoweverAddsAndTakesMix() {
    Random random = new Random(5);
    StateQueue queue = new StateQueue();
    for (int round = 0; round < 30; round++) {
      queue.clear();
      List<Integer> waiting = new ArrayList<>();
      for (int i = 0; i < 3000; i++) {
        if (waiting.isEmpty() || random.nextInt(3) > 0) {
          int priority = random.nextInt(9000);
          queue.add(priority, priority);
          waiting.add(priority);
        } else {
          int least = waiting.stream().mapToInt(p -> p).min().orElseThrow();
          assertThat(queue.remove()).isEqualTo(least);
          waiting.remove(Integer.valueOf(least));
        }
      }
      while (!queue.isEmpty()) {
        waiting.remove(Integer.valueOf(queue.remove()));
      }
      assertThat(waiting).isEmpty();
    }
  }

  @Test
  void ofEqualsTheOneAddedLastComesFirst() {
    StateQueue queue = new StateQueue();
    queue.add(1, 7);
    queue.add(2, 7);
    queue.add(3, 6);
    assertThat(List.of(queue.remove(), queue.remove(), queue.remove())).containsExactly(3, 2, 1);
  }
}
