package fernwort.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.LongCoach;
import fernwort.core.demo.ReadyAnswers;
import fernwort.core.demo.ReadyRig;
import fernwort.core.describe.Fittings;
import fernwort.core.describe.RigEdit;
import fernwort.core.guide.Guided;
import fernwort.core.guide.answers.PumpAnswers;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.review.Finding.Code;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class LayoutReviewTest {

  private static final Rig GOOD = ReadyRig.find("one-tank").orElseThrow().rig();
  private static final Rig SHORE = ReadyRig.find("shore-and-bucket").orElseThrow().rig();
  private static final Rig STAY = ReadyRig.find("long-stay").orElseThrow().rig();
  private static final Rig ROW = ReadyRig.find("three-in-a-row").orElseThrow().rig();

  private static List<Finding> review(Rig rig) {
    return LayoutReview.of(Network.of(rig));
  }

  private static Optional<Finding> find(Rig rig, Code code, PartId part) {
    return review(rig).stream()
        .filter(f -> f.code() == code && f.parts().contains(part))
        .findFirst();
  }

  private static Rig port(Rig rig, PartId tank, PortId port, double z) {
    return RigEdit.of(rig).change(tank, p -> OutletCheck.movePort(p, port, z));
  }

  private static Rig heater(Rig rig, boolean relief) {
    return heater(rig, relief, 0.02);
  }

  private static Rig heater(Rig rig, boolean relief, double drain) {
    return RigEdit.of(rig)
        .change(PartId.of("heater"), p -> p.with(new Heater(Heater.Type.STORAGE, relief, drain)));
  }

  private static Rig withoutVent() {
    Rig off = RigEdit.of(RigEdit.of(GOOD).remove(PartId.of("vent"))).remove(PartId.of("filler"));
    return RigEdit.of(off)
        .change(
            PartId.of("fresh"),
            p ->
                p.kind() instanceof Tank tank
                    ? p.with(
                        tank.withPorts(
                            tank.tankPorts().stream()
                                .filter(t -> t.use() != TankPort.Use.VENT)
                                .toList()))
                    : p);
  }

  private static Rig grayIntoFresh() {
    Rig loose =
        RigEdit.of(RigEdit.of(GOOD).remove(PartId.of("drain-cap"))).remove(PartId.of("outlet"));
    return RigEdit.of(loose)
        .connect(
            new Line(
                LineId.of("wrong"),
                "Wrong",
                new PortRef(PartId.of("gray-valve"), PortId.B),
                new PortRef(PartId.of("fresh"), PortId.of("drain")),
                0.02,
                1,
                Line.Material.PVC_HOSE,
                0,
                List.of()));
  }

  private static Rig hidden(PartId part) {
    Rig more =
        RigEdit.of(GOOD)
            .place(new Place(PlaceId.of("wall"), "Wall", "unscrew the ply panel", 1, 0, 1));
    return RigEdit.of(more).move(part, PlaceId.of("wall"), 1);
  }

  private static Rig withoutBypass() {
    return RigEdit.of(RigEdit.of(STAY).remove(PartId.of("bypass")))
        .disconnect(LineId.of("cold-tee-c-bypass"));
  }

  private static Rig saggingSharedVent() {
    return RigEdit.of(ROW)
        .changeLine(
            LineId.of("vent-tee-1-b-vent-tee-2"),
            l -> l.along(List.of(new ProfilePoint(0.15, 1.4))));
  }

  /** The pump where the main tank belongs, and the main tank where the pump does. */
  private static Rig wrongWayRound() {
    Rig rig = DemoRig.all().getFirst().rig();
    PortRef pump = new PortRef(PartId.of("tank-selector"), PortId.A);
    PortRef main = new PortRef(PartId.of("tank-selector"), PortId.B);
    Line toPump = rig.linesByPort().get(pump);
    Line toMain = rig.linesByPort().get(main);
    Rig open = RigEdit.of(RigEdit.of(rig).disconnect(toPump.id())).disconnect(toMain.id());
    return RigEdit.of(RigEdit.of(open).connect(moved(toPump, pump, main)))
        .connect(moved(toMain, main, pump));
  }

  private static Line moved(Line line, PortRef from, PortRef to) {
    return new Line(
        line.id(),
        line.label(),
        line.from().equals(from) ? to : line.from(),
        line.to().equals(from) ? to : line.to(),
        line.bore(),
        line.length(),
        line.material(),
        line.minorLoss(),
        line.profile());
  }

  private static Rig jugBehindThePump() {
    Part jug =
        new Part(
            PartId.of("jug"),
            "Jug",
            PlaceId.of("bed"),
            0,
            0,
            1,
            0,
            new PortableContainer(0.02, true));
    return RigEdit.of(GOOD).teeOff(LineId.of("pump-out-sink"), jug, PortId.of("spout"), 0.5);
  }

  @ParameterizedTest
  @MethodSource("fernwort.core.describe.AdditionTest#rigs")
  void whereEveryLineIsOnItsSideNothingIsSaidOfIt(Rig rig) {
    assertThat(review(rig))
        .extracting(Finding::code)
        .doesNotContain(Code.NEVER_JOINED, Code.JUG_PUSHED_INTO);
  }

  private static Rig deadEnd() {
    Rig open = RigEdit.of(GOOD).remove(PartId.of("outlet"));
    Part tee = new Part(PartId.of("tee"), "Tee", PlaceId.of("belly"), 0, 0, 0.4, 0, new Tee());
    return RigEdit.of(open)
        .addAt(tee, PortId.A, new PortRef(PartId.of("gray-valve"), PortId.B), 0.038, 0.3);
  }

  /** Two tanks side by side, the first running over into the second through an open line. */
  private static Rig runsOver(double height) {
    return CaseRigs.rig()
        .part("one", "One", 0, 0, 1, tank(height))
        .part("two", "Two", 1, 0, 1, tank(height))
        .line("over", "Over", "one.side > two.side", 20, 1, Line.Material.PEX, 0)
        .build();
  }

  private static Kind tank(double side) {
    return Fittings.tank(
        Contents.FRESH,
        new Shape.Box(0.5, 0.5, 0.5),
        0,
        Fittings.stick(0.1, 0.1),
        Fittings.port(PortId.of("side"), TankPort.Use.LINK, 0.1, 0.1, side),
        Fittings.port(PortId.of("low"), TankPort.Use.FEED, 0.2, 0.1, 0.02),
        Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, 0.48));
  }

  /** A tank of two lobes and a bridge over an arch, with an outlet in the front one. */
  private static RigBuilder saddle(TankPort rear) {
    return CaseRigs.rig()
        .part(
            "saddle",
            "Saddle",
            0,
            0,
            0.6,
            Fittings.tank(
                Contents.FRESH,
                new Shape.Straddling(
                    List.of(
                        new Shape.Block(0, 0, 0, 0.2, 0.3, 0.4),
                        new Shape.Block(0.2, 0, 0.3, 0.4, 0.3, 0.1),
                        new Shape.Block(0.6, 0, 0, 0.2, 0.3, 0.4))),
                0,
                Fittings.stick(0.1, 0.1),
                Fittings.port(PortId.of("front"), TankPort.Use.FEED, 0.7, 0.1, 0.02),
                Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.7, 0.1, 0.39),
                rear))
        .part("tee", "Tee", 0.4, 0.1, 0.5, new Tee())
        .line("one", "One", "saddle.front > tee.a", 20, 0.5, Line.Material.PEX, 0);
  }

  private static Rig saddleWith(TankPort.Use use, double height) {
    return saddle(Fittings.port(PortId.of("rear"), use, 0.1, 0.1, height)).build();
  }

  @Test
  void lobesThatALineJoinsLowDownAreOneTank() {
    Rig joined =
        saddle(Fittings.port(PortId.of("rear"), TankPort.Use.FEED, 0.1, 0.1, 0.02))
            .line("two", "Two", "saddle.rear > tee.b", 20, 0.5, Line.Material.PEX, 0)
            .build();
    assertThat(review(joined))
        .extracting(Finding::code)
        .doesNotContain(Code.LOBE_KEEPS, Code.LOBES_APART);
    for (DemoRig demo : DemoRig.all()) {
      assertThat(review(demo.rig()))
          .as(demo.rig().name())
          .extracting(Finding::code)
          .doesNotContain(Code.LOBE_KEEPS, Code.LOBES_APART);
    }
  }

  @Test
  void aLobeThatKeepsItsWaterIsNamedByItsSideAndNotCalledAHighOutlet() {
    Rig keeps = saddleWith(TankPort.Use.FILL, 0.38);
    Finding finding = find(keeps, Code.LOBE_KEEPS, PartId.of("saddle")).orElseThrow();
    assertThat(finding.title().toString()).isEqualTo("Saddle: its rear lobe has no outlet");
    assertThat(finding.cost().toString()).startsWith("18 L, 30 % of the tank");
    assertThat(find(keeps, Code.OUTLET_HIGH, PartId.of("saddle"))).isEmpty();
  }

  @Test
  void onlyWhatComesToOneLevelCannotBeParted() {
    assertThat(find(runsOver(0.1), Code.ONE_LEAK, PartId.of("one"))).isPresent();
    assertThat(find(runsOver(0.46), Code.ONE_LEAK, PartId.of("one"))).isEmpty();
  }

  @Test
  void aPluggedOrDrainPortIsNoOutletAndNoVent() {
    Rig drained =
        CaseRigs.rig()
            .part("one", "One", 0, 0, 1, tank(0.1))
            .part("plug", "Plug", 0, 0, 1.1, new Plug(false))
            .part("stop", "Stop", 0, 0, 1.5, new Plug(false))
            .line("p", "P", "one.low > plug.in", 20, 0.1, Line.Material.PEX, 0)
            .line("v", "V", "one.vent > stop.in", 20, 0.1, Line.Material.PEX, 0)
            .build();
    assertThat(find(drained, Code.NO_AIR, PartId.of("one"))).isPresent();
    assertThat(find(drained, Code.OUTLET_LOW, PartId.of("one"))).isEmpty();
    assertThat(Network.of(drained).joined(drained.part(PartId.of("one"))).tankPorts())
        .extracting(TankPort::id)
        .containsExactly(PortId.of("side"));
  }

  /** A rig with one weakness, the finding it must give, the part it is about. */
  static Stream<Arguments> weaknesses() {
    return Stream.of(
        Arguments.of(Code.PORT_OPEN, "fresh", RigEdit.of(GOOD).remove(PartId.of("drain-cap"))),
        Arguments.of(Code.LEADS_NOWHERE, "gray-valve", deadEnd()),
        Arguments.of(Code.NO_REGULATOR, "inlet", RigEdit.of(SHORE).remove(PartId.of("regulator"))),
        Arguments.of(Code.NO_AIR, "fresh", withoutVent()),
        Arguments.of(
            Code.VENT_LOW, "fresh", port(GOOD, PartId.of("fresh"), PortId.of("vent"), 0.15)),
        Arguments.of(Code.VENT_SAG, "vent-tee-1", saggingSharedVent()),
        Arguments.of(
            Code.OVERFLOW_SIPHON,
            "fresh",
            RigEdit.of(GOOD).change(PartId.of("vent"), p -> p.atHeight(0.4))),
        Arguments.of(
            Code.OUTLET_LOW, "fresh", port(GOOD, PartId.of("fresh"), PortId.of("feed"), 0.002)),
        Arguments.of(
            Code.OUTLET_HIGH, "fresh", port(GOOD, PartId.of("fresh"), PortId.of("feed"), 0.1)),
        Arguments.of(Code.LOBE_KEEPS, "saddle", saddleWith(TankPort.Use.FILL, 0.38)),
        Arguments.of(Code.LOBES_APART, "saddle", saddleWith(TankPort.Use.DRAIN, 0.02)),
        Arguments.of(Code.NO_BACKFLOW, "inlet", RigEdit.of(SHORE).remove(PartId.of("check"))),
        Arguments.of(Code.FRESH_MEETS_GRAY, "gray", grayIntoFresh()),
        Arguments.of(Code.HEATER_RELIEF, "heater", heater(STAY, false)),
        Arguments.of(Code.HEATER_BYPASS, "heater", withoutBypass()),
        Arguments.of(Code.HEATER_DRAIN, "heater", heater(STAY, true, 0.9)),
        Arguments.of(Code.PUMP_STRAINER, "pump", RigEdit.of(GOOD).remove(PartId.of("strainer"))),
        Arguments.of(Code.SWITCH_REACH, "pump", hidden(PartId.of("pump"))),
        Arguments.of(Code.NO_LOW_DRAIN, "pump", GOOD),
        Arguments.of(Code.ONE_LEAK, "first", RigEdit.of(ROW).remove(PartId.of("link-1"))),
        Arguments.of(
            Code.CLEARANCE,
            "gray-valve",
            RigEdit.of(GOOD).move(PartId.of("gray-valve"), PlaceId.of("belly"), 0.12)),
        Arguments.of(
            Code.INLET_DIRT,
            "inlet",
            RigEdit.of(SHORE).change(PartId.of("inlet"), p -> p.atHeight(0.45))),
        Arguments.of(Code.BEHIND_PANEL, "gray-valve", hidden(PartId.of("gray-valve"))),
        Arguments.of(Code.NEVER_JOINED, "tank-selector", wrongWayRound()),
        Arguments.of(Code.JUG_PUSHED_INTO, "jug", jugBehindThePump()));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("weaknesses")
  void aWeaknessIsFoundNamedAndPriced(Code code, PartId part, Rig weak) {
    Finding finding = find(weak, code, part).orElseThrow();
    assertThat(finding.cost().toString()).isNotBlank();
    assertThat(finding.fix().toString()).isNotBlank();
    assertThat(finding.why().toString()).isNotBlank();
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("weaknesses")
  void aMendThatCanBeAppliedTakesTheFindingAwayAndBringsNoWorse(Code code, PartId part, Rig weak) {
    Finding finding = find(weak, code, part).orElseThrow();
    if (finding.change().isEmpty()) {
      return;
    }
    Rig mended = finding.change().get().apply(weak);
    assertThat(review(mended)).extracting(Finding::key).doesNotContain(finding.key());
    long harm = review(weak).stream().filter(f -> f.risk() == Finding.Risk.HARM).count();
    assertThat(review(mended).stream().filter(f -> f.risk() == Finding.Risk.HARM).count())
        .isLessThanOrEqualTo(harm);
  }

  /** With the valves at the heater closed, water runs past it; with all closed, none is hot. */
  @Test
  void aBypassThatIsFittedLeadsWaterPastTheHeater() {
    RigAnswers stay = ReadyAnswers.of("long-stay", "Stay").orElseThrow();
    PumpAnswers p = stay.pump();
    Guided plain =
        Guided.of(
            stay.pumping(
                new PumpAnswers(
                    p.type(),
                    p.spot(),
                    p.height(),
                    p.flow(),
                    p.cutOut(),
                    false,
                    List.of(),
                    p.hot(),
                    p.heaterVolume(),
                    true)));
    Finding finding = find(plain.rig(), Code.HEATER_BYPASS, PartId.of("heater")).orElseThrow();
    Rig fitted = finding.change().orElseThrow().apply(plain.rig());
    assertThat(find(fitted, Code.HEATER_BYPASS, PartId.of("heater"))).isEmpty();
    assertThat(hotAtSink(fitted, plain.running(), PositionId.of("open"), PositionId.of("shut")))
        .isGreaterThan(1e-5);
    assertThat(hotAtSink(fitted, plain.running(), PositionId.of("shut"), PositionId.of("open")))
        .isGreaterThan(1e-5);
    assertThat(hotAtSink(fitted, plain.running(), PositionId.of("shut"), PositionId.of("shut")))
        .isZero();
    // One of the three is there already: it is used, and none is put beside it.
    Part heater = plain.rig().part(PartId.of("heater"));
    Part in =
        new Part(
            PartId.of("heater-in"),
            "Heater in",
            heater.place(),
            heater.x(),
            heater.y(),
            heater.height(),
            2e-5,
            Fittings.twoWay(0));
    Line cold = plain.rig().linesByPort().get(heater.port(PortId.COLD));
    Rig valved = RigEdit.of(plain.rig()).insert(cold.id(), in, PortId.A, PortId.B);
    Rig second =
        find(valved, Code.HEATER_BYPASS, PartId.of("heater"))
            .orElseThrow()
            .change()
            .orElseThrow()
            .apply(valved);
    assertThat(second.parts()).extracting(Part::label).containsOnlyOnce("Heater in");
    assertThat(hotAtSink(second, plain.running(), PositionId.of("open"), PositionId.of("shut")))
        .isGreaterThan(1e-5);
  }

  /** What comes hot at the sink by how the valve past the heater and those at it stand (m³/s). */
  private static double hotAtSink(
      Rig rig, Map<PartId, PositionId> running, PositionId past, PositionId through) {
    Map<PartId, PositionId> set = new HashMap<>(rig.atRest().positions());
    set.putAll(running);
    set.put(PartId.of("sink"), PositionId.of("hot"));
    set.put(PartId.of("heater-bypass"), past);
    set.put(PartId.of("heater-in"), through);
    set.put(PartId.of("heater-out"), through);
    Network network = Network.of(rig);
    State state = new State(new Setting(set), network.halfFull(), Slope.LEVEL);
    return Hydraulics.of(network).solve(state).fixture(PartId.of("sink"));
  }

  /** A dip between two crests holds water back, also where it lies over both ends of the vent. */
  @Test
  void aVentThatDipsOverItsTailHoldsItBackToo() {
    Rig dipping =
        RigEdit.of(ROW)
            .changeLine(
                LineId.of("vent-tee-1-b-vent-tee-2"),
                l ->
                    l.along(
                        List.of(
                            new ProfilePoint(0.08, 1.9),
                            new ProfilePoint(0.15, 1.6),
                            new ProfilePoint(0.22, 1.9))));
    assertThat(find(dipping, Code.VENT_SAG, PartId.of("vent-tee-1"))).isPresent();
  }

  /**
   * Wherever a line sags, the drain that is put into it lies at its lowest point; what hangs under
   * the pump then, for no air comes through it, gets a cap at its upper end.
   */
  @ParameterizedTest
  @ValueSource(doubles = {0.1, 0.5, 0.9})
  void aDrainIsPutWhereTheLineIsLowest(double share) {
    LineId line = LineId.of("pump-out-sink");
    Rig sagging =
        RigEdit.of(GOOD)
            .changeLine(line, l -> l.along(List.of(new ProfilePoint(share * l.length(), 0.35))));
    Finding finding = find(sagging, Code.NO_LOW_DRAIN, PartId.of("pump")).orElseThrow();
    Rig mended = finding.change().orElseThrow().apply(sagging);
    Plumbed plan = Plumbed.of(Network.of(mended));
    double before = inLine(Plumbed.of(Network.of(sagging)), line);
    assertThat(before).isGreaterThan(3e-4);
    assertThat(inLine(plan, line)).isLessThanOrEqualTo(0.1 * before);
  }

  /** What stays in a line and in what it was cut into (m³). */
  private static double inLine(Plumbed plan, LineId line) {
    return plan.rig().lines().stream()
        .filter(l -> l.id().value().startsWith(line.value()))
        .mapToDouble(plan.stays()::volume)
        .sum();
  }

  /** Lines that fall to a heater run out by its plug, which one that holds no store has not. */
  @Test
  void aHeatersPlugDrainsTheLinesThatFallToIt() {
    Rig guided = Guided.of(ReadyAnswers.of("long-stay", "Stay").orElseThrow()).rig();
    for (Heater.Type type : Heater.Type.values()) {
      Rig rig =
          RigEdit.of(guided).change(PartId.of("heater"), p -> p.with(new Heater(type, true, 0.02)));
      Plumbed plan = Plumbed.of(Network.of(rig));
      assertThat(RigEdit.of(rig).linesAt(PartId.of("heater")))
          .hasSize(2)
          .as("%s", type)
          .allMatch(l -> plan.stays().volume(l) < 1e-9 == (type == Heater.Type.STORAGE));
    }
  }

  @Test
  void theReadyLayoutsHaveNothingThatDoesHarm() {
    for (ReadyRig ready : ReadyRig.all()) {
      assertThat(review(ready.rig()))
          .as(ready.title())
          .noneMatch(f -> f.risk() == Finding.Risk.HARM);
    }
  }

  @Test
  void theWorstStandsFirstAndNothingIsSaidTwice() {
    for (DemoRig demo : List.of(DemoRig.all().getFirst(), LongCoach.of(2))) {
      List<Finding> findings = review(demo.rig());
      assertThat(findings).extracting(Finding::risk).isSorted();
      assertThat(findings).extracting(Finding::key).doesNotHaveDuplicates();
    }
  }

  @Test
  void marginaliasRaisedVentIsSafeAndHerPlainTailIsNot() {
    Rig marginalia = DemoRig.all().getFirst().rig();
    assertThat(find(marginalia, Code.OVERFLOW_SIPHON, PartId.of("low"))).isPresent();
    assertThat(find(marginalia, Code.OVERFLOW_SIPHON, PartId.of("main"))).isEmpty();
    Rig tern = DemoRig.all().get(2).rig();
    assertThat(find(tern, Code.OVERFLOW_SIPHON, PartId.of("frost-tail")))
        .as("a drain is no tail")
        .isEmpty();
    Part tee = marginalia.part(PartId.of("vent-tee"));
    assertThat(tee.height()).isGreaterThan(2);
    assertThat(Fittings.twoWay(0)).isInstanceOf(TwoWayValve.class);
  }
}
