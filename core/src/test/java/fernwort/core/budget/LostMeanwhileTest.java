package fernwort.core.budget;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is lost slowly, or does not show, is found over the whole of it. */
class LostMeanwhileTest {

  private static final double HOUR = 3600;
  private static final double DAY = 24 * HOUR;
  private static final Store FRESH = new Store(0.2, 0.005, false);
  private static final DayShape DAYS = DayShape.in(ZoneOffset.UTC);

  /** A stick is read to 5 mm. */
  private static Fact.Seen seen(double days, double litres) {
    return new Fact.Seen(days * DAY, litres / 1000, 3.7e-3, false);
  }

  private static List<Anomaly> odd(List<Fact> facts) {
    double at = facts.getLast().at() + HOUR;
    Crew crew = Crew.of(DAYS, 2, facts);
    ConsumptionFilter learnt = ConsumptionFilter.of(FRESH, crew, facts, 0.01, at);
    return Anomaly.of(new Anomaly.Looked(FRESH, crew, DAYS, facts, learnt, 0.01, at));
  }

  @Test
  void overAnAbsenceTheLooksBeforeAndAfterItCount() {
    List<Fact> facts = new ArrayList<>(List.of(seen(0, 178), seen(1, 160), seen(2, 142)));
    facts.add(seen(3, 124));
    facts.add(new Fact.Away(3.01 * DAY, 13 * DAY));
    facts.add(seen(13.01, 104));
    assertThat(odd(facts)).anyMatch(a -> a.kind() == Anomaly.Kind.LEAK);
    facts.set(facts.size() - 1, seen(13.01, 122));
    assertThat(odd(facts)).noneMatch(a -> a.kind() == Anomaly.Kind.LEAK);
  }

  @Test
  void looksInBetweenHideNothing() {
    List<Fact> facts = new ArrayList<>(List.of(seen(0, 160), seen(1, 142), seen(2, 124)));
    facts.add(new Fact.Away(2.01 * DAY, 12 * DAY));
    for (int i = 0; i <= 6; i++) {
      facts.add(seen(2.1 + 1.6 * i, 124 - 4.2 * i));
    }
    assertThat(odd(facts))
        .filteredOn(a -> a.kind() == Anomaly.Kind.LEAK)
        .singleElement()
        .satisfies(a -> assertThat(a.volume()).isBetween(0.02, 0.03));
  }

  @Test
  void twoFillsThatDoNotShowAreOne() {
    List<Fact> facts =
        List.of(
            seen(0, 60),
            new Fact.Added(0.01 * DAY, 0.02, 1e-3),
            new Fact.Added(0.02 * DAY, 0.02, 1e-3),
            seen(0.05, 61));
    assertThat(odd(facts)).anyMatch(a -> a.kind() == Anomaly.Kind.GAUGE);
  }

  @Test
  void aGaugeThatStandsStillWhilePeopleAreOnBoardIsDoubted() {
    List<Fact> still = new ArrayList<>();
    for (int day = 0; day < 9; day++) {
      still.add(seen(day, 90));
    }
    assertThat(odd(still)).anyMatch(a -> a.kind() == Anomaly.Kind.STUCK);
    List<Fact> away = new ArrayList<>(List.of(new Fact.Away(0, 9 * DAY)));
    away.addAll(still);
    assertThat(odd(away)).noneMatch(a -> a.kind() == Anomaly.Kind.STUCK);
  }
}
