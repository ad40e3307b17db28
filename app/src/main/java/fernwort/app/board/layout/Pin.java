package fernwort.app.board.layout;

import fernwort.core.id.PortId;
import java.util.List;

/**
 * A spot on a part's outline where a line may be joined.
 *
 * @param dx from the part's centre to the right (cells)
 * @param dy from the part's centre down (cells)
 * @param side which way a line leaves
 * @param ports the ports that may be drawn here
 */
record Pin(int dx, int dy, Side side, List<PortId> ports) {

  /** The four ways a line can go. */
  enum Side {
    RIGHT(1, 0),
    DOWN(0, 1),
    LEFT(-1, 0),
    UP(0, -1);

    final int dx;
    final int dy;

    Side(int dx, int dy) {
      this.dx = dx;
      this.dy = dy;
    }

    private static final Side[] ALL = values();

    static Side of(int ordinal) {
      return ALL[ordinal];
    }

    Side opposite() {
      return ALL[(ordinal() + 2) % 4];
    }
  }

  static Pin of(Side side, int halfWidth, int halfHeight, List<PortId> ports) {
    return new Pin(side.dx * halfWidth, side.dy * halfHeight, side, ports);
  }
}
