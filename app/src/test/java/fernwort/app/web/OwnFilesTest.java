package fernwort.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.SharedCopy;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class OwnFilesTest {

  @RegisterExtension static final SharedCopy COPY = new SharedCopy();

  private static final String HASH = "-[0-9a-f]{32}\\.";

  private static List<String> found(String pattern, String text) {
    return Pattern.compile(pattern).matcher(text).results().map(MatchResult::group).toList();
  }

  private static void assertIsKeptForAYear(String path) throws IOException {
    HttpResponse<String> answer = COPY.client().get(path);
    assertThat(answer.statusCode()).as(path).isEqualTo(200);
    assertThat(answer.headers().firstValue("cache-control").orElse(""))
        .as(path)
        .contains("max-age=31536000");
  }

  @Test
  void eachFileOfAPageHasAnAddressThatTellsItsContentAndIsKeptForAYear() throws IOException {
    String page = COPY.client().get("/rigs/marginalia/board").body();
    List<String> files = found("(?<=\")/[a-z/A-Z.]+" + HASH + "(css|js|svg)", page);
    assertThat(files)
        .anyMatch(f -> f.startsWith("/fernwort-"))
        .anyMatch(f -> f.startsWith("/vendor/htmx"))
        .anyMatch(f -> f.startsWith("/js/"))
        .anyMatch(f -> f.startsWith("/icon-"));
    for (String file : files) {
      assertIsKeptForAYear(file);
    }
    String styles =
        COPY.client()
            .get(files.stream().filter(f -> f.endsWith("css")).findFirst().orElseThrow())
            .body();
    List<String> fonts = found("vendor/[a-z-]+" + HASH + "woff2", styles);
    assertThat(fonts).hasSizeGreaterThan(1);
    for (String font : fonts) {
      assertIsKeptForAYear("/" + font);
    }
  }

  @Test
  void whatIsNoFileIsAPageThatSaysSo() throws IOException {
    for (String path : List.of("/no-such.css", "/js/no-such.js", "/nowhere")) {
      assertThat(COPY.client().get(path).statusCode()).as(path).isEqualTo(404);
    }
    assertThat(COPY.client().get("/js/../application.properties").statusCode()).isEqualTo(400);
  }

  /** What a page marks as fit to wait is what the worker lets wait. */
  @Test
  void theTwoScriptsAgreeOnWhatMayWaitForANetwork() throws IOException {
    Pattern queued = Pattern.compile("const QUEUED =\\s*(/.*?/);", Pattern.DOTALL);
    List<String> found = new ArrayList<>();
    for (String script : List.of("offline", "worker")) {
      Matcher in =
          queued.matcher(
              Files.readString(Path.of("src/main/resources/static/js/" + script + ".js")));
      assertThat(in.find()).as(script).isTrue();
      found.add(in.group(1));
    }
    assertThat(found.getFirst()).isEqualTo(found.getLast());
  }
}
