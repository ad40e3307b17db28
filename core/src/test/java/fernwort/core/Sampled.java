package fernwort.core;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Of many cases a few, spread over all of them; all in the sweep. */
public final class Sampled {

  private static final boolean ALL = Boolean.getBoolean("sweep.cases");

  private Sampled() {}

  /** Returns some of the cases, the same each time. */
  public static <T> List<T> of(List<T> all, int few) {
    if (ALL || few >= all.size()) {
      return all;
    }
    return IntStream.range(0, few)
        .mapToObj(i -> all.get((1 + i * all.size() / few) % all.size()))
        .toList();
  }

  /** Returns the ids of two demo rigs; the largest takes longest, and is left to the sweep. */
  public static Stream<String> demos() {
    return of(List.of("tern", "samphire", "marginalia"), 2).stream();
  }

  /** Returns some of the demo rigs and ready layouts. */
  public static Stream<Rig> rigs(int few) {
    List<Rig> all =
        Stream.concat(
                DemoRig.all().stream().map(DemoRig::rig),
                ReadyRig.all().stream().map(ReadyRig::rig))
            .toList();
    return of(all, few).stream();
  }
}
