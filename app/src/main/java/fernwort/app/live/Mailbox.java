package fernwort.app.live;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What waits, topic by topic: of each no more than so much, of which the oldest is let go. A topic
 * that babbles drives out nothing of another.
 */
final class Mailbox<T> {

  private final int most;
  private final Map<String, Deque<T>> boxes = new HashMap<>();

  Mailbox(int most) {
    this.most = most;
  }

  /** Adds something; returns whether it is the first that waits under its topic. */
  synchronized boolean add(String topic, T thing) {
    Deque<T> box = boxes.computeIfAbsent(topic, t -> new ArrayDeque<>());
    boolean first = box.isEmpty();
    if (box.size() >= most) {
      box.removeFirst();
    }
    box.addLast(thing);
    return first;
  }

  /** Takes all that waits under a topic, in order. */
  synchronized List<T> take(String topic) {
    Deque<T> box = boxes.remove(topic);
    return box == null ? List.of() : List.copyOf(box);
  }
}
