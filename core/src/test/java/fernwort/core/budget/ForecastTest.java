package fernwort.core.budget;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is foretold where the sums can be done by hand. */
class ForecastTest {

  private static final double DAY = 86_400;
  private static final DayShape DAYS = DayShape.in(ZoneOffset.UTC);
  private static final Store FRESH = new Store(1.0, 0.1, false);
  private static final Store GRAY = new Store(1.0, 1.0, true);

  private static ConsumptionFilter once(Store store, double volume, double estimate, Fact... more) {
    List<Fact> facts = new ArrayList<>(List.of(more));
    facts.add(new Fact.Seen(0, volume, 1e-9, false));
    return ConsumptionFilter.of(store, Crew.of(DAYS, 2, facts), facts, estimate, 0);
  }

  @Test
  void theGuessWithItsDoubtIsARangeOfRates() {
    Range rate = once(FRESH, 0.5, 0.01).rate();
    assertThat(rate.expected()).isCloseTo(0.01, within(2e-4));
    // Upwards there may be somebody on board who is not noted, too.
    assertThat(rate.high() / rate.expected()).isBetween(Math.exp(1.2816 * 0.30), 1.65);
    assertThat(rate.expected() / rate.low()).isCloseTo(Math.exp(1.2816 * 0.30), within(0.03));
  }

  @Test
  void itEndsWhenWhatIsLeftIsUsed() {
    // 400 L at 10 L each for two are twenty days of the guess, and a little less where somebody
    // may come who is not noted.
    Range ends = once(FRESH, 0.5, 0.01).ends();
    assertThat(ends.expected() / DAY).isBetween(19.0, 20.2);
    assertThat(once(FRESH, 0.5, 0.01).ends(2, 0).expected() / DAY).isBetween(9.4, 10.2);
    assertThat(once(FRESH, 0.5, 0.01).ends(1, 0.1).expected() / DAY).isBetween(23.8, 25.2);
    assertThat(once(GRAY, 0.6, 0.01).ends().expected() / DAY).isBetween(19.0, 20.2);
  }

  @Test
  void laterThereIsLessByWhatIsUsedAndNeverLessThanCanBeDrawn() {
    ConsumptionFilter fresh = once(FRESH, 0.5, 0.01);
    assertThat(fresh.at(0).expected()).isCloseTo(0.5, within(1e-6));
    Range tenDays = fresh.at(10 * DAY);
    assertThat(tenDays.expected()).isBetween(0.29, 0.304);
    assertThat(tenDays.low()).isLessThan(0.26).isGreaterThan(0.16);
    assertThat(tenDays.high()).isGreaterThan(0.34).isLessThan(0.42);
    assertThat(fresh.at(300 * DAY).high()).isEqualTo(0.1);
    ConsumptionFilter gray = once(GRAY, 0.6, 0.01);
    assertThat(gray.at(10 * DAY).expected()).isBetween(0.796, 0.81);
    assertThat(gray.at(300 * DAY).low()).isEqualTo(1.0);
  }

  @Test
  void whichEndOfTheDayTakesMoreIsTold() {
    for (DayShape.Lean lean :
        List.of(DayShape.Lean.MORNINGS, DayShape.Lean.EVENINGS, DayShape.Lean.EVEN)) {
      DayShape days = DAYS.leaning(lean);
      List<Fact> facts = new ArrayList<>();
      for (int half = 0; half <= 16; half++) {
        double at = half * DAY / 2;
        facts.add(new Fact.Seen(at, 0.9 - 0.02 * days.between(0, at), 1e-3, false));
      }
      ConsumptionFilter learnt =
          ConsumptionFilter.leaning(
              FRESH, Crew.of(DAYS, 2, facts), facts, 0.012, facts.getLast().at());
      assertThat(learnt.crew().lean()).isEqualTo(lean);
      assertThat(learnt.rate().expected()).isCloseTo(0.01, within(1e-3));
    }
  }

  @Test
  void howMuchDaysDifferIsLearntAndWidensAKnownRate() {
    // Long and well read: the rate is known to a few percent. What is left is how days differ, and
    // that habits may change.
    assertThat(ahead(0).differs()).isLessThan(0.25);
    assertThat(ahead(0.9).differs()).isGreaterThan(0.6);
    assertThat(width(ahead(0.9))).isGreaterThan(1.5 * width(ahead(0)));
  }

  private static double width(ConsumptionFilter learnt) {
    Range ahead = learnt.at(209 * DAY);
    return ahead.high() - ahead.low();
  }

  /** What is learnt from days of 20 L, every other so much more and the rest so much less. */
  private static ConsumptionFilter ahead(double differs) {
    List<Fact> facts = new ArrayList<>();
    Store deep = new Store(9, 0, false);
    for (int day = 0; day <= 200; day++) {
      double more = day % 2 == 0 ? 0 : 0.02 * differs;
      facts.add(new Fact.Seen(day * DAY, 8 - 0.02 * day - more, 1e-6, false));
    }
    ConsumptionFilter learnt =
        ConsumptionFilter.of(deep, Crew.of(DAYS, 2, facts), facts, 0.012, 200 * DAY);
    double rate = learnt.rate().expected();
    assertThat(rate).isCloseTo(0.01, within(1e-3));
    return learnt;
  }

  @Test
  void whatIsPouredInIsThereAndTeachesNothing() {
    ConsumptionFilter poured = once(FRESH, 0.5, 0.01, new Fact.Added(0, 0.1, 0.005));
    // The look of the same moment was before it, or after it: either way there are 500 or 600 L.
    assertThat(poured.volume()).isIn(0.6, poured.volume());
    ConsumptionFilter later =
        ConsumptionFilter.of(
            FRESH,
            Crew.of(DAYS, 2, List.of()),
            List.of(new Fact.Seen(0, 0.5, 1e-9, false), new Fact.Added(1, 0.1, 0.005)),
            0.01,
            2);
    assertThat(later.volume()).isCloseTo(0.6, within(1e-5));
    assertThat(later.doubt()).isCloseTo(0.005, within(1e-5));
    ConsumptionFilter full =
        ConsumptionFilter.of(
            FRESH,
            Crew.of(DAYS, 2, List.of()),
            List.of(new Fact.Seen(0, 0.5, 1e-9, false), new Fact.Set(1, 0.9, 0.01)),
            0.01,
            2);
    assertThat(full.volume()).isCloseTo(0.9, within(1e-5));
    assertThat(full.doubt()).isCloseTo(0.01, within(1e-5));
  }

  @Test
  void aSendersStepSeenAgainSaysLittleAndAnotherOneMuch() {
    List<Fact> once =
        List.of(new Fact.Seen(0, 0.5, 0.02, true), new Fact.Seen(60, 0.48, 0.02, true));
    List<Fact> again =
        List.of(new Fact.Seen(0, 0.5, 0.02, true), new Fact.Seen(60, 0.5, 0.02, true));
    Crew crew = Crew.of(DAYS, 2, List.of());
    double two = ConsumptionFilter.of(FRESH, crew, once, 0.01, 60).doubt();
    double same = ConsumptionFilter.of(FRESH, crew, again, 0.01, 60).doubt();
    // What two steps share is 49 of 69 mm of it; a step that is seen again is still anywhere in it.
    assertThat(two).isBetween(0.0135, 0.0155);
    assertThat(same).isBetween(0.016, 0.0195);
  }

  @Test
  void nobodyOnBoardNeverEnds() {
    List<Fact> facts = List.of(new Fact.People(0, 0), new Fact.Seen(0, 0.5, 1e-6, false));
    ConsumptionFilter learnt = ConsumptionFilter.of(FRESH, Crew.of(DAYS, 2, facts), facts, 0.01, 0);
    assertThat(learnt.ends().low()).isEqualTo(Crew.FAR);
    assertThat(
            ConsumptionFilter.of(FRESH, Crew.of(DAYS, 2, List.of()), List.of(), 0.01, 0).isKnown())
        .isFalse();
  }

  private static List<Anomaly> odd(Store store, Fact... facts) {
    List<Fact> all = List.of(facts);
    Crew crew = Crew.of(DAYS, 2, all);
    double at = all.getLast().at();
    return Anomaly.of(
        new Anomaly.Looked(
            store, crew, DAYS, all, ConsumptionFilter.of(store, crew, all, 0.01, at), 0.01, at));
  }

  @Test
  void whatGoesAtNightIsALeakAndWhatGoesByDayIsNot() {
    Fact.Seen evening = new Fact.Seen(22 * 3600, 0.5, 1e-3, false);
    assertThat(odd(FRESH, evening, new Fact.Seen(30 * 3600, 0.48, 1e-3, false)))
        .singleElement()
        .satisfies(o -> {
          assertThat(o.kind()).isEqualTo(Anomaly.Kind.LEAK);
          assertThat(o.from()).isEqualTo(22 * 3600);
          assertThat(o.to()).isEqualTo(30 * 3600);
          assertThat(o.volume()).isCloseTo(0.0185, within(0.0025));
        });
    assertThat(odd(FRESH, evening, new Fact.Seen(30 * 3600, 0.4985, 1e-3, false))).isEmpty();
    Fact.Seen morning = new Fact.Seen(6 * 3600, 0.5, 1e-3, false);
    assertThat(odd(FRESH, morning, new Fact.Seen(14 * 3600, 0.46, 1e-3, false))).isEmpty();
  }

  @Test
  void whatRisesUnnotedIsTold() {
    Fact.Seen before = new Fact.Seen(8 * 3600, 0.5, 1e-3, false);
    assertThat(odd(FRESH, before, new Fact.Seen(9 * 3600, 0.53, 1e-3, false)))
        .singleElement()
        .satisfies(o -> {
          assertThat(o.kind()).isEqualTo(Anomaly.Kind.UNNOTED_FILL);
          assertThat(o.words().toString()).contains("came in");
        });
    assertThat(odd(GRAY, before, new Fact.Seen(9 * 3600, 0.45, 1e-3, false)))
        .singleElement()
        .satisfies(o -> assertThat(o.words().toString()).contains("of gray went"));
    assertThat(odd(FRESH, before, new Fact.Seen(9 * 3600, 0.501, 1e-3, false))).isEmpty();
  }

  @Test
  void aGaugeThatShowsTooLittleOrTooMuchOfAFillIsTold() {
    Fact.Seen before = new Fact.Seen(8 * 3600, 0.5, 1e-3, false);
    Fact.Added poured = new Fact.Added(8 * 3600 + 60, 0.04, 1e-3);
    Fact.Seen after = new Fact.Seen(8 * 3600 + 120, 0.52, 1e-3, false);
    List<Fact> facts = List.of(before, poured, after);
    Crew crew = Crew.of(DAYS, 2, facts);
    double used =
        ConsumptionFilter.of(FRESH, crew, facts, 0.01, after.at()).rate().expected()
            * crew.days(before.at(), after.at());
    assertThat(odd(FRESH, before, poured, after))
        .singleElement()
        .satisfies(o -> {
          assertThat(o.kind()).isEqualTo(Anomaly.Kind.GAUGE);
          assertThat(o.volume())
              .as("but for what was used in two minutes")
              .isCloseTo(0.02 - used, within(1e-9));
        });
    assertThat(odd(FRESH, before, poured, new Fact.Seen(8 * 3600 + 120, 0.54, 1e-3, false)))
        .isEmpty();
    // Half a day later nobody knows what was used meanwhile.
    assertThat(odd(FRESH, before, poured, new Fact.Seen(20 * 3600, 0.52, 1e-3, false))).isEmpty();
  }
}
