package fernwort.core.bench;

import static fernwort.core.hydraulics.CaseRigs.rig;
import static fernwort.core.hydraulics.CaseRigs.tank;
import static fernwort.core.hydraulics.CaseRigs.vented;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.Practised;
import fernwort.core.demo.DemoRig;
import fernwort.core.describe.Fittings;
import fernwort.core.flow.Fluid;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.mistake.Slips;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.review.LayoutReview;
import fernwort.core.rig.Line;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.TimedJug;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Fittings, vents, drains, jugs and brim-full tanks on the bench. */
class BenchTest {

  private static final double LITRES_A_MINUTE = 1e-3 / 60;

  private static final Network TRUCK = Network.of(DemoRig.all().getFirst().rig());
  private static final State NOW = DemoRig.all().getFirst().state();

  @Test
  void aNarrowFittingCostsWhatBordaAndCarnotSay() {
    double flow = 10 * LITRES_A_MINUTE;
    NarrowFitting two = NarrowFitting.of(0.013, 0.009, flow, 2);
    double beta = Math.pow(9 / 13.0, 2);
    double speed = flow / (Math.PI / 4 * 0.009 * 0.009);
    double each = (0.5 * (1 - beta) + Math.pow(1 - beta, 2)) * Fluid.WATER.density() / 2;
    assertThat(two.takes()).isCloseTo(2 * each * speed * speed, within(0.02 * two.takes()));
    assertThat(two.asLine()).isCloseTo(two.takes() / two.metre(), within(1e-9));
    assertThat(NarrowFitting.of(0.013, 0.013, flow, 2).takes()).isLessThan(1);
  }

  @Test
  void aFittingWiderThanItsLineOrWithoutFlowIsRefused() {
    assertThatThrownBy(() -> NarrowFitting.of(0.013, 0.02, 1e-4, 1))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("narrower");
    assertThatThrownBy(() -> NarrowFitting.of(0.013, 0.009, 0, 1)).hasMessageContaining("flow");
  }

  @Test
  void aVentHoldsFromSomeBoreOnAndNeverWhereItsRiseAloneIsTooMuch() {
    List<VentWidth> vents = VentWidth.of(2, 0.5, 20 * LITRES_A_MINUTE, 1e4);
    assertThat(vents).extracting(VentWidth::bore).isSorted();
    List<VentWidth.Verdict> verdicts = vents.stream().map(VentWidth::verdict).toList();
    int first = verdicts.indexOf(VentWidth.Verdict.HOLDS);
    assertThat(verdicts.subList(0, first)).isNotEmpty().doesNotContain(VentWidth.Verdict.HOLDS);
    assertThat(verdicts.subList(first, verdicts.size())).containsOnly(VentWidth.Verdict.HOLDS);
    assertThat(VentWidth.of(2, 1.2, 20 * LITRES_A_MINUTE, 1e4))
        .extracting(VentWidth::verdict)
        .doesNotContain(VentWidth.Verdict.HOLDS);
    assertThat(VentWidth.of(2, 0.5, 40 * LITRES_A_MINUTE, 100).getFirst().verdict())
        .isEqualTo(VentWidth.Verdict.TOO_NARROW);
  }

  @Test
  void theVerdictOnAJugFollowsItsShareOfWhatIsExpected() {
    double expected = against(60).expected();
    assertThat(expected).isPositive();
    Map<Double, JugAgainstModel.Verdict> verdicts =
        Map.of(
            0.49, JugAgainstModel.Verdict.NEARLY_SHUT,
            0.51, JugAgainstModel.Verdict.LESS,
            0.79, JugAgainstModel.Verdict.LESS,
            0.81, JugAgainstModel.Verdict.AS_EXPECTED,
            1.24, JugAgainstModel.Verdict.AS_EXPECTED,
            1.26, JugAgainstModel.Verdict.MORE);
    verdicts.forEach((share, verdict) -> {
      JugAgainstModel jug = against(5e-3 / (share * expected));
      assertThat(jug.share()).isCloseTo(share, within(1e-6));
      assertThat(jug.verdict()).as("share %s", share).isEqualTo(verdict);
      assertThat(jug.pressure()).isPresent();
    });
  }

  private static JugAgainstModel against(double seconds) {
    return JugAgainstModel.of(TRUCK, NOW, PartId.of("sink"), TimedJug.of(5e-3, List.of(seconds)));
  }

  @Test
  void whereNothingIsExpectedAJugSaysSo() {
    State shut = NOW.with(PartId.of("tank-selector"), PositionId.of("shut"));
    JugAgainstModel jug =
        JugAgainstModel.of(TRUCK, shut, PartId.of("sink"), TimedJug.of(5e-3, List.of(60.0)));
    assertThat(jug.verdict()).isEqualTo(JugAgainstModel.Verdict.NOTHING_EXPECTED);
  }

  @Test
  void everyWasteLineIsJudgedByItsFallThenItsBore() {
    for (WasteLine line : WasteLine.of(TRUCK)) {
      boolean falls = line.run().fall() > 0;
      boolean steep = line.run().gradient() >= WasteLine.LEAST_GRADIENT;
      WasteLine.Verdict verdict =
          !falls
              ? WasteLine.Verdict.DOES_NOT_FALL
              : !steep
                  ? WasteLine.Verdict.TOO_FLAT
                  : line.halfFull() < line.rated()
                      ? WasteLine.Verdict.TOO_NARROW
                      : WasteLine.Verdict.GOOD;
      assertThat(line.verdict()).as(line.run().line().label()).isEqualTo(verdict);
    }
    assertThat(WasteLine.of(TRUCK).stream().map(l -> l.run().fixture()).collect(Collectors.toSet()))
        .contains(PartId.of("sink"), PartId.of("shower"));
  }

  @Test
  void aTankRunsOutSoonerThroughAWiderLineAndKeepsWhatIsBelowItsDrain() {
    DrainedTank narrow = drained(0.010);
    DrainedTank wide = drained(0.025);
    assertThat(narrow.seconds()).isGreaterThan(3 * wide.seconds());
    assertThat(wide.first()).isGreaterThan(3 * narrow.first());
    assertThat(wide.stays()).isCloseTo(narrow.stays(), within(2e-4)).isLessThan(5e-3);
    // Water leaves slower as the level falls: it takes longer than at the first flow, by up to
    // twice.
    double held = NOW.volume(PartId.of("gray")) - wide.stays();
    assertThat(wide.seconds()).isBetween(held / wide.first(), 3 * held / wide.first());
  }

  private static DrainedTank drained(double bore) {
    return DrainedTank.of(TRUCK, NOW, PartId.of("gray"), new DrainedTank.DrainLine(bore, 0.5, 0.2));
  }

  @Test
  void everyTankIsLeftBrimFullByItselfAndLosesNoMoreThanItHolds() {
    List<BrimFull> tanks = BrimFull.of(TRUCK, NOW);
    assertThat(tanks)
        .extracting(BrimFull::tank)
        .containsExactly(PartId.of("main"), PartId.of("low"), PartId.of("gray"));
    for (BrimFull tank : tanks) {
      assertThat(tank.lost()).isBetween(0.0, TRUCK.room(tank.tank()).capacity());
      assertThat(tank.losesNothing()).isEqualTo(tank.lost() < 1e-5);
      assertThat(tank.isToTheEnd()).isTrue();
    }
  }

  /**
   * A vented tank, 1 by 0.5 by 0.45 m, whose overflow leaves at 0.2 m, rises to a crest and falls.
   */
  private static Network overflowing(double crest) {
    return Network.of(
        vented(rig().part("tank", "Tank", 0, 0, 1, tank()), PartId.of("tank"), 1)
            .part("crest", "Crest", 0, 0, crest, new Tee())
            .part("tail", "Tail", 0, 0, 0.6, Fittings.end(OpenEnd.Role.OVERFLOW))
            .part("plug", "Plug", 0, 0, crest + 0.1, new Plug(false))
            .line("over", "Overflow", "tank.high > crest.a", 19, 0.3, Line.Material.PEX, 1)
            .line("down", "Down", "crest.b > tail.in", 19, 1, Line.Material.PEX, 1)
            .line("up", "Up", "crest.c > plug.in", 19, 0.1, Line.Material.PEX, 0.5)
            .build());
  }

  private static BrimFull brimFull(Network network) {
    State empty = new State(network.rig().atRest(), Map.of(), Slope.LEVEL);
    return BrimFull.of(network, empty).getFirst();
  }

  @Test
  void aCrestBelowTheBrimSiphonsDownToItsPortAndOneAboveItLosesNothing() {
    BrimFull low = brimFull(overflowing(1.3));
    assertThat(low.siphons()).isTrue();
    assertThat(low.losesNothing()).isFalse();
    double capacity = overflowing(1.3).room(PartId.of("tank")).capacity();
    assertThat(low.lost()).isCloseTo(capacity - 2e-4 - 0.25 * 0.2, within(2e-3));
    assertThat(low.isToTheEnd()).isTrue();
    BrimFull high = brimFull(overflowing(1.6));
    assertThat(high.siphons()).isFalse();
    assertThat(high.losesNothing()).isTrue();
    assertThat(high.lost()).isZero();
  }

  /**
   * One law of the siphon that sucks its tank in: what follows a fill that nobody ends, that
   * mistake, the calculator and the review of the layout all say that it may run on.
   */
  @Test
  void everybodySaysOfATankThatItsSiphonSucksInThatItMayRunOn() {
    Network trailer = Network.of(Practised.rig("siphoning"));
    State open =
        new State(
            trailer.rig().atRest().with(PartId.of("travel-valve"), PositionId.of("open")),
            Map.of(PartId.of("tank"), 0.14),
            Slope.LEVEL);
    Plans plans = Plans.of(trailer);
    Plan fill = plans.plan(Jobs.of(trailer).byId("fill-tank-inlet").orElseThrow(), open);
    Stream<String> then =
        fill.steps().stream()
            .filter(Step.Wait.class::isInstance)
            .flatMap(s -> ((Step.Wait) s).then().stream())
            .map(t -> t.words().toString());
    Stream<String> mistakes =
        Slips.of(trailer, plans).of(fill.job(), open).stream().map(s -> s.leads().toString());
    Stream<String> review = LayoutReview.of(trailer).stream().map(f -> f.cost().toString());
    for (Stream<String> said : List.of(then, mistakes, review)) {
      assertThat(said).anyMatch(s -> s.contains("if the walls of Tank fold, the siphon goes on"));
    }
    BrimFull tank = BrimFull.of(trailer, open).getFirst();
    assertThat(tank.folds()).isPresent();
    assertThat(tank.folds().getAsDouble()).isGreaterThan(0.1);
  }

  @Test
  void wasteThatRisesLiesFlatOrIsNarrowIsSaidToBe() {
    assertThat(waste(1.0, 1.05, 1, 32)).isEqualTo(WasteLine.Verdict.DOES_NOT_FALL);
    assertThat(waste(1.0, 1.0, 1, 32)).isEqualTo(WasteLine.Verdict.DOES_NOT_FALL);
    assertThat(waste(1.0, 0.985, 1, 32)).isEqualTo(WasteLine.Verdict.TOO_FLAT);
    assertThat(waste(1.0, 0.97, 1, 10)).isEqualTo(WasteLine.Verdict.TOO_NARROW);
    assertThat(waste(1.0, 0.97, 1, 32)).isEqualTo(WasteLine.Verdict.GOOD);
  }

  @Test
  void aLineThatDropsAsFarAsItIsLongIsSteep() {
    assertThat(wasteLine(1.0, 0.5, 0.5, 32).isSteep()).isTrue();
    assertThat(wasteLine(1.0, 0.51, 0.5, 32).isSteep()).isFalse();
  }

  private static WasteLine.Verdict waste(double from, double to, double length, double bore) {
    return wasteLine(from, to, length, bore).verdict();
  }

  /** A sink whose waste runs through one line, between two heights, to an open end. */
  private static WasteLine wasteLine(double from, double to, double length, double bore) {
    Network network =
        Network.of(
            rig()
                .part("sink", "Sink", 0, 0, from, Fittings.fixture(Fixture.Type.TAP, true, 6))
                .part("end", "End", 0, 0, to, Fittings.end(OpenEnd.Role.DRAIN))
                .line("waste", "Waste", "sink.waste > end.in", bore, length, Line.Material.PEX, 1)
                .build());
    List<WasteLine> lines = WasteLine.of(network);
    assertThat(lines).hasSize(1);
    return lines.getFirst();
  }

  @Test
  void aTankThatNothingRunsOutOfIsRefusedByItsName() {
    Network closed =
        Network.of(
            rig()
                .part(
                    "can",
                    "Can",
                    0,
                    0,
                    1,
                    Fittings.tank(
                        Contents.FRESH,
                        new Shape.Box(0.5, 0.4, 0.3),
                        0,
                        new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0),
                        Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, 0.3)))
                .build());
    State state = new State(closed.rig().atRest(), Map.of(PartId.of("can"), 0.02), Slope.LEVEL);
    assertThatThrownBy(() ->
            DrainedTank.of(
                closed, state, PartId.of("can"), new DrainedTank.DrainLine(0.02, 0.5, 0.2)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Can has neither drain nor outlet");
  }
}
