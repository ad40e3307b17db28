package fernwort.app.board.layout;

import java.util.ArrayList;
import java.util.List;

/** How wide words stand on the Board: Atkinson Hyperlegible Next, 11.5 px, semi-bold. */
public final class Lettering {

  /** Size of the letters that widths are given for (px). */
  public static final double SIZE = 11.5;

  /** Widest letters first; anything else counts as ordinary. Shares of the letter size. */
  private static final String WIDE = "mwMW%@";

  private static final String NARROW = "iljftrI.,:;'|!()- 1";

  private Lettering() {}

  /** Returns the width of a text (px), rather too much than too little. */
  public static double width(String text) {
    double width = 0;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (WIDE.indexOf(c) >= 0) {
        width += 0.92;
      } else if (NARROW.indexOf(c) >= 0) {
        width += 0.38;
      } else {
        width += Character.isUpperCase(c) ? 0.7 : 0.58;
      }
    }
    return width * SIZE;
  }

  /** Breaks a label into at most two lines, as evenly as its words allow. */
  public static List<String> lines(String label) {
    if (width(label) <= 58) {
      return List.of(label);
    }
    int best = -1;
    double narrowest = width(label);
    for (int i = label.indexOf(' '); i > 0; i = label.indexOf(' ', i + 1)) {
      double wider = Math.max(width(label.substring(0, i)), width(label.substring(i + 1)));
      if (wider < narrowest) {
        narrowest = wider;
        best = i;
      }
    }
    return best < 0
        ? List.of(shorten(label))
        : List.of(shorten(label.substring(0, best)), shorten(label.substring(best + 1)));
  }

  private static String shorten(String text) {
    List<Integer> fits = new ArrayList<>();
    for (int n = text.length(); n > 0; n--) {
      if (width(text.substring(0, n)) <= 96) {
        fits.add(n);
        break;
      }
    }
    int n = fits.isEmpty() ? 1 : fits.getFirst();
    return n == text.length() ? text : text.substring(0, n - 1).strip() + "…";
  }
}
