package fernwort.core.jobs.goal;

import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Connections;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Where gray water leaves by a cap and hose, and which tanks a valve can hold back from there. */
public final class Dumps {

  private final Network network;
  private final Rig rig;

  private Dumps(Network network) {
    this.network = network;
    rig = network.rig();
  }

  /** Returns the dump outlets of a rig. */
  public static Dumps of(Network network) {
    return new Dumps(network);
  }

  /** Returns the ends with a cap. */
  public List<Part> ends() {
    return rig.parts().stream().filter(p -> p.kind().is(Purpose.DUMPS)).toList();
  }

  /** Returns the ends that no gray water comes to with every valve shut. */
  public Set<PartId> parted() {
    Connections shut = Connections.of(network, allShut());
    Set<PartId> parted = new LinkedHashSet<>();
    for (Part end : ends()) {
      boolean joined =
          rig.tanks(Contents.GRAY).anyMatch(gray -> route(shut, gray, end).isPresent());
      if (!joined) {
        parted.add(end.id());
      }
    }
    return parted;
  }

  /** Returns that every gray tank is parted from every end that a valve can part it from. */
  public List<Condition> held() {
    Connections shut = Connections.of(network, allShut());
    Connections free = Connections.withHandlesFree(network);
    List<Condition> held = new ArrayList<>();
    for (Part end : ends()) {
      rig.tanks(Contents.GRAY)
          .filter(gray -> route(free, gray, end).isPresent() && route(shut, gray, end).isEmpty())
          .forEach(gray -> held.add(new Condition.Parted(gray.id(), end.id())));
    }
    return held;
  }

  private static Optional<List<PartId>> route(Connections in, Part from, Part to) {
    return in.route(from.id(), p -> false, p -> p.equals(to));
  }

  private Setting allShut() {
    return Uncovered.turning(rig, rig.atRest());
  }
}
