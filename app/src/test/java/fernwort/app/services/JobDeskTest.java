package fernwort.app.services;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.jobs.plan.Offer;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.run.water.Dry;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** What is found out about a rig is found once for its description. */
class JobDeskTest {

  private static final Duration LONG = Duration.ofMinutes(1);
  private static final String JOB = "run-main";

  private final DemoRig demo = DemoRig.all().getFirst();
  private final Workers workers = new Workers();

  /** A rig that is in use, its lines full. */
  private final JobDesk desk =
      new JobDesk(
          workers,
          new Sleep(null, null, null, null) {
            @Override
            public Dry dry(OpenRig rig) {
              return Dry.NOTHING;
            }
          },
          new AiredLines(null, null) {
            @Override
            Dry of(OpenRig rig) {
              return Dry.NOTHING;
            }
          });

  @AfterEach
  void clear() {
    workers.destroy();
  }

  private static Rig copy(Rig rig) {
    return new Rig(
        rig.name(),
        rig.note(),
        rig.vehicle(),
        List.copyOf(rig.places()),
        List.copyOf(rig.parts()),
        List.copyOf(rig.lines()),
        rig.built());
  }

  @Test
  void anotherAddressOrVersionOfTheSameFindsItAtHand() {
    OpenRig first = OpenRig.of("first", 1, demo.rig());
    OpenRig again = OpenRig.of("again", 7, copy(demo.rig()));
    assertThat(desk.book(again)).isSameAs(desk.book(first));
    List<Slip> slips = desk.slips(first, JOB, demo.state(), LONG).orElseThrow();
    assertThat(desk.slips(again, JOB, demo.state(), LONG).orElseThrow()).isSameAs(slips);
    // From another state they are others.
    assertThat(
            desk.slips(
                    first, JOB, demo.state().with(PartId.of("sink"), PositionId.of("shut")), LONG)
                .orElseThrow())
        .isNotSameAs(slips);
  }

  @Test
  void aFilterThatCloggedMakesItAnotherRigInTheSameVersion() {
    OpenRig clean = OpenRig.of("van", 1, demo.rig());
    OpenRig clogged =
        OpenRig.of("van", 1, Network.of(demo.rig()), Map.of(PartId.of("sediment"), 1.5));
    assertThat(desk.book(clogged)).isNotSameAs(desk.book(clean));
    List<Slip> slips = desk.slips(clean, JOB, demo.state(), LONG).orElseThrow();
    assertThat(desk.slips(clogged, JOB, demo.state(), LONG).orElseThrow()).isNotSameAs(slips);
  }

  @Test
  void whoDoesNotWaitForTheJobsFindsThemLookedAtTheNextTime() {
    OpenRig rig = OpenRig.of("van", 1, demo.rig());
    assertThat(desk.offers(rig, demo.state(), Duration.ZERO)).isEmpty();
    List<Offer> offers = desk.offers(rig, demo.state(), LONG).orElseThrow();
    assertThat(offers).extracting(Offer::job).isEqualTo(desk.book(rig).jobs().all());
    assertThat(desk.offers(rig, demo.state(), Duration.ZERO).orElseThrow()).isSameAs(offers);
  }

  /** A card of many jobs shows what is planned, and the rest the next time. */
  @Test
  void whatNobodyWaitedForIsPlannedTheNextTime() {
    OpenRig rig = OpenRig.of("van", 1, demo.rig());
    assertThat(desk.plan(rig, JOB, demo.state(), Duration.ZERO)).isEmpty();
    Plan plan = desk.plan(rig, JOB, demo.state(), LONG).orElseThrow();
    assertThat(desk.plan(rig, JOB, demo.state(), Duration.ZERO).orElseThrow()).isSameAs(plan);
  }

  @Test
  void onlyTheJobsThatAreMeantAreLookedAt() {
    OpenRig rig = OpenRig.of("van", 1, demo.rig());
    JobBook book = desk.book(rig);
    assertThat(book.offered(job -> job.id().equals(JOB))).extracting(Job::id).containsExactly(JOB);
    assertThat(book.offered(job -> false)).isEmpty();
  }
}
