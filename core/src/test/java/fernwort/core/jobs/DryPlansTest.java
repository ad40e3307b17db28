package fernwort.core.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Sampled;
import fernwort.core.demo.DemoRig;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wetness;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.network.Network;
import fernwort.core.run.water.Dry;
import fernwort.core.say.Message;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Jobs in rigs whose lines ran dry for the winter. */
class DryPlansTest {

  static List<DemoRig> demos() {
    return DemoRig.all().subList(0, 2);
  }

  @Tag("slow")
  @ParameterizedTest
  @MethodSource("demos")
  void whatCanBeDoneWithFullLinesCanBeDoneWithDryOnesAndTakesMore(DemoRig demo) {
    Network network = Network.of(demo.rig());
    Plans plans = Plans.of(network);
    Dry dry = Filled.of(network, demo.state()).with(Wetness.DRY).dry(network);
    for (Job job : Sampled.of(plans.offered(Jobs.of(network)), 8)) {
      Plan full = plans.plan(job, demo.state());
      Plan through = plans.plan(job, demo.state(), dry);
      if (full.trouble().isEmpty()) {
        assertThat(through.trouble()).as(job.id()).isEmpty();
        if (job.kind() == Job.Kind.RUN_FROM_TANK) {
          assertThat(through.notes())
              .as(job.id())
              .extracting(Message::toString)
              .anyMatch(n -> n.startsWith("The first water comes to"));
        }
      }
    }
  }
}
