package fernwort.core.id;

import java.util.Objects;

/**
 * The name of a place, the only one of its kind within a rig.
 *
 * @param value the name itself, as it stands in a rig file
 */
public record PlaceId(String value) implements ElementId {

  /** Stands where there is no place. */
  public static final PlaceId NONE = new PlaceId("");

  public PlaceId {
    Objects.requireNonNull(value);
  }

  /** Returns the id that is written so. */
  public static PlaceId of(String value) {
    return new PlaceId(value);
  }

  @Override
  public String toString() {
    return value;
  }
}
