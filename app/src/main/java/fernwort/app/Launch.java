package fernwort.app;

import fernwort.core.say.Refusal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/**
 * What the command line asks for.
 *
 * @param listen address to listen on, an address in digits or localhost
 * @param task what to do with the data folder
 * @param file the backup's file, where the task has one
 * @param certificate a certificate and its key that the user brings, in PEM files
 * @param https whether to speak HTTPS
 * @param plainHttp whether plain HTTP is meant, though others on the network can read it
 */
record Launch(
    Path data,
    int port,
    String listen,
    boolean demo,
    Task task,
    Optional<Path> file,
    boolean https,
    boolean plainHttp,
    Optional<Certificate> certificate) {

  /** What to do. */
  enum Task {
    SERVE,
    /** Start, look at some pages and stop, so that the JDK can note what a start needs. */
    TRAIN,
    SET_PASSPHRASE,
    BACK_UP,
    RESTORE
  }

  /** A certificate and its key, in PEM files. */
  record Certificate(Path chain, Path key) {}

  /**
   * Reads the command line.
   *
   * @throws Refusal when something in it cannot be meant
   */
  static Launch from(String[] args) {
    Path data = Path.of(System.getProperty("user.home"), ".fernwort");
    int port = 8080;
    String listen = "127.0.0.1";
    boolean demo = false;
    boolean https = false;
    boolean plainHttp = false;
    Task task = Task.SERVE;
    Optional<Path> file = Optional.empty();
    Optional<Path> chain = Optional.empty();
    Optional<Path> key = Optional.empty();
    for (int i = 0; i < args.length; i++) {
      switch (args[i]) {
        case "--data" -> data = Path.of(value(args, ++i, "--data"));
        case "--listen" -> listen = value(args, ++i, "--listen").strip();
        case "--port" -> port = port(value(args, ++i, "--port"));
        case "--demo" -> demo = true;
        case "--https" -> https = true;
        case "--plain-http" -> plainHttp = true;
        case "--certificate" -> chain = Optional.of(readable(args, ++i, "--certificate"));
        case "--key" -> key = Optional.of(readable(args, ++i, "--key"));
        case "--train" -> task = Task.TRAIN;
        case "--set-passphrase" -> task = Task.SET_PASSPHRASE;
        case "--backup" -> {
          task = Task.BACK_UP;
          file = Optional.of(Path.of(value(args, ++i, "--backup")).toAbsolutePath());
        }
        case "--restore" -> {
          task = Task.RESTORE;
          file = Optional.of(readable(args, ++i, "--restore"));
        }
        default -> throw new Refusal(Says.IS_NOT_AN_OPTION_SEE_HELP.with(args[i]));
      }
    }
    if (chain.isPresent() != key.isPresent()) {
      throw new Refusal(Says.A_CERTIFICATE_AND_ITS_KEY_COME.with());
    }
    Path k = key.orElse(data);
    return new Launch(
        data.toAbsolutePath().normalize(),
        port,
        listen,
        demo,
        task,
        file,
        https || chain.isPresent(),
        plainHttp,
        chain.map(c -> new Certificate(c, k)));
  }

  private static String value(String[] args, int i, String option) {
    if (i >= args.length || args[i].isBlank()) {
      throw new Refusal(Says.NEEDS_A_VALUE_AFTER_IT_SEE_HELP.with(option));
    }
    return args[i];
  }

  private static Path readable(String[] args, int i, String option) {
    Path file = Path.of(value(args, i, option)).toAbsolutePath();
    if (!Files.isReadable(file) || Files.isDirectory(file)) {
      throw new Refusal(Says.NEEDS_A_FILE_THAT_CAN_BE_READ.with(option, file));
    }
    return file;
  }

  private static int port(String text) {
    try {
      int port = Integer.parseInt(text);
      if (port >= 0 && port <= 65_535) {
        return port;
      }
    } catch (NumberFormatException e) {
      throw new Refusal(Says.PORT_NEEDS_A_NUMBER_FROM_0.with(text));
    }
    throw new Refusal(Says.PORT_NEEDS_A_NUMBER_FROM_0.with(text));
  }
}
