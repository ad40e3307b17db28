package fernwort.core.budget;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.describe.Fittings;
import fernwort.core.diary.Entry;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.rig.Slope;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is needed, what does not fit and what looks about a fill tell, with sums done by hand. */
class BudgetSumsTest {

  private static final double DAY = 86_400;
  private static final double HOUR = 3600;
  private static final DayShape DAYS = DayShape.in(ZoneOffset.UTC);
  private static final Store FRESH = new Store(1.0, 0.1, false);

  private static ConsumptionFilter read(Store store, double estimate, Fact... facts) {
    List<Fact> all = List.of(facts);
    return ConsumptionFilter.of(store, Crew.of(DAYS, 2, all), all, estimate, all.getLast().at());
  }

  @Test
  void whatHasToBeFetchedIsTheHighUseLessWhatCanBeDrawn() {
    ConsumptionFilter learnt = read(FRESH, 0.01, new Fact.Seen(0, 0.5, 1e-9, false));
    Budget budget =
        new Budget(
            0,
            Crew.of(DAYS, 2, List.of()),
            learnt,
            Optional.empty(),
            0.01,
            true,
            learnt.ends(),
            List.of());
    // Nine in ten use no more than 15.9 L a person-day: by the doubt of a guess, and because
    // somebody
    // who is not noted may be on board.
    Shortfall ten = Shortfall.of(budget, FRESH, 10);
    assertThat(ten.used()).isCloseTo(20 * 0.01590, within(2e-3));
    assertThat(ten.there()).isCloseTo(0.4, within(1e-6));
    assertThat(ten.missing()).isZero();
    assertThat(ten.room()).isCloseTo(0.5, within(1e-6));
    Shortfall twenty = Shortfall.of(budget, FRESH, 20);
    assertThat(twenty.missing()).isCloseTo(40 * 0.01590 - 0.4, within(4e-3));
    Shortfall later =
        Shortfall.of(
            new Budget(
                5 * DAY,
                Crew.of(DAYS, 2, List.of(new Fact.People(7 * DAY, 4))),
                learnt,
                Optional.empty(),
                0.01,
                true,
                learnt.ends(),
                List.of()),
            FRESH,
            4);
    // Two days of two, two days of four.
    assertThat(later.used()).isCloseTo(12 * 0.01590, within(1e-3));
  }

  @Test
  void aNewGuessKeepsWhatTheTankIsKnownToHold() {
    ConsumptionFilter before =
        read(
            FRESH,
            0.01,
            new Fact.Seen(0, 0.8, 2e-3, false),
            new Fact.Seen(5 * DAY, 0.7, 2e-3, false));
    ConsumptionFilter after =
        read(
            FRESH,
            0.01,
            new Fact.Seen(0, 0.8, 2e-3, false),
            new Fact.Seen(5 * DAY, 0.7, 2e-3, false),
            new Fact.Estimate(5 * DAY + 1, 0.03));
    assertThat(after.volume()).isCloseTo(before.volume(), within(1e-6));
    assertThat(after.doubt()).isCloseTo(before.doubt(), within(1e-6));
    assertThat(after.rate().expected()).isCloseTo(0.03, within(1e-4));
    // Before anything is seen a store may hold anything about its half.
    ConsumptionFilter nothing =
        ConsumptionFilter.of(FRESH, Crew.of(DAYS, 2, List.of()), List.of(), 0.01, DAY);
    assertThat(nothing.volume()).isCloseTo(0.5, within(1e-9));
    assertThat(nothing.doubt()).isGreaterThan(100);
  }

  @Test
  void ofOneMomentTheFillComesAfterTheFirstLookAndBeforeTheSecond() {
    Fact.Seen yesterday = new Fact.Seen(0, 0.5, 1e-3, false);
    Fact.Seen low = new Fact.Seen(HOUR, 0.5, 1e-3, false);
    Fact.Seen high = new Fact.Seen(HOUR, 0.8, 1e-3, false);
    Fact.Added fill = new Fact.Added(HOUR, 0.3, 1e-2);
    ConsumptionFilter both = read(FRESH, 0.01, yesterday, high, fill, low);
    assertThat(both.volume()).isCloseTo(0.8, within(3e-3));
    assertThat(both.doubt()).isLessThan(2e-3);
    // Without the look afterwards what was poured in is only known roughly.
    ConsumptionFilter first = read(FRESH, 0.01, yesterday, low, fill);
    assertThat(first.volume()).isCloseTo(0.8, within(3e-3));
    assertThat(first.doubt()).isCloseTo(1e-2, within(1e-3));
    ConsumptionFilter full = read(FRESH, 0.01, yesterday, low, new Fact.Set(HOUR, 1.0, 5e-3));
    assertThat(full.volume()).isCloseTo(1.0, within(1e-6));
    assertThat(full.doubt()).isCloseTo(5e-3, within(1e-6));
  }

  @Test
  void moreThanATwelfthThatCameBackUnseenIsAFillAndTeachesNoRate() {
    Fact.Seen start = new Fact.Seen(0, 0.5, 1e-3, false);
    ConsumptionFilter risen = read(FRESH, 0.01, start, new Fact.Seen(HOUR, 0.9, 1e-3, false));
    assertThat(risen.volume()).isCloseTo(0.9, within(1e-6));
    assertThat(risen.doubt()).isCloseTo(1e-3, within(1e-6));
    assertThat(risen.rate().expected()).isCloseTo(0.01, within(1e-5));
    Store gray = new Store(1.0, 1.0, true);
    ConsumptionFilter dumped = read(gray, 0.01, start, new Fact.Seen(HOUR, 0.1, 1e-3, false));
    assertThat(dumped.volume()).isCloseTo(0.1, within(1e-6));
    // A look that is only a little higher is weighed, not believed.
    ConsumptionFilter little =
        read(FRESH, 0.01, new Fact.Seen(0, 0.5, 1e-2, false), new Fact.Seen(1, 0.52, 1e-2, false));
    assertThat(little.volume()).isCloseTo(0.51, within(1e-3));
  }

  private static List<Anomaly> odd(double at, Fact... facts) {
    List<Fact> all = List.of(facts);
    Crew crew = Crew.of(DAYS, 2, all);
    ConsumptionFilter learnt = ConsumptionFilter.of(FRESH, crew, all, 0.01, at);
    return Anomaly.of(new Anomaly.Looked(FRESH, crew, DAYS, all, learnt, 0.01, at));
  }

  private static Fact.Seen seen(double hours, double volume) {
    return new Fact.Seen(hours * HOUR, volume, 1e-3, false);
  }

  @Test
  void theWeightiestIsToldFirstAndWhatComesLaterIsNotKnownYet() {
    Fact[] facts = {
      seen(8, 0.5),
      seen(8.5, 0.52),
      seen(9, 0.519),
      seen(9.5, 0.619),
      seen(10, 0.618),
      seen(20, 0.9)
    };
    List<Anomaly> found = odd(11 * HOUR, facts);
    assertThat(found).hasSize(2).allMatch(o -> o.kind() == Anomaly.Kind.UNNOTED_FILL);
    assertThat(found.getFirst().volume()).isCloseTo(0.1, within(2e-3));
    assertThat(found.getFirst().from()).isEqualTo(9 * HOUR);
    assertThat(found.getFirst().to()).isEqualTo(9.5 * HOUR);
    assertThat(found.getLast().volume()).isCloseTo(0.02, within(5e-3));
    assertThat(found.getFirst().words().toString()).contains("L came in, and no fill is noted");
    // A fill that was noted between two looks is none.
    assertThat(odd(11 * HOUR, seen(8, 0.5), new Fact.Added(8.2 * HOUR, 0.1, 1e-3), seen(8.5, 0.6)))
        .isEmpty();
    assertThat(odd(11 * HOUR, seen(8, 0.5), new Fact.Set(8.2 * HOUR, 0.9, 1e-3), seen(8.5, 0.9)))
        .isEmpty();
  }

  @Test
  void whatGoesWhileAllAreAwayIsALeakAlsoByDay() {
    Fact.Away away = new Fact.Away(9 * HOUR, 60 * HOUR);
    List<Anomaly> found = odd(61 * HOUR, away, seen(10, 0.5), seen(50, 0.47));
    assertThat(found)
        .singleElement()
        .satisfies(o -> {
          assertThat(o.kind()).isEqualTo(Anomaly.Kind.LEAK);
          assertThat(o.volume()).isCloseTo(0.03, within(1e-6));
          assertThat(o.words().toString()).isEqualTo("30 L went while nobody should have used any");
        });
    // Three litres are not worth a word, and on the day they come home they use some.
    assertThat(odd(61 * HOUR, away, seen(10, 0.5), seen(50, 0.4971))).isEmpty();
    assertThat(odd(70 * HOUR, away, seen(10, 0.5), seen(66, 0.49))).isEmpty();
  }

  @Test
  void aNightHasToBeANight() {
    // Two use 20 L a day: from ten to six 0.96 L. 15 L are a leak then, and by day they are not.
    assertThat(odd(31 * HOUR, seen(22.5, 0.5), seen(29.5, 0.485)))
        .singleElement()
        .satisfies(o -> assertThat(o.kind()).isEqualTo(Anomaly.Kind.LEAK));
    assertThat(odd(20 * HOUR, seen(10, 0.5), seen(16, 0.485))).isEmpty();
    // Longer than anybody sleeps.
    assertThat(odd(40 * HOUR, seen(18, 0.5), seen(32, 0.46)))
        .filteredOn(o -> o.kind() == Anomaly.Kind.LEAK)
        .isEmpty();
  }

  @Test
  void grayIsShortWhenSixTenthsOfWhatShouldComeDoNot() {
    Store gray = new Store(1.0, 1.0, true);
    Fact[] fresh = new Fact[30];
    Fact[] little = new Fact[30];
    Fact[] most = new Fact[30];
    for (int day = 0; day < 30; day++) {
      fresh[day] = new Fact.Seen(day * DAY, 0.9 - 0.02 * day, 1e-4, false);
      little[day] = new Fact.Seen(day * DAY, 0.1 + 0.006 * day, 1e-4, false);
      most[day] = new Fact.Seen(day * DAY, 0.1 + 0.016 * day, 1e-4, false);
    }
    ConsumptionFilter used = read(FRESH, 0.01, fresh);
    ConsumptionFilter gained = read(gray, 0.008, little);
    double at = 29 * DAY;
    Anomaly found = Anomaly.grayShort(used, gained, 0.8, Arrays.asList(little), at).orElseThrow();
    assertThat(found.volume())
        .isCloseTo(0.8 * used.rate().expected() - gained.rate().expected(), within(1e-12));
    assertThat(found.volume()).isBetween(0.004, 0.006);
    assertThat(found.from()).isZero();
    assertThat(found.to()).isEqualTo(at);
    assertThat(found.words().toString()).startsWith("Gray gains 3.1 L each a day, where 8.3 L");
    assertThat(Anomaly.grayShort(used, read(gray, 0.008, most), 0.8, Arrays.asList(most), at))
        .isEmpty();
    // Three looks tell nothing, nor those that come later.
    assertThat(Anomaly.grayShort(used, gained, 0.8, Arrays.asList(little).subList(0, 3), at))
        .isEmpty();
    assertThat(Anomaly.grayShort(used, gained, 0.8, Arrays.asList(little), 2.5 * DAY)).isEmpty();
    List<Fact> others = new ArrayList<>(Arrays.asList(little).subList(0, 3));
    others.add(new Fact.Added(3.5 * DAY, 0.1, 0.01));
    assertThat(Anomaly.grayShort(used, gained, 0.8, others, at)).isEmpty();
  }

  private static final Network TANK =
      Network.of(
          CaseRigs.rig()
              .part(
                  "a",
                  "A",
                  1,
                  0,
                  0.7,
                  Fittings.tank(
                      Contents.FRESH,
                      new Shape.Box(0.5, 0.5, 0.4),
                      0,
                      Fittings.stick(0.1, 0.1),
                      Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.1, 0.1, 0.02),
                      Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, 0.38)))
              .part("drain", "Drain", 1, 0, 0.2, new Plug(true))
              .build());

  private static final Instant NOON = Instant.parse("2026-06-10T12:00:00Z");

  private static Entry at(int hours, Entry.What what) {
    return new Entry("e" + hours + what, NOON.plusSeconds(3600L * hours), what);
  }

  private static Entry look(int hours, double litres) {
    return at(hours, new Entry.Reading(PartId.of("a"), litres / 1000, "", false, ""));
  }

  private static List<String> order(Entry... entries) {
    List<Entry> all = List.of(entries);
    return Facts.of(TANK, Contents.FRESH, Slope.LEVEL, Facts.crew(DAYS, 2, all), all).stream()
        .map(f -> f.getClass().getSimpleName())
        .toList();
  }

  @Test
  void aLookOfTheSameMinuteIsBeforeOrAfterWhatItIsNearerTo() {
    Entry.What fill =
        new Entry.Fill(PartId.of("a"), Optional.of(0.04), Entry.Bought.UNKNOWN, false, "");
    Entry.What brim =
        new Entry.Fill(PartId.of("a"), Optional.empty(), Entry.Bought.UNKNOWN, false, "");
    Entry.What haul = new Entry.Haul(PartId.of("a"), 0.04, 1, Entry.Bought.UNKNOWN, "");
    Entry.What some = new Entry.Dump(PartId.of("a"), Optional.of(0.04), "");
    Entry.What all = new Entry.Dump(PartId.of("a"), Optional.empty(), "");
    for (Entry.What poured : List.of(fill, haul)) {
      assertThat(order(look(-1, 40), look(0, 75), at(0, poured)))
          .containsExactly("Seen", "Added", "Seen");
      assertThat(order(look(-1, 40), look(0, 45), at(0, poured)))
          .containsExactly("Seen", "Seen", "Added");
    }
    assertThat(order(look(-1, 40), look(0, 90), at(0, brim)))
        .containsExactly("Seen", "Set", "Seen");
    assertThat(order(look(-1, 40), look(0, 42), at(0, brim)))
        .containsExactly("Seen", "Seen", "Set");
    assertThat(order(look(-1, 60), look(0, 22), at(0, some)))
        .containsExactly("Seen", "Added", "Seen");
    assertThat(order(look(-1, 60), look(0, 58), at(0, some)))
        .containsExactly("Seen", "Seen", "Added");
    assertThat(order(look(-1, 60), look(0, 5), at(0, all))).containsExactly("Seen", "Set", "Seen");
    assertThat(order(look(-1, 60), look(0, 55), at(0, all))).containsExactly("Seen", "Seen", "Set");
    // What is noted of another tank moves no look of this one.
    assertThat(order(look(-1, 40), look(0, 75), at(0, new Entry.Note("rain"))))
        .containsExactly("Seen", "Seen");
  }

  @Test
  void aTankNeverHoldsMoreThanItTakes() {
    List<Entry> entries =
        List.of(
            look(0, 80),
            at(1, new Entry.Haul(PartId.of("a"), 0.05, 1, Entry.Bought.UNKNOWN, "")),
            at(2, new Entry.Dump(PartId.of("a"), Optional.empty(), "")),
            at(3, new Entry.Haul(PartId.of("a"), 0.01, 1, Entry.Bought.UNKNOWN, "")));
    List<Fact> facts =
        Facts.of(TANK, Contents.FRESH, Slope.LEVEL, Facts.crew(DAYS, 2, entries), entries);
    assertThat(facts).hasSize(4);
    assertThat(((Fact.Set) facts.get(2)).volume()).isZero();
    assertThat(((Fact.Added) facts.get(3)).volume()).isEqualTo(0.01);
  }

  @Test
  void aTrendNeedsWaterBeforeIt() {
    List<Daily> days = new ArrayList<>();
    for (int day = 0; day < 6; day++) {
      days.add(new Daily(LocalDate.of(2026, 6, 1).plusDays(day), day < 3 ? 0 : 0.02, 2));
    }
    assertThat(Daily.trend(days)).isEmpty();
    days.set(0, new Daily(LocalDate.of(2026, 6, 1), 0.03, 2));
    // 5 L a person-day before, 10 since.
    assertThat(Daily.trend(days).orElseThrow().times()).isCloseTo(2, within(1e-9));
  }
}
