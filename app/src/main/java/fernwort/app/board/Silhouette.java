package fernwort.app.board;

import fernwort.app.board.layout.BoardLayout;
import fernwort.app.board.layout.Grid;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Vehicle;
import java.util.List;
import java.util.Locale;

/**
 * The vehicle around the places, as SVG paths over a layout.
 *
 * @param body its outline, closed
 * @param window its cab window; empty for none
 * @param drawbar drawbar, coupling and jockey wheel of a trailer; empty for none
 * @param floorEnd where its floor ends at the nose (px)
 * @param wheels centres of the wheels along the drawing (px)
 */
public record Silhouette(
    String body, String window, String drawbar, double floorEnd, List<Double> wheels) {

  /** Room drawn above the topmost line, for the roof (px). */
  static final int ROOF = 14;

  /** No vehicle, for the drawing of a single place. */
  static final Silhouette NONE = new Silhouette("", "", "", 0, List.of());

  /** Draws the vehicle that a layout was made for. */
  static Silhouette of(Vehicle vehicle, BoardLayout layout) {
    Frame frame = Frame.of(layout);
    List<Double> wheels = wheels(vehicle, layout);
    return switch (vehicle.body()) {
      case TRUCK -> new Silhouette(truck(frame), truckWindow(frame), "", frame.nose - 8, wheels);
      case VAN -> new Silhouette(van(frame), vanWindow(frame), "", frame.nose - 8, wheels);
      case TRAILER -> new Silhouette(trailer(frame), "", drawbar(frame), frame.right + 6, wheels);
    };
  }

  /** The lines between which a vehicle is drawn (px). */
  private record Frame(
      double left,
      double top,
      double right,
      double floor,
      double skirt,
      double nose,
      double ground) {

    static Frame of(BoardLayout layout) {
      double[] body = layout.body().pixels();
      double floor = layout.floor() * (double) Grid.CELL;
      double ground = layout.ground() * (double) Grid.CELL;
      return new Frame(
          body[0] - 14,
          4 - ROOF,
          body[0] + body[2],
          floor,
          Math.min(floor + 26, ground - 20),
          layout.width() * (double) Grid.CELL - 4,
          ground);
    }

    double below(double share) {
      return top + share * (floor - top);
    }
  }

  /** Flat-fronted: the windscreen reaches down to the bumper with one bend. */
  private static String truck(Frame f) {
    return String.format(
        Locale.ROOT,
        "M%.0f %.0fV%.0fq0 -10 10 -10H%.0fq12 0 16 12L%.0f %.0fV%.0fq0 8 -8 8Z",
        f.left,
        f.skirt,
        f.top + 10,
        f.right + 22,
        f.nose - 2,
        f.below(0.5),
        f.skirt - 8);
  }

  private static String truckWindow(Frame f) {
    double sill = f.below(0.47);
    double top = f.top + 30;
    double slant = (f.nose - 2 - (f.right + 38)) / (f.below(0.5) - f.top - 2);
    return String.format(
        Locale.ROOT,
        "M%.0f %.0fH%.0fL%.0f %.0fH%.0fZ",
        f.right + 8,
        top,
        f.right + 30 + slant * 18,
        f.nose - 12,
        sill,
        f.right + 8);
  }

  /** A sloping windscreen over a short bonnet. */
  private static String van(Frame f) {
    return String.format(
        Locale.ROOT,
        "M%.0f %.0fV%.0fq0 -14 14 -14H%.0fq10 0 14 10L%.0f %.0fq24 6 24 40V%.0fq0 8 -8 8Z",
        f.left,
        f.skirt,
        f.top + 14,
        f.right - 2,
        f.nose - 24,
        f.below(0.52),
        f.skirt - 8);
  }

  private static String vanWindow(Frame f) {
    double sill = f.below(0.5);
    double top = f.top + 44;
    double slant = (f.nose - 24 - (f.right + 12)) / (f.below(0.52) - f.top - 10);
    return String.format(
        Locale.ROOT,
        "M%.0f %.0fH%.0fL%.0f %.0fH%.0fZ",
        f.right + 7,
        top,
        f.right + 9 + slant * 34,
        f.nose - 35,
        sill,
        f.right + 7);
  }

  private static String trailer(Frame f) {
    double front = f.right + 10;
    return String.format(
        Locale.ROOT,
        "M%.0f %.0fV%.0fq0 -12 12 -12H%.0fq12 0 12 12V%.0fZ",
        f.left,
        f.skirt,
        f.top + 12,
        front - 12,
        f.skirt);
  }

  private static String drawbar(Frame f) {
    double bar = f.skirt - 8;
    double jockey = f.nose - 44;
    return String.format(
        Locale.ROOT,
        "M%.0f %.0fH%.0fm-6 0a6 6 0 1 0 12 0a6 6 0 1 0 -12 0M%.0f %.0fV%.0fm-8 8a8 8 0 1 0 16 0a8 8 0 1 0 -16 0",
        f.right + 10,
        bar,
        f.nose - 14,
        jockey,
        bar - 22,
        f.ground - 18);
  }

  /** Wheels stand where their axles are, along the stretch from rear to nose. */
  private static List<Double> wheels(Vehicle vehicle, BoardLayout layout) {
    double length = layout.width() * (double) Grid.CELL - 24;
    return vehicle.axles().stream()
        .map(Axle::x)
        .map(x -> 12 + length * (x - vehicle.rear()) / (vehicle.nose() - vehicle.rear()))
        .toList();
  }
}
