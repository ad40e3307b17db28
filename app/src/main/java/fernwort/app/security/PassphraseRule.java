package fernwort.app.security;

import fernwort.app.store.DataFolder;
import fernwort.app.store.disk.DatabaseFile;
import fernwort.core.say.Refusal;
import java.io.BufferedReader;
import java.io.Console;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;

/** What a passphrase must be, and how it is set from the terminal. */
public final class PassphraseRule {

  static final int SHORTEST = 10;
  private static final int FEWEST_SIGNS = 5;

  /** The hash looks at no more (bytes). */
  private static final int LONGEST = 72;

  private PassphraseRule() {}

  /**
   * Looks whether a passphrase will do; blanks around it do not count.
   *
   * @return the passphrase without them
   * @throws Refusal in one sentence, when it is too short, too plain or too long
   */
  static String checked(String typed) {
    String passphrase = typed.strip();
    if (passphrase.codePointCount(0, passphrase.length()) < SHORTEST) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "The passphrase needs at least %d letters, blanks around it not counted. Take a few words.",
              SHORTEST));
    }
    if (passphrase.codePoints().filter(c -> !Character.isWhitespace(c)).distinct().count()
        < FEWEST_SIGNS) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "The passphrase needs at least %d different letters. Take a few words.",
              FEWEST_SIGNS));
    }
    if (passphrase.getBytes(StandardCharsets.UTF_8).length > LONGEST) {
      throw new Refusal(
          String.format(
              Locale.ROOT, "The passphrase has room for %d letters. Shorten it.", LONGEST));
    }
    return passphrase;
  }

  /** Asks for the passphrase at the terminal, keeps its hash, and returns what to do next. */
  public static String ask(DataFolder folder) {
    set(folder, read());
    return "The passphrase is set. Start with --listen ADDRESS to use it.";
  }

  /**
   * Keeps the hash of a passphrase.
   *
   * @throws Refusal in one sentence, when it will not do
   */
  static void set(DataFolder folder, String typed) {
    String hash = PasswordEncoderFactories.createDelegatingPasswordEncoder().encode(checked(typed));
    DatabaseFile.setPassphrase(folder, hash);
  }

  private static String read() {
    Console console = System.console();
    if (console != null && console.isTerminal()) {
      char[] typed = console.readPassword("Passphrase (%d letters or more): ", SHORTEST);
      return typed == null ? "" : new String(typed);
    }
    try {
      String line =
          new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8)).readLine();
      return line == null ? "" : line;
    } catch (IOException e) {
      throw new Refusal("The passphrase could not be read.");
    }
  }
}
