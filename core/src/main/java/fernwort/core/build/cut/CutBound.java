package fernwort.core.build.cut;

/**
 * How many sticks no way of cutting does without, by dual feasible functions (Fekete and Schepers
 * 2001): each piece is counted with a share of a stick that may be more than its own, such that
 * what comes out of one stick never counts for more than one.
 */
final class CutBound {

  /**
   * Pieces longer than a so-manyth of a stick are looked at up to here; beyond they gain nothing.
   */
  private static final int FUNCTIONS = 20;

  private static final double TOLERANCE = 1e-9;

  private CutBound() {}

  /**
   * Returns the fewest sticks that may do. O(n²).
   *
   * @param needs what each piece takes (m)
   * @param room of a stick (m)
   */
  static int of(double[] needs, double room) {
    int least = least(needs, room, 0);
    for (double need : needs) {
      if (need <= room / 2) {
        least = Math.max(least, least(needs, room, need / room));
      }
    }
    return least;
  }

  /** With pieces of less than a share of a stick left out. */
  private static int least(double[] needs, double room, double small) {
    int least = 0;
    for (int k = 1; k <= FUNCTIONS; k++) {
      double sum = 0;
      for (double need : needs) {
        sum += counted(rounded(need / room, small), k);
      }
      least = Math.max(least, (int) Math.ceil(sum - TOLERANCE));
    }
    return least;
  }

  /**
   * A piece that leaves room for nothing but what is left out takes a whole stick.
   *
   * @param share of a stick that a piece takes
   * @param small share below which pieces are left out
   */
  static double rounded(double share, double small) {
    if (share > 1 - small + TOLERANCE) {
      return 1;
    }
    return share < small - TOLERANCE ? 0 : share;
  }

  /** Of pieces longer than a (k + 1)th of a stick no more than k come out of one. */
  static double counted(double share, int k) {
    double times = (k + 1) * share;
    return Math.abs(times - Math.rint(times)) < TOLERANCE ? share : Math.floor(times) / k;
  }
}
