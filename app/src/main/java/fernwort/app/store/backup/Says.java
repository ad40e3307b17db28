package fernwort.app.store.backup;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // AtRest: backs up and restores a data folder on which no copy runs.
  IS_THERE_ALREADY_AND_STAYS(
      "{} is there already and stays as it is. Choose another name for the backup."),
  THE_BACKUP_COULD_NOT_BE_WRITTEN(
      "The backup {} could not be written ({}). Choose a place with room."),
  RESTORED_FROM_WHAT_WAS("Restored from {}. What was there before is kept as {}."),
  RESTORED_FROM("Restored from {}."),
  THE_BACKUP_CANNOT_BE_READ("The backup {} cannot be read ({}). Nothing was changed."),

  // BackupCounts: how many rows of each table a backup holds, which tells in a moment whether it is
  // whole, and whether less is there than before.
  IT_CANNOT_BE_READ_BACK("what was written cannot be read back"),
  LESS_IS_HERE_THAN(
      "Less is here than in the last backup: {} rigs and {} entries in the log, where it has {} and"
          + " {}."),

  // BackupFile: writes everything that is kept as one JSON file.
  IT_UNPACKS_TO_MORE(
      "This file unpacks to more than {} MB, which no backup does. Nothing was changed; choose a file"
          + " that “Back up” made."),

  // Backups: backs up and restores a copy that is running.
  NO_BACKUP_SINCE(
      "No daily backup was made since {}. Make room for {}, or back up to a file under Rigs; it is"
          + " tried again every half hour."),
  IT_IS_KEPT_AS(
      "That backup is kept as {}: restore it if something is missing, or delete that file if nothing"
          + " is."),
  THAT_BACKUP_WAITS_NO_LONGER(
      "That backup was let go: another was chosen since, or an hour went by, or Fernwort was started"
          + " again. Nothing was changed; choose the file once more."),
  THE_SECOND_PLACE_COULD_NOT(
      "Today's backup could not be copied to {}: put the stick or the disk in. It is tried again"
          + " tomorrow; the backup in the data folder is there."),
  WHAT_IS_HERE_COULD_NOT_BE_BACKED(
      "What is here could not be backed up before it is replaced ({}). Nothing was changed; make"
          + " room in {}."),

  // Staging: a backup read into a database of its own, in a file, where it is checked before it
  // replaces anything.
  THIS_IS_NOT_A_BACKUP_OF_FERNWORT(
      "This is not a backup of Fernwort (%s). Nothing was changed; choose a file that “Back up”"
          + " made."),
  NOT_WHOLE_OR_NOT_JSON_AT_LINE("not whole or not JSON, at line {}"),
  ONE_OF_ITS_TEXTS_IS_TOO_LONG("one of its texts or numbers is longer than any that is kept"),
  THE_FILE_CANNOT_BE_READ("the file cannot be read to its end"),
  IT_IS_NOT_A_JSON_OBJECT("it is not a JSON object"),
  ITS_FORMAT_IS_ANOTHER("its format is another"),
  FORMAT_AND_STEP_DO_NOT_COME("format and step do not come first"),
  IT_ENDS_TOO_EARLY("it ends too early"),
  SOMETHING_FOLLOWS_ITS_END("something follows its end"),
  ITS_STEP_IS_NOT_A_NUMBER("its step is not a number"),
  THIS_BACKUP_IS_FROM_A_NEWER(
      "This backup is from a newer Fernwort (step {}; this one knows {}). Nothing was changed;"
          + " restore it with that newer Fernwort."),
  ITS_TABLES_ARE_MISSING("its tables are missing"),
  IT_HAS_A_TABLE("it has a table “{}” that is not known"),
  TABLE_IS_NOT_A_LIST("table {} is not a list"),
  TABLE_IS_NOT_A_LIST_OF_ROWS("table {} is not a list of rows"),
  TABLE_HAS_AN_ODD_COLUMN("table {} has an odd column"),
  A_VALUE_IN_IS_A_LIST("a value in {} is a list"),
  THERE_IS_NO_RIG_IN_IT("there is no rig in it"),
  ROW_OF_IS_EMPTY("row {} of {} is empty"),
  A_ROW_REFERS("a row of {} belongs to {} “{}”, which is not in it"),
  ROW_OF("row {} of {}: {}"),
  A_ROW_OF_STANDS_TWICE("a row of {} is in it twice"),
  IT_WAS_CHANGED(
      "it is not as it was written: its rows do not sum up to its “sum”. If you changed it on"
          + " purpose, take “sum” out of it"),
  A_RIG_LACKS_A_VERSION("a version of {} is not in it"),
  IT_CANNOT_BE_SHOWN("Fernwort cannot read it"),
  ROWS_WOULD_BE_LEFT_OUT(
      "{} rows of this backup cannot be read: {}. Nothing was changed. Start Fernwort and restore it"
          + " under Rigs; there you can leave them out.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
