package fernwort.core.run;

import static fernwort.core.Reference.number;
import static fernwort.core.Reference.tolerance;
import static fernwort.core.hydraulics.CaseRigs.rig;
import static fernwort.core.hydraulics.CaseRigs.tank;
import static fernwort.core.hydraulics.CaseRigs.vented;
import static fernwort.core.hydraulics.CaseRigs.withPipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import fernwort.core.Reference;
import fernwort.core.demo.DemoRig;
import fernwort.core.describe.Fittings;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.AirAdmittanceValve;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.RandomRigs;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.water.Air;
import fernwort.core.ways.TankAir;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The rig run in time. */
public class SimulationTest {

  private static final double MINUTE = 60;

  private static Simulation start(Rig rig, Map<PartId, Double> litres, PositionId... set) {
    State state =
        new State(
            rig.atRest(),
            litres.entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, e -> e.getValue() / 1000)),
            Slope.LEVEL);
    for (int i = 0; i < set.length; i += 2) {
      state = state.with(PartId.of((set[i]).value()), set[i + 1]);
    }
    return Simulation.start(Network.of(rig), state);
  }

  @Test
  void whatBeginsTogetherIsToldInOneOrder() {
    DemoRig demo = DemoRig.called("marginalia");
    State brimFull = demo.state();
    for (Part tank : demo.rig().tanks().toList()) {
      brimFull = brimFull.withVolume(tank.id(), 1);
    }
    List<Event> full = Simulation.start(Network.of(demo.rig()), brimFull).standing();
    assertThat(full.stream().filter(e -> e.kind() == Event.Kind.FULL)).hasSizeGreaterThan(1);
    assertThat(full)
        .isSortedAccordingTo(Comparator.comparing(Event::kind).thenComparing(Event::subject));
  }

  // --- the cases worked out independently --------------------------------------------------------

  @Test
  void aTankDrainsInTheTimeWorkedOut() {
    JsonNode c = Reference.only("open-drain-time");
    assertThat(drainMinutes(c)).isCloseTo(number(c, "minutes"), tolerance(c));
  }

  /** Returns our answer to the case of a draining tank (min). */
  public static double drainMinutes(JsonNode c) {
    double area = number(c, "plan_area_m2");
    Rig rig =
        withPipe(
            vented(rig().part("tank", "Tank", 0, 0, 1, tank(area)), PartId.of("tank"), 1)
                .part("end", "End", 0, 0, 1 - number(c, "drop_m"), Fittings.end(Role.DRAIN))
                .line("pipe", "Pipe", "tank.low > end.in", 1, 1, Material.PEX, 0)
                .build(),
            LineId.of("pipe"),
            c);
    Simulation run = start(rig, Map.of(PartId.of("tank"), 1000 * area * number(c, "h0_m")));
    return minutesUntil(run, PartId.of("tank"), area * number(c, "h1_m"));
  }

  private static double minutesUntil(Simulation run, PartId tank, double volume) {
    double before = run.moment().state().volume(tank);
    while (run.time() < 3600) {
      run.runTo(run.time() + 0.5);
      double now = run.moment().state().volume(tank);
      if (now <= volume) {
        return (run.time() - 0.5 * (volume - now) / (before - now)) / MINUTE;
      }
      before = now;
    }
    return Double.NaN;
  }

  @Test
  void twoTanksEqualiseInTheTimeWorkedOut() {
    JsonNode c = Reference.only("open-equalise");
    assertThat(equaliseMinutes(c)).isCloseTo(number(c, "minutes"), tolerance(c));
  }

  /** Returns our answer to the case of two tanks joined (min). */
  public static double equaliseMinutes(JsonNode c) {
    double first = number(c, "plan_area_1_m2");
    double second = number(c, "plan_area_2_m2");
    double low = number(c, "surface_2_m") - 0.1;
    Rig rig =
        withPipe(
            vented(
                    vented(
                        rig()
                            .part("one", "One", 0, 0, number(c, "surface_1_m") - 0.45, tank(first))
                            .part("two", "Two", 0, 0, low, tank(second)),
                        PartId.of("one"),
                        1),
                    PartId.of("two"),
                    1)
                .line("pipe", "Pipe", "one.low > two.low", 1, 1, Material.PEX, 0)
                .build(),
            LineId.of("pipe"),
            c);
    Simulation run =
        start(rig, Map.of(PartId.of("one"), 450 * first, PartId.of("two"), 100 * second));
    double gap = Double.POSITIVE_INFINITY;
    while (gap > number(c, "gap_m") && run.time() < 3600) {
      run.runTo(run.time() + 0.25);
      State now = run.moment().state();
      gap =
          number(c, "surface_1_m")
              - 0.45
              + now.volume(PartId.of("one")) / first
              - low
              - now.volume(PartId.of("two")) / second;
    }
    return run.time() / MINUTE;
  }

  @Test
  void airShutInKeepsItsPressureTimesVolume() {
    JsonNode c = Reference.only("open-sealed");
    double[] gauge = sealedPressures(c);
    assertThat(gauge[0]).isCloseTo(number(c, "gauge_after_taking_pa"), tolerance(c));
    assertThat(gauge[1]).isCloseTo(number(c, "gauge_after_adding_pa"), tolerance(c));
  }

  /** Returns our answer to the case of a sealed tank: after taking and after adding (Pa). */
  public static double[] sealedPressures(JsonNode c) {
    double water = 0.1 - number(c, "air_l") / 1000;
    Air air = new Air(0.1, water);
    air.ways(
        Levels.of(
            Network.of(DemoRig.all().getFirst().rig()),
            new State(DemoRig.all().getFirst().rig().atRest(), Map.of(), Slope.LEVEL)),
        new TankAir(PartId.of("tank"), Optional.empty(), Optional.empty(), Optional.empty()),
        Set.of());
    return new double[] {
      air.pressure(water - number(c, "taken_l") / 1000),
      air.pressure(water + number(c, "added_l") / 1000)
    };
  }

  // --- what users would see ----------------------------------------------------------------------

  /** A vented tank whose overflow leaves at 0.2 m, rises to 0.45 m and falls to a tail below. */
  private static Rig filled(boolean airAtCrest) {
    var rig =
        vented(rig().part("tank", "Tank", 0, 0, 1, tank()), PartId.of("tank"), 1)
            .part("inlet", "Inlet", 0, 0, 0.8, Fittings.inlet(0.5))
            .part("crest", "Crest", 0, 0, 1.45, new Tee())
            .part("tail", "Tail", 0, 0, 0.6, Fittings.end(Role.OVERFLOW))
            .line("fill", "Fill", "inlet.out > tank.low", 13, 6, Material.PEX, 4)
            .line("over", "Overflow", "tank.high > crest.a", 19, 0.3, Material.PEX, 1)
            .line("down", "Down", "crest.b > tail.in", 19, 1, Material.PEX, 1);
    return (airAtCrest
            ? rig.part("air", "Air valve", 0, 0, 1.6, new AirAdmittanceValve())
                .line("up", "Up", "crest.c > air.in", 19, 0.1, Material.PEX, 0.5)
            : rig.part("plug", "Plug", 0, 0, 1.6, new Plug(false))
                .line("up", "Up", "crest.c > plug.in", 19, 0.1, Material.PEX, 0.5))
        .build();
  }

  @Test
  void anOverflowOnceRunningSiphonsDownToItsPort() {
    Simulation run = start(filled(false), Map.of(), PositionId.of("inlet"), PositionId.of("mains"));
    assertThat(run.runUntil(Event.Kind.RUNS_OUT, PartId.of("tail"), 3600)).isPresent();
    assertThat(run.moment().state().volume(PartId.of("tank"))).isCloseTo(0.25 * 0.45, within(1e-4));
    run.set(PartId.of("inlet"), PositionId.of("capped"));
    List<Event> after = run.runTo(run.time() + 3600);
    assertThat(after)
        .anyMatch(h -> h.kind() == Event.Kind.SIPHONS && h.begins())
        .anyMatch(h -> h.kind() == Event.Kind.RUNS_OUT && !h.begins());
    assertThat(run.moment().state().volume(PartId.of("tank"))).isCloseTo(0.25 * 0.2, within(1e-4));
  }

  @Test
  void airThatComesInAtTheCrestKeepsItFromSiphoning() {
    Simulation run = start(filled(true), Map.of(), PositionId.of("inlet"), PositionId.of("mains"));
    assertThat(run.runUntil(Event.Kind.RUNS_OUT, PartId.of("tail"), 3600)).isPresent();
    run.runTo(run.time() + 5);
    run.set(PartId.of("inlet"), PositionId.of("capped"));
    run.runTo(run.time() + 3600);
    assertThat(run.moment().state().volume(PartId.of("tank"))).isCloseTo(0.25 * 0.45, within(5e-4));
  }

  @Test
  void aPumpOnASealedTankSucksItInAndStalls() {
    Rig rig =
        rig()
            .part("tank", "Tank", 0, 0, 1, tank())
            .part("pump", "Pump", 0, 0, 1, Fittings.pressurePump(10, 2.5))
            .part("tap", "Tap", 0, 0, 1, Fittings.fixture(Type.HOSE_POINT, false, 8))
            .line("suction", "Suction", "tank.low > pump.in", 13, 1, Material.PEX, 1)
            .line("delivery", "Delivery", "pump.out > tap.cold", 13, 1, Material.PEX, 1)
            .build();
    Simulation run =
        start(
            rig,
            Map.of(PartId.of("tank"), 50.0),
            PositionId.of("pump"),
            PositionId.of("on"),
            PositionId.of("tap"),
            PositionId.of("open"));
    double first = run.moment().flows().fixture(PartId.of("tap"));
    List<Event> seen = run.runTo(20 * MINUTE);
    assertThat(seen).anyMatch(h -> h.kind() == Event.Kind.SUCKED_IN);
    assertThat(run.moment().flows().fixture(PartId.of("tap"))).isLessThan(0.8 * first);
    assertThat(run.moment().air().get(PartId.of("tank"))).isLessThan(-10_000);
  }

  @Test
  void aPumpDrawsAirWhenItsTankIsDown() {
    DemoRig truck = DemoRig.all().getFirst();
    Simulation run = Simulation.start(Network.of(truck.rig()), truck.state());
    double minutes =
        run.runUntil(Event.Kind.DRAWS_AIR, PartId.of("pump"), 3600 * 3).orElseThrow() / MINUTE;
    assertThat(minutes).isBetween(5.0, 30.0);
    assertThat(run.moment().state().volume(PartId.of("main"))).isBetween(0.008, 0.015);
  }

  @Test
  void grayFillsAsFixturesAreUsedAndBacksUpWhenFull() {
    DemoRig truck = DemoRig.all().getFirst();
    State state =
        truck.state().withVolume(PartId.of("gray"), 0.098).withVolume(PartId.of("main"), 0.120);
    Simulation run = Simulation.start(Network.of(truck.rig()), state);
    List<Event> seen = run.runTo(40 * MINUTE);
    assertThat(seen)
        .anyMatch(h -> h.kind() == Event.Kind.FULL && h.subject().equals(PartId.of("gray")));
    assertThat(seen)
        .anyMatch(h -> h.kind() == Event.Kind.BACKS_UP && h.subject().equals(PartId.of("sink")));
    assertThat(run.moment().totals().out().get(PartId.of("sink"))).isGreaterThan(0.05);
  }

  /**
   * Its vent is under water before it is full: the waste stands in the tap's trap, and no higher.
   */
  @Test
  void wasteBacksUpAtItsHeightAndPressesAGrayTankNoHarder() {
    Kind gray =
        Fittings.tank(
            Contents.GRAY,
            new Shape.Box(0.8, 0.5, 0.2),
            0,
            Fittings.stick(0.1, 0.1),
            Fittings.port(PortId.WASTE, TankPort.Use.FILL, 0.1, 0.1, 0.18),
            Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.2, 0.17));
    Rig rig =
        vented(rig().part("gray", "Gray", 0, 0, 0.3, gray), PartId.of("gray"), 1.5)
            .part("inlet", "Inlet", 0, 0, 0.8, Fittings.inlet(2))
            .part("tap", "Tap", 0, 0, 1, Fittings.fixture(Type.TAP, false, 8))
            .part("trap", "Trap", 0, 0, 0.7, new DrainTrap())
            .line("in", "In", "inlet.out > tap.cold", 13, 1, Material.PEX, 1)
            .line("waste", "Waste", "tap.waste > trap.in", 30, 0.4, Material.PVC_HOSE, 1)
            .line("down", "Down", "trap.out > gray.waste", 30, 0.4, Material.PVC_HOSE, 1)
            .build();
    Simulation run =
        start(
            rig,
            Map.of(PartId.of("gray"), 60.0),
            PositionId.of("inlet"),
            PositionId.of("mains"),
            PositionId.of("tap"),
            PositionId.of("open"));
    List<Event> seen = run.runTo(1800);
    assertThat(seen).anyMatch(h -> h.kind() == Event.Kind.BACKS_UP);
    assertThat(seen).noneMatch(h -> h.kind() == Event.Kind.BULGES);
    assertThat(run.moment().air().getOrDefault(PartId.of("gray"), 0.0))
        .isBetween(500.0, 9810 * 0.41);
  }

  @Test
  void goingBackGoesOnExactlyAsBefore() {
    DemoRig truck = DemoRig.all().getFirst();
    Simulation run = Simulation.start(Network.of(truck.rig()), truck.state());
    run.runTo(60);
    Simulation kept = run.copy();
    run.runTo(400);
    kept.runTo(400);
    assertThat(kept.moment().state().volumes()).isEqualTo(run.moment().state().volumes());
  }

  @Test
  void restCostsNothingAndChangesNothing() {
    DemoRig truck = DemoRig.all().getFirst();
    Simulation run = Simulation.start(Network.of(truck.rig()), truck.state());
    run.set(PartId.of("sink"), PositionId.of("shut"));
    run.set(PartId.of("pump"), PositionId.of("off"));
    run.set(PartId.of("heater"), PositionId.of("off"));
    State before = run.moment().state();
    assertThat(run.runTo(180 * 86_400.0)).isEmpty();
    assertThat(run.moment().state()).isEqualTo(before);
  }

  // --- laws --------------------------------------------------------------------------------------

  /** A brim-full tank cannot take what the solver leaves open of the flows that pass it (m³/s). */
  private static final double SETTLED = 1e-11;

  @Property(tries = 60)
  void waterIsConserved(@ForAll @LongRange(min = 0, max = 1 << 20) long seed) {
    Rig rig = RandomRigs.rig(seed);
    State state = RandomRigs.state(rig, seed);
    Simulation run = Simulation.start(Network.of(rig), state);
    double before = sum(run.moment().state().volumes());
    run.runTo(600);
    Moment end = run.moment();
    double supplied = sum(end.totals().supplied());
    double moved = Math.max(1e-3, supplied + end.totals().allOut() + before);
    assertThat(before + supplied)
        .isCloseTo(
            sum(end.state().volumes()) + end.totals().allOut(),
            within(1e-9 * moved + end.time() * SETTLED));
  }

  @Test
  void waterIsConservedWhereBrimFullTanksPassItOn() {
    waterIsConserved(51);
    waterIsConserved(2194);
    waterIsConserved(159_616);
  }

  @Test
  void aTankThatStandsARoundingErrorBelowItsBrimDoesNotHoldUpTime() {
    assertTimeoutPreemptively(Duration.ofSeconds(20), () -> waterIsConserved(3826));
  }

  private static double sum(Map<PartId, Double> of) {
    return of.values().stream().mapToDouble(Double::doubleValue).sum();
  }

  // --- float valves, heaters, filters ----------------------------------------------------------

  /** A tank that fills from the mains by a float valve 0.3 m up, that is at 75 L. */
  private static Rig withFloatValve() {
    Tank plain = (Tank) tank();
    List<TankPort> ports = new ArrayList<>(plain.tankPorts());
    ports.add(Fittings.port(PortId.of("float"), TankPort.Use.FLOAT, 0.4, 0.4, 0.3));
    return vented(
            rig().part("tank", "Tank", 0, 0, 0.5, plain.withPorts(ports)), PartId.of("tank"), 0.5)
        .part("inlet", "Inlet", 0, 0, 0.6, Fittings.inlet(3))
        .line("fill", "Fill", "inlet.out > tank.float", 12, 2, Material.PVC_HOSE, 1)
        .build();
  }

  /**
   * Fore runs over into Arch, which runs over into Aft and drains at almost the same rate, so that
   * its level hovers at its link and the air of both is shut in by turns. Steps grow coarse there;
   * no pressure may come of that.
   */
  @Test
  void aCascadeThatGurglesBurstsNoTankWhateverTheMomentsOfItsTurns() {
    DemoRig tern = DemoRig.all().getLast();
    Network network = Network.of(tern.rig());
    State state =
        new State(
            tern.rig().atRest(),
            Map.of(
                PartId.of("gray"),
                0.0428,
                PartId.of("fore"),
                0.0467,
                PartId.of("arch"),
                0.0089,
                PartId.of("aft"),
                0.0219),
            Slope.LEVEL);
    for (String set :
        List.of("arch-motor open", "sump open", "heater-valve open", "mace-outlet hose")) {
      state = state.with(PartId.of(set.split(" ")[0]), PositionId.of(set.split(" ")[1]));
    }
    for (int pause = 0; pause < 8; pause++) {
      Simulation run = Simulation.start(network, state);
      List<Event> seen = new ArrayList<>(run.set(PartId.of("shore-tanks"), PositionId.of("open")));
      seen.addAll(run.runTo(run.time() + pause));
      seen.addAll(run.set(PartId.of("inlet"), PositionId.of("mains")));
      seen.addAll(run.runTo(2400));
      assertThat(seen).noneMatch(h -> h.kind() == Event.Kind.BULGES);
      assertThat(seen.stream().filter(h -> h.kind() == Event.Kind.FULL)).hasSizeLessThan(80);
      assertThat(run.moment().air().getOrDefault(PartId.of("fore"), 0.0)).isLessThan(5000);
    }
  }

  @Test
  void aFloatValveStopsAFillAtItsHeightAndLetsNothingBack() {
    Simulation run =
        start(
            withFloatValve(),
            Map.of(PartId.of("tank"), 20.0),
            PositionId.of("inlet"),
            PositionId.of("mains"));
    double shuts = run.runUntil(Event.Kind.FLOAT_SHUTS, PartId.of("tank"), 3600).orElseThrow();
    assertThat(run.moment().state().volume(PartId.of("tank"))).isCloseTo(0.075, within(1e-4));
    assertThat(shuts).isGreaterThan(2 * MINUTE);
    run.runTo(7200);
    assertThat(run.moment().state().volume(PartId.of("tank"))).isCloseTo(0.075, within(1e-4));
    assertThat(run.moment().totals().allOut()).isZero();
    run.set(PartId.of("inlet"), PositionId.of("capped"));
    assertThat(run.moment().flows().line(LineId.of("fill"))).isZero();
  }

  @Test
  void aStorageHeaterIsHotWhenItsPowerHasWarmedItsWater() {
    Rig rig = withHeater();
    Simulation run =
        start(rig, Map.of(PartId.of("tank"), 50.0), PositionId.of("heater"), PositionId.of("on"));
    double hot = run.runUntil(Event.Kind.HOT, PartId.of("heater"), 7200).orElseThrow();
    assertThat(hot).isCloseTo(999.1 * 4186 * 0.01 * 45 / 1000, within(0.01));
    assertThat(run.moment().warmth()).containsEntry(PartId.of("heater"), Heater.THERMOSTAT);
  }

  @Test
  void drawingHotWaterCoolsTheHeaterUntilItHeatsAgain() {
    Simulation run =
        start(
            withHeater(),
            Map.of(PartId.of("tank"), 50.0),
            PositionId.of("heater"),
            PositionId.of("on"));
    run.runTo(3600);
    run.set(PartId.of("tap"), PositionId.of("hot"));
    List<Event> found = run.runToNext(7200);
    assertThat(found).extracting(Event::kind).containsExactly(Event.Kind.HOT);
    assertThat(found.getFirst().begins()).isFalse();
    double q = run.moment().flows().fixture(PartId.of("tap"));
    assertThat(run.time() - 3600).isCloseTo(0.01 / q * Math.log(45.0 / 40), within(0.3));
    run.set(PartId.of("heater"), PositionId.of("off"));
    run.runTo(7200);
    assertThat(run.moment().warmth().get(PartId.of("heater"))).isCloseTo(288.15, within(2.0));
  }

  /** A tank over a heater of 10 L and 1 kW, with a mixer below. */
  private static Rig withHeater() {
    Kind heater =
        new Heater(
            Heater.Type.STORAGE,
            true,
            0.02,
            Optional.of(new Heater.Heating(1000, Heater.THERMOSTAT)));
    return vented(rig().part("tank", "Tank", 0, 0, 2, tank()), PartId.of("tank"), 2)
        .part("tap", "Sink", 0, 0, 0.5, Fittings.fixture(Type.MIXER, false, 5))
        .part("heater", "Heater", 0, 0, 1, 10, heater)
        .line("cold", "Cold", "tank.low > heater.cold", 12, 1, Material.PEX, 1)
        .line("hot", "Hot", "heater.hot > tap.hot", 12, 1, Material.PEX, 1)
        .build();
  }

  @Test
  void aFilterClogsAsWaterPassesIt() {
    Kind filter = new Filter(Filter.Grade.CARBON, 1e-4, 2e5, Optional.of(0.02));
    Rig rig =
        vented(rig().part("tank", "Tank", 0, 0, 2, tank()), PartId.of("tank"), 2)
            .part("filter", "Filter", 0, 0, 1, filter)
            .part("end", "End", 0, 0, 0.5, Fittings.end(Role.DRAIN))
            .line("in", "In", "tank.low > filter.in", 12, 1, Material.PEX, 1)
            .line("out", "Out", "filter.out > end.in", 12, 1, Material.PEX, 1)
            .build();
    Simulation worn = start(rig, Map.of(PartId.of("tank"), 60.0));
    worn.runUntil(Event.Kind.DRY, PartId.of("tank"), 86_400);
    double left = worn.moment().totals().out().getOrDefault(PartId.of("end"), 0.0);
    assertThat(left).isCloseTo(0.06, within(1e-3));
    Simulation clean = start(withClean(rig), Map.of(PartId.of("tank"), 60.0));
    clean.runUntil(Event.Kind.DRY, PartId.of("tank"), 86_400);
    // Three times the doubling has passed: the loss ends at four times and is 2.5 times on average.
    assertThat(worn.time() / clean.time()).isBetween(2.0, 3.2);
  }

  private static Rig withClean(Rig rig) {
    List<Part> parts =
        rig.parts().stream()
            .map(p ->
                p.kind() instanceof Filter f
                    ? p.with(new Filter(f.grade(), f.ratedFlow(), f.ratedLoss()))
                    : p)
            .toList();
    return new Rig(rig.name(), rig.note(), rig.vehicle(), rig.places(), parts, rig.lines());
  }
}
