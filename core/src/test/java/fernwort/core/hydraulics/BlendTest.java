package fernwort.core.hydraulics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.Worked;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.line.MixingValve;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A mixing valve mixes to what it is set to, and a half-open valve throttles. */
class BlendTest {

  private static Network setTo(double kelvin) {
    Rig rig = Worked.rig("mixing-valve").rig();
    List<Part> parts =
        rig.parts().stream()
            .map(p ->
                p.kind() instanceof MixingValve m
                    ? p.with(new MixingValve(kelvin, m.crackingPressure()))
                    : p)
            .toList();
    return Network.of(
        new Rig(
            rig.name(), rig.note(), rig.vehicle(), rig.places(), parts, rig.lines(), rig.built()));
  }

  private static State showering(Network network, String heater) {
    return Worked.holding(network, "none=0")
        .with(PartId.of("inlet"), PositionId.of("mains"))
        .with(PartId.of("shower"), PositionId.of("open"))
        .with(PartId.of("heater"), PositionId.of(heater));
  }

  private static double hotShare(Network network, String heater) {
    Flows flows = Hydraulics.of(network).solve(showering(network, heater));
    return flows.line(LineId.of("l5")) / flows.line(LineId.of("l6"));
  }

  /** (T − 15)/(60 − 15). */
  @ParameterizedTest
  @ValueSource(doubles = {30, 38, 43, 48, 55})
  void itTakesItsShareOfHot(double celsius) {
    assertThat(hotShare(setTo(273.15 + celsius), "on"))
        .isCloseTo((celsius - 15) / (60 - 15), within(0.02));
  }

  @Test
  void withTheHeaterOffItIsOpenToTheHotSide() {
    assertThat(hotShare(setTo(311.15), "off")).isGreaterThan(0.95);
  }

  @Test
  void aNeedleValveHalfOpenThrottles() {
    Network network = Worked.rig("half-open");
    State open =
        Worked.holding(network, "tank=80")
            .with(PartId.of("cock"), PositionId.of("open"))
            .with(PartId.of("tap"), PositionId.of("open"));
    State half = open.with(PartId.of("cock"), PositionId.of("half"));
    Hydraulics hydraulics = Hydraulics.of(network);
    double share =
        hydraulics.solve(half).fixture(PartId.of("tap"))
            / hydraulics.solve(open).fixture(PartId.of("tap"));
    assertThat(share).isBetween(0.03, 0.9);
  }
}
