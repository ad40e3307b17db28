package fernwort.core.practice;

import fernwort.core.fault.Fault;
import fernwort.core.fault.FaultFinder;
import fernwort.core.fault.Observation;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * Something is wrong, and one sign of it is seen: the learner chooses what to look at, and names
 * it.
 *
 * @param from how handles and levels are noted
 * @param fault what is wrong
 * @param sign what is seen first
 */
public record FindIt(State from, Fault fault, Observation sign) implements Exercise {

  /** So often another fault is drawn where one does not show. */
  private static final int TRIES = 20;

  /** The finder takes no more looks. */
  private static final int MOST = 15;

  /** Hides a fault, more often one that happens more often. */
  static Optional<FindIt> draw(FaultFinder finder, State from, Random random) {
    Map<Fault, Double> all = finder.suspects(from);
    for (int i = 0; i < TRIES; i++) {
      Fault fault = drawn(all, random);
      Optional<Observation> sign = finder.sign(fault, from);
      if (sign.isPresent()) {
        return Optional.of(new FindIt(from, fault, sign.get()));
      }
    }
    return Optional.empty();
  }

  private static Fault drawn(Map<Fault, Double> all, Random random) {
    double left =
        random.nextDouble() * all.values().stream().mapToDouble(Double::doubleValue).sum();
    Fault last = all.keySet().iterator().next();
    for (Map.Entry<Fault, Double> one : all.entrySet()) {
      last = one.getKey();
      left -= one.getValue();
      if (left <= 0) {
        break;
      }
    }
    return last;
  }

  /**
   * Returns how many looks the finder takes with true answers (1); nothing where it does not find
   * it.
   */
  public Optional<Integer> best(FaultFinder finder) {
    List<Observation> seen = new ArrayList<>(List.of(sign));
    while (seen.size() <= MOST) {
      FaultFinder.Finding found = finder.find(from, seen, FaultFinder.Feeling.PLACE_BY_PLACE);
      if (found.next().isEmpty()) {
        boolean right =
            !found.likely().isEmpty()
                && finder.isMendedAs(fault, found.likely().getFirst().fault());
        return right ? Optional.of(seen.size() - 1) : Optional.empty();
      }
      Observation look = found.next().get().look();
      seen.add(look.seen(finder.see(fault, look, from).orElse(Observation.UNSURE)));
    }
    return Optional.empty();
  }
}
