package fernwort.app.security;

import fernwort.app.store.DataFolder;
import fernwort.app.store.disk.DatabaseFile;
import fernwort.core.say.Refusal;
import java.io.BufferedReader;
import java.io.Console;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
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
      throw new Refusal(Says.THE_PASSPHRASE_NEEDS_AT_LEAST.filled(SHORTEST));
    }
    if (passphrase.codePoints().filter(c -> !Character.isWhitespace(c)).distinct().count()
        < FEWEST_SIGNS) {
      throw new Refusal(Says.THE_PASSPHRASE_NEEDS_AT_LEAST_DIFFERENT.filled(FEWEST_SIGNS));
    }
    if (passphrase.getBytes(StandardCharsets.UTF_8).length > LONGEST) {
      throw new Refusal(Says.THE_PASSPHRASE_HAS_ROOM.filled(LONGEST));
    }
    return passphrase;
  }

  /** Asks for the passphrase at the terminal, keeps its hash, and returns what to do next. */
  public static String ask(DataFolder folder) {
    set(folder, read());
    return Says.THE_PASSPHRASE_IS_SET_START.text();
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
      char[] typed = console.readPassword(Says.PASSPHRASE_LETTERS_OR_MORE.text(), SHORTEST);
      return typed == null ? "" : new String(typed);
    }
    try {
      String line =
          new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8)).readLine();
      return line == null ? "" : line;
    } catch (IOException e) {
      throw new Refusal(Says.THE_PASSPHRASE_COULD_NOT_BE_READ.with());
    }
  }
}
