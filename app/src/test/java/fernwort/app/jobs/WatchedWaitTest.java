package fernwort.app.jobs;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static fernwort.app.live.Mosquitto.until;
import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import com.microsoft.playwright.Page;
import fernwort.app.Chromium;
import fernwort.app.OwnCopy;
import fernwort.app.live.Mosquitto;
import fernwort.app.services.Descriptions;
import fernwort.app.services.JobBook;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.services.StepText;
import fernwort.app.store.RunStore;
import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Step;
import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** A fill on a run sheet whose tank has a sensor. */
class WatchedWaitTest {

  @RegisterExtension static final Chromium CHROMIUM = new Chromium();

  @TempDir Path home;

  /**
   * A job with a wait until a tank has come to some level, and its sheet with all before ticked.
   */
  private record Fill(String run, int seq, String tank, double to) {}

  @Test
  @Tag("sweep")
  void theWaitIsShownAsItRisesAndItsStepIsTickedWhenItIsThere() throws Exception {
    assumeTrue(Mosquitto.isHere(), "there is no mosquitto on this machine");
    try (Mosquitto broker = new Mosquitto(home)) {
      OwnCopy copy = OwnCopy.start(home.resolve("data"));
      copy.add("samphire");
      Fill fill = fill(copy);
      bind(copy, broker, fill);
      Page page = CHROMIUM.browser().newPage();
      page.navigate(copy.address() + "/rigs/samphire/runs/" + fill.run());
      assertThat(page.locator("#step-" + fill.seq() + " .watch")).isVisible();
      double half = 500 * fill.to();
      until(() -> {
        broker.say("van/tank", Double.toString(half));
        return page.locator("[data-watch-text]").textContent().contains("to go");
      });
      assertThat(page.locator("[data-watch-text]")).containsText("to go");
      assertThat(open(copy, fill)).isTrue();
      assertThat(
              until(() -> {
                broker.say("van/tank", Double.toString(1000 * fill.to()));
                page.waitForTimeout(100);
                return !open(copy, fill);
              }))
          .isTrue();
      assertThat(page.locator("#step-" + fill.seq() + ".step-done")).isVisible();
      copy.close();
    }
  }

  private static boolean open(OwnCopy copy, Fill fill) {
    return copy.bean(RunStore.class).steps(fill.run()).stream()
        .anyMatch(r -> r.seq() == fill.seq() && r.mark() == RunStore.Mark.OPEN);
  }

  private static void bind(OwnCopy copy, Mosquitto broker, Fill fill) throws IOException {
    copy.change("PUT", "/api/v1/live/broker", "{\"url\":\"" + broker.url() + "\"}");
    copy.change(
        "PUT",
        "/api/v1/rigs/samphire/live/signals/level",
        "{\"kind\":\"level\",\"part\":\""
            + fill.tank()
            + "\",\"topic\":\"van/tank\",\"scale\":0.001}");
    assertThat(
            until(() -> {
              broker.say("van/tank", "1");
              try {
                return copy.json("/api/v1/rigs/samphire/live/signals")
                    .get(0)
                    .get("state")
                    .asString()
                    .equals("live");
              } catch (IOException e) {
                return false;
              }
            }))
        .isTrue();
  }

  private static Fill fill(OwnCopy copy) {
    OpenRig rig = copy.bean(Descriptions.class).open("samphire");
    JobBook book = copy.bean(JobDesk.class).book(rig);
    JobRuns runs = copy.bean(JobRuns.class);
    StepText text = copy.bean(StepText.class);
    for (Job job : book.offered()) {
      boolean fills =
          book.plans().plan(job, copy.bean(States.class).of(rig).state()).steps().stream()
              .anyMatch(WatchedWaitTest::isFill);
      if (fills) {
        String run = runs.begin(rig, job.id(), "ada");
        for (RunStore.Row row : copy.bean(RunStore.class).steps(run)) {
          Step step = text.read(row.step());
          if (isFill(step)) {
            Step.Wait wait = (Step.Wait) step;
            PartId tank = wait.until().part();
            return new Fill(run, row.seq(), tank.value(), wait.levels().get(tank));
          }
          runs.done(rig, run, row.seq(), false, "ada");
        }
      }
    }
    throw new AssertionError("no job fills a tank");
  }

  private static boolean isFill(Step step) {
    return step instanceof Step.Wait wait
        && wait.until().fills()
        && wait.levels().containsKey(wait.until().part());
  }
}
