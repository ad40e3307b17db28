package fernwort.core.ways;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Link;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.network.Passage;
import fernwort.core.network.Turn;
import fernwort.core.network.Water;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * How many handles stand between a source and an end.
 *
 * <p>Breadth first with costs of 0 and 1 (Dial 1969) over the passages that the layout allows. A
 * passage that stands open costs nothing, one that a handle has to open costs one turn. Each port
 * is met three times: by water that runs by itself and gets no higher than where it comes from; on
 * its way to a pump, which draws it up as far as any pump of the rig does; and behind a pump. Never
 * more than what is really needed, so that it serves as the bound of a best-first search. O(E). For
 * one thread.
 */
public final class HandleDistance {

  /** More turns than any rig has handles. */
  public static final int NEVER = 1 << 20;

  private static final int RUNS = 0;
  private static final int DRAWN = 1;
  private static final int PUSHED = 2;
  private static final int LAYERS = 3;
  private static final double TOLERANCE = 1e-6;
  private static final int[] NONE = {};

  private final Network network;
  private final Levels levels;
  private final OpenGraph free;
  private final double priming;

  /** The part that a passage leads through, by its number in the rig; −1 along a line. */
  private final int[] through;

  /** Where the passages of a rig that a handle has nothing to do with are marked. */
  private final boolean[] fixed;

  /** Where a circulation pump is, which is taken to drive nothing but its own loop. */
  private final boolean[] circulates;

  /** How high water has to get for a passage (m). */
  private final double[] crest;

  private final List<Handle> handles;

  /** What a search has still to go on from, for this turn and for one more. */
  private final int[][] front;

  private @Nullable Opened last;

  private HandleDistance(Network network, Levels levels) {
    this.network = network;
    this.levels = levels;
    priming =
        network.pumps().stream()
            .mapToDouble(p -> p.kind() instanceof Pump pump ? pump.suctionLift() : 0)
            .max()
            .orElse(0);
    free = OpenGraph.withHandlesFree(network);
    through = new int[free.edges()];
    fixed = new boolean[free.edges()];
    circulates = new boolean[free.edges()];
    crest = new double[free.edges()];
    for (int e = 0; e < free.edges(); e++) {
      Part part = network.part(free.from(e));
      through[e] = free.line(e) >= 0 ? -1 : network.index(part.id());
      circulates[e] = part.kind().is(Purpose.CIRCULATES);
      fixed[e] = through[e] < 0 || !part.hasHandle() || isMiddle(free.from(e));
      crest[e] = free.line(e) >= 0 ? levels.crest(free.line(e)) : levels.height(free.to(e));
    }
    handles = handles();
    front = new int[2][LAYERS * network.size()];
  }

  /** A part that opens some passages and closes others, by how it stands. */
  private record Handle(PartId part, Map<PositionId, int[]> opens) {}

  /** The handles of a rig with the passages that stand open in each of their positions. */
  private List<Handle> handles() {
    List<Handle> found = new ArrayList<>();
    for (int i = 0; i < network.rig().parts().size(); i++) {
      Part part = network.rig().parts().get(i);
      int number = i;
      int[] own =
          IntStream.range(0, free.edges()).filter(e -> through[e] == number && !fixed[e]).toArray();
      if (own.length > 0) {
        Map<PositionId, int[]> opens = new HashMap<>();
        for (Position position : part.kind().positions()) {
          List<Passage> open = network.passages(i, position.id());
          opens.put(position.id(), IntStream.of(own).filter(e -> isAmong(open, e)).toArray());
        }
        found.add(new Handle(part.id(), opens));
      }
    }
    return found;
  }

  private boolean isAmong(List<Passage> open, int e) {
    return open.stream()
        .anyMatch(p -> p.from() == free.from(e) && p.to() == free.to(e) && p.law() == free.law(e));
  }

  /** Which passages stand open in a setting. */
  private record Opened(Setting setting, boolean[] passages) {}

  /**
   * What stands open in a setting; the last is kept, since several sources are looked at in turn.
   */
  private Opened openIn(Setting setting) {
    Opened known = last;
    if (known == null || !known.setting().equals(setting)) {
      boolean[] passages = fixed.clone();
      for (Handle handle : handles) {
        for (int e : handle.opens().getOrDefault(setting.of(handle.part()), NONE)) {
          passages[e] = true;
        }
      }
      known = new Opened(setting, passages);
      last = known;
    }
    return known;
  }

  private boolean isMiddle(int v) {
    Part part = network.part(v);
    return v - network.first(network.index(part.id())) >= part.kind().ports().size();
  }

  /** Prepares a rig with the levels of its tanks. */
  public static HandleDistance of(Network network, Levels levels) {
    return new HandleDistance(network, levels);
  }

  /** Prepares a rig on level ground with its tanks as full as they get. */
  public static HandleDistance full(Network network) {
    Map<PartId, Double> volumes = new HashMap<>();
    network.tanks().forEach(t -> volumes.put(t.id(), network.room(t.id()).capacity()));
    State full = new State(network.rig().atRest(), volumes, Slope.LEVEL);
    return new HandleDistance(network, Levels.of(network, full));
  }

  /**
   * Whether the water has to pass a pump that runs.
   *
   * <p>Water that mains or its fall drives passes pumps at rest, as their kind allows.
   */
  public enum Pumped {
    YES,
    NO,
    EITHER,
    /** Not yet, but it may be drawn up as on its way to one. */
    TO_PUMP
  }

  /** The search from one source in one setting. */
  public final class From {

    private final Opened open;
    private final int avoided;
    private final boolean[] frozen;
    private final int[] turns;

    private From(int first, int last, int avoided, Setting setting, Set<PartId> kept) {
      open = openIn(setting);
      this.avoided = avoided;
      frozen = new boolean[network.rig().parts().size()];
      kept.forEach(part -> frozen[network.index(part)] = true);
      turns = new int[LAYERS * network.size()];
      Arrays.fill(turns, NEVER);
      Part source = network.part(first);
      double head = head(source, first);
      double[] ceiling = {head + TOLERANCE, head + priming + TOLERANCE, Double.POSITIVE_INFINITY};
      search(first, last, ceiling);
    }

    private void search(int first, int last, double[] ceiling) {
      int[] near = front[0];
      int[] far = front[1];
      int waiting = 0;
      int cost = 0;
      for (int v = first; v < last; v++) {
        if (network.part(v).kind().is(Purpose.HOLDS) && !levels.wet(v)) {
          continue;
        }
        for (int layer : new int[] {RUNS, DRAWN}) {
          turns[LAYERS * v + layer] = 0;
          near[waiting++] = LAYERS * v + layer;
        }
      }
      while (waiting > 0) {
        int farther = 0;
        while (waiting > 0) {
          int at = near[--waiting];
          for (int e = turns[at] < cost ? -1 : free.first(at / LAYERS); e >= 0; e = free.next(e)) {
            int next = after(e, at % LAYERS);
            if (next < 0 || crest[e] > ceiling[next]) {
              continue;
            }
            int to = LAYERS * free.to(e) + next;
            if (open.passages()[e] && cost < turns[to]) {
              turns[to] = cost;
              near[waiting++] = to;
            } else if (!open.passages()[e] && !frozen[through[e]] && cost + 1 < turns[to]) {
              turns[to] = cost + 1;
              far[farther++] = to;
            }
          }
        }
        int[] done = near;
        near = far;
        far = done;
        waiting = farther;
        cost++;
      }
    }

    /** How water goes on after a passage, −1 when it does not. */
    private int after(int e, int layer) {
      if (through[e] >= 0 && through[e] == avoided) {
        return -1;
      }
      if (free.law(e) != Link.Law.DRIVE || circulates[e]) {
        return layer;
      }
      return layer == RUNS ? -1 : PUSHED;
    }

    /** Returns the fewest turns that let water come to a part; {@link #NEVER} if none do. */
    public int to(PartId end, Pumped pumped) {
      int fewest = NEVER;
      int index = network.index(end);
      for (int v = network.first(index); v < network.first(index + 1); v++) {
        if (!isWaste(v)) {
          fewest = Math.min(fewest, at(v, pumped));
        }
      }
      return fewest;
    }

    private int at(int v, Pumped pumped) {
      return switch (pumped) {
        case YES -> turns[LAYERS * v + PUSHED];
        case NO -> turns[LAYERS * v + RUNS];
        case EITHER -> Math.min(turns[LAYERS * v + RUNS], turns[LAYERS * v + PUSHED]);
        case TO_PUMP -> Math.min(turns[LAYERS * v + RUNS], turns[LAYERS * v + DRAWN]);
      };
    }

    /** Returns every turn that would let the water on from where it comes to by itself. */
    public Set<Turn> barriers() {
      Set<Turn> found = new LinkedHashSet<>();
      for (int at = 0; at < turns.length; at++) {
        if (turns[at] == 0) {
          for (int e = free.first(at / LAYERS); e >= 0; e = free.next(e)) {
            if (!open.passages()[e] && !frozen[through[e]]) {
              addOpening(e, found);
            }
          }
        }
      }
      return found;
    }

    private void addOpening(int e, Set<Turn> found) {
      Part part = network.part(free.from(e));
      PositionId now = open.setting().of(part.id());
      part.kind().positions().stream()
          .filter(p -> !p.id().equals(now))
          .forEach(p -> found.add(new Turn(part.id(), p.id())));
    }
  }

  private boolean isWaste(int v) {
    return network.part(v).kind().is(Purpose.USE)
        && !isMiddle(v)
        && network.port(v).equals(PortId.WASTE);
  }

  private double head(Part source, int port) {
    if (source.kind().is(Purpose.HOLDS)) {
      return levels.surface(source.id());
    }
    return source.kind().gives().stream()
        .mapToDouble(given ->
            switch (given.from()) {
              case MAINS -> levels.height(port) + Water.head(given.pressure());
              case OUTSIDE -> given.height();
              case JUG -> Double.POSITIVE_INFINITY;
              case NECK -> levels.height(port) + OpenWays.POURING_HEIGHT;
            })
        .max()
        .orElse(Double.POSITIVE_INFINITY);
  }

  /** Searches from a source in a setting. */
  public From from(PartId source, Setting setting) {
    return from(source, setting, Set.of());
  }

  /** Searches from a source in a setting, with some parts staying as they are. */
  public From from(PartId source, Setting setting, Set<PartId> kept) {
    int index = network.index(source);
    return new From(network.first(index), network.first(index + 1), -1, setting, kept);
  }

  /** Searches from behind a part that water has passed, and does not pass again. */
  public From behind(PartId part, PortId port, Setting setting) {
    int v = network.vertex(new PortRef(part, port));
    return new From(v, v + 1, network.index(part), setting, Set.of());
  }
}
