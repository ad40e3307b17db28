package fernwort.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Numbers are written alike on every machine: none is left to the default locale. */
class LocaleTest {

  /** A number in a pattern, or a change of case, without a locale beside it. */
  private static final Pattern LEFT =
      Pattern.compile(
          "^(?!.*Locale\\.).*(%[-+ ,0-9.]*[dfeg][^\\n]*\"\\s*\\)?\\s*\\.formatted\\("
              + "|\\.text\\(\\)\\.formatted\\(|String\\.format\\(\\s*\"|\\.to(Lower|Upper)Case\\(\\)).*$",
          Pattern.MULTILINE);

  @Test
  void noNumberIsLeftToTheMachine() throws IOException {
    try (Stream<Path> app = Files.walk(Path.of("src/main/java"));
        Stream<Path> core = Files.walk(Path.of("../core/src/main/java"))) {
      List<String> left =
          Stream.concat(app, core)
              .filter(f -> f.toString().endsWith(".java"))
              .flatMap(f -> LEFT.matcher(read(f)).results().map(m -> f + ": " + m.group().strip()))
              .toList();
      assertThat(left).isEmpty();
    }
  }

  private static String read(Path file) {
    try {
      // A pattern may stand on the line before its call.
      return Files.readString(file)
          .replaceAll("(\"|\\.text\\(\\))\\s*\\n\\s*\\.formatted", "$1.formatted");
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }
}
