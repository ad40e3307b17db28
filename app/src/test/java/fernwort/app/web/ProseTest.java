package fernwort.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.web.Sources.Reading;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Prose stands in the words of its package, and each sentence is given what it has places for. */
class ProseTest {

  private static final String WORDS = "Says.java";

  /** What is data or a language of its own, by file. */
  private static final Set<String> NO_PROSE =
      Set.of(
          // Names and notes of the demo rigs, and how their lines run.
          "DemoLog.java",
          "LongCoach.java",
          // Letters to be measured, and headers of HTTP.
          "Lettering.java",
          "PagePolicy.java",
          // Words of units, of what is typed, and of two dialects: tables themselves.
          "Measure.java",
          "Scale.java",
          "TypedAmount.java",
          "RegionWords.java",
          // Keys of figures as a rig file names them, and patterns of times.
          "RigFaults.java",
          "Times.java",
          // What says the line that is never shown.
          "EffortExceededException.java");

  /** What stands in each of our sources. */
  private static Map<Path, Reading> ours;

  @BeforeAll
  static void readOurs() throws IOException {
    ours = Sources.readings();
  }

  @Test
  void proseStandsInTheWordsOfItsPackage() {
    List<String> outside = new ArrayList<>();
    ours.forEach((source, reading) -> {
      String name = source.getFileName().toString();
      if (!name.equals(WORDS) && !NO_PROSE.contains(name)) {
        reading.prose().forEach(text -> outside.add(name + ": " + text));
      }
    });
    assertThat(outside).as("goes into Says, under what says it and when").isEmpty();
    assertThat(ours.keySet()).filteredOn(source -> source.endsWith(WORDS)).hasSizeGreaterThan(50);
  }

  @Test
  void everySentenceIsSaidWithWhatItHasPlacesFor() throws IOException {
    Map<Path, Map<String, Set<Integer>>> given = new HashMap<>();
    ours.forEach((source, reading) -> {
      Map<String, Set<Integer>> here =
          given.computeIfAbsent(source.getParent(), p -> new HashMap<>());
      reading
          .given()
          .forEach((name, said) ->
              said.forEach(arguments ->
                  here.computeIfAbsent(name, n -> new HashSet<>()).add(arguments.size())));
    });
    Map<Path, Map<String, Integer>> places = new HashMap<>();
    for (Path room : given.keySet()) {
      Path words = room.resolve(WORDS);
      places.put(room, Files.exists(words) ? places(Files.readString(words)) : Map.of());
    }
    List<String> wrong = new ArrayList<>();
    given.forEach((room, said) ->
        said.forEach((name, counts) -> {
          if (!counts.equals(Set.of(places.get(room).get(name)))) {
            wrong.add("%s in %s is given %s".formatted(name, room, counts));
          }
        }));
    assertThat(wrong).isEmpty();
  }

  private static final Pattern CONSTANT =
      Pattern.compile("(?m)^  ([A-Z][A-Z0-9_]+)\\(((?:[^\"]|\"(?:[^\"\\\\]|\\\\.)*\")*?)\\)[,;]$");

  private static Map<String, Integer> places(String words) {
    Map<String, Integer> places = new HashMap<>();
    CONSTANT
        .matcher(words)
        .results()
        .forEach(constant -> {
          int count = constant.group(2).split("\\{}", -1).length - 1;
          places.put(constant.group(1), count);
        });
    return places;
  }

  @Test
  void proseOutsideIsFoundAndWhatIsNoneIsLeft() {
    Reading reading =
        Sources.reading(
            """
            class A {
              @Operation(summary = "not for people") String a(int n, String x) {
                LOG.info("not this line either");
                if (x.equals("nor what is asked")) {
                  throw new IllegalStateException("nor a fault of ours");
                }
                return n > 1 ? "Close " + x + " first" : Says.OPEN_IT.filled(x, n);
              }
            }
            """);
    assertThat(reading.prose()).containsExactly("Close {} first");
    assertThat(reading.given()).isEqualTo(Map.of("OPEN_IT", List.of(List.of("x", "n"))));
  }
}
