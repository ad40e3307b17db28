package fernwort.app.store;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // CardStore: cards for people who borrow a rig: what each shows, and whether it still holds.
  THE_CARD_WOULD_BE_OVER_ALREADY("The card would be over already; choose a later day"),
  SAY_WHO_THE_CARD("Say who the card is for, in up to {} characters"),
  CHOOSE_WHAT_THE_CARD_SHOWS_A_FEW("Choose what the card shows, a few jobs at most"),

  // DataFolder: the folder that holds one person's data: the database, its copies, backups and the
  // log.
  THE_DATA_FOLDER_HAS_A_SEMICOLON(
      "The data folder {} has a semicolon in its name, which the database cannot take. Choose"
          + " another with --data DIR."),
  IS_A_FILE_AND_THE_DATA_NEED(
      "{} is a file, and the data need a folder. Choose another with --data DIR."),
  THE_DATA_FOLDER_CANNOT(
      "The data folder {} cannot be written ({}). Choose another with --data DIR."),
  IT_BELONGS_TO_SOMEBODY_ELSE("it belongs to somebody else"),
  FERNWORT_ALREADY_RUNS(
      "Fernwort already runs on the data folder {}. Use that copy, stop it, or choose another"
          + " folder with --data DIR."),

  // DiaryStore: what people noted of their water, each entry with its trace: nothing is ever
  // deleted.
  THE_LOG_HAS_NO_SUCH_ENTRY_LOAD("The log has no such entry; load it anew"),
  IS_NO_STANDING_OF_AN_ENTRY(
      "“{}” is no standing of an entry; it is stands, corrected or taken back"),

  // RigStore: the rigs as they were described.
  THERE_IS_NO_RIG_HERE_CHOOSE("There is no rig \"{}\" here. Choose one on Rig."),
  A_CHANGE("a change"),

  // RunStore: runs of jobs with their steps, kept at each tick.
  THERE_IS_NO_SUCH_RUN_SHEET_BEGIN("There is no such run sheet; begin another from Jobs"),
  A_NOTE_HAS_ROOM_FOR_CHARACTERS("A note has room for {} characters; shorten it"),

  // StoredRow: a row as it is kept, read as the store reads it that hands it on.
  NO_ADDRESS_OF_A_RIG("“{}” is no address of a rig"),
  CANNOT_BE("{} cannot be {}"),

  // SettingStore: what holds for this whole copy.
  THERE_IS_ROOM_FOR_LETTERS("There is room for {} letters; shorten it"),

  // SizingStore: what people last entered on the Sizing screen.
  AN_ENTRY_OF_MORE_THAN_CHARACTERS(
      "An entry of more than {} characters cannot be saved; shorten it"),

  // StaleVersion: somebody else changed a rig since a form was opened.
  CHANGED_THIS_RIG_MEANWHILE(
      "{} changed this rig meanwhile ({}). Your entries are still here: look, then send again"),

  // WinterStore: sheets of winter and spring with their ticks, kept at each tick.
  THERE_IS_NO_SUCH_SHEET("There is no such sheet any more; begin one under Winter");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
