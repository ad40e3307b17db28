package fernwort.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.fault.Fault;
import fernwort.core.fault.FaultFinder;
import fernwort.core.fault.FaultyRig;
import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.jobs.mistake.Slips;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.Simulation;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Exercises other than jobs: what is called right is so when it is run. */
class ExercisesTest {

  private static final int DRILLS = Integer.getInteger("sweep.drills", 2);

  private final Random random = new Random(11);

  private static Drills drills(Rig rig) {
    Network network = Network.of(rig);
    Plans plans = Plans.of(network);
    return Drills.of(network, plans, plans.offered(Jobs.of(network)));
  }

  @ParameterizedTest
  @MethodSource("fernwort.core.Sampled#demos")
  void whoNamesWhereTheWaterGoesPassesAndNobodyElse(String demo) {
    Drills drills = drills(DemoRig.called(demo).rig());
    for (int i = 0; i < DRILLS; i++) {
      WhatIf what = drills.whatIf(i % 3, random).orElseThrow();
      assertThat(what.choices()).containsAll(what.arrives());
      assertThat(what.judge(what.arrives()).passed()).isTrue();
      assertThat(what.judge(Set.of()).missed()).hasSameSizeAs(what.arrives());
      Set<PartId> more = new HashSet<>(what.choices());
      assertThat(what.judge(more).wrong()).hasSize(what.choices().size() - what.arrives().size());
    }
  }

  @ParameterizedTest
  @MethodSource("fernwort.core.Sampled#demos")
  void theTurnsThatAreCalledRightStopAHoseThatIsOffOrLeaksAndOthersDoNot(String demo) {
    Rig rig = DemoRig.called(demo).rig();
    Drills drills = drills(rig);
    for (int i = 0; i < DRILLS; i++) {
      Emergency hose = drawn(drills, h -> h.mishap() != Emergency.Mishap.RUNS_OVER);
      FaultKind wrong =
          hose.mishap() == Emergency.Mishap.LEAKS ? FaultKind.LEAKING : FaultKind.DETACHED;
      FaultyRig off = FaultyRig.of(rig, new Fault(hose.on(), wrong)).orElseThrow();
      Hydraulics hydraulics = Hydraulics.of(Network.of(off.rig()));
      for (var part : rig.handles().toList()) {
        for (var position : part.kind().positions()) {
          if (hose.from().setting().has(part.id(), position.id())) {
            continue;
          }
          Flows before = hydraulics.solve(off.state(hose.from()));
          Flows after = hydraulics.solve(off.state(hose.from().with(part.id(), position.id())));
          double out = off.outlets().stream().mapToDouble(after::end).sum();
          boolean poursElsewhere =
              spilt(after, off) > spilt(before, off) + 1e-3 / 60
                  || sum(after.fixtures()) > sum(before.fixtures()) + 1e-3 / 60;
          assertThat(hose.isRight(new Turn(part.id(), position.id())))
              .as("%s: %s to %s leaves %s of %s", demo, part.id(), position.id(), out, hose.flow())
              .isEqualTo(out < 0.05 * hose.flow() && !poursElsewhere);
        }
      }
    }
  }

  private Emergency drawn(Drills drills, Predicate<Emergency> such) {
    return Stream.generate(() -> drills.emergency(random))
        .limit(1000)
        .flatMap(Optional::stream)
        .filter(such)
        .findFirst()
        .orElseThrow();
  }

  @ParameterizedTest
  @MethodSource("fernwort.core.Sampled#demos")
  void aTankThatRunsOverIsStoppedByTheTurnsThatAreCalledRightWhenItIsRun(String demo) {
    Rig rig = DemoRig.called(demo).rig();
    Drills drills = drills(rig);
    Network network = Network.of(rig);
    for (int i = 0; i < DRILLS / 2; i++) {
      Emergency over = drawn(drills, e -> e.mishap() == Emergency.Mishap.RUNS_OVER);
      double left = runsOut(network, over.from());
      assertThat(left).isGreaterThan(0.4e-3);
      for (Turn turn : over.right()) {
        assertThat(runsOut(network, over.from().with(turn.part(), turn.position())))
            .as("%s: %s", demo, turn)
            .isLessThan(left / 2);
      }
    }
  }

  /** What runs out at all ends in half a minute (m³). */
  private static double runsOut(Network network, State state) {
    Simulation run = Simulation.start(network, Hydraulics.of(network), state, Conditions.ORDINARY);
    run.runTo(30);
    return run.moment().totals().out().values().stream().mapToDouble(v -> v).sum();
  }

  private static double spilt(Flows flows, FaultyRig off) {
    return sum(flows.ends()) - off.outlets().stream().mapToDouble(flows::end).sum();
  }

  private static double sum(Map<PartId, Double> through) {
    return through.values().stream().mapToDouble(q -> Math.max(0, q)).sum();
  }

  @Test
  void aHiddenFaultShowsAndIsFoundInAsManyLooksAsTheFinderTakes() {
    Rig rig = DemoRig.called("samphire").rig();
    FaultFinder finder = FaultFinder.of(rig);
    Drills drills = drills(rig);
    for (int i = 0; i < DRILLS; i++) {
      FindIt hidden = drills.findIt(finder, random).orElseThrow();
      assertThat(finder.see(hidden.fault(), hidden.sign().seen(""), hidden.from()))
          .contains(hidden.sign().value());
      assertThat(hidden.best(finder).orElseThrow()).isBetween(0, 15);
      assertThat(finder.isMendedAs(hidden.fault(), hidden.fault())).isTrue();
    }
  }

  @Test
  void whatWasMissedComesBackAfterOneThreeSevenAndTwentyOneDays() {
    LocalDate day = LocalDate.of(2026, 6, 1);
    Leitner missed = Leitner.fresh(day).after(false, day);
    assertThat(missed.due()).isEqualTo(day.plusDays(1));
    List<Long> pauses = new ArrayList<>();
    Leitner box = missed;
    for (int i = 0; i < 4; i++) {
      LocalDate on = box.due();
      assertThat(box.isDue(on.minusDays(1))).isFalse();
      assertThat(box.isDue(on)).isTrue();
      box = box.after(true, on);
      pauses.add(java.time.temporal.ChronoUnit.DAYS.between(on, box.due()));
    }
    assertThat(pauses).containsExactly(3L, 7L, 21L, 21L);
    assertThat(box.after(false, day).due()).isEqualTo(day.plusDays(1));
  }

  @Test
  void aHandOverTeachesTheWorstThatIsEasilyDoneWrong() {
    DemoRig demo = DemoRig.called("marginalia");
    Network network = Network.of(demo.rig());
    Plans plans = Plans.of(network);
    Slips slips = Slips.of(network, plans);
    State rest = new State(demo.rig().atRest(), demo.state().volumes(), Slope.LEVEL);
    Map<Job, List<Slip>> mistakes = new LinkedHashMap<>();
    plans.offered(Jobs.of(network)).stream()
        .filter(j -> plans.plan(j, rest).trouble().isEmpty())
        .limit(8)
        .forEach(j -> mistakes.put(j, slips.of(j, rest)));
    List<HandOver.Lesson> five = HandOver.pick(mistakes);
    assertThat(five).hasSize(5);
    assertThat(five).extracting(l -> l.job().id()).doesNotHaveDuplicates();
    Slip.Grade worst =
        mistakes.values().stream()
            .flatMap(List::stream)
            .map(Slip::grade)
            .min(java.util.Comparator.naturalOrder())
            .orElseThrow();
    assertThat(five.getFirst().worst().grade()).isEqualTo(worst);
    assertThat(five)
        .extracting(l -> l.worst().grade())
        .as("nothing harmless is taught")
        .doesNotContain(Slip.Grade.HARMLESS);
  }
}
