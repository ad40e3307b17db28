package fernwort.app.sim;

import fernwort.app.mqtt.BrokerAddress;
import fernwort.core.demo.DemoRig;
import fernwort.core.describe.RigEdit;
import fernwort.core.format.RigFormat;
import fernwort.core.id.PartId;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import fernwort.core.sim.SimulatedRig;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;

/** A simulated rig as a program of its own, beside Fernwort. */
public final class SimProgram {

  /** How full its fresh tanks are at the start (share); own choice. */
  private static final double FILLED = 0.6;

  private SimProgram() {}

  /**
   * Prepares a simulated rig.
   *
   * @param rig a demo rig's short name, or a file with a rig
   * @param broker where it speaks
   * @param speed how many times faster than life
   * @throws Refusal when there is no such rig
   */
  public static SimulatedDevice of(String rig, String broker, double speed) {
    Optional<DemoRig> demo = DemoRig.all().stream().filter(d -> d.id().equals(rig)).findFirst();
    Rig made = demo.map(DemoRig::rig).orElseGet(() -> read(Path.of(rig)));
    State state = demo.map(DemoRig::state).orElseGet(() -> filled(made));
    String id = demo.map(DemoRig::id).orElseGet(() -> RigEdit.freeId(made.name(), Set.of()));
    return new SimulatedDevice(
        id, new SimulatedRig(made, state, new Random()), BrokerAddress.of(broker), "", "", speed);
  }

  private static Rig read(Path file) {
    try {
      return new RigFormat().read(Files.readAllBytes(file));
    } catch (IOException e) {
      throw new Refusal(Says.THERE_IS_NO_RIG.filled(file), e);
    }
  }

  private static State filled(Rig rig) {
    Map<PartId, Double> volumes = new TreeMap<>();
    fernwort.core.network.Network network = fernwort.core.network.Network.of(rig);
    rig.tanks(fernwort.core.kind.tank.Contents.FRESH)
        .forEach(t -> volumes.put(t.id(), FILLED * network.room(t.id()).capacity()));
    return new State(rig.atRest(), volumes, Slope.LEVEL);
  }
}
