package fernwort.app.practice;

import static fernwort.app.live.Mosquitto.until;
import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.OwnCopy;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.PracticeDesk;
import java.io.IOException;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Drills by the interface for programs and by the page; no rig is touched. */
class PracticeTest {

  private static final String DRILLS = "/api/v1/rigs/tern/drills";

  @TempDir static Path home;
  private static OwnCopy copy;

  @BeforeAll
  static void start() {
    copy = OwnCopy.start(home, "--demo");
  }

  @AfterAll
  static void stop() {
    copy.close();
  }

  private static JsonNode json(HttpResponse<String> answer) {
    return JsonMapper.shared().readTree(answer.body());
  }

  private static JsonNode drawn() throws IOException {
    HttpResponse<String> answer =
        copy.change("POST", DRILLS, "{\"kind\":\"job\",\"person\":\"ida\",\"hard\":1}");
    assertThat(answer.statusCode()).isEqualTo(201);
    return json(answer);
  }

  private static JsonNode judged(JsonNode drill, String acts) throws IOException {
    HttpResponse<String> answer =
        copy.change("POST", DRILLS + "/" + drill.get("id").asString() + "/done", acts);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    return json(answer);
  }

  @Test
  void whoDoesNothingIsToldTheRightWayAndWhoGoesItPasses() throws IOException {
    String before = copy.get("/api/v1/rigs/tern/state").body();
    JsonNode drill = drawn();
    assertThat(drill.get("job").asString()).isNotBlank();
    assertThat(drill.get("positions").size()).isGreaterThan(10);
    JsonNode nothing = judged(drill, "{\"acts\":[]}");
    assertThat(nothing.get("passed").asBoolean()).isFalse();
    assertThat(nothing.get("right").size()).isGreaterThan(1);
    StringBuilder acts = new StringBuilder();
    for (JsonNode act : nothing.get("right")) {
      acts.append(acts.isEmpty() ? "" : ",").append(act);
    }
    JsonNode right = judged(drill, "{\"acts\":[" + acts + "]}");
    assertThat(right.get("turns").asInt()).isEqualTo(right.get("best").asInt());
    assertThat(right.get("grade").asString()).isEqualTo("harmless");
    assertThat(copy.get("/api/v1/rigs/tern/state").body()).isEqualTo(before);
  }

  @Test
  void whatCannotBeIsRefusedWithASentence() throws IOException {
    assertThat(copy.change("POST", DRILLS, "{\"kind\":\"dance\"}").statusCode()).isEqualTo(422);
    assertThat(copy.change("POST", DRILLS + "/nothing/done", "{\"acts\":[]}").statusCode())
        .isEqualTo(404);
    String done = DRILLS + "/" + drawn().get("id").asString() + "/done";
    for (String act :
        new String[] {
          "{\"part\":\"nothing\",\"position\":\"on\"}", "{\"part\":\"pump\"}", "{\"seconds\":-1}"
        }) {
      HttpResponse<String> refused = copy.change("POST", done, "{\"acts\":[" + act + "]}");
      assertThat(refused.statusCode()).as(act).isEqualTo(422);
    }
  }

  @Test
  void onThePageAJobIsDonePressByPress() throws IOException {
    JsonNode drill = drawn();
    String page = "/rigs/tern/practise/" + drill.get("id").asString();
    Document board = Jsoup.parse(copy.get(page).body());
    assertThat(board.select(".practice-band").text()).contains("Nothing here is real");
    assertThat(board.select("h1").text()).isEqualTo(drill.get("words").asString());
    String turned = page + "?act=" + URLEncoder.encode("turn~pump~on", StandardCharsets.UTF_8);
    Document after = Jsoup.parse(copy.get(turned).body());
    assertThat(after.select("li:contains(Pump) a[aria-current=true]").eachText())
        .contains("switched on");
    Document judged = Jsoup.parse(copy.get(turned + "&done=true").body());
    assertThat(judged.text()).contains("The right way");
    assertThat(copy.get(page + "?act=turn~nothing~on").statusCode()).isEqualTo(422);
    assertThat(copy.get(page + "?act=dance").statusCode()).isEqualTo(422);
  }

  private static JsonNode drawn(String kind) throws IOException {
    HttpResponse<String> answer =
        copy.change("POST", DRILLS, "{\"kind\":\"" + kind + "\",\"person\":\"Ida\"}");
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(201);
    return json(answer);
  }

  @Test
  void whereTheWaterGoesIsJudgedPlaceByPlaceAndShownOnThePage() throws IOException {
    JsonNode drill = drawn("what-if");
    JsonNode nothing = judged(drill, "{\"places\":[]}");
    assertThat(nothing.get("passed").asBoolean()).isFalse();
    assertThat(nothing.get("missed").size()).isPositive();
    assertThat(
            judged(drill, "{\"places\":" + nothing.get("missed") + "}").get("passed").asBoolean())
        .isTrue();
    String page = "/rigs/tern/practise/" + drill.get("id").asString();
    Document asked = Jsoup.parse(copy.get(page).body());
    assertThat(asked.select("li a.button")).hasSize(drill.get("places").size());
    assertThat(asked.select(".to-pick-whole a.pick")).isNotEmpty();
    Document told = Jsoup.parse(copy.get(page + "?done=true").body());
    assertThat(told.text()).contains("Not quite", "missed: water goes there");
  }

  @Test
  void aHoseThatIsOffIsStoppedByOneTurnAgainstTheClock() throws IOException {
    JsonNode drill = drawn("emergency");
    assertThat(drill.has("line") ^ drill.has("tank")).isTrue();
    String page = "/rigs/tern/practise/" + drill.get("id").asString();
    assertThat(Jsoup.parse(copy.get(page).body()).text())
        .containsPattern("is off|leaks|is full and runs over");
    JsonNode right = judged(drill, "{\"acts\":[]}").get("right");
    assertThat(right.size()).isPositive();
    assertThat(judged(drill, "{\"acts\":[" + right.get(0) + "]}").get("passed").asBoolean())
        .isTrue();
    String turn =
        right.get(0).get("part").asString() + "~" + right.get(0).get("position").asString();
    Document told =
        Jsoup.parse(
            copy.get(page + "?act=" + URLEncoder.encode("turn~" + turn, StandardCharsets.UTF_8))
                .body());
    assertThat(told.text()).contains("that stops it");
  }

  @Test
  void aHiddenFaultIsLookedForAndNamed() throws IOException {
    JsonNode drill = drawn("find");
    String at = DRILLS + "/" + drill.get("id").asString();
    JsonNode sign = drill.get("sign");
    assertThat(sign.get("value").asString()).isNotBlank();
    HttpResponse<String> look =
        copy.change(
            "POST",
            at + "/look",
            "{\"kind\":\""
                + sign.get("kind").asString()
                + "\",\"part\":\""
                + sign.get("part").asString()
                + "\",\"positions\":"
                + sign.get("positions")
                + "}");
    assertThat(look.statusCode()).as(look.body()).isEqualTo(200);
    JsonNode wrong =
        judged(drill, "{\"fault\":{\"part\":\"gray\",\"fault\":\"draws-air\"},\"looks\":3}");
    assertThat(wrong.get("passed").asBoolean()).isFalse();
    JsonNode found = judged(drill, "{\"fault\":" + wrong.get("was") + ",\"looks\":3}");
    assertThat(found.get("passed").asBoolean()).isTrue();
    if (found.has("best")) {
      assertThat(found.get("best").asInt()).isBetween(0, 15);
    }
    assertThat(copy.change("POST", at + "/look", "{}").statusCode()).isEqualTo(422);
    Document page =
        Jsoup.parse(copy.get("/rigs/tern/practise/" + drill.get("id").asString()).body());
    assertThat(page.select("select[name=act] option").size()).isGreaterThan(50);
    Document looked =
        Jsoup.parse(
            copy.get("/rigs/tern/practise/" + drill.get("id").asString() + "?act=0&act=is0")
                .body());
    assertThat(looked.text()).contains("You took 1 looks");
  }

  /** The first outcome counts: what is tried again after the right way was shown passes nothing. */
  private static Optional<List<PracticeDesk.Lesson>> handOver(String person) {
    return copy.bean(PracticeDesk.class)
        .handOver(copy.bean(Descriptions.class).open("samphire"), person);
  }

  @Test
  void whatSomebodyPassedIsKeptUnderTheirNameAndAHandOverShowsIt() throws IOException {
    assertThat(until(() -> handOver("Ida").isPresent())).isTrue();
    Document five = Jsoup.parse(copy.get("/rigs/samphire/practise/hand-over").body());
    assertThat(five.select("form input[name=job]").size()).isBetween(1, 5);
    assertThat(five.text()).contains("It prevents:", "0 of");
    PracticeDesk desk = copy.bean(PracticeDesk.class);
    OpenRig rig = copy.bean(Descriptions.class).open("samphire");
    String job = five.select("form input[name=job]").getFirst().val();
    PracticeDesk.Open drill = desk.draw(rig, "Ida", job);
    var right = desk.judge(rig, desk.draw(rig, "", job), List.of()).right();
    assertThat(right).isNotEmpty();
    desk.remember(drill, true);
    desk.remember(drill, false);
    assertThat(desk.progress(rig, "Ida"))
        .singleElement()
        .satisfies(k -> {
          assertThat(k.what()).isEqualTo("job:" + job);
          assertThat(k.passedOn()).isPresent();
          assertThat(k.box()).isEqualTo(1);
        });
    assertThat(desk.isMissed(drill)).isFalse();
    PracticeDesk.Open missed = desk.draw(rig, "Bo", job);
    desk.remember(missed, false);
    desk.remember(missed, true);
    assertThat(desk.isMissed(missed)).isTrue();
    assertThat(handOver("Ida").orElseThrow().getFirst().passedOn()).isPresent();
    assertThat(handOver("Bo").orElseThrow().getFirst().passedOn()).isEmpty();
  }
}
