package fernwort.app;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;

/** Looks at the pages that people open first, so that the JDK's cache holds what they need. */
final class Training {

  private static final List<String> PAGES =
      List.of(
          "/rigs/marginalia/board",
          "/rigs/tern/board",
          "/rigs/marginalia/jobs",
          "/rigs/marginalia/log",
          "/rigs/marginalia/rig",
          "/rigs",
          "/api/v1/rigs");

  private Training() {}

  static void visit(URI base) {
    try (HttpClient client = HttpClient.newHttpClient()) {
      for (String page : PAGES) {
        HttpResponse<Void> answer =
            client.send(
                HttpRequest.newBuilder(base.resolve(page)).build(),
                HttpResponse.BodyHandlers.discarding());
        if (answer.statusCode() != 200) {
          throw new IllegalStateException(page + " answers " + answer.statusCode());
        }
      }
    } catch (IOException e) {
      throw new IllegalStateException("the training broke off", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
