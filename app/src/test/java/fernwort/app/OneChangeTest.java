package fernwort.app;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Each change is made whole or not at all, and what is kept can be shown. */
class OneChangeTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static Client copy;

  @BeforeAll
  static void visit() {
    copy = COPY.client();
  }

  private static HttpResponse<String> post(String path, String form) throws IOException {
    return copy.post(path, form);
  }

  private static String where(HttpResponse<String> answer) {
    return Client.where(answer);
  }

  /** A rig of one's own, copied from a demo. */
  private static String rig(String from) throws IOException {
    return where(post("/rigs/" + from + "/copy", "")).split("/")[2];
  }

  private static int version(String rig) throws IOException {
    String page = copy.get("/rigs/" + rig + "/rig").body();
    return Integer.parseInt(page.replaceAll("(?s).*name=\"version\" value=\"(\\d+)\".*", "$1"));
  }

  @Test
  void aReadingThatIsRefusedIsNotStoredAndTheRigIsShown() throws IOException {
    String rig = rig("tern");
    for (String at :
        List.of("-9999-01-01T00:00:00Z", "1969-12-31T00:00:00Z", "2999-01-01T00:00:00Z")) {
      HttpResponse<String> refused =
          copy.change(
              "PUT",
              "/api/v1/rigs/" + rig + "/tanks/fore/reading",
              "{\"amount\":20,\"unit\":\"litres\",\"at\":\"" + at + "\"}");
      assertThat(refused.statusCode()).isEqualTo(422);
    }
    assertThat(copy.json("/api/v1/rigs/" + rig + "/state").get("levels").size()).isZero();
    assertThat(copy.get("/rigs/" + rig + "/board").statusCode()).isEqualTo(200);
    assertThat(copy.get("/rigs/" + rig + "/sizing").statusCode()).isEqualTo(200);
  }

  @Test
  void aRehearsalWhosePartIsGoneKeepsNothing() throws IOException {
    String rig = rig("marginalia");
    String run = where(post("/rigs/" + rig + "/rehearse", ""));
    post(run + "/set", "part=bypass&position=open");
    post(run + "/set", "part=rinse&position=cold");
    assertThat(
            post("/rigs/" + rig + "/rig/parts/rinse/remove", "version=" + version(rig))
                .statusCode())
        .isEqualTo(302);
    HttpResponse<String> refused = post(run + "/keep", "");
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("The rig was changed since").contains("Nothing was kept");
    assertThat(copy.json("/api/v1/rigs/" + rig + "/state").at("/positions/bypass").asString())
        .isEqualTo("shut");
  }

  @Test
  void aRehearsalRecordsNoTankThatNobodyRead() throws IOException {
    String rig = rig("marginalia");
    copy.change(
        "PUT",
        "/api/v1/rigs/" + rig + "/tanks/main/reading",
        "{\"amount\":50,\"unit\":\"litres\"}");
    String run = where(post("/rigs/" + rig + "/rehearse", ""));
    assertThat(post(run + "/keep", "").statusCode()).isEqualTo(302);
    JsonNode levels = copy.json("/api/v1/rigs/" + rig + "/state").get("levels");
    assertThat(levels.propertyNames()).containsExactly("main");
    assertThat(levels.at("/main/shown").asString()).isEqualTo("50 L rehearsed");
  }

  @Test
  void whatWasTakenBackDoesNotComeBackUnderItsNumber() throws IOException {
    String rig = rig("tern");
    post("/rigs/" + rig + "/rig/rename", "name=Alpha&version=" + version(rig));
    assertThat(copy.get("/rigs/" + rig + "/board").body()).contains("Alpha");
    post("/rigs/" + rig + "/rig/undo", "");
    post("/rigs/" + rig + "/rig/rename", "name=Beta&version=" + version(rig));
    assertThat(copy.get("/rigs/" + rig + "/board").body()).contains("Beta").doesNotContain("Alpha");
    post("/rigs/" + rig + "/rig/undo", "");
    post("/rigs/" + rig + "/rig/rename", "name=Gamma&version=" + version(rig));
    assertThat(copy.get("/rigs/" + rig + "/board").body()).contains("Gamma").doesNotContain("Beta");
  }

  @Test
  void aRunSheetWhosePartIsGoneShowsWhatItWasAndGoesOn() throws IOException {
    String rig = rig("marginalia");
    String valve = "low-overflow-valve";
    String label =
        copy.get("/api/v1/rigs/" + rig)
            .body()
            .replaceAll(
                "(?s).*\"id\" : \"low-overflow-valve\",\\s*\"label\" : \"([^\"]*)\".*", "$1");
    post("/rigs/" + rig + "/handles/" + valve, "position=open");
    String run = where(post("/rigs/" + rig + "/jobs/drive/begin", ""));
    assertThat(copy.get(run).body()).contains(label + ".");
    assertThat(
            post("/rigs/" + rig + "/rig/parts/" + valve + "/remove", "version=" + version(rig))
                .statusCode())
        .isEqualTo(302);
    HttpResponse<String> sheet = copy.get(run);
    assertThat(sheet.statusCode()).isEqualTo(200);
    assertThat(sheet.body()).contains("no such part any more").contains(label + ".");
    List<Integer> steps = new ArrayList<>();
    java.util.regex.Matcher step =
        java.util.regex.Pattern.compile("id=\"step-(\\d+)\"").matcher(sheet.body());
    while (step.find()) {
      steps.add(Integer.parseInt(step.group(1)));
    }
    for (int number : steps) {
      assertThat(post(run + "/steps/" + number + "/done", "").statusCode()).isEqualTo(302);
    }
    assertThat(copy.get(run).body()).contains("done, and in the log");
  }

  @Test
  void twoOfOneNameAtOnceBothGetAnAddress() throws Exception {
    String file = copy.get("/api/v1/rigs/samphire").body().replace("\"Samphire\"", "\"Twins\"");
    List<Future<HttpResponse<String>>> answers = new ArrayList<>();
    copy.token();
    try (ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor()) {
      for (int i = 0; i < 8; i++) {
        answers.add(threads.submit(() -> copy.change("POST", "/api/v1/rigs", file)));
      }
    }
    HashSet<String> addresses = new HashSet<>();
    for (Future<HttpResponse<String>> answer : answers) {
      assertThat(answer.get().statusCode()).as(answer.get().body()).isEqualTo(201);
      addresses.add(answer.get().headers().firstValue("Location").orElseThrow());
    }
    assertThat(addresses).hasSize(8);
  }

  @Test
  void aFileThatIsAcceptedIsReadableForEverHoweverItIsWritten() throws IOException {
    String compact =
        copy.get("/api/v1/rigs/tern")
            .body()
            .replaceAll("\\n\\s*", "")
            .replace("\"Tern\"", "\"Compact\"");
    HttpResponse<String> taken = copy.change("POST", "/api/v1/rigs", compact);
    assertThat(taken.statusCode()).isEqualTo(201);
    String address = taken.headers().firstValue("Location").orElseThrow();
    assertThat(copy.get(address).body().length()).isGreaterThan(compact.length());
    assertThat(copy.change("POST", "/api/v1/rigs", copy.get(address).body()).statusCode())
        .isEqualTo(201);
  }

  @Test
  void aRowThatCannotBeShownIsSetAsideWithAWordAndNoDeadRig(@TempDir Path own) throws Exception {
    Path database = own.resolve("fernwort.mv.db");
    try (InputStream packed = getClass().getResourceAsStream("/kept/v5.mv.db.gz");
        InputStream in = new GZIPInputStream(packed)) {
      Files.write(database, in.readAllBytes());
    }
    try (Connection connection =
            DriverManager.getConnection(
                "jdbc:h2:file:" + own.resolve("fernwort") + ";DATABASE_TO_LOWER=TRUE", "sa", "");
        Statement statement = connection.createStatement()) {
      statement.execute(
          "update level set read_at = timestamp with time zone '-9999-01-01 00:00:00+00:00'");
    }
    try (OwnCopy old = OwnCopy.start(own)) {
      for (String page : List.of("board", "sizing", "log", "jobs")) {
        assertThat(old.get("/rigs/marginalia/" + page).statusCode()).as(page).isEqualTo(200);
      }
      assertThat(old.get("/rigs/marginalia/board").body())
          .contains("The last reading of Main fresh cannot be shown and is set aside");
      assertThat(old.json("/api/v1/rigs/marginalia/state").get("levels").size()).isZero();
    }
  }

  @Test
  @Tag("sweep")
  void aDemoStartThatWasKilledBeginsAgain(@TempDir Path own) throws Exception {
    Process process = RunningCopy.launch(own, "--demo");
    TimeUnit.MILLISECONDS.sleep(2800);
    process.toHandle().destroyForcibly();
    process.waitFor();
    try (OwnCopy again = OwnCopy.start(own, "--demo")) {
      assertThat(again.json("/api/v1/rigs").size()).isEqualTo(DemoRig.all().size());
      for (DemoRig demo : DemoRig.all()) {
        JsonNode state = again.json("/api/v1/rigs/" + demo.id() + "/state");
        assertThat(state.get("levels").size()).as(demo.id()).isEqualTo(demo.litres().size());
      }
    }
  }
}
