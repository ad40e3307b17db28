package fernwort.app.backup;

import fernwort.app.store.backup.Backups;
import java.util.List;

/**
 * How much of something a backup has, beside what is here.
 *
 * @param what what is counted
 * @param file how many the backup has
 * @param here how many are here now
 */
record RestoreCount(String what, long file, long here) {

  /** Returns how many fewer the backup has; 0 where it has as many or more. */
  public long fewer() {
    return Math.max(0, here - file);
  }

  /** Returns what a person would look for first. */
  static List<RestoreCount> of(Backups.Preview preview) {
    return List.of(
        row(preview, Says.RIGS, "rig"),
        row(preview, Says.VERSIONS_OF_RIGS, "rig_version"),
        row(preview, Says.LOG_ENTRIES, "diary"),
        row(preview, Says.JOBS_DONE, "job_run"),
        row(preview, Says.WINTER_SHEETS, "winter_sheet"),
        row(preview, Says.CARDS, "card"),
        row(preview, Says.AUTOMATIONS, "automation"));
  }

  private static RestoreCount row(Backups.Preview preview, Says what, String table) {
    return new RestoreCount(what.text(), preview.file().of(table), preview.here().of(table));
  }
}
