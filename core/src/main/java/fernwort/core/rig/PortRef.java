package fernwort.core.rig;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;

/**
 * One port of one part.
 *
 * @param part id of the part
 * @param port name of the port
 */
public record PortRef(PartId part, PortId port) {

  @Override
  public String toString() {
    return part + "." + port;
  }
}
