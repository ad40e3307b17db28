package fernwort.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/** What a person at the Board waits for: the real application, the real browser. */
final class BoardInBrowser {

  private static final int WARM_UP = 200;
  private static final int TURNS = 101;
  private static final String COACH = "/rigs/long-coach-60";

  /** A handle of an answered Board, and where a click turns it. */
  private static final Pattern HANDLE =
      Pattern.compile(
          "hx-post=\"(/rigs/[^\"]+/handles/[^\"]+)\" hx-vals=\"\\{&quot;position&quot;:&quot;([^&]+)");

  /**
   * Turns a handle and resolves with the milliseconds until the frame after the swap, once what is
   * next has come in too: that is asked for by itself, and is not the end of a turn.
   */
  private static final String TURN =
      """
      which => new Promise(done => {
        const handles = document.querySelectorAll('.sheet [hx-post]');
        const begun = performance.now();
        let turned = false;
        let took = 0;
        const settled = ({ detail }) => {
          if (detail.requestConfig?.verb === 'post') {
            turned = true;
            requestAnimationFrame(() => setTimeout(() => { took = performance.now() - begun; }));
          } else if (turned) {
            document.removeEventListener('htmx:afterSettle', settled);
            const look = () => took ? done(took) : setTimeout(look);
            look();
          }
        };
        document.addEventListener('htmx:afterSettle', settled);
        handles[which % handles.length]
          .dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true }));
      })
      """;

  private final String address;
  private final HttpClient client = HttpClient.newHttpClient();

  private BoardInBrowser(String address) {
    this.address = address;
  }

  /** Looks at a running copy. */
  static BoardInBrowser of(DemoCopy copy) {
    return new BoardInBrowser(copy.address());
  }

  /**
   * Of many turns, which handle is turned: the first each second time, the second each fourth. So
   * no turn leads to where one of the last hundred led, and nothing is remembered of that.
   */
  private static int handle(int turn) {
    return Integer.numberOfTrailingZeros(turn);
  }

  /** Returns the median time from a turn to the repainted page of Marginalia (ms). */
  double turn() {
    try (Playwright playwright = Playwright.create();
        Browser browser = playwright.chromium().launch(DemoCopy.browser())) {
      Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
      page.navigate(address + "/rigs/marginalia/board");
      double[] times = new double[TURNS];
      for (int i = -WARM_UP; i < TURNS; i++) {
        double time = ((Number) page.evaluate(TURN, handle(i + WARM_UP + 1))).doubleValue();
        if (i >= 0) {
          times[i] = time;
        }
      }
      return median(times);
    }
  }

  /**
   * Returns the median time to answer a turned handle of the sixty-part coach over HTTP (ms): kept
   * on disk, ways and warnings found, the Board with its SVG written.
   */
  double answer(String rigFile) {
    send(change("POST", "/api/v1/rigs", "application/json", rigFile));
    String board =
        send(HttpRequest.newBuilder(URI.create(address + COACH + "/board")).GET().build()).body();
    double[] times = new double[TURNS];
    for (int i = -WARM_UP; i < TURNS; i++) {
      List<MatchResult> handles = HANDLE.matcher(board).results().toList();
      MatchResult turned = handles.get(handle(i + WARM_UP + 1) % handles.size());
      HttpRequest turn =
          change(
              "POST",
              turned.group(1),
              "application/x-www-form-urlencoded",
              "position=" + turned.group(2));
      long begun = System.nanoTime();
      board = send(turn).body();
      if (i >= 0) {
        times[i] = (System.nanoTime() - begun) / 1e6;
      }
    }
    return median(times);
  }

  private HttpRequest change(String verb, String path, String type, String body) {
    HttpResponse<String> token =
        send(HttpRequest.newBuilder(URI.create(address + "/api/v1/token")).GET().build());
    String cookies =
        String.join(
            "; ",
            token.headers().allValues("Set-Cookie").stream().map(c -> c.split(";")[0]).toList());
    return HttpRequest.newBuilder(URI.create(address + path))
        .header("Content-Type", type)
        .header("X-Screen", "wide")
        .header("X-XSRF-TOKEN", token.body().replaceAll(".*\"token\"\\s*:\\s*\"([^\"]+)\".*", "$1"))
        .header("Cookie", cookies)
        .method(verb, HttpRequest.BodyPublishers.ofString(body))
        .build();
  }

  private HttpResponse<String> send(HttpRequest request) {
    try {
      HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
      if (answer.statusCode() >= 300) {
        throw new IllegalStateException(request.uri() + " answered " + answer.statusCode());
      }
      return answer;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("interrupted while measuring", e);
    }
  }

  private static double median(double[] times) {
    double[] sorted = times.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }
}
