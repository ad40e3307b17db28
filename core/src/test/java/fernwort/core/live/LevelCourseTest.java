package fernwort.core.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Fills and dumps are found in what a level does, and draws and drifts are none. */
class LevelCourseTest {

  private static final double CAPACITY = 0.1;

  private Now now = new Now(Instant.parse("2026-06-01T08:00:00Z"), 0);
  private final Random noise = new Random(5);
  private Optional<LevelCourse.Passed> passed = Optional.empty();
  private double level;

  /** Lets a level change at so many litres a minute, read once a second with some noise. */
  private void go(LevelCourse course, double litresPerMinute, int seconds) {
    for (int i = 0; i < seconds; i++) {
      now = now.plus(1);
      level = Math.clamp(level + litresPerMinute / 60_000, 0, CAPACITY);
      course.take(level + noise.nextGaussian() * 1e-4, now).ifPresent(p -> passed = Optional.of(p));
    }
  }

  @Test
  void aFillBeginsAtTheLowestAndEndsWhereItStays() {
    LevelCourse course = new LevelCourse(CAPACITY, false);
    level = 0.04;
    go(course, -0.05, 3600);
    double from = level;
    Instant began = now.wall();
    go(course, 10, 240);
    assertThat(course.isGoing()).isTrue();
    go(course, 0, 60);
    go(course, 10, 60);
    assertThat(passed).as("a pause of a minute ends nothing").isEmpty();
    go(course, 0, 200);
    LevelCourse.Passed fill = passed.orElseThrow();
    assertThat(fill.what()).isEqualTo(LevelCourse.What.FILL);
    assertThat(fill.from()).isCloseTo(from, within(0.001));
    assertThat(fill.to() - fill.from()).isCloseTo(0.05, within(0.0015));
    assertThat(fill.begun().wall()).isBetween(began.minusSeconds(60), began.plusSeconds(60));
    assertThat(course.isGoing()).isFalse();
  }

  @Test
  void aDayOfDrawsAndASlowDriftAreNone() {
    LevelCourse fresh = new LevelCourse(CAPACITY, false);
    level = 0.09;
    for (int draw = 0; draw < 60; draw++) {
      go(fresh, -6, 12);
      go(fresh, 0.02, 1200);
    }
    assertThat(passed).isEmpty();
    assertThat(fresh.isGoing()).isFalse();
  }

  @Test
  void aDumpIsFoundInATankThatIsDumped() {
    LevelCourse gray = new LevelCourse(CAPACITY, true);
    level = 0.02;
    go(gray, 1, 3000);
    go(gray, -30, 160);
    go(gray, 0, 200);
    LevelCourse.Passed dump = passed.orElseThrow();
    assertThat(dump.what()).isEqualTo(LevelCourse.What.DUMP);
    assertThat(dump.to()).isCloseTo(0, within(0.001));
    assertThat(dump.from()).isCloseTo(0.07, within(0.001));
  }
}
