package fernwort.core.load;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.say.Refusal;
import org.junit.jupiter.api.Test;

/** Lashings against the forces of EN 12195-1. */
class RestraintTest {

  private static final double G = 9.80665;

  @Test
  void lashingsHoldTheirRatingTimesTheCosineOfTheirAngle() {
    Restraint straight = Restraint.of(100, Restraint.FORWARD, 4, 1000, 0);
    assertThat(straight.load()).isCloseTo(100 * 0.8 * G, within(1e-9));
    assertThat(straight.holds()).isCloseTo(4000, within(1e-9));
    assertThat(Restraint.of(100, Restraint.SIDEWAYS, 4, 1000, 60).holds())
        .isCloseTo(2000, within(1e-6));
    assertThat(Restraint.of(100, Restraint.SIDEWAYS, 4, 1000, 60).load())
        .isCloseTo(100 * 0.5 * G, within(1e-9));
  }

  @Test
  void whatHoldsJustTheLoadIsEnoughAndALittleLessIsNot() {
    double rating = 100 * 0.8 * G / 2;
    Restraint just = new Restraint(2 * rating, 2 * rating);
    assertThat(just.enough()).isTrue();
    assertThat(just.needed(2)).isEqualTo(2);
    Restraint less = Restraint.of(100, 0.8, 2, 0.99 * rating, 0);
    assertThat(less.enough()).isFalse();
    assertThat(less.needed(2)).isEqualTo(3);
    assertThat(Restraint.of(100, 0.8, 5, rating, 0).needed(5)).isEqualTo(2);
  }

  @Test
  void asManyAsAreNeededAreEnoughAndOneLessIsNot() {
    for (double mass = 20; mass < 900; mass += 7) {
      int needed = Restraint.of(mass, Restraint.FORWARD, 1, 750, 35).needed(1);
      assertThat(Restraint.of(mass, Restraint.FORWARD, needed, 750, 35).enough()).isTrue();
      assertThat(Restraint.of(mass, Restraint.FORWARD, needed - 1, 750, 35).enough()).isFalse();
    }
  }

  @Test
  void aLashingAcrossItsLoadHoldsNothingAndIsRefused() {
    for (double angle : new double[] {90, -1, Double.NaN}) {
      assertThatThrownBy(() -> Restraint.of(100, 0.8, 4, 1000, angle))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("0 to 89°");
    }
    assertThat(Restraint.of(100, 0.8, 4, 1000, 89).holds()).isPositive();
  }
}
