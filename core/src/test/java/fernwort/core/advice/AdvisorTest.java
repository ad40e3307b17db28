package fernwort.core.advice;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Sampled;
import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.frost.Curve;
import fernwort.core.frost.FreezeForecast;
import fernwort.core.hazard.Severity;
import fernwort.core.id.PartId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.plan.Offers;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Lasts;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What is advised is worst first, at most three lines, and can be done. */
class AdvisorTest {

  private static List<Advice> advice(Rig rig, State state) {
    Network network = Network.of(rig);
    Plans plans = Plans.of(network);
    return advice(plans, plans.offers(Jobs.of(network)), state);
  }

  private static List<Advice> advice(Plans plans, Offers offers, State state) {
    Lasts lasts = Lasts.of(plans.network(), state, Habits.DEFAULT);
    return Advisor.of(plans, offers, state, lasts, Advisor.Noted.NOTHING);
  }

  private static State filled(Rig rig, double fresh, double gray) {
    Network network = Network.of(rig);
    Map<PartId, Double> volumes = new HashMap<>();
    rig.tanks()
        .forEach(t ->
            volumes.put(
                t.id(),
                network.room(t.id()).capacity() * (t.kind().holds(Contents.GRAY) ? gray : fresh)));
    return new State(rig.atRest(), volumes, Slope.LEVEL);
  }

  @Test
  void whenBothEndSoonGrayIsDumpedBeforeFreshIsFilled() {
    Rig rig = ReadyRig.find("one-tank").orElseThrow().rig();

    List<Advice> all = advice(rig, filled(rig, 0.12, 0.9));

    assertThat(all).hasSize(2);
    assertThat(all)
        .extracting(a -> a.job().map(Job::kind))
        .containsExactly(Optional.of(Job.Kind.EMPTY_GRAY), Optional.of(Job.Kind.FILL_BY_HAND));
    assertThat(all.toString()).contains("Dump Gray", "Fill up");
  }

  @Test
  void whoHasWaterAndRoomIsToldNothing() {
    Rig rig = DemoRig.called("tern").rig();

    assertThat(advice(rig, filled(rig, 0.9, 0.05))).isEmpty();
  }

  @Test
  void anEmptyTankIsSaidToBeEmpty() {
    Rig rig = ReadyRig.find("one-tank").orElseThrow().rig();

    assertThat(advice(rig, filled(rig, 0, 0)).getFirst().words().toString())
        .isEqualTo("Fill up: there is no fresh water left to draw.");
  }

  @Test
  void whatWasBegunStandsFirst() {
    Rig rig = ReadyRig.find("one-tank").orElseThrow().rig();
    Network network = Network.of(rig);
    State state = filled(rig, 0.12, 0.9);
    Plans plans = Plans.of(network);

    List<Advice> all =
        Advisor.of(
            plans,
            plans.offers(Jobs.of(network)),
            state,
            Lasts.of(network, state, Habits.DEFAULT),
            new Advisor.Noted(
                Optional.of(Message.of("Fill Fresh")),
                List.of("Sanitize Fresh", "Look for leaks"),
                Optional.empty()));

    assertThat(all).hasSize(3);
    assertThat(all.getFirst().words().toString())
        .isEqualTo("You are in the middle of: Fill Fresh.");
  }

  @Test
  void whatIsOverdueIsSaidOnceWithHowManyMore() {
    Rig rig = ReadyRig.find("one-tank").orElseThrow().rig();
    Network network = Network.of(rig);
    State state = filled(rig, 0.9, 0.05);
    Plans plans = Plans.of(network);

    List<Advice> all =
        Advisor.of(
            plans,
            plans.offers(Jobs.of(network)),
            state,
            Lasts.of(network, state, Habits.DEFAULT),
            new Advisor.Noted(
                Optional.empty(), List.of("Sanitize Fresh", "Look for leaks"), Optional.empty()));

    assertThat(all).extracting(Advice::what).contains(Advice.What.MAINTAIN);
    assertThat(all.getLast().words().toString())
        .isEqualTo("Maintenance: Sanitize Fresh is due, and 1 more.");
  }

  @Test
  void frostStandsBeforeWhatMattersLessAndIsSilentWhereNothingFreezes() {
    Rig rig = DemoRig.called("tern").rig();
    State state = filled(rig, 0.9, 0.05);
    Network network = Network.of(rig);
    Wintering now = Filled.of(network, state);

    Optional<Advisor.Frost> hard = frost(network, now, 258);

    assertThat(frost(network, now, 276)).isEmpty();
    assertThat(hard.orElseThrow().bursts()).isTrue();
    Plans plans = Plans.of(network);
    List<Advice> all =
        Advisor.of(
            plans,
            plans.offers(Jobs.of(network)),
            state,
            Lasts.of(network, state, Habits.DEFAULT),
            new Advisor.Noted(Optional.empty(), List.of("Sanitize Fresh"), hard));
    assertThat(all)
        .extracting(Advice::what)
        .containsExactly(Advice.What.KEEP_FROM_FROST, Advice.What.MAINTAIN);
    assertThat(all.getFirst().grade()).isEqualTo(Severity.WARNING);
    assertThat(all.getFirst().words().toString())
        .isEqualTo(
            "Frost tonight, down to -15 °C: %s freezes first, not before %s."
                .formatted(hard.orElseThrow().part(), hard.orElseThrow().hour()));
  }

  private static Optional<Advisor.Frost> frost(Network network, Wintering now, double lowest) {
    Curve air = new Curve(List.of(0.0, 40000.0), List.of(278.0, lowest));
    return Advisor.Frost.of(
        FreezeForecast.of(
            network, now, new FreezeForecast.Asked(air, 288, 2, 288, false, 0, Set.of())),
        lowest,
        seconds -> "hour " + Math.round(seconds / 3600),
        false);
  }

  @Test
  void otherwiseItSaysHowLongTheWaterLasts() {
    Rig rig = DemoRig.called("tern").rig();
    State state = filled(rig, 0.9, 0.05);

    assertThat(Advisor.otherwise(Lasts.of(Network.of(rig), state, Habits.DEFAULT)).toString())
        .matches("Water for about [0-9.]+ days; then (gray is full|fresh water ends)\\.");
  }

  @ParameterizedTest
  @CsvSource({
    "0.01, about 1 hour",
    "0.4, about 10 hours",
    "1.1, about a day",
    "1.4, about 1.5 days",
    "2.1, about 2 days"
  })
  void daysAreSaidAsPeopleSayThem(double days, String words) {
    assertThat(AdviceWords.about(days)).isEqualTo(words);
  }

  static Stream<Rig> rigs() {
    return Sampled.rigs(5);
  }

  /** No line offers a job that cannot be done now, and none that does the opposite of its words. */
  @ParameterizedTest
  @MethodSource("rigs")
  void whatIsOfferedCanBeDoneNow(Rig rig) {
    Random random = new Random(rig.name().hashCode());
    Network network = Network.of(rig);
    Plans plans = Plans.of(network);
    Offers offers = plans.offers(Jobs.of(network));
    for (int times = 0; times < 4; times++) {
      State state = filled(rig, random.nextDouble(), random.nextDouble());
      List<Advice> all = advice(plans, offers, state);

      assertThat(all).hasSizeLessThanOrEqualTo(3);
      assertThat(all).isSortedAccordingTo((a, b) -> a.grade().compareTo(b.grade()));
      for (Advice one : all) {
        one.job()
            .ifPresent(job -> {
              assertThat(plans.plan(job, state).trouble()).as(job.id()).isEmpty();
              assertThat(one.words().toString())
                  .startsWith(job.kind() == Job.Kind.EMPTY_GRAY ? "Dump" : "Fill");
            });
        assertThat(one.grade()).isNotEqualTo(Severity.DANGER);
      }
    }
  }
}
