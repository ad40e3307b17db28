package fernwort.core.fault;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.fault.FaultFinder.Feeling;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.SmallHouses;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * On small rigs the finder against the best that anybody could do who knows every answer: the
 * fewest looks on average that tell the faults behind one complaint apart, by trying them all.
 */
class BestStrategyTest {

  private static final int RIGS = Integer.getInteger("sweep.faults", 3);
  private static final int MOST_PARTS = 12;

  /** Beyond so many faults behind one complaint trying all takes too long. */
  private static final int MOST_FAULTS = 20;

  private final Map<Long, Double> best = new HashMap<>();
  private List<Fault> faults = new ArrayList<>();
  private List<Double> weights = new ArrayList<>();
  private List<Map<String, Long>> looks = new ArrayList<>();
  private FaultFinder finder;

  /** What a complaint comes to: looks on average. */
  record Compared(double best, double taken) {}

  @Test
  void theFinderTakesAtMostOneLookMoreThanTheBest() {
    List<Compared> all = new ArrayList<>();
    for (long seed = 0; all.size() < RIGS; seed++) {
      Rig rig = SmallHouses.rig(seed);
      if (rig.parts().size() <= MOST_PARTS) {
        compare(rig, working(rig, seed), new Random(seed)).ifPresent(all::add);
      }
    }
    double best = all.stream().mapToDouble(Compared::best).average().orElseThrow();
    double taken = all.stream().mapToDouble(Compared::taken).average().orElseThrow();
    long within = all.stream().filter(c -> c.taken() <= c.best() + 1).count();
    System.out.printf(
        Locale.ROOT,
        "%d complaints: best %.2f looks, taken %.2f, %d within one of the best, furthest %.2f%n",
        all.size(),
        best,
        taken,
        within,
        all.stream().mapToDouble(c -> c.taken() - c.best()).max().orElseThrow());
    assertThat(taken).isLessThanOrEqualTo(best + 1);
  }

  private static State working(Rig rig, long seed) {
    State state =
        SmallHouses.state(rig, seed)
            .with(PartId.of("pump"), PositionId.of("on"))
            .with(PartId.of("tap"), PositionId.of("open"));
    return state.with(PartId.of("feed1"), PositionId.of("open"));
  }

  /** One complaint of a rig, drawn from those by which its faults show. */
  private Optional<Compared> compare(Rig rig, State noted, Random random) {
    finder = FaultFinder.of(rig);
    Map<Fault, Double> suspects = finder.suspects(noted);
    List<Observation> signs =
        suspects.keySet().stream()
            .map(f -> finder.sign(f, noted))
            .flatMap(Optional::stream)
            .distinct()
            .toList();
    Observation sign = signs.get(random.nextInt(signs.size()));
    faults = new ArrayList<>();
    weights = new ArrayList<>();
    suspects.forEach((fault, weight) -> {
      if (finder.see(fault, sign, noted).equals(Optional.of(sign.value()))) {
        faults.add(fault);
        weights.add(weight);
      }
    });
    if (faults.size() < 2 || faults.size() > MOST_FAULTS) {
      return Optional.empty();
    }
    partitions(rig, noted, sign);
    best.clear();
    long all = (1L << faults.size()) - 1;
    double taken = 0;
    double weight = 0;
    for (int i = 0; i < faults.size(); i++) {
      taken += weights.get(i) * taken(faults.get(i), sign, noted);
      weight += weights.get(i);
    }
    return Optional.of(new Compared(best(all), taken / weight));
  }

  /** Each look as the sets of faults that answer alike. */
  private void partitions(Rig rig, State noted, Observation sign) {
    Map<Map<String, Long>, Observation> distinct = new LinkedHashMap<>();
    for (Checks.Check check :
        Checks.of(rig, noted.setting(), List.of(sign), Feeling.PLACE_BY_PLACE)) {
      Map<String, Long> sets = new HashMap<>();
      boolean known = true;
      for (int i = 0; i < faults.size(); i++) {
        Optional<String> value = finder.see(faults.get(i), check.look(), noted);
        known &= value.isPresent();
        sets.merge(value.orElse(""), 1L << i, (a, b) -> a | b);
      }
      if (known && sets.size() > 1) {
        distinct.putIfAbsent(sets, check.look());
      }
    }
    looks = List.copyOf(distinct.keySet());
  }

  /** The fewest looks on average that tell a set of faults apart, as far as they can be. */
  private double best(long set) {
    if (isOneRepair(set)) {
      return 0;
    }
    Double known = best.get(set);
    if (known != null) {
      return known;
    }
    double least = Double.POSITIVE_INFINITY;
    for (Map<String, Long> look : looks) {
      double cost = 1;
      boolean splits = false;
      for (long answered : look.values()) {
        long part = set & answered;
        splits |= part != 0 && part != set;
      }
      if (splits) {
        for (long answered : look.values()) {
          long part = set & answered;
          if (part != 0) {
            cost += weight(part) / weight(set) * best(part);
          }
        }
        least = Math.min(least, cost);
      }
    }
    double found = Double.isInfinite(least) ? 0 : least;
    best.put(set, found);
    return found;
  }

  private double weight(long set) {
    double all = 0;
    for (int i = 0; i < faults.size(); i++) {
      all += (set >> i & 1) == 1 ? weights.get(i) : 0;
    }
    return all;
  }

  private boolean isOneRepair(long set) {
    Fault first = faults.get(Long.numberOfTrailingZeros(set));
    for (int i = 0; i < faults.size(); i++) {
      boolean in = (set >> i & 1) == 1;
      if (in && !faults.get(i).equals(first) && !finder.isMendedAs(first, faults.get(i))) {
        return false;
      }
    }
    return true;
  }

  private int taken(Fault hidden, Observation sign, State noted) {
    List<Observation> seen = new ArrayList<>(List.of(sign));
    FaultFinder.Finding finding = finder.find(noted, seen, Feeling.PLACE_BY_PLACE);
    while (finding.next().isPresent()) {
      Observation look = finding.next().get().look();
      seen.add(look.seen(finder.see(hidden, look, noted).orElse(Observation.UNSURE)));
      finding = finder.find(noted, seen, Feeling.PLACE_BY_PLACE);
    }
    return seen.size() - 1;
  }
}
