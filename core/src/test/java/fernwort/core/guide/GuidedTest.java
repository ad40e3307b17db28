package fernwort.core.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.OnRecord;
import fernwort.core.demo.ReadyAnswers;
import fernwort.core.demo.ReadyRig;
import fernwort.core.describe.TankResize;
import fernwort.core.guide.answers.PumpAnswers;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Piece;
import fernwort.core.guide.answers.RigAnswers.Runs;
import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.guide.answers.RigAnswers.Tap;
import fernwort.core.guide.answers.RigAnswers.Use;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankAnswers.Drain;
import fernwort.core.guide.answers.TankAnswers.Fill;
import fernwort.core.guide.answers.TankAnswers.Size;
import fernwort.core.guide.answers.WasteParts;
import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Severity;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.rig.Vehicle;
import fernwort.core.tank.TankRoom;
import fernwort.core.ways.OpenWays;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Rigs made from answers: that of somebody with a tape measure, a trailer and a bus. */
class GuidedTest {

  static TankAnswers tank(String label, Contents contents, double litres, Fill... fills) {
    return new TankAnswers(
        label,
        label,
        contents,
        Optional.of(litres / 1000),
        Optional.empty(),
        false,
        new Spot(1, contents == Contents.FRESH ? 0 : 2),
        contents == Contents.FRESH ? 0.75 : 0.35,
        Set.of(fills),
        new Spot(1, 0),
        1.3,
        contents == Contents.FRESH ? 1.4 : 0.9,
        false,
        Drain.CAP);
  }

  /** A plain van: one tank over the wheel arch, a three-way valve before the pump. */
  static RigAnswers plainVan() {
    RigAnswers none = RigAnswers.of("Plain van");
    return new RigAnswers(
        none.name(),
        2,
        none.vehicle(),
        List.of(
            tank("Fresh", Contents.FRESH, 95, Fill.NECK, Fill.MAINS),
            tank("Gray", Contents.GRAY, 60)),
        RigAnswers.Mains.USUAL,
        List.of(Piece.THREE_WAY, Piece.STRAINER),
        none.selector(),
        new PumpAnswers(
            Pump.Type.DIAPHRAGM,
            new Spot(1, 1),
            0.85,
            10e-3 / 60,
            2.4e5,
            true,
            List.of(),
            PumpAnswers.Hot.NONE,
            0.01,
            false),
        List.of(
            new Tap(Use.SINK, new Spot(3, 2), 1.5, Runs.TANK),
            new Tap(Use.OUTSIDE, new Spot(0, 2), 1.0, Runs.GROUND)),
        none.waste(),
        new RigAnswers.Lows(true, false, TankAnswers.Drain.CAP),
        none.bores());
  }

  private static Plan.Trouble trouble(Plans plans, Jobs jobs, String id, State from) {
    Job job = jobs.byId(id).orElseThrow(() -> new AssertionError(id + " in " + ids(jobs)));
    return plans.plan(job, from).trouble().orElse(null);
  }

  private static List<String> ids(Jobs jobs) {
    return jobs.all().stream().map(Job::id).toList();
  }

  @Test
  void thePlainVanFillsRunsAndDrains() {
    Guided guided = Guided.of(plainVan());
    Network network = Network.of(guided.rig());
    Plans plans = Plans.of(network);
    Jobs jobs = Jobs.of(network);
    State empty = new State(guided.rig().atRest(), Map.of(), Slope.LEVEL);
    State full = empty.withVolume(PartId.of("fresh"), 0.08);
    assertThat(trouble(plans, jobs, "fill-fresh-hose-inlet", empty)).isNull();
    assertThat(trouble(plans, jobs, "pour-fresh-fresh-neck", empty)).isNull();
    assertThat(trouble(plans, jobs, "run-fresh", full)).isNull();
    assertThat(trouble(plans, jobs, "shed-fresh-fresh-drain-cap", full)).isNull();
    assertThat(
            trouble(
                plans, jobs, "empty-gray-gray-outlet", full.withVolume(PartId.of("gray"), 0.03)))
        .isNull();
    assertThat(jobs.cannot())
        .extracting(Jobs.Cannot::what)
        .containsExactlyInAnyOrder("Run the taps from mains water", "Heat water");
  }

  /** A trailer with two tanks on one three-way valve and a foot to pump with. */
  private static RigAnswers trailer() {
    RigAnswers none = RigAnswers.of("Trailer");
    TankAnswers first = tank("Near", Contents.FRESH, 40, Fill.NECK, Fill.JUG);
    TankAnswers second = tank("Far", Contents.FRESH, 40, Fill.NECK);
    return none.on("Trailer", 2, new RigAnswers.Van(Vehicle.Body.TRAILER, 3.5))
        .with(List.of(first, second))
        .drawing(
            List.of(Piece.THREE_WAY, Piece.STRAINER),
            new RigAnswers.Selector(RigAnswers.Third.OTHER_TANK, none.selector().positions()))
        .pumping(
            new PumpAnswers(
                Pump.Type.FOOT,
                new Spot(0, 1),
                0.7,
                4e-3 / 60,
                0.6e5,
                false,
                List.of(),
                PumpAnswers.Hot.NONE,
                0.01,
                false))
        .tapping(List.of(new Tap(Use.SINK, new Spot(0, 2), 1.1, Runs.GROUND)));
  }

  /** A bus with mains to tank and taps, filters, a heater, manifolds and a washroom. */
  private static RigAnswers bus() {
    RigAnswers none = RigAnswers.of("Bus");
    return none.on("Bus", 4, new RigAnswers.Van(Vehicle.Body.TRUCK, 9))
        .with(
            List.of(
                tank("Fresh", Contents.FRESH, 300, Fill.NECK, Fill.MAINS),
                tank("Gray", Contents.GRAY, 200)))
        .filledBy(new RigAnswers.Mains(new Spot(0, 0), 1, true, true, true, true))
        .drawing(List.of(Piece.SHUT_OFF, Piece.STRAINER), none.selector())
        .pumping(
            new PumpAnswers(
                Pump.Type.DIAPHRAGM,
                new Spot(1, 0),
                1.2,
                15e-3 / 60,
                3e5,
                true,
                List.of(Filter.Grade.SEDIMENT, Filter.Grade.CARBON),
                PumpAnswers.Hot.STORAGE,
                0.015,
                true))
        .tapping(
            List.of(
                new Tap(Use.SINK, new Spot(3, 2), 1.9, Runs.TANK),
                new Tap(Use.BASIN, new Spot(2, 2), 1.9, Runs.TANK),
                new Tap(Use.SHOWER, new Spot(2, 0), 2.4, Runs.TANK),
                new Tap(Use.TOILET, new Spot(2, 0), 1.5, Runs.TANK)))
        .running(new RigAnswers.Waste(Set.of(Use.BASIN, Use.SHOWER), true, WasteParts.USUAL))
        .low(new RigAnswers.Lows(true, true, TankAnswers.Drain.CAP), none.bores());
  }

  /** Taps on the mains, and no tank yet. */
  private static RigAnswers onMainsAlone() {
    return RigAnswers.of("On mains alone")
        .filledBy(new RigAnswers.Mains(new Spot(0, 2), 0.8, true, true, false, true))
        .tapping(List.of(new Tap(Use.BASIN, new Spot(2, 0), 1.4, Runs.GROUND)));
  }

  static State holding(Rig rig, double share) {
    Network network = Network.of(rig);
    State state = new State(rig.atRest(), Map.of(), Slope.LEVEL);
    for (Part tank : network.tanks()) {
      state = state.withVolume(tank.id(), share * network.room(tank.id()).capacity());
    }
    return state;
  }

  /** What cannot be planned, and why. */
  private static List<String> troubles(Rig rig) {
    Network network = Network.of(rig);
    Plans plans = Plans.of(network);
    State half = holding(rig, 0.5);
    return Jobs.of(network).all().stream()
        .map(job -> job.id() + ": " + plans.plan(job, half).trouble().map(Plan.Trouble::words))
        .filter(line -> !line.endsWith("Optional.empty"))
        .toList();
  }

  @Test
  void everyJobOfTheTrailerAndTheBusCanBePlanned() {
    // Its valve joins one tank at a time to the pump: they cannot run together, and that is said.
    assertThat(troubles(Guided.of(trailer()).rig()))
        .hasSize(1)
        .allMatch(t -> t.startsWith("run-together: "));
    assertThat(troubles(Guided.of(bus()).rig())).isEmpty();
    assertThat(troubles(Guided.of(plainVan()).rig())).isEmpty();
  }

  @Test
  void whatTheyShowAtRestIsNoDanger() {
    for (RigAnswers answers : List.of(plainVan(), trailer(), bus())) {
      Rig rig = Guided.of(answers).rig();
      Network network = Network.of(rig);
      State half = holding(rig, 0.5);
      Levels levels = Levels.of(network, half);
      assertThat(
              Hazards.of(network)
                  .warnings(half.setting(), levels, OpenWays.find(network, half.setting(), levels)))
          .as(answers.name())
          .filteredOn(w -> w.severity() != Severity.NOTE)
          .isEmpty();
    }
  }

  static Stream<RigAnswers> answers() {
    return Stream.of(
            Stream.of(plainVan(), trailer(), bus(), onMainsAlone()),
            Stream.of(
                    "jug",
                    "one-tank",
                    "pump-or-drain",
                    "main-and-low",
                    "shore-and-bucket",
                    "long-stay")
                .map(layout -> ReadyAnswers.of(layout, "Ready " + layout).orElseThrow()),
            LongStream.of(3, 5, 8, 13, 21).mapToObj(AnyAnswers::of))
        .flatMap(some -> some);
  }

  /** Every part and line that answers have become, where they are and what was guessed for them. */
  @ParameterizedTest
  @MethodSource("answers")
  void whatAnswersBecomeIsOnRecord(RigAnswers answers) {
    Guided guided = Guided.of(answers);
    List<String> told = new ArrayList<>(OnRecord.rig(guided.rig()));
    guided.ways().forEach(w -> told.add("way " + w));
    guided.guesses().forEach(g -> told.add("guess " + g.what() + ", for " + g.matters()));
    told.add("runs with " + OnRecord.tell(guided.running()));
    told.add("tanks " + OnRecord.tell(guided.tanks()));
    told.add("flow " + OnRecord.tell(guided.flow()));
    OnRecord.assertAsRead(OnRecord.file("guide", answers.name()), told);
  }

  @Test
  void aSecondPlanOfTheSameJobFromTheSameStateSaysTheSame() {
    Rig rig = Guided.of(bus()).rig();
    State half = holding(rig, 0.5);
    Plans plans = Plans.of(Network.of(rig));
    for (Job job : Jobs.of(Network.of(rig)).all()) {
      Plan first = plans.plan(job, half);
      assertThat(Plans.of(Network.of(rig)).plan(job, half).steps())
          .as(job.id())
          .isEqualTo(first.steps());
      assertThat(plans.plan(job, half).steps()).as(job.id()).isEqualTo(first.steps());
    }
  }

  @Test
  void readyLayoutsThatAreEnteredByQuestionsCanDoTheirJobs() {
    for (ReadyRig layout : ReadyRig.all()) {
      Rig rig = Guided.of(ReadyAnswers.of(layout.id(), "x").orElseThrow()).rig();
      // What the layout itself cannot do is said of this one, too; and water that a pump moves to
      // the other tank cannot be led back to be stirred.
      List<String> known =
          troubles(layout.rig()).stream().map(t -> t.substring(0, t.indexOf('-'))).toList();
      assertThat(troubles(rig))
          .as(layout.id())
          .allMatch(
              t -> known.stream().anyMatch(t::startsWith) || t.startsWith("stir-low-fresh: "));
    }
  }

  @Test
  void itsWaysAreSaidFromEndToEnd() {
    assertThat(Guided.of(plainVan()).ways())
        .extracting(Object::toString)
        .contains(
            "Fresh → three-way valve → strainer → pump",
            "Suction hose → three-way valve → pump",
            "Hose inlet → regulator → check valve → shut-off → Fresh",
            "Pump → accumulator → Sink, Outside shower",
            "Sink → trap → Gray",
            "Gray → dump valve → outlet with its cap");
  }

  @Test
  void litresAloneAreEnoughAndWhatIsGuessedIsSaid() {
    Guided guided = Guided.of(plainVan());
    TankRoom room = Network.of(guided.rig()).room(PartId.of("fresh"));
    assertThat(room.capacity()).isCloseTo(0.095, within(1e-4));
    assertThat(guided.guesses())
        .extracting(g -> g.what().toString())
        .anyMatch(w -> w.startsWith("Fresh:"))
        .anyMatch(w -> w.startsWith("The lengths of"));
  }

  /** A spot of the plan is larger than a tank: the second stands beside the first. */
  @Test
  void tanksOnOneSpotStandBesideEachOtherAndAreToldWhereThereIsNoRoom() {
    assertThat(overlaps(plainVan())).isEmpty();
    assertThat(overlaps(trailer())).isEmpty();
    TankAnswers near = trailer().tanks().getFirst();
    RigAnswers three = trailer().with(List.of(near, at(near, near.spot(), near.bottom() + 0.1)));
    Rig rig = Guided.of(three).rig();
    assertThat(overlaps(three)).isEmpty();
    assertThat(rig.tanks().map(t -> t.x() + " " + t.y()).distinct()).hasSize(2);
    Size wide = new Size(2.5, 1.8, 0.3);
    TankAnswers large = with(near, Optional.of(wide));
    assertThat(overlaps(three.with(List.of(large, at(large, large.spot(), large.bottom())))))
        .singleElement()
        .asString()
        .contains("in the same place");
  }

  private static TankAnswers with(TankAnswers t, Optional<Size> size) {
    return new TankAnswers(
        t.id(),
        t.label(),
        t.contents(),
        t.litres(),
        size,
        t.inside(),
        t.spot(),
        t.bottom(),
        t.fills(),
        t.neck(),
        t.neckHeight(),
        t.ventEnd(),
        t.ventRises(),
        t.drain());
  }

  private static List<Object> overlaps(RigAnswers answers) {
    return Guided.of(answers).guesses().stream()
        .<Object>map(Guess::what)
        .filter(what -> what.toString().contains("in the same place"))
        .toList();
  }

  private static TankAnswers at(TankAnswers tank, Spot spot, double bottom) {
    return new TankAnswers(
        "Other",
        "Other",
        tank.contents(),
        tank.litres(),
        tank.size(),
        tank.inside(),
        spot,
        bottom,
        Set.of(),
        spot,
        tank.neckHeight(),
        tank.ventEnd(),
        tank.ventRises(),
        tank.drain());
  }

  @Test
  void theTankThatAValveChoosesInsteadHasItsWayToo() {
    assertThat(Guided.of(trailer()).ways())
        .extracting(Object::toString)
        .contains("Near → three-way valve → strainer → pump", "Far → three-way valve → pump");
  }

  @Test
  void aTrapThatIsSharedHangsBelowTheLowestThatSharesIt() {
    Rig rig = Guided.of(bus()).rig();
    // The shower's tray lies on the floor, whatever its head is hung up at.
    assertThat(rig.part(PartId.of("basin-trap")).height()).isEqualTo(rig.vehicle().floor() + 0.07);
    assertThat(rig.part(PartId.of("sink-trap")).height()).isEqualTo(1.9 - 0.45);
  }

  @Test
  void whatLengthsMatterForTheFlowIsToldAsARangeOrNotAtAll() {
    RigAnswers narrow =
        plainVan().low(RigAnswers.Lows.USUAL, new RigAnswers.Bores(0.007, 0.03, 0.03, 0.01));
    assertThat(Guided.of(narrow).flow().orElseThrow().toString())
        .isEqualTo("Sink gives 4.2 L/min to 4.4 L/min");
    assertThat(Guided.of(trailer()).flow().orElseThrow().toString())
        .isEqualTo("Sink gives 2.1 L/min");
    assertThat(Guided.of(plainVan().tapping(List.of())).flow()).isEmpty();
    assertThat(Guided.of(plainVan().with(List.of())).flow()).isEmpty();
  }

  /** Whoever knows litres and a footprint gets the height that makes them so. */
  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void aSizeIsAsHighAsItsLitresMakeIt(boolean inside) {
    Size size = Size.holding(0.8, 0.4, 0.07, inside);
    assertThat(size.length()).isEqualTo(0.8);
    assertThat(size.width()).isEqualTo(0.4);
    TankSizes sizes = sizes(70, size, inside);
    assertThat(sizes.guess()).isEmpty();
    assertThat(sizes.wall()).isEqualTo(TankAnswers.USUAL_WALL);
    double walls = 2 * TankAnswers.USUAL_WALL;
    Size outside = sizes.outside();
    assertThat((outside.length() - walls) * (outside.width() - walls) * (outside.height() - walls))
        .isCloseTo(0.07, within(1e-9));
  }

  @Test
  void aVentEndsWhereItIsSaidToAndRisesBeforeThat() {
    TankAnswers low = plainVan().tanks().getFirst().vented(0.9, true);
    Rig rig = Guided.of(plainVan().with(List.of(low))).rig();
    assertThat(rig.part(PartId.of("fresh-vent")).height()).isEqualTo(0.9);
    double top = rig.part(PartId.of("fresh")).at(PortId.of("vent")).z();
    assertThat(rig.lines().getFirst().profile())
        .singleElement()
        .satisfies(p -> assertThat(p.height()).isCloseTo(top + 0.25, within(1e-9)));
  }

  @Test
  void aTankThatFillsTwoGivesThemOutletsThatStandApart() {
    TankAnswers near = trailer().tanks().getFirst();
    List<TankAnswers> tanks =
        List.of(
            near,
            tank("Left", Contents.FRESH, 30).filledFrom(Optional.of("Near")),
            tank("Right", Contents.FRESH, 30).filledFrom(Optional.of("Near")));
    Rig rig = Guided.of(trailer().with(tanks)).rig();
    Tank giving = (Tank) rig.part(PartId.of("near")).kind();
    double lengthwise = TankResize.length(giving);
    assertThat(giving.port(PortId.of("to-Left")).at().x())
        .isCloseTo(0.06 + (lengthwise - 0.12) / 3, within(1e-9));
    assertThat(giving.port(PortId.of("to-Right")).at().x())
        .isCloseTo(0.06 + 2 * (lengthwise - 0.12) / 3, within(1e-9));
  }

  @Test
  void everyWayBeginsAndEndsSomewhere() {
    assertThat(Guided.of(onMainsAlone()).ways())
        .extracting(Object::toString)
        .contains("The mains → Basin");
    for (long seed = 0; seed < 200; seed++) {
      assertThat(Guided.of(AnyAnswers.of(seed)).ways())
          .as("seed %d", seed)
          .extracting(Object::toString)
          .allMatch(way -> way.matches("\\S.* → .*\\S") && !way.contains("→  →"));
    }
  }

  @Test
  void whereNothingIsSaidNothingIsGuessed() {
    Guided nothing = Guided.of(RigAnswers.of("Nothing"));
    assertThat(nothing.guesses()).isEmpty();
    assertThat(nothing.ways()).isEmpty();
    assertThat(nothing.rig().parts()).isEmpty();
    assertThat(nothing.rig().places()).hasSize(1);
  }

  private static TankSizes sizes(double litres, Size size, boolean inside) {
    TankAnswers t = tank("T", Contents.FRESH, litres);
    return TankSizes.of(
        new TankAnswers(
            t.id(),
            t.label(),
            t.contents(),
            litres > 0 ? t.litres() : Optional.empty(),
            Optional.of(size),
            inside,
            t.spot(),
            t.bottom(),
            t.fills(),
            t.neck(),
            t.neckHeight(),
            t.ventEnd(),
            t.ventRises(),
            t.drain()),
        Guided.of(RigAnswers.of("Van")).rig().vehicle());
  }

  @Test
  void labelAndSizesAreHeldAgainstEachOther() {
    Size size = new Size(0.9, 0.4, 0.29);
    assertThat(sizes(0, size, false).guess()).isEmpty();
    assertThat(sizes(0, size, true).outside().length()).isCloseTo(0.91, within(1e-9));
    // 0.89 × 0.39 × 0.28 m are 97.2 L: a label of 97 L agrees, one of 94 L means a thicker wall.
    assertThat(sizes(97, size, false).wall()).isEqualTo(TankAnswers.USUAL_WALL);
    // Rounded corners and sumps make a label say a little less or more: it holds what it says.
    TankSizes label = sizes(75, new Size(0.8, 0.4, 0.24), false);
    assertThat(label.guess()).isEmpty();
    assertThat(
            (label.outside().length() - 0.01)
                * (label.outside().width() - 0.01)
                * (label.outside().height() - 0.01))
        .isCloseTo(0.075, within(1e-9));
    TankSizes thick = sizes(94, size, false);
    assertThat(thick.wall()).isBetween(0.006, 0.008);
    assertThat(thick.guess()).isEmpty();
    assertThat(sizes(40, size, false).guess().orElseThrow().what().toString())
        .contains("97 L")
        .contains("40 L")
        .contains("the sizes are used");
  }

  @Test
  void theValveJoinsWhatWasSaidOfEachOfItsPositions() {
    Rig rig = Guided.of(plainVan()).rig();
    ThreeWayValve valve = (ThreeWayValve) rig.part(PartId.of("tank-valve")).kind();
    assertThat(valve.stop(PositionId.of("left")).joins())
        .containsExactly(List.of(PortId.A, PortId.B));
    assertThat(valve.stop(PositionId.of("up")).joins()).isEmpty();
    assertThat(valve.stop(PositionId.of("right")).joins())
        .containsExactly(List.of(PortId.A, PortId.C));
  }
}
