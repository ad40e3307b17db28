package fernwort.core.ways;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Position;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.line.Valve;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.RandomRigs;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.ways.HandleDistance.Pumped;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** The turns between a source and an end, held against every setting of small rigs. */
class HandleDistanceTest {

  /** The fewest turns of valves and pumps to a setting in which a way from tank to fixture is. */
  private static OptionalInt fewest(Rig rig, State start, PartId tank, PartId tap) {
    Network network = Network.of(rig);
    Levels levels = Levels.of(network, start);
    Map<Setting, Integer> turns = new HashMap<>();
    Deque<Setting> front = new ArrayDeque<>(List.of(start.setting()));
    turns.put(start.setting(), 0);
    while (!front.isEmpty()) {
      Setting at = front.remove();
      boolean open =
          OpenWays.find(network, at.with(tap, PositionId.of("open")), levels)
              .from(tank)
              .anyMatch(w -> w.end().part().equals(tap));
      if (open) {
        return OptionalInt.of(turns.getOrDefault(at, 0));
      }
      for (Part part : rig.handles().toList()) {
        if (part.kind() instanceof Valve || part.kind() instanceof Pump) {
          for (Position position : part.kind().positions()) {
            Setting next = at.with(part.id(), position.id());
            if (turns.putIfAbsent(next, turns.getOrDefault(at, 0) + 1) == null) {
              front.add(next);
            }
          }
        }
      }
    }
    return OptionalInt.empty();
  }

  @Property(tries = 150)
  void neverMoreThanAnySettingNeeds(@ForAll @LongRange(min = 0, max = 20_000) long seed) {
    Rig rig = RandomRigs.rig(seed);
    State start = RandomRigs.state(rig, seed);
    Network network = Network.of(rig);
    HandleDistance turns = HandleDistance.of(network, Levels.of(network, start));
    for (Part tank : network.tanks()) {
      for (Part tap : rig.parts().stream().filter(p -> p.kind() instanceof Fixture).toList()) {
        OptionalInt fewest = fewest(rig, start, tank.id(), tap.id());
        if (fewest.isPresent()) {
          assertThat(turns.from(tank.id(), start.setting()).to(tap.id(), Pumped.EITHER))
              .as("%s to %s", tank.id(), tap.id())
              .isLessThanOrEqualTo(fewest.getAsInt());
        }
      }
    }
  }

  private static final DemoRig TRUCK = DemoRig.all().getFirst();
  private static final Network PLUMBING = Network.of(TRUCK.rig());
  private static final HandleDistance FULL = HandleDistance.full(PLUMBING);

  @Test
  void whatStandsOpenCostsNothing() {
    assertThat(
            FULL.from(PartId.of("main"), TRUCK.state().setting()).to(PartId.of("sink"), Pumped.YES))
        .isZero();
  }

  @Test
  void eachShutValveOnTheWayCostsOneTurn() {
    Setting rest = TRUCK.rig().atRest();
    assertThat(FULL.from(PartId.of("inlet"), rest).to(PartId.of("main"), Pumped.NO)).isEqualTo(1);
    assertThat(FULL.from(PartId.of("main"), rest).to(PartId.of("sink"), Pumped.YES)).isEqualTo(2);
  }

  @Test
  void waterThatRunsByItselfGetsNoHigherThanWhereItComesFrom() {
    assertThat(FULL.from(PartId.of("low"), TRUCK.rig().atRest()).to(PartId.of("sink"), Pumped.NO))
        .isEqualTo(HandleDistance.NEVER);
  }

  @Test
  void aHandleThatHasToStayIsNoWayOn() {
    Setting rest = TRUCK.rig().atRest();
    assertThat(
            FULL.from(PartId.of("inlet"), rest, Set.of(PartId.of("fill-selector")))
                .to(PartId.of("main"), Pumped.NO))
        .isGreaterThanOrEqualTo(HandleDistance.NEVER);
  }

  @Test
  void barriersAreTheHandlesThatStopTheWaterFirst() {
    assertThat(FULL.from(PartId.of("inlet"), TRUCK.rig().atRest()).barriers())
        .contains(
            new Turn(PartId.of("fill-selector"), PositionId.of("main")),
            new Turn(PartId.of("mains-valve"), PositionId.of("open")))
        .noneMatch(t -> t.part().equals(PartId.of("gray-dump")));
  }
}
