package fernwort.app.web;

import static java.util.stream.Collectors.joining;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * What pages, sheets and problems say in plain words: no sentence in the sources or the templates
 * uses a word that nobody says across a workbench, or a second name for a thing that has one.
 */
class WordsTest {

  private static final List<Path> SOURCES =
      List.of(Path.of("..", "core", "src", "main", "java"), Path.of("src", "main", "java"));

  private static final Path TEMPLATES = Path.of("src", "main", "resources", "templates");

  /** What a place may be filled by, by how the source names it. */
  private static final Map<Pattern, String> EXAMPLES = new LinkedHashMap<>();

  static {
    EXAMPLES.put(Pattern.compile("(?i)litres|volume|roughly|\\bMOST\\b"), "12 L");
    EXAMPLES.put(Pattern.compile("(?i)mass|weight"), "25 kg");
    EXAMPLES.put(Pattern.compile("(?i)length|height|\\bmm\\(|lift"), "450 mm");
    EXAMPLES.put(Pattern.compile("(?i)pressure"), "1.4 bar");
    EXAMPLES.put(Pattern.compile("(?i)flow"), "6 L/min");
    EXAMPLES.put(Pattern.compile("(?i)temperature|celsius"), "-5 °C");
    EXAMPLES.put(Pattern.compile("(?i)share|percent"), "40 %");
    EXAMPLES.put(Pattern.compile("When\\.hour|clock\\("), "Mon 16:00");
    EXAMPLES.put(Pattern.compile("(?i)when\\(|time|span|days|seconds"), "12 min");
    EXAMPLES.put(Pattern.compile("(?i)date|\\bday\\b"), "2026-05-31");
    EXAMPLES.put(Pattern.compile("(?i)price|cost|paid"), "4.50 €");
    EXAMPLES.put(Pattern.compile("(?i)folder|file|path|database"), "fernwort.json");
    EXAMPLES.put(
        Pattern.compile(
            "(?i)size\\(|count|number|steps|ticks|round|trips|toString\\(|dangers|[0-9]|LONGEST"),
        "3");
    EXAMPLES.put(
        Pattern.compile(
            "(?i)label|name|part|tank|valve|pump|\\btap|title|what|which|who|\\bway|\\bto\\b|from"),
        "Gray dump");
  }

  /** What is said in its place, by what nobody says. */
  private static final Map<Pattern, String> FORBIDDEN = new LinkedHashMap<>();

  private static void forbid(String pattern, String instead) {
    FORBIDDEN.put(Pattern.compile(pattern, Pattern.CASE_INSENSITIVE), instead);
  }

  static {
    forbid("\\breckon", "work out");
    forbid("\\bsheds? the water|\\bby fall\\b", "drain, by gravity");
    forbid("\\bmend(s|ed)?\\b", "fix");
    forbid("\\bupkeep\\b", "maintenance");
    forbid("\\bschools?\\b", "method");
    forbid("\\bput to sleep\\b|\\basleep\\b|\\bwoken\\b|\\bwake it\\b", "winterize, de-winterize");
    forbid("\\bslips?\\b", "mistake");
    forbid("\\bneck\\b|\\bswallow", "filler");
    forbid("\\bfixtures?\\b", "tap");
    forbid("\\bthe mains (push|do|pressure)\\b", "mains water");
    forbid("\\bone in (ten|five)\\b|\\bfour in five\\b|\\bgive or take\\b", "likely");
    forbid("\\bso already\\b", "already");
    forbid("\\btaken? in\\b|\\bput away\\b", "import, archive");
    forbid("\\bjournal\\b", "log");
    forbid("\\bcommissioning\\b", "first fill");
    forbid("\\bshuts?\\b(?!-off)", "closed, close");
    forbid(
        "\\btap (it|one|a|an|another|those|what|where|any)\\b(?! little)", "pick; a tap is opened");
    forbid("\\b(take it|taken) back\\b", "undo");
    forbid("\\bnine in ten\\b|\\bnine of ten\\b", "likely");
    forbid("\\bby its own fall\\b", "by gravity");
    forbid("\\b(is|are) no (whole )?(tank|number|price|port|time|length)\\b", "is not a ...");
    forbid("(^|\\. )(Else|Otherwise)\\b", "what it does for the person");
    forbid("\\bas (the )?(levels?|handles?) stands?\\b", "at these levels, as they are set");
    forbid("^keep (it|them|these)\\b", "save");
  }

  private static final Pattern COMMENT = Pattern.compile("(?s:/\\*.*?\\*/)|(?m:^\\s*//[^\\n]*$)");

  private static final Pattern LITERAL = Pattern.compile("\"((?:[^\"\\\\\\n]|\\\\.)*)\"");

  /** Where one literal goes on in the next. */
  private static final Pattern BROKEN = Pattern.compile("\"\\s*\\+\\s*\"");

  private static final Pattern SENTENCE_END = Pattern.compile("(?<=[.!?:;])\\s+");

  /** How many words a sentence on a page has at most. */
  private static final int LONGEST = 20;

  /** What names a package in the path of its words. */
  private static final Pattern ROOM =
      Pattern.compile(".*[/\\\\]fernwort[/\\\\](.*)[/\\\\]Says\\.java");

  /** A sentence with its name. */
  private static final Pattern CONSTANT =
      Pattern.compile("(?m)^  ([A-Z][A-Z0-9_]+)\\(\\s*\"((?:[^\"\\\\]|\\\\.)*)\"\\)");

  /** What says the sentences below it, and when. */
  private static final Pattern WHEN = Pattern.compile("(?m)^  // (.*)$");

  private static final Path RECORD = Path.of("..", "core", "src", "test", "resources", "read");
  private static final Path DOCUMENT = Path.of("..", "docs", "words.md");
  private static final Path NEW = Path.of("target", "words.md");

  private static final Pattern BETWEEN_TAGS = Pattern.compile(">([^<>]{4,})<");

  private static final Pattern MARKUP = Pattern.compile("<!--.*?-->", Pattern.DOTALL);

  /** Places to be filled, and what is filled in as an example. */
  private static final Pattern PLACE = Pattern.compile("%[-+.0-9]*[sdf]|\\{\\}");

  /** What fills a place: no sentence ends in it. */
  private static final String FILLED = "((?:[^.;\\[\\]]|\\.(?=\\d)){1,40}?)";

  private static final int LEAST_TO_FIND = 6;

  /** What the program said on the rigs of the tests, line by line. */
  private static final List<String> SAID = onRecord();

  /** Words that stand beside names of things in code, which are no sentence. */
  private static boolean isSaid(String text) {
    return text.strip().contains(" ") && text.matches("(?s).*[a-z]{3}.*") && !text.contains("${");
  }

  private static List<String> said(Path file) {
    return said(file, read(file));
  }

  private static List<String> said(Path file, String text) {
    boolean java = file.toString().endsWith(".java");
    String bare = (java ? COMMENT : MARKUP).matcher(text).replaceAll("");
    String plain = java ? BROKEN.matcher(bare).replaceAll("") : bare;
    List<String> said = new ArrayList<>();
    Matcher found = (java ? LITERAL : BETWEEN_TAGS).matcher(plain);
    while (found.find()) {
      if (isSaid(found.group(1))) {
        said.add(plain(found.group(1)));
      }
    }
    return said;
  }

  private static String read(Path file) {
    try {
      return Files.readString(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static List<Path> files(Path root) throws IOException {
    try (Stream<Path> all = Files.walk(root)) {
      return all.filter(p -> p.toString().matches(".*\\.(java|html)")).sorted().toList();
    }
  }

  private static List<Path> all() throws IOException {
    List<Path> all = new ArrayList<>(files(TEMPLATES));
    for (Path root : SOURCES) {
      all.addAll(files(root));
    }
    all.removeIf(file -> file.endsWith("svg-style.html"));
    return all;
  }

  @Test
  void noSentenceIsLongerThanWetHandsHavePatienceFor() throws IOException {
    List<String> wrong = new ArrayList<>();
    for (Path file : all()) {
      for (String text : said(file)) {
        SENTENCE_END
            .splitAsStream(text)
            .filter(sentence -> sentence.split(" ").length > LONGEST)
            .forEach(sentence -> wrong.add(file.getFileName() + ": " + sentence));
      }
    }
    assertThat(wrong).as("over %d words; make two of each", LONGEST).isEmpty();
  }

  /** Everything that is said in one list, so that a person can read it from top to bottom. */
  @Test
  void everySentenceStandsInOneListToBeRead() throws IOException {
    StringBuilder list =
        new StringBuilder(
            """
            # Words

            Every sentence and label that Fernwort says, by the page or the part of the program that
            says it: pages first, then the sentences of each package with what says them and
            when. What is filled in stands as it was said once on one of the tests' rigs, such as
            ‹Gray dump›, or as ‹…› where none of them said it. A test makes this list from the
            sources. Read it with one question for each line: would this sound strange to somebody
            lying under a van?
            """);
    Map<Path, Map<String, List<List<String>>>> given = new HashMap<>();
    Sources.readings()
        .forEach((source, reading) ->
            given
                .computeIfAbsent(source.getParent(), p -> new HashMap<>())
                .putAll(reading.given()));
    for (Path file : all()) {
      String name = file.getFileName().toString().replaceAll("\\.(java|html)$", "");
      if (file.endsWith("Says.java")) {
        list.append("\n# %s\n".formatted(ROOM.matcher(file.toString()).replaceAll("$1")));
        for (String group : read(file).split("(?m)^\\s*$")) {
          String when = WHEN.matcher(group).results().map(r -> r.group(1)).collect(joining(" "));
          list(list, when, file, group, given.getOrDefault(room(file), Map.of()));
        }
      } else {
        list(list, name, file, read(file), Map.of());
      }
    }
    String document = list.toString();
    if (!Files.exists(DOCUMENT) || !document.equals(read(DOCUMENT))) {
      Files.createDirectories(NEW.getParent());
      Files.writeString(NEW, document);
    }
    assertThat(DOCUMENT).as("read app/target/words.md; if it is right, copy it to docs").exists();
    List<String> kept = Files.readAllLines(DOCUMENT);
    Set<String> known = Set.copyOf(kept);
    List<String> said = document.lines().toList();
    assertThat(said)
        .as("read app/target/words.md; if it is right, copy it to docs")
        .filteredOn(line -> !known.contains(line))
        .isEmpty();
    assertThat(kept).as("said no more; copy app/target/words.md to docs").hasSameSizeAs(said);
  }

  private static Path room(Path source) {
    return source.toAbsolutePath().normalize().getParent();
  }

  private static void list(
      StringBuilder list,
      String heading,
      Path file,
      String source,
      Map<String, List<List<String>>> given) {
    Map<String, List<String>> arguments = new HashMap<>();
    CONSTANT
        .matcher(BROKEN.matcher(source).replaceAll(""))
        .results()
        .filter(constant -> given.containsKey(constant.group(1)))
        .forEach(constant ->
            arguments.put(plain(constant.group(2)), given.get(constant.group(1)).getFirst()));
    List<String> lines =
        said(file, source).stream()
            .map(text -> shown(text, arguments.getOrDefault(text, List.of())))
            .distinct()
            .toList();
    if (!lines.isEmpty()) {
      list.append("\n## %s\n\n".formatted(heading));
      lines.forEach(line -> list.append("- %s\n".formatted(line)));
    }
  }

  private static String plain(String text) {
    return text.strip().replaceAll("\\s+", " ");
  }

  private static List<String> onRecord() {
    List<String> lines = new ArrayList<>();
    try (Stream<Path> all = Files.walk(RECORD)) {
      for (Path file : all.filter(p -> p.toString().endsWith(".txt")).sorted().toList()) {
        lines.addAll(Files.readAllLines(file));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return lines.stream().distinct().toList();
  }

  /** Returns a sentence with its places filled as they were once; as they are where they never. */
  private static String shown(String text, List<String> given) {
    String plain = text.replace("\\\"", "\"").replace("%%", "%");
    List<String> between = List.of(PLACE.split(plain, -1));
    if (between.size() < 2) {
      return plain;
    }
    String longest = Collections.max(between, Comparator.comparingInt(String::length));
    if (longest.length() >= LEAST_TO_FIND) {
      Pattern filled =
          Pattern.compile(
              between.stream().map(Pattern::quote).collect(joining(FILLED))
                  + (between.getLast().isEmpty() ? "(?=[.;,]?(\\s|$))" : ""));
      for (String line : SAID) {
        if (line.contains(longest)) {
          Matcher found = filled.matcher(line);
          if (found.find()) {
            return by(between, place -> "‹" + found.group(place + 1) + "›");
          }
        }
      }
    }
    return by(
        between, place -> "‹" + (place < given.size() ? example(given.get(place)) : "…") + "›");
  }

  private static String by(List<String> between, IntFunction<String> filling) {
    StringBuilder text = new StringBuilder(between.getFirst());
    for (int place = 1; place < between.size(); place++) {
      text.append(filling.apply(place - 1)).append(between.get(place));
    }
    return text.toString();
  }

  /** Returns what stands for a value of which only the source is known. */
  private static String example(String source) {
    return EXAMPLES.entrySet().stream()
        .filter(kind -> kind.getKey().matcher(source).find())
        .map(Map.Entry::getValue)
        .findFirst()
        .orElse("…");
  }

  @Test
  void nobodyIsToldAWordThatNobodySays() throws IOException {
    List<String> wrong = new ArrayList<>();
    int sentences = 0;
    for (Path file : all()) {
      for (String text : said(file)) {
        sentences++;
        FORBIDDEN.forEach((pattern, instead) -> {
          if (pattern.matcher(text).find() && !isForPrograms(text)) {
            wrong.add("%s: “%s”; say %s".formatted(file.getFileName(), text, instead));
          }
        });
      }
    }
    assertThat(wrong).isEmpty();
    assertThat(sentences).isGreaterThan(3000);
  }

  /** Names of threads and reasons of exceptions that no page shows. */
  private static boolean isForPrograms(String text) {
    return text.startsWith("no slip is judged")
        || text.equals("trying slips broke off")
        || text.equals("who waits for slips")
        // As files and the database keep it.
        || text.equals("taken back")
        || text.endsWith("it is stands, corrected or taken back");
  }
}
