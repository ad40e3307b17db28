package fernwort.core.jobs.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.hazard.LoadCheck;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Step;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is let out of full tanks before a drive, and what is told of loads. */
class BeforeDrivingTest {

  private static final DemoRig TRUCK = DemoRig.called("marginalia");
  private static final Network NETWORK = Network.of(TRUCK.rig());
  private static final PartId MAIN = PartId.of("main");

  private static double top() {
    return NETWORK.figures(TRUCK.rig().part(MAIN), TRUCK.state().slope()).full();
  }

  private static State holding(double volume) {
    return TRUCK.state().withVolume(MAIN, volume).withVolume(PartId.of("low"), 0);
  }

  @ParameterizedTest
  @CsvSource({"0, 2.482", "0.005, 1.861", "0.0195, 1"})
  void aFullTankGetsAFiftiethOfRoom(double below, double litres) {
    List<Step.Wait> steps = new BeforeDriving(NETWORK, holding(top() * (1 - below))).lettingOut();
    assertThat(steps).hasSize(1);
    Step.Wait only = steps.getFirst();
    assertThat(only.until()).isEqualTo(new Job.Until(Job.Until.What.LET_OUT, MAIN));
    assertThat(only.moved()).isCloseTo(litres / 1000, within(2e-6));
    assertThat(only.levels().get(MAIN)).isCloseTo(top() * (1 - below) - only.moved(), within(1e-9));
  }

  @Test
  void aTankWithRoomIsLeftAsItIs() {
    assertThat(new BeforeDriving(NETWORK, holding(top() * 0.97)).lettingOut()).isEmpty();
  }

  /** The truck so light that its water is too much for it, and leans on its left. */
  private static Rig overloaded() {
    Rig rig = TRUCK.rig();
    List<Axle> axles =
        rig.vehicle().axles().stream().map(a -> new Axle(a.label(), a.x(), 100, 100)).toList();
    return new Rig(
        rig.name(),
        rig.note(),
        rig.vehicle().standingOn(axles, rig.vehicle().hitch()),
        rig.places(),
        rig.parts().stream().map(BeforeDrivingTest::onTheLeft).toList(),
        rig.lines(),
        rig.built());
  }

  private static Part onTheLeft(Part p) {
    return p.kind().is(Purpose.HOLDS)
        ? new Part(p.id(), p.label(), p.place(), p.x(), 0.6, p.height(), p.volume(), p.kind())
        : p;
  }

  @Test
  void anAxleThatCarriesTooMuchIsToldAndALeanIsNot() {
    Network network = Network.of(overloaded());
    assertThat(LoadCheck.of(network, holding(top()).volumes()))
        .extracting(Warning::severity)
        .contains(Severity.DANGER, Severity.NOTE);
    assertThat(new BeforeDriving(network, holding(top())).loads())
        .isNotEmpty()
        .allMatch(m -> m.toString().contains("carries"));
  }

  @Test
  void whatIsNotTooHeavyIsNotTold() {
    assertThat(new BeforeDriving(NETWORK, holding(top())).loads()).isEmpty();
  }
}
