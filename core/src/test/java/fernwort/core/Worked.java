package fernwort.core;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.format.RigFormat;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;

/** Small rigs of which it is known, by a sum, what must come out. */
public final class Worked {

  private Worked() {}

  /** Returns the rig of this name. */
  public static Network rig(String name) {
    try (InputStream in = Worked.class.getResourceAsStream("/worked/" + name + ".json")) {
      return Network.of(new RigFormat().read(Objects.requireNonNull(in, name).readAllBytes()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Returns the demo rigs and the ready layouts. */
  public static Stream<Rig> shipped() {
    return Stream.concat(
        DemoRig.all().stream().map(DemoRig::rig), ReadyRig.all().stream().map(ReadyRig::rig));
  }

  /** Returns a rig at rest whose tanks hold so many litres, given as "tank=40, gray=10". */
  public static State holding(Network network, String litres) {
    Map<PartId, Double> volumes = new HashMap<>();
    for (String tank : litres.split(", ")) {
      String[] two = tank.split("=");
      volumes.put(PartId.of(two[0]), Double.parseDouble(two[1]) / 1000);
    }
    return new State(network.rig().atRest(), volumes, Slope.LEVEL);
  }
}
