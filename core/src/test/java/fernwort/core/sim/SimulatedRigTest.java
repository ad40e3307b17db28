package fernwort.core.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.live.SignalKind;
import fernwort.core.live.Value;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SimulatedRigTest {

  private static final DemoRig TERN = DemoRig.called("tern");
  private final SimulatedRig rig = new SimulatedRig(TERN.rig(), TERN.state(), new Random(1));

  private Optional<Value> told(String sensor) {
    return rig.told().stream()
        .filter(t -> t.sensor().name().equals(sensor))
        .map(SimulatedRig.Told::value)
        .findFirst();
  }

  private double amount(String sensor) {
    return ((Value.Amount) told(sensor).orElseThrow()).amount();
  }

  @Test
  void hasASensorForWhatARigHas() {
    assertThat(rig.sensors())
        .filteredOn(s -> s.kind() == SignalKind.POSITION)
        .extracting(s -> s.on().id())
        .containsExactly(
            PartId.of("fore-motor"),
            PartId.of("arch-motor"),
            PartId.of("aft-motor"),
            PartId.of("frost-motor"));
    assertThat(rig.sensors()).filteredOn(s -> s.kind() == SignalKind.LEAK).hasSize(4);
    assertThat(rig.sensors()).filteredOn(s -> s.kind() == SignalKind.FLOW).hasSize(1);
    assertThat(rig.sensors()).extracting(Sensor::name).doesNotHaveDuplicates();
  }

  @Test
  void levelsFollowTheWater() {
    rig.turn(PartId.of("sink"), PositionId.of("cold"));
    rig.run(120);
    assertThat(rig.holds(PartId.of("fore"))).isLessThan(0.045);
    assertThat(amount("fore-level")).isCloseTo(rig.holds(PartId.of("fore")), within(0.001));
    assertThat(amount("d4-flow") * 60_000).isBetween(2.0, 12.0);
    assertThat(told("pump-runs")).contains(new Value.Contact(true));
  }

  @Test
  void aMotorTakesItsTravelTime() {
    rig.command(PartId.of("aft-motor"), PositionId.of("open"));
    rig.run(4);
    assertThat(told("aft-motor-position")).contains(new Value.Stop(PositionId.of("shut")));
    rig.run(4);
    assertThat(told("aft-motor-position")).contains(new Value.Stop(PositionId.of("open")));
  }

  @Test
  void aLeakWetsTheContactOfItsPlaceAndEmptiesTheTank() {
    rig.begin(Mishap.LEAK, "d5");
    rig.run(60);
    assertThat(told("garage-leak")).contains(new Value.Contact(true));
    assertThat(told("seat-leak")).contains(new Value.Contact(false));
    double before = rig.holds(PartId.of("fore"));
    assertThat(before).isLessThan(0.0475);
    rig.end(Mishap.LEAK);
    rig.run(60);
    assertThat(told("garage-leak")).contains(new Value.Contact(false));
    assertThat(rig.holds(PartId.of("fore"))).isCloseTo(before, within(1e-6));
  }

  @Test
  void aStuckValveStaysAndWithoutPowerItFallsBackAndAllIsSilent() {
    rig.begin(Mishap.VALVE_STUCK, "aft-motor");
    rig.command(PartId.of("aft-motor"), PositionId.of("open"));
    rig.run(20);
    assertThat(told("aft-motor-position")).contains(new Value.Stop(PositionId.of("shut")));
    rig.begin(Mishap.POWER_CUT, "");
    assertThat(rig.told()).isEmpty();
    assertThat(rig.state().setting().of(PartId.of("frost-motor")).value()).isEqualTo("open");
    rig.end(Mishap.POWER_CUT);
    assertThat(rig.told()).isNotEmpty();
  }

  @Test
  void sensorsLieAsTheyAreTold() {
    rig.begin(Mishap.SENSOR_STUCK, "fore-level");
    double stuck = amount("fore-level");
    rig.begin(Mishap.SENSOR_DRIFTS, "arch-level");
    rig.begin(Mishap.SENSOR_LOST, "aft-level");
    rig.turn(PartId.of("sink"), PositionId.of("cold"));
    rig.run(300);
    assertThat(amount("fore-level"))
        .isEqualTo(stuck)
        .isGreaterThan(rig.holds(PartId.of("fore")) + 0.01);
    assertThat(amount("arch-level")).isLessThan(rig.holds(PartId.of("arch")) - 0.001);
    assertThat(told("aft-level")).isEmpty();
  }

  @Test
  void itFreezesSlowlyInsideAndAtOnceOutside() {
    double mild = amount("under-temperature");
    rig.begin(Mishap.FROST, "");
    rig.run(60);
    assertThat(amount("outside-temperature")).isNegative();
    assertThat(amount("under-temperature")).isCloseTo(mild, within(0.5));
    rig.run(12 * 3600);
    assertThat(amount("under-temperature")).isLessThan(mild - 5);
  }

  @Test
  void aDayOfPeopleUsesWaterAndNothingIsLost() {
    double fresh =
        rig.holds(PartId.of("fore")) + rig.holds(PartId.of("arch")) + rig.holds(PartId.of("aft"));
    rig.run(24 * 3600);
    double left =
        rig.holds(PartId.of("fore")) + rig.holds(PartId.of("arch")) + rig.holds(PartId.of("aft"));
    assertThat(left).isLessThan(fresh - 0.005);
    assertThat(rig.holds(PartId.of("gray"))).isGreaterThan(0.018);
  }

  @Test
  void whatIsNotThereCannotGoWrong() {
    assertThatThrownBy(() -> rig.begin(Mishap.LEAK, "nothing")).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> rig.command(PartId.of("aft-motor"), PositionId.of("sideways")))
        .isInstanceOf(Refusal.class);
  }

  @Test
  void everyDemoRigRunsADayWithEachMishap() {
    for (DemoRig demo : DemoRig.all()) {
      Rig of = demo.rig();
      SimulatedRig made = new SimulatedRig(of, demo.state(), new Random(2));
      for (Mishap mishap : Mishap.values()) {
        made.choices(mishap).stream().findFirst().ifPresent(on -> made.begin(mishap, on));
        made.run(1800);
        made.end(mishap);
      }
      assertThat(made.mishaps()).as(demo.id()).isEmpty();
      assertThat(made.time()).isGreaterThan(8 * 3600);
    }
  }
}
