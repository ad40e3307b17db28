package fernwort.core.id;

import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;

/**
 * The name of a port, the only one of its kind within a part.
 *
 * @param value the name itself, as it stands in a rig file
 */
public record PortId(String value) implements Comparable<PortId> {

  /** Where water comes in, of what has one way in. */
  public static final PortId IN = new PortId("in");

  /** Where water goes out, of what has one way out. */
  public static final PortId OUT = new PortId("out");

  /** The first of a valve's or a tee's ends. */
  public static final PortId A = new PortId("a");

  /** The second of a valve's or a tee's ends. */
  public static final PortId B = new PortId("b");

  /** The third of a valve's or a tee's ends. */
  public static final PortId C = new PortId("c");

  /** Where cold water comes. */
  public static final PortId COLD = new PortId("cold");

  /** Where hot water comes or goes. */
  public static final PortId HOT = new PortId("hot");

  /** Where used water leaves. */
  public static final PortId WASTE = new PortId("waste");

  /** Stands where there is no port. */
  public static final PortId NONE = new PortId("");

  public PortId {
    Objects.requireNonNull(value);
  }

  /** Returns the id that is written so. */
  public static PortId of(String value) {
    return new PortId(value);
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
