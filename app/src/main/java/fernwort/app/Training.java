package fernwort.app;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;

/**
 * Looks at the pages that people open, so that the JDK's cache holds what they need and knows which
 * of it is used most.
 */
final class Training {

  /** The second round is what tells what is used most. */
  private static final int ROUNDS = 2;

  private static final List<String> PAGES =
      List.of("/rigs", "/api/v1/rigs", "/api/v1/rigs/tern", "/api/v1/rigs/tern/ways");

  private static final List<String> RIGS = List.of("marginalia", "tern", "samphire");

  private static final List<String> PAGES_OF_A_RIG =
      List.of(
          "board",
          "jobs",
          "log",
          "log/budget",
          "sizing",
          "cold",
          "cold/left",
          "labels",
          "rig",
          "fault");

  private Training() {}

  static void visit(URI base) {
    try (HttpClient client = HttpClient.newHttpClient()) {
      for (String page : pages()) {
        HttpResponse<Void> answer =
            client.send(
                HttpRequest.newBuilder(base.resolve(page)).build(),
                HttpResponse.BodyHandlers.discarding());
        // What a slow machine cannot answer in time is left untrained.
        if (answer.statusCode() != 200 && answer.statusCode() != 503) {
          throw new IllegalStateException(page + " answers " + answer.statusCode());
        }
      }
    } catch (IOException e) {
      throw new IllegalStateException("the training broke off", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private static List<String> pages() {
    Stream<String> round =
        RIGS.stream()
            .flatMap(rig -> PAGES_OF_A_RIG.stream().map(page -> "/rigs/" + rig + "/" + page));
    List<String> all = Stream.concat(PAGES.stream(), round).toList();
    return Collections.nCopies(ROUNDS, all).stream().flatMap(List::stream).toList();
  }
}
