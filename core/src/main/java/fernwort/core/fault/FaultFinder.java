package fernwort.core.fault;

import fernwort.core.fault.Checks.Check;
import fernwort.core.fault.Suspects.Suspect;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Finds out what is wrong with a rig: from what was seen to what is likely, and to the next thing to
 * look at. It keeps nothing but what it worked out about the rig, and can be asked by several.
 *
 * <p>Each fault weighs what it usually happens, times how well it fits each thing that was seen; a
 * person is wrong about one in ten. The next look is the one that tells most for its work. It ends
 * when one fault is left that does not hang on a single answer.
 */
public final class FaultFinder {

  /** What was seen is right so often (share); own choice. */
  private static final double RIGHT = 0.9;

  /** And so often one particular other thing was seen (share). */
  private static final double WRONG = 0.05;

  /** A fault below this share is named no longer. */
  private static final double NAMED = 0.005;

  /** A fault below this share decides about no look. */
  private static final double COUNTS = 0.01;

  /** So many faults decide about the next look; own choice. */
  private static final int MOST = 16;

  /** A look takes so long beside its work (min): to read, to walk. */
  private static final double BESIDE = 3;

  /** A look that tells less (nat/min) is not worth it, if another tells more; own choice. */
  private static final double LEAST = 1e-3;

  /** One fault has such a share at the end. */
  private static final double CERTAIN = 0.9;

  /** And without any one answer it still has such a share. */
  private static final double STANDS = 0.5;

  /** So many looks are worth it (1); after that the likeliest is named. */
  private static final int LONGEST = 14;

  private final Rig rig;
  private final Prediction sound;
  private final Map<Fault, Optional<Prediction>> made = new ConcurrentHashMap<>();

  /**
   * A fault and how likely it is.
   *
   * @param share of all that is possible (1)
   */
  public record Likely(Fault fault, double share) {}

  /**
   * What there is to look at next.
   *
   * @param look without what is seen
   * @param means for each thing that can be seen the faults that it speaks for, likeliest first
   */
  public record Next(Observation look, Map<String, List<Fault>> means) {}

  /**
   * What is likely, and what to look at next.
   *
   * @param next nothing where there is nothing more to learn
   */
  public record Finding(List<Likely> likely, Optional<Next> next) {}

  private FaultFinder(Rig rig) {
    this.rig = rig;
    sound = Prediction.sound(rig);
  }

  /** Prepares for a rig. */
  public static FaultFinder of(Rig rig) {
    return new FaultFinder(rig);
  }

  private Optional<Prediction> under(Suspect suspect) {
    return made.computeIfAbsent(suspect.fault(), f -> Prediction.under(rig, suspect));
  }

  /**
   * Returns what is likely and what to look at next.
   *
   * @param noted handles and levels as far as anybody knows
   * @param seen what was seen, as it was asked
   */
  public synchronized Finding find(State noted, List<Observation> seen) {
    List<Observation> told =
        seen.stream().filter(o -> !o.value().equals(Observation.UNSURE)).toList();
    List<Suspect> suspects =
        Suspects.of(rig, noted.setting()).stream().filter(s -> under(s).isPresent()).toList();
    Fits fits = new Fits(noted, suspects, told);
    List<Likely> all = fits.belief(-1);
    List<Likely> named = all.stream().filter(l -> l.share() > NAMED).toList();
    if (named.isEmpty() || seen.isEmpty()) {
      return new Finding(named, Optional.empty());
    }
    return new Finding(named, next(noted, seen, fits, all));
  }

  /** How well each fault fits each thing that was seen. */
  private final class Fits {

    private final List<Suspect> suspects;
    private final List<Observation> told;
    private final double[][] fit;
    private final boolean[] explains;

    private Fits(State noted, List<Suspect> suspects, List<Observation> told) {
      this.suspects = suspects;
      this.told = told;
      fit = new double[suspects.size()][told.size()];
      explains = new boolean[suspects.size()];
      boolean[] odd = new boolean[told.size()];
      boolean anyOdd = false;
      for (int o = 0; o < told.size(); o++) {
        odd[o] =
            !sound.value(told.get(o), noted, sound).equals(Optional.of(told.get(o).value()));
        anyOdd |= odd[o];
      }
      for (int s = 0; s < fit.length; s++) {
        Prediction under = under(suspects.get(s)).orElseThrow();
        explains[s] = !anyOdd;
        for (int o = 0; o < told.size(); o++) {
          Optional<String> would = under.value(told.get(o), noted, sound);
          boolean fits = would.filter(told.get(o).value()::equals).isPresent();
          fit[s][o] = fits ? RIGHT : near(told.get(o), would) ? 2 * WRONG : WRONG;
          explains[s] |= fits && odd[o];
        }
      }
    }

    /** Something that is nearly what was seen, or what is met when something is in the way. */
    private boolean near(Observation seen, Optional<String> would) {
      if (would.isEmpty()) {
        return true;
      }
      Set<String> both = Set.of(seen.value(), would.get());
      return seen.kind() == Look.WATER
          && (both.equals(Set.of("none", "weak")) || both.equals(Set.of("weak", "spitting")));
    }

    /** Returns all faults, the likeliest first, without one of the answers (-1 for with all). */
    private List<Likely> belief(int without) {
      double[] weight = new double[fit.length];
      double all = 0;
      for (int s = 0; s < fit.length; s++) {
        weight[s] = explains[s] ? suspects.get(s).weight() : 0;
        for (int o = 0; o < told.size(); o++) {
          weight[s] *= o == without ? 1 : fit[s][o];
        }
        all += weight[s];
      }
      List<Likely> likely = new ArrayList<>();
      for (int s = 0; s < fit.length; s++) {
        if (weight[s] > 0) {
          likely.add(new Likely(suspects.get(s).fault(), weight[s] / all));
        }
      }
      likely.sort(Comparator.comparingDouble(Likely::share).reversed());
      return likely;
    }

    /** Tells whether a set of faults that one repair mends stays likeliest without any answer. */
    private boolean stands(Set<Fault> one) {
      for (int o = 0; o < told.size(); o++) {
        double share =
            belief(o).stream()
                .filter(l -> one.contains(l.fault()))
                .mapToDouble(Likely::share)
                .sum();
        if (share < STANDS) {
          return false;
        }
      }
      return true;
    }
  }

  private record Gain(Check check, Map<String, List<Fault>> means, double perMinute) {}

  private Optional<Next> next(
      State noted, List<Observation> seen, Fits fits, List<Likely> all) {
    List<Likely> top = all.stream().filter(l -> l.share() > COUNTS).limit(MOST).toList();
    Set<Observation> done = new HashSet<>();
    seen.forEach(o -> done.add(key(noted, o)));
    Fault first = top.getFirst().fault();
    Set<Fault> one = sameRepair(first, top);
    double share =
        top.stream().filter(l -> one.contains(l.fault())).mapToDouble(Likely::share).sum();
    boolean certain = share >= CERTAIN;
    if (certain && fits.stands(one) || seen.size() >= LONGEST) {
      return Optional.empty();
    }
    // To be sure of the first, the others count again as if less were known.
    Map<Fault, Double> weights = new LinkedHashMap<>();
    for (Likely likely : certain ? all.stream().limit(MOST).toList() : top) {
      weights.put(likely.fault(), certain ? Math.pow(likely.share(), 1 / 3.0) : likely.share());
    }
    return Checks.of(rig, noted.setting()).stream()
        .filter(c -> !done.contains(key(noted, c.look())))
        .map(c -> gain(c, noted, weights, one))
        .flatMap(Optional::stream)
        .filter(g -> g.perMinute() > LEAST)
        .max(Comparator.comparingDouble(Gain::perMinute))
        .map(g -> new Next(g.check().look(), g.means()));
  }

  /** What a look tells for its work. */
  private Optional<Gain> gain(
      Check check, State noted, Map<Fault, Double> weights, Set<Fault> one) {
    Map<String, Double> shares = new TreeMap<>();
    Map<String, List<Fault>> means = new TreeMap<>();
    Map<String, Double> ofOne = new HashMap<>();
    double all = 0;
    for (Map.Entry<Fault, Double> w : weights.entrySet()) {
      Prediction under = Objects.requireNonNull(made.get(w.getKey())).orElseThrow();
      Optional<String> value = under.value(check.look(), noted, sound);
      if (value.isEmpty()) {
        return Optional.empty();
      }
      shares.merge(value.get(), w.getValue(), Double::sum);
      means.computeIfAbsent(value.get(), v -> new ArrayList<>()).add(w.getKey());
      if (one.contains(w.getKey())) {
        ofOne.merge(value.get(), w.getValue(), Double::sum);
      }
      all += w.getValue();
    }
    // What only tells apart faults that one repair mends is not asked.
    boolean splits = shares.size() > 1;
    if (!splits) {
      return Optional.empty();
    }
    double entropy = 0;
    for (double share : shares.values()) {
      double p = share / all;
      entropy -= p > 0 ? p * Math.log(p) : 0;
    }
    withOthers(check, means);
    return Optional.of(new Gain(check, means, entropy / (check.minutes() + BESIDE)));
  }

  /** What else could be seen is offered too, though nothing likely speaks for it. */
  private void withOthers(Check check, Map<String, List<Fault>> means) {
    Observation look = check.look();
    switch (look.kind()) {
      case HANDLE ->
          rig.part(look.on()).kind().positions().stream()
              .map(Position::id)
              .forEach(p -> means.putIfAbsent(p, List.of()));
      case INSPECT -> {
        means.putIfAbsent("fine", List.of());
        rig.parts().stream()
            .filter(p -> p.id().equals(look.on()))
            .flatMap(p -> p.kind().faults().stream())
            .map(PossibleFault::kind)
            .filter(k -> !k.isOfPosition() && k != FaultKind.NO_POWER)
            .forEach(k -> means.putIfAbsent(k.written(), List.of()));
      }
      case WATER, LEVEL, PUMP, DRAIN, WARMTH, WET, BUCKET, DIP, POWER ->
          look.kind().choices().stream()
              .filter(FaultFinder::isUsual)
              .forEach(v -> means.putIfAbsent(v, List.of()));
    }
  }

  private static boolean isUsual(String value) {
    return !Set.of("jumps", "trips", "slow", "gurgles", "smells", "spitting", "runs").contains(value)
        || value.equals("runs");
  }

  /** The faults that are mended as one: told apart on the bench only, or on neighbouring lines. */
  private Set<Fault> sameRepair(Fault first, List<Likely> top) {
    Set<Fault> same = new LinkedHashSet<>();
    same.add(first);
    for (Likely other : top) {
      Fault fault = other.fault();
      boolean onePart = fault.on().equals(first.on()) && bench(fault.kind()).equals(bench(first.kind()));
      boolean neighbours =
          fault.kind() == first.kind() && rig.lines().stream().anyMatch(l -> l.id().equals(first.on()))
              && areNeighbours(first.on(), fault.on());
      if (onePart && bench(first.kind()).isPresent() || neighbours) {
        same.add(fault);
      }
    }
    return same;
  }

  private static Optional<String> bench(FaultKind kind) {
    return switch (kind) {
      case WORN, RUNS_ON -> Optional.of("presses too little");
      case DEAD, SWITCH_OPEN -> Optional.of("does not start");
      case STUCK_CLOSED, REVERSED -> Optional.of("lets nothing through");
      default -> Optional.empty();
    };
  }

  private boolean areNeighbours(String one, String other) {
    return rig.lines().stream()
        .filter(l -> l.id().equals(one))
        .anyMatch(l ->
            rig.lines().stream()
                .filter(o -> o.id().equals(other))
                .anyMatch(o ->
                    Set.of(o.from().part(), o.to().part()).stream()
                        .anyMatch(p ->
                            (p.equals(l.from().part()) || p.equals(l.to().part()))
                                && rig.part(p).kind().ports().size() == 2)));
  }

  /** One look in one state is asked once, whatever was seen, and however its time was said. */
  private static Observation key(State noted, Observation look) {
    Map<String, String> otherwise = new TreeMap<>(look.positions());
    otherwise.entrySet().removeIf(e -> noted.setting().has(e.getKey(), e.getValue()));
    double seconds = look.seconds().orElse(0.0);
    boolean late = look.kind() == Look.LEVEL && seconds > 900 || look.kind() == Look.WATER && seconds > 60;
    return new Observation(look.kind(), look.on(), "", otherwise, late ? Optional.of(1.0) : Optional.empty());
  }

  /** Returns every fault that can be looked for on this rig, with its weight, for a table. */
  public Map<Fault, Double> suspects(State noted) {
    Map<Fault, Double> all = new LinkedHashMap<>();
    Suspects.of(rig, noted.setting()).forEach(s -> all.put(s.fault(), s.weight()));
    return all;
  }

  /** What somebody would see who looks at a rig with a fault; nothing where that is not known. */
  public synchronized Optional<String> see(Fault fault, Observation look, State noted) {
    return under(new Suspect(fault, 1)).flatMap(p -> p.value(look, noted, sound));
  }
}
