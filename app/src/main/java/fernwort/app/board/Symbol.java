package fernwort.app.board;

import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.line.Valve;
import fernwort.core.rig.Part;

/**
 * A part as it is drawn by itself, outside the Board: as it looks to the person in front of it.
 *
 * @param figure how it is drawn
 * @param angle where a lever points (degrees clockwise from the right)
 * @param position id of its position; empty for none
 * @param halfWidth half the width of figures that have no width of their own (px)
 */
public record Symbol(String figure, double angle, String position, double halfWidth) {

  private static final double WIDTH = 24;

  /** Draws a part in a position. */
  public static Symbol of(Part part, PositionId position) {
    return new Symbol(part.kind().figure(), angle(part.kind(), position), position.value(), WIDTH);
  }

  static double angle(Kind kind, PositionId position) {
    return kind instanceof Valve valve ? -valve.stop(position).angle() : 0;
  }
}
