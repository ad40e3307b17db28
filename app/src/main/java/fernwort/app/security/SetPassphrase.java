package fernwort.app.security;

import fernwort.app.Refusal;
import java.io.BufferedReader;
import java.io.Console;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Asks for the passphrase at the keyboard and keeps it. */
@Component
@ConditionalOnProperty(name = "fernwort.set-passphrase", havingValue = "true")
class SetPassphrase implements ApplicationRunner {

  private final Passphrase passphrase;

  SetPassphrase(Passphrase passphrase) {
    this.passphrase = passphrase;
  }

  @Override
  public void run(ApplicationArguments args) {
    try {
      passphrase.set(ask());
      System.out.println("The passphrase is set. Start with --listen ADDRESS to use it.");
    } catch (IllegalArgumentException e) {
      throw new Refusal(e.getMessage() + ".");
    }
  }

  private static String ask() {
    Console console = System.console();
    if (console != null && console.isTerminal()) {
      char[] typed = console.readPassword("Passphrase (10 letters or more): ");
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
