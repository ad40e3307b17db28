package fernwort.core.drain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.kind.Link;
import fernwort.core.plumbing.End;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.OpenGraph;
import fernwort.core.plumbing.Outlets;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.plumbing.RandomRigs;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.Arrays;
import java.util.Map;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class FloodTest {

  /** Relaxes every passage until nothing sinks any more: slow, and plainly the lowest crest. */
  private static double[] byRelaxation(Plumbing plumbing, State state) {
    Levels levels = Levels.of(plumbing, state);
    OpenGraph graph = new OpenGraph(plumbing, state.setting());
    double[] spill = new double[plumbing.size()];
    Arrays.fill(spill, Double.POSITIVE_INFINITY);
    for (Outlets.Outlet outlet : graph.outlets().ends()) {
      if (outlet.end().kind() != End.Kind.TANK || !levels.wet(outlet.vertex())) {
        spill[outlet.vertex()] = levels.height(outlet.vertex());
      }
    }
    boolean sank = true;
    while (sank) {
      sank = false;
      for (int e = 0; e < graph.edges(); e++) {
        int v = graph.from(e);
        double crest = graph.line(e) >= 0 ? levels.crest(graph.line(e)) : levels.height(v);
        double level = Math.max(spill[graph.to(e)], Math.max(levels.height(v), crest));
        if (graph.law(e) != Link.Law.DRIVE && level < spill[v]) {
          spill[v] = level;
          sank = true;
        }
      }
    }
    return spill;
  }

  @Property(tries = 400)
  void waterStaysToTheLowestCrestOverAllWaysToADrain(@ForAll long seed) {
    Rig rig = RandomRigs.rig(seed);
    State state = RandomRigs.state(rig, seed);
    Plumbing plumbing = Plumbing.of(rig);
    Flood flood = Flood.of(plumbing, state.setting(), Levels.of(plumbing, state));
    double[] expected = byRelaxation(plumbing, state);
    for (Part part : rig.parts()) {
      for (String port : part.kind().ports()) {
        assertThat(flood.level(part, port))
            .as(part.id() + "." + port)
            .isEqualTo(expected[plumbing.vertex(new PortRef(part.id(), port))]);
      }
    }
  }

  @Property(tries = 200)
  void aLineNeverKeepsMoreThanItHolds(@ForAll long seed) {
    Rig rig = RandomRigs.rig(seed);
    State state = RandomRigs.state(rig, seed);
    Plumbing plumbing = Plumbing.of(rig);
    Flood flood = Flood.of(plumbing, state.setting(), Levels.of(plumbing, state));
    for (Line line : rig.lines()) {
      assertThat(flood.stays(line)).isBetween(0.0, line.volume());
    }
  }

  @Test
  void aLineThatSagsBelowItsOnlyWayOutStaysFullWhileOneThatFallsRunsEmpty() {
    DemoRig demo = DemoRig.called("marginalia");
    Plumbing plumbing = Plumbing.of(demo.rig());
    Map<String, Line> lines =
        demo.rig().lines().stream().collect(Collectors.toMap(Line::id, line -> line));
    State open = demo.state().with("cold-drain", "off").with("pump", "off");
    Flood flood = Flood.of(plumbing, open.setting(), Levels.of(plumbing, open));
    Line sagging = lines.get("c6");
    assertThat(flood.stays(sagging)).isCloseTo(sagging.volume(), within(1e-9));
    assertThat(flood.stays(lines.get("c7"))).isCloseTo(0, within(1e-9));
  }
}
