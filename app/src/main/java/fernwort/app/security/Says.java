package fernwort.app.security;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // AskForPassphrase: whoever is not known is led to the page that asks for the passphrase; a
  // script and a program are told in words, so that no such page stands inside another and nothing
  // typed is lost.
  NOBODY_HAS_USED_THIS_PAGE(
      "Nobody has used this page for a while, so it asks for the passphrase again. What you typed"
          + " is still here."),
  LOG_IN_FIRST_POST_LOGIN("Log in first: POST /login with the passphrase."),

  // BodyLimit: refuses a body by its length, before any of it is read; one that does not say it is
  // refused.
  SEND_THE_LENGTH_OF_WHAT_YOU_SEND("Send the length of what you send."),

  // DevicesController: which devices are logged in, and how one trusts this copy.
  THERE_IS_NO_CERTIFICATE("There is no certificate of the house yet: start Fernwort with --https."),

  // HouseCertificate: the certificate that HTTPS needs: one that the user brings, or one of the
  // house.
  NO_CERTIFICATE_COULD_BE_MADE(
      "No certificate could be made ({}). Bring one with --certificate FILE --key FILE."),

  // ListenRule: refuses to listen beyond this machine before a passphrase is set.
  TO_LISTEN_ON_SET_A_PASSPHRASE(
      "To listen on {}, set a passphrase first: ./fernwort passphrase (with the same --data)."),
  ON_WHOEVER_IS_ON_THE_NETWORK(
      "On {} whoever is on the network could read along, the passphrase too. Start with --https, or"
          + " with --plain-http if the network is yours alone."),
  LISTEN_NEEDS_AN_ADDRESS(
      "--listen needs an address of this machine in digits, such as 192.168.1.20, not \"{}\"."),

  // OwnPagesOnly: a change comes from a page of this copy, or from a program that is no browser.
  THIS_CAME_FROM_A_PAGE_ELSEWHERE(
      "This came from a page at another address, so nothing was changed. Open Fernwort at its own"
          + " address and do it there."),

  // PassphraseCheck: checks the one passphrase; there are no user names.
  TOO_MANY_TRIES("too many tries"),
  WRONG_PASSPHRASE("wrong passphrase"),

  // PassphraseRule: what a passphrase must be, and how it is set from the terminal.
  THE_PASSPHRASE_NEEDS_AT_LEAST(
      "The passphrase needs at least {} letters, blanks around it not counted. Take a few words."),
  THE_PASSPHRASE_NEEDS_AT_LEAST_DIFFERENT(
      "The passphrase needs at least {} different letters. Take a few words."),
  THE_PASSPHRASE_HAS_ROOM("The passphrase has room for {} letters. Shorten it."),
  THE_PASSPHRASE_IS_SET_START("The passphrase is set. Start with --listen ADDRESS to use it."),
  PASSPHRASE_LETTERS_OR_MORE("Passphrase (%d letters or more): "),
  THE_PASSPHRASE_COULD_NOT_BE_READ("The passphrase could not be read."),

  // TokenTooOld: a change whose token is missing or belongs to a session that has ended.
  THIS_PAGE_IS_OLDER("This page is older than its session. Load it again and repeat the change."),

  // AccessRecord: who came in or did not, and what was changed for the whole copy.
  LOGGED_IN("passphrase given"),
  WRONG_TRY("wrong passphrase"),
  LOCKED_OUT("too many wrong passphrases; not looked at"),
  LOGGED_OUT("logged out"),
  OTHERS_ENDED("all other devices ended"),
  RESTORED("a backup restored"),
  BROKER_CHANGED("the broker set anew");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
