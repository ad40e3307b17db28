package fernwort.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Two processes that only store, killed at any moment; two hundred times in a sweep. */
@Order(1)
@Tag("sweep")
class KillTest {

  private static final int KILLS = Integer.getInteger("sweep.kills", 12);
  private static final int SIDE_BY_SIDE = 2;
  private static final long LARGEST = 12L << 20;

  @Test
  void everyTurnThatWasKeptSurvivesKillingTheProcess(@TempDir Path home) throws Exception {
    StoreProcesses processes = StoreProcesses.prepare(home);
    try (ExecutorService pool = Executors.newFixedThreadPool(SIDE_BY_SIDE)) {
      List<Future<Integer>> rounds = new ArrayList<>();
      for (int side = 0; side < SIDE_BY_SIDE; side++) {
        Path data = home.resolve("side " + side);
        Random random = new Random(side);
        rounds.add(pool.submit((Callable<Integer>) () -> killed(processes, data, random)));
      }
      int turns = 0;
      for (Future<Integer> round : rounds) {
        turns += round.get();
      }
      assertThat(turns).as("turns kept before the kills").isGreaterThan(KILLS);
    }
  }

  private static int killed(StoreProcesses processes, Path data, Random random)
      throws IOException, InterruptedException {
    int last = 0;
    for (int kill = 0; kill < KILLS / SIDE_BY_SIDE; kill++) {
      Process process = processes.start(data);
      try (BufferedReader out = process.inputReader(StandardCharsets.UTF_8)) {
        String has = String.valueOf(out.readLine());
        assertThat(has).as("kill %d", kill).startsWith("has ");
        assertThat(Integer.parseInt(has.substring(4)))
            .as("kill %d", kill)
            .isGreaterThanOrEqualTo(last);
        // Now and then already while it gets going, else once it is in the middle of its turns.
        boolean early = random.nextInt(4) == 0;
        Thread killer = killer(process, random.nextInt(early ? 300 : 120));
        if (early) {
          killer.start();
        }
        for (String line = out.readLine(); line != null; line = out.readLine()) {
          if (line.startsWith("kept ")) {
            last = Integer.parseInt(line.substring(5));
            if (killer.getState() == Thread.State.NEW) {
              killer.start();
            }
          }
        }
        killer.join();
      } finally {
        process.destroyForcibly();
        process.waitFor();
      }
    }
    assertThat(Files.size(data.resolve(DataFolder.DATABASE)))
        .as("the file gives room back, after %d turns", last)
        .isLessThan(LARGEST);
    return last;
  }

  private static Thread killer(Process process, int milliseconds) {
    return Thread.ofVirtual()
        .unstarted(() -> {
          try {
            TimeUnit.MILLISECONDS.sleep(milliseconds);
            process.toHandle().destroyForcibly();
          } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
          }
        });
  }
}
