package fernwort.core.jobs;

import fernwort.core.hazard.Warning;
import fernwort.core.jobs.Job.Stage;
import fernwort.core.jobs.Job.Until;
import fernwort.core.network.Connections;
import fernwort.core.network.Plumbing;
import fernwort.core.network.Source;
import fernwort.core.network.Turns.Pumped;
import fernwort.core.rig.Contents;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Position;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

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
      parts(p -> p.kind() instanceof Kind.GravityFiller).forEach(f -> fillByHand(tank, f));
      jugs.forEach(j -> fillFromJug(tank, j));
      jugs.forEach(j -> fillFromBladder(tank, j));
      if (found() == before) {
        missing(
            "Fill " + tank.label(),
            "It needs a hose inlet or a filler with a line to "
                + tank.label()
                + ", unless another tank overflows into it.");
      }
    }
    inlets.forEach(inlet -> fillAll(inlet));
    inlets.forEach(inlet -> fillThrough(inlet));
    parts(p -> p.kind() instanceof Kind.GravityFiller).forEach(this::fillTogether);
  }

  /** Tanks that fill one from the next: the first by the hose, each other by what runs over. */
  private void fillThrough(Part inlet) {
    for (Part first : filled) {
      if (!hasMains(inlet) || !joins(inlet.id(), first.id(), Pumped.NO)) {
        continue;
      }
      List<Part> chain = new ArrayList<>(List.of(first));
      Optional<Part> next = overflowsInto(first, chain, inlet);
      while (next.isPresent()) {
        chain.add(next.get());
        next = overflowsInto(next.get(), chain, inlet);
      }
      if (chain.size() > 1) {
        Stage filling = filling(first, inlet);
        List<Stage> stages = new ArrayList<>();
        stages.add(Stage.of(filling.goal(), new Until(Until.What.FULL, chain.getLast().id())));
        stages.addAll(hoseOff(inlet));
        add(
            Job.Kind.FILL_ALL,
            "fill-through-" + first.id() + "-" + inlet.id(),
            "Fill all fresh tanks, one after another",
            chain.stream().map(Part::label).collect(Collectors.joining(", then ")),
            stages,
            Caution.DRINKING_HOSE,
            Caution.STAY,
            Caution.BACKFLOW);
      }
    }
  }

  /** The tank that water from a full one runs on into, with no other way to fill it. */
  private Optional<Part> overflowsInto(Part full, List<Part> but, Part inlet) {
    return filled.stream()
        .filter(t -> !but.contains(t) && holdsTheSame(t, full))
        .filter(t -> !joins(inlet.id(), t.id(), Pumped.NO))
        .filter(t ->
            Connections.of(plumbing, rest)
                .route(full.id(), p -> false, p -> p.id().equals(t.id()))
                .isPresent())
        .findFirst();
  }

  private static boolean holdsTheSame(Part a, Part b) {
    return ((Kind.Tank) a.kind()).contents() == ((Kind.Tank) b.kind()).contents();
  }

  private void fillFromMains(Part tank, Part inlet, boolean many) {
    if (hasMains(inlet) && joins(inlet.id(), tank.id(), Pumped.NO)) {
      List<Stage> stages = new ArrayList<>();
      stages.add(filling(tank, inlet));
      stages.addAll(hoseOff(inlet));
      add(
          Job.Kind.FILL_FROM_MAINS,
          "fill-" + tank.id() + "-" + inlet.id(),
          "Fill " + tank.label(),
          "from the mains" + (many ? " at " + inlet.label() : ""),
          stages,
          Caution.DRINKING_HOSE,
          Caution.STAY,
          Caution.BACKFLOW);
    }
  }

  private static Stage filling(Part tank, Part inlet) {
    Need need = Need.of(new Source(Source.Kind.MAINS, inlet.id()), into(tank), MAINS);
    return Stage.of(
        Goal.of(Map.of(inlet.id(), Kind.HoseInlet.MAINS.id()), List.of(need))
            .and(fillable(tank.id(), inlet.id()))
            .accepting(Warning.Code.FILLING_UNWATCHED),
        new Until(Until.What.FULL, tank.id()));
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
      List<Stage> stages = new ArrayList<>();
      tanks.forEach(t -> stages.add(filling(t, inlet)));
      stages.addAll(hoseOff(inlet));
      add(
          Job.Kind.FILL_ALL,
          "fill-all-" + inlet.id(),
          "Fill all fresh tanks, one after another",
          "from the mains",
          stages,
          Caution.DRINKING_HOSE,
          Caution.STAY,
          Caution.BACKFLOW);
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
    Goal goal = Goal.of(Map.of(filler.id(), Kind.GravityFiller.OPEN.id()));
    for (Part tank : tanks) {
      goal =
          goal.and(
              new Condition.Joined(filler.id(), tank.id()),
              new Condition.Breathes(tank.id()),
              new Condition.Tight(tank.id()));
    }
    return List.of(
        Stage.of(goal, new Until(Until.What.RUNS, tanks.getFirst().id())),
        Stage.of(Goal.of(Map.of(filler.id(), Kind.GravityFiller.SHUT.id()))));
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
