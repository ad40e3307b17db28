package fernwort.core.live;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PositionId;
import fernwort.core.live.SignalKind.Where;
import java.time.Instant;
import org.junit.jupiter.api.Test;

/** What is a reason for an alarm, and how long one asks. */
class AlarmWatchTest {

  private final LiveBench bench =
      new LiveBench()
          .with("litres", SignalKind.LEVEL, Where.PART, LiveBench.TANK.value())
          .with("gray", SignalKind.LEVEL, Where.PART, "gray")
          .with("leak", SignalKind.LEAK, Where.PLACE, "garage")
          .with("air", SignalKind.TEMPERATURE, Where.PLACE, "garage")
          .with("pump", SignalKind.PUMP, Where.PART, "pump")
          .withMotor("motor", LiveBench.VALVE);

  @Test
  void aWetFloorIsADangerUntilItIsDry() {
    bench.say("leak", "wet");
    assertThat(bench.live().causes(bench.state, bench.now))
        .singleElement()
        .satisfies(c -> assertThat(c.words()).hasToString("Water at Garage, right"));
    bench.say("leak", "dry");
    assertThat(bench.causes()).isEmpty();
  }

  @Test
  void grayThatIsNearlyFullAsksToBeDumped() {
    double capacity = bench.network.room(PartId.of("gray")).capacity() * 1000;
    bench.keepSaying("gray", Double.toString(capacity * 0.8), 5);
    assertThat(bench.causes()).doesNotContain(AlarmCode.GRAY_HIGH);
    bench.keepSaying("gray", Double.toString(capacity * 0.93), 31);
    assertThat(bench.causes()).contains(AlarmCode.GRAY_HIGH);
  }

  @Test
  void aPlaceNearFreezingAsks() {
    bench.say("air", "3");
    assertThat(bench.causes()).isEmpty();
    bench.say("air", "1.5");
    assertThat(bench.causes()).containsExactly(AlarmCode.FROST);
  }

  @Test
  void aMarkOfOnesOwnCallsOnBothSidesAndNotBetween() {
    LiveBench marked = new LiveBench().withMarks("seat", PlaceId.of("garage"), 30, 8);
    marked.say("seat", "20");
    assertThat(marked.causes()).isEmpty();
    marked.say("seat", "30");
    assertThat(marked.live().causes(marked.state, marked.now))
        .singleElement()
        .satisfies(c ->
            assertThat(c.words())
                .hasToString("Garage, right is up to 30 °C, at or over your mark"));
    marked.say("seat", "7.9");
    assertThat(marked.causes()).containsExactly(AlarmCode.BELOW_MARK);
  }

  @Test
  void aSensorThatFallsSilentAsksAndOneThatNeverSpokeDoesNot() {
    bench.keepSaying("litres", "40", 10);
    bench.later(200);
    assertThat(bench.causes()).containsExactly(AlarmCode.SIGNAL_LOST);
  }

  @Test
  void whatTheBrokerKeptIsNoReasonBeforeAMinuteIsOver() {
    bench.live().take("litres", "40", true, fernwort.core.rig.Slope.LEVEL, bench.now);
    bench.later(30);
    assertThat(bench.causes()).isEmpty();
    bench.later(40);
    assertThat(bench.causes()).containsExactly(AlarmCode.SIGNAL_LOST);
  }

  @Test
  void aMotorThatLeavesWhereItWasToldToBeIsSaidOnceAndNotForGood() {
    LiveBench motor = new LiveBench().withMotor("frost", LiveBench.VALVE);
    motor.live().command("c1", LiveBench.VALVE, PositionId.of("shut"), "ida", motor.now);
    motor.later(1);
    motor.say("frost", "CLOSE");
    assertThat(motor.causes()).isEmpty();
    motor.later(60);
    motor.say("frost", "OPEN");
    assertThat(contradiction(motor).words().toString()).contains("turned it by hand");
    motor.later(500);
    motor.say("frost", "OPEN");
    assertThat(motor.causes()).contains(AlarmCode.CONTRADICTION);
    motor.later(200);
    motor.say("frost", "OPEN");
    assertThat(motor.causes()).doesNotContain(AlarmCode.CONTRADICTION);
    motor.say("frost", "CLOSE");
    assertThat(motor.causes()).isEmpty();
    motor.say("frost", "OPEN");
    assertThat(motor.causes()).contains(AlarmCode.CONTRADICTION);
  }

  @Test
  void aPumpThatRunsOnWithNoTapOpenAsks() {
    bench.keepSaying("pump", "on", 10);
    assertThat(bench.causes()).doesNotContain(AlarmCode.PUMP_LONG);
    bench.keepSaying("pump", "on", 650);
    bench.causes();
    bench.keepSaying("pump", "on", 650);
    assertThat(bench.causes()).contains(AlarmCode.PUMP_LONG);
    bench.say("pump", "off");
    assertThat(bench.causes()).doesNotContain(AlarmCode.PUMP_LONG);
  }

  @Test
  void aLevelThatFallsWithEverythingClosedAsks() {
    bench.state = bench.state.with(bench.demo.rig().atRest());
    double litres = bench.capacity() * 500;
    for (int minute = 0; minute < 20; minute++) {
      bench.keepSaying("litres", Double.toString(litres * (1 - 0.005 * minute)), 60);
      bench.causes();
    }
    assertThat(bench.causes()).contains(AlarmCode.LEVEL_FALLS);
  }

  private AlarmCause contradiction(LiveBench of) {
    return of.live().causes(of.state, of.now).stream()
        .filter(c -> c.code() == AlarmCode.CONTRADICTION)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aLevelThatRisesThoughNothingOpenLeadsThereIsAContradiction() {
    bench.state = bench.state.with(bench.demo.rig().atRest());
    double litres = bench.capacity() * 400;
    bench.keepSaying("litres", Double.toString(litres), 60);
    assertThat(bench.causes()).doesNotContain(AlarmCode.CONTRADICTION);
    bench.keepSaying("litres", Double.toString(litres * 1.3), 60);
    assertThat(contradiction(bench).words().toString())
        .contains("Fore fresh has risen by", "a handle is not as noted");
    // Whoever pours in by can turns no handle: it is shown, and makes no noise.
    Alarm shown = Alarm.raised("a", contradiction(bench), bench.now.wall());
    assertThat(shown.asks()).isTrue();
    assertThat(shown.calls(bench.now.wall())).isFalse();
  }

  @Test
  void waterInALineThatNothingOpenLeadsToIsAContradictionAndADrawIsNone() {
    LiveBench metered = new LiveBench().with("meter", SignalKind.FLOW, Where.LINE, "f1");
    metered.state =
        metered
            .demo
            .state()
            .with(PartId.of("pump"), PositionId.of("on"))
            .with(PartId.of("fore-motor"), PositionId.of("open"));
    metered.keepSaying("meter", "0.0001", 60);
    metered.causes();
    metered.keepSaying("meter", "0.0001", 150);
    // A tap may be open that nobody noted.
    assertThat(metered.causes()).isEmpty();
    metered.state = metered.state.with(PartId.of("fore-motor"), PositionId.of("shut"));
    metered.causes();
    metered.keepSaying("meter", "0.0001", 150);
    assertThat(contradiction(metered).about()).isEqualTo("f1");
    metered.keepSaying("meter", "0", 5);
    assertThat(metered.causes()).isEmpty();
  }

  @Test
  void aLevelThatStandsThoughWaterIsDrawnThroughAMeterSticks() {
    LiveBench metered =
        new LiveBench()
            .with("litres", SignalKind.LEVEL, Where.PART, LiveBench.TANK.value())
            .with("meter", SignalKind.FLOW, Where.LINE, "f1");
    metered.state =
        metered
            .demo
            .state()
            .with(PartId.of("pump"), PositionId.of("on"))
            .with(PartId.of("fore-motor"), PositionId.of("open"))
            .with(PartId.of("sink"), PositionId.of("cold"));
    String litres = Double.toString(metered.capacity() * 500);
    for (int second = 0; second < 120; second++) {
      metered.keepSaying("litres", litres, 1);
      metered.say("meter", "0.0001");
      metered.causes();
    }
    assertThat(contradiction(metered).words().toString()).contains("Its level sensor sticks");
  }

  @Test
  void aMotorThatNeverSaysWhereItIsCountsAsThereAfterItsTravelTime() {
    MotorCommand told =
        bench.live().command("c1", LiveBench.VALVE, PositionId.of("open"), "Ida", bench.now);
    assertThat(told.state()).isEqualTo(MotorCommand.Progress.MOVING);
    bench.later(told.travel() - 0.5);
    assertThat(bench.live().watchCommands(bench.now)).isEmpty();
    bench.later(1);
    assertThat(bench.live().watchCommands(bench.now))
        .singleElement()
        .satisfies(c -> assertThat(c.state()).isEqualTo(MotorCommand.Progress.ASSUMED));
  }

  @Test
  void aMotorThatReportsHasToArriveOrItIsAnAlarm() {
    bench.say("motor", "CLOSE");
    MotorCommand told =
        bench.live().command("c1", LiveBench.VALVE, PositionId.of("open"), "Ida", bench.now);
    bench.later(MotorCommand.PATIENCE * told.travel() - 1);
    bench.live().watchCommands(bench.now);
    assertThat(bench.causes()).isEmpty();
    bench.later(2);
    bench.live().watchCommands(bench.now);
    assertThat(bench.causes()).containsExactly(AlarmCode.VALVE_FAILED);
    bench.say("motor", "OPEN");
    assertThat(bench.causes()).isEmpty();
    assertThat(bench.live().commands().getLast().state()).isEqualTo(MotorCommand.Progress.REACHED);
  }

  @Test
  void anotherCommandTakesThePlaceOfOneThatFailed() {
    bench.say("motor", "CLOSE");
    bench.live().command("c1", LiveBench.VALVE, PositionId.of("open"), "Ida", bench.now);
    bench.later(60);
    bench.live().watchCommands(bench.now);
    bench.live().command("c2", LiveBench.VALVE, PositionId.of("shut"), "Ida", bench.now);
    bench.say("motor", "CLOSE");
    assertThat(bench.causes()).isEmpty();
  }

  @Test
  void anAlarmAsksUntilItIsGoneAndSeenInEitherOrder() {
    Instant now = bench.now.wall();
    AlarmCause cause = new AlarmCause(AlarmCode.LEAK, "garage", AlarmCode.LEAK.words("Garage"));
    Alarm raised = Alarm.raised("a", cause, now);
    assertThat(raised.asks()).isTrue();
    assertThat(raised.gone(now).asks()).isTrue();
    assertThat(raised.seen("Ida", now).asks()).isTrue();
    assertThat(raised.gone(now).seen("Ida", now).asks()).isFalse();
    assertThat(raised.seen("Ida", now).gone(now).asks()).isFalse();
    assertThat(raised.seen("Ida", now).seen("Bo", now).by()).isEqualTo("Ida");
    assertThat(raised.gone(now).back().gone()).isEmpty();
  }

  @Test
  void anAlarmThatIsSnoozedMakesNoNoiseForAWhile() {
    Instant now = bench.now.wall();
    Alarm raised =
        Alarm.raised(
            "a", new AlarmCause(AlarmCode.LEAK, "garage", AlarmCode.LEAK.words("Garage")), now);
    assertThat(raised.calls(now)).isTrue();
    Alarm quiet = raised.quiet(now.plusSeconds(600));
    assertThat(quiet.calls(now.plusSeconds(599))).isFalse();
    assertThat(quiet.calls(now.plusSeconds(601))).isTrue();
    assertThat(quiet.asks()).isTrue();
  }
}
