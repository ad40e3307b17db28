package fernwort.app;

import fernwort.core.say.Refusal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What the command line, the environment and the file of settings ask for.
 *
 * @param listen address to listen on, an address in digits or localhost
 * @param simulated whether one demo rig is live, with simulated sensors and motors
 * @param task what to do with the data folder
 * @param rest the words after a task that reads its own
 * @param file the backup's file, where the task has one
 * @param certificate a certificate and its key that the user brings, in PEM files
 * @param https whether to speak HTTPS
 * @param plainHttp whether plain HTTP is meant, though others on the network can read it
 * @param hosts names beside those of the house's network that it answers to, with commas
 * @param backupsTo a second folder for the daily backups
 * @param logFiles how many old logs are kept
 */
record Launch(
    Path data,
    int port,
    String listen,
    boolean demo,
    boolean simulated,
    Task task,
    List<String> rest,
    Optional<Path> file,
    boolean https,
    boolean plainHttp,
    Optional<Certificate> certificate,
    Optional<String> hosts,
    Optional<Path> backupsTo,
    int logFiles) {

  private static final String HOME = System.getProperty("user.home");
  private static final int MOST_PORT = 65_535;
  private static final int MOST_LOGS = 1000;

  /** A rig, a broker and a speed. */
  private static final int MOST_OF_SIM = 3;

  /** What to do. */
  enum Task {
    SERVE,
    /** Start, look at some pages and stop, so that the JDK can note what a start needs. */
    TRAIN,
    SET_PASSPHRASE,
    BACK_UP,
    RESTORE,
    DOCTOR,
    SIMULATE,
    HELP,
    VERSION
  }

  /** A certificate and its key, in PEM files. */
  record Certificate(Path chain, Path key) {}

  /** What the words of a command line say, before the settings that stand elsewhere are read. */
  private static final class Words {

    private final Map<Setting, String> set = new EnumMap<>(Setting.class);
    private Task task = Task.SERVE;
    private boolean demo;
    private boolean simulated;
    private List<String> rest = List.of();
    private Optional<Path> file = Optional.empty();
    private Optional<Path> settings = Optional.empty();

    private Words(String[] args) {
      int first = 0;
      if (args.length > 0 && !args[0].startsWith("-")) {
        first = command(args);
      }
      for (int i = first; i < args.length; i++) {
        i = option(args, i);
      }
    }

    /** Reads a command and what it needs, and returns where the options begin. */
    private int command(String[] args) {
      switch (args[0]) {
        case "start" -> {}
        case "demo" -> {
          demo = true;
          simulated = true;
        }
        case "sim" -> {
          task = Task.SIMULATE;
          rest = List.of(args).subList(1, args.length);
          if (rest.isEmpty() || rest.size() > MOST_OF_SIM) {
            throw new Refusal(Says.SIM_NEEDS_A_RIG.with());
          }
          return args.length;
        }
        case "passphrase" -> task = Task.SET_PASSPHRASE;
        case "doctor" -> task = Task.DOCTOR;
        case "version" -> task = Task.VERSION;
        case "help" -> task = Task.HELP;
        case "backup", "restore" -> {
          boolean out = args[0].equals("backup");
          task = out ? Task.BACK_UP : Task.RESTORE;
          if (args.length < 2 || args[1].startsWith("-")) {
            throw new Refusal(Says.NEEDS_A_FILE.with(args[0]));
          }
          file = Optional.of(out ? Path.of(args[1]).toAbsolutePath() : readable(args[1], args[0]));
          return 2;
        }
        default -> throw new Refusal(Says.IS_NOT_A_COMMAND_SEE_HELP.with(args[0]));
      }
      return 1;
    }

    /** Reads the option at a place, and returns the place of the last word that belongs to it. */
    private int option(String[] args, int at) {
      Optional<Setting> setting = Setting.of(args[at]);
      if (setting.isPresent()) {
        boolean alone = setting.get().isSwitch();
        set.put(setting.get(), alone ? "yes" : value(args, at + 1, args[at]));
        return alone ? at : at + 1;
      }
      switch (args[at]) {
        case "--demo" -> demo = true;
        case "--simulated" -> simulated = true;
        case "--train" -> task = Task.TRAIN;
        case "--set-passphrase" -> task = Task.SET_PASSPHRASE;
        case "--help", "-h" -> task = Task.HELP;
        case "--version" -> task = Task.VERSION;
        case "--settings" -> {
          settings = Optional.of(readable(value(args, at + 1, args[at]), args[at]));
          return at + 1;
        }
        case "--backup" -> {
          task = Task.BACK_UP;
          file = Optional.of(Path.of(value(args, at + 1, args[at])).toAbsolutePath());
          return at + 1;
        }
        case "--restore" -> {
          task = Task.RESTORE;
          file = Optional.of(readable(value(args, at + 1, args[at]), args[at]));
          return at + 1;
        }
        default -> throw new Refusal(Says.IS_NOT_AN_OPTION_SEE_HELP.with(args[at]));
      }
      return at;
    }

    private static String value(String[] args, int i, String option) {
      if (i >= args.length || args[i].isBlank()) {
        throw new Refusal(Says.NEEDS_A_VALUE_AFTER_IT_SEE_HELP.with(option));
      }
      return args[i].strip();
    }
  }

  /**
   * Reads the command line, the environment and the file of settings.
   *
   * @throws Refusal when something in them cannot be meant
   */
  static Launch from(String[] args, Map<String, String> environment) {
    Words words = new Words(args);
    Map<Setting, String> set = new EnumMap<>(Setting.class);
    Map<Setting, String> around = Setting.in(environment);
    Path data =
        Path.of(
                words.set.getOrDefault(
                    Setting.DATA,
                    around.getOrDefault(
                        Setting.DATA, HOME + (words.demo ? "/.fernwort-demo" : "/.fernwort"))))
            .toAbsolutePath()
            .normalize();
    words
        .settings
        .or(() -> Optional.of(data.resolve(Setting.FILE)).filter(Files::isReadable))
        .ifPresent(file -> set.putAll(Setting.in(file)));
    set.putAll(around);
    set.putAll(words.set);
    boolean moved = set.containsKey(Setting.DATA) && !words.set.containsKey(Setting.DATA);
    return new Launch(
        moved ? Path.of(set.get(Setting.DATA)).toAbsolutePath().normalize() : data,
        whole(set, Setting.PORT, MOST_PORT),
        value(set, Setting.LISTEN),
        words.demo,
        words.simulated,
        words.task,
        words.rest,
        words.file,
        yes(set, Setting.HTTPS) || set.containsKey(Setting.CERTIFICATE),
        yes(set, Setting.PLAIN_HTTP),
        certificate(set),
        Optional.ofNullable(set.get(Setting.HOSTS)),
        Optional.ofNullable(set.get(Setting.BACKUPS_TO)).map(d -> Path.of(d).toAbsolutePath()),
        whole(set, Setting.LOG_FILES, MOST_LOGS));
  }

  /** Reads a command line alone. */
  static Launch from(String... args) {
    return from(args, Map.of());
  }

  private static Optional<Certificate> certificate(Map<Setting, String> set) {
    Optional<Path> chain = file(set, Setting.CERTIFICATE);
    Optional<Path> key = file(set, Setting.KEY);
    if (chain.isPresent() != key.isPresent()) {
      throw new Refusal(Says.A_CERTIFICATE_AND_ITS_KEY_COME.with());
    }
    return chain.flatMap(c -> key.map(k -> new Certificate(c, k)));
  }

  private static Optional<Path> file(Map<Setting, String> set, Setting setting) {
    return Optional.ofNullable(set.get(setting)).map(f -> readable(f, setting.option()));
  }

  private static boolean yes(Map<Setting, String> set, Setting setting) {
    String said = value(set, setting);
    return switch (said.toLowerCase(Locale.ROOT)) {
      case "yes", "true", "on" -> true;
      case "no", "false", "off" -> false;
      default -> throw new Refusal(Says.NEEDS_YES_OR_NO.with(setting.key(), said));
    };
  }

  private static Path readable(String text, String option) {
    Path file = Path.of(text).toAbsolutePath();
    if (!Files.isReadable(file) || Files.isDirectory(file)) {
      throw new Refusal(Says.NEEDS_A_FILE_THAT_CAN_BE_READ.with(option, file));
    }
    return file;
  }

  private static String value(Map<Setting, String> set, Setting setting) {
    return set.getOrDefault(setting, setting.usual());
  }

  private static int whole(Map<Setting, String> set, Setting setting, int most) {
    String text = value(set, setting);
    try {
      int number = Integer.parseInt(text);
      if (number >= 0 && number <= most) {
        return number;
      }
    } catch (NumberFormatException e) {
      throw new Refusal(Says.NEEDS_A_NUMBER_FROM_0.with(setting.option(), most, text));
    }
    throw new Refusal(Says.NEEDS_A_NUMBER_FROM_0.with(setting.option(), most, text));
  }
}
