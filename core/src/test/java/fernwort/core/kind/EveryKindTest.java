package fernwort.core.kind;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.build.joints.BuyList;
import fernwort.core.build.joints.JointEnds;
import fernwort.core.demo.ReadyRig;
import fernwort.core.describe.Addition;
import fernwort.core.describe.Fittings;
import fernwort.core.describe.NewParts;
import fernwort.core.drain.Filled;
import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Warning;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.MixingValve;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.VacuumBreaker;
import fernwort.core.kind.list.Kinds;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.review.LayoutReview;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.ways.OpenWays;
import fernwort.core.winter.WinterizingMethods;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever can be put into a rig is met by everything that computes, and has words for it. */
class EveryKindTest {

  private static final LineId TAP_LINE = LineId.of("pump-out-sink");

  static Stream<NewPart> parts() {
    return NewParts.all().stream();
  }

  static Stream<NewPart> oneOfEachKind() {
    return Kinds.all().stream()
        .map(k ->
            NewParts.all().stream()
                .filter(p -> p.kind().getClass().equals(k.kind()))
                .findFirst()
                .orElseThrow());
  }

  private static Rig with(Rig rig, String what, LineId line) {
    return new Addition(
            NewParts.of(what), "Odd one", Optional.empty(), Optional.empty(), Optional.empty())
        .at(rig, new Addition.OnLine(line))
        .on(rig);
  }

  private static Part odd(Rig rig) {
    return rig.parts().stream().filter(p -> p.label().equals("Odd one")).findFirst().orElseThrow();
  }

  private static State half(Rig rig) {
    Map<PartId, Double> volumes =
        rig.tanks()
            .collect(Collectors.toMap(Part::id, t -> Network.of(rig).room(t.id()).capacity() / 2));
    return new State(rig.atRest(), volumes, Slope.LEVEL);
  }

  private static State running(Rig rig) {
    State state = half(rig);
    for (Part part : rig.parts()) {
      if (part.kind().is(Purpose.SUPPLIES)) {
        state = state.with(part.id(), Kind.ON);
      }
    }
    return state;
  }

  private static List<Warning> warnings(Rig rig, State state) {
    Network network = Network.of(rig);
    Levels levels = Levels.of(network, state);
    return Hazards.of(network).warnings(state.setting(), levels, OpenWays.find(network, state));
  }

  @Test
  void theExampleAtTheDoorHolds() {
    Kind check = new CheckValve(2_000);
    assertThat(check.links(PositionId.NONE)).containsExactly(new Link(0, 1, Link.Law.CHECK, 2_000));
    assertThat(check.is(Purpose.CHECKS)).isTrue();
    assertThat(check.frost()).isEqualTo(Frost.CRACKS);
  }

  @Test
  void everyKindIsListedOnceAndCanBePutIn() {
    assertThat(Kinds.all()).doesNotHaveDuplicates();
    assertThat(Kinds.all().stream().map(Kinds.Entry::type)).doesNotHaveDuplicates();
    assertThat(NewParts.all().stream().map(p -> p.kind().getClass().getName()))
        .containsAll(Kinds.all().stream().map(k -> k.kind().getName()).toList());
    assertThat(NewParts.all().stream().map(NewPart::id)).doesNotHaveDuplicates();
  }

  @ParameterizedTest
  @MethodSource("parts")
  void itsDeclarationsAgreeWithEachOther(NewPart what) {
    Kind kind = what.kind();
    List<PositionId> positions = kind.positions().stream().map(Position::id).toList();
    assertThat(positions).doesNotHaveDuplicates();
    for (PositionId at : positions.isEmpty() ? List.of(PositionId.NONE) : positions) {
      // Room is made for those of all positions together.
      assertThat(kind.links(at)).doesNotHaveDuplicates().isSubsetOf(kind.links());
      for (Link link : kind.links(at)) {
        assertThat(link.from()).isBetween(0, kind.ports().size());
        assertThat(link.to()).isBetween(0, kind.ports().size()).isNotEqualTo(link.from());
      }
      assertThat(kind.mouths(at)).allMatch(m -> m.port() < kind.ports().size());
      assertThat(kind.purpose(at.isEmpty() ? PositionId.of("x") : at)).isNotBlank();
      assertThat(at.isEmpty() || !kind.notice(at).isBlank()).isTrue();
    }
    Stream.of(kind.drained(), kind.unpowered(), kind.rest().map(Position::id))
        .flatMap(Optional::stream)
        .forEach(p ->
            assertThat(
                    Stream.concat(kind.positions().stream(), kind.service().stream())
                        .map(Position::id))
                .contains(p));
    for (PortId port : kind.ports()) {
      assertThat(kind.end(port)).isNotNull();
      assertThat(NewParts.all().stream().map(NewPart::id)).contains(kind.usuallyAt(port));
    }
    assertThat(kind.figure()).isNotBlank();
    assertThat(kind.fix()).isNotBlank();
    assertThat(kind.goods("It", "13 mm").what()).isNotBlank();
    assertThat(kind.clashes()).isEmpty();
    kind.properties()
        .forEach(p ->
            p.amount()
                .ifPresent(x ->
                    assertThat(x)
                        .isBetween(p.asked().possible().low(), p.asked().possible().high())
                        .isBetween(p.asked().usual().low(), p.asked().usual().high())));
  }

  @ParameterizedTest
  @MethodSource("parts")
  void whatIsEnteredOfItMakesItAgain(NewPart what) {
    Map<Asked, Property> held =
        what.kind().properties().stream().collect(Collectors.toMap(Property::asked, p -> p));
    Kind again =
        what.kind()
            .with(
                new EnteredValues() {
                  @Override
                  public double amount(Asked asked) {
                    return held.get(asked).amount().orElseThrow();
                  }

                  @Override
                  public Optional<Double> optional(Asked asked) {
                    return held.get(asked).amount();
                  }

                  @Override
                  public boolean ticked(Asked asked) {
                    return held.get(asked).ticked();
                  }

                  @Override
                  public <E extends Enum<E>> E choice(Asked asked, Class<E> of) {
                    return of.cast(held.get(asked).choice().orElseThrow());
                  }
                });
    assertThat(again).isEqualTo(what.kind());
  }

  @ParameterizedTest
  @MethodSource("oneOfEachKind")
  void everythingComputesWithItInALine(NewPart what) {
    Rig rig = with(one(), what.id(), TAP_LINE);
    Network network = Network.of(rig);
    State state = running(rig);
    Flows flows = Hydraulics.of(network).solve(state);
    assertThat(flows.line(rig.lines().getFirst().id())).isFinite();
    assertThat(warnings(rig, state)).allMatch(w -> !w.title().toString().isBlank());
    assertThat(LayoutReview.of(network)).allMatch(f -> !f.title().toString().isBlank());
    assertThat(BuyList.of(rig, List.of())).isNotEmpty();
    assertThat(JointEnds.of(rig)).hasSize(2 * rig.lines().size());
    Plans plans = Plans.of(network);
    assertThat(Jobs.of(network).all())
        .isNotEmpty()
        .allMatch(job -> plans.isSo(job, half(rig)) || saysSomething(plans.plan(job, half(rig))));
    assertThat(
            WinterizingMethods.of(plans)
                .plan(WinterizingMethod.FALL, Filled.of(network, half(rig)), WinterWish.USUAL)
                .steps())
        .isNotEmpty();
  }

  private static boolean saysSomething(Plan plan) {
    return plan.trouble().isPresent() || !plan.steps().isEmpty();
  }

  @Test
  void aBottleFillerGivesWaterWhileItIsHeldAndCountsAsDrinkingWater() {
    Rig rig = with(one(), "bottle-filler", TAP_LINE);
    State held = running(rig).with(odd(rig).id(), PositionId.of("open"));
    Flows flows = Hydraulics.of(Network.of(rig)).solve(held);
    // Two bar at a pump of 2.8 bar: a little over its rated 2 L/min, an orifice.
    assertThat(flows.fixture(odd(rig).id())).isBetween(3.3e-5, 4.5e-5);
    assertThat(odd(rig).kind().forDrinking()).isTrue();
    Flows released = Hydraulics.of(Network.of(rig)).solve(running(rig));
    assertThat(released.fixture(odd(rig).id())).isZero();
  }

  /** A tank and pump before a mixing valve whose hot side comes through a heater. */
  private static Rig mixing() {
    return RigBuilder.named("Mixing")
        .vehicle(one().vehicle())
        .place("box", "Box", "open the door", 1, 0, 0.5)
        .part(
            "tank",
            "Tank",
            1,
            0,
            0.5,
            new Tank(
                Contents.FRESH,
                new Shape.Box(0.8, 0.4, 0.3),
                0.01,
                List.of(
                    Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.4, 0, 0.05),
                    Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.4, 0.2, 0.28)),
                Fittings.stick(0.1, 0.1),
                1e4,
                -1e4))
        .part("vent-end", "Vent end", 1.4, 0.3, 1, Fittings.end(OpenEnd.Role.VENT))
        .part("pump", "Pump", 2, 0, 0.6, 0.1, Fittings.pressurePump(10, 2.8))
        .part("tee", "Tee", 2, 0.2, 0.7, new Tee())
        .part("tee2", "Second tee", 2, 0.2, 0.7, new Tee())
        .part("heater", "Heater", 2, 0.4, 0.6, 10, new Heater(Heater.Type.STORAGE, true, 0.02))
        .part("mix", "Mixing valve", 2, 0.5, 0.9, new MixingValve(311.15, 3_000))
        .part("sink", "Sink", 2, 0.6, 1.2, Fittings.fixture(Fixture.Type.TAP, true, 6))
        .part("rinse", "Rinse", 2, 0.6, 1.1, Fittings.fixture(Fixture.Type.HOSE_POINT, false, 6))
        .line("suction", "Suction", "tank.feed > pump.in", 13, 1, Material.PVC_HOSE, 1)
        .line("breath", "Breath", "tank.vent > vent-end.in", 13, 0.7, Material.PVC_HOSE, 1)
        .line("delivery", "Delivery", "pump.out > tee.a", 12, 0.5, Material.PEX, 1)
        .line("cold", "Cold", "tee.b > tee2.a", 12, 0.6, Material.PEX, 1)
        .line("to-mix", "To the valve", "tee2.b > mix.cold", 12, 0.6, Material.PEX, 1)
        .line("to-rinse", "To the rinse", "tee2.c > rinse.cold", 12, 0.6, Material.PEX, 1)
        .line("to-heater", "To the heater", "tee.c > heater.cold", 12, 0.4, Material.PEX, 1)
        .line("hot", "Hot", "heater.hot > mix.hot", 12, 0.4, Material.PEX, 1)
        .line("to-sink", "To the sink", "mix.mixed > sink.cold", 12, 0.4, Material.PEX, 1)
        .build();
  }

  private static Rig one() {
    return ReadyRig.find("one-tank").orElseThrow().rig();
  }

  @Test
  void aMixingValveGivesOfBothAndDoesNotLetHotWaterCrossIntoTheCold() {
    Rig rig = mixing();
    Hydraulics hydraulics = Hydraulics.of(Network.of(rig));
    Flows open =
        hydraulics.solve(
            running(rig)
                .with(PartId.of("heater"), Kind.ON)
                .with(PartId.of("sink"), PositionId.of("open")));
    assertThat(open.line(LineId.of("to-mix"))).isGreaterThan(1e-5);
    assertThat(open.line(LineId.of("hot"))).isGreaterThan(1e-5);
    assertThat(open.fixture(PartId.of("sink")))
        .isCloseTo(open.line(LineId.of("to-mix")) + open.line(LineId.of("hot")), within(1e-7));
    // The outside tap draws the pressure down; nothing comes back through the valve.
    Flows outside = hydraulics.solve(running(rig).with(PartId.of("rinse"), PositionId.of("open")));
    assertThat(outside.line(LineId.of("to-rinse"))).isGreaterThan(1e-5);
    assertThat(outside.line(LineId.of("to-mix"))).isCloseTo(0, within(1e-12));
    assertThat(outside.line(LineId.of("hot"))).isCloseTo(0, within(1e-12));
  }

  /** A hose inlet that fills a tank below its water, with something between them. */
  private static Rig filling(Optional<Kind> between) {
    RigBuilder rig =
        RigBuilder.named("Filling")
            .vehicle(one().vehicle())
            .place("box", "Box", "open the door", 1, 0, 0.5)
            .part(
                "tank",
                "Tank",
                1,
                0,
                0.8,
                new Tank(
                    Contents.FRESH,
                    new Shape.Box(0.8, 0.4, 0.3),
                    0.01,
                    List.of(
                        Fittings.port(PortId.of("fill"), TankPort.Use.FILL, 0.1, 0, 0.05),
                        Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.4, 0.2, 0.28)),
                    Fittings.stick(0.1, 0.1),
                    1e4,
                    -1e4))
            .part("vent-end", "Vent end", 1.4, 0.3, 1.3, Fittings.end(OpenEnd.Role.VENT))
            .part("inlet", "Inlet", 0.5, 0.5, 0.6, Fittings.inlet(4))
            .line("breath", "Breath", "tank.vent > vent-end.in", 13, 0.7, Material.PVC_HOSE, 1);
    return between
        .map(kind ->
            rig.part("odd", "Odd one", 0.6, 0.5, 1.2, kind)
                .line("in", "In", "inlet.out > odd.in", 13, 1, Material.PEX, 1)
                .line("on", "On", "odd.out > tank.fill", 13, 1, Material.PEX, 1))
        .orElseGet(() -> rig.line("in", "In", "inlet.out > tank.fill", 13, 1, Material.PEX, 1))
        .build();
  }

  @Test
  void aVacuumBreakerKeepsTankWaterOutOfTheMains() {
    Rig bare = filling(Optional.empty());
    Rig guarded = filling(Optional.of(new VacuumBreaker(7_000)));
    assertThat(backflow(bare)).isTrue();
    assertThat(backflow(guarded)).isFalse();
    assertThat(runsBack(bare)).isPositive();
    assertThat(runsBack(guarded)).isZero();
    // And it lets the hose fill the tank.
    State filling = half(guarded).with(PartId.of("inlet"), HoseInlet.MAINS.id());
    assertThat(Hydraulics.of(Network.of(guarded)).solve(filling).line(LineId.of("on")))
        .isGreaterThan(1e-4);
  }

  private static boolean backflow(Rig rig) {
    return warnings(rig, half(rig).with(PartId.of("inlet"), HoseInlet.MAINS.id())).stream()
        .anyMatch(w -> w.code() == Warning.Code.BACKFLOW);
  }

  private static double runsBack(Rig rig) {
    return Hydraulics.of(Network.of(rig))
        .solve(half(rig).with(PartId.of("inlet"), HoseInlet.OPEN.id()))
        .end(PartId.of("inlet"));
  }

  @Test
  void aFloatVentLetsAirAndNoWater() {
    Rig rig = with(one(), "float-vent", TAP_LINE);
    Flows flows = Hydraulics.of(Network.of(rig)).solve(running(rig));
    assertThat(flows.end(odd(rig).id())).isZero();
    assertThat(odd(rig).kind().mouths(PositionId.of("open")))
        .extracting(Mouth::onto)
        .containsExactly(Mouth.Onto.AIR);
    assertThat(odd(rig).kind().mouths(PositionId.of("shut"))).isEmpty();
  }
}
