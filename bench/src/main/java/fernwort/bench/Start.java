package fernwort.bench;

import java.io.File;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.concurrent.TimeUnit;

/** How long people wait from the launcher to the first page. */
final class Start {

  private static final int ROUNDS = 5;
  private static final int PORT = 8197;
  private static final long LOOK_MILLIS = 50;

  private Start() {}

  /**
   * Starts the demo anew some times, each on the folder of the first, and returns the median (s).
   */
  static double median() {
    try {
      Path data = Files.createTempDirectory("fernwort-start");
      toFirstPage(data); // Builds, and makes the folder.
      double[] seconds = new double[ROUNDS];
      for (int i = 0; i < ROUNDS; i++) {
        seconds[i] = toFirstPage(data);
      }
      Arrays.sort(seconds);
      return seconds[ROUNDS / 2];
    } catch (IOException e) {
      throw new IllegalStateException("the launcher did not start", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("interrupted", e);
    }
  }

  private static double toFirstPage(Path data) throws IOException, InterruptedException {
    Process process =
        new ProcessBuilder(
                launcher().toString(),
                "demo",
                "--data",
                data.toString(),
                "--port",
                Integer.toString(PORT))
            .redirectErrorStream(true)
            .redirectOutput(new File("/dev/null"))
            .start();
    long start = System.nanoTime();
    try (HttpClient client = HttpClient.newHttpClient()) {
      HttpRequest page =
          HttpRequest.newBuilder(
                  URI.create("http://127.0.0.1:%d/rigs/marginalia/board".formatted(PORT)))
              .build();
      while (!answers(client, page)) {
        if (!process.isAlive()) {
          throw new IllegalStateException(
              "the launcher ended by itself: try ./fernwort demo to see why");
        }
        TimeUnit.MILLISECONDS.sleep(LOOK_MILLIS);
      }
      return (System.nanoTime() - start) / 1e9;
    } finally {
      process.destroy();
      process.waitFor();
    }
  }

  private static boolean answers(HttpClient client, HttpRequest page) throws InterruptedException {
    try {
      return client.send(page, HttpResponse.BodyHandlers.discarding()).statusCode() == 200;
    } catch (IOException notYet) {
      return false;
    }
  }

  private static Path launcher() {
    Path folder = Path.of("").toAbsolutePath();
    while (folder != null && !Files.isExecutable(folder.resolve("fernwort"))) {
      folder = folder.getParent();
    }
    if (folder == null) {
      throw new IllegalStateException("the launcher was not found above this folder");
    }
    return folder.resolve("fernwort");
  }
}
