package fernwort.core.jobs.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.demo.DemoRig;
import fernwort.core.effort.Effort;
import fernwort.core.effort.EffortExceededException;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.network.Network;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Each job is looked at once, when it is asked for, and says the same alone and among all. */
class OffersTest {

  private static final Network NETWORK = Network.of(DemoRig.all().getFirst().rig());
  private static final Jobs JOBS = Jobs.of(NETWORK);

  private static Offers offers() {
    return Plans.of(NETWORK).offers(JOBS);
  }

  @Test
  void aJobSaysTheSameAloneAndAmongAll() {
    Offers alone = offers();
    List<Offer> all = offers().all();
    assertThat(all).extracting(Offer::job).isEqualTo(JOBS.all());
    assertThat(all).anyMatch(Offer::isPossible).anyMatch(offer -> !offer.isPossible());
    for (Offer one : all) {
      Offer asked = alone.of(one.job());
      assertThat(asked.trouble()).as(one.job().id()).isEqualTo(one.trouble());
      assertThat(asked.wanting()).as(one.job().id()).isEqualTo(one.wanting());
    }
  }

  /** What no position of the handles leads to, however full the tanks are. */
  @Test
  void whatNoHandleCanEverDoIsWanting() {
    assertThat(offers().all().stream().filter(Offer::wanting))
        .extracting(offer -> offer.job().id())
        .containsExactly("run-together", "move-main-low-fall");
  }

  /** A tank that stood full could not be filled. */
  @Test
  void aTankIsFilledFromNearlyEmpty() {
    assertThat(offers().possible())
        .extracting(Job::id)
        .contains("fill-main-inlet", "fill-all-inlet", "move-main-low-pump", "refill-low-inlet");
  }

  @Test
  void oneAfterTheOtherTheySayTheSame() {
    State now = new State(NETWORK.rig().atRest(), NETWORK.halfFull(), Slope.LEVEL);
    assertThat(offers().oneByOne(now)).isNotEmpty().isEqualTo(offers().all(now));
  }

  @Test
  void whatWasLookedAtIsNotLookedAtAgain() {
    Offers offers = offers();
    Offer first = offers.of(JOBS.all().getFirst());
    assertThat(offers.all().getFirst()).isSameAs(first);
    assertThat(offers.of(first.job())).isSameAs(first);
  }

  @Test
  void whatBrokeOffIsLookedAtAnew() {
    Offers offers = offers();
    Job job = JOBS.byId("fill-main-inlet").orElseThrow();
    Effort over = Effort.of(Duration.ofMinutes(1));
    over.cancel();
    assertThatThrownBy(() -> over.on(() -> offers.of(job)))
        .isInstanceOf(EffortExceededException.class);
    assertThatThrownBy(() -> over.on(offers::all)).isInstanceOf(EffortExceededException.class);
    assertThat(offers.isPossible(job)).isTrue();
    assertThat(offers.possible()).contains(job);
  }
}
