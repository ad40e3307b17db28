package fernwort.app.security;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.RunningCopy;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SecurityTest {

  @TempDir static Path data;
  private static RunningCopy copy;

  @BeforeAll
  static void start() throws IOException {
    copy = RunningCopy.start(data, "--demo");
  }

  @AfterAll
  static void stop() {
    copy.close();
  }

  @Test
  void pagesMayLoadNothingFromElsewhereAndHaveNothingInline() throws IOException {
    HttpResponse<String> page = copy.get("/rigs/marginalia/board");
    assertThat(page.headers().firstValue("Content-Security-Policy").orElse(""))
        .contains("default-src 'none'")
        .doesNotContain("unsafe");
    assertThat(page.body())
        .doesNotContain(" style=")
        .doesNotContain(" onclick")
        .doesNotContain("<style");
  }

  @Test
  void aChangeWithoutItsTokenIsRefused() throws IOException {
    HttpRequest.Builder turn =
        HttpRequest.newBuilder(URI.create(copy.address() + "/rigs/marginalia/handles/bypass"))
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString("position=open"));
    assertThat(copy.send(turn).statusCode()).isEqualTo(403);
    assertThat(copy.json("/api/v1/rigs/marginalia/state").at("/positions/bypass").asString())
        .isEqualTo("shut");
  }

  @Test
  void anotherHostNameForThisMachineIsRefused() throws IOException {
    URI address = URI.create(copy.address());
    try (Socket socket = new Socket(address.getHost(), address.getPort())) {
      socket
          .getOutputStream()
          .write(
              "GET /rigs HTTP/1.1\r\nHost: elsewhere.example\r\nConnection: close\r\n\r\n"
                  .getBytes(StandardCharsets.US_ASCII));
      String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      assertThat(answer).startsWith("HTTP/1.1 421");
    }
  }

  @Test
  void errorsSaySomethingToPeopleAndShowNoStackTrace() throws IOException {
    HttpResponse<String> missing = copy.get("/rigs/nowhere/board");
    assertThat(missing.statusCode()).isEqualTo(404);
    assertThat(missing.body()).contains("There is no rig").doesNotContain("Exception");
    HttpResponse<String> unknown = copy.get("/no/such/page");
    assertThat(unknown.statusCode()).isEqualTo(404);
    assertThat(unknown.body()).doesNotContain("Exception").doesNotContain("at fernwort");
    HttpResponse<String> wrong =
        copy.change("PUT", "/api/v1/rigs/marginalia/handles/bypass", "{\"position\":\"ajar\"}");
    assertThat(wrong.statusCode()).isEqualTo(422);
    assertThat(wrong.body()).contains("Bypass").contains("open").doesNotContain("Exception");
  }

  @Test
  void aFileThatIsNoRigIsRefusedWithEveryFaultAndNothingIsStored() throws IOException {
    int before = copy.json("/api/v1/rigs").size();
    HttpResponse<String> refused = copy.change("POST", "/api/v1/rigs", "{\"format\":\"other\"}");
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("\"problems\"").contains("mend");
    assertThat(copy.json("/api/v1/rigs").size()).isEqualTo(before);
  }

  @Test
  void aRigGoesOutAndInAgainUnchangedThroughTheInterfaceForPrograms() throws IOException {
    String file = copy.get("/api/v1/rigs/tern").body();
    HttpResponse<String> added = copy.change("POST", "/api/v1/rigs", file);
    assertThat(added.statusCode()).isEqualTo(201);
    String where = added.headers().firstValue("Location").orElseThrow();
    assertThat(copy.get(where).body()).isEqualTo(file);
  }

  @Test
  void thereIsNoConsoleOfTheDatabase() throws IOException {
    assertThat(copy.get("/h2-console").statusCode()).isEqualTo(404);
  }

  @Test
  void theInterfaceForProgramsIsDescribedByOpenApi() throws IOException {
    assertThat(copy.json("/api/v1/openapi").at("/openapi").asString()).startsWith("3.1");
    assertThat(copy.json("/api/v1/openapi").at("/paths").propertyNames())
        .contains("/api/v1/rigs/{id}/ways", "/api/v1/rigs/{id}/handles/{part}");
    assertThat(copy.get("/api").body()).contains("/api/v1/rigs/{id}/ways");
  }

  @Test
  void listeningWiderNeedsAPassphraseAndThenAsksForIt(@TempDir Path own)
      throws IOException, InterruptedException {
    Process refused = RunningCopy.launch(own, "--listen", "0.0.0.0");
    String said = new String(refused.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(refused.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(said).contains("set a passphrase first").doesNotContain("\tat ");

    Process setting = RunningCopy.launch(own, "--set-passphrase");
    setting.getOutputStream().write("long wet fern\n".getBytes(StandardCharsets.UTF_8));
    setting.getOutputStream().close();
    assertThat(new String(setting.getInputStream().readAllBytes(), StandardCharsets.UTF_8))
        .contains("The passphrase is set");

    try (RunningCopy wide = RunningCopy.start(own, "--listen", "0.0.0.0")) {
      assertThat(wide.get("/rigs").headers().firstValue("Location").orElse("")).endsWith("/login");
      assertThat(wide.get("/api/v1/rigs").statusCode()).isIn(302, 401, 403);
      for (int i = 0; i < 6; i++) {
        login(wide, "guess " + i);
      }
      assertThat(login(wide, "long wet fern")).as("must wait after five guesses").endsWith("?wait");
    }
    try (RunningCopy again = RunningCopy.start(own, "--listen", "0.0.0.0")) {
      assertThat(login(again, "long wet fern")).doesNotContain("login");
      assertThat(again.get("/rigs").statusCode()).isEqualTo(200);
    }
  }

  /** Logs in as the page does and returns where it leads. */
  private static String login(RunningCopy copy, String passphrase) throws IOException {
    String page = copy.get("/login").body();
    String token = page.replaceAll("(?s).*name=\"_csrf\" value=\"([^\"]+)\".*", "$1");
    HttpResponse<String> answer =
        copy.send(
            HttpRequest.newBuilder(URI.create(copy.address() + "/login"))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(
                    HttpRequest.BodyPublishers.ofString(
                        "who=owner&_csrf="
                            + token
                            + "&passphrase="
                            + passphrase.replace(' ', '+'))));
    return answer.headers().firstValue("Location").orElse("");
  }
}
