package fernwort.core.network;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.Set;

/** What hangs on a port, whichever way water runs and however the handles stand. */
public final class Beyond {

  private Beyond() {}

  /**
   * Returns the parts that the lines from a port lead to, without going back through its own part,
   * and no further than to what gives, takes or moves water.
   *
   * @param part a part of the rig
   * @param port one of its ports
   * @return ids, the nearest first; empty when no line is joined there
   */
  public static Set<PartId> of(Rig rig, Part part, PortId port) {
    Walk walk = new Walk(rig, p -> !p.id().equals(part.id()) && !isEnd(p.kind()));
    Set<PartId> beyond = walk.parts(List.of(part.port(port)));
    beyond.remove(part.id());
    return beyond;
  }

  /** Tells whether a part gives, takes or moves water, rather than only passing it on. */
  public static boolean isEnd(Kind kind) {
    boolean sealed = kind.is(Purpose.CLOSES) && !kind.is(Purpose.CAP);
    return !kind.inLine().goesOn() && !kind.ports().isEmpty() && !sealed;
  }
}
