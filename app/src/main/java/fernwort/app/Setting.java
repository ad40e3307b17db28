package fernwort.app;

import fernwort.core.say.Refusal;
import java.io.IOException;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.stream.Collectors;

/**
 * What can be set, by the same name on the command line, in the environment and in a file. The
 * command line goes before the environment, and that before the file.
 */
enum Setting {
  DATA(Says.DATA_FOLDER, Says.IN_YOUR_HOME),
  PORT(Says.PORT_TO_LISTEN_ON, Says.EIGHTY_EIGHTY),
  LISTEN(Says.ADDRESS_TO_LISTEN_ON, Says.LOOPBACK),
  HTTPS(Says.SPEAK_HTTPS, Says.NO),
  PLAIN_HTTP(Says.LISTEN_WITHOUT_HTTPS, Says.NO),
  CERTIFICATE(Says.A_CERTIFICATE_OF_YOURS, Says.ONE_OF_THE_HOUSE),
  KEY(Says.ITS_KEY, Says.NONE),
  HOSTS(Says.NAMES_IT_ANSWERS_TO, Says.THOSE_OF_THE_HOUSE),
  BACKUPS_TO(Says.A_SECOND_FOLDER, Says.NONE),
  LOG_FILES(Says.OLD_LOGS, Says.FIVE);

  /** The name of a file in the data folder that is read where no other is named. */
  static final String FILE = "fernwort.conf";

  private static final String VARIABLE = "FERNWORT_";

  private final Says what;
  private final Says usual;

  Setting(Says what, Says usual) {
    this.what = what;
    this.usual = usual;
  }

  /** Returns the name in a file, such as plain-http. */
  String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Returns the option of the command line. */
  String option() {
    return "--" + key();
  }

  /** Returns the variable of the environment. */
  String variable() {
    return VARIABLE + name();
  }

  String what() {
    return what.text();
  }

  /** Returns what holds where nothing is set. */
  String usual() {
    return usual.text();
  }

  /** Whether it is said by its name alone on the command line. */
  boolean isSwitch() {
    return this == HTTPS || this == PLAIN_HTTP;
  }

  /** Returns the setting that an option names. */
  static Optional<Setting> of(String option) {
    return Arrays.stream(values()).filter(s -> s.option().equals(option)).findFirst();
  }

  /** Returns what the environment sets. */
  static Map<Setting, String> in(Map<String, String> environment) {
    Map<Setting, String> found = new EnumMap<>(Setting.class);
    for (Setting setting : values()) {
      String value = environment.get(setting.variable());
      if (value != null && !value.isBlank()) {
        found.put(setting, value.strip());
      }
    }
    return found;
  }

  /**
   * Returns what a file sets: lines of a name, an equals sign and a value.
   *
   * @throws Refusal when it cannot be read, or names what is no setting
   */
  static Map<Setting, String> in(Path file) {
    Properties lines = new Properties();
    try (Reader reader = Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
      lines.load(reader);
    } catch (IOException | IllegalArgumentException e) {
      throw new Refusal(Says.THE_SETTINGS_CANNOT_BE_READ.with(file));
    }
    Map<Setting, String> found = new EnumMap<>(Setting.class);
    for (String key : lines.stringPropertyNames()) {
      Setting setting =
          of("--" + key)
              .orElseThrow(() ->
                  new Refusal(
                      Says.IN_THE_SETTINGS_IS_NONE.with(
                          file,
                          key,
                          Arrays.stream(values())
                              .map(Setting::key)
                              .collect(Collectors.joining(", ")))));
      found.put(setting, lines.getProperty(key).strip());
    }
    return found;
  }
}
