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

  /** Whether some of it would be gone. */
  public boolean fewer() {
    return file < here;
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
