package fernwort.app.questions;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ChartTest {

  private static Chart of(List<Double> at, Double... values) {
    return new Chart(
        "Water",
        new Chart.Axis("day", ""),
        new Chart.Axis("left", "L"),
        at,
        List.of(new Chart.Course("left", Chart.Style.EXPECTED, List.of(values))));
  }

  @Test
  void itsPlacesAreRoundRiseAndEndAtTheEnd() {
    Random random = new Random(7);
    for (int i = 0; i < 2_000; i++) {
      double end = Math.pow(10, random.nextDouble(-3, 6));
      List<Double> rounds = Chart.rounds(end);
      assertThat(rounds)
          .as("%s", end)
          .hasSizeBetween(5, 12)
          .startsWith(0.0)
          .endsWith(end)
          .isSorted();
      String step = String.format(Locale.ROOT, "%.0e", rounds.get(1));
      assertThat(step).as("%s", end).containsPattern("^[125]e");
      assertThat(rounds.get(1) / Double.parseDouble(step)).as("%s", end).isBetween(0.999, 1.001);
    }
  }

  @Test
  void whereACourseBendsIsAPlaceToo() {
    assertThat(Chart.with(List.of(0.0, 5.0, 10.0), 3.9, 5.0, 12, Double.POSITIVE_INFINITY))
        .containsExactly(0.0, 3.9, 5.0, 10.0);
  }

  @Test
  void itsTableShowsAsManyDecimalsAsTheHighestNeeds() {
    assertThat(of(List.of(0.0, 1.0, 2.0), 73.98, 7.0, 0.0).rows())
        .extracting(r -> r.cells().getFirst().shown())
        .containsExactly("74.0", "7.0", "0.0");
    assertThat(of(List.of(0.0, 1.0), 1234.5, 0.4).rows())
        .extracting(r -> r.cells().getFirst().shown())
        .containsExactly("1235", "0");
  }

  @Test
  void whatHasNoEndLeavesAGapAndIsNotDrawn() {
    Chart.Row row = of(List.of(0.0, 1.0), 5.0, Double.POSITIVE_INFINITY).rows().getLast();
    assertThat(row.cells().getFirst()).isEqualTo(new Chart.Cell("–", ""));
  }

  @Test
  void anAxisNamesItsUnitWhereItHasOne() {
    assertThat(new Chart.Axis("left", "US gal").title()).isEqualTo("left, US gal");
    assertThat(new Chart.Axis("day", "").title()).isEqualTo("day");
  }
}
