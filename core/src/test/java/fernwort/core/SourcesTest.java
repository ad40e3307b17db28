package fernwort.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What every source holds to: numbers have a name, and parameters a unit. */
class SourcesTest {

  /** As many decimals as were left without a name; each that gets one lowers it. */
  private static final int MOST_UNNAMED = 325;

  /** Decimals that say by themselves what they are. */
  private static final Set<Double> PLAIN = Set.of(0.0, 0.5, 1.0, 2.0, 10.0, 100.0, 1000.0);

  /**
   * Tables: where each part of a made-up coach is, and what each unit is of the one it is counted
   * in.
   */
  private static final Set<String> TABLES = Set.of("LongCoach.java", "Measure.java");

  private static final Pattern QUOTED_OR_SAID =
      Pattern.compile(
          "\"\"\"[\\s\\S]*?\"\"\"|\"(?:\\\\.|[^\"\\\\\\n])*\"|//[^\\n]*|/\\*[\\s\\S]*?\\*/");

  private static final Pattern NAMED =
      Pattern.compile("final [\\w\\[\\]<>, ]+ [A-Z][A-Z_0-9]*\\s*=[^;]*;");

  /** The constants of an enum, a table whose columns have names. */
  private static final Pattern CONSTANT =
      Pattern.compile(
          "(?m)^ {2,4}[A-Z][A-Z_0-9]*\\((?:[^();{]|\\((?:[^();{]|\\([^();{]*\\))*\\))*+\\)[,;]");

  private static final Pattern DECIMAL =
      Pattern.compile("(?<![\\w.])(?:\\d+\\.\\d+(?:[eE]-?\\d+)?|\\d+[eE]-?\\d+)(?![\\w.])");

  private static final Pattern DECLARED =
      Pattern.compile(
          "(/\\*\\*(?:(?!\\*/)[\\s\\S])*?\\*/)\\s*(?:@\\w+(?:\\([^)]*\\))?\\s*)*"
              + "((?:public |static |final |default )*(?:record\\s+\\w+|[\\w<>\\[\\], .?]+\\s+\\w+))"
              + "\\s*\\(([^)]*)\\)");

  private static final Pattern DOUBLE = Pattern.compile("\\bdouble\\s+(\\w+)");

  private static List<Path> sources(String... roots) throws IOException {
    List<Path> all = new ArrayList<>();
    for (String root : roots) {
      try (Stream<Path> files = Files.walk(Path.of(root))) {
        files.filter(f -> f.toString().endsWith(".java")).forEach(all::add);
      }
    }
    return all;
  }

  private static List<String> unnamed(String source) {
    String code = QUOTED_OR_SAID.matcher(source).replaceAll(" ");
    code = CONSTANT.matcher(NAMED.matcher(code).replaceAll("")).replaceAll("");
    return DECIMAL
        .matcher(code)
        .results()
        .map(MatchResult::group)
        .filter(d -> !PLAIN.contains(Double.valueOf(d)))
        .toList();
  }

  @Test
  void fewDecimalsHaveNoName() throws IOException {
    int count = 0;
    for (Path file : sources("src/main/java", "../app/src/main/java")) {
      boolean table = TABLES.contains(file.getFileName().toString());
      count += table ? 0 : unnamed(Files.readString(file)).size();
    }
    assertThat(count).as("give it a name, a unit and a reason").isBetween(1, MOST_UNNAMED);
  }

  @Test
  void aDecimalWithoutANameIsFound() {
    assertThat(
            unnamed(
                """
                /** About 0.3 of it (m). */
                private static final double LEAST = 0.25;
                enum Of { A(0.7), B(0.8); }
                double f(double x) { return 2 * x + 1e-4 * LEAST + 0.5; } // 0.6
                """))
        .containsExactly("0.7", "0.8", "1e-4");
  }

  /** A parameter without a unit, or one alone in a method that says it of what it returns. */
  private static List<String> withoutUnit(String source) {
    List<String> found = new ArrayList<>();
    Matcher declared = DECLARED.matcher(source);
    while (declared.find()) {
      List<String> doubles =
          DOUBLE.matcher(declared.group(3)).results().map(m -> m.group(1)).toList();
      for (String parameter : doubles) {
        if (declared.group(2).contains("public")
            && !hasUnit(declared.group(1), parameter, doubles)) {
          found.add(declared.group(2) + "(" + parameter + ")");
        }
      }
    }
    return found;
  }

  private static boolean hasUnit(String doc, String parameter, List<String> all) {
    Matcher said =
        Pattern.compile("@param\\s+" + parameter + "\\b([\\s\\S]*?)(?=\\n\\s*\\*\\s*@|\\*/)")
            .matcher(doc);
    String text = said.find() ? said.group(1) : all.size() == 1 ? doc : "";
    return Pattern.compile("\\([^)]*\\)|\\b(share|degrees|seconds|times)\\b").matcher(text).find();
  }

  @Test
  void everyPublicDoubleSaysItsUnit() throws IOException {
    List<String> found = new ArrayList<>();
    for (Path file : sources("src/main/java")) {
      withoutUnit(Files.readString(file)).forEach(p -> found.add(file.getFileName() + ": " + p));
    }
    assertThat(found).isEmpty();
  }

  @Test
  void aParameterWithoutAUnitIsFound() {
    String source =
        """
        /**
         * Returns a force.
         *
         * @param mass how heavy it is (kg)
         * @param pull how it is pulled
         */
        public static double of(double mass, double pull) {
        """;
    assertThat(withoutUnit(source)).containsExactly("public static double of(pull)");
  }
}
