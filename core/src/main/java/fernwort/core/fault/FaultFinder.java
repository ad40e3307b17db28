package fernwort.core.fault;

import fernwort.core.fault.Checks.Check;
import fernwort.core.fault.Suspects.Suspect;
import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Position;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.ways.OpenWays;
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
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Finds out what is wrong with a rig: from what was seen to what is likely, and to the next thing
 * to look at. It keeps nothing but what it worked out about the rig, and can be asked by several.
 *
 * <p>Each fault weighs what it usually happens, times how well it fits each thing that was seen; a
 * person is now and then wrong. The next look is the one that tells most for its work. It ends when
 * one fault is left that does not hang on a single answer.
 */
public final class FaultFinder {

  /** What was seen is right so often (share); own choice. */
  private static final double RIGHT = 0.9;

  /** And so often one particular other thing was seen (share). */
  private static final double WRONG = 0.05;

  /** What is found where something is opened: it is well, or one of some faults (1). */
  private static final int INSPECTED = 5;

  /** A fault below this share is named no longer. */
  private static final double NAMED = 0.005;

  /** A fault below this share decides about no look. */
  private static final double COUNTS = 0.01;

  /** So many faults decide about the next look; own choice. */
  private static final int MOST = 16;

  /** A look takes so long beside its work (min): to read, to walk; own choice. */
  private static final double BESIDE = 8;

  /** A look that tells less (nat/min) is not worth it, if another tells more; own choice. */
  private static final double LEAST = 1e-3;

  /** One fault has such a share at the end. */
  private static final double CERTAIN = 0.9;

  /** And without any one answer it still has such a share. */
  private static final double STANDS = 0.42;

  /** A look that tells less about the fault that is all but certain is not asked for (nat). */
  private static final double CONFIRMS = 0.12;

  /** What is offered only where something likely speaks for it. */
  private static final Set<String> UNUSUAL =
      Set.of("jumps", "trips", "slow", "gurgles", "smells", "spitting", "runs");

  /** As likely as another (share of its share). */
  private static final double LEVEL_WITH = 0.9;

  /** So many looks are worth it (1); after that the likeliest is named. */
  private static final int LONGEST = 14;

  private final Rig rig;
  private final Prediction sound;
  private final Network network;
  private final Hazards hazards;
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
   * @param asNoted whether a sound rig would show all that was seen, as its handles are noted
   */
  public record Finding(List<Likely> likely, Optional<Next> next, boolean asNoted) {}

  private FaultFinder(Rig rig) {
    this.rig = rig;
    sound = Prediction.sound(rig);
    network = Network.of(rig);
    hazards = Hazards.of(network);
  }

  /** Prepares for a rig. */
  public static FaultFinder of(Rig rig) {
    return new FaultFinder(rig);
  }

  private Optional<Prediction> under(Suspect suspect) {
    return made.computeIfAbsent(suspect.fault(), f -> Prediction.under(rig, suspect, sound));
  }

  /**
   * Draws the rig with every fault there is, before anybody asks.
   *
   * @param noted handles and levels as far as anybody knows
   */
  public void prepare(State noted) {
    Suspects.of(network, noted.setting()).parallelStream().forEach(this::under);
  }

  /** How lines are felt along: one by one, as programs ask, or all in a place, as people do. */
  public enum Feeling {
    ONE_BY_ONE,
    PLACE_BY_PLACE
  }

  /**
   * Returns what is likely and what to look at next.
   *
   * @param noted handles and levels as far as anybody knows
   * @param seen what was seen, as it was asked
   * @param feeling how lines are felt along
   */
  public synchronized Finding find(State noted, List<Observation> seen, Feeling feeling) {
    List<Observation> told =
        seen.stream().filter(o -> !o.value().equals(Observation.UNSURE)).toList();
    List<Suspect> suspects =
        Suspects.of(network, noted.setting()).parallelStream()
            .filter(s -> under(s).isPresent())
            .toList();
    Fits fits = new Fits(noted, suspects, told);
    List<Likely> all = fits.belief(-1);
    List<Likely> named = all.stream().filter(l -> l.share() > NAMED).toList();
    boolean asNoted = !told.isEmpty() && fits.odd(noted).isEmpty();
    if (named.isEmpty() || seen.isEmpty()) {
      return new Finding(named, Optional.empty(), asNoted);
    }
    Group group = group(all);
    // Of several that are mended as one, one is still looked at before it is named.
    boolean looked = group.faults().size() == 1 || seen.stream().anyMatch(o -> o.kind().isOfOne());
    boolean certain = group.share() >= CERTAIN && looked;
    Optional<List<Likely>> doubted = certain ? fits.doubted(group.faults()) : Optional.of(all);
    Optional<Next> next =
        doubted.isEmpty() || seen.size() >= LONGEST
            ? Optional.empty()
            : next(noted, seen, new Open(fits, doubted.get(), certain, group.faults(), feeling));
    return new Finding(next.isEmpty() ? group.first(named) : named, next, asNoted);
  }

  /**
   * Faults that are mended as one.
   *
   * @param of the one that stands for them
   * @param share of all that is possible (1)
   */
  private record Group(Fault of, Set<Fault> faults, double share) {

    /** The list with the one that stands for the group before what is no likelier. */
    private List<Likely> first(List<Likely> named) {
      double top = named.getFirst().share();
      List<Likely> ordered = new ArrayList<>(named);
      named.stream()
          .filter(l -> l.fault().equals(of) && l.share() > LEVEL_WITH * top)
          .findFirst()
          .ifPresent(l -> {
            ordered.remove(l);
            ordered.addFirst(l);
          });
      return ordered;
    }
  }

  /** The likeliest group: that of one of the likeliest faults. */
  private Group group(List<Likely> all) {
    double top = all.getFirst().share();
    return all.stream()
        .filter(l -> l.share() > LEVEL_WITH * top)
        .map(l -> {
          Set<Fault> same = sameRepair(l.fault(), all);
          double share =
              all.stream().filter(o -> same.contains(o.fault())).mapToDouble(Likely::share).sum();
          return new Group(l.fault(), same, share);
        })
        .max(Comparator.comparingDouble(Group::share))
        .orElseThrow();
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
        odd[o] = !sound.value(told.get(o), noted, sound).equals(Optional.of(told.get(o).value()));
        anyOdd |= odd[o];
      }
      List<List<Optional<String>>> all =
          suspects.parallelStream()
              .map(s -> {
                Prediction under = under(s).orElseThrow();
                return told.stream().map(o -> under.value(o, noted, sound)).toList();
              })
              .toList();
      for (int s = 0; s < fit.length; s++) {
        explains[s] = !anyOdd;
        for (int o = 0; o < told.size(); o++) {
          Optional<String> would = all.get(s).get(o);
          boolean fits = would.filter(told.get(o).value()::equals).isPresent();
          double other = wrong(told.get(o));
          fit[s][o] = fits ? RIGHT : near(told.get(o), would) ? 2 * other : other;
          explains[s] |= fits && odd[o];
        }
      }
    }

    /** How often one particular other thing is seen: by how many there are. */
    private double wrong(Observation seen) {
      int values =
          seen.kind() == Look.INSPECT
              ? INSPECTED
              : Math.max(
                  2,
                  (int)
                      seen.kind().choices().stream().filter(v -> isUsual(seen.kind(), v)).count());
      return Math.min(WRONG, (1 - RIGHT) / (values - 1));
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

    /** Returns what was seen that a sound rig would not show. */
    private List<Observation> odd(State noted) {
      return told.stream()
          .filter(o -> !sound.value(o, noted, sound).equals(Optional.of(o.value())))
          .toList();
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

    /**
     * Returns what is likely without the one answer that speaks most for a set of faults; nothing
     * where the set stands without any answer.
     */
    private Optional<List<Likely>> doubted(Set<Fault> one) {
      Optional<List<Likely>> doubted = Optional.empty();
      double least = STANDS;
      for (int o = 0; o < told.size(); o++) {
        List<Likely> without = belief(o);
        double share =
            without.stream().filter(l -> one.contains(l.fault())).mapToDouble(Likely::share).sum();
        if (share < least) {
          least = share;
          doubted = Optional.of(without);
        }
      }
      return doubted;
    }
  }

  private record Gain(Check check, Map<String, List<Fault>> means, double perMinute) {}

  /**
   * What is still open.
   *
   * @param all the faults that decide about the next look
   * @param certain whether one is left, and only to be confirmed
   * @param one that one, with what is mended as one with it
   */
  private record Open(
      Fits fits, List<Likely> all, boolean certain, Set<Fault> one, Feeling feeling) {}

  private Optional<Next> next(State noted, List<Observation> seen, Open open) {
    List<Likely> all = open.all();
    boolean certain = open.certain();
    Set<Fault> one = open.one();
    List<Likely> top = all.stream().filter(l -> l.share() > COUNTS).limit(MOST).toList();
    Set<Observation> done = new HashSet<>();
    seen.forEach(o -> done.add(key(noted, o)));
    Map<Fault, Double> weights = new LinkedHashMap<>();
    top.forEach(l -> weights.put(l.fault(), l.share()));
    if (certain) {
      all.stream()
          .filter(l -> one.contains(l.fault()))
          .forEach(l -> weights.put(l.fault(), l.share()));
    }
    List<Check> checks =
        Checks.of(rig, noted.setting(), open.fits().odd(noted), open.feeling()).stream()
            .filter(c -> !done.contains(key(noted, c.look())) && !isCovered(c.look(), seen))
            .toList();
    // Worked out fault by fault, several at once; what comes after finds the answers there.
    weights.keySet().parallelStream()
        .map(f -> Objects.requireNonNull(made.get(f)).orElseThrow())
        .forEach(under -> checks.forEach(c -> under.value(c.look(), noted, sound)));
    return checks.stream()
        .map(c -> gain(c, noted, weights, certain ? one : Set.of()))
        .flatMap(Optional::stream)
        .filter(g -> g.perMinute() > LEAST)
        .sorted(Comparator.comparingDouble(Gain::perMinute).reversed())
        .filter(g -> isSafe(noted, g.check().look()))
        .findFirst()
        .map(g -> new Next(g.check().look(), g.means()));
  }

  /** Tells whether the handles that a look turns bring no danger that is not there before. */
  private boolean isSafe(State noted, Observation look) {
    if (look.positions().isEmpty()) {
      return true;
    }
    State turned = noted;
    for (Map.Entry<PartId, PositionId> turn : look.positions().entrySet()) {
      turned = turned.with(turn.getKey(), turn.getValue());
    }
    Set<Warning.Key> before = dangers(noted);
    return before.containsAll(dangers(turned));
  }

  private Set<Warning.Key> dangers(State state) {
    return hazards
        .withPower(state.setting(), Levels.of(network, state), OpenWays.find(network, state))
        .stream()
        .filter(w -> w.severity() == Severity.DANGER)
        .map(Warning::key)
        .collect(Collectors.toSet());
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
    double told = one.isEmpty() ? entropy(shares, all) : confirms(shares, ofOne, all);
    if (!one.isEmpty() && told < CONFIRMS) {
      return Optional.empty();
    }
    withOthers(check, means);
    return Optional.of(new Gain(check, means, told / (check.minutes() + BESIDE)));
  }

  /** What is learned when each value comes with a share of all (nat). */
  private static double entropy(Map<String, Double> shares, double all) {
    double entropy = 0;
    for (double share : shares.values()) {
      entropy -= plogp(share / all);
    }
    return entropy;
  }

  private static double plogp(double p) {
    return p > 0 ? p * Math.log(p) : 0;
  }

  /** What is learned about whether it is one of some faults (nat). */
  private static double confirms(
      Map<String, Double> shares, Map<String, Double> ofOne, double all) {
    double one = ofOne.values().stream().mapToDouble(Double::doubleValue).sum() / all;
    double left = 0;
    for (Map.Entry<String, Double> e : shares.entrySet()) {
      double p = ofOne.getOrDefault(e.getKey(), 0.0) / e.getValue();
      left -= e.getValue() / all * (plogp(p) + plogp(1 - p));
    }
    return -plogp(one) - plogp(1 - one) - left;
  }

  /** What else could be seen is offered too, though nothing likely speaks for it. */
  private void withOthers(Check check, Map<String, List<Fault>> means) {
    Observation look = check.look();
    switch (look.kind()) {
      case HANDLE ->
          rig.part(look.on().part()).kind().positions().stream()
              .map(Position::id)
              .forEach(p -> means.putIfAbsent(p.value(), List.of()));
      case INSPECT -> {
        means.putIfAbsent(Observation.FINE, List.of());
        Observation.linesIn(rig, look.on())
            .forEach(l -> means.putIfAbsent(l.id().value(), List.of()));
        rig.parts().stream()
            .filter(p -> p.id().equals(look.on()))
            .flatMap(p -> p.kind().faults().stream())
            .map(PossibleFault::kind)
            .filter(k -> !k.isOfPosition() && k != FaultKind.NO_POWER)
            .forEach(k -> means.putIfAbsent(k.written(), List.of()));
      }
      case WATER, LEVEL, PUMP, DRAIN, WARMTH, WET, BUCKET, DIP, POWER ->
          look.kind().choices().stream()
              .filter(v -> isUsual(look.kind(), v))
              .forEach(v -> means.putIfAbsent(v, List.of()));
    }
  }

  private static boolean isUsual(Look kind, String value) {
    return kind == Look.PUMP && value.equals("runs") || !UNUSUAL.contains(value);
  }

  /** The faults that are mended as one: told apart on the bench only, or on neighbouring lines. */
  private Set<Fault> sameRepair(Fault first, List<Likely> top) {
    Set<Fault> same = new LinkedHashSet<>();
    same.add(first);
    for (Likely other : top) {
      Fault fault = other.fault();
      boolean onePart =
          fault.on().equals(first.on()) && bench(fault.kind()).equals(bench(first.kind()));
      boolean neighbours = fault.kind() == first.kind() && areNeighbours(first.on(), fault.on());
      if (onePart && bench(first.kind()).isPresent() || neighbours) {
        same.add(fault);
      }
    }
    return same;
  }

  /** What only a bench tells apart. */
  private enum Bench {
    PRESSURE,
    START,
    PASSAGE,
    CONTENTS
  }

  private static Optional<Bench> bench(FaultKind kind) {
    return switch (kind) {
      case WORN, RUNS_ON -> Optional.of(Bench.PRESSURE);
      case DEAD, SWITCH_OPEN -> Optional.of(Bench.START);
      case STUCK_CLOSED, REVERSED -> Optional.of(Bench.PASSAGE);
      case EMPTIER, GAUGE_STUCK -> Optional.of(Bench.CONTENTS);
      default -> Optional.empty();
    };
  }

  /** Lines that one part joins, with nothing else at it. */
  private boolean areNeighbours(ElementId one, ElementId other) {
    return lines(one).anyMatch(l -> lines(other).anyMatch(o -> !l.equals(o) && meet(l, o)));
  }

  private Stream<Line> lines(ElementId id) {
    return rig.lines().stream().filter(l -> l.id().equals(id));
  }

  private boolean meet(Line one, Line other) {
    return Stream.of(one.from().part(), one.to().part())
        .filter(p -> p.equals(other.from().part()) || p.equals(other.to().part()))
        .anyMatch(p -> rig.part(p).kind().ports().size() == 2);
  }

  /** One look in one state is asked once, whatever was seen, and however its time was said. */
  private static Observation key(State noted, Observation look) {
    Map<PartId, PositionId> otherwise = new TreeMap<>(look.positions());
    otherwise.entrySet().removeIf(e -> noted.setting().has(e.getKey(), e.getValue()));
    double seconds = look.seconds().orElse(0.0);
    boolean late =
        look.kind() == Look.LEVEL && seconds > 900 || look.kind() == Look.WATER && seconds > 60;
    return new Observation(
        look.kind(), look.on(), "", otherwise, late ? Optional.of(1.0) : Optional.empty());
  }

  /** Who has felt along all lines of a place, or found it dry, has looked at each of them. */
  private boolean isCovered(Observation look, List<Observation> seen) {
    return (look.kind() == Look.WET || look.kind() == Look.INSPECT)
        && seen.stream()
            .filter(o -> o.kind() == look.kind() && !o.value().equals(Observation.UNSURE))
            .filter(o -> look.kind() == Look.INSPECT || o.value().equals("dry"))
            .anyMatch(
                o -> Observation.linesIn(rig, o.on()).anyMatch(l -> l.id().equals(look.on())));
  }

  /** Returns every fault that can be looked for on this rig, with its weight, for a table. */
  public Map<Fault, Double> suspects(State noted) {
    Map<Fault, Double> all = new LinkedHashMap<>();
    Suspects.of(network, noted.setting()).forEach(s -> all.put(s.fault(), s.weight()));
    return all;
  }

  /**
   * Returns a sign by which a fault shows, as people come across it: at a tap, a pump, a level, on
   * the floor; nothing where it does not.
   */
  public Optional<Observation> sign(Fault fault, State noted) {
    Optional<Prediction> under = under(new Suspect(fault, 1));
    return under.flatMap(p ->
        Checks.of(rig, noted.setting(), List.of(), Feeling.PLACE_BY_PLACE).stream()
            .map(Check::look)
            .filter(l -> !l.kind().isOfOne())
            .map(l ->
                p.value(l, noted, sound)
                    .filter(v -> !sound.value(l, noted, sound).equals(Optional.of(v)))
                    .map(l::seen))
            .flatMap(Optional::stream)
            .findFirst());
  }

  /** Returns all that can be looked at. */
  public List<Observation> looks(State noted) {
    return Checks.of(rig, noted.setting(), List.of(), Feeling.PLACE_BY_PLACE).stream()
        .map(Check::look)
        .toList();
  }

  /** Tells whether one repair mends both. */
  public boolean isMendedAs(Fault one, Fault other) {
    return sameRepair(one, List.of(new Likely(other, 1))).contains(other);
  }

  /** What somebody would see who looks at a rig with a fault; nothing where that is not known. */
  public Optional<String> see(Fault fault, Observation look, State noted) {
    return under(new Suspect(fault, 1)).flatMap(p -> p.value(look, noted, sound));
  }
}
