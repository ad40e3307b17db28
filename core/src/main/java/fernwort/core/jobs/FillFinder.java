package fernwort.core.jobs;

import fernwort.core.hazard.Warning;
import fernwort.core.jobs.Job.Stage;
import fernwort.core.jobs.Job.Until;
import fernwort.core.plumbing.Connections;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Contents;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Position;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.rig.TankPort;
import fernwort.core.say.Amount;
import fernwort.core.say.Saying;
import fernwort.core.ways.Source;
import fernwort.core.ways.Turns;
import fernwort.core.ways.Turns.Pumped;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Finds the ways to fill fresh tanks. */
final class FillFinder extends Finder {

  FillFinder(Plumbing plumbing, List<Job> jobs, List<Jobs.Cannot> cannot) {
    super(plumbing, jobs, cannot);
  }

  @Override
  void find() {
    fill();
  }

  private void fill() {
    for (Part tank : filled) {
      int before = found();
      for (Part inlet : inlets) {
        fillFromMains(tank, inlet, inlets.size() > 1);
        fillFromOutside(tank, inlet);
      }
      fillers().forEach(f -> fillByHand(tank, f));
      jugs.forEach(j -> fillFromJug(tank, j));
      jugs.forEach(j -> fillFromBladder(tank, j));
      if (found() == before && !isFilledThroughAnother(tank)) {
        missing(
            "Fill " + tank.label(),
            "It needs a hose inlet or a filler with a line to "
                + tank.label()
                + ", or another tank that overflows into it.");
      }
    }
    inlets.forEach(inlet -> fillAll(inlet));
    inlets.forEach(inlet -> fillThrough(inlet));
    fillers().forEach(this::fillTogether);
    fillers().forEach(this::pourThrough);
  }

  private List<Part> fillers() {
    return parts(p -> p.kind() instanceof Kind.GravityFiller);
  }

  private boolean isFilledThroughAnother(Part tank) {
    return inlets.stream()
            .filter(Finder::hasMains)
            .anyMatch(inlet -> isFilledThroughAnother(tank, List.of(inlet)))
        || isFilledThroughAnother(tank, fillers());
  }

  private boolean isFilledThroughAnother(Part tank, List<Part> from) {
    return filled.stream()
        .filter(first -> from.stream().anyMatch(f -> joins(f.id(), first.id(), Pumped.NO)))
        .anyMatch(first -> chain(first, from).contains(tank));
  }

  /** Tanks that fill one from the next: by what runs over, or through the link that joins them. */
  private void fillThrough(Part inlet) {
    for (Part first : filled) {
      if (!hasMains(inlet) || !joins(inlet.id(), first.id(), Pumped.NO)) {
        continue;
      }
      List<Part> chain = chain(first, List.of(inlet));
      if (chain.size() > 1) {
        boolean linked = linked(chain);
        fromTap(
            inlet,
            Job.Kind.FILL_ALL,
            "fill-through-" + first.id() + "-" + inlet.id(),
            Saying.words(through(linked)),
            names(chain, linked),
            linked ? throughLink(chain, inlet) : overflowing(chain, inlet));
      }
    }
  }

  /** The same poured in by hand: what comes to the first goes on to the others. */
  private void pourThrough(Part filler) {
    for (Part first : filled) {
      List<Part> chain =
          joins(filler.id(), first.id(), Pumped.NO) ? chain(first, fillers()) : List.of();
      if (chain.size() > 1) {
        boolean linked = linked(chain);
        add(
            Job.Kind.FILL_ALL,
            "pour-through-" + first.id() + "-" + filler.id(),
            through(linked),
            "by hand at %s: %s".formatted(filler.label(), names(chain, linked)),
            List.of(
                Stage.of(
                    poured(List.of(first), filler)
                        .letting(between(chain))
                        .and(linked ? joined(chain) : fillable(chain)),
                    new Until(Until.What.RUNS, first.id())),
                capped(filler)),
            Caution.DRINKING_HOSE,
            Caution.STAY);
      }
    }
  }

  private static String through(boolean linked) {
    return linked
        ? "Fill tanks together through their link"
        : "Fill all fresh tanks, one after another";
  }

  private static String names(List<Part> chain, boolean linked) {
    List<String> labels = chain.stream().map(Part::label).toList();
    int last = labels.size() - 1;
    return linked
        ? String.join(", ", labels.subList(0, last)) + " and " + labels.get(last)
        : String.join(", then ", labels);
  }

  private List<Stage> overflowing(List<Part> chain, Part inlet) {
    Goal goal = filling(chain.getFirst(), inlet).goal();
    return List.of(Stage.of(goal, new Until(Until.What.FULL, chain.getLast().id())));
  }

  /**
   * Fills tanks through the link between them. One lags behind in a narrow link, so they are let
   * come to one level and filled up once more.
   */
  private List<Stage> throughLink(List<Part> chain, Part inlet) {
    Part first = chain.getFirst();
    Stage filling =
        Stage.of(
            filling(first, inlet).goal().letting(between(chain)).and(joined(chain)),
            new Until(Until.What.FIRST_FULL, first.id()));
    Stage levelling =
        Stage.of(
            Goal.of(Map.of(inlet.id(), Kind.HoseInlet.HOSE.id()))
                .letting(between(chain))
                .and(joined(chain)),
            new Until(Until.What.LEVEL, first.id()));
    return List.of(filling, levelling, filling);
  }

  /** Water may run from each tank of a chain to its neighbours. */
  private static List<Need> between(List<Part> chain) {
    List<Need> between = new ArrayList<>();
    for (int i = 1; i < chain.size(); i++) {
      between.add(Need.of(tank(chain.get(i - 1)), into(chain.get(i)), FALLING));
      between.add(Need.of(tank(chain.get(i)), into(chain.get(i - 1)), FALLING));
    }
    return between;
  }

  /** Each tank of a chain is linked with the one before it and can be filled. */
  private static List<Condition> joined(List<Part> chain) {
    List<Condition> joined = new ArrayList<>();
    for (int i = 1; i < chain.size(); i++) {
      joined.add(new Condition.Linked(chain.get(i - 1).id(), chain.get(i).id()));
    }
    joined.addAll(fillable(chain));
    return joined;
  }

  private static List<Condition> fillable(List<Part> chain) {
    List<Condition> fillable = new ArrayList<>();
    for (Part far : chain.subList(1, chain.size())) {
      fillable.add(new Condition.Breathes(far.id()));
      fillable.add(new Condition.Tight(far.id()));
    }
    return fillable;
  }

  /** The tanks that water from a first one comes to, one after another, and by no other way. */
  private List<Part> chain(Part first, List<Part> from) {
    List<Part> chain = new ArrayList<>(List.of(first));
    Optional<Part> next = next(first, chain, from);
    while (next.isPresent()) {
      chain.add(next.get());
      next = next(next.get(), chain, from);
    }
    return chain;
  }

  /** The one that it runs over into stands before others that a handle could join with it. */
  private Optional<Part> next(Part full, List<Part> but, List<Part> from) {
    return filled.stream()
        .filter(t -> !but.contains(t) && holdsTheSame(t, full))
        .filter(t -> from.stream().noneMatch(f -> joins(f.id(), t.id(), Pumped.NO)))
        .filter(t -> joins(full.id(), t.id(), Pumped.NO))
        .min(
            Comparator.comparing((Part t) -> !isJoinedAtRest(full, t))
                .thenComparingInt(t -> turns.from(full.id(), rest).to(t.id(), Pumped.NO))
                .thenComparing(Part::id));
  }

  private boolean isJoinedAtRest(Part near, Part far) {
    return Connections.of(plumbing, rest).route(near.id(), p -> false, far::equals).isPresent();
  }

  /**
   * Tells whether water passes between tanks of a chain long before they are full: of itself, or
   * through a valve where none runs over into the next.
   */
  private boolean linked(List<Part> chain) {
    Map<String, Double> half = new HashMap<>();
    plumbing.tanks().forEach(t -> half.put(t.id(), plumbing.room(t.id()).capacity() / 2));
    Turns low = Turns.of(plumbing, Levels.of(plumbing, new State(rest, half, Slope.LEVEL)));
    for (int i = 1; i < chain.size(); i++) {
      Part near = chain.get(i - 1);
      Part far = chain.get(i);
      int least = low.from(near.id(), rest).to(far.id(), Pumped.NO);
      if (least == 0 || least < Turns.NEVER && !isJoinedAtRest(near, far)) {
        return true;
      }
    }
    return false;
  }

  private static boolean holdsTheSame(Part a, Part b) {
    return ((Kind.Tank) a.kind()).contents() == ((Kind.Tank) b.kind()).contents();
  }

  private void fillFromMains(Part tank, Part inlet, boolean many) {
    if (hasMains(inlet) && joins(inlet.id(), tank.id(), Pumped.NO)) {
      String by = "from the mains" + (many ? " at " + inlet.label() : "");
      fromTap(
          inlet,
          Job.Kind.FILL_FROM_MAINS,
          "fill-" + tank.id() + "-" + inlet.id(),
          Saying.words("Fill " + tank.label()),
          by,
          List.of(filling(tank, inlet)));
      fillToFloats(tank, inlet, by);
    }
  }

  /**
   * A tank with several floats can be filled to each below the highest, which then shuts it off.
   */
  private void fillToFloats(Part tank, Part inlet, String by) {
    List<TankPort> floats = Floats.of(tank);
    for (TankPort low : floats.subList(0, Math.max(0, floats.size() - 1))) {
      Goal goal = plainly(tank, inlet).and(new Condition.Stops(tank.id(), low.id()));
      fromTap(
          inlet,
          Job.Kind.FILL_FROM_MAINS,
          "fill-" + tank.id() + "-" + inlet.id() + "-" + low.id(),
          Saying.of(
              "Fill {} to its lower stop, {}",
              tank.label(),
              Amount.volume(Floats.shutsAt(plumbing, tank, low))),
          by,
          List.of(Stage.of(goal, new Until(Until.What.FULL, tank.id()))));
    }
  }

  /** Adds a job that fills by a hose from a tap: at its end the hose comes off. */
  private void fromTap(
      Part inlet, Job.Kind kind, String id, Saying title, String by, List<Stage> filling) {
    List<Stage> stages = new ArrayList<>(filling);
    stages.addAll(hoseOff(inlet));
    add(kind, id, title, by, stages, Caution.STAY);
  }

  private Stage filling(Part tank, Part inlet) {
    Goal goal = plainly(tank, inlet);
    List<TankPort> floats = Floats.of(tank);
    if (floats.size() > 1) {
      goal = goal.and(new Condition.GoesOn(fromMains(tank, inlet), floats.getLast().id()));
    }
    return Stage.of(goal, new Until(Until.What.FULL, tank.id()));
  }

  private static Goal plainly(Part tank, Part inlet) {
    return Goal.of(Map.of(inlet.id(), Kind.HoseInlet.MAINS.id()), List.of(fromMains(tank, inlet)))
        .and(fillable(tank.id(), inlet.id()))
        .accepting(Warning.Code.FILLING_UNWATCHED);
  }

  private static Need fromMains(Part tank, Part inlet) {
    return Need.of(new Source(Source.Kind.MAINS, inlet.id()), into(tank), MAINS);
  }

  /** The tap outside is shut, the pressure let off, and only then the hose taken off. */
  private static List<Stage> hoseOff(Part inlet) {
    return List.of(
        Stage.of(
            Goal.of(Map.of(inlet.id(), Kind.HoseInlet.HOSE.id()))
                .and(new Condition.Quiet(inlet.id())),
            new Until(Until.What.SLACK, inlet.id())),
        Stage.of(
            Goal.of(Map.of(inlet.id(), Kind.HoseInlet.CAPPED.id()))
                .and(new Condition.Quiet(inlet.id()))));
  }

  private void fillAll(Part inlet) {
    List<Part> tanks =
        filled.stream()
            .filter(t -> hasMains(inlet) && joins(inlet.id(), t.id(), Pumped.NO))
            .sorted(Comparator.comparingDouble(Part::height))
            .toList();
    if (tanks.size() > 1) {
      fromTap(
          inlet,
          Job.Kind.FILL_ALL,
          "fill-all-" + inlet.id(),
          Saying.of("Fill all fresh tanks, one after another"),
          "from the mains",
          tanks.stream().map(t -> filling(t, inlet)).toList());
    }
  }

  private void fillFromOutside(Part tank, Part inlet) {
    if (joins(inlet.id(), tank.id(), Pumped.YES)) {
      Source source = new Source(Source.Kind.OUTSIDE, inlet.id());
      boolean fit = ((Kind.HoseInlet) inlet.kind()).drinksOutside();
      lift(
          tank,
          inlet,
          source,
          Kind.HoseInlet.OUTSIDE,
          fit,
          new Until(Until.What.FULL, tank.id()),
          "by pump from a low supply at " + inlet.label());
    }
  }

  /** A jug, bladder or barrel that a pump draws from. */
  private void fillFromBladder(Part tank, Part jug) {
    if (joins(jug.id(), tank.id(), Pumped.YES)) {
      Kind.PortableContainer kind = (Kind.PortableContainer) jug.kind();
      lift(
          tank,
          jug,
          new Source(Source.Kind.JUG, jug.id()),
          Kind.PortableContainer.POURING,
          kind.drinkable(),
          new Until(Until.What.POURED_OUT, jug.id()),
          "by pump from " + jug.label());
    }
  }

  private void lift(
      Part tank, Part from, Source source, Position giving, boolean fit, Until until, String by) {
    Goal goal =
        Goal.of(Map.of(from.id(), giving.id()), List.of(Need.of(source, into(tank), PUMPED)))
            .and(
                new Condition.Breathes(tank.id()),
                new Condition.Tight(tank.id()),
                new Condition.Relieved(tank.id(), from.id()));
    boolean spoils = !fit && isDrunk(tank);
    Map<String, String> after = new LinkedHashMap<>(pumpsOff());
    after.put(from.id(), from.rest().id());
    List<Caution> cautions = new ArrayList<>();
    if (spoils) {
      cautions.add(Caution.UNSAFE_SOURCE);
    }
    cautions.add(Caution.STAY);
    add(
        Job.Kind.FILL_FROM_OUTSIDE,
        "lift-" + tank.id() + "-" + from.id(),
        "Fill " + tank.label(),
        by,
        List.of(
            Stage.of(spoils ? goal.accepting(Warning.Code.UNSAFE_WATER) : goal, until),
            Stage.of(Goal.of(after))),
        cautions.toArray(Caution[]::new));
  }

  private static boolean isDrunk(Part tank) {
    return ((Kind.Tank) tank.kind()).contents() == Contents.FRESH;
  }

  private void fillByHand(Part tank, Part filler) {
    if (joins(filler.id(), tank.id(), Pumped.NO)) {
      add(
          Job.Kind.FILL_BY_HAND,
          "pour-" + tank.id() + "-" + filler.id(),
          "Fill " + tank.label(),
          "by hand at " + filler.label(),
          pouring(List.of(tank), filler),
          Caution.DRINKING_HOSE,
          Caution.STAY);
    }
  }

  private static List<Stage> pouring(List<Part> tanks, Part filler) {
    return List.of(
        Stage.of(poured(tanks, filler), new Until(Until.What.RUNS, tanks.getFirst().id())),
        capped(filler));
  }

  private static Goal poured(List<Part> tanks, Part filler) {
    Goal goal = Goal.of(Map.of(filler.id(), Kind.GravityFiller.OPEN.id()));
    for (Part tank : tanks) {
      goal =
          goal.and(
              new Condition.Joined(filler.id(), tank.id()),
              new Condition.Breathes(tank.id()),
              new Condition.Tight(tank.id()));
    }
    return goal;
  }

  private static Stage capped(Part filler) {
    return Stage.of(Goal.of(Map.of(filler.id(), Kind.GravityFiller.SHUT.id())));
  }

  /** A neck that feeds several tanks at once. */
  private void fillTogether(Part filler) {
    List<Part> tanks = filled.stream().filter(t -> joins(filler.id(), t.id(), Pumped.NO)).toList();
    if (tanks.size() > 1 && tanks.stream().allMatch(t -> holdsTheSame(t, tanks.getFirst()))) {
      add(
          Job.Kind.FILL_ALL,
          "pour-all-" + filler.id(),
          "Fill all fresh tanks together",
          "by hand at " + filler.label(),
          pouring(tanks, filler),
          Caution.DRINKING_HOSE,
          Caution.STAY);
    }
  }

  private void fillFromJug(Part tank, Part jug) {
    if (joins(jug.id(), tank.id(), Pumped.NO)) {
      Need need = Need.of(new Source(Source.Kind.JUG, jug.id()), into(tank), FALLING);
      Goal goal =
          Goal.of(Map.of(jug.id(), Kind.PortableContainer.POURING.id()), List.of(need))
              .and(new Condition.Breathes(tank.id()), new Condition.Tight(tank.id()));
      boolean fit = ((Kind.PortableContainer) jug.kind()).drinkable() || !isDrunk(tank);
      Map<String, String> after = new LinkedHashMap<>();
      after.put(jug.id(), jug.rest().id());
      after.putAll(
          allTo(Kind.GravityFiller.SHUT.id(), p -> p.kind() instanceof Kind.GravityFiller));
      List<Caution> cautions = fit ? List.of() : List.of(Caution.UNSAFE_SOURCE);
      add(
          Job.Kind.FILL_FROM_JUG,
          "jug-" + tank.id() + "-" + jug.id(),
          "Fill " + tank.label(),
          "from " + jug.label(),
          List.of(
              Stage.of(
                  fit ? goal : goal.accepting(Warning.Code.UNSAFE_WATER),
                  new Until(Until.What.POURED_OUT, jug.id())),
              Stage.of(Goal.of(after))),
          cautions.toArray(Caution[]::new));
    }
  }
}
