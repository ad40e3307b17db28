package fernwort.core.run.water;

import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Flows;
import fernwort.core.id.LineId;
import fernwort.core.id.PortId;
import fernwort.core.kind.line.Filter;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import java.util.List;

/**
 * How filters clog as water passes them: their loss grows evenly, and has doubled after the litres
 * that their maker or owner names.
 */
public final class Wear {

  private final List<Part> filters;
  private final List<LineId> feeds;
  private final double[] passed;

  /** Begins with cartridges as they are. */
  public Wear(Network network) {
    filters = network.rig().parts().stream().filter(p -> p.kind().clogs()).toList();
    feeds =
        filters.stream().map(p -> network.lineId(p.port(PortId.IN)).orElse(LineId.NONE)).toList();
    passed = new double[filters.size()];
  }

  /** Makes a copy that goes on by itself. */
  public Wear(Wear other) {
    filters = other.filters;
    feeds = other.feeds;
    passed = other.passed.clone();
  }

  /** Counts what passes for a time (s). */
  public void count(Flows flows, double seconds) {
    for (int i = 0; i < passed.length; i++) {
      passed[i] += Math.abs(flows.line(feeds.get(i))) * seconds;
    }
  }

  /** Tells whether anything that clogs is passed by. */
  public boolean passes(Flows flows) {
    return feeds.stream().anyMatch(feed -> Math.abs(flows.line(feed)) > Rates.STILL);
  }

  /** Returns these conditions with the filters as clogged as they are by now. */
  public Conditions on(Conditions conditions) {
    Conditions worn = conditions;
    for (int i = 0; i < passed.length; i++) {
      Part filter = filters.get(i);
      double doubling = ((Filter) filter.kind()).doubling().orElse(Double.POSITIVE_INFINITY);
      double before = conditions.clogging().getOrDefault(filter.id(), 1.0);
      worn = worn.withClogged(filter.id(), before * (1 + passed[i] / doubling));
    }
    return worn;
  }
}
