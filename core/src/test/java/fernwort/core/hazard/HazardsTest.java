package fernwort.core.hazard;

import static fernwort.core.hazard.Watched.warnings;
import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.describe.RigEdit;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import fernwort.core.ways.OpenWays;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class HazardsTest {

  private static List<Warning> turned(String id, PositionId... turns) {
    State state = DemoRig.called(id).state();
    for (int i = 0; i < turns.length; i += 2) {
      state = state.with(PartId.of((turns[i]).value()), turns[i + 1]);
    }
    return warnings(DemoRig.called(id).rig(), state);
  }

  private static void assertWarned(
      List<Warning> warnings, Warning.Code code, Severity severity, PartId part) {
    assertThat(warnings)
        .anySatisfy(w -> {
          assertThat(w.code()).isEqualTo(code);
          assertThat(w.severity()).isEqualTo(severity);
          assertThat(w.parts()).contains(part);
        });
  }

  private static void assertNotWarned(List<Warning> warnings, Warning.Code code) {
    assertThat(warnings).extracting(Warning::code).doesNotContain(code);
  }

  private static Rig changed(Rig rig, UnaryOperator<Part> part, UnaryOperator<Line> line) {
    return new Rig(
        rig.name(),
        rig.note(),
        rig.vehicle(),
        rig.places(),
        rig.parts().stream().map(part).toList(),
        rig.lines().stream().map(line).toList());
  }

  private static Part with(Part part, PartId id, Kind kind) {
    return part.id().equals(id)
        ? new Part(
            id, part.label(), part.place(), part.x(), part.y(), part.height(), part.volume(), kind)
        : part;
  }

  @Test
  void fillingWithTheOverflowValveShutBulgesTheTank() {
    List<Warning> shut =
        turned(
            "marginalia",
            PositionId.of("inlet"),
            PositionId.of("mains"),
            PositionId.of("fill-selector"),
            PositionId.of("low"),
            PositionId.of("low-overflow-valve"),
            PositionId.of("shut"));
    assertWarned(shut, Warning.Code.NO_AIR_OUT, Severity.DANGER, PartId.of("low"));
    assertNotWarned(
        turned(
            "marginalia",
            PositionId.of("inlet"),
            PositionId.of("mains"),
            PositionId.of("fill-selector"),
            PositionId.of("low")),
        Warning.Code.NO_AIR_OUT);
  }

  @Test
  void pumpingWithTheOverflowValveShutSucksTheTankIn() {
    List<Warning> shut =
        turned(
            "marginalia",
            PositionId.of("tank-selector"),
            PositionId.of("low"),
            PositionId.of("low-overflow-valve"),
            PositionId.of("shut"));
    assertWarned(shut, Warning.Code.NO_AIR_IN, Severity.DANGER, PartId.of("low"));
    assertNotWarned(
        turned("marginalia", PositionId.of("tank-selector"), PositionId.of("low")),
        Warning.Code.NO_AIR_IN);
  }

  @Test
  void thePumpHasNothingToDrawFromAShutSelectorOrAnEmptyTank() {
    assertWarned(
        turned("marginalia", PositionId.of("tank-selector"), PositionId.of("shut")),
        Warning.Code.PUMP_DRY,
        Severity.DANGER,
        PartId.of("pump"));
    DemoRig rig = DemoRig.called("marginalia");
    assertWarned(
        warnings(rig.rig(), rig.state().withVolume(PartId.of("main"), 0.001)),
        Warning.Code.PUMP_DRY,
        Severity.DANGER,
        PartId.of("pump"));
  }

  @Test
  void thePumpSucksAirThroughAnEmptyTankBesideAFullOne() {
    DemoRig rig = DemoRig.called("tern");
    State state =
        rig.state()
            .with(PartId.of("aft-motor"), PositionId.of("open"))
            .withVolume(PartId.of("aft"), 0);
    assertWarned(
        warnings(rig.rig(), state),
        Warning.Code.PUMP_SUCKS_AIR,
        Severity.WARNING,
        PartId.of("aft"));
  }

  @Test
  void aPumpWhoseDeliveryRunsStraightBackOnlyStirs() {
    Rig rig =
        changed(
            DemoRig.called("tern").rig(),
            part -> part,
            line ->
                line.id().equals(LineId.of("d9"))
                    ? new Line(
                        LineId.of("d9"),
                        "Loop",
                        new PortRef(PartId.of("delivery"), PortId.C),
                        new PortRef(PartId.of("sump"), PortId.B),
                        0.012,
                        1,
                        Line.Material.PEX,
                        0,
                        List.of())
                    : line.id().equals(LineId.of("f16"))
                        ? new Line(
                            LineId.of("f16"),
                            "Tail",
                            new PortRef(PartId.of("fill-tee"), PortId.B),
                            new PortRef(PartId.of("sump-tail"), PortId.IN),
                            0.012,
                            1,
                            Line.Material.PEX,
                            0,
                            List.of())
                        : line);
    State state =
        DemoRig.called("tern")
            .state()
            .with(PartId.of("delivery"), PositionId.of("tanks"))
            .with(PartId.of("sump"), PositionId.of("open"));
    assertWarned(
        warnings(rig, state), Warning.Code.PUMP_STIRS, Severity.WARNING, PartId.of("pump"));
  }

  @Test
  void theMainsPushIntoATankNobodyWatchesWhileTheTapsRun() {
    List<Warning> both =
        turned(
            "marginalia",
            PositionId.of("inlet"),
            PositionId.of("mains"),
            PositionId.of("mains-valve"),
            PositionId.of("open"),
            PositionId.of("fill-selector"),
            PositionId.of("main"));
    assertWarned(both, Warning.Code.FILLING_UNWATCHED, Severity.WARNING, PartId.of("main"));
    assertWarned(
        turned(
            "marginalia",
            PositionId.of("inlet"),
            PositionId.of("mains"),
            PositionId.of("fill-selector"),
            PositionId.of("main"),
            PositionId.of("sink"),
            PositionId.of("shut")),
        Warning.Code.FILLING,
        Severity.NOTE,
        PartId.of("main"));
  }

  @Test
  void withoutACheckValveTankWaterCanReachTheMains() {
    Rig rig = DemoRig.called("marginalia").rig();
    Rig bare = changed(rig, p -> with(p, PartId.of("inlet-check"), new Strainer()), l -> l);
    Rig unguarded = changed(bare, p -> with(p, PartId.of("regulator"), new Strainer()), l -> l);
    State filling =
        DemoRig.called("marginalia")
            .state()
            .with(PartId.of("inlet"), PositionId.of("mains"))
            .with(PartId.of("fill-selector"), PositionId.of("main"));
    assertWarned(
        warnings(unguarded, filling), Warning.Code.BACKFLOW, Severity.DANGER, PartId.of("inlet"));
    assertNotWarned(warnings(rig, filling), Warning.Code.BACKFLOW);
  }

  @Test
  void aCapLeftOffEmptiesTheTankOntoTheGround() {
    assertWarned(
        turned("marginalia", PositionId.of("low-drain"), PositionId.of("off")),
        Warning.Code.OPEN_TO_GROUND,
        Severity.WARNING,
        PartId.of("low-drain"));
    assertWarned(
        turned("marginalia", PositionId.of("cold-drain"), PositionId.of("off")),
        Warning.Code.OPEN_TO_GROUND,
        Severity.WARNING,
        PartId.of("cold-drain"));
  }

  @Test
  void aFullGrayTankIsADangerWhileWaterRunsIntoIt() {
    DemoRig rig = DemoRig.called("marginalia");
    State full = rig.state().withVolume(PartId.of("gray"), 0.105);
    assertWarned(
        warnings(rig.rig(), full), Warning.Code.GRAY_FULL, Severity.DANGER, PartId.of("gray"));
    assertWarned(
        warnings(
            rig.rig(),
            full.with(PartId.of("sink"), PositionId.of("shut"))
                .with(PartId.of("pump"), PositionId.of("off"))),
        Warning.Code.GRAY_FULL,
        Severity.WARNING,
        PartId.of("gray"));
  }

  @Test
  void grayIsFullBeforeTheFreshThatFollowsIsUsed() {
    assertWarned(
        turned("marginalia"), Warning.Code.GRAY_NEARLY_FULL, Severity.NOTE, PartId.of("gray"));
    DemoRig rig = DemoRig.called("marginalia");
    assertNotWarned(
        warnings(
            rig.rig(),
            rig.state().withVolume(PartId.of("gray"), 0).withVolume(PartId.of("low"), 0)),
        Warning.Code.GRAY_NEARLY_FULL);
  }

  @Test
  void outsideWaterReachesTheTanksButThePurifierGuardsTheDrinkingTap() {
    List<Warning> drawing =
        turned(
            "tern",
            PositionId.of("bucket"),
            PositionId.of("outside"),
            PositionId.of("suction"),
            PositionId.of("bucket"),
            PositionId.of("delivery"),
            PositionId.of("tanks"));
    assertWarned(drawing, Warning.Code.UNSAFE_WATER, Severity.DANGER, PartId.of("fore"));
    List<Warning> toHouse =
        turned(
            "tern",
            PositionId.of("bucket"),
            PositionId.of("outside"),
            PositionId.of("suction"),
            PositionId.of("bucket"),
            PositionId.of("drink"),
            PositionId.of("open"));
    assertNotWarned(toHouse, Warning.Code.UNSAFE_WATER);
  }

  @Test
  void aBypassedHeaterThatHeatsBoilsDry() {
    assertWarned(
        turned("marginalia", PositionId.of("heater-in"), PositionId.of("shut")),
        Warning.Code.HEATER_DRY,
        Severity.DANGER,
        PartId.of("heater"));
    assertNotWarned(turned("marginalia"), Warning.Code.HEATER_DRY);
  }

  @Test
  void aCheckValveFacingTheWrongWayIsFoundWhateverTheHandles() {
    Rig turnedRound =
        changed(
            DemoRig.called("marginalia").rig(),
            p -> p,
            line ->
                switch (line.id().value()) {
                  case "s2" -> joined(line, "regulator.out", "inlet-check.out");
                  case "s3" -> joined(line, "inlet-check.in", "inlet-tee.a");
                  default -> line;
                });
    assertWarned(
        warnings(turnedRound, DemoRig.called("marginalia").state()),
        Warning.Code.CHECK_VALVE_REVERSED,
        Severity.WARNING,
        PartId.of("inlet-check"));
    for (DemoRig demo : DemoRig.all()) {
      assertNotWarned(warnings(demo.rig(), demo.state()), Warning.Code.CHECK_VALVE_REVERSED);
    }
  }

  private static Line joined(Line line, String from, String to) {
    String[] a = from.split("\\.");
    String[] b = to.split("\\.");
    return new Line(
        line.id(),
        line.label(),
        new PortRef(PartId.of(a[0]), PortId.of(a[1])),
        new PortRef(PartId.of(b[0]), PortId.of(b[1])),
        line.bore(),
        line.length(),
        line.material(),
        line.minorLoss(),
        line.profile());
  }

  @Test
  void aMotorValveThatFallsOpenWithoutPowerIsNamedWithWhereTheWaterGoes() {
    assertWarned(
        turned("tern"), Warning.Code.POWER_LOSS, Severity.WARNING, PartId.of("frost-motor"));
    DemoRig rig = DemoRig.called("tern");
    assertNotWarned(
        warnings(rig.rig(), rig.state().with(PartId.of("fore-motor"), PositionId.of("shut"))),
        Warning.Code.POWER_LOSS);
  }

  @Test
  void everyWarningSaysWhatWouldHappenWhyAndWhatToDo() {
    List<Warning> all =
        turned(
            "tern",
            PositionId.of("delivery"),
            PositionId.of("tanks"),
            PositionId.of("inlet"),
            PositionId.of("mains"),
            PositionId.of("shore-tanks"),
            PositionId.of("open"));
    assertThat(all)
        .isNotEmpty()
        .allSatisfy(w ->
            assertThat(List.of(w.title(), w.what(), w.why(), w.fix())).noneMatch(Message::isEmpty))
        .isSortedAccordingTo(java.util.Comparator.comparing(Warning::severity));
  }

  @ParameterizedTest
  @EnumSource(Pump.Type.class)
  void outsideWaterPumpedIntoAFreshTankIsNamedWhateverPumpDrawsIt(Pump.Type works) {
    Rig closed =
        RigEdit.of(ReadyRig.find("one-tank").orElseThrow().rig()).remove(PartId.of("filler"));
    Part pump =
        new Part(
            PartId.of("draw-pump"),
            "Draw pump",
            PlaceId.of("bed"),
            0,
            0,
            0.8,
            0,
            new Pump(Pump.Duty.TRANSFER, works, 2.8e5, 1e-3, 0, 2.8e5, 6));
    Part stream =
        new Part(
            PartId.of("stream"), "Stream", PlaceId.of("bed"), 0, 0, 0.8, 0, new HoseInlet(0, 0.2));
    Rig pumped =
        RigEdit.of(closed)
            .addAt(
                pump, PortId.OUT, new PortRef(PartId.of("fresh"), PortId.of("fill")), 0.013, 0.5);
    Rig rig = RigEdit.of(pumped).addAt(stream, PortId.OUT, pump.port(PortId.IN), 0.013, 0.5);
    State drawing =
        new State(rig.atRest(), Map.of(), Slope.LEVEL)
            .with(PartId.of("stream"), PositionId.of("outside"))
            .with(PartId.of("draw-pump"), PositionId.of("on"));
    Network network = Network.of(rig);
    Levels levels = Levels.of(network, drawing);
    assertThat(
            Hazards.of(network)
                .warnings(
                    drawing.setting(), levels, OpenWays.find(network, drawing.setting(), levels)))
        .anyMatch(w ->
            w.code() == Warning.Code.UNSAFE_WATER
                && w.severity() == Severity.DANGER
                && w.parts().contains(PartId.of("fresh")));
  }
}
