package fernwort.app.compute;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Who gets the processors. A copy that has just started has two things to do at once: answer, and
 * let the JDK compile what is used most. Unless it is told so, the optimizing compiler takes as
 * much as all the answers together.
 */
public final class Processors {

  /**
   * So many requests run side by side, however few processors there are: a note that is written in
   * a moment shares them with pages that compute, and does not wait until one of those is done.
   */
  private static final int SIDE_BY_SIDE = 24;

  private static final String CARRIERS = "jdk.virtualThreadScheduler.parallelism";

  /** Where Linux lists the threads of a process, by number. */
  private static final Path TASKS = Path.of("/proc/self/task");

  /** What the name of the JDK's optimizing compiler begins with. */
  private static final String OPTIMIZER = "C2";

  /** The last in the order of precedence: whatever the others leave. */
  private static final String LAST = "19";

  private static final Logger LOG = LoggerFactory.getLogger(Processors.class);

  private Processors() {}

  /** Says who gets them. To be called before the first virtual thread is made. */
  public static void share() {
    if (System.getProperty(CARRIERS) == null) {
      int most = Math.max(SIDE_BY_SIDE, Runtime.getRuntime().availableProcessors());
      System.setProperty(CARRIERS, Integer.toString(most));
    }
    Thread.ofPlatform().daemon().name("processors").start(Processors::letOptimizerWait);
  }

  /** Elsewhere than on Linux, and where there is no renice, all stays as it is. */
  private static void letOptimizerWait() {
    try {
      for (Path thread : optimizers()) {
        Process renice =
            new ProcessBuilder("renice", "-n", LAST, "-p", thread.getFileName().toString())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        renice.waitFor(1, TimeUnit.SECONDS);
      }
    } catch (IOException e) {
      LOG.debug("the optimizing compiler keeps its precedence", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private static List<Path> optimizers() throws IOException {
    if (!Files.isDirectory(TASKS)) {
      return List.of();
    }
    try (Stream<Path> threads = Files.list(TASKS)) {
      return threads.filter(Processors::isOptimizer).toList();
    }
  }

  private static boolean isOptimizer(Path thread) {
    try {
      return Files.readString(thread.resolve("comm")).startsWith(OPTIMIZER);
    } catch (IOException e) {
      // It has ended since it was listed.
      return false;
    }
  }
}
