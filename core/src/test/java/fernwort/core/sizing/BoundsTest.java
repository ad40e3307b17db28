package fernwort.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.describe.Fittings;
import fernwort.core.kind.machine.Pump;
import fernwort.core.say.Refusal;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is taken at the very edge of what is possible, and figures worked out by hand. */
class BoundsTest {

  private static final Habits HABITS = Habits.DEFAULT;

  @ParameterizedTest
  @CsvSource({
    "0.25, 0, true",
    "365, 1, true",
    "0.2499, 0, false",
    "365.01, 0, false",
    "3, -0.001, false",
    "3, 1.001, false"
  })
  void daysAndReserveHaveBounds(double days, double reserve, boolean possible) {
    if (possible) {
      Demand demand = Demand.of(HABITS, days, reserve);
      double expected = HABITS.freshPerDay() * days * (1 + reserve);
      assertThat(demand.fresh().expected()).isCloseTo(expected, within(1e-12));
      assertThat(demand.fresh().low()).isCloseTo(0.75 * expected, within(1e-12));
      assertThat(demand.fresh().high()).isCloseTo(1.4 * expected, within(1e-12));
      assertThat(demand.gray().expected()).isCloseTo(HABITS.grayPerDay() * days, within(1e-12));
    } else {
      assertThatThrownBy(() -> Demand.of(HABITS, days, reserve)).isInstanceOf(Refusal.class);
    }
  }

  @Test
  void aContainerThatWeighsJustWhatMayBeCarriedIsCarried() {
    Hauling.Container can = new Hauling.Container(0.02, 1, 2);
    double full = 1 + 0.02 * 999.1;
    Hauling hauling = Hauling.of(0.06, can, full + 1e-9, 2, 5);
    assertThat(hauling.perTrip()).isEqualTo(1);
    assertThat(hauling.trips()).isEqualTo(3);
    assertThat(hauling.load()).isCloseTo(full, within(0.05));
    assertThat(hauling.price()).isCloseTo(0.12 + 15, within(1e-9));
    assertThat(Hauling.of(0.06, can, 3 * full, 2, 5).trips()).isEqualTo(2);
    assertThat(Hauling.of(0.04, can, 3 * full, 2, 5).trips()).isEqualTo(1);
    assertThatThrownBy(() -> Hauling.of(0.06, can, full - 0.1, 2, 5)).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> Hauling.of(0.06, new Hauling.Container(0.02, 1, 0), 100, 2, 5))
        .isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> Hauling.of(0.06, new Hauling.Container(0, 1, 1), 100, 2, 5))
        .isInstanceOf(Refusal.class);
  }

  @Test
  void aTimedJugTakesSomeTimeAndHoldsSomething() {
    assertThat(TimedJug.of(0.002, List.of(20.0)).spread()).isZero();
    assertThat(TimedJug.of(0.002, List.of(20.0)).flow()).isCloseTo(1e-4, within(1e-15));
    assertThatThrownBy(() -> TimedJug.of(0, List.of(20.0))).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> TimedJug.of(0.002, List.of(0.0))).isInstanceOf(Refusal.class);
  }

  @Test
  void halfTheFlowFartherOnMeansThreeQuartersOfTheHeadAreLost() {
    TimedJug near = new TimedJug(2e-4, 0, 1);
    assertThat(TimedJug.lostBetween(near, new TimedJug(1e-4, 0, 1))).isCloseTo(0.75, within(1e-12));
    // A little more farther on is the watch, much more is a mix-up; a wide spread excuses more.
    assertThat(TimedJug.lostBetween(near, new TimedJug(2.1e-4, 0, 1))).isZero();
    assertThatThrownBy(() -> TimedJug.lostBetween(near, new TimedJug(2.11e-4, 0, 1)))
        .isInstanceOf(Refusal.class);
    TimedJug shaky = new TimedJug(2e-4, 1e-5, 5);
    assertThatCode(() -> TimedJug.lostBetween(shaky, new TimedJug(2.4e-4, 1.2e-5, 5)))
        .doesNotThrowAnyException();
    assertThatThrownBy(() -> TimedJug.lostBetween(shaky, new TimedJug(2.5e-4, 1e-6, 5)))
        .isInstanceOf(Refusal.class);
  }

  @Test
  void aPumpStartsAsOftenAsItFillsAndTheTapEmptiesWhatGivesWay() {
    Pump pump = (Pump) Fittings.pressurePump(12, 2.4);
    // Cut in at 1.7 bar, out at 2.4, nothing at 2.9: half way, at 2.05 bar, it gives 29.3 %.
    double pumped = 12e-3 / 60 * (1 - 2.05 / 2.9);
    double drawn = 1e-5;
    double gives = 2e-4;
    double seconds = gives / (pumped - drawn) + gives / drawn;
    assertThat(PumpCycle.perMinute(pump, drawn, gives)).isCloseTo(60 / seconds, within(1e-9));
    assertThat(PumpCycle.perMinute(pump, 0, gives)).isZero();
    double whole = 12e-3 / 60 * (1 - 2.4 / 2.9);
    assertThat(PumpCycle.perMinute(pump, whole, gives)).isZero();
    assertThat(PumpCycle.perMinute(pump, 0.99 * whole, gives)).isPositive();
    // Boyle: a litre at 1.7 bar over the atmosphere shrinks by what comes in up to 2.4 bar.
    double air = 1e-3 * (1.7e5 + 101_325);
    assertThat(PumpCycle.takesUp(pump, 1e-3, 1.7e5))
        .isCloseTo(1e-3 - air / (2.4e5 + 101_325), within(1e-9));
    assertThat(PumpCycle.takesUp(pump, 1e-3, 3e5)).isCloseTo(0, within(1e-12));
  }

  @Test
  void aStopOnTheFirstOrLastDayIsOnTheTrip() {
    List<Itinerary.Chance> ends =
        List.of(new Itinerary.Chance(0, true, true), new Itinerary.Chance(6, true, true));
    assertThat(Itinerary.of(HABITS, 0.2, 0.2, 6, ends).legs()).hasSize(1);
    assertThatThrownBy(() ->
            Itinerary.of(HABITS, 0.2, 0.2, 6, List.of(new Itinerary.Chance(6.01, true, true))))
        .isInstanceOf(Refusal.class);
    assertThatThrownBy(() ->
            Itinerary.of(HABITS, 0.2, 0.2, 6, List.of(new Itinerary.Chance(-0.01, true, true))))
        .isInstanceOf(Refusal.class);
    double day = HABITS.freshPerDay();
    Itinerary just = Itinerary.of(HABITS, 6 * day, 1, 6, List.of());
    assertThat(just.works()).isTrue();
    Itinerary short1 = Itinerary.of(HABITS, 5 * day, 1, 6, List.of());
    assertThat(short1.works()).isFalse();
    assertThat(short1.legs().getFirst().full()).isInfinite();
  }
}
