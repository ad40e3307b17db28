package fernwort.core.budget;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoLog;
import fernwort.core.demo.DemoRig;
import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.rig.Slope;
import fernwort.core.sizing.Habits;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What is learnt from the log of a whole rig: two fresh tanks and a gray one. */
class BudgetTest {

  private static final DemoRig VAN = DemoRig.all().getFirst();
  private static final Network PLUMBING = Network.of(VAN.rig());
  private static final Instant NOON = Instant.parse("2026-06-10T12:00:00Z");
  private static final Budget.Asked ASKED =
      new Budget.Asked(Slope.LEVEL, Habits.DEFAULT, ZoneOffset.UTC, NOON);

  private int count;

  private Entry entry(Instant at, Entry.What what) {
    return new Entry("e" + count++, at, what);
  }

  private Entry read(double daysAgo, PartId tank, double litres) {
    Instant at = NOON.minus(Duration.ofMinutes(Math.round(daysAgo * 1440)));
    return entry(at, new Entry.Reading(tank, litres / 1000, litres + " L", false, ""));
  }

  /** A month in which two use 24 L a day from the main tank, read mornings and evenings. */
  private List<Entry> steady(int days) {
    List<Entry> entries = new ArrayList<>();
    entries.add(
        entry(NOON.minus(Duration.ofDays(days)), new Entry.People(2, 0, Optional.empty(), "")));
    double holds = 100;
    DayShape shape = DayShape.in(ZoneOffset.UTC);
    double last = Facts.seconds(NOON) - days * 86_400.0;
    for (int half = 0; half <= 2 * days; half++) {
      double daysAgo = days - half / 2.0;
      double at = Facts.seconds(NOON) - daysAgo * 86_400;
      holds -= 24 * shape.between(last, at);
      last = at;
      if (holds < 30) {
        entries.add(read(daysAgo, PartId.of("main"), holds));
        entries.add(
            entry(
                NOON.minus(Duration.ofMinutes(Math.round(daysAgo * 1440))),
                new Entry.Fill(
                    PartId.of("main"), Optional.of(0.07), Entry.Bought.UNKNOWN, false, "")));
        holds += 70;
      }
      entries.add(read(daysAgo, PartId.of("main"), holds));
      if (half % 4 == 0) {
        entries.add(read(daysAgo, PartId.of("low"), 40));
      }
    }
    return entries;
  }

  @Test
  void severalTanksCountTogether() {
    Budget budget = Budget.of(PLUMBING, steady(6), ASKED);
    assertThat(budget.enough()).isTrue();
    assertThat(budget.fresh().rate().expected()).isCloseTo(0.012, within(0.002));
    double holds =
        steady(6).stream()
            .filter(e -> e.what() instanceof Entry.Reading r && r.tank().equals(PartId.of("main")))
            .mapToDouble(e -> ((Entry.Reading) e.what()).volume())
            .reduce((a, b) -> b)
            .orElseThrow();
    assertThat(budget.fresh().volume()).isCloseTo(holds + 0.040, within(0.006));
    assertThat(budget.oddities()).isEmpty();
  }

  @Test
  void theOrderOfEntriesDoesNotMatter() {
    List<Entry> entries = steady(5);
    List<Entry> shuffled = new ArrayList<>(entries);
    Collections.shuffle(shuffled, new Random(7));
    assertThat(Budget.of(PLUMBING, shuffled, ASKED).ends())
        .isEqualTo(Budget.of(PLUMBING, entries, ASKED).ends());
  }

  @Test
  void waterThatGoesWhileAllAreAwayIsALeak() {
    List<Entry> entries = new ArrayList<>(steady(4));
    entries.removeIf(e -> e.at().isAfter(NOON.minus(Duration.ofHours(40))));
    entries.add(
        entry(
            NOON.minus(Duration.ofHours(39)),
            new Entry.Away(NOON.minus(Duration.ofHours(1)), "in the hut")));
    entries.add(read(38.0 / 24, PartId.of("main"), 80));
    entries.add(read(2.0 / 24, PartId.of("main"), 55));
    assertThat(Budget.of(PLUMBING, entries, ASKED).oddities())
        .filteredOn(o -> o.kind() == Anomaly.Kind.LEAK)
        .first()
        .satisfies(o -> assertThat(o.volume()).isCloseTo(0.025, within(0.003)));
  }

  @Test
  void aGaugeThatShowsAnotherAmountThanWasPouredInIsTold() {
    List<Entry> entries = new ArrayList<>(steady(4));
    entries.add(read(0.2, PartId.of("main"), 40));
    entries.add(
        entry(
            NOON.minus(Duration.ofMinutes(280)),
            new Entry.Fill(PartId.of("main"), Optional.of(0.02), Entry.Bought.UNKNOWN, false, "")));
    entries.add(read(0.19, PartId.of("main"), 96));
    assertThat(Budget.of(PLUMBING, entries, ASKED).oddities())
        .anySatisfy(o -> {
          assertThat(o.kind()).isEqualTo(Anomaly.Kind.GAUGE);
          assertThat(o.look().toString()).contains("Calibrate");
        });
  }

  @Test
  void grayThatGainsLessThanWasUsedIsTold() {
    List<Entry> entries = new ArrayList<>(steady(8));
    for (int half = 0; half <= 16; half++) {
      entries.add(read(8 - half / 2.0, PartId.of("gray"), 20 + half));
    }
    assertThat(Budget.of(PLUMBING, entries, ASKED).oddities())
        .anySatisfy(o -> assertThat(o.kind()).isEqualTo(Anomaly.Kind.GRAY_SHORT));
    entries.removeIf(e -> e.what().part().equals(PartId.of("gray")));
    for (int half = 0; half <= 4; half++) {
      entries.add(read(2 - half / 2.0, PartId.of("gray"), 20 + 10 * half));
    }
    assertThat(Budget.of(PLUMBING, entries, ASKED).oddities()).isEmpty();
  }

  @Test
  void daysAreWhatWentOnThem() {
    List<Daily> days = Daily.of(PLUMBING, steady(9), ASKED);
    assertThat(days).hasSizeGreaterThanOrEqualTo(4);
    assertThat(days)
        .allSatisfy(d -> assertThat(d.each().orElseThrow()).isCloseTo(0.012, within(0.0015)));
    assertThat(Daily.trend(days).orElseThrow().times()).isCloseTo(1, within(0.1));
  }

  @Test
  void aNewEstimateBeginsAnew() {
    List<Entry> entries = new ArrayList<>(steady(4));
    double before = Budget.of(PLUMBING, entries, ASKED).fresh().rate().expected();
    entries.add(
        entry(
            NOON.minus(Duration.ofMinutes(5)),
            new Entry.People(2, 0, Optional.of(0.03), "it is hot now")));
    Budget budget = Budget.of(PLUMBING, entries, ASKED);
    assertThat(budget.fresh().rate().expected()).isCloseTo(0.03, within(0.003));
    assertThat(budget.entered()).isEqualTo(0.03);
    assertThat(before).isLessThan(0.015);
  }

  @Test
  void theDemosLogsAreLivelyAndEndWithWhatTheirTanksHold() {
    for (DemoRig demo : DemoRig.all()) {
      Network network = Network.of(demo.rig());
      List<Entry> log = DemoLog.of(demo, network, NOON);
      assertThat(log).hasSizeGreaterThan(30);
      assertThat(log).extracting(e -> e.what().kind()).contains(Entry.Kind.PEOPLE, Entry.Kind.AWAY);
      assertThat(log).allSatisfy(e -> assertThat(e.at()).isBefore(NOON));
      Budget budget =
          Budget.of(
              network, log, new Budget.Asked(Slope.LEVEL, Habits.DEFAULT, ZoneOffset.UTC, NOON));
      assertThat(budget.fresh().rate().low()).isLessThan(0.016);
      assertThat(budget.fresh().rate().high()).isGreaterThan(0.011);
    }
  }
}
