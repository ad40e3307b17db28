package fernwort.core.jobs.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.describe.Fittings;
import fernwort.core.describe.RigEdit;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Floats;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.Simulation;
import fernwort.core.say.Refusal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Ways to fill that are more than one tank to its brim. */
class FillFinderTest {

  /** What has a way that its pump is too weak for lacks a pump, not a way. */
  @Test
  void ofAPumpThatDoesNotLiftItIsSaidSo() {
    Rig hauling = ReadyRig.find("haulage").orElseThrow().rig();
    Rig weak =
        RigEdit.of(RigEdit.of(hauling).remove(PartId.of("hatch")))
            .change(PartId.of("engine-pump"), p -> p.with(Fittings.footPump(12, 0)));
    Jobs jobs = Jobs.of(Network.of(weak));
    assertThat(jobs.all()).noneMatch(job -> job.title().toString().startsWith("Fill"));
    assertThat(jobs.cannot())
        .filteredOn(c -> c.what().equals("Fill Haulage tank"))
        .singleElement()
        .satisfies(c ->
            assertThat(c.why())
                .startsWith("No pump on the way from Suction hose lifts water to Haulage tank."));
    Rig without = RigEdit.of(weak).remove(PartId.of("outside"));
    assertThat(Jobs.of(Network.of(without)).cannot())
        .filteredOn(c -> c.what().equals("Fill Haulage tank"))
        .singleElement()
        .satisfies(c -> assertThat(c.why()).startsWith("It needs a hose inlet or a filler"));
  }

  /** Half a metre square and tall, 120 L to its vent. */
  private static Kind tank() {
    return Fittings.tank(
        Contents.FRESH,
        new Shape.Box(0.5, 0.5, 0.5),
        0,
        Fittings.stick(0.1, 0.1),
        Fittings.port(PortId.of("low"), TankPort.Use.LINK, 0.1, 0.1, 0),
        Fittings.port(PortId.of("fill"), TankPort.Use.FILL, 0.1, 0.1, 0.45),
        Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, 0.48));
  }

  /** Two tanks side by side, the second higher by some metres, a valve in the link below them. */
  private static Rig linked(double higher, double bore) {
    RigBuilder rig =
        CaseRigs.rig()
            .part("inlet", "Inlet", -0.5, 0, 0.9, Fittings.inlet(3))
            .part("check", "Check valve", -0.4, 0, 0.9, Fittings.check())
            .part("left", "Left", 0, 0, 0.5, tank())
            .part("right", "Right", 1, 0, 0.5 + higher, tank())
            .part("link", "Link valve", 0.5, 0, 0.45, Fittings.twoWay(0))
            .line("i1", "Inlet 1", "inlet.out > check.in", 12, 0.2, Material.PEX, 0)
            .line("i2", "Inlet 2", "check.out > left.fill", 12, 0.5, Material.PEX, 0)
            .line("k1", "Link 1", "left.low > link.a", bore, 0.5, Material.PEX, 0)
            .line("k2", "Link 2", "link.b > right.low", bore, 0.5, Material.PEX, 0);
    CaseRigs.vented(rig, PartId.of("left"), 0.5);
    CaseRigs.vented(rig, PartId.of("right"), 0.5 + higher);
    return rig.build();
  }

  private static Plan plan(Network network, String job, Map<String, Double> litres) {
    State from =
        new State(
            network.rig().atRest(),
            Map.of(
                PartId.of("left"),
                litres.get("left") / 1000,
                PartId.of("right"),
                litres.get("right") / 1000),
            Slope.LEVEL);
    return Plans.of(network).plan(Jobs.of(network).byId(job).orElseThrow(), from);
  }

  /** In a narrow link the far tank lags behind what the hose gives. */
  @ParameterizedTest
  @CsvSource({"25, 0.06", "12, 0.15"})
  void twoTanksFillThroughTheirLink(double bore, double lag) {
    Network network = Network.of(linked(0, bore));
    Plan plan = plan(network, "fill-through-left-inlet", Map.of("left", 20.0, "right", 40.0));
    assertThat(plan.trouble()).isEmpty();
    assertThat(plan.moves())
        .extracting(m -> new Turn(m.part(), m.to()))
        .startsWith(
            new Turn(PartId.of("link"), PositionId.of("open")),
            new Turn(PartId.of("inlet"), PositionId.of("mains")))
        .endsWith(
            new Turn(PartId.of("inlet"), PositionId.of("capped")),
            new Turn(PartId.of("link"), PositionId.of("shut")));
    double full = plan.after().volume(PartId.of("left"));
    assertThat(full).isGreaterThan(0.118);
    assertThat(plan.after().volume(PartId.of("right"))).isCloseTo(full, within(lag * full));
    assertThat(Jobs.of(network).cannot()).noneMatch(c -> c.what().contains("Fill"));
  }

  /** A bladder on the ground, a pump, and a tank above it. */
  private static Rig bladder(boolean drinkable) {
    RigBuilder rig =
        CaseRigs.rig()
            .part("bladder", "Bladder", -1, 0, 0.2, new PortableContainer(0.02, drinkable))
            .part("pump", "Fill pump", -0.5, 0, 0.4, Fittings.transferPump(10, 0.6))
            .part("tank", "Tank", 0, 0, 0.8, tank())
            .part("tap", "Tap", 1, 0, 0.6, Fittings.fixture(Fixture.Type.TAP, true, 6))
            .line("s", "Suction", "bladder.spout > pump.in", 12, 0.6, Material.PEX, 0)
            .line("p", "Pressed", "pump.out > tank.fill", 12, 1.2, Material.PEX, 0)
            .line("t", "To tap", "tank.low > tap.cold", 12, 1.2, Material.PEX, 0);
    return CaseRigs.vented(rig, PartId.of("tank"), 0.8).build();
  }

  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void aTankIsPumpedFullFromABladder(boolean drinkable) {
    Rig rig = bladder(drinkable);
    Network network = Network.of(rig);
    Job job = Jobs.of(network).byId("lift-tank-bladder").orElseThrow();
    assertThat(job.cautions().contains(Caution.UNSAFE_SOURCE)).isEqualTo(!drinkable);
    State from = new State(rig.atRest(), Map.of(PartId.of("tank"), 0.01), Slope.LEVEL);
    Plan plan = Plans.of(network).plan(job, from);
    assertThat(plan.trouble()).isEmpty();
    assertThat(plan.after().volume(PartId.of("tank"))).isCloseTo(0.03, within(1e-3));
    assertThat(plan.after().setting()).isEqualTo(rig.atRest());
  }

  /** Two tanks with a valve in the link between them, filled by a pump or from above. */
  private static Rig linkedBy(PartId id, Kind kind, boolean pumped) {
    RigBuilder rig =
        CaseRigs.rig()
            .part(id.value(), "Source", -1, 0, pumped ? 0.3 : 1.4, kind)
            .part("left", "Left", 0, 0, 0.5, tank())
            .part("right", "Right", 1, 0, 0.5, tank())
            .part("link", "Link valve", 0.5, 0, 0.45, Fittings.twoWay(0))
            .line("k1", "Link 1", "left.low > link.a", 25, 0.5, Material.PEX, 0)
            .line("k2", "Link 2", "link.b > right.low", 25, 0.5, Material.PEX, 0);
    String from = id + "." + kind.ports().getFirst();
    if (pumped) {
      rig.part("pump", "Fill pump", -0.5, 0, 0.4, Fittings.transferPump(10, 0.6))
          .line("s", "Suction", from + " > pump.in", 12, 0.6, Material.PEX, 0)
          .line("p", "Pressed", "pump.out > left.fill", 12, 1.2, Material.PEX, 0);
    } else {
      rig.line("p", "Poured", from + " > left.fill", 25, 1.2, Material.PEX, 0);
    }
    return CaseRigs.vented(CaseRigs.vented(rig, PartId.of("left"), 0.5), PartId.of("right"), 0.5)
        .build();
  }

  @ParameterizedTest
  @CsvSource({"bladder, true, lift", "can, false, jug"})
  void aRowIsFilledThroughItsLinkFromAJug(PartId id, boolean pumped, String by) {
    Network network = Network.of(linkedBy(id, new PortableContainer(0.02, true), pumped));
    Plan plan = plan(network, by + "-through-left-" + id, Map.of("left", 10.0, "right", 10.0));
    assertThat(plan.trouble()).isEmpty();
    assertThat(plan.after().volume(PartId.of("left")) + plan.after().volume(PartId.of("right")))
        .isCloseTo(0.04, within(1e-3));
    assertThat(plan.after().volume(PartId.of("right"))).isGreaterThan(0.012);
    assertThat(plan.moves()).extracting(m -> m.part()).contains(PartId.of("link"), id);
    assertThat(Jobs.of(network).cannot()).noneMatch(c -> c.what().contains("Fill"));
  }

  @Test
  void aRowIsPumpedFullFromTheOutsideAndLevelledBetween() {
    Network network = Network.of(linkedBy(PartId.of("hose"), new HoseInlet(0, 0.45), true));
    Plan plan = plan(network, "lift-through-left-hose", Map.of("left", 10.0, "right", 10.0));
    assertThat(plan.trouble()).isEmpty();
    assertThat(plan.after().volume(PartId.of("left"))).isGreaterThan(0.115);
    assertThat(plan.after().volume(PartId.of("right")))
        .isCloseTo(plan.after().volume(PartId.of("left")), within(0.006));
    assertThat(plan.after().setting().of(PartId.of("pump")).value()).isEqualTo("off");
    assertThat(plan.after().setting().of(PartId.of("hose")).value()).isEqualTo("capped");
  }

  @Test
  void whatHasToRestBeforeTheTapIsShutRestsBeforeTheFill() {
    DemoRig truck = DemoRig.all().getFirst();
    Network network = Network.of(truck.rig());
    State from =
        truck
            .state()
            .with(PartId.of("mains-valve"), PositionId.of("open"))
            .with(PartId.of("heater-out"), PositionId.of("shut"))
            .with(PartId.of("tank-selector"), PositionId.of("shut"));
    Plan plan = Plans.of(network).plan(Jobs.of(network).byId("fill-low-inlet").orElseThrow(), from);
    assertThat(plan.trouble()).isEmpty();
    List<Step> steps = plan.steps();
    for (int i = 1; i < steps.size(); i++) {
      if (steps.get(i - 1) instanceof Step.Wait wait && wait.until().fills()) {
        assertThat(steps.get(i)).isInstanceOf(Step.Move.class);
        assertThat(((Step.Move) steps.get(i)).part().value())
            .as(steps.toString())
            .isEqualTo("inlet");
      }
    }
    assertThat(plan.after().setting().of(PartId.of("heater")).value()).isEqualTo("off");
  }

  /** Three tanks in a row whose vents meet: air passes from one to the next with the links shut. */
  @ParameterizedTest
  @ValueSource(doubles = {0, 0.5, 20})
  void whatIsPouredIntoTheFirstOfARowComesToAllThroughTheirLinks(double litres) {
    Rig rig = ReadyRig.find("three-in-a-row").orElseThrow().rig();
    Network network = Network.of(rig);
    Job job = Jobs.of(network).byId("pour-through-first-filler").orElseThrow();
    Map<PartId, Double> volumes = new HashMap<>();
    rig.tanks().forEach(t -> volumes.put(t.id(), litres / 1000));
    State from = new State(rig.atRest(), volumes, Slope.LEVEL);
    Plan plan = Plans.of(network).plan(job, from);
    assertThat(plan.trouble()).isEmpty();
    assertThat(plan.moves())
        .extracting(m -> new Turn(m.part(), m.to()))
        .containsExactly(
            new Turn(PartId.of("filler"), PositionId.of("open")),
            new Turn(PartId.of("link-1"), PositionId.of("open")),
            new Turn(PartId.of("link-2"), PositionId.of("open")),
            new Turn(PartId.of("filler"), PositionId.of("shut")),
            new Turn(PartId.of("link-1"), PositionId.of("shut")),
            new Turn(PartId.of("link-2"), PositionId.of("shut")));
    assertThat(job.tanks(rig))
        .contains(PartId.of("first"), PartId.of("second"), PartId.of("third"));
    // Poured into the first, it stands as high in all of them a while later.
    State poured = from.withVolume(PartId.of("first"), 0.06);
    Simulation run =
        Simulation.start(
            network,
            poured
                .with(PartId.of("filler"), PositionId.of("open"))
                .with(PartId.of("link-1"), PositionId.of("open"))
                .with(PartId.of("link-2"), PositionId.of("open")));
    run.runTo(7200);
    Levels levels = Levels.of(network, run.moment().state());
    assertThat(levels.surface(PartId.of("second")))
        .isCloseTo(levels.surface(PartId.of("first")), within(0.005));
    assertThat(levels.surface(PartId.of("third")))
        .isCloseTo(levels.surface(PartId.of("first")), within(0.005));
    assertThat(Jobs.of(network).cannot()).noneMatch(c -> c.what().startsWith("Fill"));
  }

  // --- to a mark ---------------------------------------------------------------------------------

  @Test
  void aTankIsFilledToAMark() {
    Network network = Network.of(linked(0, 25));
    Plan plan = plan(network, "fill-left-inlet~to~75.5", Map.of("left", 20.0, "right", 40.0));
    assertThat(plan.trouble()).isEmpty();
    assertThat(plan.job().title().toString()).isEqualTo("Fill Left to 76 L");
    assertThat(plan.after().volume(PartId.of("left"))).isCloseTo(0.0755, within(1e-4));
    assertThat(plan.after().setting().of(PartId.of("inlet")).value()).isEqualTo("capped");
    Step.Wait wait =
        (Step.Wait)
            plan.steps().stream().filter(Step.Wait.class::isInstance).findFirst().orElseThrow();
    assertThat(wait.seconds().expected()).isBetween(120.0, 240.0);
    assertThat(wait.words().toString()).contains("76 L");
    assertThat(wait.then()).as("what comes when nobody shuts the tap").isNotNull();
  }

  @Test
  void aMarkThatIsPassedBeforeThePumpCanBeStoppedIsRefusedWithWhatComes() {
    Network network = Network.of(linkedBy(PartId.of("hose"), new HoseInlet(0, 0.45), true));
    Map<String, Double> holds = Map.of("left", 20.0, "right", 40.0);
    Plan plan = plan(network, "lift-left-hose~to~20.2", holds);
    assertThat(plan.trouble().orElseThrow().words().toString())
        .contains("before anybody can stop at 20 L")
        .endsWith("Choose 21 L or more as its mark, or let it in more slowly.");
    assertThat(plan(network, "lift-left-hose~to~21", holds).trouble()).isEmpty();
  }

  @Test
  void aMarkThatIsPassedAlreadyIsSaid() {
    Plan plan =
        plan(
            Network.of(linked(0, 25)),
            "fill-left-inlet~to~15",
            Map.of("left", 20.0, "right", 40.0));
    assertThat(plan.trouble().orElseThrow().words().toString()).contains("Left holds 20 L already");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "fill-left-inlet~to~",
        "fill-left-inlet~to~many",
        "fill-left-inlet~to~1e-999999999",
        "fill-left-inlet~to~0.0001",
        "fill-left-inlet~to~-3",
        "fill-left-inlet~to~NaN",
        "rest~to~5",
        "fill-nothing~to~5"
      })
  void aMarkThatIsNoneNamesNoJob(String id) {
    assertThat(Jobs.of(Network.of(linked(0, 25))).byId(id)).isEmpty();
  }

  @Test
  void aMarkAboveWhatTheTankTakesIsRefusedWithTheMost() {
    Jobs jobs = Jobs.of(Network.of(linked(0, 25)));
    assertThatThrownBy(() -> jobs.byId("fill-left-inlet~to~130"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Left")
        .hasMessageContaining("120 L");
  }

  // --- a second stop -----------------------------------------------------------------------------

  /** A tank with a low and a high float, and a valve that chooses between them. */
  private static Rig twoFloats() {
    Kind tank =
        Fittings.tank(
            Contents.FRESH,
            new Shape.Box(0.5, 0.5, 0.5),
            0,
            Fittings.stick(0.1, 0.1),
            Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.1, 0.1, 0),
            Fittings.port(PortId.of("low-float"), TankPort.Use.FLOAT, 0.1, 0.1, 0.2),
            Fittings.port(PortId.of("high-float"), TankPort.Use.FLOAT, 0.1, 0.1, 0.4),
            Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, 0.48));
    RigBuilder rig =
        CaseRigs.rig()
            .part("inlet", "Inlet", -0.5, 0, 0.9, Fittings.inlet(3))
            .part("check", "Check valve", -0.4, 0, 0.9, Fittings.check())
            .part("tee", "Tee", -0.3, 0, 0.9, new Tee())
            .part("low", "Low valve", -0.2, 0, 0.9, Fittings.twoWay(0))
            .part("high", "High valve", -0.2, 0.2, 0.9, Fittings.twoWay(0))
            .part("left", "Left", 0, 0, 0.5, tank)
            .line("i1", "Inlet 1", "inlet.out > check.in", 12, 0.2, Material.PEX, 0)
            .line("i2", "Inlet 2", "check.out > tee.a", 12, 0.5, Material.PEX, 0)
            .line("i3", "To low", "tee.b > low.a", 12, 0.2, Material.PEX, 0)
            .line("i4", "To high", "tee.c > high.a", 12, 0.2, Material.PEX, 0)
            .line("i5", "Low in", "low.b > left.low-float", 12, 0.2, Material.PEX, 0)
            .line("i6", "High in", "high.b > left.high-float", 12, 0.2, Material.PEX, 0);
    return CaseRigs.vented(rig, PartId.of("left"), 0.5).build();
  }

  @Test
  void floatsAreTakenFromTheLowestOnWhicheverTheFileNamesFirst() {
    Network network = Network.of(twoFloats());
    Part tank = network.rig().part(PartId.of("left"));
    List<TankPort> ports = ((Tank) tank.kind()).tankPorts();
    Part turned = tank.with(((Tank) tank.kind()).withPorts(ports.reversed()));
    assertThat(Floats.of(tank))
        .isEqualTo(Floats.of(turned))
        .extracting(TankPort::id)
        .containsExactly(PortId.of("low-float"), PortId.of("high-float"));
    double[] shuts =
        Floats.of(tank).stream().mapToDouble(f -> Floats.shutsAt(network, tank, f)).toArray();
    assertThat(shuts).containsExactly(new double[] {0.05, 0.1}, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"fill-left-inlet, 100", "fill-left-inlet-low-float, 50"})
  void aTankFillsToTheFloatThatIsMeant(String job, double litres) {
    Network network = Network.of(twoFloats());
    for (PositionId low : List.of(PositionId.of("open"), PositionId.of("shut"))) {
      for (PositionId high : List.of(PositionId.of("open"), PositionId.of("shut"))) {
        State from =
            new State(
                network.rig().atRest().with(PartId.of("low"), low).with(PartId.of("high"), high),
                Map.of(PartId.of("left"), 0.01),
                Slope.LEVEL);
        Plan plan = Plans.of(network).plan(Jobs.of(network).byId(job).orElseThrow(), from);
        assertThat(plan.trouble()).isEmpty();
        assertThat(plan.after().volume(PartId.of("left")))
            .as("low %s, high %s", low, high)
            .isCloseTo(litres / 1000, within(2e-3));
      }
    }
  }
}
