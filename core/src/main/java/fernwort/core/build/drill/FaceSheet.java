package fernwort.core.build.drill;

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
 * @param fromLeft the face that its left edge borders on
 * @param fromBelow the face that its lower edge borders on
 * @param holes its holes, from the left
 */
public record FaceSheet(
    Face face, double width, double height, Face fromLeft, Face fromBelow, List<Hole> holes) {

  public FaceSheet {
    holes = List.copyOf(holes);
  }

  /** Returns it as seen through from behind: the back of the paper, or the inside of the tank. */
  public FaceSheet mirrored() {
    return moved(h -> h.at(width - h.across(), h.up()), fromLeft.opposite(), fromBelow);
  }

  /** Returns it as one looks at it from outside while the tank lies upside down on its top. */
  public FaceSheet upsideDown() {
    return moved(
        h -> h.at(width - h.across(), height - h.up()), fromLeft.opposite(), fromBelow.opposite());
  }

  private FaceSheet moved(UnaryOperator<Hole> move, Face left, Face below) {
    return new FaceSheet(
        face,
        width,
        height,
        left,
        below,
        holes.stream().map(move).sorted(Comparator.comparingDouble(Hole::across)).toList());
  }
}
