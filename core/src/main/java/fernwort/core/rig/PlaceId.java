package fernwort.core.rig;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Objects;

/**
 * The name of a place, the only one of its kind within a rig.
 *
 * @param value the name itself, as it stands in a rig file
 */
public record PlaceId(@JsonValue String value) implements ElementId {

  /** Stands where there is no place. */
  public static final PlaceId NONE = new PlaceId("");

  public PlaceId {
    Objects.requireNonNull(value);
  }

  /** Returns the id that is written so. */
  @JsonCreator
  public static PlaceId of(String value) {
    return new PlaceId(value);
  }

  @Override
  public String toString() {
    return value;
  }
}
