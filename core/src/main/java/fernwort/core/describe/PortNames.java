package fernwort.core.describe;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Ports by what they lead to, as one finds them on the rig: nobody knows which end of a valve is
 * "b". From a port its line is followed through whatever only lets water pass, to the next things
 * that have a use of their own; a search in breadth, linear in the lines.
 */
public final class PortNames {

  private static final int MOST = 2;

  private final Rig rig;
  private final Map<PortRef, Line> lines;

  private PortNames(Rig rig) {
    this.rig = rig;
    lines = rig.linesByPort();
  }

  /** Names the ports of a rig. */
  public static PortNames of(Rig rig) {
    return new PortNames(rig);
  }

  /** Returns the names of what a port leads to, the nearest first; none for a free one. */
  public List<String> leadsTo(PortRef port) {
    Found found = search(port);
    return Stream.concat(
            found.ends().stream().map(PortRef::part),
            found.ends().isEmpty() ? found.stubs().stream() : Stream.of())
        .map(id -> rig.part(id).label())
        .distinct()
        .toList();
  }

  /**
   * Returns the ports that water from a port comes to, the nearest first, of things that have a use
   * of their own.
   */
  public List<PortRef> ends(PortRef port) {
    return search(port).ends();
  }

  /** What is met from a port: the ports of ends, and the parts that are named for want of any. */
  private record Found(List<PortRef> ends, List<PartId> stubs) {}

  private Found search(PortRef port) {
    Found found = new Found(new ArrayList<>(), new ArrayList<>());
    Set<PartId> seen = new HashSet<>(Set.of(port.part()));
    ArrayDeque<PortRef> from = new ArrayDeque<>(List.of(port));
    while (!from.isEmpty()) {
      PortRef at = from.removeFirst();
      Line line = lines.get(at);
      if (line == null || !seen.add(line.other(at).part())) {
        continue;
      }
      PortRef to = line.other(at);
      Part next = rig.part(to.part());
      switch (next.kind().inLine()) {
        case END, SELECTS -> found.ends().add(to);
        case STUB -> found.stubs().add(next.id());
        case PASSED -> {
          found.stubs().add(next.id());
          next.kind().ports().stream()
              .map(next::port)
              .filter(p -> !p.equals(to))
              .forEach(from::add);
        }
      }
    }
    return found;
  }

  /**
   * Returns a port in words, as in "towards Pump", "out, towards Sink and Shower", or "free end"
   * where nothing is joined to it. Two ports of a part that lead to the same are told apart by
   * their lines.
   */
  public String words(PortRef port) {
    String own = own(rig.part(port.part()).kind(), port.port());
    if (!lines.containsKey(port)) {
      return own.isEmpty() ? beyond(port) : Says.FREE.filled(own);
    }
    return (own.isEmpty() ? "" : own + ", ") + "towards " + beyond(port);
  }

  /**
   * Returns what is beyond a port, as in "Sink and Shower", or "free end b" where nothing is joined
   * to it.
   */
  public String beyond(PortRef port) {
    Line line = lines.get(port);
    if (line == null) {
      return Says.FREE_END.filled(port.port());
    }
    String ends = listed(leadsTo(port));
    boolean ours = own(rig.part(port.part()).kind(), port.port()).isEmpty();
    return ours && isAmbiguous(port) ? "%s by “%s”".formatted(ends, line.label()) : ends;
  }

  /** Returns where a port is, as in "Fresh, feed" or "Selector". */
  public String at(PortRef port) {
    Part part = rig.part(port.part());
    String own = own(part.kind(), port.port());
    return own.isEmpty() ? part.label() : part.label() + ", " + own;
  }

  /** Returns a port in words with the part it belongs to, as in "Selector, towards Pump". */
  public String full(PortRef port) {
    return rig.part(port.part()).label() + ", " + words(port);
  }

  /** Returns every port that nothing is joined to, also the mouths into which a jug is poured. */
  public List<PortRef> free() {
    List<PortRef> free = new ArrayList<>();
    for (Part part : rig.parts()) {
      for (PortId port : part.kind().ports()) {
        if (!lines.containsKey(part.port(port))) {
          free.add(part.port(port));
        }
      }
    }
    return free;
  }

  private boolean isAmbiguous(PortRef port) {
    Part part = rig.part(port.part());
    List<String> here = leadsTo(port);
    return part.kind().ports().stream()
        .map(part::port)
        .anyMatch(p -> !p.equals(port) && lines.containsKey(p) && leadsTo(p).equals(here));
  }

  /** What is written or seen on the part itself; a letter or a number of ours is not. */
  private static String own(Kind kind, PortId port) {
    return isOurs(kind, port) || kind.ports().size() == 1 ? "" : port.value();
  }

  /** Tells whether a port's name is a letter or number of ours, which nobody finds on the part. */
  public static boolean isOurs(Kind kind, PortId port) {
    return kind.is(Purpose.TURNS)
        || kind.is(Purpose.JOINS) && !port.equals(PortId.IN)
        || port.value().matches("\\d+");
  }

  private static String listed(List<String> names) {
    return switch (names.size()) {
      case 0 -> "nothing";
      case 1 -> names.getFirst();
      case 2 -> names.getFirst() + " and " + names.getLast();
      default ->
          Says.AND_MORE.filled(
              String.join(", ", names.subList(0, MOST)), Integer.toString(names.size() - MOST));
    };
  }
}
