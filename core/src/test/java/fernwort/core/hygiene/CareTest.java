package fernwort.core.hygiene;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.budget.Daily;
import fernwort.core.build.joints.BuyList;
import fernwort.core.demo.DemoRig;
import fernwort.core.describe.RigEdit;
import fernwort.core.diary.Entry;
import fernwort.core.diary.Paid;
import fernwort.core.id.PartId;
import fernwort.core.kind.line.LeakTray;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Network;
import fernwort.core.review.LayoutReview;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.ways.OpenWays;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What falls due, and where bad water has come to. */
class CareTest {

  private static final DemoRig VAN = DemoRig.all().getFirst();
  private static final Network PLUMBING = Network.of(VAN.rig());
  private static final Instant NOW = Instant.parse("2026-06-10T12:00:00Z");

  private static Instant ago(int days) {
    return NOW.minus(Duration.ofDays(days));
  }

  private static Upkeep due(String subject, List<Entry> entries, List<Daily> days) {
    return Upkeep.of(VAN.rig(), entries, days, ZoneOffset.UTC, NOW).stream()
        .filter(u -> u.subject().equals(subject))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void whatWasNeverNotedIsDueAndWhatWasDoneIsDueLater() {
    assertThat(due("sediment", List.of(), List.of()).isDue(NOW)).isTrue();
    Entry done =
        new Entry("a", ago(10), new Entry.Upkeep(PartId.of("sediment"), Optional.empty(), ""));
    Upkeep later = due("sediment", List.of(done), List.of());
    assertThat(later.isDue(NOW)).isFalse();
    assertThat(later.due()).isEqualTo(ago(10).plus(Duration.ofDays(later.every())));
    Entry clean = new Entry("b", ago(3), new Entry.Sanitize(PartId.of("main"), ""));
    assertThat(due("main", List.of(clean), List.of()).last()).contains(ago(3));
  }

  @Test
  void aCartridgeIsDueByLitresAsWell() {
    Entry done =
        new Entry("a", ago(10), new Entry.Upkeep(PartId.of("sediment"), Optional.empty(), ""));
    Upkeep fresh = due("sediment", List.of(done), List.of());
    double lasts = fresh.use().orElseThrow().lasts();
    List<Daily> days = List.of(new Daily(LocalDate.of(2026, 6, 5), lasts + 0.001, 2));
    assertThat(due("sediment", List.of(done), days).isDue(NOW)).isTrue();
    List<Daily> before = List.of(new Daily(LocalDate.of(2026, 5, 5), lasts + 0.001, 2));
    assertThat(due("sediment", List.of(done), before).isDue(NOW)).isFalse();
  }

  @Test
  void aPumpsHoursAreLitresOverItsFlow() {
    Entry done = new Entry("a", ago(10), new Entry.Upkeep(PartId.of("pump"), Optional.empty(), ""));
    List<Daily> days = List.of(new Daily(LocalDate.of(2026, 6, 5), 0.36, 2));
    Upkeep pump = due("pump", List.of(done), days);
    double free = ((Pump) VAN.rig().part(PartId.of("pump")).kind()).freeFlow();
    assertThat(pump.use().orElseThrow().ran().orElseThrow())
        .isCloseTo(0.36 / (0.6 * free), within(1e-6));
    assertThat(pump.use().orElseThrow().mayRun().orElseThrow()).isCloseTo(500 * 3600, within(1e-3));
    assertThat(pump.isDue(NOW)).isFalse();
    List<Daily> much = List.of(new Daily(LocalDate.of(2026, 6, 5), 0.6 * free * 501 * 3600, 2));
    assertThat(due("pump", List.of(done), much).isDue(NOW)).isTrue();
  }

  @Test
  void whatWaterCostAddsUpInOrderOfTime() {
    List<Entry> entries =
        List.of(
            bought(2, "1.50"), bought(9, "2.25"), new Entry("n", ago(1), new Entry.Note("dry")));
    assertThat(Paid.byTime(entries))
        .extracting(Paid.Step::sum)
        .containsExactly(new BigDecimal("2.25"), new BigDecimal("3.75"));
  }

  private static Entry bought(int ago, String price) {
    return new Entry(
        price,
        ago(ago),
        new Entry.Fill(
            PartId.of("main"),
            Optional.of(0.05),
            new Entry.Bought(Optional.of(new BigDecimal(price)), "Quay", Optional.empty()),
            false,
            ""));
  }

  @Test
  void aLeakTraysContactIsTestedAndNothingElseMindsTheTray() {
    Part pump = VAN.rig().part(PartId.of("pump"));
    Part tray =
        new Part(
            PartId.of("tray"),
            "Tray",
            pump.place(),
            pump.x(),
            pump.y(),
            pump.height() - 0.05,
            0,
            new LeakTray(0.005, true));
    Rig rig = RigEdit.of(VAN.rig()).add(tray);
    assertThat(Upkeep.of(rig, List.of(), List.of(), ZoneOffset.UTC, NOW))
        .extracting(Upkeep::what)
        .contains("Wet the contact of Tray and wait for its alarm");
    assertThat(BuyList.of(rig, List.of()))
        .extracting(BuyList.Item::what)
        .contains("leak tray with contact: Tray");
    assertThat(LayoutReview.of(Network.of(rig)))
        .hasSameSizeAs(LayoutReview.of(Network.of(VAN.rig())));
    assertThat(OpenWays.find(Network.of(rig), VAN.state()).ways())
        .isEqualTo(OpenWays.find(Network.of(VAN.rig()), VAN.state()).ways());
  }

  @Test
  void whatIsPutOffSaysWhy() {
    Entry off =
        new Entry(
            "a",
            ago(1),
            new Entry.Upkeep(PartId.of("leaks"), Optional.of(ago(-20)), "no time on tour"));
    Upkeep leaks = due("leaks", List.of(off), List.of());
    assertThat(leaks.isDue(NOW)).isFalse();
    assertThat(leaks.putOff()).contains("no time on tour");
  }

  private static Entry fill(String id, int daysAgo, double litres) {
    return new Entry(
        id,
        ago(daysAgo),
        new Entry.Fill(
            PartId.of("main"), Optional.of(litres / 1000), Entry.Bought.UNKNOWN, true, ""));
  }

  private static Entry read(String id, int daysAgo, PartId tank, double litres) {
    return new Entry(id, ago(daysAgo), new Entry.Reading(tank, litres / 1000, "", false, ""));
  }

  private static BadBatch follow(List<Entry> entries, Entry batch) {
    return BadBatch.of(
        PLUMBING, entries, batch, new BadBatch.Asked(Slope.LEVEL, 2, ZoneOffset.UTC, NOW));
  }

  @Test
  void badWaterIsThinnedByWhatIsFilledAfterIt() {
    Entry bad = fill("bad", 4, 30);
    List<Entry> entries =
        List.of(
            read("r1", 5, PartId.of("main"), 30),
            bad,
            read("r2", 2, PartId.of("main"), 40),
            fill("good", 1, 40));
    BadBatch found = follow(entries, bad);
    // Half of 60 L was bad, then 40 L of that and 40 L that are good.
    assertThat(found.share()).isCloseTo(0.25, within(1e-9));
    assertThat(found.personDays()).isCloseTo(8, within(0.01));
    assertThat(found.tanks()).containsExactly("Main fresh");
    assertThat(found.outlets()).contains("Sink");
    assertThat(found.flush()).isGreaterThan(0.005);
  }

  @Test
  void aTankThatGainedWithoutAFillIsNamed() {
    Entry bad = fill("bad", 4, 30);
    List<Entry> entries =
        List.of(
            bad,
            read("r1", 3, PartId.of("low"), 20),
            read("r2", 2, PartId.of("low"), 45),
            read("r3", 5, PartId.of("low"), 20));
    assertThat(follow(entries, bad).tanks()).containsExactly("Main fresh", "Low fresh");
  }

  @Test
  void aDoseIsLitresTimesConcentrationOverStrength() {
    // 70 L at 50 mg/L with 5 g in 100 mL: 70 mL; a tenth stays at each change.
    Dose dose = Dose.of(0.07, 0.05, 50, 0.007);
    assertThat(dose.bleach()).isCloseTo(70e-6, within(1e-12));
    assertThat(dose.changes()).isEqualTo(2);
    assertThat(Dose.of(0.07, 0.05, 50, 0.07).changes()).isEqualTo(Dose.MOST);
    assertThat(Dose.of(0.07, 0.0004, 50, 0.007).changes()).isZero();
  }

  @Test
  void everythingThatWearsIsInTheListTheSoonestFirst() {
    List<Upkeep> all = Upkeep.of(VAN.rig(), List.of(), List.of(), ZoneOffset.UTC, NOW);
    assertThat(all)
        .extracting(Upkeep::subject)
        .contains("main", "low", "gauge:main", "sediment", "strainer", "heater", "surge")
        .contains("inlet", "pump", "leaks")
        .doesNotContain("gray", "sink", "bypass");
    Entry soon =
        new Entry("a", ago(80), new Entry.Upkeep(PartId.of("leaks"), Optional.empty(), ""));
    Entry late = new Entry("b", ago(1), new Entry.Upkeep(PartId.of("pump"), Optional.empty(), ""));
    List<Upkeep> some = Upkeep.of(VAN.rig(), List.of(late, soon), List.of(), ZoneOffset.UTC, NOW);
    assertThat(some).isSortedAccordingTo(java.util.Comparator.comparing(Upkeep::due));
    assertThat(some.getLast().subject()).isEqualTo("pump");
    // What comes is no deed yet, and what was put off before it was done is forgotten.
    Entry ahead =
        new Entry("c", ago(-1), new Entry.Upkeep(PartId.of("leaks"), Optional.empty(), ""));
    assertThat(due("leaks", List.of(ahead), List.of()).last()).isEmpty();
    Entry off =
        new Entry(
            "d", ago(90), new Entry.Upkeep(PartId.of("leaks"), Optional.of(ago(-400)), "later"));
    assertThat(due("leaks", List.of(off, soon), List.of()).putOff()).isEmpty();
    Entry other =
        new Entry("e", ago(1), new Entry.Upkeep(PartId.of("pump"), Optional.of(ago(-400)), "x"));
    assertThat(due("leaks", List.of(other), List.of()).putOff()).isEmpty();
  }

  @Test
  void badWaterReachesWhatItsTankFeedsAndIsFlushedByItsLines() {
    Entry bad = fill("bad", 4, 30);
    BadBatch found = follow(List.of(bad), bad);
    assertThat(found.share()).isEqualTo(1);
    assertThat(found.lines()).contains("Main feed").doesNotContain("Sink waste", "Main vent");
    // Taps for drinking come first.
    assertThat(found.outlets().indexOf("Drinking tap"))
        .isLessThan(found.outlets().indexOf("Shower"));
    double held =
        VAN.rig().lines().stream()
            .filter(l -> found.lines().contains(l.label()))
            .mapToDouble(fernwort.core.rig.Line::volume)
            .sum();
    assertThat(found.flush()).isGreaterThan(4.6 * held);
    Entry alone = new Entry("p", ago(6), new Entry.People(1, 0, Optional.empty(), ""));
    Entry away = new Entry("w", ago(3), new Entry.Away(ago(1), ""));
    assertThat(follow(List.of(bad, alone, away), bad).personDays()).isCloseTo(2, within(0.01));
    Entry dumped = new Entry("x", ago(2), new Entry.Dump(PartId.of("main"), Optional.empty(), ""));
    double after = follow(List.of(bad, dumped, fill("good", 1, 80)), bad).share();
    assertThat(after).isLessThan(0.2).isPositive();
  }
}
