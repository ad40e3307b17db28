package fernwort.core.ways;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.network.Network;
import fernwort.core.network.RandomRigs;
import fernwort.core.rig.Line;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class OpenWaysTest {

  @Property(tries = 600)
  void findsTheVeryWaysThatAllSimplePathsFind(@ForAll long seed) {
    Rig rig = RandomRigs.rig(seed);
    State state = RandomRigs.state(rig, seed);
    Set<FlowPath.Key> ways =
        OpenWays.find(Network.of(rig), state).ways().stream()
            .map(FlowPath::key)
            .collect(Collectors.toSet());
    assertThat(ways).isEqualTo(SimplePaths.ways(rig, state));
  }

  @Property(tries = 300)
  void aWaysLinesAreJoinedFromSourceToEndAndAllMove(@ForAll long seed) {
    Rig rig = RandomRigs.rig(seed);
    State state = RandomRigs.state(rig, seed);
    FlowPaths ways = OpenWays.find(Network.of(rig), state);
    Map<LineId, Line> lines =
        rig.lines().stream().collect(Collectors.toMap(Line::id, line -> line));
    for (FlowPath way : ways.ways()) {
      assertThat(way.parts().getFirst().value()).isEqualTo(way.source().part().value());
      assertThat(way.parts().getLast().value()).isEqualTo(way.end().part().value());
      assertThat(way.parts()).noneMatch(ways.dead()::contains);
      for (LineId id : way.lines()) {
        assertThat(way.parts()).contains(lines.get(id).from().part(), lines.get(id).to().part());
        assertThat(ways.moving()).containsKey(id);
      }
    }
  }

  @Property(tries = 300)
  void deadPartsAndPartsOnSomeWayAreAllParts(@ForAll long seed) {
    Rig rig = RandomRigs.rig(seed);
    FlowPaths ways = OpenWays.find(Network.of(rig), RandomRigs.state(rig, seed));
    Set<PartId> alive = new HashSet<>();
    ways.ways().forEach(w -> alive.addAll(w.parts()));
    assertThat(alive).noneMatch(ways.dead()::contains);
    ways.moving()
        .keySet()
        .forEach(id -> {
          Line line = rig.lines().stream().filter(l -> l.id().equals(id)).findFirst().orElseThrow();
          assertThat(ways.dead()).doesNotContain(line.from().part(), line.to().part());
        });
  }

  private static FlowPaths ways(DemoRig demo, PositionId... turned) {
    State state = demo.state();
    for (int i = 0; i < turned.length; i += 2) {
      state = state.with(PartId.of((turned[i]).value()), turned[i + 1]);
    }
    return OpenWays.find(Network.of(demo.rig()), state);
  }

  @Test
  void thePumpDrawsFromTheTankThatItsSelectorPointsTo() {
    DemoRig rig = DemoRig.called("marginalia");
    assertThat(ways(rig).to(PartId.of("sink")).map(w -> w.source().part()))
        .containsOnly(PartId.of("main"));
    assertThat(
            ways(rig, PositionId.of("tank-selector"), PositionId.of("low"))
                .to(PartId.of("sink"))
                .map(w -> w.source().part()))
        .containsOnly(PartId.of("low"));
    assertThat(
            ways(rig, PositionId.of("tank-selector"), PositionId.of("shut")).to(PartId.of("sink")))
        .isEmpty();
  }

  @Test
  void theMainsHoldThePumpsSwitchOpen() {
    FlowPaths ways =
        ways(
            DemoRig.called("marginalia"),
            PositionId.of("inlet"),
            PositionId.of("mains"),
            PositionId.of("mains-valve"),
            PositionId.of("open"));
    assertThat(ways.pumps()).singleElement().matches(PumpWork::heldOff);
    assertThat(ways.to(PartId.of("sink")).map(w -> w.drive().kind()))
        .containsOnly(DrivenBy.Kind.MAINS);
  }

  @Test
  void waterRunsThroughBothBranchesOfAnOpenBypass() {
    FlowPaths ways =
        ways(DemoRig.called("marginalia"), PositionId.of("bypass"), PositionId.of("open"));
    assertThat(ways.moving()).containsKeys(LineId.of("b1"), LineId.of("b6"));
  }

  @Test
  void tanksInARowBreatheThroughEachOther() {
    TankAir fore = ways(DemoRig.called("tern")).airOf(PartId.of("fore")).orElseThrow();
    assertThat(fore.in().orElseThrow().parts())
        .contains(PartId.of("arch"), PartId.of("aft"), PartId.of("vent-air"));
  }

  @Test
  void aJugPouredIntoAnOpenNeckFillsTheTankAndIntoAShutOneDoesNot() {
    DemoRig rig = DemoRig.called("samphire");
    assertThat(
            ways(
                    rig,
                    PositionId.of("jug"),
                    PositionId.of("pouring"),
                    PositionId.of("filler"),
                    PositionId.of("open"))
                .to(PartId.of("tank")))
        .hasSize(1);
    assertThat(ways(rig, PositionId.of("jug"), PositionId.of("pouring")).to(PartId.of("tank")))
        .isEmpty();
  }

  @Test
  void aFootPumpLiftsWaterToTheTapOnlyWhileItIsWorked() {
    DemoRig rig = DemoRig.called("samphire");
    assertThat(ways(rig, PositionId.of("tap"), PositionId.of("open")).to(PartId.of("tap")))
        .isEmpty();
    assertThat(
            ways(
                    rig,
                    PositionId.of("tap"),
                    PositionId.of("open"),
                    PositionId.of("foot-pump"),
                    PositionId.of("on"))
                .to(PartId.of("tap")))
        .hasSize(1);
  }

  @Test
  void turningAHandleBackGivesTheVerySameWays() {
    DemoRig rig = DemoRig.called("tern");
    Network network = Network.of(rig.rig());
    FlowPaths before = OpenWays.find(network, rig.state());
    FlowPaths after =
        OpenWays.find(
            network,
            rig.state()
                .with(PartId.of("suction"), PositionId.of("bucket"))
                .with(PartId.of("suction"), PositionId.of("tanks")));
    assertThat(after).isEqualTo(before);
  }
}
