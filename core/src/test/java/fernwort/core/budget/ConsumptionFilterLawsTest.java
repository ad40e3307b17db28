package fernwort.core.budget;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** What must hold whatever people note. */
class ConsumptionFilterLawsTest {

  private static final double DAY = 86_400;
  private static final double HOUR = 3600;
  private static final DayShape DAYS = DayShape.in(ZoneOffset.UTC);
  private static final Store FRESH = new Store(0.12, 0.006, false);
  private static final double ESTIMATE = 0.012;

  /** A trip at random: people who come and go, looks, fills, in order of time. */
  private static List<Fact> trip(long seed) {
    Random random = new Random(seed);
    List<Fact> facts = new ArrayList<>();
    double volume = 0.115;
    double at = 8 * HOUR;
    int people = 1 + random.nextInt(4);
    facts.add(new Fact.People(0, people));
    for (int i = 0; i < 12; i++) {
      facts.add(
          new Fact.Seen(
              at,
              Math.max(0, volume + 0.001 * random.nextGaussian()),
              1e-3,
              random.nextInt(5) == 0));
      double hours = 1 + random.nextInt(14);
      volume -= people * 0.011 * DAYS.between(at, at + hours * HOUR);
      at += hours * HOUR;
      if (random.nextInt(6) == 0) {
        facts.add(new Fact.Set(at, 0.118, 1e-3));
        volume = 0.118;
      }
      if (random.nextInt(6) == 0) {
        people = 1 + random.nextInt(4);
        facts.add(new Fact.People(at, people));
      }
      if (volume < 0.02) {
        facts.add(new Fact.Added(at, 0.05, 2e-3));
        volume += 0.05;
      }
    }
    return facts;
  }

  private static double end(List<Fact> facts) {
    return facts.stream().mapToDouble(Fact::at).max().orElseThrow() + HOUR;
  }

  private static ConsumptionFilter learnt(List<Fact> facts, double estimate, double at) {
    return ConsumptionFilter.of(FRESH, Crew.of(DAYS, 2, facts), facts, estimate, at);
  }

  @Property(tries = 60)
  void theOrderOfEntryDoesNotMatter(@ForAll long seed) {
    List<Fact> facts = trip(seed);
    List<Fact> shuffled = new ArrayList<>(facts);
    Collections.shuffle(shuffled, new Random(seed));
    double at = end(facts);
    assertThat(learnt(shuffled, ESTIMATE, at).ends()).isEqualTo(learnt(facts, ESTIMATE, at).ends());
  }

  @Property(tries = 60)
  void moreUseNeverEndsLater(
      @ForAll long seed,
      @ForAll @DoubleRange(min = 1, max = 3) double more,
      @ForAll @IntRange(min = 1, max = 4) int guests) {
    List<Fact> facts = trip(seed);
    double at = end(facts);
    ConsumptionFilter learnt = learnt(facts, ESTIMATE, at);
    assertNoLater(learnt.ends(more, 0), learnt.ends());
    // Who comes tomorrow uses water, too.
    List<Fact> joined = new ArrayList<>(facts);
    Crew crew = Crew.of(DAYS, 2, facts);
    joined.add(new Fact.People(at + DAY / 2, crew.at(at) + guests));
    assertNoLater(learnt(joined, ESTIMATE, at).ends(), learnt.ends());
  }

  @Property(tries = 40)
  void aHigherEstimateOfThoseWhoseLevelsNobodyReadEndsSooner(
      @ForAll @DoubleRange(min = 2, max = 50) double litres,
      @ForAll @DoubleRange(min = 1.01, max = 3) double more) {
    double estimate = litres / 1000;
    List<Fact> facts = List.of(new Fact.Seen(0, 0.1, 1e-3, false));
    assertNoLater(learnt(facts, estimate * more, 0).ends(), learnt(facts, estimate, 0).ends());
  }

  private static void assertNoLater(Range sooner, Range later) {
    assertThat(sooner.low()).isLessThanOrEqualTo(later.low() + 1);
    assertThat(sooner.expected()).isLessThanOrEqualTo(later.expected() + 1);
    assertThat(sooner.high()).isLessThanOrEqualTo(later.high() + 1);
  }

  @Test
  void aReadingWithoutErrorMakesTheRangeSmaller() {
    double before = 0;
    double after = 0;
    for (long seed = 0; seed < 100; seed++) {
      List<Fact> facts = trip(seed);
      double at = end(facts);
      ConsumptionFilter without = learnt(facts, ESTIMATE, at);
      List<Fact> more = new ArrayList<>(facts);
      more.add(new Fact.Seen(at, without.volume(), 1e-6, false));
      ConsumptionFilter with = learnt(more, ESTIMATE, at);
      assertThat(with.doubt()).isLessThan(without.doubt());
      // What is seen may make a rate likelier that was not: by little, and seldom.
      assertThat(width(with)).isLessThanOrEqualTo(1.15 * width(without));
      before += width(without);
      after += width(with);
    }
    assertThat(after).isLessThan(before);
  }

  private static double width(ConsumptionFilter learnt) {
    return learnt.ends().high() - learnt.ends().low();
  }

  @Property(tries = 60)
  void whatIsUsedIsLearntFromLooksThatDoNotErr(
      @ForAll @DoubleRange(min = 6, max = 24) double litres,
      @ForAll @IntRange(min = 1, max = 3) int people) {
    double rate = litres / 1000;
    List<Fact> facts = new ArrayList<>();
    facts.add(new Fact.People(0, people));
    double volume = 0.118;
    for (double at = 0; volume > 0.02 && at < 20 * DAY; at += 12 * HOUR) {
      facts.add(new Fact.Seen(at, volume, 1e-4, false));
      volume -= rate * people * DAYS.between(at, at + 12 * HOUR);
    }
    ConsumptionFilter learnt = learnt(facts, ESTIMATE, end(facts));
    Range range = learnt.rate();
    assertThat(range.low()).isLessThanOrEqualTo(rate * 1.06);
    assertThat(range.high()).isGreaterThanOrEqualTo(rate * 0.94);
    double off = Math.abs(Math.log(range.expected() / rate));
    assertThat(off).isLessThan(0.85 * Math.abs(Math.log(ESTIMATE / rate)) + 0.12);
  }

  @Test
  void aFillThatNobodyNotedIsNoNegativeUse() {
    List<Fact> facts =
        List.of(
            new Fact.People(0, 2),
            new Fact.Seen(0, 0.1, 1e-3, false),
            new Fact.Seen(DAY, 0.076, 1e-3, false),
            new Fact.Seen(2 * DAY, 0.115, 1e-3, false),
            new Fact.Seen(3 * DAY, 0.091, 1e-3, false));
    ConsumptionFilter learnt = learnt(facts, ESTIMATE, 3 * DAY);
    assertThat(learnt.rate().expected()).isCloseTo(0.012, within(0.001));
    assertThat(learnt.volume()).isCloseTo(0.091, within(0.002));
  }

  @Test
  void whileAllAreAwayNothingIsUsed() {
    Crew crew = Crew.of(DAYS, 2, List.of(new Fact.Away(DAY, 3 * DAY), new Fact.People(4 * DAY, 3)));
    assertThat(crew.days(0, 5 * DAY)).isCloseTo(2 * 1 + 2 * 1 + 3 * 1, within(1e-9));
    assertThat(crew.after(0, 3)).isCloseTo(3 * DAY + crew.after(3 * DAY, 1) - 3 * DAY, within(1.0));
    assertThat(crew.after(0, 2 + 2 + 3)).isCloseTo(5 * DAY, within(1.0));
  }

  @Test
  void mostOfADayGoesAtBothItsEnds() {
    assertThat(DAYS.between(0, DAY)).isCloseTo(1, within(1e-12));
    assertThat(DAYS.between(22 * HOUR, 30 * HOUR)).isLessThan(0.06);
    assertThat(DAYS.between(6 * HOUR, 9 * HOUR)).isGreaterThan(0.25);
  }
}
