package fernwort.app.store;

import fernwort.app.store.db.tables.records.CardRecord;
import fernwort.app.store.db.tables.records.DiaryRecord;
import fernwort.app.store.db.tables.records.JobRunRecord;
import fernwort.app.store.db.tables.records.JournalRecord;
import fernwort.app.store.db.tables.records.LiveAlarmRecord;
import fernwort.app.store.db.tables.records.LiveMeanRecord;
import fernwort.app.store.db.tables.records.PracticeRecord;
import fernwort.app.store.db.tables.records.RunStepRecord;
import fernwort.app.store.db.tables.records.WinterSheetRecord;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.say.Refusal;
import java.time.OffsetDateTime;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;

/** A row as it is kept, read as the store reads it that hands it on. */
public final class StoredRow {

  /** Nothing that is kept of a rig is as large (m³, and whatever else is counted). */
  private static final double MOST = 1e9;

  private static final int FIRST_YEAR = 1900;
  private static final int LAST_YEAR = 2999;

  /** What an address of a rig is made of. */
  private static final Pattern ADDRESS = Pattern.compile("[a-z0-9][a-z0-9-]*");

  private static final Set<String> NEVER_NEGATIVE =
      Set.of("volume", "moved", "price", "trips", "people", "pets", "per_person_day", "box", "seq");

  /** Readings that cannot be shown are set aside where they are shown, as they always were. */
  private static final String READINGS = "level";

  private StoredRow() {}

  /**
   * Reads a row.
   *
   * @throws RuntimeException when no store could hand it on; a refusal where it says why
   */
  public static void read(String table, Map<String, @Nullable Object> row) {
    if (!table.equals(READINGS)) {
      row.forEach(StoredRow::value);
    }
    switch (table) {
      case "rig" -> address(String.valueOf(row.get("id")));
      case "handle" -> {
        PartId.of(String.valueOf(row.get("part")));
        PositionId.of(String.valueOf(row.get("position_id")));
      }
      case READINGS -> PartId.of(String.valueOf(row.get("tank")));
      case "journal" -> Logbook.entry(as(new JournalRecord(), row));
      case "diary" -> DiaryStore.kept(as(new DiaryRecord(), row));
      case "job_run" -> RunStore.run(as(new JobRunRecord(), row));
      case "run_step" -> RunStore.row(as(new RunStepRecord(), row));
      case "winter_sheet" -> WinterStore.named(as(new WinterSheetRecord(), row));
      case "card" -> CardStore.card(as(new CardRecord(), row));
      case "live_alarm" -> LiveStore.alarm(as(new LiveAlarmRecord(), row));
      case "live_mean" -> ReadingStore.mean(as(new LiveMeanRecord(), row));
      case "practice" -> PracticeStore.kept(as(new PracticeRecord(), row));
      default -> {
        // Of these only the texts can be wrong, which whoever shows them reads.
      }
    }
  }

  private static <R extends Record> R as(R record, Map<String, @Nullable Object> row) {
    record.fromMap(row);
    return record;
  }

  private static void address(String id) {
    if (!ADDRESS.matcher(id).matches()) {
      throw new Refusal(Says.NO_ADDRESS_OF_A_RIG.with(id));
    }
  }

  private static void value(String column, @Nullable Object value) {
    switch (value) {
      case Number number -> {
        double amount = number.doubleValue();
        boolean sound = Math.abs(amount) < MOST || number instanceof Long;
        if (!sound || amount < 0 && NEVER_NEGATIVE.contains(column)) {
          throw new Refusal(Says.CANNOT_BE.with(column, number));
        }
      }
      case OffsetDateTime time -> {
        if (time.getYear() < FIRST_YEAR || time.getYear() > LAST_YEAR) {
          throw new Refusal(Says.CANNOT_BE.with(column, time));
        }
      }
      case null, default -> {}
    }
  }
}
