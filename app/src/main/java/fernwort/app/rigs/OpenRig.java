package fernwort.app.rigs;

import fernwort.app.board.layout.BoardLayout;
import fernwort.core.hazard.Hazards;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Rig;
import fernwort.core.streams.Streams;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A rig with everything that follows from its description alone, made once and kept at hand.
 *
 * @param id its address
 * @param version the version of the description
 * @param rig the rig
 * @param plumbing prepared for searching
 * @param hazards prepared checks
 * @param streams what each line carries
 * @param pictures its drawings
 */
public record OpenRig(
    String id,
    int version,
    Rig rig,
    Plumbing plumbing,
    Hazards hazards,
    Map<String, Streams.Stream> streams,
    Pictures pictures) {

  /** Drawings, each made when somebody first looks at it. */
  public static final class Pictures {

    private static final int PHONE = 366;

    private final Rig rig;
    private Optional<BoardLayout> whole = Optional.empty();
    private Optional<List<BoardLayout>> places = Optional.empty();

    private Pictures(Rig rig) {
      this.rig = rig;
    }

    private synchronized BoardLayout whole() {
      whole = Optional.of(whole.orElseGet(() -> BoardLayout.of(rig)));
      return whole.get();
    }

    private synchronized List<BoardLayout> places() {
      places = Optional.of(places.orElseGet(this::drawn));
      return places.get();
    }

    private List<BoardLayout> drawn() {
      return rig.places().stream()
          .filter(place -> rig.parts().stream().anyMatch(p -> p.place().equals(place.id())))
          .map(place -> BoardLayout.of(rig, place, PHONE))
          .toList();
    }
  }

  /** Returns the drawing of the whole rig. */
  public BoardLayout layout() {
    return pictures.whole();
  }

  /** Returns the drawing of each place for a narrow screen, in the order of the places. */
  public List<BoardLayout> narrow() {
    return pictures.places();
  }

  /** Prepares a rig. */
  public static OpenRig of(String id, int version, Rig rig) {
    Plumbing plumbing = Plumbing.of(rig);
    return new OpenRig(
        id, version, rig, plumbing, Hazards.of(plumbing), Streams.of(rig), new Pictures(rig));
  }
}
