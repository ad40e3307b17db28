package fernwort.app.log;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.SharedCopy;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Notes that cannot be kept as they came are refused in words, or kept as they were meant. */
class BadNotesTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private String rig = "";

  @BeforeEach
  void own() {
    rig = COPY.rig("samphire");
  }

  private HttpResponse<String> note(String text) throws IOException {
    String body = "kind=NOTE&note=" + URLEncoder.encode(text, StandardCharsets.UTF_8);
    return COPY.client()
        .send(
            HttpRequest.newBuilder(
                    URI.create(COPY.client().address() + "/rigs/" + rig + "/log/notes"))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("X-XSRF-TOKEN", COPY.client().token())
                .POST(HttpRequest.BodyPublishers.ofString(body)));
  }

  private String newest() throws IOException {
    return COPY.client()
        .json("/api/v1/rigs/" + rig + "/log?kind=note")
        .get(0)
        .get("note")
        .asString();
  }

  @Test
  void aTextThatIsTooLongIsRefusedWithItsLengthAndNothingOfItIsWrittenAnywhere() throws Exception {
    String typed = "Wormwood ".repeat(300);
    HttpResponse<String> said = note(typed);
    assertThat(said.statusCode()).isEqualTo(422);
    assertThat(said.body()).contains("longer than the 2000 characters");
    try (Stream<Path> files = Files.list(COPY.folder())) {
      for (Path file : files.filter(f -> !f.toString().endsWith(".db")).toList()) {
        if (Files.isRegularFile(file)) {
          assertThat(Files.readString(file, StandardCharsets.ISO_8859_1))
              .as(file.toString())
              .doesNotContain("Wormwood");
        }
      }
    }
    assertThat(COPY.folder().resolve("fernwort.trace.db")).doesNotExist();
  }

  @Test
  void aLineBreakIsOneCharacterThoughABrowserSendsTwo() throws IOException {
    String typed = "line 56789\r\n".repeat(181);
    assertThat(typed.length()).isGreaterThan(2000);
    assertThat(note(typed).statusCode()).isEqualTo(302);
    assertThat(newest()).isEqualTo("line 56789\n".repeat(181).strip());
  }

  @Test
  void whatNoKeyboardTypesIsLeftOut() throws IOException {
    assertThat(note("a\0b").statusCode()).isEqualTo(302);
    assertThat(newest()).isEqualTo("ab");
  }

  @Test
  void upkeepOfAPartThatIsNotThereIsRefused() throws IOException {
    HttpResponse<String> said =
        COPY.client()
            .change(
                "POST",
                "/api/v1/rigs/" + rig + "/log",
                "{\"kind\":\"upkeep\",\"part\":\"no-such-part\"}");
    assertThat(said.statusCode()).isEqualTo(422);
    assertThat(said.body()).contains("no-such-part");
  }
}
