package fernwort.core.ways;

import fernwort.core.id.PortId;
import fernwort.core.kind.Given;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.rig.Part;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Water that waits at some ports without pressure: in a tank, a jug that is held, or outside.
 *
 * @param source where it is
 * @param surface the height of its surface (m)
 * @param ports the ports that it stands at, by their numbers
 */
record Origin(Source source, double surface, int[] ports) {

  /** Returns all that waits in a setting, in the order of the rig. */
  static List<Origin> all(Network network, OpenGraph graph, Levels levels) {
    List<Origin> origins = new ArrayList<>();
    for (Part part : network.sources()) {
      int v = network.first(network.index(part.id()));
      if (part.kind().is(Purpose.HOLDS)) {
        int[] under = Arrays.stream(network.tankPortsAt(v)).filter(levels::wet).toArray();
        if (under.length > 0) {
          origins.add(
              new Origin(
                  new Source(Source.Kind.TANK, part.id()), levels.surface(part.id()), under));
        }
        continue;
      }
      graph
          .setting()
          .given(part)
          .flatMap(g -> of(g, network, levels, part, v))
          .ifPresent(origins::add);
    }
    return origins;
  }

  private static Optional<Origin> of(
      Given given, Network network, Levels levels, Part part, int v) {
    return switch (given.from()) {
      case OUTSIDE ->
          Optional.of(
              new Origin(
                  new Source(Source.Kind.OUTSIDE, part.id()), given.height(), new int[] {v}));
      case JUG -> Optional.of(jug(network, levels, part, v));
      case MAINS, NECK -> Optional.empty();
    };
  }

  private static Origin jug(Network network, Levels levels, Part part, int v) {
    int into = network.across(part.port(PortId.of("spout")));
    double lip = into < 0 ? levels.height(v) : Math.max(levels.height(v), levels.height(into));
    return new Origin(
        new Source(Source.Kind.JUG, part.id()), lip + OpenWays.POURING_HEIGHT, new int[] {v});
  }

  /** Tells whether any of its ports is on some island of the open graph. */
  boolean isOn(int[] islands, int island) {
    for (int v : ports) {
      if (islands[v] == island) {
        return true;
      }
    }
    return false;
  }
}
