package fernwort.core.run.water;

import fernwort.core.hydraulics.Flows;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import java.util.Map;
import java.util.TreeMap;

/**
 * Tanks that stand level with where one of their ports lets the water over: it passes on what comes
 * in and no more. A step would otherwise cover and uncover the port without an end.
 */
public final class Spills {

  /**
   * A tank that stands so.
   *
   * @param port id of the port
   * @param raised how much more it would hold at the very height of the port (m³)
   */
  private record Spill(PortId port, double raised) {}

  private final Network network;
  private final Map<PartId, Spill> spills = new TreeMap<>();

  /** Begins with nothing spilling. */
  public Spills(Network network) {
    this.network = network;
  }

  /** Makes a copy that goes on by itself. */
  public Spills(Spills other) {
    network = other.network;
    spills.putAll(other.spills);
  }

  /** Tells whether a tank spills. */
  public boolean has(PartId tank) {
    return spills.containsKey(tank);
  }

  /** Begins anew for every tank. */
  public void forget() {
    spills.clear();
  }

  /** Begins anew for one tank. */
  public void forget(PartId tank) {
    spills.remove(tank);
  }

  /** Returns the port at which each of them stands, by tank. */
  public Map<PartId, PortId> ports() {
    if (spills.isEmpty()) {
      return Map.of();
    }
    Map<PartId, PortId> ports = new TreeMap<>();
    spills.forEach((tank, spill) -> ports.put(tank, spill.port()));
    return ports;
  }

  /** Returns a state with each of them at the very height of its port. */
  public State level(State state) {
    State level = state;
    for (Map.Entry<PartId, Spill> s : spills.entrySet()) {
      if (s.getValue().raised() != 0) {
        level = level.withVolume(s.getKey(), level.volume(s.getKey()) + s.getValue().raised());
      }
    }
    return level;
  }

  /**
   * Takes a tank to stand at the port by which most water has begun to leave.
   *
   * @param raised how much more it would hold at that port's height (m³)
   * @return whether there is such a port
   */
  public boolean begins(Part tank, Flows before, Flows after, double raised) {
    double most = Rates.STILL;
    PortId port = PortId.NONE;
    for (PortId p : tank.kind().ports()) {
      double more = leaving(tank, p, after) - leaving(tank, p, before);
      if (more > most) {
        most = more;
        port = p;
      }
    }
    if (port.isEmpty()) {
      return false;
    }
    spills.put(tank.id(), new Spill(port, raised));
    return true;
  }

  /** What leaves a tank by the line at one of its ports (m³/s). */
  private double leaving(Part tank, PortId port, Flows flows) {
    return network
        .lineId(tank.port(port))
        .map(id -> {
          boolean first =
              network.rig().lines().get(network.lineNumber(id)).from().equals(tank.port(port));
          return first ? flows.line(id) : -flows.line(id);
        })
        .orElse(0.0);
  }

  /** Lets those go of which more comes in than runs over, or less; tells whether there are any. */
  public boolean letGo(Flows flows) {
    flows
        .spills()
        .forEach((tank, fares) -> {
          if (fares != Flows.Spill.HOLDS) {
            spills.remove(tank);
          }
        });
    return flows.spills().values().stream().anyMatch(fares -> fares != Flows.Spill.HOLDS);
  }
}
