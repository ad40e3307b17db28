package fernwort.core.jobs.goal;

import fernwort.core.describe.RigEdit;
import fernwort.core.kind.Kind;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;

/** A rig whose pumps somebody has filled with water, so that they draw it up from farther below. */
public final class Primed {

  private Primed() {}

  /** Returns a rig as it is once every pump has been primed that can be; itself for none. */
  public static Network of(Network network) {
    Rig primed = network.rig();
    for (Part part : network.rig().parts()) {
      Kind filled = part.kind().primed();
      if (!filled.equals(part.kind())) {
        primed = RigEdit.of(primed).change(part.id(), p -> p.with(filled));
      }
    }
    return primed.equals(network.rig()) ? network : Network.of(primed);
  }
}
