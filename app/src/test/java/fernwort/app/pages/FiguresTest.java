package fernwort.app.pages;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * Every figure that the pages showed before they were made to answer first is still there: the
 * list, {@code figures.tsv}, says on which page it stands now and what it was called then. One that
 * only comes up at times, such as when a strap does not hold, is looked for in the code of its
 * page.
 */
class FiguresTest {

  private static final Path LIST = Path.of("src", "test", "resources", "figures.tsv");

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static final String CODE = "src/";

  /** What the first of these does not show, the next may. */
  private static final List<String> RIGS =
      List.of("/rigs/marginalia/", "/rigs/tern/", "/rigs/samphire/");

  private static String read(String path) throws IOException {
    return Client.words(COPY.client().get(path).body());
  }

  /** A source with the words of its package. */
  private static String code(Path source) throws IOException {
    Path words = source.resolveSibling("Says.java");
    return Files.readString(source) + (Files.exists(words) ? Files.readString(words) : "");
  }

  @Test
  void noFigureIsLost() throws IOException {
    Map<String, String> shown = new HashMap<>();
    List<String> lost = new ArrayList<>();
    List<String> list = Files.readAllLines(LIST);
    for (String line : list) {
      String[] cells = line.split("\t", -1);
      Pattern figure = figure(cells[1]);
      boolean found = false;
      for (String rig : cells[0].startsWith(CODE) ? List.of("") : RIGS) {
        String at = rig + cells[0];
        if (!found && !shown.containsKey(at)) {
          shown.put(at, rig.isEmpty() ? code(Path.of(at)) : read(at));
        }
        found = found || figure.matcher(shown.getOrDefault(at, "")).find();
      }
      if (!found) {
        lost.add(cells[0] + ": " + cells[1]);
      }
    }
    assertThat(list).hasSizeGreaterThan(200);
    assertThat(lost).isEmpty();
  }

  /** The words of a figure, with anything where something is filled in. */
  private static Pattern figure(String words) {
    List<String> between = List.of(words.split("%[.0-9]*[sdf]", -1));
    return Pattern.compile(String.join(".{1,60}?", between.stream().map(Pattern::quote).toList()));
  }
}
