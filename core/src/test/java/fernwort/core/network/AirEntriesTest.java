package fernwort.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.describe.Fittings;
import fernwort.core.flow.SteadyFlow;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.line.Tee;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.Arrays;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Where a line that draws takes in air: at a tap that is left open on it, at an empty tank. */
class AirEntriesTest {

  private static final Rig RIG =
      CaseRigs.rig()
          .part("tank", "Tank", 0, 0, 1, CaseRigs.tank())
          .part("tee", "Tee", 0.5, 0, 0.9, new Tee())
          .part("tap", "Tap", 0.5, 0.5, 0.9, Fittings.fixture(Fixture.Type.TAP, true, 6))
          .part("pump", "Pump", 1, 0, 0.9, Fittings.transferPump(8, 0.5))
          .line("a", "A", "tank.low > tee.a", 12, 1, Material.PEX, 0)
          .line("b", "B", "tee.b > tap.cold", 12, 1, Material.PEX, 0)
          .line("c", "C", "tee.c > pump.in", 12, 1, Material.PEX, 0)
          .build();

  private static final Network NETWORK = Network.of(RIG);
  private static final Setting OPEN = RIG.atRest().with(PartId.of("tap"), PositionId.of("open"));

  /**
   * The parts at whose ports air comes in, at a head of so much over each port (m); a tank's ports
   * above its water are dry.
   */
  private static Set<PartId> entries(Setting setting, double litres, double over, PartId... dry) {
    State state = new State(setting, Map.of(PartId.of("tank"), litres / 1000), Slope.LEVEL);
    Levels levels = Levels.of(NETWORK, state);
    int[] node = IntStream.range(0, NETWORK.size()).toArray();
    for (int port : NETWORK.tankVertices(0)) {
      node[port] = levels.wet(port) ? port : -1;
    }
    for (PartId part : dry) {
      int at = NETWORK.index(part);
      Arrays.fill(node, NETWORK.first(at), NETWORK.first(at + 1), -1);
    }
    double[] heads =
        IntStream.range(0, NETWORK.size()).mapToDouble(v -> levels.height(v) + over).toArray();
    boolean[] moving = new boolean[NETWORK.size()];
    Arrays.fill(moving, true);
    OpenGraph graph = new OpenGraph(NETWORK, setting);
    SteadyFlow flow = new SteadyFlow(heads, new double[0], new double[0], 1);
    return new AirEntries(graph, levels, graph.outlets(), node)
        .find(flow, moving).stream().map(v -> NETWORK.part(v).id()).collect(Collectors.toSet());
  }

  @Test
  void anOpenTapOnALineThatDrawsLetsAirIn() {
    assertThat(entries(OPEN, 60, -0.3)).containsExactly(PartId.of("tap"));
    assertThat(entries(RIG.atRest(), 60, -0.3)).as("it is shut").isEmpty();
    assertThat(entries(OPEN, 60, 0.3)).as("water presses out").isEmpty();
  }

  @Test
  void anEmptyTankLetsAirIntoItsLine() {
    assertThat(entries(RIG.atRest(), 0, -0.3)).containsExactly(PartId.of("tee"));
    assertThat(entries(RIG.atRest(), 60, -0.3)).isEmpty();
  }

  @Test
  void airPassesWhatIsDryToWhatIsNot() {
    assertThat(entries(OPEN, 60, -0.3, PartId.of("tap"))).containsExactly(PartId.of("tee"));
    assertThat(entries(OPEN, 60, 0.3, PartId.of("tap"))).isEmpty();
  }
}
