package fernwort.core.budget;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.describe.Fittings;
import fernwort.core.diary.Entry;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.sizing.Habits;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Entries as facts, in a rig whose tanks hold 2.5 L a centimetre. */
class FactsTest {

  private static final DayShape DAYS = DayShape.in(ZoneOffset.UTC);
  private static final Instant NOON = Instant.parse("2026-06-10T12:00:00Z");
  private static final double AT = NOON.getEpochSecond();

  private static Kind tank(Contents contents, Gauge gauge) {
    return Fittings.tank(
        contents,
        new Shape.Box(0.5, 0.5, 0.4),
        0,
        gauge,
        Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.1, 0.1, 0.02),
        Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, 0.38));
  }

  private static Network rig(Gauge gauge) {
    Rig rig =
        CaseRigs.rig()
            .part("a", "A", 1, 0, 0.7, tank(Contents.FRESH, gauge))
            .part("b", "B", 2, 0, 0.7, tank(Contents.FRESH, gauge))
            .part("gray", "Gray", 3, 0, 0.4, tank(Contents.GRAY, gauge))
            .build();
    return Network.of(rig);
  }

  private static final Network STICKS = rig(Fittings.stick(0.1, 0.1));

  private static Entry entry(int hours, Entry.What what) {
    return new Entry("e" + hours + what, NOON.plusSeconds(3600L * hours), what);
  }

  private static Entry read(int hours, PartId tank, double litres) {
    return entry(hours, new Entry.Reading(tank, litres / 1000, "", false, ""));
  }

  private static List<Fact> facts(Contents contents, Entry... entries) {
    List<Entry> all = List.of(entries);
    return Facts.of(STICKS, contents, Slope.LEVEL, Facts.crew(DAYS, 2, all), all);
  }

  private static Fact.Seen look(Network network, double litres, String shown, boolean reckoned) {
    Part tank = network.rig().part(PartId.of("a"));
    return new GaugeDoubt(network)
        .seen(tank, AT, new Entry.Reading(PartId.of("a"), litres / 1000, shown, reckoned, ""));
  }

  @Test
  void aLookIsOffByItsGauge() {
    // 5 mm of half a metre squared.
    assertThat(look(STICKS, 50, "", false).doubt()).isCloseTo(0.00125, within(1e-6));
    assertThat(look(STICKS, 50, "", true).doubt()).isCloseTo(0.05 * 0.1, within(1e-9));
    Network none = rig(new Gauge(Gauge.GaugeKind.NONE, 0, 0.1, 0.1));
    assertThat(look(none, 50, "", false).doubt()).isCloseTo(0.005, within(1e-9));
    Network sender = rig(Fittings.sender(4, 0.1, 0.1));
    assertThat(look(sender, 25.5, "", false).coarse()).isTrue();
    assertThat(look(sender, 25.5, "", false).doubt())
        .isCloseTo(0.025 / Math.sqrt(12), within(1e-9));
    assertThat(look(sender, 40, "1 steps", false).coarse()).isTrue();
    assertThat(look(sender, 40, "40 L", false).coarse()).isFalse();
    assertThat(look(sender, 40, "40 L", false).doubt()).isCloseTo(0.00125, within(1e-6));
    // A level sensor is trusted to a share of its tank, whatever lamps there are beside it.
    Fact.Seen sensed = look(sender, 25.5, Entry.Reading.bySensor("25.5 L"), false);
    assertThat(sensed.coarse()).isFalse();
    assertThat(sensed.doubt()).isCloseTo(0.01 * 0.1, within(1e-9));
  }

  @Test
  void fillsHaulsAndDumpsAreWhatTheySay() {
    List<Fact> fresh =
        facts(
            Contents.FRESH,
            read(0, PartId.of("a"), 50),
            entry(
                1,
                new Entry.Fill(PartId.of("a"), Optional.of(0.02), Entry.Bought.UNKNOWN, false, "")),
            entry(2, new Entry.Haul(PartId.of("a"), 0.01, 1, Entry.Bought.UNKNOWN, "")),
            entry(3, new Entry.Dump(PartId.of("a"), Optional.of(0.005), "")),
            entry(
                4,
                new Entry.Fill(PartId.of("a"), Optional.empty(), Entry.Bought.UNKNOWN, false, "")),
            entry(5, new Entry.Dump(PartId.of("a"), Optional.empty(), "")),
            entry(6, new Entry.Note("nothing")),
            read(7, PartId.of("gray"), 10));
    assertThat(fresh)
        .containsExactly(
            new Fact.Seen(AT, 0.05, fresh.getFirst() instanceof Fact.Seen s ? s.doubt() : 0, false),
            new Fact.Added(AT + 3600, 0.02, 0.001),
            new Fact.Added(AT + 7200, 0.01, 0.0005),
            new Fact.Added(AT + 10_800, -0.005, 0.00025),
            fresh.get(4),
            fresh.get(5));
    // To the vent at 38 cm, and then to nothing.
    Fact.Set full = (Fact.Set) fresh.get(4);
    assertThat(full.volume()).isCloseTo(0.095, within(1e-6));
    assertThat(full.doubt()).isCloseTo(0.001, within(1e-6));
    assertThat(((Fact.Set) fresh.get(5)).volume()).isZero();
  }

  @Test
  void looksIntoTwoTanksAreOneAndStaleOnesAreDoubted() {
    List<Fact> facts =
        facts(
            Contents.FRESH,
            read(0, PartId.of("a"), 50),
            read(0, PartId.of("b"), 30),
            read(24, PartId.of("a"), 40));
    assertThat(facts).hasSize(2);
    assertThat(((Fact.Seen) facts.getFirst()).volume()).isCloseTo(0.08, within(1e-12));
    Fact.Seen later = (Fact.Seen) facts.getLast();
    assertThat(later.volume()).isCloseTo(0.07, within(1e-12));
    // Two looks of 1.25 L, and 4 L a person-day that may have gone from b.
    assertThat(later.doubt())
        .isCloseTo(Math.sqrt(2 * 0.00125 * 0.00125 + 0.008 * 0.008), within(1e-5));
  }

  @Test
  void aLookAfterAFillOfTheSameMinuteComesAfterIt() {
    List<Fact> facts =
        facts(
            Contents.FRESH,
            read(-5, PartId.of("a"), 32),
            read(0, PartId.of("a"), 80),
            read(0, PartId.of("a"), 30),
            entry(
                0,
                new Entry.Fill(
                    PartId.of("a"), Optional.of(0.05), Entry.Bought.UNKNOWN, false, "")));
    assertThat(facts)
        .extracting(f -> f.getClass().getSimpleName())
        .containsExactly("Seen", "Seen", "Added", "Seen");
    assertThat(((Fact.Seen) facts.get(1)).volume()).isEqualTo(0.03);
    assertThat(((Fact.Seen) facts.get(3)).volume()).isEqualTo(0.08);
  }

  @Test
  void whatWasReckonedSetsTheLevelAndTeachesNothing() {
    List<Fact> facts =
        facts(Contents.GRAY, entry(0, new Entry.Reading(PartId.of("gray"), 0.002, "", true, "")));
    assertThat(facts).singleElement().isInstanceOf(Fact.Set.class);
  }

  @Test
  void whoIsOnBoardAndGuessesAreFacts() {
    List<Fact> facts =
        facts(
            Contents.FRESH,
            entry(0, new Entry.People(3, 1, Optional.of(0.01), "")),
            entry(1, new Entry.Away(NOON.plusSeconds(7200), "")));
    assertThat(facts)
        .containsExactly(
            new Fact.People(AT, 3),
            new Fact.Estimate(AT, 0.01),
            new Fact.Away(AT + 3600, AT + 7200));
  }

  @Test
  void nightsAreFromTenToSix() {
    double midnight = Instant.parse("2026-06-10T00:00:00Z").getEpochSecond();
    assertThat(
            Stream.of(0, 5, 6, 12, 21, 22, 23).filter(h -> DAYS.isNight(midnight + 3600.0 * h + 1)))
        .containsExactly(0, 5, 22, 23);
  }

  @Test
  void threeLooksInADayAreEnough() {
    Budget.Asked asked =
        new Budget.Asked(Slope.LEVEL, Habits.DEFAULT, ZoneOffset.UTC, NOON.plusSeconds(90_000));
    assertThat(
            Budget.of(
                    STICKS,
                    List.of(
                        read(0, PartId.of("a"), 50),
                        read(10, PartId.of("a"), 45),
                        read(18, PartId.of("a"), 40)),
                    asked)
                .enough())
        .isTrue();
    assertThat(
            Budget.of(
                    STICKS,
                    List.of(
                        read(0, PartId.of("a"), 50),
                        read(10, PartId.of("a"), 45),
                        read(17, PartId.of("a"), 40)),
                    asked)
                .enough())
        .isFalse();
    assertThat(
            Budget.of(
                    STICKS,
                    List.of(read(0, PartId.of("a"), 50), read(18, PartId.of("a"), 40)),
                    asked)
                .enough())
        .isFalse();
  }

  @Test
  void theFirstOfTheTwoEndsTheStay() {
    Budget.Asked asked = new Budget.Asked(Slope.LEVEL, Habits.DEFAULT, ZoneOffset.UTC, NOON);
    List<Entry> entries =
        List.of(
            read(-1, PartId.of("a"), 50),
            read(-1, PartId.of("b"), 90),
            read(-1, PartId.of("gray"), 90));
    Budget budget = Budget.of(STICKS, entries, asked);
    assertThat(budget.gray().orElseThrow().isKnown()).isTrue();
    assertThat(budget.ends().expected()).isEqualTo(budget.gray().orElseThrow().ends().expected());
    Budget roomy =
        Budget.of(
            STICKS,
            List.of(
                read(-1, PartId.of("a"), 10),
                read(-1, PartId.of("b"), 9),
                read(-1, PartId.of("gray"), 1)),
            asked);
    assertThat(roomy.ends().expected()).isEqualTo(roomy.fresh().ends().expected());
    Budget unread = Budget.of(STICKS, List.of(read(-1, PartId.of("a"), 50)), asked);
    assertThat(unread.gray().orElseThrow().isKnown()).isFalse();
    assertThat(unread.ends()).isEqualTo(unread.fresh().ends());
    // 100 L less 5 L above the vent, and 5 L below the feed, of each of two.
    assertThat(Budget.fresh(STICKS, Slope.LEVEL))
        .satisfies(s -> {
          assertThat(s.capacity()).isCloseTo(0.19, within(1e-6));
          assertThat(s.limit()).isCloseTo(0.01, within(1e-6));
        });
    assertThat(Budget.looks(STICKS, Contents.GRAY, entries, asked)).hasSize(1);
  }

  @Test
  void whatIsOlderThanFourWeeksIsNotLookedAtButWhoIsOnBoardIs() {
    Budget.Asked asked = new Budget.Asked(Slope.LEVEL, Habits.DEFAULT, ZoneOffset.UTC, NOON);
    List<Entry> old =
        List.of(
            read(-24 * 29, PartId.of("a"), 50),
            entry(-24 * 60, new Entry.People(4, 0, Optional.empty(), "")));
    Budget budget = Budget.of(STICKS, old, asked);
    assertThat(budget.fresh().isKnown()).isFalse();
    assertThat(budget.crew().at(AT)).isEqualTo(4);
  }
}
