package fernwort.core.network;

import fernwort.core.id.PartId;
import fernwort.core.kind.Mouth;
import fernwort.core.rig.Part;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** Where water can leave the lines in one setting, and where the lines meet the open air. */
public final class Outlets {

  /** One port at which water ends. */
  public record Outlet(int vertex, End end) {}

  private final List<Outlet> ends = new ArrayList<>();

  private final IntStream.Builder open = IntStream.builder();
  private final int[] openings;
  private final int[] at;

  public Outlets(OpenGraph graph) {
    List<Part> parts = graph.network().rig().parts();
    for (int i = 0; i < parts.size(); i++) {
      add(graph, parts.get(i).id(), i);
    }
    openings = open.build().toArray();
    at = new int[graph.network().size()];
    Arrays.fill(at, -1);
    for (int i = 0; i < ends.size(); i++) {
      at[ends.get(i).vertex()] = i;
    }
  }

  /** Returns the ports where air can come in or go out. */
  public int[] openings() {
    return openings;
  }

  /** Returns the index in {@link #ends} of the outlet at a vertex, or −1. */
  public int at(int vertex) {
    return at[vertex];
  }

  private void add(OpenGraph graph, PartId id, int part) {
    for (Mouth mouth : graph.network().mouths(part, graph.setting())) {
      int v = graph.network().first(part) + mouth.port();
      end(mouth.onto()).ifPresent(kind -> ends.add(new Outlet(v, new End(kind, id))));
      if (mouth.onto().isOpen()) {
        open.add(v);
      }
    }
  }

  private static Optional<End.Kind> end(Mouth.Onto onto) {
    return switch (onto) {
      case USE -> Optional.of(End.Kind.FIXTURE);
      case GROUND, WATER -> Optional.of(End.Kind.GROUND);
      case DRAIN -> Optional.of(End.Kind.DUMP);
      case TANK -> Optional.of(End.Kind.TANK);
      case AIR -> Optional.empty();
    };
  }

  /** Returns the ports at which water can leave. */
  public List<Outlet> ends() {
    return ends;
  }
}
