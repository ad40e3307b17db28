package fernwort.core.hygiene;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.budget.Daily;
import fernwort.core.describe.Fittings;
import fernwort.core.diary.Entry;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.line.Accumulator;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.LeakTray;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Care worked out by hand, in a rig with two fresh tanks of 100 L, a gray one and a few parts. */
class CareSumsTest {

  private static final Instant NOW = Instant.parse("2026-06-10T12:00:00Z");
  private static final double LITRE = 1e-3;

  private static Kind tank(Contents contents) {
    return Fittings.tank(
        contents,
        new Shape.Box(0.5, 0.5, 0.4),
        0,
        Fittings.sender(4, 0.1, 0.1),
        Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.1, 0.1, 0.0),
        Fittings.port(PortId.of("fill"), TankPort.Use.FILL, 0.1, 0.1, 0.39),
        Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, 0.4));
  }

  private static final Rig RIG =
      CaseRigs.rig()
          .part("main", "Main", 1, 0, 0.9, tank(Contents.FRESH))
          .part("spare", "Spare", 2, 0, 0.9, tank(Contents.FRESH))
          .part("gray", "Gray", 3, 0, 0.4, tank(Contents.GRAY))
          .part("screen", "Screen", 1, 0, 0.8, 0.1, new Strainer())
          .part("pump", "Pump", 1.1, 0, 0.8, 0.2, Fittings.pressurePump(10, 2.5))
          .part("foot", "Foot pump", 1.1, 0.2, 0.8, Fittings.footPump(4, 1))
          .part("round", "Round", 1.3, 0, 0.8, Fittings.circulationPump(4, 0.3))
          .part("boiler", "Boiler", 1.4, 0, 0.8, new Heater(Heater.Type.STORAGE, true, 0.02))
          .part("coil", "Coil", 1.5, 0, 0.8, new Heater(Heater.Type.INSTANT, false, 0))
          .part("carbon", "Carbon", 1.2, 0, 0.8, 0.7, Fittings.filter(Filter.Grade.CARBON, 5, 0.5))
          .part("buffer", "Buffer", 1.2, 0.1, 0.8, new Accumulator(1e5))
          .part("shore", "Shore", 0, 0, 0.8, Fittings.inlet(3))
          .part("mat", "Mat", 1, 0, 0.7, new LeakTray(0.005, false))
          .part("sink", "Sink", 2, 0, 1.2, Fittings.fixture(Fixture.Type.TAP, false, 6))
          .part("drink", "Drinking", 2, 0.2, 1.2, Fittings.fixture(Fixture.Type.TAP, true, 3))
          .part("tee", "Tee", 1.9, 0, 0.8, new Tee())
          .line("draw", "Draw", "main.feed > screen.in", 12, 0.5, Material.PEX, 1)
          .line("suck", "Suck", "screen.out > pump.in", 12, 0.2, Material.PEX, 1)
          .line("push", "Push", "pump.out > carbon.in", 12, 0.3, Material.PEX, 1)
          .line("clean", "Clean", "carbon.out > tee.a", 12, 1.0, Material.PEX, 1)
          .line("one", "One", "tee.b > sink.cold", 12, 0.5, Material.PEX, 1)
          .line("two", "Two", "tee.c > drink.cold", 12, 0.5, Material.PEX, 1)
          .line("waste", "Waste", "sink.waste > gray.fill", 25, 0.9, Material.RIGID_PVC, 1)
          .build();

  private static final Network PLUMBING = Network.of(RIG);

  private static Instant ago(double days) {
    return NOW.minus(Duration.ofMinutes(Math.round(1440 * days)));
  }

  private static Entry entry(double daysAgo, Entry.What what) {
    return new Entry("e" + daysAgo + what.kind(), ago(daysAgo), what);
  }

  private static Entry read(double daysAgo, PartId tank, double litres) {
    return entry(daysAgo, new Entry.Reading(tank, litres * LITRE, "", false, ""));
  }

  private static Entry fill(double daysAgo, PartId tank, Optional<Double> litres) {
    return entry(
        daysAgo, new Entry.Fill(tank, litres.map(l -> l * LITRE), Entry.Bought.UNKNOWN, false, ""));
  }

  private static List<Upkeep> due(Daily... days) {
    return Upkeep.of(RIG, List.of(), List.of(days), ZoneOffset.UTC, NOW);
  }

  @ParameterizedTest
  @CsvSource({
    "main, 182, Sanitize Main",
    "spare, 182, Sanitize Spare",
    "gauge:main, 182, Check the gauge of Main against a stick or jugs",
    "gauge:gray, 182, Check the gauge of Gray against a stick or jugs",
    "carbon, 182, Change the cartridge of Carbon",
    "screen, 91, Rinse the screen of Screen",
    "boiler, 365, 'Check the anode of Boiler, if it has one, and flush it'",
    "buffer, 365, Check the air of Buffer",
    "shore, 365, 'Check the drinking-water hose of Shore, renew it when stiff'",
    "pump, 182, 'Listen to Pump, check its joints and its strainer'",
    "round, 182, 'Listen to Round, check its joints and its strainer'",
    "leaks, 91, Look for leaks with the pressure on",
  })
  void whatWearsFallsDueInItsTime(PartId subject, int every, String what) {
    Upkeep upkeep =
        due().stream().filter(u -> u.subject().equals(subject.value())).findFirst().orElseThrow();
    assertThat(upkeep.every()).isEqualTo(every);
    assertThat(upkeep.what()).isEqualTo(what);
    assertThat(upkeep.source()).contains("Our own default");
    assertThat(upkeep.due()).isEqualTo(NOW);
    assertThat(upkeep.putOff()).isEmpty();
    Entry done = entry(7, new Entry.Upkeep(subject, Optional.empty(), ""));
    Upkeep later =
        Upkeep.of(RIG, List.of(done), List.of(), ZoneOffset.UTC, NOW).stream()
            .filter(u -> u.subject().equals(subject.value()))
            .findFirst()
            .orElseThrow();
    assertThat(later.due()).isEqualTo(ago(7).plus(Duration.ofDays(every)));
  }

  @Test
  void nothingElseIsInTheList() {
    // Hand pumps, coils, trays without a contact and gray tanks themselves need no care of theirs.
    assertThat(due())
        .extracting(Upkeep::subject)
        .doesNotContain("foot", "coil", "mat", "gray", "sink", "tee")
        .hasSize(13);
  }

  @Test
  void useIsCountedForFiltersAndSupplyPumps() {
    Daily day = new Daily(LocalDate.of(2026, 6, 5), 0.5, 2);
    List<Upkeep> all = due(day);
    Map<String, Upkeep> byId = new java.util.HashMap<>();
    all.forEach(u -> byId.put(u.subject(), u));
    Upkeep.Use carbon = byId.get("carbon").use().orElseThrow();
    assertThat(carbon.passed()).isEqualTo(0.5);
    assertThat(carbon.lasts()).isEqualTo(2);
    assertThat(carbon.clogging()).isEqualTo(1.25);
    assertThat(carbon.ran()).isEmpty();
    assertThat(carbon.mayRun()).isEmpty();
    Upkeep.Use pump = byId.get("pump").use().orElseThrow();
    double free = ((Pump) RIG.part(PartId.of("pump")).kind()).freeFlow();
    assertThat(pump.flow().orElseThrow()).isCloseTo(0.6 * free, within(1e-12));
    assertThat(byId.get("pump").source()).contains("500 h");
    assertThat(byId.get("round").use()).isEmpty();
    assertThat(byId.get("screen").use()).isEmpty();
    // Nobody said when this cartridge's loss doubles, so nothing is slowed down for it.
    assertThat(Upkeep.clogging(all, RIG)).isEmpty();
  }

  /** Of the day of a change, and of today, as much counts as came after the change. */
  @ParameterizedTest
  @CsvSource({
    "2026-06-05T00:00:00Z, 0.84",
    "2026-06-05T18:00:00Z, 0.465",
    "2026-06-06T00:00:00Z, 0.34",
    "2026-06-10T09:00:00Z, 0.075",
    "2026-06-10T12:00:00Z, 0"
  })
  void whatPassedSinceAChangeIsCountedToTheHour(Instant change, double passed) {
    List<Daily> days =
        List.of(
            new Daily(LocalDate.of(2026, 6, 5), 0.5, 2),
            new Daily(LocalDate.of(2026, 6, 6), 0.04, 2),
            new Daily(LocalDate.of(2026, 6, 10), 0.3, 1));
    Entry changed =
        new Entry("c", change, new Entry.Upkeep(PartId.of("carbon"), Optional.empty(), ""));
    assertThat(
            Upkeep.of(RIG, List.of(changed), days, ZoneOffset.UTC, NOW).stream()
                .filter(u -> u.subject().equals("carbon"))
                .findFirst()
                .flatMap(Upkeep::use)
                .orElseThrow()
                .passed())
        .isCloseTo(passed, within(1e-9));
  }

  @Test
  void aCartridgeWhoseLossIsKnownToDoubleClogsInStepsThatAreFelt() {
    Filter plain = (Filter) RIG.part(PartId.of("carbon")).kind();
    Filter known =
        new Filter(plain.grade(), plain.ratedFlow(), plain.ratedLoss(), Optional.of(4.0));
    List<fernwort.core.rig.Part> parts =
        RIG.parts().stream()
            .map(p -> p.id().equals(PartId.of("carbon")) ? p.with(known) : p)
            .toList();
    Rig rig = new Rig(RIG.name(), RIG.note(), RIG.vehicle(), RIG.places(), parts, RIG.lines());
    assertThat(clogged(rig, 1.0)).isEqualTo(Map.of(PartId.of("carbon"), 1.25));
    assertThat(clogged(rig, 0.7)).isEqualTo(Map.of(PartId.of("carbon"), 1.2));
    assertThat(clogged(rig, 0.09)).isEmpty();
  }

  private static Map<PartId, Double> clogged(Rig rig, double passed) {
    Daily day = new Daily(LocalDate.of(2026, 6, 5), passed, 2);
    Map<PartId, Double> found =
        Upkeep.clogging(Upkeep.of(rig, List.of(), List.of(day), ZoneOffset.UTC, NOW), rig);
    found.replaceAll((id, factor) -> Math.round(1000 * factor) / 1000.0);
    return found;
  }

  @Test
  void whatIsPutOffIsDueThenAndNoSooner() {
    Entry off = entry(1, new Entry.Upkeep(PartId.of("leaks"), Optional.of(ago(-20)), "on tour"));
    Entry again =
        entry(0.5, new Entry.Upkeep(PartId.of("leaks"), Optional.of(ago(-30)), "still on tour"));
    Upkeep leaks =
        Upkeep.of(RIG, List.of(again, off), List.of(), ZoneOffset.UTC, NOW).stream()
            .filter(u -> u.subject().equals("leaks"))
            .findFirst()
            .orElseThrow();
    assertThat(leaks.due()).isEqualTo(ago(-30));
    assertThat(leaks.putOff()).contains("still on tour");
    assertThat(leaks.last()).isEmpty();
    Entry sooner = entry(1, new Entry.Upkeep(PartId.of("leaks"), Optional.of(ago(2)), "soon"));
    Entry done = entry(3, new Entry.Upkeep(PartId.of("leaks"), Optional.empty(), ""));
    Upkeep after =
        Upkeep.of(RIG, List.of(done, sooner), List.of(), ZoneOffset.UTC, NOW).stream()
            .filter(u -> u.subject().equals("leaks"))
            .findFirst()
            .orElseThrow();
    assertThat(after.due()).isEqualTo(ago(3).plus(Duration.ofDays(91)));
  }

  private static BadBatch follow(Entry batch, Entry... others) {
    List<Entry> all = new ArrayList<>(List.of(others));
    all.add(batch);
    return BadBatch.of(
        PLUMBING, all, batch, new BadBatch.Asked(Slope.LEVEL, 2, ZoneOffset.UTC, NOW));
  }

  @Test
  void eachThatComesInThinsAndEachThatGoesOutDoesNot() {
    Entry bad = fill(4, PartId.of("main"), Optional.of(20.0));
    // 20 of 40 L, then a haul of 10: 20 of 50; ten litres out change nothing; 40 more: 16 of 80.
    Entry before = read(5, PartId.of("main"), 20);
    Entry haul =
        entry(3, new Entry.Haul(PartId.of("main"), 10 * LITRE, 1, Entry.Bought.UNKNOWN, ""));
    Entry out = entry(2, new Entry.Dump(PartId.of("main"), Optional.of(10 * LITRE), ""));
    Entry good = fill(1, PartId.of("main"), Optional.of(40.0));
    assertThat(follow(bad, before).share()).isCloseTo(0.5, within(1e-9));
    assertThat(follow(bad, before, haul).share()).isCloseTo(0.4, within(1e-9));
    assertThat(follow(bad, before, haul, out).share()).isCloseTo(0.4, within(1e-9));
    assertThat(follow(bad, before, haul, out, good).share()).isCloseTo(0.2, within(1e-9));
    // To the brim: 100 L, of which 40 were there.
    assertThat(follow(bad, before, fill(1, PartId.of("main"), Optional.empty())).share())
        .isCloseTo(0.5 * 40 / 100, within(2e-3));
    // All out, what is stranded stays, and what comes is good.
    assertThat(
            follow(
                    bad,
                    before,
                    entry(2, new Entry.Dump(PartId.of("main"), Optional.empty(), "")),
                    fill(1, PartId.of("main"), Optional.of(50.0)))
                .share())
        .isLessThan(0.01);
    // What is noted of another tank, or for later, is not of this one.
    assertThat(follow(bad, before, fill(1, PartId.of("spare"), Optional.of(50.0))).share())
        .isCloseTo(0.5, within(1e-9));
    assertThat(follow(bad, before, fill(-1, PartId.of("main"), Optional.of(50.0))).share())
        .isCloseTo(0.5, within(1e-9));
  }

  @Test
  void onlyATankThatGainedMoreThanThreeLitresUnnotedAfterItIsNamed() {
    Entry bad = fill(4, PartId.of("main"), Optional.of(20.0));
    assertThat(
            follow(bad, read(3, PartId.of("spare"), 20), read(2, PartId.of("spare"), 24)).tanks())
        .containsExactly("Main", "Spare");
    assertThat(
            follow(bad, read(3, PartId.of("spare"), 20), read(2, PartId.of("spare"), 22.9)).tanks())
        .containsExactly("Main");
    assertThat(
            follow(bad, read(6, PartId.of("spare"), 20), read(5, PartId.of("spare"), 40)).tanks())
        .containsExactly("Main");
    assertThat(
            follow(
                    bad,
                    read(3, PartId.of("spare"), 20),
                    fill(2.5, PartId.of("spare"), Optional.of(20.0)),
                    read(2, PartId.of("spare"), 40))
                .tanks())
        .containsExactly("Main");
    assertThat(follow(bad, read(2, PartId.of("spare"), 40)).tanks()).containsExactly("Main");
    // Gray water gains all the time.
    assertThat(follow(bad, read(3, PartId.of("gray"), 20), read(2, PartId.of("gray"), 40)).tanks())
        .containsExactly("Main");
  }

  @Test
  void itStandsInWhatTheTankFeedsAndIsFlushedByItsVolume() {
    BadBatch found = follow(fill(4, PartId.of("main"), Optional.of(20.0)));
    assertThat(found.lines()).containsExactly("Draw", "Suck", "Push", "Clean", "One", "Two");
    assertThat(found.outlets()).containsExactly("Drinking", "Sink");
    // Three metres of 12 mm, a screen, a pump and a cartridge of a litre in all, 4.6 times.
    double lines = 3.0 * Math.PI / 4 * 0.012 * 0.012;
    assertThat(found.flush()).isCloseTo(4.6 * (lines + LITRE), within(1e-9));
    assertThat(found.share()).isEqualTo(1);
    assertThat(found.personDays()).isCloseTo(8, within(0.01));
    Entry three = entry(2, new Entry.People(3, 0, Optional.empty(), ""));
    assertThat(follow(fill(4, PartId.of("main"), Optional.of(20.0)), three).personDays())
        .isCloseTo(2 * 2 + 2 * 3, within(0.01));
  }

  @ParameterizedTest
  @CsvSource({
    // 70 L at 50 mg/L with 6 g in 100 mL: 58.3 mL; each drain leaves a tenth: 5, 0.5 mg/L.
    "70, 7, 58.333, 2",
    "70, 0, 58.333, 1",
    "70, 70, 58.333, 20",
    "70, 90, 58.333, 20",
    "120, 24, 100, 3",
  })
  void aDoseSanitizesAndIsChangedUntilItCannotBeTasted(
      double litres, double left, double millilitres, int changes) {
    Dose dose = Dose.sanitizing(litres * LITRE, left * LITRE);
    assertThat(dose.bleach()).isCloseTo(millilitres * 1e-6, within(1e-9));
    assertThat(dose.changes()).isEqualTo(changes);
  }
}
