package fernwort.app;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Fernwort: the launcher: reads the command line, makes the data folder ready, and starts the
  // application on it or does what is to be done to it.
  BACKED_UP_TO("Backed up to {}."),
  IT_TAKES_THE_PLACE(
      "{} holds {} rigs and {} entries in the log. It replaces everything in {}, of which a copy is"
          + " kept. Type yes to go on:"),
  NOTHING_WAS_CHANGED("Nothing was changed."),
  THIS_IS_PLAIN_HTTP(
      "This is plain HTTP: whoever is on that network can read along, the passphrase too."),
  THE_PORT_IS_TAKEN_BY_ANOTHER(
      "The port is taken by another program. Choose another with --port N."),
  FERNWORT_COULD_NOT_START_THE_LOG(
      "Fernwort could not start ({}). The log in the data folder says more."),

  // Launch: what the command line asks for.
  IS_NOT_AN_OPTION_SEE_HELP("\"{}\" is not an option. See --help."),
  A_CERTIFICATE_AND_ITS_KEY_COME(
      "A certificate and its key come together: --certificate FILE --key FILE."),
  NEEDS_A_VALUE_AFTER_IT_SEE_HELP("{} needs a value after it. See --help."),
  NEEDS_A_FILE_THAT_CAN_BE_READ("{} needs a file that can be read; {} is not one."),
  NEEDS_A_NUMBER_FROM_0("{} needs a number from 0 to {}, not \"{}\"."),
  IT_SPEAKS_TO("The simulated rig {} speaks to {} (Ctrl+C stops it)"),
  SIM_NEEDS_A_RIG("sim needs a RIG, and may have a BROKER and a SPEED after it. See --help."),
  NEEDS_A_FILE("{} needs a FILE after it. See --help."),
  IS_NOT_A_COMMAND_SEE_HELP("\"{}\" is not a command. See --help."),
  NEEDS_YES_OR_NO("{} needs yes or no, not \"{}\"."),

  // Setting: what can be set.
  IN_YOUR_HOME("~/.fernwort; the demo: ~/.fernwort-demo"),
  PORT_TO_LISTEN_ON("port to listen on"),
  EIGHTY_EIGHTY("8080"),
  LOOPBACK("127.0.0.1"),
  ADDRESS_TO_LISTEN_ON("address to listen on, in digits"),
  SPEAK_HTTPS("speak HTTPS: yes or no"),
  LISTEN_WITHOUT_HTTPS("listen beyond this machine without HTTPS: yes or no"),
  A_CERTIFICATE_OF_YOURS("a certificate of yours, a PEM file"),
  ONE_OF_THE_HOUSE("one made for the house"),
  ITS_KEY("its key, a PEM file"),
  NAMES_IT_ANSWERS_TO("names beside those of the house's network that it answers to, with commas"),
  THOSE_OF_THE_HOUSE("addresses in digits, names without a dot, .local, .lan, .home, .internal"),
  A_SECOND_FOLDER("a second folder for the daily backups, such as a stick or another disk"),
  OLD_LOGS("how many old logs of 1 MB are kept"),
  FIVE("5"),
  THE_SETTINGS_CANNOT_BE_READ(
      "The settings in {} cannot be read. Look at the file, or leave it out."),
  IN_THE_SETTINGS_IS_NONE("{} has “{}”, which is not a setting. The settings are: {}."),

  // Doctor: what somebody who helps would ask for.
  FERNWORT("Fernwort"),
  JAVA("Java"),
  SYSTEM("system"),
  MEMORY("memory"),
  MB_AND_PROCESSORS("{} MB at most, {} processors"),
  TIME("time"),
  PORT("port"),
  FREE("free"),
  TAKEN("taken, by Fernwort or another program"),
  LISTENS_ON("listens on"),
  THIS_MACHINE_ONLY("this machine only"),
  THE_NETWORK("the network too"),
  HTTPS("HTTPS"),
  OWN_CERTIFICATE("own certificate"),
  PLAIN_HTTP_ALLOWED("plain HTTP allowed"),
  SECOND_PLACE("second backup place"),
  CAN_BE_WRITTEN("set, can be written"),
  CANNOT_BE_WRITTEN("set, cannot be written now"),
  NONE("none"),
  DATA_FOLDER("data folder"),
  STATE("state"),
  IT_IS_NOT_THERE_YET("it is not there yet"),
  FERNWORT_RUNS_ON_IT("Fernwort runs on it"),
  FREE_ROOM("free room"),
  MB("{} MB"),
  NOT_KNOWN("not known"),
  DAILY_BACKUPS("daily backups"),
  THE_NEWEST_IS("{}, the newest is {}"),
  CANNOT_BE_READ("cannot be read"),
  FAULTS_IN_THE_LOG("faults in the log"),
  YES("yes"),
  NO("no");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
