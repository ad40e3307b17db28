package fernwort.core.ways;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import java.util.List;
import java.util.Optional;

/**
 * How air can leave and enter a tank.
 *
 * @param tank id of the tank
 * @param out the way out, if there is one
 * @param in the way in, if there is one
 * @param bubbling how air comes in past the water that covers a vent, where there is no other way
 */
public record TankAir(
    PartId tank, Optional<Route> out, Optional<Route> in, Optional<Bubbling> bubbling) {

  /**
   * A way for air.
   *
   * @param opening id of the part where it meets the atmosphere
   * @param parts ids of the parts on the way
   * @param lines ids of the lines on the way
   */
  public record Route(PartId opening, List<PartId> parts, List<LineId> lines) {
    public Route {
      parts = List.copyOf(parts);
      lines = List.copyOf(lines);
    }
  }

  /**
   * A vent, overflow or filler under water whose line stands open to the air.
   *
   * @param mouth height of the port's upper edge (m)
   * @param crest height that water has to rise to in the line before it runs out (m)
   */
  public record Bubbling(double mouth, double crest) {

    /**
     * Returns the vacuum that brings air in, as a head of water (m): what it takes to press the
     * water in the line down to the port; nothing where water runs out by the line, for air comes
     * in beside it.
     *
     * @param surface height of the tank's water (m)
     */
    public double vacuum(double surface) {
      return crest > surface ? Math.max(0, surface - mouth) : 0;
    }
  }

  /**
   * Returns the vacuum that it takes to bring air in, as a head of water (m); infinite where
   * nothing lets any in.
   *
   * @param surface height of the tank's water (m)
   */
  public double vacuum(double surface) {
    return in.isPresent()
        ? 0
        : bubbling.map(b -> b.vacuum(surface)).orElse(Double.POSITIVE_INFINITY);
  }
}
