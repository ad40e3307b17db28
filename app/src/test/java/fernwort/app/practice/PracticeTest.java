package fernwort.app.practice;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.OwnCopy;
import java.io.IOException;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
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
}
