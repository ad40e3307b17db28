package fernwort.app.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Draining, antifreeze, frost and doses, against answers that were worked out by brute force. */
class ColdCasesTest {

  private static final JsonMapper JSON = new JsonMapper();

  /** Nearer to nothing than this is nothing, whatever the relative tolerance. */
  private static final double LEAST = 1e-9;

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static Client copy;

  @BeforeAll
  static void visit() {
    copy = COPY.client();
  }

  @TestFactory
  Stream<DynamicTest> casesHold() throws IOException {
    try (InputStream in = ColdCasesTest.class.getResourceAsStream("/reference/cold.json")) {
      return JSON.readTree(in).valueStream().toList().stream()
          .map(c -> DynamicTest.dynamicTest(c.get("id").asString(), () -> hold(c)));
    }
  }

  private static void hold(JsonNode c) {
    String id = c.get("id").asString();
    if (c.has("rig")) {
      drains(c);
    } else if (id.startsWith("open-antifreeze")) {
      JsonNode answer = ask("/api/v1/cold/chain", c);
      Offset<Double> strength = within(c.get("absolute_tolerance_percent").asDouble());
      each(answer, c, "strength_in_each", strength);
      each(answer, c, "freezing_point_in_each", within(c.get("absolute_tolerance_c").asDouble()));
      near(answer, c, "strength_at_outlet", strength);
    } else {
      Map<String, List<String>> results =
          Map.of(
              "pipe", List.of("hours_to_zero", "hours_to_fifth_ice"),
              "tank", List.of("hours_to_zero", "watts_to_hold_2c"),
              "night", List.of("lowest_c", "hours_to_zero"),
              "dose", List.of("millilitres", "changes"));
      String kind = results.keySet().stream().filter(id::contains).findFirst().orElseThrow();
      JsonNode answer = ask("/api/v1/cold/" + kind, c);
      double relative = c.get("relative_tolerance").asDouble();
      for (String name : results.get(kind)) {
        double tolerance =
            name.endsWith("_c")
                ? c.get("absolute_tolerance_c").asDouble()
                : relative * Math.abs(c.get(name).asDouble(0)) + LEAST;
        near(answer, c, name, within(tolerance));
      }
    }
  }

  private static void drains(JsonNode c) {
    try {
      HttpResponse<String> added = copy.change("POST", "/api/v1/rigs", c.get("rig").toString());
      assertThat(added.statusCode()).as(added.body()).isEqualTo(201);
      String rig = "/api/v1/rigs/" + JSON.readTree(added.body()).get("id").asString();
      JsonNode answer = ask(rig + "/cold/left", c);
      amounts(answer.get("lines"), c, "lines_m3");
      amounts(answer.get("bodies"), c, "bodies_m3");
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private static void amounts(JsonNode answer, JsonNode c, String name) {
    for (Map.Entry<String, JsonNode> one : c.get(name).properties()) {
      double expected = one.getValue().asDouble();
      double tolerance =
          c.get("absolute_tolerance_m3").asDouble()
              + c.get("relative_tolerance").asDouble() * expected;
      assertThat(answer.get(one.getKey()).asDouble())
          .as(name + " " + one.getKey())
          .isCloseTo(expected, within(tolerance));
    }
  }

  private static void each(JsonNode answer, JsonNode c, String name, Offset<Double> tolerance) {
    assertThat(answer.get(name).size()).isEqualTo(c.get(name).size());
    for (int i = 0; i < c.get(name).size(); i++) {
      assertThat(answer.get(name).get(i).asDouble())
          .as(name + " " + i)
          .isCloseTo(c.get(name).get(i).asDouble(), tolerance);
    }
  }

  private static void near(JsonNode answer, JsonNode c, String name, Offset<Double> tolerance) {
    if (c.get(name).isNull()) {
      assertThat(answer.get(name).isNull()).as(name).isTrue();
    } else {
      assertThat(answer.get(name).asDouble()).as(name).isCloseTo(c.get(name).asDouble(), tolerance);
    }
  }

  /** Asks with what the case gives, and without its answers. */
  private static JsonNode ask(String path, JsonNode c) {
    ObjectNode body = ((ObjectNode) c).deepCopy();
    body.remove(List.of("id", "what", "rig"));
    try {
      HttpResponse<String> answer = copy.change("POST", path, body.toString());
      assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
      return JSON.readTree(answer.body());
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }
}
