package fernwort.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What the documents point to is there. */
class DocumentsTest {

  private static final Pattern TEST = Pattern.compile("\\b[A-Z][A-Za-z]+Test\\b");
  private static final Pattern LINK = Pattern.compile("\\]\\(([^)#:]+)(#[^)]*)?\\)");

  private static List<Path> files(String folder, String ending) throws IOException {
    try (Stream<Path> files = Files.walk(Path.of(folder))) {
      return files.filter(f -> f.toString().endsWith(ending)).toList();
    }
  }

  private static List<Path> documents() throws IOException {
    return Stream.concat(
            Stream.of(Path.of("../README.md"), Path.of("../CHANGELOG.md")),
            files("../docs", ".md").stream())
        .toList();
  }

  /** A promise names the test that tries to break it. */
  @Test
  void everyTestThatADocumentNamesIsThere() throws IOException {
    Set<String> tests = new HashSet<>();
    for (String folder : List.of("src/test/java", "../core/src/test/java")) {
      for (Path file : files(folder, "Test.java")) {
        tests.add(file.getFileName().toString().replace(".java", ""));
      }
    }
    for (Path document : documents()) {
      assertThat(found(TEST, Files.readString(document), 0)).as("%s", document).isSubsetOf(tests);
    }
    assertThat(found(TEST, Files.readString(Path.of("../docs/security.md")), 0))
        .hasSizeGreaterThan(20);
  }

  @Test
  void everyFileThatADocumentLinksIsThere() throws IOException {
    for (Path document : documents()) {
      assertThat(found(LINK, Files.readString(document), 1))
          .as("%s", document)
          .allMatch(link -> Files.exists(document.resolveSibling(link)));
    }
  }

  private static Set<String> found(Pattern pattern, String text, int group) {
    return pattern
        .matcher(text)
        .results()
        .map((MatchResult r) -> r.group(group))
        .collect(Collectors.toSet());
  }
}
