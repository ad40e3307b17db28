package fernwort.core.build;

import fernwort.core.rig.Face;
import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * One face of a tank with its holes, as one looks at it from outside, the tank as it will hang.
 *
 * @param face which one
 * @param width how wide it is as drawn (m, outside)
 * @param height how high it is as drawn (m, outside)
 * @param fromLeft what the left edge of the picture is
 * @param fromBelow what its lower edge is
 * @param holes its holes, from the left
 */
public record FaceSheet(
    Face face, double width, double height, String fromLeft, String fromBelow, List<Hole> holes) {

  public FaceSheet {
    holes = List.copyOf(holes);
  }

  /** Returns it as seen through from behind: the back of the paper, or the inside of the tank. */
  public FaceSheet mirrored() {
    return moved(h -> h.at(width - h.across(), h.up()), opposite(fromLeft), fromBelow);
  }

  /** Returns it as one looks at it from outside while the tank lies upside down on its top. */
  public FaceSheet upsideDown() {
    return moved(
        h -> h.at(width - h.across(), height - h.up()), opposite(fromLeft), opposite(fromBelow));
  }

  private FaceSheet moved(UnaryOperator<Hole> move, String left, String below) {
    return new FaceSheet(
        face,
        width,
        height,
        left,
        below,
        holes.stream().map(move).sorted(Comparator.comparingDouble(Hole::across)).toList());
  }

  private static String opposite(String edge) {
    return switch (edge) {
      case "rear" -> "front";
      case "front" -> "rear";
      case "left" -> "right";
      case "right" -> "left";
      case "top" -> "bottom";
      default -> "top";
    };
  }
}
