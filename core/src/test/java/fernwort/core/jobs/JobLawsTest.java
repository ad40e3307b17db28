package fernwort.core.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.OnRecord;
import fernwort.core.Sampled;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.FillToMark;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.plan.Hands;
import fernwort.core.jobs.plan.Offer;
import fernwort.core.jobs.plan.Planner;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What holds of the jobs of any rig, whoever drew it and however the file lists it. */
class JobLawsTest {

  static Stream<Rig> rigs() {
    return Sampled.rigs(5);
  }

  private static State half(Rig rig) {
    Network network = Network.of(rig);
    Map<PartId, Double> volumes = new HashMap<>();
    rig.tanks().forEach(t -> volumes.put(t.id(), network.room(t.id()).capacity() / 2));
    return new State(rig.atRest(), volumes, Slope.LEVEL);
  }

  // --- the file ----------------------------------------------------------------------------------

  /** The same rig as another program might have written it: parts, lines and stops in any order. */
  static Rig shuffled(Rig rig, long seed) {
    Random random = new Random(seed);
    List<Part> parts = new ArrayList<>();
    rig.parts().forEach(p -> parts.add(p.with(shuffled(p.kind(), random))));
    Collections.shuffle(parts, random);
    List<fernwort.core.rig.Line> lines = new ArrayList<>(rig.lines());
    Collections.shuffle(lines, random);
    return new Rig(rig.name(), rig.note(), rig.vehicle(), rig.places(), parts, lines);
  }

  private static Kind shuffled(Kind kind, Random random) {
    return switch (kind) {
      case TwoWayValve v -> new TwoWayValve(shuffled(v.stops(), random), v.motor());
      case ThreeWayValve v -> new ThreeWayValve(shuffled(v.stops(), random), v.motor());
      default -> kind;
    };
  }

  private static List<Stop> shuffled(List<Stop> stops, Random random) {
    List<Stop> shuffled = new ArrayList<>(stops);
    Collections.shuffle(shuffled, random);
    return shuffled;
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void theOrderInTheFileChangesNoJob(Rig rig) {
    List<String> as = ids(rig);
    for (long seed = 1; seed <= 3; seed++) {
      Rig other = shuffled(rig, seed);
      assertThat(other.atRest()).isEqualTo(rig.atRest());
      assertThat(ids(other)).as("seed %d", seed).containsExactlyInAnyOrderElementsOf(as);
    }
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void whoeverJoinsAHoseToTheMainsIsToldOfTheHoseAndOfBackflow(Rig rig) {
    for (Job job : Jobs.of(Network.of(rig)).all()) {
      boolean mains =
          job.stages().stream()
              .anyMatch(s -> s.goal().musts().containsValue(PositionId.of("mains")));
      assertThat(job.cautions().contains(Caution.BACKFLOW)).as(job.id()).isEqualTo(mains);
      if (mains) {
        assertThat(job.cautions()).as(job.id()).contains(Caution.DRINKING_HOSE);
      }
    }
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void whatAJobAsksForIsOnRecord(Rig rig) {
    Jobs jobs = Jobs.of(Network.of(rig));
    List<String> told = new ArrayList<>();
    jobs.all().forEach(j -> told.addAll(Told.job(j)));
    jobs.cannot().forEach(c -> told.add("cannot: " + c.what() + ". " + c.why()));
    OnRecord.assertAsRead(OnRecord.file("jobs", rig.name()), told);
  }

  private static List<String> ids(Rig rig) {
    return Jobs.of(Network.of(rig)).all().stream().map(j -> j.id() + ": " + j.name()).toList();
  }

  @Property(tries = 40)
  void theOrderInTheFileChangesNoPlansLength(@ForAll @LongRange(min = 0, max = 5000) long seed) {
    Rig rig = SmallHouses.rig(seed);
    Rig other = shuffled(rig, seed);
    State start = SmallHouses.state(rig, seed);
    Goal goal = SmallHouses.goal(rig, seed);
    assertThat(turns(other, start, goal)).isEqualTo(turns(rig, start, goal));
  }

  private static int turns(Rig rig, State start, Goal goal) {
    return Planner.of(Network.of(rig)).plan(start, goal) instanceof Planner.Found found
        ? found.turns().size()
        : -1;
  }

  // --- the list ----------------------------------------------------------------------------------

  @ParameterizedTest
  @MethodSource("rigs")
  void everyJobIsListedOnceAndWhatStandsInItsWayIsSaid(Rig rig) {
    Network network = Network.of(rig);
    Jobs jobs = Jobs.of(network);
    List<Offer> offers = Plans.of(network).offers(jobs).all();
    assertThat(offers).extracting(o -> o.job().id()).doesNotHaveDuplicates();
    assertThat(offers).extracting(o -> o.job().name()).doesNotHaveDuplicates();
    assertThat(offers).hasSameSizeAs(jobs.all());
    assertThat(offers)
        .flatExtracting(o -> o.trouble().stream().map(Plan.Trouble::words).toList())
        .allSatisfy(words -> assertThat(words.toString()).endsWith(".").hasSizeGreaterThan(20));
    assertThat(jobs.cannot())
        .allSatisfy(c -> {
          assertThat(c.what().toString()).isNotBlank();
          assertThat(c.why().toString()).endsWith(".");
        });
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void aJobIsFoundByItsIdAndKnowsWhatItFills(Rig rig) {
    Jobs jobs = Jobs.of(Network.of(rig));
    for (Job job : jobs.all()) {
      assertThat(jobs.byId(job.id())).contains(job);
      FillToMark.tank(job)
          .ifPresent(tank -> {
            assertThat(rig.part(tank).kind()).isInstanceOf(Tank.class);
            Job some =
                jobs.byId(FillToMark.name(job, new java.math.BigDecimal("1.50"))).orElseThrow();
            assertThat(some.id()).endsWith("~to~1.5");
            assertThat(some.kind()).isEqualTo(job.kind());
            assertThat(FillToMark.tank(some)).contains(tank);
          });
    }
  }

  // --- plans -------------------------------------------------------------------------------------

  @ParameterizedTest
  @MethodSource("rigs")
  void aPlanBeginsWhereThingsStandAndEveryStepGoesOnFromTheOneBefore(Rig rig) {
    Network network = Network.of(rig);
    Plans plans = Plans.of(network);
    State from = half(rig);
    List<String> told = new ArrayList<>();
    for (Job job : Jobs.of(network).all()) {
      Plan plan = plans.plan(job, from);
      told.addAll(Told.plan(plan, from));
      State at = from;
      for (Step.Move move : plan.moves()) {
        assertThat(at.setting().of(move.part()).value())
            .as(job.id())
            .isEqualTo(move.from().value());
        assertThat(move.to().value()).isNotEqualTo(move.from().value());
        assertThat(Hands.canTurn(rig.part(move.part()), move.from(), move.to()))
            .as("%s: %s", job.id(), move)
            .isTrue();
        at = at.with(move.part(), move.to());
      }
      if (plan.trouble().isEmpty()) {
        assertThat(plan.after().setting()).as(job.id()).isEqualTo(at.setting());
      } else {
        assertThat(plan.trouble().get().words().toString()).endsWith(".");
      }
    }
    OnRecord.assertAsRead(OnRecord.file("plans", rig.name()), told);
  }

  /** What is filled does not run over while something else is seen to. */
  @ParameterizedTest
  @MethodSource("rigs")
  void theFirstTurnAfterAFillStopsTheWater(Rig rig) {
    Network network = Network.of(rig);
    Plans plans = Plans.of(network);
    for (Job job : Jobs.of(network).all()) {
      if (job.kind() != Job.Kind.FILL_FROM_MAINS) {
        continue;
      }
      List<Step> steps = plans.plan(job, half(rig)).steps();
      for (int i = 1; i < steps.size(); i++) {
        if (steps.get(i - 1) instanceof Step.Wait wait && wait.until().fills()) {
          assertThat(steps.get(i)).as(job.id()).isInstanceOf(Step.Move.class);
          Part first = rig.part(((Step.Move) steps.get(i)).part());
          assertThat(first.kind()).as(job.id()).isInstanceOf(HoseInlet.class);
        }
      }
    }
  }
}
