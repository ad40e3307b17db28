package fernwort.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import fernwort.app.mqtt.BrokerAddress;
import fernwort.app.mqtt.HiveLink;
import fernwort.app.mqtt.Link;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Messages of sensors on their way to Today in an open browser, and a flood of them: a broker, the
 * application and the browser on one machine.
 */
final class LiveLoad {

  private static final String RIG = "/api/v1/rigs/marginalia";
  private static final int SIGNALS = 20;

  /** Each value is met again after so many: they tell messages apart. */
  private static final int VALUES = 400;

  private static final int PER_SECOND = 50;
  private static final int SECONDS = 60;
  private static final int WARM_UP_SECONDS = 10;

  /** Values are kept minute by minute: then the last one is there, too (s). */
  private static final int KEPT_AFTER = 70;

  private static final int FLOOD = 200;

  /** So long it lasts (s); ten minutes by hand. */
  private static final int FLOOD_SECONDS = Integer.getInteger("bench.flood", 60);

  /** A contact changes so often in the flood (s). */
  private static final int LEAK_EVERY = 5;

  private static final double MEGABYTE = 1 << 20;

  /** Notes when each value is written into the page. */
  private static final String WATCH =
      """
      () => {
        window.written = [];
        new MutationObserver(all => {
          const now = Date.now();
          for (const one of all) {
            const row = one.target.parentElement?.closest('[data-signal]')
              ?? one.target.closest?.('[data-signal]');
            const value = row?.querySelector('[data-live-value]')?.textContent;
            if (value) window.written.push([row.dataset.signal, parseFloat(value), now]);
          }
        }).observe(document.querySelector('.told-rows'),
          { subtree: true, childList: true, characterData: true });
      }
      """;

  private final String address;
  private final HttpClient client =
      HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
  private final Link link;

  /**
   * What was measured.
   *
   * @param median from a message to the page (ms)
   * @param last of a hundred the slowest but one (ms)
   * @param told of the messages of the flood how many values of a contact were kept, of all (1)
   * @param growth of the heap in the flood, after collections (MB)
   */
  record Measured(double median, double last, double told, double growth) {}

  private LiveLoad(DemoCopy copy) throws IOException {
    address = copy.address();
    int port;
    try (ServerSocket probe = new ServerSocket(0)) {
      port = probe.getLocalPort();
    }
    change("PUT", "/api/v1/live/broker", "{\"url\":\"own:" + port + "\"}");
    List<String> lines = new ArrayList<>();
    for (JsonNode line : new JsonMapper().readTree(send(get(RIG))).get("lines")) {
      lines.add(line.get("id").asString());
    }
    for (int i = 0; i < SIGNALS; i++) {
      change(
          "PUT",
          RIG + "/live/signals/bench-" + i,
          "{\"kind\":\"flow\",\"line\":\"%s\",\"topic\":\"bench/%d\",\"scale\":1.6666666e-5}"
              .formatted(lines.get(i), i));
    }
    change(
        "PUT",
        RIG + "/live/signals/bench-leak",
        "{\"kind\":\"leak\",\"place\":\"%s\",\"wet\":\"1\",\"topic\":\"bench/leak\"}"
            .formatted(
                new JsonMapper()
                    .readTree(send(get(RIG)))
                    .get("places")
                    .get(0)
                    .get("id")
                    .asString()));
    link =
        new HiveLink(
            BrokerAddress.of("mqtt://127.0.0.1:" + port),
            new HiveLink.Access("", "", "bench", new HiveLink.Will("bench/gone", "1"), null),
            new Deaf());
    link.open();
    pause(3);
  }

  /** Measures in a running copy. */
  static Measured in(DemoCopy copy) {
    try {
      return new LiveLoad(copy).measure();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private Measured measure() {
    double[] delays = toThePage();
    System.gc();
    double before = heap();
    int leaks = flood();
    pause(2);
    System.gc();
    double growth = heap() - before;
    pause(KEPT_AFTER);
    JsonNode kept =
        new JsonMapper()
            .readTree(
                send(
                    get(
                        RIG
                            + "/live/signals/bench-leak/history?from=2020-01-01T00:00:00Z&to=2100-01-01T00:00:00Z")));
    link.close();
    return new Measured(
        delays[delays.length / 2],
        delays[delays.length * 99 / 100],
        kept.size() / (double) leaks,
        growth);
  }

  private double[] toThePage() {
    try (Playwright playwright = Playwright.create();
        Browser browser = playwright.chromium().launch(DemoCopy.browser())) {
      Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
      for (int i = 0; i < SIGNALS; i++) {
        say(i, 1);
      }
      pause(2);
      page.navigate(address + "/rigs/marginalia/board");
      page.locator("#told > summary").click();
      page.waitForSelector(".told-rows");
      page.evaluate(WATCH);
      long[][] sent = new long[SIGNALS][VALUES + 1];
      List<Double> delays = new ArrayList<>();
      int messages = PER_SECOND * (WARM_UP_SECONDS + SECONDS);
      long begun = System.nanoTime();
      for (int n = 0; n < messages; n++) {
        LockSupport.parkNanos(begun + n * 1_000_000_000L / PER_SECOND - System.nanoTime());
        int signal = n % SIGNALS;
        int value = 1 + n / SIGNALS % VALUES;
        sent[signal][value] = System.currentTimeMillis();
        say(signal, value);
        if (n % (PER_SECOND * WARM_UP_SECONDS) == PER_SECOND * WARM_UP_SECONDS - 1) {
          take(page, sent, delays);
        }
        if (n == PER_SECOND * WARM_UP_SECONDS - 1) {
          delays.clear();
        }
      }
      pause(2);
      take(page, sent, delays);
      double[] sorted = delays.stream().mapToDouble(Double::doubleValue).toArray();
      Arrays.sort(sorted);
      return sorted;
    }
  }

  private static void take(Page page, long[][] sent, List<Double> delays) {
    List<?> written = (List<?>) page.evaluate("() => window.written.splice(0)");
    for (Object one : written) {
      List<?> row = (List<?>) one;
      int signal = Integer.parseInt(((String) row.get(0)).replace("bench-", ""));
      int value = (int) Math.round(((Number) row.get(1)).doubleValue());
      if (value > 0 && value <= VALUES && sent[signal][value] > 0) {
        delays.add(((Number) row.get(2)).doubleValue() - sent[signal][value]);
      }
    }
  }

  private int flood() {
    long begun = System.nanoTime();
    int leaks = 0;
    for (int n = 0; n < FLOOD * FLOOD_SECONDS; n++) {
      LockSupport.parkNanos(begun + n * 1_000_000_000L / FLOOD - System.nanoTime());
      say(n % SIGNALS, 1 + n / SIGNALS % VALUES);
      if (n % (FLOOD * LEAK_EVERY) == 0) {
        link.publish("bench/leak", Integer.toString(leaks % 2), false);
        leaks++;
      }
    }
    return leaks;
  }

  private void say(int signal, int value) {
    link.publish("bench/" + signal, Integer.toString(value), false);
  }

  private static double heap() {
    Runtime runtime = Runtime.getRuntime();
    return (runtime.totalMemory() - runtime.freeMemory()) / MEGABYTE;
  }

  private static void pause(int seconds) {
    LockSupport.parkNanos(TimeUnit.SECONDS.toNanos(seconds));
  }

  private HttpRequest get(String path) {
    return HttpRequest.newBuilder(URI.create(address + path)).GET().build();
  }

  private void change(String verb, String path, String body) {
    JsonNode token = new JsonMapper().readTree(send(get("/api/v1/token")));
    send(
        HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", "application/json")
            .header(token.get("header").asString(), token.get("token").asString())
            .method(verb, HttpRequest.BodyPublishers.ofString(body))
            .build());
  }

  private String send(HttpRequest request) {
    try {
      HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
      if (answer.statusCode() >= 300) {
        throw new IllegalStateException(request.uri() + " answered " + answer.body());
      }
      return answer.body();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("interrupted while measuring", e);
    }
  }

  /** Nobody listens here. */
  private static final class Deaf implements Link.Listener {

    @Override
    public void connected() {}

    @Override
    public void disconnected(String why) {}

    @Override
    public void message(String topic, byte[] payload, boolean kept) {}
  }
}
