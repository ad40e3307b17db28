package fernwort.core.build.check;

import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * One way of putting a rig together wrongly: two ends of lines are at each other's ports.
 *
 * @param one the port that the first line's end belongs to
 * @param other the port that the other's belongs to
 * @param turned whether that is a part turned round: both are its only two
 */
record Mistake(PortRef one, PortRef other, boolean turned) {

  /** Returns every swap of two ends among joints; a part with two ends turned round is one. */
  static List<Mistake> among(Network network, List<PortRef> joints) {
    List<Mistake> mistakes = new ArrayList<>();
    Set<PortRef> seen = new HashSet<>();
    for (PortRef one : joints) {
      seen.add(one);
      for (PortRef other : joints) {
        if (!seen.contains(other)) {
          boolean turned =
              one.part().equals(other.part())
                  && network.rig().part(one.part()).kind().ports().size() == 2;
          mistakes.add(new Mistake(one, other, turned));
        }
      }
    }
    return mistakes;
  }

  /** Joins the ports the wrong way, or back the right way again. */
  void swap(Network network, int[] across) {
    int a = network.vertex(one);
    int b = network.vertex(other);
    int farOfA = across[a];
    int farOfB = across[b];
    if (farOfA == b) {
      return;
    }
    across[a] = farOfB;
    across[b] = farOfA;
    if (farOfA >= 0) {
      across[farOfA] = b;
    }
    if (farOfB >= 0) {
      across[farOfB] = a;
    }
  }

  /** Returns it in words. */
  Message words(Network network) {
    Part part = network.rig().part(one.part());
    if (turned) {
      return Says.IS_THE_WRONG_WAY_ROUND.with(part.label());
    }
    return Says.THE_ENDS_OF_AND_ARE_SWAPPED.with(
        line(network, one),
        line(network, other),
        part.label(),
        network.rig().part(other.part()).label());
  }

  private static String line(Network network, PortRef at) {
    return network.rig().lines().get(network.lineAt(at)).label();
  }
}
