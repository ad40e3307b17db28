package fernwort.app.store.disk;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Checkup: how a folder's database is, in words and numbers that say nothing about its owner.
  DATABASE("database"),
  NOT_THERE_YET("not there yet"),
  MB("{} MB"),
  SOUND("sound"),
  EVERY_PART_IS_AS_IT_WAS("every part is as it was written"),
  READABLE("it opens; the next start looks it through"),
  STEP("step of the tables"),
  THIS_KNOWS("this Fernwort knows {}"),
  RIGS("rigs"),
  ENTRIES("entries in the log"),
  PASSPHRASE_SET("passphrases set"),

  // DatabaseFile: the file of a database on which no application runs: made, read, copied and
  // exchanged.
  THE_PASSPHRASE_COULD("The passphrase could not be saved: the data folder cannot be written."),

  // DurableTransactions: transactions that are on the disk when they return.
  THE_DISK_DID_NOT_CONFIRM(
      "The disk did not confirm this change. Look whether it is there, and make it again if it is"
          + " not."),

  // FolderOpening: makes a data folder ready before anything else looks at it: a new one gets an
  // empty database, an old one is looked through, copied and brought up to date.
  THE_DATA_FOLDER_CANNOT(
      "The data folder {} cannot be written ({}). Make room there, or choose another with --data"
          + " DIR."),
  IS_EMPTY_0_BYTES_THOUGH("is empty (0 bytes), though a database stood there"),
  THE_DATA_IN_WERE_WRITTEN(
      "The data in {} were written by a newer Fernwort (step {}; this one knows {}). Nothing was"
          + " touched. Start that newer Fernwort, or choose another folder with --data DIR."),
  IS_MISSING_THOUGH_THE_FOLDER_WAS("is missing, though the folder was in use"),
  IS_NOT_A_DATABASE_OF_FERNWORT("is not a database of Fernwort"),
  THE_DATABASE_IN_IS_OPEN(
      "The database in {} is open in another program. Close it there, then start again."),
  HAS_A_FORM_THAT_THIS_FERNWORT("has a form that this Fernwort cannot read"),
  IS_DAMAGED("is damaged"),

  // Soundness: whether a database's file still holds what was written to it.
  PARTS_READ_OTHERWISE("is damaged: {} of its {} parts do not read as they were written"),
  LACKS_WHAT_WAS_CONFIRMED(
      "was cut off, or an older one was put in its place: the newest changes are not in it. If you put"
          + " it there yourself, delete the file of the same name that ends with {}"),

  IS_ANOTHER(
      "is not the one that was here before: another was put in its place. If you put it there"
          + " yourself, delete the file of the same name that ends with {}"),

  // FolderOpening, once more.
  THE_DATA_IN_COULD_NOT_BE_BROUGHT(
      "The data in {} could not be brought up to date ({}). They are as they were; go on with the"
          + " Fernwort you had, and report this."),
  NO_REASON_GIVEN("no reason given"),
  BRING_BACK_THE_NEWEST_BACKUP("bring back the newest backup with ./fernwort restore {}"),
  BRING_BACK_A_BACKUP_OF_YOURS(
      "bring back a backup of yours with ./fernwort restore FILE, or begin anew in another folder"
          + " with --data DIR"),
  THE_DATABASE_NOTHING_WAS_TOUCHED(
      "The database {} {}. Nothing was touched: keep a copy of the folder, then {}."),

  // FolderWatch: tells whether the data folder can be written: before a change, so that none is
  // half made, and to every page, so that people know.
  NOTHING_CAN_BE_CHANGED_NOW(
      "Nothing can be changed now, because the disk of the data folder %s is full. Everything can"
          + " be read; make room, and it goes on."),
  NOTHING_CAN_BE_CHANGED_NOW_DAMAGED(
      "Nothing can be changed now, because the database in {} was damaged on its disk ({} parts)."
          + " Back up what can still be read, stop Fernwort, and bring back the newest sound backup:"
          + " ./fernwort restore {}"),
  NOTHING_CAN_BE_CHANGED_NOW_BECAUSE(
      "Nothing can be changed now, because the data folder %s cannot be written. Everything can"
          + " be read; make it writable, and it goes on."),
  NOTHING_CAN_BE_CHANGED_NOW_BECAUSE_THE_DATA(
      "Nothing can be changed now, because the data folder %s is gone. What is shown is from"
          + " before; put the folder back, or stop Fernwort and start it with a backup."),
  NOTHING_CAN_BE_CHANGED_NOW_BECAUSE_THE_DATA_FOLDER(
      "Nothing can be changed now, because the data folder %s holds another database than this"
          + " copy of Fernwort began with. Stop Fernwort and start it again to use that one.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
