package fernwort.core.jobs.mistake;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.OnRecord;
import fernwort.core.demo.DemoRig;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What single slips lead to, on the rigs they would happen to; each job is tried once for all. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class SlipsTest {

  private static final DemoRig TRUCK = DemoRig.all().getFirst();

  private static List<Slip> slips(Network network, String job, State from) {
    return Slips.of(network, Plans.of(network)).of(Jobs.of(network).byId(job).orElseThrow(), from);
  }

  private final Map<String, List<Slip>> found = new HashMap<>();

  private List<Slip> slips(String job) {
    return found.computeIfAbsent(job, j -> slips(Network.of(TRUCK.rig()), j, TRUCK.state()));
  }

  private static Slip only(List<Slip> slips, Slip.Kind kind, String words) {
    return slips.stream()
        .filter(s -> s.kind() == kind && s.words().toString().contains(words))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aFillThatNobodyEndsRunsOutAtItsOverflow() {
    Slip overrun = only(slips("fill-main-inlet"), Slip.Kind.OVERRUN, "Main fresh is full");
    assertThat(overrun.grade()).isNotEqualTo(Slip.Grade.HARMLESS);
    assertThat(overrun.lost()).isGreaterThan(0.05);
    assertThat(overrun.leads().toString()).contains("Main tail");
  }

  @Test
  void theOverflowValveForgottenShutBulgesTheTank() {
    State shut = TRUCK.state().with(PartId.of("low-overflow-valve"), PositionId.of("shut"));
    Slip missed =
        only(
            slips(Network.of(TRUCK.rig()), "fill-low-inlet", shut),
            Slip.Kind.MISSED,
            "Low overflow");
    assertThat(missed.grade()).isEqualTo(Slip.Grade.GRAVE);
    assertThat(missed.leads().toString()).contains("Low fresh bulges");
    assertThat(missed.undone()).contains("Only if it is caught at once");
  }

  @Test
  void theSelectorTurnedTooFarFillsTheWrongTank() {
    Slip far = only(slips("fill-low-inlet"), Slip.Kind.TOO_FAR, "points to Main");
    assertThat(far.grade()).isIn(Slip.Grade.NUISANCE, Slip.Grade.BAD);
  }

  @Test
  void aSelectorIsTurnedTooFarOnlyToWhereItNeitherStoodNorBelongs() {
    Network network = Network.of(TRUCK.rig());
    Job job = Jobs.of(network).byId("fill-low-inlet").orElseThrow();
    Plan plan = Plans.of(network).plan(job, TRUCK.state());
    List<Try> far =
        new SlipMaker(TRUCK.rig(), true)
            .of(plan, TRUCK.state()).stream().filter(t -> t.kind() == Slip.Kind.TOO_FAR).toList();
    assertThat(far)
        .isNotEmpty()
        .allSatisfy(t -> {
          Step.Move meant = (Step.Move) plan.steps().get(t.step());
          Trial.Turned turned = (Trial.Turned) t.acts().get(t.step());
          assertThat(turned.part()).isEqualTo(meant.part());
          assertThat(turned.position()).isNotIn(meant.from(), meant.to());
        });
  }

  @Test
  void aForgottenHoseMeansTheJobIsNotDoneAndCanBeSetRight() {
    Slip missed =
        slips("fill-main-inlet").stream()
            .filter(s -> s.kind() == Slip.Kind.MISSED && s.step() == 1)
            .findFirst()
            .orElseThrow();
    assertThat(missed.grade()).isEqualTo(Slip.Grade.NUISANCE);
    assertThat(missed.undone()).startsWith("Yes");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "fill-main-inlet",
        "fill-low-inlet",
        "run-main",
        "run-inlet",
        "empty-gray-dump-outlet",
        "heat-heater-main",
        "shed-low-low-drain"
      })
  void whatSlipsLeadToIsOnRecord(String job) {
    OnRecord.assertAsRead(
        "slips/" + job,
        slips(job).stream()
            .map(s ->
                "%s %s %s: %s %s after %s s, %s m³ [%s]"
                    .formatted(
                        s.grade(),
                        s.kind(),
                        s.step(),
                        s.words(),
                        s.leads(),
                        OnRecord.number(s.after()),
                        OnRecord.number(s.lost()),
                        s.undone()))
            .toList());
  }

  @Test
  void theWorstComesFirst() {
    assertThat(slips("fill-low-inlet"))
        .extracting(Slip::grade)
        .isSortedAccordingTo(Slip.Grade::compareTo);
  }

  private static Remedy remedy(String id) {
    return Remedy.of(Network.of(TRUCK.rig())).stream()
        .filter(r -> r.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void powerThatFailsWhileTheMainsFillIsNoHarmForTheTapIsStillShutByHand() {
    assertThat(slips("fill-main-inlet"))
        .filteredOn(s -> s.kind() == Slip.Kind.POWER_LOST)
        .isNotEmpty()
        .allMatch(s -> s.lost() < 1e-3 && s.grade() != Slip.Grade.GRAVE);
  }

  private static List<Slip> graded(Slip.Grade... grades) {
    return Stream.of(grades)
        .map(g -> new Slip(Slip.Kind.MISSED, 0, Message.NOTHING, g, 0, 0, Message.NOTHING, ""))
        .toList();
  }

  @Test
  void fewerGraveSlipsAreLessWhateverElseComesOfIt() {
    List<Slip> before = graded(Slip.Grade.GRAVE, Slip.Grade.BAD, Slip.Grade.NUISANCE);
    assertThat(Remedy.isLess(graded(Slip.Grade.BAD, Slip.Grade.BAD, Slip.Grade.BAD), before))
        .isTrue();
    assertThat(Remedy.isLess(graded(Slip.Grade.GRAVE, Slip.Grade.NUISANCE), before)).isTrue();
    assertThat(Remedy.isLess(graded(Slip.Grade.GRAVE, Slip.Grade.BAD), before)).isTrue();
    assertThat(Remedy.isLess(graded(Slip.Grade.GRAVE, Slip.Grade.GRAVE), before)).isFalse();
    assertThat(
            Remedy.isLess(
                graded(Slip.Grade.GRAVE, Slip.Grade.BAD, Slip.Grade.BAD, Slip.Grade.HARMLESS),
                before))
        .isFalse();
    assertThat(Remedy.isLess(before, before)).isFalse();
    // More or fewer of what nothing comes of is neither less nor more.
    assertThat(
            Remedy.isLess(
                before,
                Stream.concat(before.stream(), graded(Slip.Grade.HARMLESS).stream()).toList()))
        .isFalse();
  }

  @Test
  void aRemedyThatMendsNothingIsNotOffered() {
    List<Slip> slips = slips("run-main");
    assertThat(remedy("float-main").mending("run-main", TRUCK.state(), slips)).isEmpty();
    assertThat(remedy("last-look").mending("no-such-job", TRUCK.state(), slips)).isEmpty();
  }

  @Test
  void slipsThatBeginAlikeComeToWhatTheyComeToRunFromTheStart() {
    Network network = Network.of(TRUCK.rig());
    Trial trial = new Trial(network, Hydraulics.of(network));
    Plan plan =
        Plans.of(network)
            .plan(Jobs.of(network).byId("fill-main-inlet").orElseThrow(), TRUCK.state());
    List<Trial.Act> right = Trial.acts(plan);
    Trial.Course course = trial.run(TRUCK.state(), right, Map.of());
    for (int i = 0; i < right.size(); i++) {
      List<Trial.Act> fewer = new ArrayList<>(right);
      fewer.remove(i);
      fewer.add(new Trial.Pause(300));
      Trial.Outcome alone = trial.run(TRUCK.state(), fewer, Map.of()).outcome();
      assertThat(trial.run(course, fewer)).as("without act %d", i).isEqualTo(alone);
    }
  }

  @Test
  void aFloatValveMakesTheForgottenFillHarmless() {
    List<Slip> before = slips("fill-main-inlet");
    List<Slip> after =
        remedy("float-main").mending("fill-main-inlet", TRUCK.state(), before).orElseThrow();
    assertThat(only(after, Slip.Kind.OVERRUN, "Main fresh is full").grade())
        .isEqualTo(Slip.Grade.HARMLESS);
    assertThat(harmful(after)).isLessThan(harmful(slips("fill-main-inlet")));
  }

  @Test
  void aLastLookMakesATapLeftOpenHarmlessButNobodyLooksWhereNobodyComesBack() {
    Remedy look = remedy("last-look");
    List<Slip> before = slips("run-main");
    List<Slip> after = look.mending("run-main", TRUCK.state(), before).orElseThrow();
    // What runs while one listens for the pump to stop is lost either way.
    double lost = only(before, Slip.Kind.TAP_OPEN, "Rinse point").lost();
    assertThat(lost).isGreaterThan(0.03);
    assertThat(only(after, Slip.Kind.TAP_OPEN, "Rinse point").lost()).isLessThan(lost / 2);
    List<Slip> fill = slips("fill-main-inlet");
    assertThat(look.mending("fill-main-inlet", TRUCK.state(), fill).orElse(fill))
        .filteredOn(s -> s.kind() == Slip.Kind.OVERRUN)
        .noneMatch(s -> s.grade() == Slip.Grade.HARMLESS);
  }

  @Test
  void aTapLeftOpenIsTriedIndoorsAndOutdoors() {
    assertThat(slips("run-main"))
        .filteredOn(s -> s.kind() == Slip.Kind.TAP_OPEN)
        .extracting(s -> s.words().toString())
        .containsExactlyInAnyOrder(
            "Sink was left open all the while.", "Rinse point was left open all the while.");
  }

  private static long harmful(List<Slip> slips) {
    return slips.stream().filter(s -> s.grade() != Slip.Grade.HARMLESS).count();
  }

  @Test
  void atRestEachHandleIsBumpedOnceAndADrainCapLosesWater() {
    Network network = Network.of(TRUCK.rig());
    State rest =
        TRUCK
            .state()
            .with(TRUCK.rig().atRest())
            .with(PartId.of("low-overflow-valve"), PositionId.of("open"));
    List<Slip> bumps = Slips.of(network, Plans.of(network)).bumps(rest);
    Slip cap = only(bumps, Slip.Kind.BUMPED, "Low drain cap");
    assertThat(cap.lost()).isGreaterThan(0.01);
    assertThat(only(bumps, Slip.Kind.BUMPED, "Sink").grade()).isEqualTo(Slip.Grade.HARMLESS);
    assertThat(only(bumps, Slip.Kind.BUMPED, "Pump").leads().toString()).contains("runs dry");
  }
}
