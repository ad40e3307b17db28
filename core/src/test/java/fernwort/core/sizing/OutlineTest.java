package fernwort.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.Shape.Corner;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.WhatFits.Fit;
import fernwort.core.sizing.WhatFits.Margins;
import fernwort.core.sizing.WhatFits.Space;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Spaces and the tanks in them as they are drawn from the side, corner by corner. */
class OutlineTest {

  private static final Margins USUAL = new Margins(0.01, 0.06, 0.08, 0.006);

  private static Fit fit(List<Fit> fits, String words) {
    return fits.stream().filter(f -> f.words().equals(words)).findFirst().orElseThrow();
  }

  private static void isAbout(List<Corner> drawn, double... corners) {
    assertThat(drawn).hasSize(corners.length / 2);
    for (int i = 0; i < drawn.size(); i++) {
      assertThat(drawn.get(i).x()).as("x of corner %d", i).isCloseTo(corners[2 * i], within(1e-9));
      assertThat(drawn.get(i).z())
          .as("z of corner %d", i)
          .isCloseTo(corners[2 * i + 1], within(1e-9));
    }
  }

  @Test
  void spacesAreDrawnAsTheyWereMeasured() {
    isAbout(new Space.Square(1, 0.5, 0.4).outline(), 0, 0, 1, 0, 1, 0.4, 0, 0.4);
    isAbout(
        new Space.OverArch(1.4, 0.4, 0.6, 0.4, 0.5, 0.35).outline(),
        0,
        0,
        0.4,
        0,
        0.4,
        0.35,
        0.9,
        0.35,
        0.9,
        0,
        1.4,
        0,
        1.4,
        0.6,
        0,
        0.6);
    isAbout(new Space.Tapering(1, 0.5, 0.4, 0.1).outline(), 0, 0, 1, 0, 1, 0.1, 0, 0.4);
  }

  @Test
  void tanksStandInTheirSpaceWithWhatMustStayFree() {
    List<Fit> fits = WhatFits.of(new Space.Square(1, 0.5, 0.4), USUAL);
    isAbout(fit(fits, "box").outline(), 0.01, 0.01, 0.91, 0.01, 0.91, 0.34, 0.01, 0.34);
    // Lying along, as thick as the lower of width and height allows.
    isAbout(
        fit(fits, "cylinder lying along").outline(),
        0.01,
        0.01,
        0.91,
        0.01,
        0.91,
        0.34,
        0.01,
        0.34);
    isAbout(
        fit(fits, "upright cylinder").outline(), 0.01, 0.01, 0.49, 0.01, 0.49, 0.34, 0.01, 0.34);
    List<Corner> round = fit(fits, "cylinder lying across").outline();
    assertThat(round).hasSize(48);
    for (Corner c : round) {
      assertThat(Math.hypot(c.x() - 0.175, c.z() - 0.175)).isCloseTo(0.165, within(1e-9));
    }
  }

  @Test
  void overAnArchEachTankStandsWhereItBelongs() {
    List<Fit> fits = WhatFits.of(new Space.OverArch(1.4, 0.4, 0.6, 0.4, 0.5, 0.35), USUAL);
    isAbout(
        fit(fits, "box above the arch").outline(), 0.01, 0.36, 1.31, 0.36, 1.31, 0.54, 0.01, 0.54);
    isAbout(
        fit(fits, "box behind the arch").outline(), 0.01, 0.01, 0.39, 0.01, 0.39, 0.54, 0.01, 0.54);
    isAbout(
        fit(fits, "box before the arch").outline(), 0.91, 0.01, 1.31, 0.01, 1.31, 0.54, 0.91, 0.54);
    isAbout(
        fit(fits, "two lobes and a bridge over the arch").outline(),
        0.01,
        0.01,
        0.39,
        0.01,
        0.39,
        0.36,
        0.91,
        0.36,
        0.91,
        0.01,
        1.31,
        0.01,
        1.31,
        0.54,
        0.91,
        0.54,
        0.91,
        0.54,
        0.39,
        0.54,
        0.39,
        0.54,
        0.01,
        0.54);
  }

  @Test
  void underASlopeTheWedgeFollowsTheCeiling() {
    List<Fit> fits = WhatFits.of(new Space.Tapering(1, 0.5, 0.4, 0.2), new Margins(0, 0, 0, 0));
    isAbout(fit(fits, "wedge").outline(), 0, 0, 1, 0, 1, 0.2, 0, 0.4);
    // The box that holds most is as long as leaves half the height, but no longer than the space.
    isAbout(fit(fits, "box at the high end").outline(), 0, 0, 1, 0, 1, 0.2, 0, 0.2);
    List<Fit> even = WhatFits.of(new Space.Tapering(1, 0.5, 0.4, 0.4), new Margins(0, 0, 0, 0));
    isAbout(fit(even, "box at the high end").outline(), 0, 0, 1, 0, 1, 0.4, 0, 0.4);
  }

  @Test
  void aDepthTableHasNoOutline() {
    assertThat(SideView.of(new Shape.DepthTable(0.5, List.of(new Shape.Row(0.1, 0.01))))).isEmpty();
  }

  @Test
  void whatCannotBeIsRefused() {
    Margins none = new Margins(0, 0, 0, 0);
    assertThatThrownBy(() -> WhatFits.of(new Space.Tapering(1, 0.5, 0.4, 0.41), none))
        .isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> WhatFits.of(new Space.Tapering(1, 0.5, 0.4, 0), none))
        .isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> WhatFits.of(new Space.OverArch(1, 0.4, 0.6, 0.6, 0.41, 0.3), none))
        .isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> WhatFits.of(new Space.OverArch(1, 0.4, 0.6, 0.3, 0.3, 0.6), none))
        .isInstanceOf(Refusal.class);
    assertThat(WhatFits.of(new Space.OverArch(1, 0.4, 0.6, 0.6, 0.4, 0.3), none))
        .extracting(Fit::words)
        .doesNotContain("box before the arch");
    assertThatThrownBy(() -> WhatFits.of(new Space.Square(0.1, 0.5, 0.4), USUAL))
        .isInstanceOf(Refusal.class);
    assertThat(WhatFits.of(new Space.Square(0.1221, 0.5, 0.4), USUAL)).isNotEmpty();
    assertThatThrownBy(() -> WhatFits.of(new Space.Square(1, 0.041, 0.4), USUAL))
        .isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> WhatFits.of(new Space.Square(1, 0.5, 0.091), USUAL))
        .isInstanceOf(Refusal.class);
  }

  @Test
  void aLitreMoreIsWorthDaysToWhatEndsTheStay() {
    Habits habits = Habits.DEFAULT;
    assertThat(habits.freshPerDay()).isPositive();
    assertThat(new Itinerary.Leg(0, 4, 0.1, -0.1, 1, 1).dry()).isCloseTo(2, within(1e-9));
    assertThat(new Itinerary.Leg(2, 6, 1, 1, 0.3, -0.1).full()).isCloseTo(5, within(1e-9));
    assertThat(new Itinerary.Leg(0, 4, 0.1, 0, 1, 1).dry()).isInfinite();
  }
}
