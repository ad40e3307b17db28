package fernwort.app;

import java.util.List;
import java.util.stream.IntStream;

/** Of many cases a few, spread over all of them; all in the sweep. */
public final class Sampled {

  private static final boolean ALL = Boolean.getBoolean("sweep.cases");

  private Sampled() {}

  /** Returns some of the cases, the same each time, the first among them. */
  public static <T> List<T> of(List<T> all, int few) {
    return ALL || few >= all.size()
        ? all
        : IntStream.range(0, few).mapToObj(i -> all.get(i * all.size() / few)).toList();
  }
}
