package fernwort.core.kind;

import static org.assertj.core.api.Assertions.assertThat;

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

  /** As many as were left when kinds began to declare; each that goes lowers it. */
  private static final int LEFT = 31;

  private static final Pattern SWITCH = Pattern.compile("switch \\([^\\n]*\\) \\{");
  private static final Pattern OVER_KINDS =
      Pattern.compile("case (%s)( \\w+)?( when| ->|,|\\()".formatted(names()));

  private static String names() {
    return Stream.concat(
            Kinds.all().stream().map(Kinds.Entry::kind), Stream.of(Valve.class, Fitting.class))
        .map(Class::getSimpleName)
        .collect(Collectors.joining("|"));
  }

  @Test
  void noSwitchOverKindsIsAdded() throws IOException {
    List<String> found = new ArrayList<>();
    try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
      for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
        String text = Files.readString(file);
        Matcher each = SWITCH.matcher(text);
        while (each.find()) {
          if (OVER_KINDS.matcher(block(text, each.end())).find()) {
            found.add(file.getFileName() + ":" + text.substring(0, each.start()).lines().count());
          }
        }
      }
    }
    assertThat(found).as("let the kind declare it; lower the number when one goes").hasSize(LEFT);
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
