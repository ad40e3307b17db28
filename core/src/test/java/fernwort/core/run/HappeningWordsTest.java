package fernwort.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.rig.Rig;
import fernwort.core.run.Event.Kind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What happens, in words. */
class HappeningWordsTest {

  private static final Rig TRUCK = DemoRig.all().getFirst().rig();

  private static String words(Kind kind, ElementId subject, boolean begins) {
    return HappeningWords.of(TRUCK, new Event(0, kind, subject, begins));
  }

  @ParameterizedTest
  @EnumSource(Kind.class)
  void everyHappeningNamesItsPartAndTellsItsBeginningFromItsEnd(Kind kind) {
    ElementId subject = kind == Kind.SIPHONS ? LineId.of("over-low") : PartId.of("low");
    String name = kind == Kind.SIPHONS ? "Low overflow hose" : "Low fresh";
    assertThat(words(kind, subject, true)).contains(name).doesNotEndWith(".");
    assertThat(words(kind, subject, false)).contains(name);
    if (kind != Kind.HAND) {
      assertThat(words(kind, subject, true)).isNotEqualTo(words(kind, subject, false));
    }
  }

  @Test
  void onlyWhatBeginsAndMattersStopsARehearsal() {
    assertThat(HappeningWords.isSerious(new Event(0, Kind.FULL, PartId.of("low"), true))).isTrue();
    assertThat(HappeningWords.isSerious(new Event(0, Kind.FULL, PartId.of("low"), false)))
        .isFalse();
    assertThat(HappeningWords.isSerious(new Event(0, Kind.CYCLES, PartId.of("pump"), true)))
        .isFalse();
  }

  @ParameterizedTest
  @CsvSource({"0, 0 s", "42.4, 42 s", "700, 11 min 40 s", "3599.7, 1 h 00 min", "7260, 2 h 01 min"})
  void timesAreSaidAsPeopleSayThem(double seconds, String words) {
    assertThat(HappeningWords.time(seconds)).isEqualTo(words);
  }
}
