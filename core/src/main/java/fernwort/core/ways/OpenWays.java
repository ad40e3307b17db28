package fernwort.core.ways;

import fernwort.core.kind.end.HoseInlet;
import fernwort.core.plumbing.End;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.OpenGraph;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.plumbing.Water;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Finds every open way of a state.
 *
 * <p>In order: mains, running pumps, falls (which do not move against the pressure of the former
 * two), what runs away from fixtures in use, and last the air of each tank over what is left dry.
 */
public final class OpenWays {

  /** A held jug is lifted so far above what it pours into (m). */
  public static final double POURING_HEIGHT = 0.2;

  private final Plumbing plumbing;
  private final Levels levels;
  private final OpenGraph graph;
  private final Waters waters;
  private final Gathering gathering;
  private final Sweep sweep;
  private final Pumping pumping;

  private OpenWays(Plumbing plumbing, Setting setting, Levels levels, Set<String> running) {
    this.plumbing = plumbing;
    this.levels = levels;
    graph = new OpenGraph(plumbing, setting);
    waters = Waters.none(plumbing.size());
    gathering = new Gathering(plumbing, levels, graph);
    sweep = new Sweep(graph, levels);
    pumping = new Pumping(plumbing, levels, graph, running, waters, gathering, sweep);
  }

  /** Returns everything that is open in a state. */
  public static Ways find(Plumbing plumbing, State state) {
    return find(plumbing, state.setting(), Levels.of(plumbing, state));
  }

  /**
   * Returns everything that is open; for trying many settings on the same levels.
   *
   * @param plumbing the prepared rig
   * @param setting a setting of that rig
   * @param levels heights and levels for the state of its tanks
   */
  public static Ways find(Plumbing plumbing, Setting setting, Levels levels) {
    return find(plumbing, setting, levels, Set.of());
  }

  /**
   * The same where it is known that some pumps run, since the pressure behind them is less with
   * what flows than the mains' own.
   *
   * @param running ids of those pumps
   */
  public static Ways find(Plumbing plumbing, Setting setting, Levels levels, Set<String> running) {
    return new OpenWays(plumbing, setting, levels, running).search();
  }

  private Ways search() {
    for (Part part : plumbing.sources()) {
      if (part.kind() instanceof HoseInlet inlet && graph.is(part, HoseInlet.MAINS.id())) {
        mains(part, inlet, plumbing.first(plumbing.index(part.id())));
      }
    }
    List<Origin> origins = Origin.all(plumbing, graph, levels);
    plumbing.pumps().forEach(pump -> pumping.pump(pump, origins));
    List<PumpWork> pumps = pumping.works();
    origins.forEach(this::fall);
    wastes();
    return answer(
        pumps, new AirSearch(graph, levels, graph.outlets().openings(), waters.wet()).find());
  }

  private void mains(Part inlet, HoseInlet kind, int v) {
    sweep
        .begin(Sweep.Medium.PRESSED)
        .from(v, levels.height(v) + Water.head(kind.mainsPressure()))
        .run(waters.nowhere(), -1);
    Source source = new Source(Source.Kind.MAINS, inlet.id());
    gathering.collect(sweep, source, DrivenBy.MAINS, Optional.empty());
    for (int u = 0; u < plumbing.size(); u++) {
      if (sweep.reached(u)) {
        waters.pressed()[u] = true;
        waters.wet()[u] = true;
        waters.mainsHead()[u] = Math.max(waters.mainsHead()[u], sweep.head[u] - levels.height(u));
      }
    }
  }

  private void fall(Origin origin) {
    sweep.begin(Sweep.Medium.FALLING);
    for (int v : origin.ports()) {
      if (!waters.pressed()[v]) {
        sweep.from(v, origin.surface());
      }
    }
    sweep.run(waters.pressed(), -1);
    gathering.collect(sweep, origin.source(), DrivenBy.FALL, Optional.empty());
    sweep.mark(waters.wet());
  }

  private void wastes() {
    Set<String> running = new LinkedHashSet<>();
    for (Way way : gathering.ways()) {
      if (way.end().kind() == End.Kind.FIXTURE) {
        running.add(way.end().part());
      }
    }
    for (String id : running) {
      Part part = plumbing.rig().parts().get(plumbing.index(id));
      if (part.kind().ports().contains("waste") && plumbing.hasLine(part.port("waste"))) {
        int v = plumbing.vertex(part, "waste");
        fall(
            new Origin(
                new Source(Source.Kind.WASTE, id),
                levels.height(v) + Gathering.LEAST_FALL,
                new int[] {v}));
      }
    }
  }

  private Ways answer(List<PumpWork> pumps, List<TankAir> air) {
    Currents currents = gathering.currents();
    Map<String, Boolean> moving = new HashMap<>();
    for (int i = 0; i < plumbing.rig().lines().size(); i++) {
      if (currents.direction(i) != 0) {
        moving.put(plumbing.rig().lines().get(i).id(), currents.direction(i) > 0);
      }
    }
    Set<String> live = new HashSet<>();
    for (TankAir a : air) {
      a.out().ifPresent(r -> live.addAll(r.parts()));
      a.in().ifPresent(r -> live.addAll(r.parts()));
    }
    Set<String> pressedParts = new HashSet<>();
    Set<String> wetted = new HashSet<>();
    List<Part> parts = plumbing.rig().parts();
    for (int i = 0; i < parts.size(); i++) {
      String id = parts.get(i).id();
      int from = plumbing.first(i);
      int to = plumbing.first(i + 1);
      if (currents.movesAny(from, to)) {
        live.add(id);
      }
      if (any(waters.pressed(), from, to)) {
        pressedParts.add(id);
      }
      if (any(waters.wet(), from, to)) {
        wetted.add(id);
      }
    }
    Set<String> dead = new LinkedHashSet<>();
    parts.stream().map(Part::id).filter(p -> !live.contains(p)).forEach(dead::add);
    return new Ways(gathering.ways(), air, pumps, moving, pressedParts, wetted, dead);
  }

  private static boolean any(boolean[] marks, int from, int to) {
    for (int v = from; v < to; v++) {
      if (marks[v]) {
        return true;
      }
    }
    return false;
  }
}
