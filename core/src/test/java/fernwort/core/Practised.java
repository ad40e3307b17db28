package fernwort.core;

import fernwort.core.format.RigFormat;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;

/** Rigs as people have them, kept beside the tests as files. */
public final class Practised {

  private Practised() {}

  /** Returns the rig of this name. */
  public static Rig rig(String name) {
    return new RigFormat().read(text(name + ".json").getBytes(StandardCharsets.UTF_8));
  }

  /** Returns a rig from rest with every tank filled to a share (0 to 1). */
  public static State filled(Network network, double share) {
    Map<PartId, Double> volumes = new HashMap<>();
    network.tanks().forEach(t -> volumes.put(t.id(), share * network.room(t.id()).capacity()));
    return new State(network.rig().atRest(), volumes, Slope.LEVEL);
  }

  /** Returns the text of a file among them. */
  public static String text(String name) {
    try (InputStream in = Practised.class.getResourceAsStream("/practised/" + name)) {
      return new String(Objects.requireNonNull(in, name).readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
