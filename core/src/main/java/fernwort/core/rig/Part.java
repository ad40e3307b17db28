package fernwort.core.rig;

import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.tank.Point;
import fernwort.core.say.Refusal;

/**
 * One thing in the water system.
 *
 * @param id unique name within the rig
 * @param label what people call it
 * @param place id of the place it is in
 * @param x position along the vehicle (m); for a tank its inside rear right bottom corner
 * @param y position to the left (m)
 * @param height height above the ground (m); for a tank its inside bottom
 * @param volume water its own body holds, a tank's contents not counted (m³)
 * @param kind what it is, with what only that kind has
 */
public record Part(
    PartId id,
    String label,
    PlaceId place,
    double x,
    double y,
    double height,
    double volume,
    Kind kind) {

  /** Returns where a port is in the vehicle frame. */
  public Point at(PortId port) {
    Point self = new Point(x, y, height);
    return kind.opening(port).map(p -> self.plus(p.at())).orElse(self);
  }

  /** Returns this part as another kind, or the same kind with other figures. */
  public Part with(Kind changed) {
    return new Part(id, label, place, x, y, height, volume, changed);
  }

  /** Returns this part at another height above the ground (m). */
  public Part atHeight(double changed) {
    return new Part(id, label, place, x, y, changed, volume, kind);
  }

  /** Returns this part with another name. */
  public Part called(String changed) {
    return new Part(id, changed, place, x, y, height, volume, kind);
  }

  /** Tells whether a hand can change anything about this part. */
  public boolean hasHandle() {
    return !kind.positions().isEmpty();
  }

  /**
   * Returns how a hand leaves it when nothing is to run.
   *
   * @throws Refusal when there is nothing to set
   */
  public Position rest() {
    return kind.rest().orElseThrow(() -> new Refusal(Says.HAS_NOTHING_THAT_CAN_BE_SET.with(label)));
  }

  /** Returns a port of this part. */
  public PortRef port(PortId port) {
    return new PortRef(id, port);
  }
}
