package fernwort.core.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.Tank;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.tank.Parked;
import fernwort.core.tank.TankRoom;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What slopes and drives do to tanks. */
class DriveTest {

  private static final DemoRig TRUCK = DemoRig.all().getFirst();
  private static final State FULL =
      TRUCK.state().withVolume(PartId.of("low"), 0.088).withVolume(PartId.of("main"), 0.124);

  private static double lost(Rig rig, State state, Drive drive) {
    return drive.losses(Network.of(rig), state).ends().values().stream()
        .mapToDouble(Drive.Lost::expected)
        .sum();
  }

  @Test
  void aPassPushesWaterOutOfAnOpenOverflowAndAShutValveKeepsIt() {
    Drive pass = Drive.READY.getFirst();
    State open = FULL.with(PartId.of("low-overflow-valve"), PositionId.of("open"));
    Map<PartId, Drive.Lost> losses = pass.losses(Network.of(TRUCK.rig()), open).ends();
    assertThat(losses).containsKey(PartId.of("low-tail"));
    assertThat(losses.get(PartId.of("low-tail")).low())
        .isLessThanOrEqualTo(losses.get(PartId.of("low-tail")).high());
    State shut = Drive.travelValvesShut(TRUCK.rig(), open).orElseThrow();
    assertThat(shut.setting().of(PartId.of("low-overflow-valve")).value()).isEqualTo("shut");
    assertThat(lost(TRUCK.rig(), shut, pass)).isLessThan(lost(TRUCK.rig(), open, pass));
  }

  @Test
  void whatEndsLoseTanksLose() {
    State open = FULL.with(PartId.of("low-overflow-valve"), PositionId.of("open"));
    for (Drive drive : Drive.READY) {
      Drive.Losses losses = drive.losses(Network.of(TRUCK.rig()), open);
      assertThat(losses.tanks().values().stream().mapToDouble(Drive.Lost::expected).sum())
          .isCloseTo(
              losses.ends().values().stream().mapToDouble(Drive.Lost::expected).sum(),
              within(1e-6));
      assertThat(losses.tanks().values()).allMatch(l -> l.low() <= l.expected());
      assertThat(losses.tanks().values()).allMatch(l -> l.expected() <= l.high());
    }
  }

  @Test
  void aRaisedVentThatAdmitsAirLosesLessThanAnOverflowThatSiphons() {
    State open = FULL.with(PartId.of("low-overflow-valve"), PositionId.of("open"));
    Rig raised = Drive.withRaisedVents(TRUCK.rig());
    for (Drive drive : Drive.READY) {
      assertThat(lost(raised, open, drive)).isLessThanOrEqualTo(lost(TRUCK.rig(), open, drive));
    }
  }

  @Test
  void aTankBelowItsOverflowLosesNothingOnTheFlat() {
    Drive flat = new Drive("Flat", List.of(new Drive.Stretch(3600, 0, 0, 0, 0)));
    State half = FULL.withVolume(PartId.of("low"), 0.04).withVolume(PartId.of("main"), 0.06);
    assertThat(flat.losses(Network.of(TRUCK.rig()), half).ends()).isEmpty();
  }

  @Test
  void aSenderReadOnASlopeIsNotWhatTheTankHolds() {
    Part part = TRUCK.rig().part(PartId.of("main"));
    Tank tank = (Tank) part.kind();
    TankRoom room = TankRoom.of(tank);
    Parked level = Parked.of(tank, room, 0.06, Slope.LEVEL);
    Parked tipped = Parked.of(tank, room, 0.06, new Slope(4, 0));
    assertThat(level.senderSays()).isBetween(0.0599, 0.0601);
    assertThat(tipped.figures().stranded()).isNotEqualTo(level.figures().stranded());
  }

  @Test
  void theBestWayToParkLeavesNoMoreThanLevelGround() {
    Part part = TRUCK.rig().part(PartId.of("gray"));
    Tank tank = (Tank) part.kind();
    TankRoom room = TankRoom.of(tank);
    Slope best = Parked.bestToDrain(tank, room);
    assertThat(best.pitch()).isNegative();
    double there = Parked.of(tank, room, room.capacity(), best).leftAfterDraining();
    double level = Parked.of(tank, room, room.capacity(), Slope.LEVEL).leftAfterDraining();
    assertThat(there).isLessThan(level);
  }
}
