package fernwort.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Locale;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A log of twenty thousand entries, brought in as a table and then looked at, over HTTP. */
final class LongLog {

  private static final String RIG = "/rigs/samphire";
  private static final int LOOKS = 41;
  private static final int WARM_UP = 20;

  private final String address;
  private final HttpClient client =
      HttpClient.newBuilder().cookieHandler(new CookieManager()).build();

  private LongLog(String address) {
    this.address = address;
  }

  /** Brings it into a running copy. */
  static LongLog in(DemoCopy copy) {
    LongLog log = new LongLog(copy.address());
    log.bringIn();
    return log;
  }

  private void bringIn() {
    StringBuilder csv = new StringBuilder("at,kind,part,volume (L),note\n");
    Instant now = Instant.now();
    for (int i = BudgetBenchmark.ENTRIES; i > 0; i--) {
      Instant at = now.minus(Duration.ofMinutes(100L * i));
      csv.append(String.format(Locale.ROOT, "%s,reading,tank,%d,look %d%n", at, 5 + i % 14, i));
    }
    String border = "fernwort-bench";
    String body =
        "--%s\r\nContent-Disposition: form-data; name=\"file\"; filename=\"log.csv\"\r\n\r\n%s\r\n--%s--\r\n"
            .formatted(border, csv, border);
    JsonNode token = new JsonMapper().readTree(send(get("/api/v1/token")));
    send(
        HttpRequest.newBuilder(URI.create(address + RIG + "/log/import"))
            .header("Content-Type", "multipart/form-data; boundary=" + border)
            .header(token.get("header").asString(), token.get("token").asString())
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build());
  }

  /** Returns the median time of a page of it, one that is searched, and its budget (ms). */
  double[] looks() {
    return new double[] {
      median(RIG + "/log"), median(RIG + "/log?q=look+77"), median("/api/v1" + RIG + "/budget")
    };
  }

  private double median(String path) {
    double[] times = new double[LOOKS];
    for (int i = -WARM_UP; i < LOOKS; i++) {
      long begun = System.nanoTime();
      send(get(path));
      if (i >= 0) {
        times[i] = (System.nanoTime() - begun) / 1e6;
      }
    }
    Arrays.sort(times);
    return times[LOOKS / 2];
  }

  private HttpRequest get(String path) {
    return HttpRequest.newBuilder(URI.create(address + path)).build();
  }

  private String send(HttpRequest request) {
    try {
      HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
      if (answer.statusCode() >= 300) {
        throw new IllegalStateException(request.uri() + " answered " + answer.statusCode());
      }
      return answer.body();
    } catch (IOException e) {
      throw new IllegalStateException("the copy does not answer", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("interrupted", e);
    }
  }

  /**
   * Measures it alone.
   *
   * @param args none
   */
  public static void main(String[] args) {
    double[] looks = in(DemoCopy.start()).looks();
    System.out.printf(
        Locale.ROOT,
        "page %.1f ms, searched %.1f ms, budget %.1f ms%n",
        looks[0],
        looks[1],
        looks[2]);
    System.exit(0);
  }
}
