package fernwort.core.load;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Hitch;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.tank.TankFigures;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The smallest fill for a leg. */
class LightFillTest {

  private static final Rig TRUCK = DemoRig.all().getFirst().rig();
  private static final Network PLUMBING = Network.of(TRUCK);

  @Test
  void justWhatIsNeededCanBeDrawn() {
    LightFill fill = LightFill.of(PLUMBING, 0.05);
    double usable = 0;
    for (LightFill.Filled tank : fill.tanks()) {
      Tank kind = (Tank) TRUCK.part(tank.tank()).kind();
      TankFigures figures = TankFigures.of(kind, PLUMBING.room(tank.tank()), Slope.LEVEL);
      usable += tank.volume() - figures.stranded();
      assertThat(PLUMBING.room(tank.tank()).volumeBelow(tank.level(), Slope.LEVEL))
          .isCloseTo(tank.volume(), within(1e-9));
    }
    assertThat(usable).isCloseTo(0.05, within(1e-9));
    assertThat(fill.missing()).isZero();
  }

  @Test
  void noOtherOrderOfFillingKeepsMoreToSpare() {
    LightFill best = LightFill.of(PLUMBING, 0.07);
    List<PartId> fresh = TRUCK.tanks(Contents.FRESH).map(p -> p.id()).toList();
    for (PartId first : fresh) {
      Tank kind = (Tank) TRUCK.part(first).kind();
      TankFigures figures = TankFigures.of(kind, PLUMBING.room(first), Slope.LEVEL);
      if (figures.usable() >= 0.07) {
        double margin = Loads.of(PLUMBING, Map.of(first, 0.07 + figures.stranded())).margin();
        assertThat(best.loads().margin()).isGreaterThanOrEqualTo(margin - 1e-9);
      }
    }
  }

  @Test
  void whatDoesNotFitIsTold() {
    assertThat(LightFill.of(PLUMBING, 1.0).missing()).isBetween(0.7, 0.9);
  }

  @Test
  void aDrawbarThatWasWeighedCountsWithItsOwnLoad() {
    Rig trailer = DemoRig.all().get(1).rig();
    Loads weighed = Loads.of(Network.of(trailer), Map.of());
    assertThat(weighed.onFront()).isEqualTo(24);
    Hitch hitch = trailer.vehicle().hitch().orElseThrow();
    Hitch unknown = new Hitch(hitch.x(), hitch.lowest(), hitch.highest(), Optional.empty());
    Rig other =
        fernwort.core.describe.RigEdit.of(trailer)
            .vehicle(trailer.vehicle().standingOn(trailer.vehicle().axles(), Optional.of(unknown)));
    assertThat(Loads.of(Network.of(other), Map.of()).onFront()).isZero();
  }
}
