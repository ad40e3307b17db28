package fernwort.core.guide;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.guide.answers.PumpAnswers;
import fernwort.core.guide.answers.PumpParts;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Runs;
import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.guide.answers.RigAnswers.Tap;
import fernwort.core.guide.answers.RigAnswers.Use;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.rig.Vehicle;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is asked of taps, heaters, tanks and axles becomes just that. */
class AskedOneByOneTest {

  private static RigAnswers warm(Optional<PumpAnswers.Heat> heat, Tap... taps) {
    PumpAnswers p = GuidedTest.plainVan().pump();
    return GuidedTest.plainVan()
        .pumping(
            new PumpAnswers(
                p.type(),
                p.spot(),
                p.height(),
                p.flow(),
                p.cutOut(),
                false,
                List.of(),
                PumpAnswers.Hot.STORAGE,
                0.01,
                false,
                heat,
                PumpParts.USUAL))
        .tapping(List.of(taps));
  }

  private static Tap tap(Use use, RigAnswers.Water water) {
    return new Tap(use, new Spot(2, 2), 1.4, Runs.TANK, Optional.of(water));
  }

  /** A heater makes no tap a mixer: each is what somebody said it is, the outside one too. */
  @Test
  void whatComesToATapIsWhatSomebodySaid() {
    Rig rig =
        Guided.of(
                warm(
                    Optional.empty(),
                    tap(Use.SINK, RigAnswers.Water.COLD),
                    tap(Use.BASIN, RigAnswers.Water.COLD_AND_HOT),
                    tap(Use.OUTSIDE, RigAnswers.Water.COLD_AND_HOT)))
            .rig();
    assertThat(rig.part(PartId.of("sink")).kind().ports()).doesNotContain(PortId.HOT);
    assertThat(rig.part(PartId.of("basin")).kind().ports()).contains(PortId.HOT);
    assertThat(rig.part(PartId.of("outside-shower")).kind().ports()).contains(PortId.HOT);
  }

  @Test
  void aHeaterStandsWhereItIsWithItsDrainAndItsBypass() {
    Tap sink = tap(Use.SINK, RigAnswers.Water.COLD_AND_HOT);
    PumpAnswers.Heat heat =
        new PumpAnswers.Heat(new Spot(3, 0), 0.9, PumpAnswers.HeaterDrain.VALVE, true);
    Guided made = Guided.of(warm(Optional.of(heat), sink));
    Part heater = made.rig().part(PartId.of("heater"));
    assertThat(heater.place().value()).isEqualTo("mid-front-left");
    assertThat(heater.height()).isEqualTo(0.9);
    assertThat(made.running())
        .containsEntry(PartId.of("heater-in"), PositionId.of("open"))
        .containsEntry(PartId.of("heater-bypass"), PositionId.of("shut"));
    assertThat(made.guesses()).noneMatch(g -> g.about() == Guess.About.HEATER);
    // Past the heater with its valves closed, hot water comes cold; with the drain open it runs
    // out.
    Hydraulics hydraulics = Hydraulics.of(Network.of(made.rig()));
    State running = GuidedTest.holding(made.rig(), 0.5);
    for (Map.Entry<PartId, PositionId> handle : made.running().entrySet()) {
      running = running.with(handle.getKey(), handle.getValue());
    }
    running = running.with(PartId.of("sink"), PositionId.of("hot"));
    assertThat(hydraulics.solve(running).fixture(PartId.of("sink"))).isPositive();
    State past =
        running
            .with(PartId.of("heater-in"), PositionId.of("shut"))
            .with(PartId.of("heater-out"), PositionId.of("shut"));
    assertThat(hydraulics.solve(past).fixture(PartId.of("sink"))).isZero();
    assertThat(
            hydraulics
                .solve(past.with(PartId.of("heater-bypass"), PositionId.of("open")))
                .fixture(PartId.of("sink")))
        .isPositive();
    assertThat(
            hydraulics
                .solve(running.with(PartId.of("heater-drain"), PositionId.of("open")))
                .ends()
                .get(PartId.of("heater-drain-tail")))
        .isPositive();
  }

  private static TankAnswers fresh(TankAnswers.Stands stands, double bottom) {
    TankAnswers t = GuidedTest.tank("T", Contents.FRESH, 60);
    return new TankAnswers(
            t.id(),
            t.label(),
            t.contents(),
            t.litres(),
            t.size(),
            false,
            t.spot(),
            bottom,
            t.fills(),
            t.neck(),
            t.neckHeight(),
            t.ventEnd(),
            t.ventRises(),
            t.drain())
        .standing(stands);
  }

  /**
   * Inside is over the floor and underneath below it, whatever floor such a vehicle usually has.
   */
  @ParameterizedTest
  @CsvSource({
    "VAN, INSIDE, 0.45",
    "TRUCK, INSIDE, 0.7",
    "VAN, UNDERNEATH, 0.6",
    "TRUCK, UNDERNEATH, 0.5"
  })
  void insideIsOverTheFloorAndUnderneathBelow(
      Vehicle.Body body, TankAnswers.Stands stands, double bottom) {
    RigAnswers answers =
        RigAnswers.of("T")
            .on("T", 2, new RigAnswers.Van(body, 6))
            .with(List.of(fresh(stands, bottom)));
    Rig rig = Guided.of(answers).rig();
    Part tank = rig.tanks().findFirst().orElseThrow();
    assertThat(tank.height() >= rig.vehicle().floor())
        .isEqualTo(stands == TankAnswers.Stands.INSIDE);
    assertThat(tank.place().value().endsWith("-under"))
        .isEqualTo(stands == TankAnswers.Stands.UNDERNEATH);
  }

  @Test
  void whatNobodyReadFromThePlateIsNotInventedAndTheWeightiestGuessComesFirst() {
    RigAnswers answers = GuidedTest.plainVan();
    Guided unread = Guided.of(answers);
    assertThat(unread.rig().vehicle().axles()).allMatch(a -> Double.isInfinite(a.bears()));
    assertThat(unread.guesses()).isSortedAccordingTo(Comparator.comparing(Guess::about));
    assertThat(unread.guesses()).extracting(Guess::about).contains(Guess.About.AXLES);
    RigAnswers.Van read =
        new RigAnswers.Van(
            Vehicle.Body.VAN,
            5.4,
            Optional.of(0.6),
            Optional.of(2000.0),
            Optional.of(1750.0),
            Optional.empty());
    Guided known = Guided.of(answers.on("V", 2, read));
    assertThat(known.rig().vehicle().axles())
        .extracting(Axle::limit)
        .containsExactly(2000.0, 1750.0);
    assertThat(known.rig().vehicle().floor()).isEqualTo(0.6);
    assertThat(known.guesses())
        .extracting(Guess::about)
        .doesNotContain(Guess.About.AXLES, Guess.About.FLOOR);
  }
}
