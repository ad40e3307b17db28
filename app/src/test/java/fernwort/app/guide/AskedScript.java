package fernwort.app.guide;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * What somebody answers about a rig, page by page, as a file has it: a heading for each page, then
 * a line for each answer that differs from what stands there.
 *
 * @param pages the answers of each page, in the order of the pages
 */
record AskedScript(Map<String, List<Answer>> pages) {

  /** One answer: a field and what goes into it. */
  record Answer(String field, String value) {}

  static AskedScript of(String name) {
    Map<String, List<Answer>> pages = new LinkedHashMap<>();
    List<Answer> page = new ArrayList<>();
    for (String line : text("/asked/" + name + ".txt").lines().toList()) {
      if (line.startsWith("# ")) {
        page = new ArrayList<>();
        pages.put(line.substring(2).strip(), page);
      } else if (!line.isBlank()) {
        String[] sides = line.split("=", 2);
        page.add(new Answer(sides[0].strip(), sides[1].strip()));
      }
    }
    return new AskedScript(pages);
  }

  private static String text(String path) {
    try (InputStream in = AskedScript.class.getResourceAsStream(path)) {
      return new String(Objects.requireNonNull(in, path).readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
