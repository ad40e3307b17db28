package fernwort.core.id;

import java.util.Objects;

/**
 * The name of a line, the only one of its kind within a rig.
 *
 * @param value the name itself, as it stands in a rig file
 */
public record LineId(String value) implements ElementId {

  /** Stands where there is no line. */
  public static final LineId NONE = new LineId("");

  public LineId {
    Objects.requireNonNull(value);
  }

  /** Returns the id that is written so. */
  public static LineId of(String value) {
    return new LineId(value);
  }

  @Override
  public String toString() {
    return value;
  }
}
