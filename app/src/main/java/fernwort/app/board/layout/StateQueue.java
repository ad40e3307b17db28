package fernwort.app.board.layout;

import java.util.Arrays;

/**
 * A bucket queue (Dial 1969) of small numbers by priority, the inner loop of A*: one stack for each
 * priority, so that adding and removing cost no comparisons. Of equal priorities the state added
 * last comes first, so that order is fixed.
 */
final class StateQueue {

  private int[] newest = new int[4096];

  /** For each entry its state and the entry below it in its bucket. */
  private int[] states = new int[4096];

  private int[] below = new int[4096];
  private int entries;
  private int size;
  private int lowest;
  private int highest = -1;

  StateQueue() {
    Arrays.fill(newest, -1);
  }

  void clear() {
    Arrays.fill(newest, 0, highest + 1, -1);
    entries = 0;
    size = 0;
    lowest = 0;
    highest = -1;
  }

  boolean isEmpty() {
    return size == 0;
  }

  void add(int state, int priority) {
    if (priority >= newest.length) {
      int before = newest.length;
      newest = Arrays.copyOf(newest, 2 * priority);
      Arrays.fill(newest, before, newest.length, -1);
    }
    if (entries == states.length) {
      states = Arrays.copyOf(states, 2 * entries);
      below = Arrays.copyOf(below, 2 * entries);
    }
    states[entries] = state;
    below[entries] = newest[priority];
    newest[priority] = entries++;
    lowest = size == 0 ? priority : Math.min(lowest, priority);
    highest = Math.max(highest, priority);
    size++;
  }

  /** Returns a state of least priority, which must exist. */
  int remove() {
    while (newest[lowest] < 0) {
      lowest++;
    }
    int entry = newest[lowest];
    newest[lowest] = below[entry];
    size--;
    return states[entry];
  }
}
