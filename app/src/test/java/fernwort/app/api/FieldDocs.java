package fernwort.app.api;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What the sources say of the components of their records, with their units. */
final class FieldDocs {

  private static final List<Path> SOURCES =
      List.of(Path.of("../core/src/main/java"), Path.of("src/main/java"));

  private static final Pattern RECORD = Pattern.compile("\\brecord (\\w+)\\(");

  /** How a line of a comment begins. */
  private static final Pattern MARGIN = Pattern.compile("(?m)^\\s*\\*");

  private final Map<String, Map<String, String>> byRecord = new HashMap<>();

  /** Reads all sources. */
  static FieldDocs read() {
    FieldDocs docs = new FieldDocs();
    for (Path root : SOURCES) {
      try (Stream<Path> files = Files.walk(root)) {
        files.filter(f -> f.toString().endsWith(".java")).forEach(docs::read);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return docs;
  }

  private void read(Path file) {
    try {
      String text = Files.readString(file);
      Matcher record = RECORD.matcher(text);
      while (record.find()) {
        String before = text.substring(0, record.start());
        int end = before.lastIndexOf("*/");
        int begin = before.lastIndexOf("/**");
        boolean own = begin >= 0 && end > begin && before.substring(end).indexOf(';') < 0;
        if (own) {
          components(record.group(1), before.substring(begin, end));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void components(String record, String comment) {
    Map<String, String> components = byRecord.computeIfAbsent(record, n -> new HashMap<>());
    String[] tags = MARGIN.matcher(comment).replaceAll(" ").split("@param ");
    for (String tag : Arrays.asList(tags).subList(1, tags.length)) {
      String[] said = tag.strip().split("\\s+", 2);
      if (said.length == 2) {
        components.putIfAbsent(said[0], plain(said[1]));
      }
    }
  }

  private static String plain(String words) {
    return words.replaceAll("\\{@\\w+ ([^}]*)}", "$1").replaceAll("\\s+", " ").strip();
  }

  /** Returns what is said of a component of a record, if anything is. */
  Optional<String> of(String record, String component) {
    return Optional.ofNullable(byRecord.getOrDefault(record, Map.of()).get(component));
  }
}
