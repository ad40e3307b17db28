package fernwort.core.jobs.find;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Filters that water can only pass one after another.
 *
 * @param filters in the order in which it does
 */
public record FilterRow(List<Part> filters) {

  public FilterRow {
    filters = List.copyOf(filters);
  }

  /** Returns the rows of a rig, each filter in one. */
  public static List<FilterRow> of(Network network) {
    List<Part> all =
        network.rig().parts().stream().filter(p -> p.kind().is(Purpose.FILTERS)).toList();
    List<FilterRow> rows = new ArrayList<>();
    for (Part filter : all) {
      if (all.stream().noneMatch(f -> next(network, f).filter(filter::equals).isPresent())) {
        rows.add(from(network, filter));
      }
    }
    return rows;
  }

  private static FilterRow from(Network network, Part first) {
    List<Part> row = new ArrayList<>();
    Optional<Part> at = Optional.of(first);
    while (at.isPresent() && !row.contains(at.get())) {
      row.add(at.get());
      at = next(network, at.get());
    }
    return new FilterRow(row);
  }

  /**
   * The filter that all water behind one comes to next, through lines and whatever has two ends.
   */
  private static Optional<Part> next(Network network, Part filter) {
    PortRef out = filter.port(PortId.OUT);
    for (int i = 0; i < network.rig().parts().size(); i++) {
      Line line = network.rig().linesByPort().get(out);
      if (line == null) {
        return Optional.empty();
      }
      PortRef far = line.other(out);
      Part part = network.rig().part(far.part());
      if (part.kind().is(Purpose.FILTERS)) {
        return far.port().equals(PortId.IN) ? Optional.of(part) : Optional.empty();
      }
      if (part.kind().ports().size() != 2 || part.kind().is(Purpose.HOLDS)) {
        return Optional.empty();
      }
      PortId on = part.kind().ports().stream().filter(p -> !p.equals(far.port())).findFirst().get();
      out = part.port(on);
    }
    return Optional.empty();
  }

  Part first() {
    return filters.getFirst();
  }

  Part last() {
    return filters.getLast();
  }

  List<PartId> ids() {
    return filters.stream().map(Part::id).toList();
  }

  String label() {
    return filters.stream().map(Part::label).collect(Collectors.joining(", "));
  }
}
