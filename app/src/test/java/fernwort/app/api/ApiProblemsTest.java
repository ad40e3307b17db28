package fernwort.app.api;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What programs are told when they ask for something that cannot be. */
class ApiProblemsTest {

  private static final JsonMapper JSON = new JsonMapper();

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static Client copy;

  @BeforeAll
  static void visit() {
    copy = COPY.client();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "PUT|tanks/main/reading|{\"amount\":62}|unit",
        "PUT|tanks/main/reading|{\"amount\":\"much\",\"unit\":\"litres\"}|amount",
        "PUT|tanks/main/reading|{\"amount\":null,\"unit\":\"litres\"}|amount",
        "PUT|tanks/main/reading|{\"amount\":1e400,\"unit\":\"litres\"}|amount",
        "PUT|tanks/main/reading|{\"amount\":-3,\"unit\":\"litres\"}|must be from 0",
        "PUT|tanks/main/reading|{\"amount\":20,\"unit\":\"buckets\"}|buckets",
        "PUT|tanks/main/reading|{\"amount\":20,\"unit\":\"litres\",\"at\":\"-9999-01-01T00:00:00Z\"}|before 1970",
        "PUT|tanks/main/reading|{\"amount\":20,\"unit\":\"litres\",\"at\":\"2199-01-01T00:00:00Z\"}|a day ahead",
        "PUT|tanks/main/reading|{\"amount\":20,\"unit\":\"litres\",\"at\":\"yesterday\"}|at",
        "PUT|tanks/heron/reading|{\"amount\":20,\"unit\":\"litres\"}|heron",
        "PUT|tanks/pump/reading|{\"amount\":20,\"unit\":\"litres\"}|is not a tank",
        "PUT|handles/bypass|{\"position\":\"ajar\"}|Bypass",
        "PUT|handles/bypass|{}|position",
        "POST|winter/residual|{\"steps\":[{\"position\":\"off\"}]}|steps.0",
        "POST|winter/residual|{\"steps\":[null]}|steps.0",
        "POST|flows|{\"positions\":{\"pump\":null}}|positions.pump",
        "PUT|handles/bypass|{|line 1",
        "PUT|handles/bypass||body",
        "PUT|habits|{\"people\":7.5,\"pets\":0,\"season\":\"MILD\",\"habits\":[]}|people",
        "PUT|habits|{\"people\":0,\"pets\":0,\"season\":\"MILD\",\"habits\":[]}|People",
        "PUT|habits|{\"people\":2,\"pets\":0,\"season\":\"MILD\",\"habits\":[null]}|habit",
        "PUT|habits|{\"people\":2,\"pets\":0,\"season\":\"DAMP\",\"habits\":[]}|season",
        "GET|handles/bypass/preview||position",
        "GET|handles/bypass/preview?position=ajar||ajar",
        "GET|jobs/no-such-job/plan||no such job",
        "GET|empty?lines=perhaps||lines",
        "GET|empty||Nothing is chosen",
        "GET|sizing/depth||no page",
        "POST|flows|{\"positions\":{\"heron\":\"open\"}}|heron",
        "POST|flows|{\"positions\":{\"bypass\":\"ajar\"}}|ajar",
        "POST|tanks|{\"volumes_l\":{\"main\":4000}}|holds from 0",
        "POST|tanks|{\"volumes_l\":{\"pump\":1}}|is not a tank",
        "POST|ways|{\"slope\":{\"pitch\":80,\"roll\":0}}|pitch and roll",
        "POST|plan?job=no-such-job|{}|no such job",
        "POST|run|{}|seconds",
        "POST|run|{\"seconds\":60,\"acts\":[{\"at\":90,\"part\":\"pump\",\"position\":\"on\"}]}|outside the run",
        "POST|run|{\"seconds\":60,\"acts\":[{\"at\":9,\"part\":\"pump\"}]}|position",
        "POST|run|{\"seconds\":1e9}|out of range",
        "DELETE|habits||kind of request"
      })
  void anErrorIsJsonThatNamesTheFieldOrThingAndNothingIsChanged(
      String verb, String path, String body, String named) throws IOException {
    String before = copy.get("/api/v1/rigs/marginalia/state").body();
    HttpResponse<String> answer =
        copy.change(verb, "/api/v1/rigs/marginalia/" + path, body == null ? "" : body);
    assertThat(answer.statusCode()).as(answer.body()).isBetween(400, 422);
    assertThat(answer.headers().firstValue("Content-Type").orElse(""))
        .startsWith("application/json");
    JsonNode said = JSON.readTree(answer.body());
    assertThat(said.get("sentence").asString())
        .contains(named)
        .endsWith(".")
        .doesNotContain("Exception")
        .doesNotContain("java.");
    assertThat(copy.get("/api/v1/rigs/marginalia/state").body()).isEqualTo(before);
  }

  @Test
  void anAddressThatIsNoneIsJsonToo() throws IOException {
    for (String path : new String[] {"/api/v1/nothing", "/api/v1/rigs/heron/state", "/api/x"}) {
      HttpResponse<String> answer = copy.get(path);
      assertThat(answer.statusCode()).as(path).isEqualTo(404);
      assertThat(JSON.readTree(answer.body()).get("sentence").asString()).isNotEmpty();
    }
  }

  @Test
  void aNumberOfManyDigitsIsANumber() throws IOException {
    HttpResponse<String> kept =
        copy.change(
            "PUT",
            "/api/v1/rigs/marginalia/tanks/main/reading",
            "{\"amount\":33.333333333333336,\"unit\":\"litres\"}");
    assertThat(kept.statusCode()).as(kept.body()).isEqualTo(200);
    JsonNode level = JSON.readTree(kept.body()).at("/levels/main");
    assertThat(level.get("volume").asDouble())
        .isCloseTo(0.0333333333, org.assertj.core.api.Assertions.within(1e-9));
    assertThat(level.get("shown").asString()).isEqualTo("33 L");
  }

  @Test
  void habitsThatAreEmptyLastForEverAndEveryPageSaysSo() throws IOException {
    String habits = copy.get("/api/v1/rigs/samphire/habits").body();
    String none = "{\"people\":2,\"pets\":0,\"season\":\"MILD\",\"habits\":[]}";
    assertThat(copy.change("PUT", "/api/v1/rigs/samphire/habits", none).statusCode())
        .isEqualTo(200);
    for (String page : new String[] {"board", "sizing", "sizing/supply", "sizing/weight"}) {
      HttpResponse<String> shown = copy.get("/rigs/samphire/" + page);
      assertThat(shown.statusCode()).as(page).isEqualTo(200);
      assertThat(shown.body()).doesNotContain("NaN").doesNotContain("Infinity");
    }
    assertThat(copy.get("/api/v1/rigs/samphire/lasts").body())
        .doesNotContain("NaN")
        .doesNotContain("Infinity");
    copy.change("PUT", "/api/v1/rigs/samphire/habits", habits);
  }

  /** Also where a file is what is asked for. */
  @Test
  void theCopyForAPhoneOfARigThatIsNotThereIsRefusedInJson() throws IOException {
    HttpResponse<String> answer = copy.get("/api/v1/rigs/none/pocket");
    assertThat(answer.statusCode()).isEqualTo(404);
    assertThat(JSON.readTree(answer.body()).get("sentence").asString()).contains("no rig");
  }
}
