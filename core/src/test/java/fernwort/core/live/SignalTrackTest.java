package fernwort.core.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.live.SignalKind.Where;
import fernwort.core.rig.Slope;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How far a value can be trusted, by the clock that nobody can set. */
class SignalTrackTest {

  private static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");

  private final LiveBench bench =
      new LiveBench()
          .with("litres", SignalKind.LEVEL, Where.PART, LiveBench.TANK.value())
          .with("leak", SignalKind.LEAK, Where.PLACE, "garage");

  @Test
  void aLevelIsTheMedianOfHalfAMinuteSoOneSpikeMovesNothing() {
    bench.keepSaying("litres", "40", 20);
    bench.say("litres", "70");
    assertThat(bench.amount("litres")).isCloseTo(0.040, within(1e-12));
    assertThat(bench.told("litres").raw()).contains(new Value.Amount(0.07));
  }

  /** Half a minute holds two of these, and two have no median. */
  @Test
  void oneSpikeOfASensorThatSpeaksSeldomMovesNothing() {
    for (String litres : List.of("40", "40", "5", "40")) {
      bench.say("litres", litres);
      assertThat(bench.amount("litres")).isCloseTo(0.040, within(1e-12));
      bench.later(20);
    }
    bench.say("litres", "30");
    bench.later(20);
    bench.say("litres", "30");
    assertThat(bench.amount("litres")).as("two in a row").isCloseTo(0.030, within(1e-12));
  }

  /** What a contact told before a restart, or before it fell silent, ends no alarm. */
  @Test
  void aLeakIsOverWhenItsContactSaysSoItself() {
    Alarm wet =
        Alarm.raised(
            "1", new AlarmCause(AlarmCode.LEAK, "garage", AlarmCode.noLink().words()), NOON);
    assertThat(bench.live().canSee(wet, bench.now)).as("nothing told").isFalse();
    bench.live().take("leak", "dry", true, Slope.LEVEL, bench.now);
    assertThat(bench.live().canSee(wet, bench.now)).as("kept by the broker").isFalse();
    assertThat(bench.live().canSee(wet.seen("ada", NOON), bench.now)).as("and seen").isTrue();
    bench.say("leak", "dry");
    assertThat(bench.live().canSee(wet, bench.now)).as("by itself").isTrue();
    bench.live().lose("leak");
    assertThat(bench.live().canSee(wet.seen("ada", NOON), bench.now)).as("silent").isFalse();
  }

  @Test
  void aLevelThatReallyRisesIsFollowedWithinHalfAMinute() {
    bench.keepSaying("litres", "40", 30);
    bench.keepSaying("litres", "60", 30);
    assertThat(bench.amount("litres")).isCloseTo(0.060, within(1e-12));
  }

  @Test
  void whileItSloshesItIsMovingAndWhenItSettlesItIsLive() {
    for (int i = 0; i < 20; i++) {
      bench.say("litres", i % 2 == 0 ? "35" : "50");
      bench.later(1);
    }
    assertThat(bench.told("litres").state()).isEqualTo(SignalState.MOVING);
    assertThat(bench.live().seen(bench.state, bench.now)).isEqualTo(bench.state);
    bench.keepSaying("litres", "42", 12);
    assertThat(bench.told("litres").state()).isEqualTo(SignalState.LIVE);
  }

  /** A hose fills a small tank faster than slosh swings it: that is no slosh. */
  @Test
  void aTankThatIsFilledFastDoesNotCountAsMoving() {
    for (int i = 0; i < 20; i++) {
      bench.say("litres", Integer.toString(20 + 2 * i));
      bench.later(1);
    }
    assertThat(bench.told("litres").state()).isEqualTo(SignalState.LIVE);
  }

  @Test
  void aLevelIsStaleAfterAMinuteOrThriceItsUsualPause() {
    bench.keepSaying("litres", "40", 10);
    bench.later(55);
    assertThat(bench.told("litres").state()).isEqualTo(SignalState.LIVE);
    bench.later(10);
    assertThat(bench.told("litres").state()).isEqualTo(SignalState.STALE);

    for (int i = 0; i < 15; i++) {
      bench.say("litres", "40");
      bench.later(100);
    }
    bench.later(150);
    assertThat(bench.told("litres").state()).isEqualTo(SignalState.LIVE);
    bench.later(100);
    assertThat(bench.told("litres").state()).isEqualTo(SignalState.STALE);
  }

  @Test
  void aContactThatSpeaksOnlyWhenItChangesIsNotStaleOneWithABeatIs() {
    bench.say("leak", "dry");
    bench.later(100_000);
    assertThat(bench.told("leak").state()).isEqualTo(SignalState.LIVE);
    bench.keepSaying("leak", "dry", 20);
    bench.later(100_000);
    // One long silence lies behind it: no beat is known.
    bench.keepSaying("leak", "dry", 20);
    bench.later(70);
    assertThat(bench.told("leak").state()).isEqualTo(SignalState.STALE);
  }

  @Test
  void whatTheBrokerKeptIsOfUnknownAge() {
    bench.live().take("litres", "40", true, Slope.LEVEL, bench.now);
    assertThat(bench.told("litres").state()).isEqualTo(SignalState.STALE);
    bench.live().take("leak", "wet", true, Slope.LEVEL, bench.now);
    assertThat(bench.told("leak").state()).isEqualTo(SignalState.LIVE);
    bench.say("litres", "41");
    assertThat(bench.told("litres").state()).isEqualTo(SignalState.LIVE);
    bench.live().take("litres", "9", true, Slope.LEVEL, bench.now);
    assertThat(bench.amount("litres")).isCloseTo(0.041, within(1e-12));
  }

  @Test
  void aDeviceThatSaysItIsGoneIsLostUntilItSpeaksAgain() {
    bench.say("litres", "40");
    bench.live().lose("litres");
    assertThat(bench.told("litres").state()).isEqualTo(SignalState.LOST);
    bench.say("litres", "40");
    assertThat(bench.told("litres").state()).isEqualTo(SignalState.LIVE);
  }

  @Test
  void aClockSetBackOrAheadMakesNothingOlderOrYounger() {
    bench.keepSaying("litres", "40", 10);
    bench.now = new Now(Instant.parse("2001-01-01T00:00:00Z"), bench.now.steady() + 5);
    assertThat(bench.told("litres").state()).isEqualTo(SignalState.LIVE);
    bench.now = new Now(Instant.parse("2060-01-01T00:00:00Z"), bench.now.steady() + 5);
    assertThat(bench.told("litres").state()).isEqualTo(SignalState.LIVE);
    assertThat(bench.told("litres").age()).isCloseTo(11, within(1e-9));
  }

  @Test
  void aFloodIsThinnedAndTheMedianStays() {
    for (int i = 0; i < 50_000; i++) {
      bench.say("litres", "40");
      bench.later(0.001);
    }
    assertThat(bench.amount("litres")).isCloseTo(0.040, within(1e-12));
    assertThat(bench.told("litres").state()).isEqualTo(SignalState.LIVE);
  }
}
