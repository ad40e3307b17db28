package fernwort.core.ways;

import fernwort.core.id.PartId;
import fernwort.core.kind.Given;
import java.util.Optional;

/**
 * Where water comes from.
 *
 * @param kind what sort of source
 * @param part id of the part it enters by
 */
public record Source(Kind kind, PartId part) {

  /** The sorts of source. */
  public enum Kind {
    MAINS,
    OUTSIDE,
    TANK,
    JUG,
    /** What runs away from a fixture in use. */
    WASTE;

    /** Returns what it is called when water is given so; a neck is none by itself. */
    public static Optional<Kind> of(Given given) {
      return switch (given.from()) {
        case MAINS -> Optional.of(MAINS);
        case OUTSIDE -> Optional.of(OUTSIDE);
        case JUG -> Optional.of(JUG);
        case NECK -> Optional.empty();
      };
    }
  }
}
