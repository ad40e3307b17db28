package fernwort.app.board;

import fernwort.core.rig.Slope;
import java.util.Locale;

/**
 * How the rig is parked.
 *
 * @param words in a few words
 * @param pitch nose up, for the form (degrees)
 * @param roll left side up, for the form (degrees)
 */
public record ParkedView(String words, String pitch, String roll) {

  static ParkedView of(Slope slope) {
    return new ParkedView(words(slope), shown(slope.pitch()), shown(slope.roll()));
  }

  private static String words(Slope slope) {
    if (slope.equals(Slope.LEVEL)) {
      return Says.PARKED_LEVEL.text();
    }
    String pitch =
        slope.pitch() == 0
            ? ""
            : Says.NOSE.filled(slope.pitch() > 0 ? "up" : "down", size(slope.pitch()));
    String roll =
        slope.roll() == 0
            ? ""
            : Says.LEFT_SIDE.filled(slope.roll() > 0 ? "up" : "down", size(slope.roll()));
    return "Parked " + (pitch.isEmpty() || roll.isEmpty() ? pitch + roll : pitch + ", " + roll);
  }

  private static String size(double degrees) {
    return shown(Math.abs(degrees));
  }

  private static String shown(double degrees) {
    return degrees == Math.rint(degrees)
        ? Long.toString((long) degrees)
        : String.format(Locale.ROOT, "%.1f", degrees);
  }
}
