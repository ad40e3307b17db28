package fernwort.app.web;

import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Valve;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;

/**
 * A three-way valve in one position of its handle, its ports named by where their lines go.
 *
 * @param words how the handle looks
 * @param turn the turn of the handle's picture, which points right (degrees)
 * @param left whether the port at the left is joined to something
 * @param right whether the one at the right is
 * @param below whether the one below is
 * @param leftWords where the line at the left goes
 * @param rightWords where the one at the right goes
 * @param belowWords where the one below goes
 * @param said what it does then
 */
public record ValvePicture(
    String words,
    String turn,
    boolean left,
    boolean right,
    boolean below,
    String leftWords,
    String rightWords,
    String belowWords,
    String said) {

  /** Returns the turn of a picture for a handle at an angle (degrees, 0 right, 90 up). */
  public static String turn(double angle) {
    return String.format(Locale.ROOT, "%.0f", -angle);
  }

  /**
   * Returns a valve in each of its positions: port b at the left, a at the right, c below.
   *
   * @param ports where the line of each port goes
   * @param said what a position does, in words
   */
  public static List<ValvePicture> of(Valve valve, UnaryOperator<String> ports, Said said) {
    return valve.stops().stream()
        .map(stop ->
            new ValvePicture(
                stop.words(),
                turn(stop.angle()),
                joins(stop, "b"),
                joins(stop, "a"),
                joins(stop, "c"),
                beside(ports.apply("b")),
                beside(ports.apply("a")),
                beside(ports.apply("c")),
                said.of(stop)))
        .toList();
  }

  /** What stands beside a port has room for so many letters; the sentence below says all. */
  private static final int ROOM = 13;

  private static String beside(String words) {
    return words.length() <= ROOM ? words : words.substring(0, ROOM - 1).strip() + "…";
  }

  /** What a position of a valve does, in words. */
  public interface Said {
    /** Returns the words. */
    String of(Stop stop);
  }

  private static boolean joins(Stop stop, String port) {
    return stop.joins().stream().anyMatch(group -> group.contains(port));
  }
}
