package fernwort.core.jobs;

import fernwort.core.hazard.Warning;
import fernwort.core.jobs.Job.Stage;
import fernwort.core.jobs.Job.Until;
import fernwort.core.network.Connections;
import fernwort.core.network.Plumbing;
import fernwort.core.network.Source;
import fernwort.core.network.Turns.Pumped;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
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
    for (Part tank : fresh) {
      int before = found();
      for (Part inlet : inlets) {
        fillFromMains(tank, inlet, inlets.size() > 1);
        fillFromOutside(tank, inlet);
      }
      parts(p -> p.kind() instanceof Kind.GravityFiller).forEach(f -> fillByHand(tank, f));
      parts(p -> p.kind() instanceof Kind.PortableContainer).forEach(j -> fillFromJug(tank, j));
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
  }

  /** Tanks that fill one from the next: the first by the hose, each other by what runs over. */
  private void fillThrough(Part inlet) {
    for (Part first : fresh) {
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
    return fresh.stream()
        .filter(t -> !but.contains(t) && !joins(inlet.id(), t.id(), Pumped.NO))
        .filter(t ->
            Connections.of(plumbing, rest)
                .route(full.id(), p -> false, p -> p.id().equals(t.id()))
                .isPresent())
        .findFirst();
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
        Goal.of(Map.of(inlet.id(), "mains"), List.of(need))
            .breathing(tank.id())
            .accepting(Warning.Code.FILLING_UNWATCHED),
        new Until(Until.What.FULL, tank.id()));
  }

  /** A valve shuts the water off before the hose comes off, where there is one. */
  private static List<Stage> hoseOff(Part inlet) {
    return List.of(
        Stage.ifPossible(Goal.of(Map.of(inlet.id(), "mains")).quiet(inlet.id())),
        Stage.of(Goal.of(Map.of(inlet.id(), "capped")).quiet(inlet.id())));
  }

  private void fillAll(Part inlet) {
    List<Part> tanks =
        fresh.stream()
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
      Need need = Need.of(new Source(Source.Kind.OUTSIDE, inlet.id()), into(tank), PUMPED);
      Goal goal =
          Goal.of(Map.of(inlet.id(), "outside"), List.of(need))
              .breathing(tank.id())
              .accepting(Warning.Code.UNSAFE_WATER);
      Map<String, String> after = new LinkedHashMap<>(pumpsOff());
      after.put(inlet.id(), "capped");
      add(
          Job.Kind.FILL_FROM_OUTSIDE,
          "lift-" + tank.id() + "-" + inlet.id(),
          "Fill " + tank.label(),
          "by pump from a low supply at " + inlet.label(),
          List.of(Stage.of(goal, new Until(Until.What.FULL, tank.id())), Stage.of(Goal.of(after))),
          Caution.UNSAFE_SOURCE,
          Caution.STAY);
    }
  }

  private void fillByHand(Part tank, Part filler) {
    if (joins(filler.id(), tank.id(), Pumped.NO)) {
      Goal goal =
          Goal.of(Map.of(filler.id(), "open")).joining(filler.id(), tank.id()).breathing(tank.id());
      add(
          Job.Kind.FILL_BY_HAND,
          "pour-" + tank.id() + "-" + filler.id(),
          "Fill " + tank.label(),
          "by hand at " + filler.label(),
          List.of(
              Stage.of(goal, new Until(Until.What.RUNS, tank.id())),
              Stage.of(Goal.of(Map.of(filler.id(), "shut")))),
          Caution.DRINKING_HOSE,
          Caution.STAY);
    }
  }

  private void fillFromJug(Part tank, Part jug) {
    if (joins(jug.id(), tank.id(), Pumped.NO)) {
      Need need = Need.of(new Source(Source.Kind.JUG, jug.id()), into(tank), FALLING);
      Goal goal =
          Goal.of(Map.of(jug.id(), "pouring"), List.of(need))
              .breathing(tank.id())
              .accepting(Warning.Code.UNSAFE_WATER);
      Map<String, String> after = new LinkedHashMap<>();
      after.put(jug.id(), "stowed");
      after.putAll(allTo("shut", p -> p.kind() instanceof Kind.GravityFiller));
      add(
          Job.Kind.FILL_FROM_JUG,
          "jug-" + tank.id() + "-" + jug.id(),
          "Fill " + tank.label(),
          "from " + jug.label(),
          List.of(
              Stage.of(goal, new Until(Until.What.POURED_OUT, jug.id())), Stage.of(Goal.of(after))),
          Caution.UNSAFE_SOURCE);
    }
  }
}
