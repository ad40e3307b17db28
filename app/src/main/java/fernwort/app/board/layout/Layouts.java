package fernwort.app.board.layout;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.core.rig.Rig;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * The drawings of rigs, each made when somebody first looks at it and kept at hand. A rig that is
 * described as another one is drawn like it.
 */
@Component
public class Layouts {

  private static final int PHONE = 366;
  private static final int AT_HAND = 40;

  private final Cache<Rig, BoardLayout> whole = Caffeine.newBuilder().maximumSize(AT_HAND).build();
  private final Cache<Rig, List<BoardLayout>> places =
      Caffeine.newBuilder().maximumSize(AT_HAND).build();

  /** Returns the drawing of the whole rig. */
  public BoardLayout whole(Rig rig) {
    return whole.get(rig, BoardLayout::of);
  }

  /** Returns the drawing of each place for a narrow screen, in the order of the places. */
  public List<BoardLayout> places(Rig rig) {
    return places.get(rig, Layouts::drawn);
  }

  private static List<BoardLayout> drawn(Rig rig) {
    return rig.places().stream()
        .filter(place -> rig.parts().stream().anyMatch(p -> p.place().equals(place.id())))
        .map(place -> BoardLayout.of(rig, place, PHONE))
        .toList();
  }
}
