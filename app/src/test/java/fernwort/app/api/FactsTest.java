package fernwort.app.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Small rigs in given states, and what must be true of the answers to programs: worked out apart,
 * by formulas or by hand.
 */
class FactsTest {

  private static final JsonMapper JSON = new JsonMapper();
  private static final double LITRES_PER_MINUTE = 60_000;

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static Client copy;

  @BeforeAll
  static void visit() {
    copy = COPY.client();
  }

  private static JsonNode reference(String name) throws IOException {
    try (InputStream in = FactsTest.class.getResourceAsStream("/reference/" + name)) {
      return JSON.readTree(in);
    }
  }

  // --- plans, warnings, slips --------------------------------------------------------------------

  @TestFactory
  Stream<DynamicTest> factsHold() throws IOException {
    JsonNode all = reference("facts.json");
    return all.get("facts")
        .valueStream()
        .map(f -> DynamicTest.dynamicTest(f.get("id").asString(), () -> hold(all, f)));
  }

  private static void hold(JsonNode all, JsonNode fact) throws IOException {
    String rig = add(all.get("rigs").get(fact.get("rig").asString()));
    for (Map.Entry<String, JsonNode> tank : fact.path("litres").properties()) {
      String reading = "{\"amount\":%s,\"unit\":\"litres\"}".formatted(tank.getValue());
      change("PUT", rig + "/tanks/" + tank.getKey() + "/reading", reading);
    }
    for (Map.Entry<String, JsonNode> part : fact.path("positions").properties()) {
      change(
          "PUT", rig + "/handles/" + part.getKey(), "{\"position\":%s}".formatted(part.getValue()));
    }
    JsonNode ask = fact.get("ask");
    String path =
        ask.isString()
            ? "/" + ask.asString()
            : ask.has("job")
                ? "/jobs/" + ask.get("job").asString() + "/plan"
                : "/jobs/" + ask.get("slips").asString() + "/slips";
    JsonNode answer = JSON.readTree(copy.get(rig + path).body());
    for (JsonNode expected : fact.get("expect")) {
      check(rig, expected, answer, fact.get("what").asString());
    }
  }

  private static String add(JsonNode rig) throws IOException {
    HttpResponse<String> added = copy.change("POST", "/api/v1/rigs", rig.toString());
    assertThat(added.statusCode()).as(added.body()).isEqualTo(201);
    return "/api/v1/rigs/" + JSON.readTree(added.body()).get("id").asString();
  }

  private static JsonNode change(String verb, String path, String body) throws IOException {
    HttpResponse<String> answer = copy.change(verb, path, body);
    assertThat(answer.statusCode()).as(path + " " + answer.body()).isEqualTo(200);
    return JSON.readTree(answer.body());
  }

  private static void check(String rig, JsonNode e, JsonNode answer, String what)
      throws IOException {
    switch (e.get("that").asString()) {
      case "step-before" -> {
        int first = step(answer, e.get("first"));
        int then = step(answer, e.get("then"));
        assertThat(first).as("%s: %s", what, answer).isNotNegative().isLessThan(then);
      }
      case "has-step" -> assertThat(step(answer, e.get("step"))).as(what).isNotNegative();
      case "no-trouble" -> {
        assertThat(answer.get("trouble").asString()).as(what).isEmpty();
        assertThat(answer.get("steps")).as(what).isNotEmpty();
      }
      case "ends" -> {
        Map<String, String> at = new TreeMap<>();
        JsonNode now = JSON.readTree(copy.get(rig + "/state").body()).get("positions");
        now.properties().forEach(p -> at.put(p.getKey(), p.getValue().asString()));
        answer
            .get("steps")
            .valueStream()
            .filter(s -> s.has("part"))
            .forEach(s -> at.put(s.get("part").asString(), s.get("to").asString()));
        e.get("positions")
            .properties()
            .forEach(
                p -> assertThat(at.get(p.getKey())).as(what).isEqualTo(p.getValue().asString()));
      }
      case "listed" ->
          assertThat(answer.valueStream().map(j -> j.get("id").asString()))
              .as(what)
              .anyMatch(id -> id.startsWith(e.get("job").asString()));
      case "warns" -> assertThat(warned(e, answer)).as("%s: %s", what, answer).isNotEmpty();
      case "warns-not" -> assertThat(warned(e, answer)).as(what).isEmpty();
      case "slip-grade" -> {
        List<String> grades =
            answer
                .valueStream()
                .filter(s -> s.get("kind").equals(e.get("kind")))
                .filter(s -> !e.has("step") || s.get("step").equals(e.get("step")))
                .map(s -> s.get("grade").asString())
                .toList();
        assertThat(grades)
            .as("%s: %s", what, answer)
            .isNotEmpty()
            .isSubsetOf(texts(e.get("grades")));
      }
      case "flow" -> {
        JsonNode at = answer;
        for (JsonNode part : e.get("path")) {
          at = at.path(part.asString());
        }
        assertThat(at.asDouble(0) * LITRES_PER_MINUTE)
            .as(what)
            .isBetween(e.get("low").asDouble(), e.get("high").asDouble());
      }
      default -> throw new IllegalStateException("no such kind of fact: " + e);
    }
  }

  private static int step(JsonNode plan, JsonNode step) {
    JsonNode steps = plan.get("steps");
    for (int i = 0; i < steps.size(); i++) {
      if (steps.get(i).path("part").equals(step.get(0))
          && steps.get(i).path("to").equals(step.get(1))) {
        return i;
      }
    }
    return -1;
  }

  private static List<JsonNode> warned(JsonNode e, JsonNode warnings) {
    List<String> codes = texts(e.get("codes"));
    List<String> severities = e.has("severity") ? texts(e.get("severity")) : List.of();
    return warnings
        .valueStream()
        .filter(w -> codes.contains(w.get("code").asString()))
        .filter(w -> severities.isEmpty() || severities.contains(w.get("severity").asString()))
        .toList();
  }

  private static List<String> texts(JsonNode of) {
    List<String> texts = new ArrayList<>();
    of.forEach(t -> texts.add(t.asString()));
    return texts;
  }

  // --- water in motion ---------------------------------------------------------------------------

  @TestFactory
  Stream<DynamicTest> runsHold() throws IOException {
    JsonNode all = reference("runs.json");
    return all.get("cases")
        .valueStream()
        .map(c -> DynamicTest.dynamicTest(c.get("id").asString(), () -> run(all.get("rigs"), c)));
  }

  private static void run(JsonNode rigs, JsonNode c) throws IOException {
    switch (c.get("id").asString()) {
      case "open-cascade" -> cascade(add(rigs.get("cascade")), c);
      case "open-timed-tap" ->
          assertThat(gain(add(rigs.get("timed")), c))
              .isCloseTo(c.get("l_per_min").asDouble(), relative(c, "l_per_min"));
      case "open-vent-air" -> {
        JsonNode flows = change("POST", add(rigs.get("breath")) + "/flows", overlay(c));
        assertThat(flows.get("air").get("tank").asDouble())
            .isCloseTo(
                c.get("air_pressure_pa_near").asDouble(), relative(c, "air_pressure_pa_near"));
      }
      case "open-crest-level" ->
          assertThat(gain(add(rigs.get("crest")), c))
              .isLessThan(c.get("l_per_min_below").asDouble());
      case "open-crest-nose-up" ->
          assertThat(gain(add(rigs.get("crest")), c))
              .isBetween(
                  c.get("l_per_min_between").get(0).asDouble(),
                  c.get("l_per_min_between").get(1).asDouble());
      case "open-lobes" -> lobes(rigs.get("breath"), c);
      default -> throw new IllegalStateException("no such case: " + c);
    }
  }

  private static org.assertj.core.data.Offset<Double> relative(JsonNode c, String of) {
    return within(c.get("relative_tolerance").asDouble() * c.get(of).asDouble());
  }

  private static String overlay(JsonNode c) {
    return c.get("overlay").toString();
  }

  private static double gain(String rig, JsonNode c) throws IOException {
    return change("POST", rig + "/flows", overlay(c)).get("tanks").get("tank").asDouble()
        * LITRES_PER_MINUTE;
  }

  private static void cascade(String rig, JsonNode c) throws IOException {
    ObjectNode body = (ObjectNode) c.get("overlay").deepCopy();
    body.set("seconds", c.get("seconds"));
    body.set("acts", c.get("acts"));
    JsonNode answer = change("POST", rig + "/run", body.toString());
    c.get("end_litres")
        .properties()
        .forEach(t ->
            assertThat(answer.get("end").get("tanks").get(t.getKey()).asDouble() * 1000)
                .as(t.getKey())
                .isCloseTo(t.getValue().asDouble(), within(c.get("litres_within").asDouble())));
    double ground = c.get("first_ground_seconds").asDouble();
    assertThat(
            answer
                .get("events")
                .valueStream()
                .filter(e -> e.get("what").asString().equals("RUNS_OUT"))
                .findFirst()
                .orElseThrow()
                .get("at")
                .asDouble())
        .isCloseTo(ground, within(c.get("first_ground_within").asDouble() * ground));
    assertThat(answer.get("events").size()).as("running over is one event").isLessThan(40);
  }

  /** Two lobes and a bridge on top, as boxes, in the place of another rig's tank. */
  private static void lobes(JsonNode rig, JsonNode c) throws IOException {
    double[] lobe = c.get("lobe").valueStream().mapToDouble(JsonNode::asDouble).toArray();
    double gap = c.get("gap").asDouble();
    double bridge = c.get("bridge_height").asDouble();
    String block = "{\"x\":%s,\"y\":0,\"z\":%s,\"length\":%s,\"width\":%s,\"height\":%s}";
    String blocks =
        String.join(
            ",",
            block.formatted(0, 0, lobe[0], lobe[1], lobe[2] - bridge),
            block.formatted(lobe[0] + gap, 0, lobe[0], lobe[1], lobe[2] - bridge),
            block.formatted(0, lobe[2] - bridge, 2 * lobe[0] + gap, lobe[1], bridge));
    JsonNode tank =
        JSON.readTree(
            """
            {"type":"tank","contents":"fresh","wall":0.0,
             "shape":{"type":"straddling","blocks":[%s]},
             "tankPorts":[
               {"id":"in","use":"fill","at":{"x":0.1,"y":0.1,"z":0.5}},
               {"id":"air","use":"vent","at":{"x":0.3,"y":0.1,"z":0.51}},
               {"id":"out","use":"feed","at":{"x":%s,"y":0.1,"z":%s}}],
             "gauge":{"kind":"stick","steps":0,"x":0.1,"y":0.1},
             "highestPressure":5000.0,"lowestPressure":-2000.0}\
            """
                .formatted(blocks, lobe[0] + gap + 0.1, c.get("outlet")));
    JsonNode changed = rig.deepCopy();
    for (JsonNode part : changed.get("parts")) {
      if (part.get("id").asString().equals("tank")) {
        ((ObjectNode) part).set("kind", tank);
      }
    }
    JsonNode tanks = change("POST", add(changed) + "/tanks", "{}");
    assertThat(tanks.get("tank").get("stranded").asDouble())
        .isCloseTo(c.get("stranded_litres").asDouble(), relative(c, "stranded_litres"));
  }
}
