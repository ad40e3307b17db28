package fernwort.app.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import fernwort.core.describe.Fittings;
import fernwort.core.format.RigFormat;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Vehicle;
import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The log for programs, and what is learnt from it. */
class LogApiTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static final JsonMapper JSON = JsonMapper.shared();

  private static Client copy;

  @BeforeAll
  static void visit() {
    copy = COPY.client();
  }

  private static final Vehicle VAN =
      new Vehicle(
          Vehicle.Body.VAN,
          -1,
          4,
          2,
          0.6,
          2.6,
          0.2,
          List.of(new Axle("rear", 0, 2000, 1200)),
          Optional.empty());

  private static double number(JsonNode tank, String name) {
    return tank.get(name).asDouble();
  }

  /** A rig with one tank and one tap. */
  private static String rig(JsonNode tank) {
    double length = number(tank, "length_m");
    double width = number(tank, "width_m");
    double height = number(tank, "height_m");
    int steps = tank.get("sender_steps").asInt();
    Gauge gauge = steps > 0 ? Fittings.sender(steps, 0.1, 0.1) : Fittings.stick(0.1, 0.1);
    Kind box =
        Fittings.tank(
            Contents.FRESH,
            new Shape.Box(length, width, height),
            0,
            gauge,
            Fittings.port(
                PortId.of("feed"), TankPort.Use.FEED, 0.1, 0.1, number(tank, "feed_height_m")),
            Fittings.port(
                PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, number(tank, "vent_height_m")));
    return new RigFormat()
        .write(
            RigBuilder.named("Trip")
                .vehicle(VAN)
                .place("box", "Box", "reach in", 0, 0, 1)
                .part("tank", "Tank", 1, 0, 0.7, box)
                .part("tap", "Tap", 1, 0, 0.8, Fittings.fixture(Fixture.Type.TAP, false, 6))
                .line("feed", "Feed", "tank.feed > tap.cold", 12, 1, Material.PEX, 1)
                .build());
  }

  private static JsonNode sent(String verb, String path, String body) throws IOException {
    HttpResponse<String> answer = copy.change(verb, path, body);
    assertThat(answer.statusCode()).as("%s %s: %s", path, body, answer.body()).isBetween(200, 201);
    return JSON.readTree(answer.body());
  }

  /** Puts a trip into a rig of its own and returns the error of what is foretold. */
  private static double foretell(JsonNode trip) throws IOException {
    String at = Client.where(copy.change("POST", "/api/v1/rigs", rig(trip.get("tank"))));
    boolean first = true;
    for (JsonNode event : trip.get("events")) {
      boolean fill = event.get("what").asString().equals("fill");
      String estimate =
          first
              ? ",\"litres_per_person_day\":" + trip.get("assumed_litres_per_person_day").asDouble()
              : "";
      String body =
          fill
              ? "{\"kind\":\"fill\",\"tank\":\"tank\",\"at\":" + event.get("at") + "}"
              : "{\"kind\":\"people\",\"people\":%s,\"at\":%s%s}"
                  .formatted(event.get("people"), event.get("at"), estimate);
      sent("POST", at + "/log", body);
      first = false;
    }
    for (JsonNode reading : trip.get("readings")) {
      sent(
          "PUT",
          at + "/tanks/tank/reading",
          "{\"amount\":%s,\"unit\":\"litres\",\"at\":%s}"
              .formatted(reading.get("litres"), reading.get("at")));
    }
    JsonNode budget = copy.json(at + "/budget?at=" + trip.get("asked_at").asString());
    assertThat(budget.get("enough").asBoolean()).isTrue();
    Instant asked = Instant.parse(trip.get("asked_at").asString());
    Instant truth = Instant.parse(trip.get("truth_fresh_ends").asString());
    Instant expected = Instant.parse(budget.get("fresh").get("ends").get("expected").asString());
    assertThat(Instant.parse(budget.get("fresh").get("ends").get("low").asString()))
        .isBefore(expected);
    return Math.abs(Duration.between(truth, expected).toSeconds())
        / (double) Duration.between(asked, truth).toSeconds();
  }

  @Test
  @Tag("sweep")
  void tripsPutInBySomeProgramAreForetoldAsInTheCore() throws IOException {
    List<Double> errors = new ArrayList<>();
    try (InputStream in = LogApiTest.class.getResourceAsStream("/reference/trips.json")) {
      for (JsonNode trip : JSON.readTree(in)) {
        errors.add(foretell(trip));
      }
    }
    errors.sort(Double::compare);
    assertThat(errors.get(errors.size() / 2)).isLessThan(0.2);
    assertThat(errors.getLast()).isLessThan(1);
  }

  @Test
  void whatPassedACartridgeSlowsTheTapUntilItIsChanged() throws IOException {
    Kind tank =
        Fittings.tank(
            Contents.FRESH,
            new Shape.Box(0.5, 0.5, 0.5),
            0,
            Fittings.stick(0.1, 0.1),
            Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.1, 0.1, 0),
            Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, 0.49));
    Kind filter = new Filter(Filter.Grade.CARBON, 1e-4, 40_000, Optional.of(0.05));
    String file =
        new RigFormat()
            .write(
                RigBuilder.named("Cartridge")
                    .vehicle(VAN)
                    .place("box", "Box", "reach in", 0, 0, 1)
                    .part("tank", "Tank", 1, 0, 0.7, tank)
                    .part("filter", "Filter", 1, 0, 0.2, filter)
                    .part("tap", "Tap", 1, 0, 0.1, Fittings.fixture(Fixture.Type.TAP, false, 6))
                    .line("a", "Feed", "tank.feed > filter.in", 12, 1, Material.PEX, 1)
                    .line("b", "Tap", "filter.out > tap.cold", 12, 1, Material.PEX, 1)
                    .build());
    String rig = Client.where(copy.change("POST", "/api/v1/rigs", file));
    sent("PUT", rig + "/handles/tap", "{\"position\":\"open\"}");
    Instant begin = Instant.now().minus(Duration.ofDays(6));
    read(rig, 120, begin);
    read(rig, 118, Instant.now());
    double clean = flow(rig);
    read(rig, 60, Instant.now().minus(Duration.ofHours(1)));
    double clogged = flow(rig);
    // 60 L of 50 L until it has doubled: loss up 2.2 times, the flow down to two thirds or so.
    assertThat(clogged / clean).isBetween(0.55, 0.85);
    sent("POST", rig + "/log", "{\"kind\":\"upkeep\",\"part\":\"filter\"}");
    assertThat(flow(rig)).isCloseTo(clean, within(0.03 * clean));
  }

  private static void read(String rig, int litres, Instant at) throws IOException {
    sent(
        "PUT",
        rig + "/tanks/tank/reading",
        "{\"amount\":%s,\"unit\":\"litres\",\"at\":\"%s\"}".formatted(litres, at));
  }

  private static double flow(String rig) throws IOException {
    return copy.json(rig + "/flows").get("fixtures").get("tap").asDouble();
  }

  @Test
  void whatIsNotedIsKeptCorrectedAndTakenBackWithItsTrace() throws IOException {
    String rig = "/api/v1/rigs/" + COPY.rig("samphire");
    JsonNode fill =
        sent(
            "POST",
            rig + "/log",
            "{\"kind\":\"fill\",\"tank\":\"tank\",\"litres\":10,\"price\":1.5,\"place\":\"Fairground\"}");
    JsonNode first = copy.json(rig + "/state").get("levels").get("tank");
    assertThat(first.get("shown").asString()).endsWith("as logged");
    JsonNode corrected =
        sent(
            "PUT",
            rig + "/log/" + fill.get("id").asString(),
            "{\"kind\":\"fill\",\"tank\":\"tank\",\"litres\":5,\"place\":\"Fairground\"}");
    double less =
        first.get("volume").asDouble()
            - copy.json(rig + "/state").get("levels").get("tank").get("volume").asDouble();
    assertThat(less).isCloseTo(0.005, within(1e-9));
    sent("DELETE", rig + "/log/" + corrected.get("id").asString(), "");
    JsonNode log = copy.json(rig + "/log?kind=fill&q=fairground");
    assertThat(log).hasSize(2);
    assertThat(log.valueStream().map(e -> e.get("standing").asString()))
        .containsExactlyInAnyOrder("corrected", "taken back");
    assertThat(log.valueStream().filter(e -> !e.get("replaces").asString().isEmpty()))
        .singleElement()
        .satisfies(e -> assertThat(e.get("replaces")).isEqualTo(fill.get("id")));
  }

  @Test
  void aReadingEnteredLaterForEarlierDoesNotRuleTheBoard() throws IOException {
    String rig = "/api/v1/rigs/" + COPY.rig("samphire");
    JsonNode now = copy.json(rig + "/state").get("levels").get("tank");
    String then = Instant.parse(now.get("at").asString()).minus(Duration.ofDays(2)).toString();
    sent(
        "PUT",
        rig + "/tanks/tank/reading",
        "{\"amount\":3,\"unit\":\"litres\",\"at\":\"" + then + "\"}");
    assertThat(copy.json(rig + "/state").get("levels").get("tank")).isEqualTo(now);
    assertThat(copy.json(rig + "/log?kind=reading").valueStream())
        .anyMatch(e -> e.get("at").asString().equals(then));
    // Taken back on the Board, a reading counts in the log no more.
    sent("PUT", rig + "/tanks/tank/reading", "{\"amount\":7,\"unit\":\"litres\"}");
    copy.change("POST", rig + "/undo", "");
    assertThat(copy.json(rig + "/log?kind=reading").get(0).get("standing").asString())
        .isEqualTo("taken back");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "{\"litres\":3}|kind",
        "{\"kind\":\"party\"}|kind",
        "{\"kind\":\"fill\",\"tank\":\"heron\"}|heron",
        "{\"kind\":\"fill\",\"tank\":\"main\",\"litres\":9000}|more than that",
        "{\"kind\":\"fill\"}|tank",
        "{\"kind\":\"haul\",\"tank\":\"main\"}|litres",
        "{\"kind\":\"people\",\"people\":-1}|People",
        "{\"kind\":\"people\",\"people\":2,\"litres_per_person_day\":0}|person",
        "{\"kind\":\"away\",\"at\":\"2026-05-04T08:00:00Z\",\"until\":\"2026-05-03T08:00:00Z\"}|Away",
        "{\"kind\":\"note\"}|note",
        "{\"kind\":\"fill\",\"tank\":\"main\",\"at\":\"2099-01-01T00:00:00Z\"}|ahead"
      })
  void whatCannotBeNotedIsRefusedByName(String body, String named) throws IOException {
    String rig = "/api/v1/rigs/" + COPY.rig("marginalia");
    HttpResponse<String> answer = copy.change("POST", rig + "/log", body);
    assertThat(answer.statusCode()).as(answer.body()).isBetween(400, 422);
    assertThat(answer.body()).contains(named);
  }
}
