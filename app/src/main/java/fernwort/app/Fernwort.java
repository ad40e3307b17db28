package fernwort.app;

import fernwort.app.security.ListenRule;
import fernwort.app.store.DataFolder;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the application: {@code --data DIR --port N --listen ADDRESS --demo}. */
@SpringBootApplication
public class Fernwort {

  /** What the settings are called. */
  public static final String DATA = "fernwort.data";

  /** Starts Fernwort on one data folder, or says in one sentence why not. */
  public static void main(String[] args) {
    try {
      Launch launch = Launch.from(args);
      DataFolder folder = DataFolder.claim(launch.data());
      if (!launch.setPassphrase()) {
        ListenRule.check(launch.listen(), folder.databaseUrl());
      }
      Map<String, Object> settings = new HashMap<>();
      settings.put(DATA, launch.data().toString());
      settings.put("spring.datasource.url", folder.databaseUrl());
      settings.put("server.port", launch.port());
      settings.put("server.address", launch.listen());
      settings.put("fernwort.demo", launch.demo());
      if (launch.setPassphrase()) {
        settings.put("fernwort.set-passphrase", true);
        settings.put("spring.main.web-application-type", "none");
      }
      SpringApplication application = new SpringApplication(Fernwort.class);
      application.setDefaultProperties(settings);
      application.run();
    } catch (Refusal refusal) {
      System.err.println(refusal.getMessage());
      System.exit(2);
    } catch (RuntimeException failed) {
      Throwable cause = failed;
      while (cause.getCause() != null && !(cause instanceof Refusal)) {
        cause = cause.getCause();
      }
      if (cause instanceof Refusal || cause instanceof java.net.BindException) {
        System.err.println(
            cause instanceof Refusal
                ? cause.getMessage()
                : "The port is taken by another program. Choose another with --port N.");
        System.exit(2);
      }
      throw failed;
    }
  }

  /** What the command line asks for. */
  record Launch(Path data, int port, String listen, boolean demo, boolean setPassphrase) {

    static Launch from(String[] args) {
      Path data = Path.of(System.getProperty("user.home"), ".fernwort");
      int port = 8080;
      String listen = "127.0.0.1";
      boolean demo = false;
      boolean passphrase = false;
      for (int i = 0; i < args.length; i++) {
        switch (args[i]) {
          case "--data" -> data = Path.of(value(args, ++i, "--data"));
          case "--listen" -> listen = value(args, ++i, "--listen");
          case "--port" -> port = port(value(args, ++i, "--port"));
          case "--demo" -> demo = true;
          case "--set-passphrase" -> passphrase = true;
          default -> throw new Refusal("\"" + args[i] + "\" is not an option. See --help.");
        }
      }
      return new Launch(data.toAbsolutePath(), port, listen, demo, passphrase);
    }

    private static String value(String[] args, int i, String option) {
      if (i >= args.length) {
        throw new Refusal(option + " needs a value after it. See --help.");
      }
      return args[i];
    }

    private static int port(String text) {
      try {
        int port = Integer.parseInt(text);
        if (port >= 0 && port <= 65_535) {
          return port;
        }
      } catch (NumberFormatException e) {
        throw new Refusal("--port needs a number from 0 to 65535, not \"" + text + "\".");
      }
      throw new Refusal("--port needs a number from 0 to 65535, not \"" + text + "\".");
    }
  }
}
