package fernwort.core.id;

import java.util.Objects;

/**
 * The name of a position of something that can be set, the only one of its kind within a part.
 *
 * @param value the name itself, as it stands in a rig file
 */
public record PositionId(String value) implements Comparable<PositionId> {

  /** Stands where there is no position. */
  public static final PositionId NONE = new PositionId("");

  public PositionId {
    Objects.requireNonNull(value);
  }

  /** Returns the id that is written so. */
  public static PositionId of(String value) {
    return new PositionId(value);
  }

  /** Tells whether it names nothing. */
  public boolean isEmpty() {
    return value.isEmpty();
  }

  @Override
  public int compareTo(PositionId other) {
    return value.compareTo(other.value);
  }

  @Override
  public String toString() {
    return value;
  }
}
