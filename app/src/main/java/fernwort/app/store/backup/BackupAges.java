package fernwort.app.store.backup;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Which daily backups are kept: those of the last days, and of each of the last weeks and months
 * the newest. What went wrong unnoticed for a week is still there from before.
 */
final class BackupAges {

  static final int DAYS = 7;
  static final int WEEKS = 5;
  static final int MONTHS = 12;

  private BackupAges() {}

  /** Returns the days whose backups are kept. */
  static Set<LocalDate> kept(Collection<LocalDate> days) {
    List<LocalDate> newest = days.stream().distinct().sorted(Comparator.reverseOrder()).toList();
    Set<LocalDate> kept = new TreeSet<>(newest.stream().limit(DAYS).toList());
    kept.addAll(newestOfEach(newest, BackupAges::week, WEEKS));
    kept.addAll(newestOfEach(newest, YearMonth::from, MONTHS));
    return kept;
  }

  /** The Monday of its week: weeks of two years do not mix. */
  private static LocalDate week(LocalDate day) {
    return day.minusDays(day.getDayOfWeek().getValue() - 1L);
  }

  private static <K extends Comparable<K>> Collection<LocalDate> newestOfEach(
      List<LocalDate> newestFirst, Function<LocalDate, K> span, int most) {
    return newestFirst.stream()
        .collect(Collectors.toMap(span, day -> day, (newer, older) -> newer))
        .entrySet()
        .stream()
        .sorted(Map.Entry.<K, LocalDate>comparingByKey().reversed())
        .limit(most)
        .map(Map.Entry::getValue)
        .toList();
  }
}
