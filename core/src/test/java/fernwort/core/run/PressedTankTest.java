package fernwort.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Worked;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import org.junit.jupiter.api.Test;

/** A tank bears what it bears, whatever its vent. */
class PressedTankTest {

  private static Simulation filling(String rig, double litres) {
    Network network = Worked.rig(rig);
    State from =
        Worked.holding(network, "tank=" + litres)
            .with(PartId.of("inlet"), PositionId.of("mains"))
            .with(PartId.of("v"), PositionId.of("open"));
    return Simulation.start(network, from);
  }

  /** Its vent rises 1.21 m over the tank: 11.9 kPa against the 4 it bears. */
  @Test
  void aTankBulgesUnderTheWaterThatStandsInItsVent() {
    assertThat(filling("tall-vent", 90).runUntil(Event.Kind.BULGES, PartId.of("tank"), 600))
        .isPresent();
  }

  /** It stands 0.41 m over the ceiling: no more than 4 kPa and what the flow loses. */
  @Test
  void aVentAtTheVeryCeilingLetsTheAirOut() {
    Simulation run = filling("vent-at-the-ceiling", 60);
    run.runTo(600);
    assertThat(run.moment().air().getOrDefault(PartId.of("tank"), 0.0)).isBetween(-500.0, 6500.0);
  }
}
