package fernwort.core.format;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // RigFormat: reads and writes rig files.
  IT_IS_LARGER_THAN_2_MB("it is larger than 2 MB"),
  RIGS_ARE_FAR_SMALLER_CHECK("Rigs are far smaller; check that it is the right file"),
  COMPARE_IT_WITH_THE_SCHEMA("Compare it with the schema"),
  BRING_BACK_A_BACKUP_OF_IT("Bring back a backup of it"),
  IT_IS_NOT_A_JSON_OBJECT("it is not a JSON object"),
  CHOOSE_A_FILE_THAT_FERNWORT("Choose a file that Fernwort exported"),
  AT_LINE_COLUMN(" at line {}, column {}"),
  IT_IS_NOT_READABLE_AS_JSON("it is not readable as JSON{} ({})"),
  CORRECT_THAT_SPOT_OR_EXPORT("Correct that spot, or export the rig again"),
  THE_FILE("the file"),
  USE_ONE_OF_THE_VALUES_THE_SCHEMA("Use one of the values the schema lists"),
  GIVE_A_VALUE_OF_THE_RIGHT_TYPE("Give a value of the right type"),
  SEE_THE_SCHEMA("See the schema for what is possible");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
