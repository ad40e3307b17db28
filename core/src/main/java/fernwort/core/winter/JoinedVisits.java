package fernwort.core.winter;

import fernwort.core.drain.Wintering;
import fernwort.core.id.PlaceId;
import fernwort.core.network.Network;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterStep;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * One visit to a place instead of two: what is turned there waits until one comes there anyway to
 * turn valves, once air or antifreeze is let in. It is turned then, and drips out, before that;
 * nothing else may change. What closes a valve guards what follows, and does not wait.
 */
final class JoinedVisits {

  private final SheetRun run;
  private final Network network;

  private JoinedVisits(SheetRun run, Network network) {
    this.run = run;
    this.network = network;
  }

  /** Joins the visits of a sheet. */
  static void of(SheetRun run, Network network) {
    JoinedVisits joined = new JoinedVisits(run, network);
    joined.places().forEach(joined::join);
  }

  /** Where valves are turned between the letting in and the first that runs. */
  private Set<PlaceId> places() {
    Set<PlaceId> places = new LinkedHashSet<>();
    for (int i = run.entry(); i < run.passing(); i++) {
      if (isVisit(run.steps().get(i))) {
        places.add(run.steps().get(i).place());
      }
    }
    return places;
  }

  private void join(PlaceId place) {
    int from = run.emptied();
    int entry = run.entry();
    int to = run.passing();
    if (from >= entry || to >= run.steps().size()) {
      return;
    }
    List<WinterStep> kept = new ArrayList<>(run.steps().subList(0, from));
    List<WinterStep> early = new ArrayList<>();
    for (WinterStep step : run.steps().subList(from, entry)) {
      (isVisit(step) && step.place().equals(place) && lets(step) ? early : kept).add(step);
    }
    if (early.isEmpty()) {
      return;
    }
    boolean there = false;
    for (WinterStep step : run.steps().subList(entry, run.steps().size())) {
      if (!there && isVisit(step) && step.place().equals(place)) {
        kept.addAll(early);
        there = true;
      }
      kept.add(step);
    }
    List<Wintering> redone = run.redone(kept, from, to);
    if (isSame(redone.getLast(), run.before(to))) {
      run.take(kept, from, redone);
    }
  }

  private static boolean isVisit(WinterStep step) {
    return step.hand().filter(h -> h.sort() == WinterStep.Sort.VALVES).isPresent();
  }

  private boolean lets(WinterStep step) {
    return step.act() instanceof Operation.Put put
        && SheetRun.lets(network.rig().part(put.part()), put.position());
  }

  private static boolean isSame(Wintering one, Wintering other) {
    return one.wetness().equals(other.wetness())
        && one.state().equals(other.state())
        && one.service().equals(other.service());
  }
}
