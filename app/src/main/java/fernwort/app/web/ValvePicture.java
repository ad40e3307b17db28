package fernwort.app.web;

import fernwort.core.id.PortId;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

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

  /**
   * Returns a valve in one position: port b at the left, a at the right, c below.
   *
   * @param words how the handle looks
   * @param angle where it points (degrees, 0 right, 90 up)
   * @param joins the groups of ports that are joined
   * @param leads where the line of each port goes
   * @param said what it does then
   */
  public static ValvePicture of(
      String words,
      double angle,
      List<List<PortId>> joins,
      Function<PortId, String> leads,
      String said) {
    Set<PortId> joined = joins.stream().flatMap(List::stream).collect(Collectors.toSet());
    return new ValvePicture(
        words,
        String.format(Locale.ROOT, "%.0f", -angle),
        joined.contains(PortId.B),
        joined.contains(PortId.A),
        joined.contains(PortId.C),
        beside(leads.apply(PortId.B)),
        beside(leads.apply(PortId.A)),
        beside(leads.apply(PortId.C)),
        said);
  }

  /** What stands beside a port has room for so many letters; the sentence below says all. */
  private static final int ROOM = 13;

  private static String beside(String words) {
    return words.length() <= ROOM ? words : words.substring(0, ROOM - 1).strip() + "…";
  }
}
