package fernwort.core.say;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TimesTest {

  @ParameterizedTest
  @CsvSource({
    "0, 1 s",
    "0.4, 1 s",
    "12.4, 12 s",
    "89.9, 90 s",
    "90, 2 min",
    "149, 2 min",
    "5969, 99 min",
    "5970, 1 h 40 min",
    "7260, 2 h 01 min",
    "86400, 24 h 00 min",
  })
  void timesAreSaidInTheUnitOneWouldLookAtAClockWith(double seconds, String said) {
    assertThat(Times.of(seconds)).isEqualTo(said);
  }

  @ParameterizedTest
  @CsvSource({
    "100, 120, 200, about 2 min (2 min to 3 min)",
    "118, 120, 125, about 2 min",
    "0, 120, 300, about 2 min",
    "30, 40, 50, about 40 s (30 s to 50 s)",
  })
  void aSpanIsARangeOnlyWhereItsEndsAreSaidDifferently(
      double low, double expected, double high, String said) {
    assertThat(Times.of(low, expected, high)).isEqualTo(said);
  }
}
