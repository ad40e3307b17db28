package fernwort.app.backup;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // BackupController: everything that is kept, out as a file and in again.
  NO_FILE_WAS_CHOSEN_CHOOSE("No file was chosen; choose a backup"),

  // BackupDoor: lets the launcher ask a running copy for a backup: a socket in the data folder,
  // which only the folder's owner can reach.
  BACKUP_DOOR("backup door"),
  IS_NOT_ASKED_HERE("“{}” is not asked here."),
  THE_BACKUP_WAS_NOT_RESTORED(
      "The backup was not restored and nothing was changed; the log says more."),
  THE_RUNNING_COPY_DID_NOT_ANSWER("The running copy did not answer."),
  RESTORED_FROM_WHAT_WAS("Restored from {}. What was there before is in the folder's backups."),
  THE_BACKUP_COULD_NOT_BE_HANDED("The backup could not be handed over ({})."),

  // DailyBackup: makes a backup every day that Fernwort runs.
  DAILY_BACKUP("daily backup"),

  // RestoreCount: how much of something a backup has, beside what is here.
  RIGS("Rigs"),
  VERSIONS_OF_RIGS("Versions of rigs"),
  LOG_ENTRIES("Entries in the log"),
  JOBS_DONE("Jobs, done or begun"),
  WINTER_SHEETS("Winter and spring sheets"),
  CARDS("Cards"),
  AUTOMATIONS("Automations"),

  // StoredRows: reads the rows of a backup as whoever shows them.
  ITS_HABITS_CANNOT_BE_READ("how its people live cannot be read");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
