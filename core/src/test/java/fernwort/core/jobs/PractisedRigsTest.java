package fernwort.core.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Practised;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Acts;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import fernwort.core.winter.Spring;
import fernwort.core.winter.WinterizingMethods;
import fernwort.core.winter.sheets.Groups;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterStep;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Eighteen rigs as people have them, each with the jobs that its people do often: their acts beside
 * those that practised people take. The table stands in docs/jobs.md.
 */
class PractisedRigsTest {

  private static final Path DOCUMENT = Path.of("..", "docs", "jobs.md");

  private static final Path NEW = Path.of("target", "jobs.md");

  private static final String TABLE = "| rig | job | practised | here |\n|---|---|---|---|\n";

  /** As near as that to what practised people do is as good. */
  private static final int NEAR = 3;

  /** What a pass of air or antifreeze takes beside the visits to the taps is no more than this. */
  private static final int MOST_BESIDE = 3;

  private final Map<String, Network> rigs = new HashMap<>();

  @Tag("slow")
  @Test
  void everyJobIsWithinThreeActsOfPractice() throws IOException {
    List<String> rows = new ArrayList<>();
    List<String> over = new ArrayList<>();
    Set<String> seen = new HashSet<>();
    for (String line : Practised.text("acts.tsv").lines().toList()) {
      String[] cells = line.split("\t");
      Network network = rigs.computeIfAbsent(cells[0], name -> Network.of(Practised.rig(name)));
      int practised = Integer.parseInt(cells[2]);
      Counted here = count(network, cells[1]);
      rows.add(
          "| %s | %s | %d | %d |"
              .formatted(network.rig().name(), here.name(), practised, here.acts()));
      seen.add(cells[0]);
      if (here.acts() > practised + NEAR) {
        over.add(cells[0] + " " + cells[1] + ": " + here.acts());
      }
    }

    String text = Files.readString(DOCUMENT);
    String rest = text.substring(text.indexOf(TABLE) + TABLE.length());
    String document =
        text.substring(0, text.indexOf(TABLE))
            + TABLE
            + String.join("\n", rows)
            + rest.substring(rest.indexOf("\n\n"));
    if (!document.equals(text)) {
      Files.createDirectories(NEW.getParent());
      Files.writeString(NEW, document);
    }
    assertThat(over).isEmpty();
    assertThat(seen).hasSize(18);
    assertThat(text)
        .as("read core/target/jobs.md; if it is right, copy it to docs")
        .isEqualTo(document);
  }

  private record Counted(String name, int acts) {}

  private static Counted count(Network network, String what) {
    Plans plans = Plans.of(network);
    if (what.startsWith("winter ") || what.startsWith("spring ")) {
      WinterizingMethod method =
          WinterizingMethod.valueOf(what.substring(what.lastIndexOf(' ') + 1));
      Wintering now = Filled.of(network, Practised.filled(network, 0.5));
      WinterPlan winter = WinterizingMethods.of(plans).plan(method, now, WinterWish.USUAL);
      if (what.startsWith("winter ")) {
        return new Counted("Winterize: " + method.title(), acts(winter));
      }
      WinterPlan spring = Spring.of(plans, winter.after(), now.state().setting());
      return new Counted("De-winterize after: " + method.title(), acts(spring));
    }
    List<String> names = new ArrayList<>();
    int acts = 0;
    State state = Practised.filled(network, 0.5);
    for (String id : what.split("\\+")) {
      Job job = Jobs.of(network).byId(id).orElseThrow();
      Plan plan = plans.plan(job, state);
      assertThat(plan.trouble()).as(network.rig().name() + " " + id).isEmpty();
      names.add(job.name().toString());
      acts += Acts.count(network.rig(), plan);
      state = plan.after();
    }
    return new Counted(String.join(", then ", names), acts);
  }

  /** Acts of a winter sheet: what is waited for is none, a pass is its visits and little else. */
  private static int acts(WinterPlan plan) {
    List<Integer> groups = Groups.of(plan.steps());
    Set<Integer> done = new HashSet<>();
    Set<Integer> visits = new HashSet<>();
    Set<Integer> beside = new HashSet<>();
    int passes = 0;
    boolean passing = false;
    for (int i = 0; i < groups.size(); i++) {
      WinterStep step = plan.steps().get(i);
      WinterStep.Sort sort = step.hand().map(WinterStep.Hand::sort).orElse(WinterStep.Sort.OTHER);
      boolean device = sort == WinterStep.Sort.ADAPTER || sort == WinterStep.Sort.JUG;
      boolean off = step.hand().filter(WinterStep.Hand::off).isPresent();
      if (device && !off) {
        passing = true;
      }
      if (!step.isWait()) {
        boolean visit = sort == WinterStep.Sort.TAPS || sort == WinterStep.Sort.RUN;
        Set<Integer> into = passing ? (visit ? visits : beside) : done;
        into.add(groups.get(i));
      }
      if (device && off) {
        passing = false;
        passes += visits.size() + Math.min(MOST_BESIDE, beside.size());
        visits.clear();
        beside.clear();
      }
    }
    return done.size() + passes;
  }
}
