package fernwort.app.store.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is deleted every day leaves a week of days, five weeks and a year of months. */
class BackupAgesTest {

  private static final LocalDate FIRST = LocalDate.of(2026, 1, 1);

  /** Somebody's backups after some days, deleted as each is made. */
  private static Set<LocalDate> after(int days, int every) {
    Set<LocalDate> kept = new TreeSet<>();
    for (int day = 0; day < days; day += every) {
      kept.add(FIRST.plusDays(day));
      kept = new TreeSet<>(BackupAges.kept(kept));
    }
    return kept;
  }

  @Test
  void aYearOfDailyBackupsLeavesOneOfEachMonth() {
    Set<LocalDate> kept = after(400, 1);
    LocalDate last = FIRST.plusDays(399);
    for (int back = 0; back < BackupAges.DAYS; back++) {
      assertThat(kept).contains(last.minusDays(back));
    }
    assertThat(kept.stream().map(YearMonth::from).distinct()).hasSize(BackupAges.MONTHS);
    assertThat(kept).hasSizeLessThanOrEqualTo(24);
    // Whatever went wrong up to three weeks ago, there is a backup of within a week before.
    for (int back = 0; back < 21; back++) {
      LocalDate wrong = last.minusDays(back);
      assertThat(kept)
          .as("%s", wrong)
          .anyMatch(day -> !day.isAfter(wrong) && day.isAfter(wrong.minusDays(8)));
    }
  }

  @ParameterizedTest
  @CsvSource({"1, 1", "5, 1", "7, 1", "8, 1", "90, 3", "400, 1", "400, 40", "30, 29"})
  void fewBackupsAreAllKeptAndTheNewestAlways(int days, int every) {
    List<LocalDate> made = new ArrayList<>();
    for (int day = 0; day < days; day += every) {
      made.add(FIRST.plusDays(day));
    }
    Set<LocalDate> kept = BackupAges.kept(made);
    assertThat(kept).contains(made.getLast());
    assertThat(made.size() > BackupAges.DAYS || kept.size() == made.size()).isTrue();
  }
}
