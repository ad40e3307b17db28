package fernwort.app.web;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Errors: what no page answered: programs get JSON, people a page, both the same sentence.
  THERE_IS_NOTHING_AT_THIS_ADDRESS("There is nothing at this address."),
  THIS_ADDRESS_DOES_NOT_TAKE("This address does not take that kind of request."),
  THIS_CHANGE_CAME_WITHOUT(
      "This change came without its token, or the page is older than its session: load the page"
          + " again and repeat it."),
  FERNWORT_ANSWERS_HERE_ONLY(
      "Fernwort answers here only to names it knows, such as 127.0.0.1. Give it others with"
          + " --hosts."),
  THE_REQUEST_IS_NOT_READABLE("The request is not readable."),
  THE_REQUEST_CANNOT_BE_ANSWERED("The request cannot be answered ({})."),
  FERNWORT_CANNOT_ANSWER_THIS_NOW(
      "Fernwort cannot answer this now; nothing is lost. Ask again in a moment."),

  // Problems: errors on pages: one sentence for the person, never a stack trace.
  NO_FILE_CAME_WITH_THIS_CHOOSE("No file came with this; choose one and send it again."),

  // Sentence: what is said of errors that are nobody's sentence yet; pages and programs read the
  // same.
  THE_FILE_IS_LARGER_THAN_FERNWORT(
      "The file is larger than Fernwort takes: 2 MB for a rig, 64 MB for a backup. Check that it"
          + " is the right file; larger backups go in with ./fernwort restore."),
  THIS_TAKES_LONGER_THAN_ANYBODY(
      "This takes longer than anybody should wait, for the rig has very many parts or handles."
          + " Nothing was changed; ask for less at once, or leave out parts that hang on nothing."),
  THAT_DID_NOT_WORK("That did not work"),
  SOMETHING_IN_WHAT_WAS_SENT(
      "Something in what was sent cannot be worked with; nothing was changed. If it looks right"
          + " to you, report {}, which is in the log of the data folder."),
  SOMETHING_WENT_WRONG_HERE(
      "Something went wrong here, which is Fernwort's fault. Nothing of what was kept is lost."
          + " Report {}, which is in the log of the data folder."),
  THE_DATABASE_DID_NOT_ANSWER(
      "The database did not answer. Nothing of what was confirmed is lost; try again. ({} in the"
          + " log)"),
  ONE_OF_THE_TEXTS_IS_LONGER_THAN(
      "One of the texts is longer than the {} characters that are kept. Nothing was changed; shorten"
          + " it."),
  ONE_OF_THE_TEXTS_IS_TOO_LONG(
      "One of the texts is longer than what is kept. Nothing was changed; shorten it."),
  THE_FIELD_IS_MISSING_FILL_IT_IN("The field “{}” is missing; fill it in."),
  THE_FIELD_NEEDS("The field “{}” needs {}."),
  A_FIELD_IS_OF_ANOTHER_KIND("A field is of another kind than asked for; check what was sent."),
  A_WHOLE_NUMBER("a whole number"),
  A_NUMBER("a number"),
  TRUE_OR_FALSE("true or false"),
  ANOTHER_VALUE("another value"),

  // About: which Fernwort this is, and the licences of all that ships with it.
  THERE_IS_NO_SUCH_LICENCE("There is no licence of that name. Look at About.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
