package fernwort.app.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.Client;
import fernwort.app.SharedCopy;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Slips that are tried while a page waits, and jobs that fill to a mark, over HTTP. */
class SlipsPagesTest {

  private static final String FILL = "/rigs/marginalia/jobs/fill-main-inlet";
  private static final Pattern LEAVES = Pattern.compile("Leaves (\\d+) harmful");

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static Client copy;

  @BeforeAll
  static void visit() {
    copy = COPY.client();
  }

  /** Asks as a page does, again and again, until what was asked for is there. */
  private static String waited(String path) throws IOException, InterruptedException {
    String body = copy.get(path).body();
    for (int i = 0; i < 100 && body.contains("load delay:"); i++) {
      TimeUnit.MILLISECONDS.sleep(200);
      body = copy.get(path).body();
    }
    assertThat(body).doesNotContain("load delay:");
    return body;
  }

  private static int slips(String body) {
    return body.split("class=\"slip slip-", -1).length - 1;
  }

  // --- slips -------------------------------------------------------------------------------------

  @Test
  void onlyChangesThatMendAreOfferedEachWithTheHarmItLeaves() throws Exception {
    String fixes = waited(FILL + "/slips/fixes");
    assertThat(fixes).contains("fix-float-main").doesNotContain("fix-cap-");
    Matcher leaves = LEAVES.matcher(fixes);
    assertThat(leaves.find()).isTrue();
    String with = waited(FILL + "/slips?fix=float-main");
    assertThat(with).contains("harmful mistakes become");
    assertThat(slips(with)).isPositive().isLessThanOrEqualTo(slips(waited(FILL + "/slips")));
  }

  @Test
  void aChangeThatMendsNothingIsNotTried() throws Exception {
    assertThat(waited(FILL + "/slips?fix=no-such-change"))
        .doesNotContain("harmful mistakes become");
  }

  @Test
  void programsGetTheSlipsOfAJobAtOnceOrAreToldToAskAgain() throws Exception {
    HttpResponse<String> answer = copy.get("/api/v1/rigs/samphire/jobs/pour-tank-filler/slips");
    assertThat(answer.statusCode()).isIn(200, 503);
    JsonNode slips = new JsonMapper().readTree(answer.body());
    if (answer.statusCode() == 200) {
      assertThat(slips.isArray()).isTrue();
      slips.forEach(s -> assertThat(s.get("leads").asString()).endsWith("."));
    }
  }

  // --- to a mark ---------------------------------------------------------------------------------

  @Test
  void aPlanToAMarkIsAskedForLikeAnyOther() throws Exception {
    HttpResponse<String> answer =
        copy.get("/api/v1/rigs/marginalia/jobs/fill-main-inlet~to~90/plan");
    assertThat(answer.statusCode()).isEqualTo(200);
    JsonNode plan = new JsonMapper().readTree(answer.body());
    assertThat(plan.get("trouble").asString("")).isEmpty();
    JsonNode wait = null;
    for (JsonNode step : plan.get("steps")) {
      wait = wait == null && step.has("until") ? step : wait;
    }
    assertThat(wait).isNotNull();
    assertThat(wait.get("until").get("what").asString()).isEqualTo("MARK");
    assertThat(wait.get("until").get("mark").asDouble()).isEqualTo(0.09);
    assertThat(wait.get("levels").get("main").asDouble()).isBetween(0.0899, 0.0901);
  }

  @Test
  void aMarkThatNoTankTakesIsRefusedWithWhatItTakes() throws Exception {
    HttpResponse<String> answer =
        copy.get("/api/v1/rigs/marginalia/jobs/fill-main-inlet~to~900/plan");
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains("Main fresh takes no more than");
  }

  @ParameterizedTest
  @ValueSource(strings = {"fill-main-inlet~to~", "fill-main-inlet~to~x", "rest~to~20"})
  void aJobThatIsNoneIsNotFound(String job) throws Exception {
    assertThat(copy.get("/api/v1/rigs/marginalia/jobs/" + job + "/plan").statusCode())
        .isBetween(400, 499);
  }

  @ParameterizedTest
  @CsvSource({"-3, above nothing", "0, above nothing", "much, The mark", "20 furlongs, The mark"})
  void aMarkThatIsNoneIsRefusedInWords(String amount, String words) throws Exception {
    HttpResponse<String> answer = copy.get(FILL + "/to?amount=" + amount.replace(" ", "%20"));
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains(words);
  }

  @Test
  void aMarkThatWasTypedBecomesTheNameOfTheJob() throws Exception {
    HttpResponse<String> answer = copy.get(FILL + "/to?amount=24%20gal");
    String there =
        answer.headers().firstValue("Location").orElse("") + answer.uri() + answer.body();
    assertThat(there).contains("fill-main-inlet~to~90.8");
  }
}
