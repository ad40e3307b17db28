package fernwort.core.ways;

import java.util.List;
import java.util.Optional;

/**
 * How air can leave and enter a tank.
 *
 * @param tank id of the tank
 * @param out the way out, if there is one
 * @param in the way in, if there is one
 */
public record TankAir(String tank, Optional<Route> out, Optional<Route> in) {

  /**
   * A way for air.
   *
   * @param opening id of the part where it meets the atmosphere
   * @param parts ids of the parts on the way
   * @param lines ids of the lines on the way
   */
  public record Route(String opening, List<String> parts, List<String> lines) {
    public Route {
      parts = List.copyOf(parts);
      lines = List.copyOf(lines);
    }
  }
}
