package fernwort.core.build.cut;

import fernwort.core.build.joints.Adapter;
import fernwort.core.build.joints.Adapters;
import fernwort.core.build.joints.JointEnds;
import fernwort.core.build.joints.Region;
import fernwort.core.kind.Connection;
import fernwort.core.rig.Line;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What to cut of one sort of hose, tube or pipe.
 *
 * @param sort what it is
 * @param rigid whether it comes in sticks; else in coils
 * @param pieces the pieces, each with what to write on it
 */
public record CutList(String sort, boolean rigid, List<Cutting.Piece> pieces) {

  /** What a hose covers of a tail, and what a tube goes into a socket (m, usual). */
  private static final double INTO = 0.025;

  /** Cut a little long: a piece is shortened easily (share of it). */
  private static final double LONG = 0.02;

  public CutList {
    pieces = List.copyOf(pieces);
  }

  /** Returns all pieces (m). */
  public double length() {
    return pieces.stream().mapToDouble(Cutting.Piece::length).sum();
  }

  /** Returns the lists of a rig, one for each sort, in metric sizes. */
  public static List<CutList> of(Rig rig) {
    return of(rig, Region.METRIC);
  }

  /**
   * Returns the lists of a rig, one for each sort.
   *
   * @param region whose sizes are usual
   */
  public static List<CutList> of(Rig rig, Region region) {
    Map<String, CutList> lists = new TreeMap<>();
    List<JointEnds> ends = JointEnds.of(rig, region);
    for (int i = 0; i < rig.lines().size(); i++) {
      Line line = rig.lines().get(i);
      String sort =
          "%s, %s"
              .formatted(Adapter.words(JointEnds.usualEnd(line, region)), line.material().words());
      Cutting.Piece piece =
          new Cutting.Piece(
              "%s · %s".formatted(line.id(), line.label()),
              length(line, ends.get(2 * i), ends.get(2 * i + 1)));
      lists.merge(
          sort,
          new CutList(sort, line.material().isRigid(), List.of(piece)),
          (before, more) -> before.and(piece));
    }
    return List.copyOf(lists.values());
  }

  private CutList and(Cutting.Piece piece) {
    List<Cutting.Piece> all = new ArrayList<>(pieces);
    all.add(piece);
    return new CutList(sort, rigid, all);
  }

  /** The run between its ports, less what adapters take, with what goes into each fitting. */
  private static double length(Line line, JointEnds from, JointEnds to) {
    double length = line.length() * (1 + LONG);
    for (JointEnds end : List.of(from, to)) {
      int adapters =
          Adapters.shelf().between(end.port().form(), end.end().form()).map(List::size).orElse(0);
      boolean into = !(end.port().form() instanceof Connection.Open);
      length += (into ? INTO : 0) - adapters * ADAPTER;
    }
    return Math.max(LEAST, length);
  }

  /** What an adapter lengthens (m, usual). */
  private static final double ADAPTER = 0.03;

  private static final double LEAST = 0.03;
}
