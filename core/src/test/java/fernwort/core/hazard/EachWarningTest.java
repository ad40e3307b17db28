package fernwort.core.hazard;

import static fernwort.core.hazard.Watched.warnings;
import static fernwort.core.hydraulics.CaseRigs.rig;
import static fernwort.core.hydraulics.CaseRigs.tank;
import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.describe.Fittings;
import fernwort.core.hazard.Warning.Code;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Pump;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Each warning raised once, and not raised a turn or a few litres away from there. */
class EachWarningTest {

  /** What is told by the loads and by rules, which have tests of their own. */
  private static final Set<Code> ELSEWHERE =
      EnumSet.of(
          Code.HITCH_LIGHT,
          Code.HITCH_HEAVY,
          Code.AXLE_OVER,
          Code.SIDE,
          Code.RULES_FIGHT,
          Code.RULE_MISSES);

  /**
   * A tank over a weak pump with two taps, an inlet below it, a vent and an overflow with valves.
   */
  private static final Rig SMALL =
      rig()
          .part("tank", "Tank", 0, 0, 1, tank())
          .part("vent-valve", "Vent valve", 0, 0, 1.6, Fittings.twoWay(0))
          .part("air", "Air", 0, 0, 1.8, Fittings.end(Role.VENT))
          .line("v1", "V1", "tank.vent > vent-valve.a", 19, 0.3, Material.PVC_HOSE, 1)
          .line("v2", "V2", "vent-valve.b > air.in", 19, 0.3, Material.PVC_HOSE, 1)
          .part("over-valve", "Overflow valve", 0, 0, 1.1, Fittings.twoWay(0))
          .part("over", "Overflow", 0, 0, 0.5, Fittings.end(Role.OVERFLOW))
          .line("o1", "O1", "tank.high > over-valve.a", 19, 0.3, Material.PVC_HOSE, 1)
          .line("o2", "O2", "over-valve.b > over.in", 19, 0.6, Material.PVC_HOSE, 1)
          .part("tee", "Tee", 0, 0, 0.8, new Tee())
          .part("in-valve", "Inlet valve", 0, 0, 0.7, Fittings.twoWay(0))
          .part("inlet", "Inlet", 0, 0, 0.6, Fittings.inlet(3))
          .line("s1", "S1", "tank.low > tee.a", 13, 0.5, Material.PEX, 1)
          .line("s2", "S2", "tee.b > in-valve.a", 13, 0.5, Material.PEX, 1)
          .line("s3", "S3", "in-valve.b > inlet.out", 13, 0.5, Material.PEX, 1)
          .part(
              "pump",
              "Pump",
              0,
              0,
              0.8,
              new Pump(Pump.Duty.SUPPLY, Pump.Type.DIAPHRAGM, 3e4, 1e-4, 0, 3e4, 1))
          .part("fork", "Fork", 0, 0, 0.8, new Tee())
          .part("low-tap", "Low tap", 0, 0, 0.9, Fittings.fixture(Type.HOSE_POINT, false, 30))
          .part("high-tap", "High tap", 0, 0, 2.4, Fittings.fixture(Type.HOSE_POINT, false, 5))
          .line("p1", "P1", "tee.c > pump.in", 13, 0.5, Material.PEX, 1)
          .line("p2", "P2", "pump.out > fork.a", 13, 0.5, Material.PEX, 1)
          .line("p3", "P3", "fork.b > low-tap.cold", 19, 0.5, Material.PEX, 1)
          .line("p4", "P4", "fork.c > high-tap.cold", 13, 2, Material.PEX, 1)
          .build();

  private static final State REST =
      new State(SMALL.atRest(), Map.of(PartId.of("tank"), 0.040), Slope.LEVEL)
          .with(PartId.of("vent-valve"), PositionId.of("open"))
          .with(PartId.of("over-valve"), PositionId.of("open"))
          .with(PartId.of("in-valve"), PositionId.of("shut"));

  /** A warning, what raises it, and what is like it and does not. */
  private record Case(Code code, Rig rig, State raised, State calm) {
    @Override
    public String toString() {
      return code.name();
    }
  }

  private static Case small(Code code, String raised, String calm) {
    return new Case(code, SMALL, set(REST, raised), set(REST, calm));
  }

  private static Case demo(String id, Code code, String raised, String calm) {
    DemoRig demo = DemoRig.called(id);
    return new Case(code, demo.rig(), set(demo.state(), raised), set(demo.state(), calm));
  }

  /** Sets what a line of words says: "valve shut, tank=20" in litres. */
  private static State set(State from, String words) {
    State state = from;
    for (String word : words.isEmpty() ? new String[0] : words.split(", ")) {
      String[] two = word.split("[ =]");
      state =
          word.contains("=")
              ? state.withVolume(PartId.of(two[0]), Double.parseDouble(two[1]) / 1000)
              : state.with(PartId.of(two[0]), PositionId.of(two[1]));
    }
    return state;
  }

  static Stream<Case> cases() {
    String fill = "inlet mains, fill-selector low, sink shut, pump off";
    return Stream.of(
        demo("marginalia", Code.NO_AIR_OUT, fill + ", low-overflow-valve shut", fill),
        demo(
            "marginalia",
            Code.NO_AIR_IN,
            "tank-selector low, low-overflow-valve shut",
            "tank-selector low"),
        demo("marginalia", Code.PUMP_DRY, "main=1", "main=30"),
        demo("tern", Code.PUMP_SUCKS_AIR, "aft-motor open, aft=0", "aft-motor open, aft=20"),
        demo(
            "marginalia",
            Code.FILLING_UNWATCHED,
            "inlet mains, mains-valve open, fill-selector main",
            "inlet mains, fill-selector main, sink shut"),
        demo("marginalia", Code.FILLING, fill, "sink shut, pump off, inlet mains"),
        small(Code.BACKFLOW, "inlet mains, in-valve open", "inlet mains"),
        demo("marginalia", Code.OPEN_TO_GROUND, "low-drain off", "low-drain on"),
        small(Code.OVERFLOWING, "tank=60", "tank=48"),
        demo("marginalia", Code.GRAY_FULL, "gray=105", "gray=60"),
        demo("marginalia", Code.GRAY_NEARLY_FULL, "", "gray=0, low=0"),
        demo(
            "tern",
            Code.UNSAFE_WATER,
            "bucket outside, suction bucket, delivery tanks",
            "bucket outside, suction bucket, drink open"),
        demo("marginalia", Code.HEATER_DRY, "heater-in shut", ""),
        demo("tern", Code.POWER_LOSS, "", "fore-motor shut"),
        small(Code.TANK_RUNS_OUT, "inlet outside, in-valve open", "inlet outside"),
        small(Code.PUMP_SHUT_IN, "pump on", "pump on, low-tap open"),
        small(Code.TAP_STARVES, "pump on, low-tap open, high-tap open", "pump on, high-tap open"),
        small(
            Code.NO_ROOM,
            "tank=125, vent-valve shut, over-valve shut",
            "tank=125, over-valve shut"),
        small(Code.PUMP_DRY_SOON, "pump on, low-tap open", "pump on"),
        linked(),
        narrow(),
        stirring(),
        reversed());
  }

  /** A high tank that runs into a low one until that runs over. */
  private static Case linked() {
    Rig rig =
        rig()
            .part("high", "High", 0, 0, 2, tank())
            .part("low", "Low", 0, 0, 0.8, tank())
            .part("link", "Link", 0, 0, 1, Fittings.twoWay(0))
            .part("high-air", "High air", 0, 0, 2.7, Fittings.end(Role.VENT))
            .part("low-air", "Low air", 0, 0, 1.5, Fittings.end(Role.VENT))
            .line("a", "A", "high.low > link.a", 13, 1, Material.PEX, 1)
            .line("b", "B", "link.b > low.low", 13, 1, Material.PEX, 1)
            .line("c", "C", "high.vent > high-air.in", 19, 0.3, Material.PVC_HOSE, 1)
            .line("d", "D", "low.vent > low-air.in", 19, 0.3, Material.PVC_HOSE, 1)
            .build();
    State state =
        new State(
            rig.atRest(), Map.of(PartId.of("high"), 0.1, PartId.of("low"), 0.09), Slope.LEVEL);
    return new Case(
        Code.RUNS_OVER_SOON,
        rig,
        state.with(PartId.of("link"), PositionId.of("open")),
        state.with(PartId.of("link"), PositionId.of("shut")));
  }

  /** A fast hose into a tank whose vent is four millimetres wide, and into one with a wide vent. */
  private static Case narrow() {
    Rig rig =
        rig()
            .part("inlet", "Inlet", 0, 0, 0.6, Fittings.inlet(3))
            .part("tank", "Tank", 0, 0, 1, tank())
            .part("over-valve", "Overflow valve", 0, 0, 1.1, Fittings.twoWay(0))
            .part("over", "Overflow", 0, 0, 0.5, Fittings.end(Role.OVERFLOW))
            .part("air", "Air", 0, 0, 1.6, Fittings.end(Role.VENT))
            .line("i", "I", "inlet.out > tank.low", 13, 2, Material.PEX, 1)
            .line("v", "V", "tank.vent > air.in", 4, 0.5, Material.PVC_HOSE, 1)
            .line("o1", "O1", "tank.high > over-valve.a", 25, 0.3, Material.PVC_HOSE, 1)
            .line("o2", "O2", "over-valve.b > over.in", 25, 0.6, Material.PVC_HOSE, 1)
            .build();
    State filling =
        new State(rig.atRest(), Map.of(PartId.of("tank"), 0.04), Slope.LEVEL)
            .with(PartId.of("inlet"), PositionId.of("mains"));
    return new Case(
        Code.VENT_NARROW,
        rig,
        filling.with(PartId.of("over-valve"), PositionId.of("shut")),
        filling.with(PartId.of("over-valve"), PositionId.of("open")));
  }

  /** A pump with a way from its outlet back to its inlet, through a valve. */
  private static Case stirring() {
    Rig rig = Watched.stirring();
    State on =
        new State(rig.atRest(), Map.of(PartId.of("tank"), 0.04), Slope.LEVEL)
            .with(PartId.of("pump"), PositionId.of("on"))
            .with(PartId.of("tap"), PositionId.of("open"));
    return new Case(
        Code.PUMP_STIRS,
        rig,
        on.with(PartId.of("bypass"), PositionId.of("open")),
        on.with(PartId.of("bypass"), PositionId.of("shut")));
  }

  /** A check valve that lets water to the mains but not from them; shut off, it is the same. */
  private static Case reversed() {
    Rig wrong = checked("check.out", "check.in");
    State state = new State(wrong.atRest(), Map.of(PartId.of("tank"), 0.04), Slope.LEVEL);
    return new Case(
        Code.CHECK_VALVE_REVERSED,
        wrong,
        state.with(PartId.of("inlet"), PositionId.of("mains")),
        state);
  }

  private static Rig checked(String towardsInlet, String towardsTank) {
    return rig()
        .part("tank", "Tank", 0, 0, 1, tank())
        .part("check", "Check", 0, 0, 0.8, Fittings.check())
        .part("inlet", "Inlet", 0, 0, 0.6, Fittings.inlet(3))
        .line("a", "A", "inlet.out > " + towardsInlet, 13, 0.5, Material.PEX, 1)
        .line("b", "B", towardsTank + " > tank.low", 13, 0.5, Material.PEX, 1)
        .build();
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("cases")
  void isRaisedOnceThere(Case c) {
    assertThat(warnings(c.rig(), c.raised()))
        .extracting(Warning::code)
        .filteredOn(c.code()::equals)
        .as("%s in %s", c.code(), c.raised())
        .hasSize(1);
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("cases")
  void isNotRaisedNextToIt(Case c) {
    if (c.code() == Code.CHECK_VALVE_REVERSED) {
      Rig right = checked("check.in", "check.out");
      assertThat(warnings(right, c.raised())).extracting(Warning::code).doesNotContain(c.code());
      return;
    }
    assertThat(warnings(c.rig(), c.calm()))
        .extracting(Warning::code)
        .as("%s in %s", c.code(), c.calm())
        .doesNotContain(c.code());
  }

  @Test
  void noWarningIsWithoutACase() {
    Set<Code> cases = cases().map(Case::code).collect(Collectors.toSet());
    assertThat(EnumSet.complementOf(EnumSet.copyOf(ELSEWHERE))).isEqualTo(cases);
  }
}
