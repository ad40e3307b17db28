package fernwort.core.rig;

/**
 * One port of one part.
 *
 * @param part id of the part
 * @param port name of the port
 */
public record PortRef(PartId part, String port) {

  @Override
  public String toString() {
    return part + "." + port;
  }
}
