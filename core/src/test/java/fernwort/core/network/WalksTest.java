package fernwort.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.describe.Fittings;
import fernwort.core.flow.Fluid;
import fernwort.core.flow.Pipe;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.line.Accumulator;
import fernwort.core.kind.line.AirAdmittanceValve;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.LeakTray;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Macerator;
import fernwort.core.rig.Line;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.streams.LineService;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Walks along the lines of a cabin: tank, pump, tee, heater, sink, gray trap, a spare branch. */
class WalksTest {

  private static final Rig RIG =
      CaseRigs.vented(CaseRigs.rig(), PartId.of("tank"), 1.0)
          .part("tank", "Tank", 0, 0, 1.0, CaseRigs.tank())
          .part("pump", "Pump", 0.5, 0, 0.8, Fittings.pressurePump(10, 2.5))
          .part("tee", "Tee", 1, 0, 0.7, new Tee())
          .part("boiler", "Boiler", 1, 1, 0.7, new Heater(Heater.Type.STORAGE, true, 0))
          .part("mixer", "Mixer", 2, 0, 1.2, Fittings.fixture(Fixture.Type.MIXER, false, 6))
          .part("trap", "Trap", 2, 0, 0.9, new DrainTrap())
          .part("out", "Out", 2, 0, 0.4, Fittings.end(OpenEnd.Role.DRAIN))
          .part("hose", "Hose", 0, 1, 0.9, Fittings.inlet(0))
          .part("valve", "Valve", 0.5, 1, 0.9, Fittings.twoWay(90))
          .part("stop", "Stop", 0.7, 1, 0.9, new Plug(false))
          .line("feed", "Feed", "tank.low > pump.in", 12, 0.6, Material.PVC_HOSE, 2)
          .line("main", "Main", "pump.out > tee.a", 12, 0.6, Material.PEX, 1)
          .line("cold", "Cold", "tee.b > mixer.cold", 12, 1.2, Material.PEX, 1)
          .line("warm", "To the boiler", "tee.c > boiler.cold", 16, 1.1, Material.PEX, 1.5)
          .line("hot", "Hot", "boiler.hot > mixer.hot", 12, 1.3, Material.STAINLESS, 1)
          .line("waste", "Waste", "mixer.waste > trap.in", 25, 0.4, Material.RIGID_PVC, 1)
          .line("fall", "Fall", "trap.out > out.in", 25, 0.6, Material.RIGID_PVC, 1)
          .line("shore", "Shore", "hose.out > valve.a", 12, 0.6, Material.PVC_HOSE, 1)
          .line("spare", "Spare", "valve.b > stop.in", 12, 0.3, Material.PVC_HOSE, 1)
          .build();

  @Test
  void aWalkGoesOnThroughWhatItMayPassAndNoFurther() {
    Walk walk = new Walk(RIG, p -> p.kind() instanceof Tee);
    assertThat(walk.lines(List.of(RIG.part(PartId.of("pump")).port(PortId.OUT))))
        .containsExactly(LineId.of("main"), LineId.of("cold"), LineId.of("warm"));
    assertThat(walk.parts(List.of(RIG.part(PartId.of("pump")).port(PortId.OUT))))
        .containsExactly(
            PartId.of("tee"), PartId.of("pump"), PartId.of("mixer"), PartId.of("boiler"));
    assertThat(walk.lines(List.of(RIG.part(PartId.of("tank")).port(PortId.of("high"))))).isEmpty();
    Walk nothing = new Walk(RIG, p -> false);
    assertThat(nothing.lines(List.of(RIG.part(PartId.of("pump")).port(PortId.OUT))))
        .containsExactly(LineId.of("main"));
    // From the other end it comes to where the line began.
    assertThat(nothing.parts(List.of(RIG.part(PartId.of("tee")).port(PortId.A))))
        .containsExactly(PartId.of("pump"));
    Walk everything = new Walk(RIG, p -> true);
    assertThat(everything.lines(List.of(RIG.part(PartId.of("trap")).port(PortId.IN)))).hasSize(8);
  }

  @Test
  void beyondAPortLiesWhatItsLinesLeadToUpToWhatTakesOrGivesWater() {
    assertThat(Beyond.of(RIG, RIG.part(PartId.of("pump")), PortId.OUT))
        .containsExactly(PartId.of("tee"), PartId.of("mixer"), PartId.of("boiler"));
    assertThat(Beyond.of(RIG, RIG.part(PartId.of("pump")), PortId.IN))
        .containsExactly(PartId.of("tank"));
    assertThat(Beyond.of(RIG, RIG.part(PartId.of("mixer")), PortId.WASTE))
        .containsExactly(PartId.of("trap"), PartId.of("out"));
    assertThat(Beyond.of(RIG, RIG.part(PartId.of("hose")), PortId.OUT))
        .containsExactly(PartId.of("valve"), PartId.of("stop"));
    assertThat(Beyond.of(RIG, RIG.part(PartId.of("tank")), PortId.of("high"))).isEmpty();
  }

  @Test
  void whatIsAnEndGivesTakesOrMovesWater() {
    List<Kind> ends =
        List.of(
            CaseRigs.tank(),
            Fittings.fixture(Fixture.Type.TAP, false, 6),
            Fittings.end(OpenEnd.Role.VENT),
            Fittings.inlet(3),
            new GravityFiller(),
            new PortableContainer(0.01, true),
            new Macerator(1e-4, 1e4),
            Fittings.footPump(4, 1),
            new AirAdmittanceValve(),
            new Heater(Heater.Type.INSTANT, false, 0),
            new Accumulator(1e5),
            new Plug(true));
    List<Kind> passed =
        List.of(
            new Plug(false),
            Fittings.twoWay(90),
            Fittings.check(),
            Fittings.regulator(2),
            new Strainer(),
            Fittings.filter(Filter.Grade.CARBON, 5, 0.5),
            new Tee(),
            new Manifold(3),
            new DrainTrap(),
            new LeakTray(0.005, true));
    assertThat(ends).allMatch(Beyond::isEnd);
    assertThat(passed).noneMatch(Beyond::isEnd);
  }

  @Test
  void eachLineCarriesWhatTheLayoutIsMadeFor() {
    assertThat(LineService.of(RIG))
        .isEqualTo(
            Map.ofEntries(
                Map.entry(LineId.of("tank-vent"), LineService.Stream.AIR),
                Map.entry(LineId.of("feed"), LineService.Stream.FRESH),
                Map.entry(LineId.of("main"), LineService.Stream.FRESH),
                Map.entry(LineId.of("cold"), LineService.Stream.FRESH),
                Map.entry(LineId.of("warm"), LineService.Stream.FRESH),
                Map.entry(LineId.of("hot"), LineService.Stream.HOT),
                Map.entry(LineId.of("waste"), LineService.Stream.GRAY),
                Map.entry(LineId.of("fall"), LineService.Stream.GRAY),
                // An inlet without pressure draws from outside; behind the valve nobody knows.
                Map.entry(LineId.of("shore"), LineService.Stream.OUTSIDE),
                Map.entry(LineId.of("spare"), LineService.Stream.FRESH)));
  }

  @Test
  void aLineLosesMoreWhereItOpensIntoAWiderPart() {
    LinePipes pipes = new LinePipes(RIG, RIG.lines());
    int main = index(LineId.of("main"));
    int warm = index(LineId.of("warm"));
    // The tee is as wide as its 16 mm line: 1 - (12/16)² = 0.4375 where the main opens into it.
    Pipe into = pipes.pipe(main, Fluid.WATER);
    assertThat(into.forward()).isCloseTo(1 + 0.4375 * 0.4375, within(1e-12));
    assertThat(into.backward()).isCloseTo(1 + 0.4375 / 2, within(1e-12));
    // The widest line loses nothing there, and no line does at a pump, a tank or a heater.
    assertThat(pipes.pipe(warm, Fluid.WATER).forward()).isEqualTo(1.5);
    assertThat(pipes.pipe(warm, Fluid.WATER).backward()).isEqualTo(1.5);
    assertThat(pipes.pipe(index(LineId.of("feed")), Fluid.WATER).forward()).isEqualTo(2);
    Pipe same = new Pipe(0.012, 0.6, 0, into.forward(), into.backward(), Fluid.WATER);
    assertThat(into.loss(1e-5)).isEqualTo(same.loss(1e-5));
  }

  @Test
  void aLineRunsFullFromAFroudeNumberOfOne() {
    LinePipes pipes = new LinePipes(RIG, RIG.lines());
    // 12 mm: 1.131e-4 m² · √(9.80665 · 0.012) m/s = 0.0388 L/s.
    assertThat(pipes.froude(index(LineId.of("main")), 3.8797e-5)).isCloseTo(1, within(1e-3));
    assertThat(pipes.froude(index(LineId.of("main")), -2 * 3.8797e-5)).isCloseTo(2, within(2e-3));
    assertThat(pipes.primes()).isEqualTo(1);
    assertThat(pipes.primingEarly().primes()).isEqualTo(0.31);
    int main = index(LineId.of("main"));
    assertThat(pipes.primingEarly().pipe(main, Fluid.WATER).loss(1e-4))
        .isEqualTo(pipes.pipe(main, Fluid.WATER).loss(1e-4));
  }

  @ParameterizedTest
  @EnumSource(Material.class)
  void wallsAreSmoothAndTwoOfThemAreLessSo(Material material) {
    boolean rougher = material == Material.STAINLESS || material == Material.SILICONE_HOSE;
    assertThat(material.roughness()).isEqualTo(rougher ? 3e-6 : 1.5e-6);
  }

  private static int index(LineId line) {
    return RIG.lines().stream().map(Line::id).toList().indexOf(line);
  }
}
