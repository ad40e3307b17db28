package fernwort.core.jobs;

import fernwort.core.effort.Effort;
import fernwort.core.hazard.Warning;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.jobs.Trial.Act;
import fernwort.core.jobs.Trial.Pause;
import fernwort.core.jobs.Trial.Thing;
import fernwort.core.jobs.Trial.Turned;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Position;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.run.Happening;
import fernwort.core.run.HappeningWords;
import fernwort.core.say.Amount;
import fernwort.core.say.Saying;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What every single slip in a job leads to: each is done in the simulation as it would be done by
 * hand, left alone for twenty minutes, and held against the job done right.
 */
public final class Slips {

  /** How long the rig is left alone at the end (s). */
  private static final double ALONE = 1200;

  private static final double BUCKET = 1e-2;
  private static final double HALF = 0.5;

  private final Plumbing plumbing;
  private final Rig rig;
  private final Plans plans;
  private final Trial trial;
  private final boolean lastLook;

  private Slips(Plumbing plumbing, Plans plans, boolean lastLook) {
    this.plumbing = plumbing;
    this.lastLook = lastLook;
    this.plans = plans;
    rig = plumbing.rig();
    trial = new Trial(plumbing, Hydraulics.of(plumbing));
  }

  /** Prepares a rig. */
  public static Slips of(Plumbing plumbing, Plans plans) {
    return new Slips(plumbing, plans, false);
  }

  /** The same, by somebody who looks round before leaving: pumps off, taps shut, hoses off. */
  public Slips withLastLook() {
    return new Slips(plumbing, plans, true);
  }

  /** A slip to be tried: what is done in place of what the plan says. */
  private record Try(Slip.Kind kind, int step, Saying words, List<Act> acts) {}

  /**
   * Returns every slip of a job from how things stand, the worst first. Taps are taken to be shut
   * before the job begins, so that what they do is not put down to a slip.
   */
  public List<Slip> of(Job job, State stands) {
    State from = stands;
    for (Part part : rig.parts()) {
      if (part.kind() instanceof Kind.Fixture) {
        from = from.with(part.id(), part.rest().id());
      }
    }
    Plan plan = plans.plan(job, from);
    if (plan.trouble().isPresent()) {
      // What cannot be done right cannot be done wrong either: there is nothing to hold it against.
      return List.of();
    }
    List<Act> right = Trial.acts(plan);
    List<Act> ended = ended(right);
    Map<String, String> taps = job.taps();
    Trial.Course meant = trial.run(from, ended, taps);
    Set<List<Act>> tried = new HashSet<>();
    tried.add(ended);
    List<Try> tries = tries(plan, from, right).stream().filter(t -> tried.add(t.acts())).toList();
    return judged(tries, meant, from);
  }

  /** Tries them all, side by side; the worst comes first. */
  private List<Slip> judged(List<Try> tries, Trial.Course meant, State from) {
    return tries.parallelStream()
        .map(Effort.carried((Try t) -> judge(t, meant.outcome(), trial.run(meant, t.acts()), from)))
        .sorted(
            Comparator.comparing(Slip::grade)
                .thenComparing(Comparator.comparingDouble(Slip::lost).reversed())
                .thenComparingInt(Slip::step))
        .toList();
  }

  /** Returns what each handle, bumped while the rig is at rest as it stands, leads to. */
  public List<Slip> bumps(State rest) {
    Trial.Course meant = trial.run(rest, List.of(new Pause(ALONE)), Map.of());
    List<Try> bumps = new ArrayList<>();
    for (Part part : rig.handles().filter(Slips::canBeBumped).toList()) {
      for (Position position : part.kind().positions()) {
        if (!position.id().equals(rest.setting().of(part.id()))) {
          bumps.add(
              new Try(
                  Slip.Kind.BUMPED,
                  -1,
                  Saying.of("{} is bumped: {}.", part.label(), position.words()),
                  List.of(new Turned(part.id(), position.id()), new Pause(ALONE))));
        }
      }
    }
    return judged(bumps, meant, rest);
  }

  private static boolean canBeBumped(Part part) {
    return !(part.kind() instanceof Kind.HoseInlet)
        && !(part.kind() instanceof Kind.PortableContainer);
  }

  // --- what can be done wrong ------------------------------------------------------------------

  private List<Try> tries(Plan plan, State from, List<Act> right) {
    List<Try> tries = new ArrayList<>();
    for (int i = 0; i < right.size(); i++) {
      switch (plan.steps().get(i)) {
        case Step.Move move -> atMove(plan, right, i, move, tries);
        case Step.Wait wait -> atWait(from, right, i, wait, tries);
      }
    }
    if (right.stream().noneMatch(Pause.class::isInstance)) {
      powerLost(from, right, right.size(), tries);
    }
    tapsOpen(right, tries);
    return tries;
  }

  private void atMove(Plan plan, List<Act> right, int i, Step.Move move, List<Try> tries) {
    String label = label(move.part());
    Part part = rig.part(move.part());
    String twice = part.kind().positions().size() == 2 ? ", or turned and turned back." : ".";
    tries.add(
        new Try(
            Slip.Kind.MISSED,
            i,
            Saying.words(label + " is forgotten" + twice),
            ended(without(right, i))));
    if (part.kind() instanceof Kind.ThreeWayValve valve) {
      for (Position position : valve.positions()) {
        if (!position.id().equals(move.to()) && !position.id().equals(move.from())) {
          tries.add(
              new Try(
                  Slip.Kind.TOO_FAR,
                  i,
                  Saying.of("{} is turned too far: {}.", label, position.words()),
                  ended(with(right, i, new Turned(part.id(), position.id())))));
        }
      }
    }
    if (i + 1 < right.size() && plan.steps().get(i + 1) instanceof Step.Move next) {
      List<Act> swapped = new ArrayList<>(right);
      swapped.set(i, right.get(i + 1));
      swapped.set(i + 1, right.get(i));
      tries.add(
          new Try(
              Slip.Kind.SWAPPED,
              i,
              Saying.of("{} is done before {}.", label(next.part()), label),
              ended(swapped)));
    }
    for (Part other : neighbours(part)) {
      Position next = nextPosition(other, plan, i);
      tries.add(
          new Try(
              Slip.Kind.NEIGHBOUR,
              i,
              Saying.of("{} is turned in place of {}.", other.label(), label),
              ended(with(right, i, new Turned(other.id(), next.id())))));
    }
  }

  /** Handles of the same sort within reach. */
  private List<Part> neighbours(Part part) {
    boolean valve = part.kind() instanceof Kind.Valve;
    return rig.handles()
        .filter(p -> p.place().equals(part.place()) && !p.equals(part))
        .filter(p ->
            valve ? p.kind() instanceof Kind.Valve : p.kind().getClass() == part.kind().getClass())
        .toList();
  }

  private Position nextPosition(Part part, Plan plan, int before) {
    String now = plan.after().setting().of(part.id());
    for (int i = plan.steps().size() - 1; i >= 0; i--) {
      if (plan.steps().get(i) instanceof Step.Move m && m.part().equals(part.id())) {
        now = i >= before ? m.from() : now;
      }
    }
    List<Position> positions = part.kind().positions();
    String at = now;
    int index =
        positions.indexOf(
            positions.stream()
                .filter(p -> p.id().equals(at))
                .findFirst()
                .orElse(positions.getFirst()));
    return positions.get((index + 1) % positions.size());
  }

  private void atWait(State from, List<Act> right, int i, Step.Wait wait, List<Try> tries) {
    if (wait.seconds().isKnown()) {
      List<Act> overrun = new ArrayList<>(right.subList(0, i + 1));
      tries.add(
          new Try(
              Slip.Kind.OVERRUN,
              i,
              Saying.of("Nobody comes back: “{}” is never ended.", wait.words()),
              left(overrun)));
    }
    powerLost(from, right, i, tries);
  }

  /**
   * The power fails after so many acts: heaters go out, pumps stop, motors fall back. What hands
   * still can do is done to its end, for somebody is there.
   */
  private void powerLost(State from, List<Act> right, int after, List<Try> tries) {
    List<Act> dark = new ArrayList<>(right.subList(0, after));
    rig.parts().stream()
        .sorted(Comparator.comparing(p -> !(p.kind() instanceof Kind.Heater)))
        .forEach(p ->
            p.kind()
                .unpowered()
                .filter(rest -> !rest.equals(stands(from, p, right, after)))
                .ifPresent(rest -> dark.add(new Turned(p.id(), rest))));
    if (dark.size() > after) {
      right.subList(after, right.size()).stream().filter(this::goesByHand).forEach(dark::add);
      String when = after == 0 ? "before it begins." : "at this point.";
      tries.add(
          new Try(
              Slip.Kind.POWER_LOST,
              Math.min(after, right.size() - 1),
              Saying.words("The power fails " + when),
              left(dark)));
    }
  }

  /** Tells whether an act needs no power: what would only switch something on comes to nothing. */
  private boolean goesByHand(Act act) {
    return !(act instanceof Turned turned)
        || rig.part(turned.part())
            .kind()
            .unpowered()
            .filter(rest -> !rest.equals(turned.position()))
            .isEmpty();
  }

  /** Where a part stands after so many acts. */
  private static String stands(State from, Part part, List<Act> acts, int after) {
    String at = from.setting().of(part.id());
    for (Act act : acts.subList(0, after)) {
      if (act instanceof Turned turned && turned.part().equals(part.id())) {
        at = turned.position();
      }
    }
    return at;
  }

  /** A tap left open that drains into a tank, and one that drains onto the ground. */
  private void tapsOpen(List<Act> right, List<Try> tries) {
    for (boolean drained : new boolean[] {true, false}) {
      rig.parts().stream()
          .filter(p -> p.kind() instanceof Kind.Fixture)
          .filter(p -> p.kind().ports().contains("waste") == drained)
          .findFirst()
          .ifPresent(tap -> {
            List<Act> open = new ArrayList<>();
            open.add(new Turned(tap.id(), ((Kind.Fixture) tap.kind()).cold().id()));
            open.addAll(right);
            tries.add(
                new Try(
                    Slip.Kind.TAP_OPEN,
                    -1,
                    Saying.of("{} was left open all the while.", tap.label()),
                    ended(open)));
          });
    }
  }

  private static List<Act> without(List<Act> acts, int i) {
    List<Act> fewer = new ArrayList<>(acts);
    fewer.remove(i);
    return fewer;
  }

  private static List<Act> with(List<Act> acts, int i, Act other) {
    List<Act> changed = new ArrayList<>(acts);
    changed.set(i, other);
    return changed;
  }

  /** Done, looked over if that is the habit, and left alone. */
  private List<Act> ended(List<Act> acts) {
    List<Act> ended = new ArrayList<>(acts);
    ended.add(new Trial.Serve());
    if (lastLook) {
      lookedOver().forEach((part, position) -> ended.add(new Turned(part, position)));
    }
    ended.add(new Pause(ALONE));
    return ended;
  }

  /** Left alone as it is, with nobody there to look. */
  private static List<Act> left(List<Act> acts) {
    List<Act> left = new ArrayList<>(acts);
    left.add(new Trial.Serve());
    left.add(new Pause(ALONE));
    return left;
  }

  /** What a last look around sets right: pumps off, taps shut, hoses off, caps on. */
  private Map<String, String> lookedOver() {
    return rig.shutDown();
  }

  // --- what it leads to ------------------------------------------------------------------------

  private Slip judge(Try t, Trial.Outcome meant, Trial.Outcome came, State from) {
    List<Saying> leads = new ArrayList<>();
    Slip.Grade grade = Slip.Grade.HARMLESS;
    double after = Double.POSITIVE_INFINITY;
    boolean broken = false;
    for (Map.Entry<Warning.Key, Double> danger : came.dangers().entrySet()) {
      if (!meant.dangers().containsKey(danger.getKey())) {
        leads.add(Saying.words(danger(danger.getKey())));
        grade = Slip.Grade.GRAVE;
        after = Math.min(after, danger.getValue());
      }
    }
    for (Map.Entry<Thing, Double> thing : came.happenings().entrySet()) {
      Optional<String> words =
          meant.happenings().containsKey(thing.getKey()) ? Optional.empty() : harm(thing.getKey());
      if (words.isPresent()) {
        leads.add(Saying.of("{} after {}", words.get(), Amount.time(thing.getValue())));
        after = Math.min(after, thing.getValue());
        broken |= breaks(thing.getKey().kind());
        grade = worse(grade, broken ? Slip.Grade.GRAVE : Slip.Grade.BAD);
      }
    }
    double lost = 0;
    for (Map.Entry<String, Double> out : came.out().entrySet()) {
      double more = out.getValue() - meant.out().getOrDefault(out.getKey(), 0.0);
      if (more > StageRun.SPLASH) {
        lost += more;
        leads.add(Saying.of("{} run out at {}", Amount.volume(more), label(out.getKey())));
        grade = worse(grade, Slip.Grade.BAD);
        Thing runs = new Thing(Happening.Kind.RUNS_OUT, out.getKey());
        after = Math.min(after, came.happenings().getOrDefault(runs, after));
      }
    }
    if (grade == Slip.Grade.HARMLESS && isUndone(meant, came, from)) {
      leads.add(Saying.of("the job does not get done"));
      grade = Slip.Grade.NUISANCE;
    }
    boolean boils =
        came.dangers().keySet().stream().anyMatch(d -> d.code() == Warning.Code.HEATER_DRY);
    return new Slip(
        t.kind(),
        t.step(),
        t.words(),
        grade,
        Double.isFinite(after) ? after : 0,
        lost,
        leads.isEmpty() ? Saying.of("Nothing comes of it.") : sentence(leads),
        undone(grade, broken || boils, lost));
  }

  private static Slip.Grade worse(Slip.Grade a, Slip.Grade b) {
    return a.compareTo(b) <= 0 ? a : b;
  }

  private static boolean breaks(Happening.Kind kind) {
    return switch (kind) {
      case BULGES, SUCKED_IN, DRAWS_AIR -> true;
      case FULL,
          DRY,
          RUNS_OUT,
          SIPHONS,
          CYCLES,
          RESTS,
          POURED_OUT,
          BACKS_UP,
          FLOAT_SHUTS,
          HOT,
          HAND ->
          false;
    };
  }

  /** What runs out is told by its litres instead. */
  private Optional<String> harm(Thing thing) {
    Happening begun = new Happening(0, thing.kind(), thing.subject(), true);
    return thing.kind() == Happening.Kind.RUNS_OUT
        ? Optional.empty()
        : HappeningWords.harm(rig, begun);
  }

  private String danger(Warning.Key key) {
    String first = label(key.parts().getFirst());
    return switch (key.code()) {
      case UNSAFE_WATER ->
          "water that is not fit to drink gets from %s to %s"
              .formatted(first, label(key.parts().getLast()));
      case BACKFLOW -> first + " can run back into the public tap";
      default -> first + " heats without water";
    };
  }

  /**
   * Tells whether the job is not done: a tap gives less than half of what it should, or a tank's
   * water moved less than half as far as it should have.
   */
  private boolean isUndone(Trial.Outcome meant, Trial.Outcome came, State from) {
    boolean dry =
        meant.served().entrySet().stream()
            .anyMatch(t ->
                came.served().getOrDefault(t.getKey(), 0.0) < HALF * t.getValue()
                    && t.getValue() > Flows.TRICKLE);
    return dry
        || plumbing.tanks().stream()
            .map(Part::id)
            .anyMatch(t -> {
              double should = meant.end().volume(t) - from.volume(t);
              double did = came.end().volume(t) - from.volume(t);
              return Math.abs(should) > StageRun.SPLASH
                  && Math.abs(did - should) > HALF * Math.abs(should);
            });
  }

  private static String undone(Slip.Grade grade, boolean broken, double lost) {
    return switch (grade) {
      case HARMLESS -> "";
      case NUISANCE -> "Yes: set it right and go on.";
      case BAD ->
          lost > BUCKET ? "No: the water is gone." : "Yes, but for the water that was spilt.";
      case GRAVE ->
          broken
              ? "Only if it is caught at once: what gave way or ran hot stays so."
              : "No: do not drink; flush and sanitize, and tell whoever shares the tap.";
    };
  }

  private static Saying sentence(List<Saying> parts) {
    return Saying.of("{}.", Saying.joined("; ", parts).capitalised());
  }

  private String label(String part) {
    return rig.part(part).label();
  }
}
