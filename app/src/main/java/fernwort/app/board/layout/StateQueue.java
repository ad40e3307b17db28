package fernwort.app.board.layout;

import java.util.Arrays;

/** A binary heap of small numbers by priority, without a box around each: the inner loop of A*. */
final class StateQueue {

  private long[] heap = new long[1024];
  private int size;

  void clear() {
    size = 0;
  }

  boolean isEmpty() {
    return size == 0;
  }

  void add(int state, int priority) {
    if (size == heap.length) {
      heap = Arrays.copyOf(heap, 2 * size);
    }
    long key = (long) priority << 32 | state;
    int i = size++;
    while (i > 0 && heap[(i - 1) / 2] > key) {
      heap[i] = heap[(i - 1) / 2];
      i = (i - 1) / 2;
    }
    heap[i] = key;
  }

  /** Returns the state of least priority; of equals, the least state, so that order is fixed. */
  int remove() {
    long least = heap[0];
    long last = heap[--size];
    int i = 0;
    while (2 * i + 1 < size) {
      int child = 2 * i + 1;
      if (child + 1 < size && heap[child + 1] < heap[child]) {
        child++;
      }
      if (heap[child] >= last) {
        break;
      }
      heap[i] = heap[child];
      i = child;
    }
    heap[i] = last;
    return (int) least;
  }
}
