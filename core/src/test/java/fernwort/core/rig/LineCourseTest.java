package fernwort.core.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.kind.ProfilePoint;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LineCourseTest {

  /** Up from 1 m to a crest, down into a sag, and up to 1.2 m. */
  private static final LineCourse BENT =
      new LineCourse(
          List.of(
              new ProfilePoint(0, 1),
              new ProfilePoint(1, 1.5),
              new ProfilePoint(3, 0.5),
              new ProfilePoint(4, 1.2)));

  @ParameterizedTest
  @CsvSource({
    "-1, 1",
    "0, 1",
    "0.5, 1.25",
    "1, 1.5",
    "2, 1",
    "3, 0.5",
    "3.5, 0.85",
    "4, 1.2",
    "9, 1.2"
  })
  void betweenTwoPointsItRisesEvenly(double along, double height) {
    assertThat(BENT.heightAt(along)).isCloseTo(height, within(1e-12));
  }

  @Test
  void twoPointsAtOnePlaceAreAStep() {
    LineCourse step =
        new LineCourse(
            List.of(
                new ProfilePoint(0, 1),
                new ProfilePoint(1, 1),
                new ProfilePoint(1, 2),
                new ProfilePoint(2, 2)));
    assertThat(step.heightAt(0.9)).isEqualTo(1);
    assertThat(step.heightAt(1.1)).isEqualTo(2);
  }

  @Test
  void ofSeveralPointsAsLowTheFirstIsTheLowest() {
    assertThat(BENT.lowest()).isEqualTo(new ProfilePoint(3, 0.5));
    LineCourse rising = new LineCourse(List.of(new ProfilePoint(0, 1), new ProfilePoint(2, 1.5)));
    assertThat(rising.lowest().along()).isZero();
    LineCourse level = new LineCourse(List.of(new ProfilePoint(0, 1), new ProfilePoint(2, 1)));
    assertThat(level.lowest().along()).isZero();
  }
}
