package fernwort.app;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Fernwort: the launcher: reads the command line, makes the data folder ready, and starts the
  // application on it or does what is to be done to it.
  BACKED_UP_TO("Backed up to {}."),
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
  PORT_NEEDS_A_NUMBER_FROM_0("--port needs a number from 0 to 65535, not \"{}\".");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
