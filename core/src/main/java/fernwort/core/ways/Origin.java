package fernwort.core.ways;

import fernwort.core.kind.Fitting;
import fernwort.core.kind.Fixture;
import fernwort.core.kind.GravityFiller;
import fernwort.core.kind.Heater;
import fernwort.core.kind.HoseInlet;
import fernwort.core.kind.Macerator;
import fernwort.core.kind.OpenEnd;
import fernwort.core.kind.Plug;
import fernwort.core.kind.PortableContainer;
import fernwort.core.kind.Pump;
import fernwort.core.kind.Tank;
import fernwort.core.kind.Valve;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.OpenGraph;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Water that waits at some ports without pressure: in a tank, a jug that is held, or outside.
 *
 * @param source where it is
 * @param surface the height of its surface (m)
 * @param ports the ports that it stands at, by their numbers
 */
record Origin(Source source, double surface, int[] ports) {

  /** Returns all that waits in a setting, in the order of the rig. */
  static List<Origin> all(Plumbing plumbing, OpenGraph graph, Levels levels) {
    List<Origin> origins = new ArrayList<>();
    for (Part part : plumbing.sources()) {
      int v = plumbing.first(plumbing.index(part.id()));
      switch (part.kind()) {
        case Tank tank -> {
          int[] under =
              IntStream.range(v, v + tank.tankPorts().size()).filter(levels::wet).toArray();
          if (under.length > 0) {
            origins.add(
                new Origin(
                    new Source(Source.Kind.TANK, part.id()), levels.surface(part.id()), under));
          }
        }
        case HoseInlet inlet -> {
          if (graph.is(part, HoseInlet.OUTSIDE.id())) {
            origins.add(
                new Origin(
                    new Source(Source.Kind.OUTSIDE, part.id()),
                    inlet.outsideHeight(),
                    new int[] {v}));
          }
        }
        case PortableContainer jug -> {
          if (graph.is(part, PortableContainer.POURING.id())) {
            origins.add(jug(plumbing, levels, part, v));
          }
        }
        case GravityFiller _,
            OpenEnd _,
            Valve _,
            Pump _,
            Heater _,
            Fixture _,
            Macerator _,
            Plug _,
            Fitting _ -> {}
      }
    }
    return origins;
  }

  private static Origin jug(Plumbing plumbing, Levels levels, Part part, int v) {
    int into = plumbing.across(part.port("spout"));
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
