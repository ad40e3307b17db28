package fernwort.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import fernwort.app.OwnCopy;
import fernwort.app.RunningCopy;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A data folder whose disk is full, or that is taken away, while Fernwort runs on it. */
@Order(1)
class FolderTroubleTest {

  private static final List<String> PAGES =
      List.of("/rigs", "/rigs/tern/board", "/rigs/tern/jobs", "/rigs/tern/log", "/rigs/tern/rig");

  @TempDir Path home;
  private boolean mounted;

  private static boolean run(String... command) throws IOException, InterruptedException {
    Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
    process.getInputStream().readAllBytes();
    return process.waitFor() == 0;
  }

  @AfterEach
  void unmount() throws IOException, InterruptedException {
    if (mounted) {
      run("umount", "-l", home.toString());
    }
  }

  private static HttpResponse<String> turn(OwnCopy copy, String to) throws IOException {
    return copy.change("PUT", "/api/v1/rigs/tern/handles/pump", "{\"position\":\"" + to + "\"}");
  }

  private static void assertReadsOn(OwnCopy copy, String sentence) throws IOException {
    for (String page : PAGES) {
      HttpResponse<String> shown = copy.get(page);
      assertThat(shown.statusCode()).as(page).isEqualTo(200);
      assertThat(shown.body()).as(page).contains("Nothing can be changed now").contains(sentence);
    }
    HttpResponse<String> refused = turn(copy, "on");
    assertThat(refused.statusCode()).isEqualTo(503);
    assertThat(refused.body()).contains(sentence).doesNotContain("Exception");
  }

  private static void assertWritesAgain(OwnCopy copy) throws Exception {
    TimeUnit.MILLISECONDS.sleep(600);
    assertThat(turn(copy, "on").statusCode()).isEqualTo(200);
    assertThat(turn(copy, "off").statusCode()).isEqualTo(200);
    assertThat(copy.get("/rigs/tern/board").body()).doesNotContain("Nothing can be changed now");
  }

  @Test
  void aFullDiskStopsChangesAndNothingElseUntilThereIsRoom() throws Exception {
    mounted = run("mount", "-t", "tmpfs", "-o", "size=24m", "tmpfs", home.toString());
    assumeTrue(mounted, "a small disk of its own cannot be mounted here");
    try (OwnCopy copy = OwnCopy.start(home.resolve("data"))) {
      copy.add("tern");
      assertThat(turn(copy, "off").statusCode()).isEqualTo(200);
      Path filler = home.resolve("filler");
      run("dd", "if=/dev/zero", "of=" + filler, "bs=64k");
      TimeUnit.MILLISECONDS.sleep(600);
      assertReadsOn(copy, "is full");
      Files.delete(filler);
      assertWritesAgain(copy);
    }
  }

  @Test
  @Tag("sweep")
  void aFolderThatIsTakenAwayIsToldAndUsedAgainWhenItIsBack() throws Exception {
    Path data = home.resolve("data");
    try (OwnCopy copy = OwnCopy.start(data)) {
      copy.add("tern");
      Path elsewhere = Files.move(data, home.resolve("elsewhere"));
      TimeUnit.MILLISECONDS.sleep(600);
      assertReadsOn(copy, "is gone");
      assertThat(RunningCopy.say(data)).contains("already runs");
      run("rm", "-rf", data.toString());
      Files.move(elsewhere, data);
      assertWritesAgain(copy);
      Path aside = Files.move(data.resolve(DataFolder.DATABASE), home.resolve("aside"));
      Files.copy(aside, data.resolve(DataFolder.DATABASE));
      TimeUnit.MILLISECONDS.sleep(600);
      assertReadsOn(copy, "another database");
    }
  }
}
