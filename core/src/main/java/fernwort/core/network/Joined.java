package fernwort.core.network;

import java.util.Arrays;

/**
 * Numbers joined into sets, each of which is named by its smallest number: union-find with path
 * halving (Tarjan and van Leeuwen 1984), near-constant time a step.
 */
public final class Joined {

  private final int[] root;

  /** Begins with every number by itself, from 0 on. */
  public Joined(int size) {
    root = new int[size];
    Arrays.setAll(root, v -> v);
  }

  /** Returns the smallest number of the set that a number is in. */
  public int find(int number) {
    int v = number;
    while (root[v] != v) {
      root[v] = root[root[v]];
      v = root[v];
    }
    return v;
  }

  /** Makes one set of two. */
  public void join(int a, int b) {
    int first = find(a);
    int second = find(b);
    root[Math.max(first, second)] = Math.min(first, second);
  }
}
