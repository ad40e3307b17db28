package fernwort.core.budget;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.rig.Slope;
import fernwort.core.sizing.Habits;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Days reckoned by hand: two people, one tank, looks at midnight. */
class DailyTest {

  private static final Network PLUMBING = Network.of(DemoRig.all().getFirst().rig());
  private static final Instant MONDAY = Instant.parse("2026-06-01T00:00:00Z");
  private static final LocalDate FIRST = LocalDate.of(2026, 6, 1);

  private static Entry entry(double hours, Entry.What what) {
    return new Entry("e" + hours + what, MONDAY.plusSeconds(Math.round(3600 * hours)), what);
  }

  private static Entry read(double hours, double litres) {
    return entry(hours, new Entry.Reading(PartId.of("main"), litres / 1000, "", false, ""));
  }

  private static List<Daily> days(double askedAt, Entry... entries) {
    return Daily.of(
        PLUMBING,
        List.of(entries),
        new Budget.Asked(
            Slope.LEVEL,
            Habits.DEFAULT,
            ZoneOffset.UTC,
            MONDAY.plusSeconds(Math.round(3600 * askedAt))));
  }

  @Test
  void whatWentBetweenTwoMidnightsIsThatDays() {
    List<Daily> days = days(48, read(0, 100), read(24, 76), read(48, 60));
    assertThat(days).hasSize(2);
    assertThat(days.getFirst().day()).isEqualTo(FIRST);
    assertThat(days.getFirst().used()).isCloseTo(0.024, within(1e-9));
    assertThat(days.getFirst().people()).isCloseTo(2, within(1e-9));
    assertThat(days.getFirst().each().orElseThrow()).isCloseTo(0.012, within(1e-9));
    assertThat(days.get(1).used()).isCloseTo(0.016, within(1e-9));
  }

  @Test
  void whatWentOverTwoDaysIsSpreadByWhoWasThere() {
    // One more comes on the second day: two of five parts on the first, three on the second.
    List<Daily> days =
        days(
            48,
            read(0, 100),
            entry(24, new Entry.People(3, 0, Optional.empty(), "")),
            read(48, 50));
    assertThat(days)
        .extracting(Daily::used)
        .satisfies(used -> {
          assertThat(used.get(0)).isCloseTo(0.02, within(1e-9));
          assertThat(used.get(1)).isCloseTo(0.03, within(1e-9));
        });
  }

  @Test
  void whatWasPouredInCountsAndAFillToTheBrimBeginsAnew() {
    Entry poured =
        entry(
            12,
            new Entry.Fill(PartId.of("main"), Optional.of(0.02), Entry.Bought.UNKNOWN, false, ""));
    assertThat(days(24, read(0, 80), poured, read(24, 76)))
        .singleElement()
        .satisfies(d -> assertThat(d.used()).isCloseTo(0.024, within(1e-9)));
    Entry brim =
        entry(
            24,
            new Entry.Fill(PartId.of("main"), Optional.empty(), Entry.Bought.UNKNOWN, false, ""));
    assertThat(days(48, read(0, 80), read(23.99, 60), brim, read(48, 100)))
        .extracting(Daily::day)
        .containsExactly(FIRST, FIRST.plusDays(1));
    // What rose is no use.
    assertThat(days(24, read(0, 50), read(24, 90))).isEmpty();
  }

  @Test
  void aDayOfWhichLittleIsKnownIsLeftOut() {
    assertThat(days(12, read(0, 100), read(12, 90))).isEmpty();
    assertThat(days(22, read(0, 100), read(22, 78))).hasSize(1);
    // Later looks are not known yet.
    assertThat(days(24, read(0, 100), read(24, 76), read(48, 50))).hasSize(1);
  }

  @Test
  void awayNobodyUsesAnything() {
    Entry away = entry(24, new Entry.Away(MONDAY.plusSeconds(48 * 3600), ""));
    List<Daily> days = days(48, read(0, 100), away, read(24, 80), read(48, 79));
    assertThat(days.get(1).each()).isEmpty();
    assertThat(days.get(1).used()).isCloseTo(0.001, within(1e-9));
  }

  @Test
  void threeDaysAgainstThoseBefore() {
    List<Entry> entries = new ArrayList<>();
    double holds = 120;
    for (int day = 0; day <= 6; day++) {
      entries.add(read(24.0 * day, holds));
      holds -= day < 3 ? 10 : 20;
    }
    List<Daily> days = days(24 * 6, entries.toArray(Entry[]::new));
    Daily.Trend trend = Daily.trend(days).orElseThrow();
    assertThat(trend.times()).isCloseTo(2, within(1e-6));
    assertThat(trend.since()).isEqualTo(FIRST.plusDays(3));
    assertThat(Daily.trend(days.subList(0, 5))).isEmpty();
  }
}
