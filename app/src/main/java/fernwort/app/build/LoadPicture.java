package fernwort.app.build;

import fernwort.app.questions.Sketch;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.core.build.mount.Hanging;
import fernwort.core.describe.TankResize;
import fernwort.core.kind.end.Tank;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What each support of a tank carries, as arrows on a side view. */
final class LoadPicture {

  private static final double KILO = 1000;

  /** How the picture is laid out, in shares of the tank's length. */
  private static final double ARROW = 0.25;

  private static final double STRAP = 0.02;
  private static final double HEAD = 0.05;
  private static final double WORDS = 0.06;

  private LoadPicture() {}

  /** The full tank from the side, on a bump: an arrow at each support, as long as its load. */
  static Sketch of(Trip trip, Part tank, double mass, Hanging hung) {
    TankRoom room = trip.network().room(tank.id());
    double length = KILO * TankResize.length((Tank) tank.kind());
    double high = KILO * room.highest(Slope.LEVEL);
    double most = hung.loads().stream().mapToDouble(l -> Math.abs(l.moving())).max().orElse(1);
    double longest = ARROW * length;
    StringBuilder straps = new StringBuilder();
    StringBuilder arrows = new StringBuilder();
    List<Sketch.Label> labels = new ArrayList<>();
    labels.add(new Sketch.Label(length / 2, high / 2, trip.show(Measure.MASS, mass)));
    for (Hanging.Load load : hung.loads()) {
      double x = KILO * load.support().along();
      double half = KILO * load.support().width() / 2;
      straps.append(
          String.format(
              Locale.ROOT, "M%.0f 0V%.0fH%.0fV0", x - half, high + STRAP * length, x + half));
      double shaft = longest * Math.abs(load.moving()) / Math.max(1e-9, most);
      double tip = high + 2 * STRAP * length;
      double head = HEAD * length;
      arrows.append(
          String.format(
              Locale.ROOT,
              "M%.0f %.0fV%.0fM%.0f %.0fL%.0f %.0fL%.0f %.0f",
              x,
              tip + Math.max(shaft, head),
              tip,
              x - head / 2,
              tip + head,
              x,
              tip,
              x + head / 2,
              tip + head));
      labels.add(
          new Sketch.Label(
              x,
              tip + Math.max(shaft, head) + WORDS * length,
              HangController.newtons(load.moving())));
    }
    return new Sketch(
        Says.ON_ITS_SUPPORTS_ON_A_BUMP.filled(tank.label()),
        Says.REAR_AT_THE_LEFT.text(),
        length,
        high + 2 * STRAP * length + longest + 1.5 * WORDS * length,
        straps.toString(),
        String.format(Locale.ROOT, "M0 0H%.0fV%.0fH0Z", length, high),
        arrows.toString(),
        labels);
  }
}
