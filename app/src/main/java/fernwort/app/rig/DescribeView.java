package fernwort.app.rig;

import fernwort.app.board.Drawing;
import fernwort.app.web.Field;
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
 * @param places its places with their parts
 * @param part the part looked at
 * @param line the line looked at
 * @param findings the review of its layout
 * @param freePorts every port that nothing is joined to
 * @param vehicle what the vehicle's form asks
 * @param canUndo whether a step can be taken back
 * @param canRedo whether one can be put back
 */
public record DescribeView(
    String rig,
    String name,
    int version,
    Drawing drawing,
    List<PlaceParts> places,
    Optional<PartView> part,
    Optional<LineView> line,
    List<Finding> findings,
    List<Field.Option> freePorts,
    List<Field> vehicle,
    boolean canUndo,
    boolean canRedo) {

  /** A place with the parts in it. */
  public record PlaceParts(String id, String label, String reach, List<Field.Option> parts) {}

  /**
   * A part with what its form asks.
   *
   * @param measure name of the picture of what to measure; empty for none
   */
  public record PartView(
      String id,
      String label,
      List<Field> common,
      List<Field> own,
      String measure,
      Optional<TankPicture> tank,
      List<Field.Option> lines) {}

  /** A line with what its form asks. */
  public record LineView(String id, String label, String ends, List<Field> fields) {}
}
