package fernwort.core.jobs.plan;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Practised;
import fernwort.core.Worked;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the list says of a job its plan says, too, whatever the tanks hold. */
class ListAndPlanTest {

  /** Jobs whose plan is asked what is in its way; what only a run shows is told by the plan. */
  private static List<String> apart(Network network, State now) {
    Plans plans = Plans.of(network).brief();
    Offers offers = plans.offers(Jobs.of(network));
    List<String> apart = new ArrayList<>();
    for (Job job : Jobs.of(network).all()) {
      boolean listed = offers.of(job, now).trouble().isEmpty();
      Plan plan = plans.plan(job, now);
      if (listed != plan.trouble().isEmpty()) {
        apart.add("%s: list %s, plan %s".formatted(job.id(), listed, plan.trouble()));
      }
    }
    return apart;
  }

  @ParameterizedTest
  @Tag("slow")
  @CsvSource(
      delimiter = '|',
      value = {
        "three-in-a-row | north=20, middle=22, south=25",
        "three-in-a-row | north=60, middle=66, south=72",
        "three-in-a-row | north=120, middle=140, south=150",
        "motors         | store=20, second=10",
        "motors         | store=155, second=44",
        "low-inlet      | store=55, waste-tank=20",
        "relief-tube    | store=33, waste-tank=12",
      })
  void theySayTheSame(String rig, String litres) {
    Network network = Worked.rig(rig);
    assertThat(apart(network, Worked.holding(network, litres))).isEmpty();
  }

  @Test
  void aReliefValveStopsNoFill() {
    Network network = Worked.rig("relief-tube");
    Job fill = Jobs.of(network).byId("fill-store-hose-point-in").orElseThrow();
    assertThat(
            Plans.of(network)
                .plan(fill, Worked.holding(network, "store=33, waste-tank=12"))
                .trouble())
        .isEmpty();
  }

  @Test
  void howLongAUseLastsComesFromItsRunNotFromItsFirstMoment() {
    Network network = Worked.rig("bin");
    Job use =
        Jobs.of(network).all().stream()
            .filter(j -> j.id().startsWith("refill-"))
            .findFirst()
            .orElseThrow();
    Plan full = Plans.of(network).plan(use, Practised.filled(network, 0.95));
    assertThat(full.notes().toString()).doesNotContain("0 L/min come").doesNotContain("lasts");
  }

  @Test
  void airInTheLinesIsLetOutThoughEveryHandleStandsRight() {
    Network network = Worked.rig("low-inlet");
    State on =
        Worked.holding(network, "store=66")
            .with(fernwort.core.id.PartId.of("bilge-pump"), fernwort.core.id.PositionId.of("on"));
    Job run =
        Jobs.of(network).all().stream()
            .filter(j -> j.id().startsWith("run-store"))
            .findFirst()
            .orElseThrow();
    Plans plans = Plans.of(network);
    assertThat(plans.plan(run, on).steps()).isEmpty();
    fernwort.core.rig.Line suction = network.rig().lines().getFirst();
    fernwort.core.run.water.Dry aired =
        new fernwort.core.run.water.Dry(
            java.util.Map.of(suction.id(), suction.volume()), java.util.Map.of());
    assertThat(plans.plan(run, on, aired).steps()).anyMatch(Step.Wait.class::isInstance);
  }
}
