package fernwort.app.backup;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import fernwort.app.InBrowser;
import fernwort.app.OwnCopy;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** Backing up and restoring while people use it. */
class BackupWhileRunningTest {

  @TempDir static Path home;
  @RegisterExtension static InBrowser browser = new InBrowser();
  private static OwnCopy copy;

  @BeforeAll
  static void start() throws IOException {
    copy = OwnCopy.start(home.resolve("data"), "--demo");
  }

  @AfterAll
  static void stop() {
    copy.close();
  }

  private static String bypass() throws IOException {
    return copy.json("/api/v1/rigs/marginalia/state").at("/positions/bypass").asString();
  }

  private static void turn(String to) throws IOException {
    assertThat(
            copy.change(
                    "PUT",
                    "/api/v1/rigs/marginalia/handles/bypass",
                    "{\"position\":\"" + to + "\"}")
                .statusCode())
        .isEqualTo(200);
  }

  @Test
  void theLauncherBacksUpAndRestoresACopyThatRuns() throws Exception {
    Path file = home.resolve("one.json");
    turn("open");
    assertThat(OwnCopy.say(home.resolve("data"), "--backup", file.toString()))
        .contains("Backed up to");
    turn("shut");
    assertThat(OwnCopy.say(home.resolve("data"), "--restore", file.toString()))
        .contains("Restored from");
    assertThat(bypass()).as("as it was backed up, without a start").isEqualTo("open");
    try (var kept = Files.list(home.resolve("data").resolve("backups"))) {
      assertThat(kept).anyMatch(f -> f.toString().contains("before-restore"));
    }
    Files.writeString(home.resolve("bad.json"), "{\"format\":\"fernwort-backup-1\",");
    assertThat(OwnCopy.say(home.resolve("data"), "--restore", home.resolve("bad.json").toString()))
        .contains("not a backup of Fernwort")
        .doesNotContain("\tat ");
    // A long file with a bad row: it says why, though much of it is still on its way.
    StringBuilder rows = new StringBuilder("{\"format\":\"fernwort-backup-1\",\"step\":11,");
    rows.append("\"tables\":{\"setting\":[{\"name\":null,\"entry\":\"x\"}");
    for (int row = 0; row < 200_000; row++) {
      rows.append(",{\"name\":\"n").append(row).append("\",\"entry\":\"x\"}");
    }
    Files.writeString(home.resolve("long.json"), rows.append("]}}"));
    assertThat(OwnCopy.say(home.resolve("data"), "--restore", home.resolve("long.json").toString()))
        .contains("row 1 of setting");
    assertThat(bypass()).isEqualTo("open");
  }

  @Test
  void theRigsPageBacksUpAndRestores() throws Exception {
    turn("open");
    HttpResponse<byte[]> file = copy.bytes("/backup");
    assertThat(file.headers().firstValue("Content-Disposition").orElse(""))
        .contains("fernwort-")
        .contains(".json.gz");
    turn("shut");
    String preview = upload(file.body()).body();
    assertThat(preview).contains("Restore this backup?", "Entries in the log", "Here now");
    assertThat(bypass()).as("looked at only").isEqualTo("shut");
    Matcher go = Pattern.compile("action=\"(/restore/[^\"]+)\"").matcher(preview);
    assertThat(go.find()).isTrue();
    HttpResponse<String> done = copy.post(go.group(1), "");
    assertThat(done.headers().firstValue("Location").orElse("")).endsWith("/rigs?restored");
    assertThat(bypass()).isEqualTo("open");
    HttpResponse<String> again = copy.post(go.group(1), "");
    assertThat(again.statusCode()).as("it went in once").isEqualTo(422);
    assertThat(again.body()).contains("That backup was let go");
    byte[] half = java.util.Arrays.copyOf(file.body(), file.body().length / 2);
    HttpResponse<String> refused = upload(half);
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("not a backup of Fernwort");
    assertThat(copy.get("/rigs/marginalia/journal.csv").body())
        .startsWith("number,time,who,kind,subject,label,before,after,standing")
        .contains("TURN,bypass,Bypass,");
  }

  @Test
  void whoPressesTwiceInTheBrowserRestoresOnceAndReadsThatItTakesTime() throws Exception {
    turn("open");
    Path file = home.resolve("pressed.json.gz");
    Files.write(file, copy.bytes("/backup").body());
    turn("shut");
    Page page = browser.page();
    page.navigate(copy.address() + "/rigs");
    page.locator("summary", new Page.LocatorOptions().setHasText("Restore a backup")).click();
    page.locator("#restore-file").setInputFiles(file);
    assertThat(pressedTwice(page, "Look at it first"))
        .isEqualTo("Reading the backup. A large one takes a minute or two: leave this page open.");
    PlaywrightAssertions.assertThat(page.locator("h1")).hasText("Restore this backup?");
    assertThat(pressedTwice(page, "Replace everything here"))
        .isEqualTo(
            "Replacing everything. A large backup takes a minute or two: leave this page open.");
    PlaywrightAssertions.assertThat(page.getByText("The backup is restored.")).isVisible();
    assertThat(bypass()).isEqualTo("open");
  }

  /** Presses a button twice at once and returns what the page says of waiting. */
  private static Object pressedTwice(Page page, String button) {
    return page.getByText(button)
        .evaluate(
            """
            b => {
              b.click();
              b.click();
              return [...document.querySelectorAll('[data-waits]')].map(p => p.textContent).join();
            }\
            """);
  }

  private static HttpResponse<String> upload(byte[] file) throws IOException {
    String edge = "----edge";
    java.io.ByteArrayOutputStream body = new java.io.ByteArrayOutputStream();
    body.write(
        ("--"
                + edge
                + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"b.json.gz\"\r\n"
                + "Content-Type: application/gzip\r\n\r\n")
            .getBytes());
    body.write(file);
    body.write(("\r\n--" + edge + "--\r\n").getBytes());
    return copy.send(
        HttpRequest.newBuilder(URI.create(copy.address() + "/restore"))
            .header("Content-Type", "multipart/form-data; boundary=" + edge)
            .header("X-XSRF-TOKEN", copy.token())
            .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray())));
  }
}
