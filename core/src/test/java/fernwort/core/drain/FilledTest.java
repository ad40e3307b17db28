package fernwort.core.drain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.Practised;
import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How the lines of a rig in use are filled, before frost or draining. */
class FilledTest {

  private static List<Network> rigs() {
    List<Rig> rigs = new ArrayList<>();
    DemoRig.all().forEach(d -> rigs.add(d.rig()));
    ReadyRig.all().forEach(r -> rigs.add(r.rig()));
    rigs.add(Practised.rig("flatbed"));
    return rigs.stream().map(Network::of).toList();
  }

  /** A cap at the end of a filler's hose keeps nothing in it that can run on into the tank. */
  @Test
  void aFillersHoseIsEmptyAboveTheLevelOfItsTank() {
    int seen = 0;
    for (Network network : rigs()) {
      for (double share : List.of(0.1, 0.5, 0.9)) {
        State state = Practised.filled(network, share);
        Levels levels = Levels.of(network, state);
        Wintering filled = Filled.of(network, state);
        for (Line line : network.rig().lines()) {
          boolean hose =
              network.rig().part(line.from().part()).kind().is(Purpose.POURED_INTO)
                  && network.rig().part(line.to().part()).kind().is(Purpose.HOLDS);
          if (hose && line.profile().isEmpty()) {
            seen++;
            double low = levels.height(line.to());
            double high = levels.height(line.from());
            double wet = Math.clamp((levels.surface(line.to().part()) - low) / (high - low), 0, 1);
            assertThat(filled.wetness().volume(line))
                .as(network.rig().name() + ", " + line.label())
                .isCloseTo(wet * line.volume(), within(1e-9));
          }
        }
      }
    }
    assertThat(seen).isPositive();
  }
}
