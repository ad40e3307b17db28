package fernwort.core.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.id.PartId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Acts;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Plans take about as many acts as people who do the job often; counted in docs/jobs.md. */
class PracticeTest {

  private static final Path DOCUMENT = Path.of("..", "docs", "jobs.md");

  private static final Path NEW = Path.of("target", "jobs.md");

  private static final String TABLE = "| rig | job | practised | here | |\n|---|---|---|---|---|\n";

  /** As near as that to what practised people do is as good. */
  private static final int NEAR = 3;

  /** How many acts practised people take, as they tell it, by the sort of job. */
  private static Optional<Integer> practised(Job job) {
    return switch (job.kind()) {
      case RUN_FROM_TANK, RUN_FROM_MAINS -> Optional.of(4);
      case DRAW_OUTSIDE -> Optional.of(3);
      case FILL_FROM_MAINS -> Optional.of(8);
      case FILL_ALL -> Optional.of(7);
      case FILL_BY_HAND -> Optional.of(6);
      case FILL_FROM_JUG -> Optional.of(4);
      case FILL_FROM_OUTSIDE -> Optional.of(8);
      case MOVE -> Optional.of(9);
      case FILTER_AGAIN -> Optional.of(4);
      case RINSE -> Optional.of(5);
      case RECIRCULATE -> Optional.of(3);
      case EMPTY_GRAY -> Optional.of(5);
      case SHED -> Optional.of(4);
      case DELIVER -> Optional.of(5);
      case HEAT, EMPTY_OUT, DRIVE, ARRIVE, REST -> Optional.empty();
    };
  }

  private static State half(Network network) {
    Map<PartId, Double> volumes = new HashMap<>();
    network.tanks().forEach(t -> volumes.put(t.id(), network.room(t.id()).capacity() / 2));
    return new State(network.rig().atRest(), volumes, Slope.LEVEL);
  }

  @Tag("slow")
  @Test
  void everyPlanIsWithinThreeActsOfPractice() throws IOException {
    List<String> rows = new ArrayList<>();
    List<String> over = new ArrayList<>();
    Stream.concat(
            DemoRig.all().stream().map(DemoRig::rig), ReadyRig.all().stream().map(ReadyRig::rig))
        .forEach(rig -> count(rig, rows, over));

    String text = Files.readString(DOCUMENT);
    String document =
        text.substring(0, text.indexOf(TABLE)) + TABLE + String.join("\n", rows) + "\n";
    if (!document.equals(text)) {
      Files.createDirectories(NEW.getParent());
      Files.writeString(NEW, document);
    }
    assertThat(text)
        .as("read core/target/jobs.md; if it is right, copy it to docs")
        .isEqualTo(document);
    assertThat(rows).hasSizeGreaterThan(60);
    assertThat(over)
        .as("more than three acts over, each with its reason in docs/jobs.md")
        .hasSize(1);
  }

  private static void count(Rig rig, List<String> rows, List<String> over) {
    Network network = Network.of(rig);
    Plans plans = Plans.of(network).brief();
    for (Job job : Jobs.of(network).all()) {
      Plan plan = plans.plan(job, half(network));
      Optional<Integer> practised = practised(job);
      if (plan.trouble().isPresent() || practised.isEmpty()) {
        continue;
      }
      int here = Acts.count(rig, plan);
      boolean near = here <= practised.get() + NEAR;
      rows.add(
          "| %s | %s | %d | %d | %s |"
              .formatted(rig.name(), job.name(), practised.get(), here, near ? "" : "**over**"));
      if (!near) {
        over.add(rig.name() + ": " + job.id());
      }
    }
  }
}
