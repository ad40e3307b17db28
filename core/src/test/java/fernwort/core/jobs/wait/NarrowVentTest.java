package fernwort.core.jobs.wait;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.describe.Fittings;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.Simulation;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A tank of 124 L that a hose fills faster than its vent lets air out. */
class NarrowVentTest {

  private static final PartId TANK = PartId.of("tank");

  /** Bore of a vent that lets the air out, but not the water that follows (mm). */
  private static final double VENTING = 6;

  private static Kind tank() {
    return Fittings.tank(
        Contents.FRESH,
        new Shape.Box(0.5, 0.5, 0.5),
        0,
        Fittings.stick(0.1, 0.1),
        Fittings.port(PortId.of("fill"), TankPort.Use.FILL, 0.1, 0.1, 0.45),
        Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, 0.48));
  }

  private static Rig rig(double ventBore) {
    return CaseRigs.rig()
        .part("inlet", "Hose inlet", 0, 0, 0.8, Fittings.inlet(3))
        .part("tank", "Tank", 0, 0, 0.5, tank())
        .part("air", "Vent", 0.1, 0.1, 1.2, Fittings.end(OpenEnd.Role.VENT))
        .line("fill", "Fill line", "inlet.out > tank.fill", 12, 2, Material.PEX, 0)
        .line("vent", "Vent line", "tank.vent > air.in", ventBore, 2, Material.PVC_HOSE, 0)
        .build();
  }

  /** With the hose on and its tap open, the tank as full as given (m³). */
  private static Simulation filling(Network network, double held) {
    State from = new State(network.rig().atRest(), Map.of(TANK, held), Slope.LEVEL);
    return Simulation.start(
        network,
        Hydraulics.of(network),
        from.with(PartId.of("inlet"), PositionId.of("mains")),
        Conditions.ORDINARY);
  }

  private static NarrowVent vent(Network network) {
    return new NarrowVent(network, Hydraulics.of(network));
  }

  private static Optional<Double> bulges(Simulation start) {
    return start.copy().runUntil(Event.Kind.BULGES, TANK, start.time() + 3600);
  }

  @Test
  void aFillStopsInGoodTimeAtWholeLitres() {
    Network network = Network.of(rig(VENTING));
    Simulation start = filling(network, 0.02);
    double bulges = bulges(start).orElseThrow();
    assertThat(bulges).isGreaterThan(60);

    Job.Until early = vent(network).inTime(TANK, start, bulges).orElseThrow();
    assertThat(early.what()).isEqualTo(Job.Until.What.MARK);
    assertThat(early.part()).isEqualTo(TANK);
    assertThat(early.mark() * 1000).isCloseTo(Math.rint(early.mark() * 1000), within(1e-9));
    Simulation run = start.copy();
    run.runTo(bulges - 15);
    double latest = run.moment().state().volume(TANK);
    assertThat(early.mark()).isGreaterThan(0.022).isLessThanOrEqualTo(latest);
    assertThat(early.mark())
        .as("no more than a minute early, and a litre")
        .isGreaterThan(
            latest - 45 * start.moment().flows().supplies().get(PartId.of("inlet")) - 1e-3);
  }

  @Test
  void aFillThatIsNotWorthwhileHasNoMark() {
    Network network = Network.of(rig(VENTING));
    Simulation start = filling(network, 0.02);
    assertThat(vent(network).inTime(TANK, start, start.time() + 15)).isEmpty();
    assertThat(vent(network).inTime(TANK, start, start.time() + 17)).isEmpty();
  }

  @Test
  void theTapIsOpenedAsFarAsTheVentBears() {
    Network network = Network.of(rig(3));
    Simulation start = filling(network, 0.02);
    assertThat(bulges(start)).isPresent();

    NarrowVent.Slow slow = vent(network).slowly(TANK, start).orElseThrow();
    double all = start.moment().flows().supplies().get(PartId.of("inlet"));
    assertThat(slow.flow()).isPositive().isLessThan(all);
    Simulation run = slow.start().copy();
    double full = run.runUntil(Event.Kind.FULL, TANK, run.time() + 6 * 3600).orElseThrow();
    assertThat(run.moment().state().volume(TANK)).isGreaterThan(0.1);
    assertThat(bulges(slow.start()).filter(at -> at < full)).isEmpty();
    double took = full - slow.start().time();
    assertThat((run.moment().state().volume(TANK) - 0.02) / took)
        .as("about as much comes as it says")
        .isCloseTo(slow.flow(), within(0.25 * slow.flow()));
  }

  /** The fastest of those that a jug times well. */
  @Test
  void aWideVentBearsTwelveLitresAMinute() {
    Network network = Network.of(rig(19));
    Simulation start = filling(network, 0.02);
    assertThat(vent(network).slowly(TANK, start))
        .hasValueSatisfying(slow -> assertThat(slow.flow()).isCloseTo(0.012 / 60, within(1e-9)));
  }
}
