package fernwort.core.fault;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.fault.Proof.Reading;
import fernwort.core.id.PartId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a sensor says after a repair, and whether that proves it. */
class ProofTest {

  private static final double SEEN = 1e-3;

  private static Observation complaint(Look kind, String value) {
    return new Observation(kind, PartId.of("it"), value, Map.of(), Optional.empty());
  }

  private static boolean isGone(Observation complaint, double now, Reading... readings) {
    return Proof.isGone(complaint, now, List.of(readings), SEEN);
  }

  @Test
  void aFloorIsDryWhenItsSensorSaysSoAndNotBeforeItSaidAnything() {
    Observation wet = complaint(Look.WET, "wet");
    assertThat(isGone(wet, 60)).isFalse();
    assertThat(isGone(wet, 60, new Reading(5, 1))).isFalse();
    assertThat(isGone(wet, 60, new Reading(5, 1), new Reading(50, 0))).isTrue();
  }

  @Test
  void aPumpHasToBeSilentForAWhileAndAStartBeginsItAnew() {
    Observation runs = complaint(Look.PUMP, "runs");
    assertThat(isGone(runs, 100, new Reading(0, 0))).isFalse();
    assertThat(isGone(runs, 121, new Reading(0, 0), new Reading(60, 0))).isTrue();
    Reading[] again = {new Reading(0, 0), new Reading(60, 1), new Reading(70, 0)};
    assertThat(isGone(runs, 150, again)).isFalse();
    assertThat(isGone(runs, 191, again)).isTrue();
    assertThat(isGone(complaint(Look.PUMP, "silent"), 5, new Reading(2, 1))).isTrue();
  }

  @Test
  void aLevelIsWatchedForItsTimeAndOneThatShouldRiseHasToRise() {
    Reading first = new Reading(0, 0.05);
    Observation falls = complaint(Look.LEVEL, "falls");
    assertThat(isGone(falls, 299, first, new Reading(290, 0.05))).isFalse();
    assertThat(isGone(falls, 301, first, new Reading(300, 0.0495))).isTrue();
    assertThat(isGone(falls, 301, first, new Reading(300, 0.048))).isFalse();
    Observation rises = complaint(Look.LEVEL, "rises");
    assertThat(isGone(rises, 301, first, new Reading(300, 0.052))).isFalse();
    Observation steady = complaint(Look.LEVEL, "steady");
    assertThat(isGone(steady, 10, first, new Reading(9, 0.0505))).isFalse();
    assertThat(isGone(steady, 10, first, new Reading(9, 0.0511))).isTrue();
  }

  @Test
  void whatNoSensorTellsIsNeverProvenByOne() {
    Observation water = complaint(Look.WATER, "none");
    assertThat(Proof.canBeTold(water)).isFalse();
    assertThat(isGone(water, 1000, new Reading(500, 1))).isFalse();
    assertThat(Proof.canBeTold(complaint(Look.PUMP, "hums"))).isFalse();
    assertThat(Proof.seen(0.2)).isCloseTo(0.002, within(1e-12));
    assertThat(Proof.seen(0.02)).isCloseTo(0.0007, within(1e-12));
  }
}
