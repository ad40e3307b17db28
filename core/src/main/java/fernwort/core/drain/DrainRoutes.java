package fernwort.core.drain;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Link;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.ways.OpenWays;
import fernwort.core.ways.TankAir;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;

/**
 * The handles to move so that a tank runs out by gravity.
 *
 * <p>Best first over ports with every handle free: the way whose crest leaves least in the tank,
 * and among those the one that moves fewest handles. A way that would need one handle in two
 * positions is not taken. Few handles lie on a way, so the search stays small although it remembers
 * them.
 */
public final class DrainRoutes {

  private static final double MILLIMETRE = 1e-3;
  private static final int MOST_STEPS = 20_000;

  /** Draining one tank by another counts as so many handles. */
  private static final int BY_A_TANK = 3;

  private final Network network;
  private final Setting setting;
  private final Levels levels;

  private DrainRoutes(Network network, Setting setting, Levels levels) {
    this.network = network;
    this.setting = setting;
    this.levels = levels;
  }

  /** Looks for drains from a setting. */
  public static DrainRoutes of(Network network, Setting setting, Levels levels) {
    return new DrainRoutes(network, setting, levels);
  }

  private record Step(int vertex, double crest, int moves, Map<PartId, PositionId> needs) {}

  /**
   * The best way out of a tank.
   *
   * @param crest the highest point it passes (m)
   * @param needs the positions it needs, by part id, in the order the water meets them; parts that
   *     stand right already are not named
   */
  public record Route(double crest, Map<PartId, PositionId> needs) {}

  /** Returns the best way out of a tank, if there is one. */
  public Optional<Route> best(Part tank) {
    PriorityQueue<Step> queue =
        new PriorityQueue<>(
            Comparator.<Step>comparingLong(s -> Math.round(s.crest() / MILLIMETRE))
                .thenComparingInt(Step::moves));
    int first = network.first(network.index(tank.id()));
    for (int v = first; v < first + tank.kind().ports().size(); v++) {
      queue.add(new Step(v, levels.height(v), 0, Map.of()));
    }
    boolean[] settled = new boolean[network.size()];
    for (int steps = 0; !queue.isEmpty() && steps < MOST_STEPS; steps++) {
      Step step = queue.remove();
      if (settled[step.vertex()]) {
        continue;
      }
      settled[step.vertex()] = true;
      Optional<Map<PartId, PositionId>> out = leaves(step);
      if (out.isPresent()) {
        return Optional.of(new Route(step.crest(), out.get()));
      }
      onward(step, first, queue);
    }
    return Optional.empty();
  }

  /** The needs of the way including its end, when water can leave at this port. */
  private Optional<Map<PartId, PositionId>> leaves(Step step) {
    Part part = network.part(step.vertex());
    if (!isPort(part, step.vertex())) {
      return Optional.empty();
    }
    return part.kind()
        .runsOut(network.port(step.vertex()))
        .flatMap(p -> p.isEmpty() ? Optional.of(step.needs()) : need(step, part, p));
  }

  private void onward(Step step, int tank, PriorityQueue<Step> queue) {
    Part part = network.part(step.vertex());
    int across =
        isPort(part, step.vertex()) ? network.across(part.port(network.port(step.vertex()))) : -1;
    if (across >= 0) {
      double crest = levels.crest(network.lineAt(part.port(network.port(step.vertex()))));
      queue.add(new Step(across, Math.max(step.crest(), crest), step.moves(), step.needs()));
    }
    boolean own =
        step.vertex() >= tank
            && part.kind().is(Purpose.HOLDS)
            && network.first(network.index(part.id())) == tank;
    if (part.kind().is(Purpose.HOLDS) && !own) {
      // By another tank, where there is no way past it.
      for (int u : network.tankPortsAt(step.vertex())) {
        double crest = Math.max(step.crest(), levels.height(u));
        queue.add(new Step(u, crest, step.moves() + BY_A_TANK, step.needs()));
      }
    } else if (!own) {
      through(step, part, queue);
    }
  }

  private boolean isPort(Part part, int vertex) {
    return vertex - network.first(network.index(part.id())) < part.kind().ports().size();
  }

  /** Adds the ports that a part can let the water on to, with what that needs of its handle. */
  private void through(Step step, Part part, PriorityQueue<Step> queue) {
    if (part.kind().is(Purpose.TURNS) || part.kind().is(Purpose.POURED_INTO)) {
      for (Position position : part.kind().positions()) {
        need(step, part, position.id())
            .ifPresent(needs -> {
              OpenGraph graph = new OpenGraph(network, setting.with(part.id(), position.id()));
              spread(step, needs, graph, queue);
            });
      }
    } else {
      spread(step, step.needs(), new OpenGraph(network, setting), queue);
    }
  }

  private void spread(
      Step step, Map<PartId, PositionId> needs, OpenGraph graph, PriorityQueue<Step> queue) {
    for (int e = graph.first(step.vertex()); e >= 0; e = graph.next(e)) {
      if (graph.line(e) < 0 && graph.law(e) != Link.Law.DRIVE) {
        int u = graph.to(e);
        queue.add(new Step(u, Math.max(step.crest(), levels.height(u)), needs.size(), needs));
      }
    }
  }

  private Optional<Map<PartId, PositionId>> need(Step step, Part part, PositionId position) {
    PositionId wanted = step.needs().get(part.id());
    if (wanted != null) {
      return wanted.equals(position) ? Optional.of(step.needs()) : Optional.empty();
    }
    if (setting.of(part.id()).equals(position)) {
      return Optional.of(step.needs());
    }
    Map<PartId, PositionId> needs = new LinkedHashMap<>(step.needs());
    needs.put(part.id(), position);
    return Optional.of(needs);
  }

  /** Returns the handles whose single turn would let air into a tank, as part and position. */
  public List<Map.Entry<PartId, PositionId>> airGivers(Part tank) {
    List<Map.Entry<PartId, PositionId>> givers = new ArrayList<>();
    for (Part part : network.rig().handles().toList()) {
      if (part.kind().is(Purpose.PUMPS) || part.kind().is(Purpose.INLET)) {
        continue;
      }
      for (Position position : part.kind().positions()) {
        Setting changed = setting.with(part.id(), position.id());
        if (OpenWays.find(network, changed, levels)
            .airOf(tank.id())
            .flatMap(TankAir::in)
            .isPresent()) {
          givers.add(Map.entry(part.id(), position.id()));
        }
      }
    }
    return givers;
  }
}
