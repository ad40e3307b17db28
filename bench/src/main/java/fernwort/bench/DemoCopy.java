package fernwort.bench;

import com.microsoft.playwright.BrowserType;
import fernwort.app.Fernwort;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * The application with the demo rigs, running in this process on a folder of its own.
 *
 * @param address where it answers
 */
record DemoCopy(String address) {

  static DemoCopy start(String... more) {
    try {
      int port = freePort();
      Path data = Files.createTempDirectory("fernwort-bench");
      List<String> words =
          new ArrayList<>(
              List.of("--demo", "--data", data.toString(), "--port", Integer.toString(port)));
      words.addAll(List.of(more));
      Fernwort.main(words.toArray(String[]::new));
      return new DemoCopy("http://127.0.0.1:" + port);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static int freePort() throws IOException {
    try (ServerSocket probe = new ServerSocket(0)) {
      return probe.getLocalPort();
    }
  }

  /** The same with one rig live. */
  static DemoCopy live() {
    return start("--simulated");
  }

  /** How Chromium is started without a monitor or a network. */
  static BrowserType.LaunchOptions browser() {
    return new BrowserType.LaunchOptions()
        .setExecutablePath(Path.of("/usr/bin/chromium"))
        .setArgs(
            List.of(
                "--no-sandbox",
                "--disable-gpu",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--no-first-run"));
  }
}
