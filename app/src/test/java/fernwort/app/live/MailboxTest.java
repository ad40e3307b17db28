package fernwort.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** A topic that babbles keeps its newest, and drives out nothing of another. */
class MailboxTest {

  @Test
  void theOldestIsLetGoAndOtherTopicsKeepAllTheyHave() {
    Mailbox<Integer> box = new Mailbox<>(3);
    assertThat(box.add("leak", 7)).isTrue();
    IntStream.range(0, 10_000).forEach(i -> assertThat(box.add("level", i)).isEqualTo(i == 0));
    assertThat(box.take("level")).containsExactly(9_997, 9_998, 9_999);
    assertThat(box.take("leak")).containsExactly(7);
    assertThat(box.take("leak")).isEmpty();
    assertThat(box.add("leak", 8)).isTrue();
  }
}
