package fernwort.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.graph.Arcs;
import fernwort.core.kind.Link;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** The open passages of a setting, against the plain list of them. */
class OpenGraphTest {

  /** One passage, by the ports it joins. */
  private record Pass(int from, int to) {}

  private static OpenGraph graph(long seed) {
    Rig rig = RandomRigs.rig(seed);
    return new OpenGraph(Network.of(rig), RandomRigs.state(rig, seed).setting());
  }

  private static List<Pass> passages(OpenGraph graph) {
    return IntStream.range(0, graph.edges())
        .mapToObj(e -> new Pass(graph.from(e), graph.to(e)))
        .toList();
  }

  /** What the chains of a way of walking list, as passages in the direction of the water. */
  private static List<Pass> walked(Arcs arcs, boolean backward) {
    List<Pass> all = new ArrayList<>();
    for (int v = 0; v < arcs.points(); v++) {
      for (int e = arcs.first(v); e >= 0; e = arcs.next(e)) {
        all.add(backward ? new Pass(arcs.to(e), v) : new Pass(v, arcs.to(e)));
      }
    }
    return all;
  }

  @Property(tries = 40)
  void forwardAndBackwardListTheSamePassages(@ForAll long seed) {
    OpenGraph graph = graph(seed);
    assertThat(graph.points()).isEqualTo(graph.network().size());
    assertThat(walked(graph, false)).containsExactlyInAnyOrderElementsOf(passages(graph));
    assertThat(walked(graph.backward(), true)).containsExactlyInAnyOrderElementsOf(passages(graph));
    for (int v = 0; v < graph.points(); v++) {
      assertThat(graph.lastInto(v)).isEqualTo(graph.backward().first(v));
      for (int e = graph.lastInto(v); e >= 0; e = graph.previousInto(e)) {
        assertThat(graph.to(e)).isEqualTo(v);
      }
    }
  }

  @Property(tries = 40)
  void whatIsReachedIsWhatPassagesLeadOnTo(@ForAll long seed) {
    OpenGraph graph = graph(seed);
    BitSet reached = graph.reached(IntStream.of(0));
    BitSet slowly = new BitSet();
    slowly.set(0);
    for (int round = 0; round < graph.points(); round++) {
      for (Pass p : passages(graph)) {
        if (slowly.get(p.from())) {
          slowly.set(p.to());
        }
      }
    }
    assertThat(reached).isEqualTo(slowly);
    int[] islands = graph.islands();
    passages(graph).forEach(p -> assertThat(islands[p.from()]).isEqualTo(islands[p.to()]));
  }

  /** A line lets water through both ways, whatever the handles. */
  @Property(tries = 40)
  void everyLineIsPassedBothWays(@ForAll long seed) {
    OpenGraph graph = graph(seed);
    for (int line = 0; line < graph.network().rig().lines().size(); line++) {
      int number = line;
      assertThat(IntStream.range(0, graph.edges()).filter(e -> graph.line(e) == number))
          .hasSize(2)
          .allMatch(e -> graph.law(e) == Link.Law.FREE && graph.value(e) == 0);
    }
  }

  @Property(tries = 20)
  void aHandleIsInOnePositionOnly(@ForAll long seed) {
    OpenGraph graph = graph(seed);
    for (Part part : graph.network().rig().handles().toList()) {
      assertThat(part.kind().positions().stream().filter(p -> graph.is(part, p.id()))).hasSize(1);
    }
  }

  @Property(tries = 20)
  void anOutletIsFoundByItsPortAndNoOtherPortHasOne(@ForAll long seed) {
    Outlets outlets = graph(seed).outlets();
    List<Integer> ports = outlets.ends().stream().map(Outlets.Outlet::vertex).toList();
    for (int v = 0; v < graph(seed).points(); v++) {
      assertThat(outlets.at(v)).isEqualTo(ports.lastIndexOf(v));
    }
  }
}
