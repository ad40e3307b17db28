package fernwort.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.Worked;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.Simulation;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Water that nothing on board can draw does not count. */
class DrawDownTest {

  @Test
  void whatLiesUnderThePumpsOnlyPickupIsNotToDraw() {
    Network network = Worked.rig("low-tank");
    State state = Worked.holding(network, "shelf=70, floor=60");
    assertThat(DrawDown.drawable(network, state, PartId.of("floor"))).isZero();
    // 70 L less what stands under the pickup of the upper tank.
    assertThat(DrawDown.drawable(network, state, PartId.of("shelf")))
        .isCloseTo(0.0661, within(1e-4));
  }

  @Test
  void aSiphonThatIsNotPrimedIsNotCountedOnAndARunDrawsWhatIsPromised() {
    Network network = Worked.rig("over-a-crest");
    State state =
        Worked.holding(network, "upper=95, lower=25")
            .with(PartId.of("cock"), PositionId.of("open"));
    double promised =
        DrawDown.drawable(network, state, PartId.of("upper"))
            + DrawDown.drawable(network, state, PartId.of("lower"));
    Simulation run = Simulation.start(network, state);
    run.set(PartId.of("tap"), PositionId.of("open"));
    run.runTo(9000);
    double drawn = 0.095 + 0.025 - volume(run, "upper") - volume(run, "lower");
    assertThat(promised).isCloseTo(drawn, within(1e-3));
  }

  private static double volume(Simulation run, String tank) {
    return run.moment().state().volume(PartId.of(tank));
  }

  static java.util.stream.Stream<Rig> rigs() {
    return Worked.shipped();
  }

  /** Nothing is drawn from below a tank's lowest outlet, and no more stays than it holds. */
  @ParameterizedTest
  @MethodSource("rigs")
  void whatStaysIsBetweenWhatLiesUnderTheOutletAndAll(Rig rig) {
    Network network = Network.of(rig);
    for (Part tank : rig.tanks(Contents.FRESH).toList()) {
      double stays = DrawDown.of(network, Slope.LEVEL).stranded(tank.id());
      assertThat(stays)
          .as(tank.label())
          .isGreaterThanOrEqualTo(network.figures(tank, Slope.LEVEL).stranded() - 1e-9)
          .isLessThanOrEqualTo(network.room(tank.id()).capacity());
    }
  }
}
