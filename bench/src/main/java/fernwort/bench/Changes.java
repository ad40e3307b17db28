package fernwort.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** How many changes a second are on the disk when they are answered. */
final class Changes {

  private static final long SECONDS = 5;

  private final String address;
  private final HttpClient client =
      HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
  private final JsonNode token;

  Changes(DemoCopy copy) {
    address = copy.address();
    try {
      token =
          new JsonMapper()
              .readTree(
                  client
                      .send(
                          HttpRequest.newBuilder(URI.create(address + "/api/v1/token")).build(),
                          HttpResponse.BodyHandlers.ofString())
                      .body());
    } catch (IOException e) {
      throw new IllegalStateException("the copy does not answer", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("interrupted", e);
    }
  }

  /** Lets some clients turn handles one after another, and returns the turns a second of all. */
  double perSecond(int clients) {
    List<Future<Integer>> turns = new ArrayList<>();
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(SECONDS);
    int all = 0;
    try (ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor()) {
      for (int i = 0; i < clients; i++) {
        turns.add(threads.submit(() -> turn(end)));
      }
      for (Future<Integer> of : turns) {
        all += of.get();
      }
    } catch (ExecutionException e) {
      throw new IllegalStateException("a turn failed", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    return all / (double) SECONDS;
  }

  private int turn(long end) throws IOException, InterruptedException {
    int turns = 0;
    while (System.nanoTime() < end) {
      String position = turns % 2 == 0 ? "open" : "shut";
      HttpResponse<String> answer =
          client.send(
              HttpRequest.newBuilder(URI.create(address + "/api/v1/rigs/marginalia/handles/bypass"))
                  .header("Content-Type", "application/json")
                  .header(token.get("header").asString(), token.get("token").asString())
                  .PUT(HttpRequest.BodyPublishers.ofString("{\"position\":\"" + position + "\"}"))
                  .build(),
              HttpResponse.BodyHandlers.ofString());
      if (answer.statusCode() != 200) {
        throw new IllegalStateException("a turn answered " + answer.statusCode());
      }
      turns++;
    }
    return turns;
  }
}
