package fernwort.core.run.water;

import fernwort.core.hydraulics.Flows;
import fernwort.core.id.PartId;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** What is left in the portable containers that are poured from. */
public final class Jugs {

  /** A container with less in it is poured out (m³). */
  private static final double DROP = 2e-6;

  private final Map<PartId, Double> left = new TreeMap<>();

  /** Begins with all jugs full. */
  public Jugs(Rig rig) {
    rig.parts().forEach(this::fill);
  }

  /** Makes a copy that goes on by itself. */
  public Jugs(Jugs other) {
    left.putAll(other.left);
  }

  /** Fills a part anew, when it is a container. */
  public void fill(Part part) {
    if (part.kind() instanceof PortableContainer jug) {
      left.put(part.id(), jug.capacity());
    }
  }

  /** Takes out what flows for a time (s). */
  public void pour(Flows flows, double seconds) {
    flows
        .supplies()
        .forEach((id, q) -> left.computeIfPresent(id, (jug, volume) -> volume - q * seconds));
  }

  /** Returns when the first one is poured out, if they pour on like this (s). */
  public double untilPouredOut(Flows flows) {
    double soonest = Double.POSITIVE_INFINITY;
    for (Map.Entry<PartId, Double> jug : left.entrySet()) {
      double q = flows.supplies().getOrDefault(jug.getKey(), 0.0);
      if (q > Rates.STILL && jug.getValue() > DROP) {
        soonest = Math.min(soonest, jug.getValue() / q);
      }
    }
    return soonest;
  }

  /** Tells whether one that pours is poured out within some time (s). */
  public boolean runOut(Flows flows, double seconds) {
    return left.entrySet().stream()
        .anyMatch(j -> {
          double q = flows.supplies().getOrDefault(j.getKey(), 0.0);
          return q > Rates.STILL && j.getValue() - q * seconds <= DROP;
        });
  }

  /** Returns the ids of those that are poured out. */
  public Set<PartId> empty() {
    Set<PartId> empty = new HashSet<>();
    left.forEach((id, volume) -> {
      if (volume <= DROP) {
        empty.add(id);
      }
    });
    return empty;
  }
}
