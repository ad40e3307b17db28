package fernwort.core.kind;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.kind.end.Tap;
import fernwort.core.kind.line.Fitting;
import fernwort.core.kind.line.Valve;
import fernwort.core.kind.list.Kinds;
import fernwort.core.kind.machine.Driven;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What has to be known of a kind of part is declared by it, and not asked of its class. */
class KindSwitchesTest {

  private static final Pattern SWITCH = Pattern.compile("switch \\([^\\n]*\\) \\{");

  /** As many as were left; each that goes lowers it. */
  private static final int MOST_ASKED = 56;

  private static final List<Path> SOURCES =
      List.of(Path.of("src/main/java"), Path.of("../app/src/main/java"));

  @Test
  void noSwitchOverKindsStandsOutsideTheirOwnPackage() throws IOException {
    List<String> found = new ArrayList<>();
    for (Path root : SOURCES) {
      try (Stream<Path> files = Files.walk(root)) {
        for (Path file : files.filter(KindSwitchesTest::isOutside).toList()) {
          String text = Files.readString(file);
          Pattern overKinds = overKinds(text);
          Matcher each = SWITCH.matcher(text);
          while (each.find()) {
            if (overKinds.matcher(block(text, each.end())).find()) {
              found.add(file + ":" + text.substring(0, each.start()).lines().count());
            }
          }
        }
      }
    }
    assertThat(found).as("let the kind declare it").isEmpty();
  }

  @Test
  void fewAskForAClass() throws IOException {
    int asked = 0;
    for (Path root : SOURCES) {
      try (Stream<Path> files = Files.walk(root)) {
        for (Path file : files.filter(KindSwitchesTest::isOutside).toList()) {
          String text = Files.readString(file);
          asked +=
              (int)
                  Pattern.compile("instanceof (?:%s)\\b".formatted(names(text)))
                      .matcher(text)
                      .results()
                      .count();
        }
      }
    }
    assertThat(asked).as("ask for a purpose, or let the kind declare it").isBetween(1, MOST_ASKED);
  }

  @Test
  void aSwitchOverKindsIsFound() {
    String text =
        "import fernwort.core.kind.end.Tank;\nint of(Kind k) { return switch (k) { case Tank t -> 1; }; }";
    Matcher each = SWITCH.matcher(text);
    assertThat(each.find()).isTrue();
    assertThat(overKinds(text).matcher(block(text, each.end())).find()).isTrue();
  }

  private static boolean isOutside(Path file) {
    return file.toString().endsWith(".java") && !file.toString().contains("core/kind");
  }

  /** What begins a case for one of the kinds that a file imports. */
  private static Pattern overKinds(String text) {
    return Pattern.compile("case (?:%s)( \\w+)?( when| ->|,|\\()".formatted(names(text)));
  }

  private static String names(String text) {
    return Stream.concat(
            Kinds.all().stream().map(Kinds.Entry::kind),
            Stream.of(Valve.class, Fitting.class, Driven.class, Tap.class))
        .filter(c -> text.contains("import " + c.getName() + ";"))
        .map(c -> "|" + c.getSimpleName())
        .collect(Collectors.joining("", "(?!)", ""));
  }

  /** The text from behind an opening brace to the one that closes it. */
  private static String block(String text, int from) {
    int depth = 1;
    int at = from;
    while (depth > 0 && at < text.length()) {
      depth += text.charAt(at) == '{' ? 1 : text.charAt(at) == '}' ? -1 : 0;
      at++;
    }
    return text.substring(from, at);
  }
}
