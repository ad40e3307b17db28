package fernwort.app.rig;

import fernwort.app.board.Drawing;
import fernwort.app.web.FaceSketch;
import fernwort.app.web.Field;
import fernwort.app.web.ValvePicture;
import fernwort.core.review.Finding;
import java.util.List;
import java.util.Optional;

/**
 * What the describing screen shows.
 *
 * @param rig the rig's address
 * @param name its name
 * @param version the version shown, which every form sends back
 * @param drawing its cutaway
 * @param ends its free ends, to be tapped
 * @param places its places with their parts
 * @param part the part looked at
 * @param line the line looked at
 * @param place the place looked at
 * @param add the form to add something at what was tapped
 * @param findings the review of its layout
 * @param vehicle what the vehicle's form asks
 * @param canUndo whether a step can be taken back
 * @param canRedo whether one can be put back
 */
public record DescribeView(
    String rig,
    String name,
    int version,
    Drawing drawing,
    List<FreeEnd> ends,
    List<PlaceParts> places,
    Optional<PartView> part,
    Optional<LineView> line,
    Optional<PlaceView> place,
    Optional<AddView> add,
    List<Finding> findings,
    List<Field> vehicle,
    boolean canUndo,
    boolean canRedo) {

  /** A free end where it is drawn (px). */
  public record FreeEnd(String port, String label, double x, double y) {}

  /** A place with the parts in it. */
  public record PlaceParts(String id, String label, String reach, List<Field.Option> parts) {}

  /**
   * A part with what its form asks.
   *
   * @param measured the fields for whoever has measured
   * @param measure name of the picture of what to measure; empty for none
   * @param tank a tank from its side, to scale
   * @param sketch its faces, to tap where its openings are
   * @param positions a three-way valve in each of its positions
   * @param ends what each of its ports leads to
   */
  public record PartView(
      String id,
      String label,
      List<Field> common,
      List<Field> measured,
      List<Field> own,
      String measure,
      Optional<TankPicture> tank,
      Optional<FaceSketch> sketch,
      List<ValvePicture> positions,
      List<End> ends) {}

  /**
   * An end of a part.
   *
   * @param words the end, and what it leads to
   * @param line the line at it; empty for a free one
   * @param tag what stands on that line
   * @param port its address
   */
  public record End(String words, String line, String tag, String port) {}

  /** A line with what its form asks. */
  public record LineView(String id, String label, String from, String to, List<Field> fields) {}

  /** A place with what its form asks. */
  public record PlaceView(String id, String label, List<Field> fields) {}

  /** What can be chosen, under a heading. */
  public record Group(String label, List<Field.Option> options) {}

  /**
   * The form to add something.
   *
   * @param at what was tapped
   * @param title over the form
   * @param hint what the program makes of it
   * @param usual what is chosen first
   * @param groups what can be added
   * @param fields what else is asked
   */
  public record AddView(
      String at, String title, String hint, String usual, List<Group> groups, List<Field> fields) {}
}
