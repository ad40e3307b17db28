package fernwort.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.assertj.core.data.Percentage;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The cases whose answers were worked out independently. */
public final class Reference {

  private Reference() {}

  /** Returns the cases whose names begin with one of these; fails when there is none. */
  public static Stream<JsonNode> cases(String... prefixes) {
    List<JsonNode> chosen =
        all("cases.json").stream()
            .filter(c -> Stream.of(prefixes).anyMatch(p -> c.get("id").asString().startsWith(p)))
            .toList();
    assertThat(chosen).isNotEmpty();
    return chosen.stream();
  }

  /** Returns all cases of a file. */
  public static List<JsonNode> all(String file) {
    try (InputStream in = Reference.class.getResourceAsStream("/reference/" + file)) {
      List<JsonNode> all = new ArrayList<>();
      new JsonMapper().readTree(in).forEach(all::add);
      return all;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Returns the case with this name. */
  public static JsonNode only(String id) {
    return cases(id).findFirst().orElseThrow();
  }

  /** Returns a number of a case, 0 when it is not given. */
  public static double number(JsonNode c, String name) {
    return c.has(name) ? c.get(name).asDouble() : 0;
  }

  /** Returns how near an answer must come. */
  public static Percentage tolerance(JsonNode c) {
    return withinPercentage(100 * number(c, "relative_tolerance"));
  }
}
