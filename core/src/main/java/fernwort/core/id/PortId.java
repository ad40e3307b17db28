package fernwort.core.id;

import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The name of a port, the only one of its kind within a part.
 *
 * @param value the name itself, as it stands in a rig file
 */
public record PortId(String value) implements Comparable<PortId> {

  /** Stands where there is no port. */
  public static final PortId NONE = new PortId("");

  public PortId {
    Objects.requireNonNull(value);
  }

  /** Returns the id that is written so. */
  public static PortId of(String value) {
    return new PortId(value);
  }

  /** Returns the ids that are written so, in this order. */
  public static List<PortId> all(String... values) {
    return Stream.of(values).map(PortId::new).toList();
  }

  /** Returns ids in a row, with commas. */
  public static String listed(List<PortId> ids) {
    return ids.stream().map(PortId::value).collect(Collectors.joining(", "));
  }

  /** Tells whether it names nothing. */
  public boolean isEmpty() {
    return value.isEmpty();
  }

  @Override
  public int compareTo(PortId other) {
    return value.compareTo(other.value);
  }

  @Override
  public String toString() {
    return value;
  }
}
