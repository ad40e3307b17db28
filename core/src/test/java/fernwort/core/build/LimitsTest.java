package fernwort.core.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.bench.JugAgainstModel;
import fernwort.core.build.check.ModelFit;
import fernwort.core.build.drill.Penetration;
import fernwort.core.build.joints.Adapter;
import fernwort.core.build.joints.Adapters;
import fernwort.core.build.joints.BuyList;
import fernwort.core.build.joints.EndFinding;
import fernwort.core.build.joints.JointCheck;
import fernwort.core.build.joints.JointEnds;
import fernwort.core.build.joints.Mating;
import fernwort.core.build.mount.Hanging;
import fernwort.core.build.mount.UsualBuild;
import fernwort.core.build.remove.TakeApart;
import fernwort.core.describe.Fittings;
import fernwort.core.describe.RigEdit;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Connection.Plastic;
import fernwort.core.kind.Connection.Standard;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Shop;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.line.Accumulator;
import fernwort.core.kind.line.AirAdmittanceValve;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.LeakTray;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.machine.Macerator;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.rig.TankSupport;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Where a verdict about the build turns, to the hair, and what is asked of which kind. */
class LimitsTest {

  private static final PortRef AT = new PortRef(PartId.of("it"), PortId.IN);

  private static Line line(Material material) {
    return new Line(
        LineId.of("l"),
        "L",
        AT,
        new PortRef(PartId.of("to"), PortId.IN),
        0.013,
        1,
        material,
        1,
        List.of());
  }

  @ParameterizedTest
  @CsvSource({
    "0, NOTHING",
    "0.0099, NOTHING",
    "0.0101, TOWEL",
    "0.3, TOWEL",
    "0.301, BUCKET",
    "8, BUCKET",
    "8.01, EMPTY_FIRST",
  })
  void whatIsHeldUnderAJointGoesByWhatComes(double litres, TakeApart.Catch under) {
    TakeApart.Undo undo =
        new TakeApart.Undo(
            1, line(Material.PEX), AT, PlaceId.of("box"), litres / 1000, PartId.of("a clamp"));
    assertThat(undo.under()).isEqualTo(under);
  }

  private static Hanging.Load load(double used, int fasteners) {
    TankSupport support =
        new TankSupport(PartId.of("tank"), TankSupport.Type.STRAP, 0, 0.05, fasteners, 2000, 1500);
    return new Hanging.Load(support, 0, 0, 0, 0, 0, 0, used, 0);
  }

  @Test
  void fastenersHoldUpToWhatTheyBear() {
    assertThat(load(1, 2).holds()).isTrue();
    assertThat(load(1.0001, 2).holds()).isFalse();
    assertThat(load(1, 2).fastenersNeeded()).isEqualTo(2);
    assertThat(load(1.0001, 2).fastenersNeeded()).isEqualTo(3);
    assertThat(load(1.5, 2).fastenersNeeded()).isEqualTo(3);
    // A rounding more is no fastener more.
    assertThat(load(1 + 1e-12, 2).fastenersNeeded()).isEqualTo(2);
  }

  private static Hanging hung(double centre, TankSupport... supports) {
    return Hanging.of(50, centre, 0, 0, 0.4, List.of(supports), Hanging.Moving.USUAL);
  }

  private static TankSupport rail(double along, int bolts, double pull, double shear) {
    return new TankSupport(
        PartId.of("tank"), TankSupport.Type.RAIL, along, 0.05, bolts, pull, shear);
  }

  @Test
  void aTankTipsOnceItsCentreIsOutside() {
    TankSupport rear = rail(0.2, 2, 2500, 1800);
    TankSupport front = rail(0.6, 2, 2500, 1800);
    assertThat(hung(0.2, rear, front).tips()).isFalse();
    assertThat(hung(0.6, rear, front).tips()).isFalse();
    assertThat(hung(0.174, rear, front).tips()).isTrue();
    assertThat(hung(0.626, rear, front).tips()).isTrue();
  }

  @Test
  void whatHasNoBoltOrBearsNothingDoesNotHold() {
    TankSupport loose = rail(0.2, 0, 2500, 1800);
    TankSupport tight = rail(0.6, 2, 2500, 1800);
    Hanging one = hung(0.4, loose, tight);
    assertThat(one.loads().getFirst().pull()).isInfinite();
    assertThat(one.loads().getFirst().holds()).isFalse();
    // All that pushes sideways is on the two bolts of the other.
    double weight = 50 * 9.80665;
    assertThat(one.loads().getLast().shear())
        .isCloseTo(weight * Hanging.Moving.USUAL.shear() / 2, within(1e-9));
    assertThat(one.loads().getLast().moving())
        .isCloseTo(weight / 2 * Hanging.Moving.USUAL.down(), within(1e-9));
    assertThat(hung(0.4, loose, rail(0.6, 0, 2500, 1800)).loads().getFirst().shear()).isZero();
    assertThat(hung(0.4, rail(0.2, 2, 0, 1800), tight).loads().getFirst().holds()).isFalse();
    assertThat(hung(0.4, rail(0.2, 2, 2500, 0), tight).loads().getFirst().holds()).isFalse();
    assertThatThrownBy(
            () -> Hanging.of(0, 0.4, 0, 0, 0.4, List.of(loose, tight), Hanging.Moving.USUAL))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("more than nothing");
  }

  private static Rig bed(double bottom, double length, double width, double height) {
    Kind tank =
        SmallVan.tank(
            new Shape.Box(length, width, height),
            Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.4, 0, 0.05));
    return RigBuilder.named("Bed")
        .vehicle(SmallVan.VAN)
        .place("bed", "Bed", "reach in", 0, 0, 1)
        .part("tank", "Tank", 1, 0, bottom, tank)
        .build();
  }

  @ParameterizedTest
  @CsvSource({
    // Inside on the floor and above, two shelves; under it three trays.
    "0.6, 0.82, 0.42, 0.32, SHELF",
    "0.28, 0.82, 0.42, 0.32, BOX",
    "0.59, 0.82, 0.42, 0.32, BOX",
    "0.28, 1.62, 0.82, 0.52, BOX",
    "0.7, 1.62, 0.82, 0.62, SHELF",
    "0.7, 3.02, 1.52, 1.02, SHELF",
  })
  void aTankIsWellHungByTheFewestBoltsThatHold(
      double bottom, double length, double width, double height, TankSupport.Type type) {
    List<TankSupport> supports =
        UsualBuild.on(bed(bottom, length, width, height)).built().supports(PartId.of("tank"));
    double inside = length - 0.02;
    double[] along =
        type == TankSupport.Type.BOX
            ? new double[] {0.15 * inside, 0.5 * inside, 0.85 * inside}
            : new double[] {0.2 * inside, 0.8 * inside};
    assertThat(supports).hasSize(along.length).allMatch(s -> s.type() == type);
    for (int i = 0; i < along.length; i++) {
      assertThat(supports.get(i).along()).isCloseTo(along[i], within(1e-9));
    }
    // 1,060 kg for each cubic metre, itself with it.
    double mass = 1060 * inside * (width - 0.02) * (height - 0.02);
    int fewest = 2;
    while (fewest < 8 && !holds(mass, inside, width - 0.02, type, along, fewest)) {
      fewest++;
    }
    assertThat(supports.getFirst().fasteners()).isEqualTo(fewest);
  }

  private static boolean holds(
      double mass, double inside, double width, TankSupport.Type type, double[] along, int bolts) {
    List<TankSupport> supports = new ArrayList<>();
    for (double at : along) {
      supports.add(new TankSupport(PartId.of("tank"), type, at, 0.2, bolts, 2000, 1500));
    }
    return Hanging.of(mass, inside / 2, 0, 0, width, supports, Hanging.Moving.USUAL)
        .loads()
        .stream()
        .allMatch(l -> l.used() <= 1);
  }

  static Stream<Arguments> kinds() {
    return Stream.of(
        Arguments.of(SmallVan.tank(Fittings.port(PortId.IN, TankPort.Use.FEED, 0, 0, 0)), true),
        Arguments.of(Fittings.pressurePump(10, 2.5), true),
        Arguments.of(new Macerator(1e-4, 1e4), true),
        Arguments.of(Fittings.filter(Filter.Grade.CARBON, 10, 0.2), true),
        Arguments.of(new Strainer(), true),
        Arguments.of(Fittings.regulator(2.8), true),
        Arguments.of(new Accumulator(1e5), true),
        Arguments.of(new CheckValve(2e3), false),
        Arguments.of(new AirAdmittanceValve(), false),
        Arguments.of(new Manifold(2), false),
        Arguments.of(new DrainTrap(), false),
        Arguments.of(Fittings.end(OpenEnd.Role.DRAIN), false),
        Arguments.of(new Plug(true), false));
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void onlyWhatAnApplianceHasIsAskedFor(Kind kind, boolean asked) {
    Rig rig =
        RigBuilder.named("One")
            .vehicle(SmallVan.VAN)
            .place("box", "Box", "open", 1, 0, 1)
            .part("it", "It", 1, 0, 1, kind)
            .part("to", "To", 1.2, 0, 1, new Plug(true))
            .line("l", "L", "it.in > to.in", 12, 0.3, Material.PEX, 1)
            .build();
    JointEnds at = JointEnds.of(rig).getFirst();
    assertThat(at.isAsked(rig)).isEqualTo(asked);
    JointEnds known = new JointEnds(at.line(), at.at(), at.port(), at.end(), false, true);
    assertThat(known.isAsked(rig)).isFalse();
  }

  @Test
  void everyFormThatMayBeChosenIsOnTheList() {
    List<Connection.Form> forms = Adapters.forms();
    assertThat(forms).extracting(Adapter::words).isSorted().doesNotHaveDuplicates();
    assertThat(forms)
        .extracting(Adapter::words)
        .containsAll(
            Stream.of(
                    new Connection.TubeSocket(0.015, true),
                    new Connection.Grommet(0.015),
                    new Connection.TubeEnd(0.015),
                    new Connection.HoseEnd(0.013),
                    new Connection.Bulkhead(Standard.NPT, "1/4"),
                    new Connection.Bulkhead(Standard.BSP_PARALLEL, "2"),
                    new Connection.Socket(Plastic.POLYETHYLENE, 0.05),
                    new Connection.Spigot(Plastic.ABS, 0.015),
                    new Connection.Open())
                .map(Adapter::words)
                .toList());
  }

  private static Connection.Form tail(int n) {
    return new Connection.HoseTail(0.01 * n);
  }

  private static Connection.Form hose(int n) {
    return new Connection.HoseEnd(0.01 * n);
  }

  @Test
  void aChainOfFourIsBuiltAndOneOfFiveIsNot() {
    List<Adapter> chain = new ArrayList<>();
    for (int n = 1; n <= 5; n++) {
      chain.add(new Adapter(tail(n), hose(n + 1)));
    }
    assertThat(new Adapters(chain).between(hose(1), tail(5)))
        .hasValueSatisfying(c -> assertThat(c).hasSize(4));
    assertThat(new Adapters(chain).between(hose(1), tail(6))).isEmpty();
  }

  @Test
  void ofTwoChainsAsShortTheWiderIsTaken() {
    Adapter narrow = new Adapter(tail(5), new Connection.TubeSocket(0.01, false));
    Adapter wide = new Adapter(tail(5), new Connection.TubeSocket(0.028, false));
    Adapter fromNarrow = new Adapter(new Connection.TubeEnd(0.01), hose(4));
    Adapter fromWide = new Adapter(new Connection.TubeEnd(0.028), hose(4));
    assertThat(wide.bore()).isGreaterThan(narrow.bore());
    assertThat(new Adapters(List.of(narrow, fromNarrow, fromWide, wide)).between(hose(5), tail(4)))
        .contains(List.of(wide, fromWide));
  }

  @Test
  void whatLiesRoundAHoleIsNamedTheNearestFirst() {
    Rig rig =
        RigBuilder.named("Shore")
            .vehicle(SmallVan.VAN)
            .place("side", "Side", "outside", 1, 1, 0.8)
            .part("inlet", "Inlet", 1, 1, 0.8, Fittings.inlet(3))
            .part("a", "Far", 1.3, 1.2, 0.7, new Plug(true))
            .part("b", "Middle", 0.8, 0.9, 0.6, new Plug(true))
            .part("c", "Near", 1, 0.9, 0.9, new Plug(true))
            .part("d", "Beyond", 1.41, 1, 0.9, new Plug(true))
            .part("e", "Below", 1, 1.1, 0.59, new Plug(true))
            .build();
    Penetration hole = Penetration.of(rig).getFirst();
    assertThat(hole.inside()).containsExactly("Near", "Middle", "Far");
    assertThat(hole.outside()).containsExactly("Below");
  }

  private static Map<PartId, Double> flows(Rig rig, double losses, double pump) {
    Network network = Network.of(ModelFit.with(rig, losses, pump));
    Hydraulics hydraulics = Hydraulics.of(network);
    Map<PartId, Double> flows = new TreeMap<>();
    for (PartId tap : List.of(PartId.of("sink"), PartId.of("rinse"))) {
      State alone = JugAgainstModel.alone(network, state(rig), tap);
      flows.put(tap, hydraulics.solve(alone).fixture(tap));
    }
    return flows;
  }

  private static State state(Rig rig) {
    return new State(
        rig.atRest().with(PartId.of("pump"), PositionId.of("on")),
        Map.of(PartId.of("tank"), 0.08),
        Slope.LEVEL);
  }

  private static double off(Map<PartId, Double> flows, Map<PartId, Double> timed) {
    return timed.entrySet().stream()
        .mapToDouble(t -> Math.pow(Math.log(t.getValue() / flows.get(t.getKey())), 2))
        .average()
        .orElseThrow();
  }

  @Test
  void theRangeOfAFitIsWhatAJugDoesNotTellApart() {
    Rig rig = SmallVan.rig();
    Map<PartId, Double> timed = new TreeMap<>(flows(rig, 3, 1));
    timed.replaceAll((tap, q) -> tap.equals(PartId.of("sink")) ? 1.02 * q : 0.99 * q);
    ModelFit fit = ModelFit.of(Network.of(rig), state(rig), timed);
    // Every step from an eighth to eight times, a forty-eighth of the way each.
    Map<Double, Double> tried = new TreeMap<>();
    for (int i = 0; i <= 48; i++) {
      double losses = 0.125 * Math.pow(64, i / 48.0);
      tried.put(losses, off(flows(rig, losses, 1), timed));
    }
    double best = tried.values().stream().mapToDouble(e -> e).min().orElseThrow();
    List<Double> asGood =
        tried.entrySet().stream()
            .filter(e -> e.getValue() <= best + 0.05 * 0.05 / 2)
            .map(Map.Entry::getKey)
            .toList();
    assertThat(fit.off()).isCloseTo(Math.sqrt(best), within(1e-6));
    assertThat(fit.losses().low()).isCloseTo(asGood.getFirst(), within(1e-6));
    assertThat(fit.losses().high()).isCloseTo(asGood.getLast(), within(1e-6));
    assertThat(fit.losses().times()).isBetween(asGood.getFirst(), asGood.getLast());
    assertThat(fit.pump()).isEqualTo(new ModelFit.Factor(1, 1, 1));
    assertThat(fit.offBefore()).isCloseTo(Math.sqrt(off(flows(rig, 1, 1), timed)), within(1e-6));
    flows(rig, fit.losses().times(), 1)
        .forEach((tap, q) -> assertThat(fit.flows().get(tap)).isCloseTo(q, within(1e-9)));
  }

  @Test
  void aFitChangesLossesAndSupplyPumpsAndNothingElse() {
    Rig fitted = ModelFit.with(SmallVan.rig(), 2, 1.5);
    for (Line line : fitted.lines()) {
      Line before =
          SmallVan.rig().lines().stream()
              .filter(l -> l.id().equals(line.id()))
              .findFirst()
              .orElseThrow();
      assertThat(line.minorLoss()).isCloseTo(2 * before.minorLoss(), within(1e-12));
    }
    Pump pump = (Pump) fitted.part(PartId.of("pump")).kind();
    Pump was = (Pump) SmallVan.rig().part(PartId.of("pump")).kind();
    assertThat(pump.freeFlow()).isCloseTo(1.5 * was.freeFlow(), within(1e-12));
    Rig moved =
        RigEdit.of(SmallVan.rig())
            .change(PartId.of("pump"), p -> p.with(Fittings.circulationPump(5, 0.2)));
    assertThat(ModelFit.with(moved, 1, 1.5).part(PartId.of("pump")))
        .isEqualTo(moved.part(PartId.of("pump")));
  }

  @Test
  void aTapFromWhichNothingRunsIsNamed() {
    Rig rig = SmallVan.rig();
    State off = new State(rig.atRest(), Map.of(PartId.of("tank"), 0.08), Slope.LEVEL);
    assertThatThrownBy(() -> ModelFit.of(Network.of(rig), off, Map.of(PartId.of("sink"), 0.0)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Sink");
  }

  static Stream<Arguments> bought() {
    return Stream.of(
        Arguments.of(new LeakTray(0.002, true), "leak tray with contact: It"),
        Arguments.of(new LeakTray(0.002, false), "leak tray: It"),
        Arguments.of(new PortableContainer(0.01, true), "It"),
        Arguments.of(new AirAdmittanceValve(), "It"),
        Arguments.of(new Macerator(1e-4, 1e4), "It"),
        Arguments.of(new Accumulator(1e5), "It"),
        Arguments.of(new Plug(true), "plug, as its line"),
        Arguments.of(Fittings.end(OpenEnd.Role.VENT), "insect screen for a vent"),
        Arguments.of(new GravityFiller(), "It"));
  }

  @ParameterizedTest
  @MethodSource("bought")
  void whatNoLineLeadsToYetIsBoughtAllTheSame(Kind kind, String what) {
    Rig rig =
        RigBuilder.named("One")
            .vehicle(SmallVan.VAN)
            .place("box", "Box", "open", 1, 0, 1)
            .part("it", "It", 1, 0, 1, kind)
            .build();
    assertThat(BuyList.of(rig, List.of()))
        .singleElement()
        .satisfies(i -> {
          assertThat(i.what()).isEqualTo(what);
          assertThat(i.all()).isEqualTo(1);
          assertThat(i.places()).isEqualTo(Map.of("Box", 1));
        });
  }

  @Test
  void shopsAreNamedAndAGaugeNeedsNoPlug() {
    assertThat(Shop.WATER_ON_BOARD.title()).isEqualTo("Water on board");
    assertThat(Shop.PLUMBING.title()).isEqualTo("Plumbing");
    Rig rig =
        RigBuilder.named("One")
            .vehicle(SmallVan.VAN)
            .place("box", "Box", "open", 1, 0, 1)
            .part(
                "it",
                "It",
                1,
                0,
                1,
                SmallVan.tank(
                    Fittings.port(PortId.of("gauge"), TankPort.Use.GAUGE, 0.1, 0, 0.1),
                    Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.4, 0, 0.05)))
            .build();
    assertThat(BuyList.of(rig, List.of()))
        .extracting(BuyList.Item::what, BuyList.Item::needed)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple("Tank: It", 1),
            org.assertj.core.groups.Tuple.tuple("plug for an opening", 1));
  }

  private static EndFinding.Code tail(double hose, double tail) {
    return JointCheck.code(new Connection.HoseEnd(hose), new Connection.HoseTail(tail));
  }

  @Test
  void aTailIsLooseWarmedOnOrTooLarge() {
    assertThat(tail(0.013, 0.012)).isEqualTo(EndFinding.Code.TAIL_SMALL);
    assertThat(tail(0.010, 0.011)).isEqualTo(EndFinding.Code.TAIL_WARMED);
    assertThat(tail(0.010, 0.01 * Mating.WARMED)).isEqualTo(EndFinding.Code.TAIL_WARMED);
    assertThat(tail(0.010, 0.016)).isEqualTo(EndFinding.Code.TAIL_LARGE);
  }
}
