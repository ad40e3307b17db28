package fernwort.core.id;

import java.util.Objects;

/**
 * The name of a part, the only one of its kind within a rig.
 *
 * @param value the name itself, as it stands in a rig file
 */
public record PartId(String value) implements ElementId {

  /** Stands where there is no part. */
  public static final PartId NONE = new PartId("");

  public PartId {
    Objects.requireNonNull(value);
  }

  /** Returns the id that is written so. */
  public static PartId of(String value) {
    return new PartId(value);
  }

  @Override
  public String toString() {
    return value;
  }
}
