package fernwort.core.ways;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * How air gets into and out of every tank: over dry passages to an opening, if need be through the
 * air space of another tank.
 */
public final class AirSearch {

  private final OpenGraph graph;
  private final Network network;
  private final Levels levels;
  private final int[] openings;
  private final boolean[] blocked;
  private final int[] hop;
  private final HeadReach inwards;
  private final HeadReach outwards;

  public AirSearch(OpenGraph graph, Levels levels, int[] openings, boolean[] wet) {
    this.graph = graph;
    this.network = graph.network();
    this.levels = levels;
    this.openings = openings;
    this.blocked = wet.clone();
    this.hop = new int[network.size()];
    this.inwards = new HeadReach(graph, levels);
    this.outwards = new HeadReach(graph, levels);
    for (int tank = 0; tank < network.tanks().size(); tank++) {
      for (int v : network.tankVertices(tank)) {
        blocked[v] |= !levels.breathes(v);
      }
    }
  }

  /** Returns how the air of each tank gets in and out. */
  public List<TankAir> find() {
    List<TankAir> air = new ArrayList<>();
    HeadReach in = inwards();
    Optional<TankAir.Route> none = Optional.empty();
    int[] inHop = hop.clone();
    for (int tank = 0; tank < network.tanks().size(); tank++) {
      Optional<TankAir.Route> wayIn = none;
      for (int v : network.tankVertices(tank)) {
        if (!blocked[v] && in.reached(v) && inHop[v] < 0) {
          wayIn = Optional.of(route(in, inHop, v, true));
          break;
        }
      }
      Part part = network.tanks().get(tank);
      air.add(new TankAir(part.id(), outwards(tank), wayIn, bubbling(part, wayIn)));
    }
    return air;
  }

  private Optional<TankAir.Bubbling> bubbling(Part tank, Optional<TankAir.Route> wayIn) {
    return wayIn.isPresent()
        ? Optional.empty()
        : new CoveredVents(graph, levels, openings).of(tank);
  }

  private HeadReach inwards() {
    Arrays.fill(hop, -1);
    HeadReach sweep = inwards.begin(HeadReach.Medium.AIR);
    for (int v : openings) {
      if (!blocked[v]) {
        sweep.from(v, 0);
      }
    }
    return spread(sweep);
  }

  private Optional<TankAir.Route> outwards(int tank) {
    Arrays.fill(hop, -1);
    HeadReach sweep = outwards.begin(HeadReach.Medium.AIR);
    for (int v : network.tankVertices(tank)) {
      if (!blocked[v]) {
        sweep.from(v, 0);
      }
    }
    spread(sweep);
    int best = -1;
    double least = Double.POSITIVE_INFINITY;
    for (int v : openings) {
      if (!blocked[v] && sweep.reached(v)) {
        double narrow = narrowness(sweep, v);
        if (narrow < least) {
          best = v;
          least = narrow;
        }
      }
    }
    return best < 0 ? Optional.empty() : Optional.of(route(sweep, hop, best, false));
  }

  /** How hard air has it on the way to a port: the sum of length over bore⁵ of its lines (m⁻⁴). */
  private double narrowness(HeadReach sweep, int end) {
    double sum = 0;
    int v = end;
    while (v >= 0) {
      int e = sweep.arrival[v];
      if (e >= 0 && graph.line(e) >= 0) {
        Line line = network.rig().lines().get(graph.line(e));
        sum += line.length() / Math.pow(line.bore(), 5);
      }
      v = e >= 0 ? graph.from(e) : hop[v];
    }
    return sum;
  }

  /** Runs a sweep, going on from port to port of each tank whose air space it reaches. */
  private HeadReach spread(HeadReach sweep) {
    boolean more = true;
    while (more) {
      sweep.run(blocked, -1);
      more = false;
      for (int tank = 0; tank < network.tanks().size(); tank++) {
        more |= hopThrough(sweep, tank);
      }
    }
    return sweep;
  }

  private boolean hopThrough(HeadReach sweep, int tank) {
    int entry = -1;
    for (int v : network.tankVertices(tank)) {
      if (entry < 0 && sweep.reached(v)) {
        entry = v;
      }
    }
    boolean hopped = false;
    for (int v : network.tankVertices(tank)) {
      if (entry >= 0 && !blocked[v] && !sweep.reached(v)) {
        hop[v] = entry;
        sweep.from(v, 0);
        hopped = true;
      }
    }
    return hopped;
  }

  private TankAir.Route route(HeadReach sweep, int[] hops, int end, boolean inwards) {
    Set<PartId> parts = new LinkedHashSet<>();
    Set<LineId> lines = new LinkedHashSet<>();
    int v = end;
    while (true) {
      parts.add(network.part(v).id());
      if (sweep.arrival[v] >= 0) {
        int line = graph.line(sweep.arrival[v]);
        if (line >= 0) {
          lines.add(network.rig().lines().get(line).id());
        }
        v = graph.from(sweep.arrival[v]);
      } else if (hops[v] >= 0) {
        v = hops[v];
      } else {
        break;
      }
    }
    PartId opening = network.part(inwards ? v : end).id();
    return new TankAir.Route(opening, List.copyOf(parts), List.copyOf(lines));
  }
}
