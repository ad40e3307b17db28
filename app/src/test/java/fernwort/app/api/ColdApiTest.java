package fernwort.app.api;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.net.http.HttpResponse;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Cold, for programs and calendars. */
class ColdApiTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static Client copy;

  @BeforeAll
  static void visit() {
    copy = COPY.client();
  }

  @Test
  void everyWayIsTherePlannedWithWhatStays() throws IOException {
    JsonNode plans = copy.json("/api/v1/rigs/" + COPY.rig("samphire") + "/cold/plans");
    assertThat(plans.valueStream().map(p -> p.get("school").asString()))
        .containsExactly("fall", "air", "antifreeze", "mix");
    for (JsonNode plan : plans) {
      assertThat(plan.get("steps").size()).isPositive();
      assertThat(plan.get("seconds").asDouble()).isPositive();
      assertThat(plan.get("left").valueStream().map(l -> l.get("harm").asString()))
          .doesNotContain("DANGER");
    }
    assertThat(plans.get(2).get("antifreeze_m3").asDouble()).isBetween(1e-4, 2e-3);
  }

  @Test
  void whatIsReadAndTurnedAfterTheSheetCountsToo() throws IOException {
    String rig = COPY.rig("samphire");
    String sheet =
        Client.where(copy.post("/rigs/" + rig + "/cold/school/fall/begin", ""))
            .replaceFirst("https?://[^/]+", "");
    int steps = copy.get(sheet).body().split("id=\"done-").length - 1;
    assertThat(steps).isPositive();
    for (int i = 0; i < steps; i++) {
      copy.post(sheet + "/ticks/" + i, "");
    }
    copy.post(sheet + "/done", "");
    assertThat(copy.get("/rigs/" + rig + "/cold").body()).contains("Nothing breaks.");
    // In February somebody puts the cap on and pours fifteen litres in.
    copy.change("PUT", "/api/v1/rigs/" + rig + "/handles/drain-cap", "{\"position\":\"on\"}");
    copy.change(
        "PUT",
        "/api/v1/rigs/" + rig + "/tanks/tank/reading",
        "{\"amount\":15,\"unit\":\"litres\"}");
    assertThat(copy.get("/rigs/" + rig + "/cold/left").body()).contains("15 L");
    // Its lines are dry still: a run fills them first, unless it is told that they are full.
    String run = "/api/v1/rigs/" + rig + "/run";
    assertThat(lacking(copy.change("POST", run, "{\"seconds\":1}"))).isPositive();
    assertThat(lacking(copy.change("POST", run, "{\"seconds\":1,\"dry\":false}"))).isZero();
  }

  private static double lacking(HttpResponse<String> answer) {
    return JsonMapper.shared().readTree(answer.body()).get("end").get("lacking").asDouble();
  }

  @Test
  void whatFallsDueIsACalendarThatOthersRead() throws IOException, ParserException {
    String file = copy.get("/rigs/" + COPY.rig("samphire") + "/cold/reminders.ics").body();
    Calendar calendar = new CalendarBuilder().build(new java.io.StringReader(file));
    assertThat(calendar.<VEvent>getComponents("VEVENT"))
        .extracting(e -> e.getSummary().getValue())
        // No first frost: nobody gave a forecast for this copy.
        .hasSize(2)
        .allMatch(s -> s.contains("Samphire"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "rigs/RIG/cold/left|{\"steps\":[{\"part\":\"sediment\",\"position\":\"ajar\"}]}|it can be",
        "rigs/RIG/cold/left|{\"steps\":[{\"part\":\"heron\",\"position\":\"open\"}]}|heron",
        "rigs/RIG/cold/left|{\"slope\":{\"pitch\":80,\"roll\":0}}|pitch and roll",
        "rigs/RIG/cold/left|{\"empty_tanks\":[\"pump\"]}|is not a tank",
        "cold/chain|{\"strength_percent\":30,\"pushed_litres\":1}|chain_litres",
        "cold/chain|{\"chain_litres\":[{\"is\":\"hose\",\"litres\":1}],\"strength_percent\":30,\"pushed_litres\":1}|hose",
        "cold/pipe|{\"bore_m\":0,\"wall_m\":0.002,\"insulation_m\":0,\"film_w_m2k\":11,\"start_c\":5,\"air_c\":-5}|inside_diameter_m",
        "cold/tank|{\"litres\":-3,\"area_m2\":1,\"u_w_m2k\":5,\"start_c\":5,\"air_c\":-5}|litres",
        "cold/night|{\"hours\":[0,0],\"outside_c\":[1,2],\"share\":0.5,\"inside_c\":9,\"start_c\":8,\"litres\":3,\"ua_w_k\":2}|follow",
        "cold/dose|{\"litres\":70,\"mg_per_l\":50,\"g_per_100ml\":0,\"left_litres\":1}|g_per_100ml"
      })
  void whatCannotBeIsRefusedByName(String path, String body, String named) throws IOException {
    HttpResponse<String> answer =
        copy.change("POST", "/api/v1/" + path.replace("RIG", COPY.rig("marginalia")), body);
    assertThat(answer.statusCode()).as(answer.body()).isBetween(400, 422);
    assertThat(answer.body()).contains(named);
  }
}
