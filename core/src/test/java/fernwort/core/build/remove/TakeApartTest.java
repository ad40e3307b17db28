package fernwort.core.build.remove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.Sampled;
import fernwort.core.build.SmallVan;
import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.describe.Fittings;
import fernwort.core.drain.Draining;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.network.RandomRigs;
import fernwort.core.rig.Line;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** Taking parts out, each plan done step by step. */
class TakeApartTest {

  private static double held(Rig rig, Wintering now) {
    double held = 0;
    for (Line line : rig.lines()) {
      held += now.wetness().volume(line);
    }
    for (Part part : rig.parts()) {
      held += now.wetness().body(part.id());
      held += part.kind() instanceof Tank ? now.state().volume(part.id()) : 0;
    }
    return held;
  }

  /** Turns what the plan turns, then undoes every joint, one after another. */
  private static double stepByStep(Rig rig, State from, TakeApart plan) {
    State state = from;
    for (TakeApart.Turn turn : plan.off()) {
      state = state.with(turn.part().id(), turn.to().id());
    }
    for (TakeApart.Turn turn : plan.shut()) {
      state = state.with(turn.part().id(), turn.to().id());
    }
    Network network = Network.of(rig);
    Wintering full = Draining.of(network, Filled.of(network, state));
    Wintering now = full;
    List<PortRef> open = new ArrayList<>();
    for (TakeApart.Undo joint : plan.joints()) {
      open.add(joint.at());
      now = Draining.of(Network.of(Undoing.open(rig, open)), now);
    }
    return held(rig, full) - held(rig, now);
  }

  private static double loses(Rig rig, State state, Network opened) {
    Network network = Network.of(rig);
    Wintering full = Draining.of(network, Filled.of(network, state));
    return held(rig, full) - held(rig, Draining.of(opened, full));
  }

  /** Each handle keeps back what the plan says it does. */
  private static void shutsWhatKeepsMost(Rig rig, State from, TakeApart plan, Part out) {
    State state = from;
    for (TakeApart.Turn turn : plan.off()) {
      state = state.with(turn.part().id(), turn.to().id());
    }
    Network opened = Network.of(Undoing.open(rig, Undoing.joints(rig, List.of(out.id()))));
    for (TakeApart.Turn turn : plan.shut()) {
      State shut = state.with(turn.part().id(), turn.to().id());
      assertThat(turn.part().id().value()).isNotEqualTo(out.id().value());
      assertThat(turn.keeps())
          .as(rig.name() + " " + out.id() + " " + turn.part().id())
          .isGreaterThan(1e-4)
          .isCloseTo(loses(rig, state, opened) - loses(rig, shut, opened), within(1e-12));
      state = shut;
    }
  }

  private static void check(Rig rig, State state, Part part) {
    Network network = Network.of(rig);
    TakeApart plan = TakeApart.of(network, state, Set.of(part.id()));
    assertThat(plan.joints()).allSatisfy(j -> assertThat(j.comes()).isGreaterThanOrEqualTo(0));
    assertThat(plan.litres())
        .isCloseTo(plan.joints().stream().mapToDouble(TakeApart.Undo::comes).sum(), within(1e-12));
    // What comes is what the rig holds less then. All at once may be a little more: a column that
    // broke when the first joint opened draws nothing after it.
    assertThat(plan.litres())
        .as(rig.name() + " " + part.id())
        .isCloseTo(stepByStep(rig, state, plan), within(1e-9));
    shutsWhatKeepsMost(rig, state, plan, part);
    plan.empty().values().forEach(v -> assertThat(v).isPositive());
    // Turning those handles lets nothing out by itself.
    State off = state;
    for (TakeApart.Turn turn : plan.off()) {
      off = off.with(turn.part().id(), turn.to().id());
    }
    State shut = off;
    for (TakeApart.Turn turn : plan.shut()) {
      shut = shut.with(turn.part().id(), turn.to().id());
    }
    assertThat(held(rig, Draining.of(network, Filled.of(network, shut))))
        .as(rig.name() + " " + part.id())
        .isGreaterThan(held(rig, Draining.of(network, Filled.of(network, off))) - 1e-5);
  }

  @Test
  void everyPartOfTheRigsWeShipComesOut() {
    for (DemoRig demo : DemoRig.all()) {
      for (Part part : Sampled.of(demo.rig().parts(), 15)) {
        if (!Undoing.joints(demo.rig(), List.of(part.id())).isEmpty()) {
          check(demo.rig(), demo.state(), part);
        }
      }
    }
    for (ReadyRig ready : ReadyRig.all()) {
      Rig rig = ready.rig();
      Map<PartId, Double> half = new HashMap<>();
      Network network = Network.of(rig);
      rig.tanks().forEach(t -> half.put(t.id(), network.room(t.id()).capacity() / 2));
      State state = new State(rig.atRest(), half, Slope.LEVEL);
      rig.parts().stream()
          .filter(p -> p.kind() instanceof Pump || p.kind() instanceof Filter)
          .forEach(p -> check(rig, state, p));
    }
  }

  @Property(tries = 60)
  void partsOfRigsNobodyDrewComeOut(@ForAll @LongRange(min = 0, max = 1 << 20) long seed) {
    partsComeOut(seed);
  }

  /** Its tank's middle joint drains a column that would have run on over the top. */
  @Test
  void aColumnThatBrokeStaysBroken() {
    partsComeOut(16_873);
  }

  private static void partsComeOut(long seed) {
    Rig rig = RandomRigs.rig(seed);
    State state = RandomRigs.state(rig, seed);
    rig.parts().stream()
        .filter(p -> !Undoing.joints(rig, List.of(p.id())).isEmpty())
        .limit(4)
        .forEach(p -> check(rig, state, p));
  }

  @Test
  void thePumpOfMarginaliaIsShutOffAndLosesLittle() {
    DemoRig demo = DemoRig.all().getFirst();
    TakeApart plan = TakeApart.of(Network.of(demo.rig()), demo.state(), Set.of(PartId.of("pump")));
    assertThat(plan.joints()).hasSize(2);
    assertThat(plan.joints()).extracting(TakeApart.Undo::tag).containsExactly(1, 2);
    assertThat(plan.litres()).isLessThan(0.012);
    assertThat(plan.heed().toString()).contains("fuse");
    assertThat(plan.wayRound().toString()).contains("IN to the tank");
    Rig meanwhile = plan.meanwhile(demo.rig());
    assertThat(meanwhile.partsById()).doesNotContainKey(PartId.of("pump"));
  }

  @Test
  void whatToHoldUnderWhatToMindAndWhatToRenewIsSaidPartByPart() {
    Rig van = SmallVan.rig();
    State state = new State(van.atRest(), Map.of(PartId.of("tank"), 0.05), Slope.LEVEL);
    TakeApart plan =
        TakeApart.of(
            Network.of(van), state, Set.of(PartId.of("tank"), PartId.of("pump"), PartId.of("tee")));
    assertThat(plan.heed().toString())
        .contains("Sink stays open")
        .contains("50 kg in it")
        .contains("jack")
        .contains("Pump: its fuse")
        .doesNotContain("Tank: gloves");
    assertThat(plan.wayRound()).hasSize(1);
    assertThat(plan.caps())
        .containsEntry("13 mm hose", 3)
        .containsEntry("15 mm tube", 2)
        .containsEntry("bulkhead with 1/2 BSP parallel thread, female", 2)
        .containsEntry("push-fit for 15 mm tube", 2);
    assertThat(plan.joints())
        .allSatisfy(j ->
            assertThat(j.seal().value())
                .contains(j.line().bore() > 0.0125 ? "a clamp" : "the O-ring of the push-fit"));
    // The tank's feed lies at its bottom: what is above it runs out, so it is emptied first.
    assertThat(plan.empty().get(PartId.of("tank"))).isBetween(0.03, 0.05);
    TakeApart.Undo feed =
        plan.joints().stream()
            .filter(j -> j.at().equals(new PortRef(PartId.of("tank"), PortId.of("feed"))))
            .findFirst()
            .orElseThrow();
    assertThat(feed.under()).isEqualTo(TakeApart.Catch.EMPTY_FIRST);
    assertThat(feed.place().value()).isEqualTo("under");
    // From the highest joint down, the tags in that order.
    List<Double> heights =
        plan.joints().stream().map(j -> van.part(j.at().part()).at(j.at().port()).z()).toList();
    assertThat(heights).isSortedAccordingTo(java.util.Comparator.reverseOrder());
  }

  /** A tank on a shelf over the pump, with a stop in its feed and another in its vent. */
  private static Rig shelf(boolean stopInFeed) {
    RigBuilder rig =
        RigBuilder.named("Shelf")
            .vehicle(SmallVan.VAN)
            .place("shelf", "Shelf", "reach up", 1, 0, 1.2)
            .part(
                "tank",
                "Tank",
                1,
                0,
                1.2,
                SmallVan.tank(
                    Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.4, 0, 0),
                    Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.4, 0.2, 0.28)))
            .part("breath", "Breath stop", 1.4, 0.2, 1.55, Fittings.twoWay(90))
            .part("vent-end", "Vent end", 1.4, 0.3, 1.7, Fittings.end(OpenEnd.Role.VENT))
            .part("pump", "Pump", 2, 0, 0.8, 0.1, Fittings.pressurePump(10, 2.8))
            .part("sink", "Sink", 2, 0.4, 1.7, Fittings.fixture(Fixture.Type.TAP, true, 6))
            .line("up", "Up", "tank.vent > breath.a", 13, 0.2, Material.PVC_HOSE, 1)
            .line("out", "Out", "breath.b > vent-end.in", 13, 0.3, Material.PVC_HOSE, 1)
            .line("riser", "Riser", "pump.out > sink.cold", 12, 1, Material.PEX, 1);
    if (stopInFeed) {
      rig.part("stop", "Stop", 1.6, 0, 1, Fittings.twoWay(90))
          .line("feed", "Feed", "tank.feed > stop.a", 12, 0.5, Material.PEX, 1)
          .line("suction", "Suction", "stop.b > pump.in", 12, 0.5, Material.PEX, 1);
    } else {
      rig.line("feed", "Feed", "tank.feed > pump.in", 12, 1, Material.PEX, 1);
    }
    return rig.build();
  }

  private static State standing(Rig rig) {
    Setting setting =
        rig.atRest()
            .with(PartId.of("breath"), PositionId.of("open"))
            .with(PartId.of("pump"), PositionId.of("on"));
    return new State(
        rig.partsById().containsKey(PartId.of("stop"))
            ? setting.with(PartId.of("stop"), PositionId.of("open"))
            : setting,
        Map.of(PartId.of("tank"), 0.04),
        Slope.LEVEL);
  }

  @Test
  void theStopBelowATankKeepsWhatIsInIt() {
    Rig rig = shelf(true);
    TakeApart plan = TakeApart.of(Network.of(rig), standing(rig), Set.of(PartId.of("pump")));
    // The pump off and the tap open; the stop, and never that of the vent, which would keep water
    // back until the first bubble.
    assertThat(plan.off())
        .extracting(t -> t.part().id())
        .containsExactly(PartId.of("pump"), PartId.of("sink"));
    assertThat(plan.off())
        .extracting(t -> t.to().id())
        .containsExactly(PositionId.of("off"), PositionId.of("open"));
    assertThat(plan.shut())
        .singleElement()
        .satisfies(t -> {
          assertThat(t.part().id().value()).isEqualTo("stop");
          assertThat(t.to().id().value()).isEqualTo("shut");
          // The 40 L of the tank and the metre of tube of 12 mm, half of it under the stop, which
          // no air gets into from above.
          assertThat(t.keeps()).isCloseTo(0.04 + 0.000113097, within(1e-8));
        });
    assertThat(plan.empty()).isEmpty();
    // What comes is above the pump, where the open tap lets air in.
    assertThat(plan.litres()).isCloseTo(0.000113097, within(1e-5));
    assertThat(plan.joints()).hasSize(2);
  }

  @Test
  void withoutAStopTheTankIsEmptiedFirst() {
    Rig rig = shelf(false);
    TakeApart plan = TakeApart.of(Network.of(rig), standing(rig), Set.of(PartId.of("pump")));
    assertThat(plan.shut()).isEmpty();
    assertThat(plan.empty().get(PartId.of("tank"))).isCloseTo(0.04, within(1e-6));
    assertThat(plan.litres()).isCloseTo(0.04 + 0.000113097, within(2e-4));
    assertThat(plan.joints())
        .filteredOn(j -> j.at().equals(new PortRef(PartId.of("pump"), PortId.IN)))
        .singleElement()
        .satisfies(j -> assertThat(j.under()).isEqualTo(TakeApart.Catch.EMPTY_FIRST));
  }

  @Test
  void aStopThatIsShutAlreadyIsNotTurned() {
    Rig rig = shelf(true);
    State shut =
        standing(rig)
            .with(PartId.of("stop"), PositionId.of("shut"))
            .with(PartId.of("pump"), PositionId.of("off"));
    TakeApart plan = TakeApart.of(Network.of(rig), shut, Set.of(PartId.of("pump")));
    assertThat(plan.shut()).isEmpty();
    assertThat(plan.off()).extracting(t -> t.part().id()).containsExactly(PartId.of("sink"));
    // Nor is what comes out itself.
    TakeApart stop = TakeApart.of(Network.of(rig), standing(rig), Set.of(PartId.of("stop")));
    assertThat(stop.shut()).isEmpty();
    assertThat(stop.empty()).containsOnlyKeys(PartId.of("tank"));
  }

  @Test
  void whatComesOutTogetherKeepsTheLineBetween() {
    for (DemoRig demo : DemoRig.all()) {
      Rig rig = demo.rig();
      for (Line line : rig.lines()) {
        Part from = rig.part(line.from().part());
        Part to = rig.part(line.to().part());
        boolean apart =
            !from.place().equals(to.place())
                || from.kind() instanceof Tank
                || to.kind() instanceof Tank;
        List<PortRef> joints = Undoing.joints(rig, Set.of(from.id(), to.id()));
        assertThat(joints.contains(line.from())).as(line.id().value()).isEqualTo(apart);
        assertThat(joints.contains(line.to())).as(line.id().value()).isEqualTo(apart);
        assertThat(joints).containsAll(others(rig, from, to));
        assertThat(joints).containsAll(others(rig, to, from));
      }
    }
    Rig rig = shelf(true);
    TakeApart plan =
        TakeApart.of(Network.of(rig), standing(rig), Set.of(PartId.of("stop"), PartId.of("pump")));
    assertThat(plan.joints())
        .extracting(j -> j.at().part())
        .containsOnlyOnce(PartId.of("stop"), PartId.of("pump"));
  }

  /** The ports of a part from which a line leads to anything but another part. */
  private static List<PortRef> others(Rig rig, Part part, Part other) {
    return Undoing.joints(rig, Set.of(part.id())).stream()
        .filter(at -> {
          Line line = rig.linesByPort().get(at);
          return !line.from().part().equals(other.id()) && !line.to().part().equals(other.id());
        })
        .toList();
  }

  @Test
  void whileTheGrayTankIsOutNothingRunsDownASink() {
    DemoRig demo = DemoRig.called("marginalia");
    Network network = Network.of(demo.rig());
    List<Job> usual = Plans.of(network).offered(Jobs.of(network));
    assertThat(usual).anyMatch(j -> j.kind().is(Job.Is.RUNS_TAPS));
    TakeApart plan = TakeApart.of(network, demo.state(), Set.of(PartId.of("gray")));
    Meanwhile meanwhile = Meanwhile.of(plan, demo.rig(), usual);
    assertThat(meanwhile.backsUp())
        .extracting(Part::label)
        .containsExactlyInAnyOrder("Sink", "Shower", "Basin");
    assertThat(meanwhile.works())
        .isNotEmpty()
        .noneMatch(j -> j.kind().is(Job.Is.RUNS_TAPS))
        .doesNotContainAnyElementsOf(meanwhile.lost());
  }

  @Test
  void whatHasNoJointIsRefused() {
    DemoRig demo = DemoRig.all().getFirst();
    Network network = Network.of(demo.rig());
    State state = demo.state();
    assertThatThrownBy(() -> TakeApart.of(network, state, Set.of()))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Choose");
  }
}
