package fernwort.app.rigs;

import fernwort.app.board.layout.BoardLayout;
import fernwort.core.hazard.Hazards;
import fernwort.core.network.Plumbing;
import fernwort.core.network.Streams;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.Map;

/**
 * A rig with everything that follows from its description alone, made once and kept at hand.
 *
 * @param id its address
 * @param version the version of the description
 * @param rig the rig
 * @param plumbing prepared for searching
 * @param hazards prepared checks
 * @param streams what each line carries
 * @param layout its drawing
 * @param narrow the drawing of each place for a narrow screen, in the order of the places
 */
public record OpenRig(
    String id,
    int version,
    Rig rig,
    Plumbing plumbing,
    Hazards hazards,
    Map<String, Streams.Stream> streams,
    BoardLayout layout,
    List<BoardLayout> narrow) {

  private static final int PHONE = 366;

  /** Prepares a rig. */
  public static OpenRig of(String id, int version, Rig rig) {
    Plumbing plumbing = Plumbing.of(rig);
    List<BoardLayout> narrow =
        rig.places().stream()
            .filter(place -> rig.parts().stream().anyMatch(p -> p.place().equals(place.id())))
            .map(place -> BoardLayout.of(rig, place, PHONE))
            .toList();
    return new OpenRig(
        id,
        version,
        rig,
        plumbing,
        Hazards.of(plumbing),
        Streams.of(rig),
        BoardLayout.of(rig),
        narrow);
  }
}
