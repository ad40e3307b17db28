package fernwort.core.hazard;

import static fernwort.core.hazard.Watched.warnings;
import static fernwort.core.hydraulics.CaseRigs.rig;
import static fernwort.core.hydraulics.CaseRigs.tank;
import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.describe.Fittings;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort.Use;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.OpenWays;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** All that is warned of, and nothing else, scene by scene: each line was thought through. */
class WarningTableTest {

  /** A jug over a neck, a vent and a drain with valves, a tap to drink from, no gauge. */
  private static final Rig NECK =
      rig()
          .part("jug", "Jug", 0, 0, 1.9, new PortableContainer(0.02, false))
          .part("neck", "Neck", 0, 0, 1.7, new GravityFiller())
          .part(
              "tank",
              "Tank",
              0,
              0,
              1,
              Fittings.tank(
                  Contents.FRESH,
                  new Shape.Box(0.51, 0.51, 0.51),
                  0.005,
                  new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0),
                  Fittings.port(PortId.of("fill"), Use.FILL, 0.1, 0.1, 0.48),
                  Fittings.port(PortId.of("vent"), Use.VENT, 0.4, 0.4, 0.49),
                  Fittings.port(PortId.of("low"), Use.FEED, 0.1, 0.1, 0.02)))
          .part("vent-valve", "Vent valve", 0, 0, 1.6, Fittings.twoWay(0))
          .part("air", "Air", 0, 0, 1.8, Fittings.end(Role.VENT))
          .part("tee", "Tee", 0, 0, 0.9, new Tee())
          .part("drain", "Drain", 0, 0, 0.8, Fittings.twoWay(0))
          .part("tail", "Tail", 0, 0, 0.4, Fittings.end(Role.DRAIN))
          .part("tap", "Tap", 0, 0, 0.8, Fittings.fixture(Type.TAP, true, 5))
          .line("j", "J", "jug.spout > neck.mouth", 30, 0.2, Material.PVC_HOSE, 1)
          .line("n", "N", "neck.out > tank.fill", 30, 0.4, Material.PVC_HOSE, 1)
          .line("v1", "V1", "tank.vent > vent-valve.a", 19, 0.3, Material.PVC_HOSE, 1)
          .line("v2", "V2", "vent-valve.b > air.in", 19, 0.3, Material.PVC_HOSE, 1)
          .line("s1", "S1", "tank.low > tee.a", 13, 0.3, Material.PEX, 1)
          .line("s2", "S2", "tee.b > drain.a", 13, 0.3, Material.PEX, 1)
          .line("s3", "S3", "drain.b > tail.in", 13, 0.4, Material.PEX, 1)
          .line("s4", "S4", "tee.c > tap.cold", 13, 0.4, Material.PEX, 1)
          .build();

  /** Mains into a tank without a gauge or by its float, and into a gray one, none with a check. */
  private static final Rig MAINS =
      rig()
          .part("inlet", "Inlet", 0, 0, 0.6, Fittings.inlet(3))
          .part("fork", "Fork", 0, 0, 0.7, new Manifold(3))
          .part("to-float", "To the float", 0, 0, 0.8, Fittings.twoWay(0))
          .part("to-gap", "To the gap", 0, 0, 0.8, Fittings.twoWay(0))
          .part("to-foot", "To the foot", 0, 0, 0.8, Fittings.twoWay(0))
          .part("floated", "Floated", 0, 0, 1, box(PortId.IN, Use.FLOAT, 0.45))
          .part("gapped", "Gapped", 0, 0, 1, box(PortId.IN, Use.FILL, 0.495))
          .part("footed", "Footed", 0, 0, 1, box(PortId.IN, Use.FILL, 0.05))
          .part("air-1", "Air 1", 0, 0, 1.8, Fittings.end(Role.VENT))
          .part("air-2", "Air 2", 0, 0, 1.8, Fittings.end(Role.VENT))
          .part("air-3", "Air 3", 0, 0, 1.8, Fittings.end(Role.VENT))
          .part("cap", "Cap", 0, 0, 0.9, new Plug(true))
          .part("cap-2", "Cap 2", 0, 0, 0.9, new Plug(true))
          .part("cap-3", "Cap 3", 0, 0, 0.9, new Plug(true))
          .line("i", "I", "inlet.out > fork.in", 13, 0.2, Material.PEX, 1)
          .line("a", "A", "fork.1 > to-float.a", 13, 0.2, Material.PEX, 1)
          .line("b", "B", "fork.2 > to-gap.a", 13, 0.2, Material.PEX, 1)
          .line("c", "C", "fork.3 > to-foot.a", 13, 0.2, Material.PEX, 1)
          .line("d", "D", "to-float.b > floated.in", 13, 0.8, Material.PEX, 1)
          .line("e", "E", "to-gap.b > gapped.in", 13, 0.8, Material.PEX, 1)
          .line("f", "F", "to-foot.b > footed.in", 13, 0.8, Material.PEX, 1)
          .line("g", "G", "floated.vent > air-1.in", 19, 0.5, Material.PVC_HOSE, 1)
          .line("h", "H", "gapped.vent > air-2.in", 19, 0.5, Material.PVC_HOSE, 1)
          .line("k", "K", "footed.vent > air-3.in", 19, 0.5, Material.PVC_HOSE, 1)
          .line("l", "L", "floated.low > cap.in", 19, 0.2, Material.PVC_HOSE, 1)
          .line("m", "M", "gapped.low > cap-2.in", 19, 0.2, Material.PVC_HOSE, 1)
          .line("n", "N", "footed.low > cap-3.in", 19, 0.2, Material.PVC_HOSE, 1)
          .build();

  private static Kind box(PortId inlet, Use use, double height) {
    return Fittings.tank(
        Contents.FRESH,
        new Shape.Box(0.51, 0.51, 0.51),
        0.005,
        Fittings.sender(4, 0.2, 0.2),
        Fittings.port(inlet, use, 0.1, 0.1, height),
        Fittings.port(PortId.of("vent"), Use.VENT, 0.4, 0.4, 0.47),
        Fittings.port(PortId.of("low"), Use.FEED, 0.1, 0.1, 0.02));
  }

  /** A pump without a switch between two tanks, with a return to the first. */
  private static final Rig PUMPED =
      rig()
          .part("from", "From", 0, 0, 1, tank())
          .part("to", "To", 0, 0, 1.2, tank())
          .part("suction", "Suction", 0, 0, 0.9, Fittings.twoWay(0))
          .part(
              "pump",
              "Pump",
              0,
              0,
              0.9,
              new Pump(Pump.Duty.TRANSFER, Pump.Type.DIAPHRAGM, 6e4, 1e-4, 0, 6e4, 1.5))
          .part("fork", "Fork", 0, 0, 1, new Tee())
          .part("delivery", "Delivery", 0, 0, 1.1, Fittings.twoWay(0))
          .part("return", "Return", 0, 0, 1.1, Fittings.twoWay(0))
          .part("air-from", "Air from", 0, 0, 1.8, Fittings.end(Role.VENT))
          .part("vent-to", "Vent to", 0, 0, 1.8, Fittings.twoWay(0))
          .part("air-to", "Air to", 0, 0, 1.9, Fittings.end(Role.VENT))
          .part("plug-1", "Plug 1", 0, 0, 1.1, new Plug(false))
          .part("cap", "Cap", 0, 0, 0.8, new Plug(true))
          .line("a", "A", "from.low > suction.a", 13, 0.2, Material.PEX, 1)
          .line("b", "B", "suction.b > pump.in", 13, 0.2, Material.PEX, 1)
          .line("c", "C", "pump.out > fork.a", 13, 0.2, Material.PEX, 1)
          .line("d", "D", "fork.b > delivery.a", 13, 0.2, Material.PEX, 1)
          .line("e", "E", "delivery.b > to.high", 13, 0.6, Material.PEX, 1)
          .line("f", "F", "fork.c > return.a", 13, 0.2, Material.PEX, 1)
          .line("g", "G", "return.b > from.high", 13, 0.6, Material.PEX, 1)
          .line("h", "H", "from.vent > air-from.in", 19, 0.5, Material.PVC_HOSE, 1)
          .line("i", "I", "to.vent > vent-to.a", 19, 0.3, Material.PVC_HOSE, 1)
          .line("j", "J", "vent-to.b > air-to.in", 19, 0.3, Material.PVC_HOSE, 1)
          .line("k", "K", "to.low > cap.in", 19, 0.4, Material.PVC_HOSE, 1)
          .build();

  private static final Map<String, State> RESTS =
      Map.of(
          "neck", new State(NECK.atRest(), Map.of(PartId.of("tank"), 0.03), Slope.LEVEL),
          "mains", new State(MAINS.atRest(), Map.of(), Slope.LEVEL),
          "pumped", new State(PUMPED.atRest(), Map.of(PartId.of("from"), 0.05), Slope.LEVEL));

  private static final Map<String, Rig> RIGS =
      Map.of("neck", NECK, "mains", MAINS, "pumped", PUMPED);

  static Stream<Arguments> scenes() {
    return TABLE
        .lines()
        .map(line -> line.split(" *\\| *", -1))
        .map(cells -> Arguments.of(cells[0], cells[1], cells[2]));
  }

  /** Every sentence that a warning can say, where it says it. */
  static Stream<Arguments> words() throws IOException {
    try (InputStream file = WarningTableTest.class.getResourceAsStream("/warning-words.txt")) {
      return new String(file.readAllBytes(), StandardCharsets.UTF_8)
              .lines()
              .map(line -> line.split(" \\| ", 4))
              .map(cells -> Arguments.of(cells[0], cells[1], cells[2], cells[3]))
              .toList()
              .stream();
    }
  }

  @ParameterizedTest(name = "{0}: {1}: {2}")
  @MethodSource("words")
  void itSaysWhatHappensWhyAndWhatToDo(String rig, String set, String code, String words) {
    assertThat(at(rig, set))
        .filteredOn(w -> w.code().name().equals(code))
        .extracting(w -> "%s / %s / %s / %s".formatted(w.title(), w.what(), w.why(), w.fix()))
        .contains(words);
  }

  @Test
  void theWorstComesFirstAndPowerIsAskedOfByItself() {
    List<Warning> found = at("marginalia", "gray=60, main=120, low=90");
    assertThat(found).extracting(Warning::severity).isSorted();
    DemoRig tern = DemoRig.called("tern");
    Network network = Network.of(tern.rig());
    Levels levels = Levels.of(network, tern.state());
    FlowPaths ways = OpenWays.find(network, tern.state().setting(), levels);
    Hazards hazards = Hazards.of(network);
    assertThat(hazards.withoutPower(tern.state().setting(), levels, ways))
        .extracting(Warning::code)
        .containsExactly(Warning.Code.POWER_LOSS);
    assertThat(hazards.withPower(tern.state().setting(), levels, ways))
        .extracting(Warning::code)
        .containsExactly(Warning.Code.GRAY_NEARLY_FULL);
  }

  /** A pump with a switch, a bypass round it and a tap: what the tap takes is not stirred. */
  @Test
  void howMuchAPumpOnlyStirsIsWhatItsTapsDoNotTake() {
    Rig rig = Watched.stirring();
    State on =
        new State(rig.atRest(), Map.of(PartId.of("tank"), 0.04), Slope.LEVEL)
            .with(PartId.of("pump"), PositionId.of("on"))
            .with(PartId.of("bypass"), PositionId.of("open"));
    Flows flows =
        Hydraulics.of(Network.of(rig)).solve(on.with(PartId.of("tap"), PositionId.of("open")));
    double stirred =
        1 - flows.fixture(PartId.of("tap")) / flows.pumps().get(PartId.of("pump")).flow();
    assertThat(stirred).isBetween(0.05, 0.95);
    assertThat(warnings(rig, on.with(PartId.of("tap"), PositionId.of("open"))))
        .extracting(w -> w.title().toString())
        .contains(
            String.format(
                Locale.ROOT,
                "Pump pushes part of its water round in a loop, %.0f %% of it",
                100 * stirred));
    assertThat(warnings(rig, on))
        .extracting(w -> w.title().toString())
        .contains("Pump only circulates its water");
  }

  @Test
  void aTankWithAFloatIsSaidToStopByItselfAndAnotherNot() {
    State open = RESTS.get("mains").with(PartId.of("inlet"), PositionId.of("mains"));
    assertThat(warnings(MAINS, open.with(PartId.of("to-float"), PositionId.of("open"))))
        .extracting(w -> w.title() + ". " + w.what())
        .containsExactly(
            "Floated fills from mains water until its float closes. "
                + "It stops by itself; a float that sticks lets it run over.");
    assertThat(warnings(MAINS, open.with(PartId.of("to-gap"), PositionId.of("open"))))
        .extracting(w -> w.title().toString())
        .containsExactly("Gapped fills from mains water");
  }

  private static List<Warning> at(String id, String set) {
    DemoRig demo = DemoRig.all().stream().filter(d -> d.id().equals(id)).findFirst().orElse(null);
    Rig rig = demo == null ? RIGS.get(id) : demo.rig();
    State state = demo == null ? RESTS.get(id) : demo.state();
    for (String word : set.isEmpty() ? new String[0] : set.split(", ")) {
      String[] two = word.split("[ =]");
      if (word.contains("=")) {
        state = state.withVolume(PartId.of(two[0]), Double.parseDouble(two[1]) / 1000);
      } else {
        rig.position(PartId.of(two[0]), PositionId.of(two[1]));
        state = state.with(PartId.of(two[0]), PositionId.of(two[1]));
      }
    }
    return warnings(rig, state);
  }

  private static String named(Warning warning) {
    return warning.parts().stream().map(ElementId::value).collect(Collectors.joining("+"));
  }

  private static String seen(String id, String set) {
    return at(id, set).stream()
        .map(w -> w.code() + " " + w.severity() + " " + named(w))
        .collect(Collectors.joining("; "));
  }

  @ParameterizedTest(name = "{0}: {1}")
  @MethodSource("scenes")
  void theseAreTheWarningsThere(String rig, String set, String expected) {
    assertThat(List.of(seen(rig, set).split("; "))).containsExactlyInAnyOrder(expected.split("; "));
  }

  private static final String TABLE =
      """
      marginalia | | GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | sink shut | GRAY_NEARLY_FULL NOTE gray
      marginalia | sink shut, pump off | HEATER_DRY DANGER heater; GRAY_NEARLY_FULL NOTE gray
      marginalia | inlet mains, fill-selector low, sink shut, pump off | HEATER_DRY DANGER heater; FILLING NOTE low; GRAY_NEARLY_FULL NOTE gray
      marginalia | inlet mains, fill-selector low, sink shut, pump off, low-overflow-valve shut | NO_AIR_OUT DANGER low; HEATER_DRY DANGER heater; FILLING NOTE low; GRAY_NEARLY_FULL NOTE gray
      marginalia | inlet mains, fill-selector low, sink shut, pump off, low-overflow-valve shut, low=95 | NO_AIR_OUT DANGER low; HEATER_DRY DANGER heater; NO_ROOM WARNING low; FILLING NOTE low; GRAY_NEARLY_FULL NOTE gray
      marginalia | inlet mains, fill-selector main, sink shut, pump off | HEATER_DRY DANGER heater; FILLING NOTE main; GRAY_NEARLY_FULL NOTE gray
      marginalia | inlet mains, fill-selector main, mains-valve open, sink shut, pump off | FILLING NOTE main; GRAY_NEARLY_FULL NOTE gray
      marginalia | inlet mains, fill-selector main, mains-valve open | FILLING_UNWATCHED WARNING main; GRAY_NEARLY_FULL NOTE gray; PUMP_STIRS NOTE pump
      marginalia | inlet mains, mains-valve open, pump on, sink warm | GRAY_NEARLY_FULL NOTE gray
      marginalia | inlet mains, mains-valve open, pump on, sink shut | GRAY_NEARLY_FULL NOTE gray
      marginalia | inlet mains, fill-selector low, low-drain off, low=0 | OPEN_TO_GROUND WARNING low-drain+low; FILLING NOTE low; GRAY_NEARLY_FULL NOTE sink; PUMP_DRY_SOON NOTE pump
      marginalia | inlet mains, fill-selector low, low-drain off, low=30 | OPEN_TO_GROUND WARNING low-drain+low; FILLING NOTE low; GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | low-drain off | OPEN_TO_GROUND WARNING low-drain+low; GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | low-drain off, low=0 | GRAY_NEARLY_FULL NOTE sink; PUMP_DRY_SOON NOTE pump
      marginalia | cold-drain off | OPEN_TO_GROUND WARNING cold-drain+main; GRAY_NEARLY_FULL NOTE gray; TAP_STARVES NOTE sink; PUMP_DRY_SOON NOTE pump
      marginalia | hot-drain off | OPEN_TO_GROUND WARNING hot-drain+main; GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | dump-outlet open, gray-dump open | OPEN_TO_GROUND WARNING dump-outlet+gray; GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | dump-outlet hose, gray-dump open | GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | dump-outlet open | GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | gray=105 | GRAY_FULL DANGER gray; PUMP_DRY_SOON NOTE pump
      marginalia | gray=105, sink shut | GRAY_FULL WARNING gray
      marginalia | gray=60, main=120, low=90 | OVERFLOWING WARNING low-tail+low; GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | gray=0, main=10, low=0 | PUMP_DRY DANGER pump; HEATER_DRY DANGER heater
      marginalia | main=1 | PUMP_DRY DANGER pump; HEATER_DRY DANGER heater
      marginalia | main=1, pump off | HEATER_DRY DANGER heater
      marginalia | tank-selector low | GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | tank-selector low, low=1 | PUMP_DRY DANGER pump; HEATER_DRY DANGER heater
      marginalia | tank-selector low, low-overflow-valve shut | NO_AIR_IN DANGER low; GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | tank-selector low, low-overflow-valve shut, pump off | HEATER_DRY DANGER heater; GRAY_NEARLY_FULL NOTE gray
      marginalia | heater-in shut | HEATER_DRY DANGER heater; GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | heater-in shut, heater off | GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | heater-out shut | GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | bypass open | GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | inlet hose | GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | inlet outside | GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | inlet open | GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | inlet open, mains-valve open | GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | main=128, low=93 | OVERFLOWING WARNING low-tail+low; GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | drink open | GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | toilet open, sink shut | GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      marginalia | rinse open | GRAY_NEARLY_FULL NOTE gray; PUMP_DRY_SOON NOTE pump
      samphire | |
      tern | | POWER_LOSS WARNING frost-motor+frost-tail; GRAY_NEARLY_FULL NOTE gray
      tern | fore-motor shut | PUMP_DRY DANGER pump; HEATER_DRY DANGER heater; GRAY_NEARLY_FULL NOTE gray
      tern | aft-motor open | POWER_LOSS WARNING frost-motor+frost-tail; GRAY_NEARLY_FULL NOTE gray
      tern | aft-motor open, aft=0 | PUMP_SUCKS_AIR WARNING pump+aft; POWER_LOSS WARNING frost-motor+frost-tail; GRAY_NEARLY_FULL NOTE gray
      tern | aft-motor open, fore-motor open | POWER_LOSS WARNING frost-motor+frost-tail; GRAY_NEARLY_FULL NOTE gray
      tern | bucket outside, suction bucket, delivery tanks | UNSAFE_WATER DANGER bucket+fore; HEATER_DRY DANGER heater; POWER_LOSS WARNING frost-motor+frost-tail; GRAY_NEARLY_FULL NOTE gray; RUNS_OVER_SOON NOTE vent-tail
      tern | bucket outside, suction bucket, drink open | POWER_LOSS WARNING frost-motor+frost-tail; GRAY_NEARLY_FULL NOTE gray
      tern | bucket outside | POWER_LOSS WARNING frost-motor+frost-tail; GRAY_NEARLY_FULL NOTE gray
      tern | bucket open, suction bucket | PUMP_DRY DANGER pump; HEATER_DRY DANGER heater; POWER_LOSS WARNING frost-motor+frost-tail; GRAY_NEARLY_FULL NOTE gray
      neck | |
      neck | jug pouring |
      neck | jug pouring, neck open | UNSAFE_WATER DANGER jug+tank; NO_AIR_OUT WARNING tank
      neck | jug pouring, neck open, vent-valve open | UNSAFE_WATER DANGER jug+tank
      neck | jug pouring, neck open, vent-valve open, tank=124 | UNSAFE_WATER DANGER jug+tank; VENT_NARROW DANGER tank; RUNS_OVER_SOON NOTE air
      neck | jug pouring, vent-valve open, drain open | OPEN_TO_GROUND WARNING tail+tank
      neck | vent-valve open, drain open | OPEN_TO_GROUND WARNING tail+tank
      neck | drain open | NO_AIR_IN WARNING tank; OPEN_TO_GROUND WARNING tail+tank
      neck | tap open | NO_AIR_IN WARNING tank
      neck | tap open, vent-valve open |
      neck | tank=125 | NO_ROOM WARNING tank
      neck | tank=125, vent-valve open |
      neck | tank=125, neck open |
      mains | inlet mains |
      mains | inlet mains, to-float open | FILLING NOTE floated
      mains | inlet mains, to-float open, floated=118 |
      mains | inlet mains, to-gap open | FILLING NOTE gapped
      mains | inlet mains, to-gap open, gapped=60 | FILLING NOTE gapped
      mains | inlet mains, to-foot open | FILLING NOTE footed
      mains | inlet mains, to-foot open, footed=60 | BACKFLOW DANGER footed+inlet; FILLING NOTE footed
      mains | inlet mains, to-foot open, to-gap open, footed=60, gapped=100 | BACKFLOW DANGER footed+inlet; FILLING NOTE gapped; FILLING NOTE footed
      mains | inlet mains, to-foot open, cap-3 off | OPEN_TO_GROUND WARNING cap-3+footed; FILLING NOTE footed
      mains | inlet hose, to-foot open, footed=60 |
      mains | inlet open, to-foot open, footed=60 | OPEN_TO_GROUND WARNING inlet+footed
      mains | inlet outside, to-foot open, footed=60 | UNSAFE_WATER WARNING inlet+footed; TANK_RUNS_OUT WARNING inlet+footed
      mains | footed=124 |
      pumped | |
      pumped | pump on | PUMP_DRY DANGER pump
      pumped | pump on, suction open | PUMP_SHUT_IN WARNING pump
      pumped | pump on, suction open, delivery open | NO_AIR_OUT DANGER to
      pumped | pump on, suction open, delivery open, vent-to open | PUMP_DRY_SOON NOTE pump
      pumped | pump on, suction open, delivery open, vent-to open, cap off | OPEN_TO_GROUND WARNING cap+to; PUMP_DRY_SOON NOTE pump
      pumped | pump on, suction open, delivery open, vent-to open, to=110 | RUNS_OVER_SOON NOTE air-to; PUMP_DRY_SOON NOTE pump
      pumped | pump on, suction open, return open | PUMP_STIRS WARNING pump
      pumped | pump on, suction open, return open, delivery open, vent-to open | PUMP_STIRS NOTE pump
      pumped | pump on, suction open, delivery open, vent-to open, from=0 | PUMP_DRY DANGER pump
      samphire | jug pouring, filler open |
      samphire | foot-pump on, tap open | PUMP_DRY_SOON NOTE foot-pump
      samphire | foot-pump on, tap open, tank=0 | PUMP_DRY NOTE foot-pump
      samphire | drain-cap off, tank=20 | OPEN_TO_GROUND WARNING drain-cap+tank
      """
          .stripTrailing();
}
