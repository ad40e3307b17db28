package fernwort.core.jobs.find;

import fernwort.core.hazard.Warning;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Job.Stage;
import fernwort.core.jobs.goal.Job.Until;
import fernwort.core.jobs.goal.Need;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.ways.HandleDistance.Pumped;
import fernwort.core.ways.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Finds the ways to run the taps. */
final class RunFinder extends Finder {

  RunFinder(Network network, List<Job> jobs, List<Jobs.Cannot> cannot) {
    super(network, jobs, cannot);
  }

  @Override
  void find() {
    run();
  }

  private void run() {
    for (Part tank : fresh) {
      List<Part> taps = taps(tank.id(), Pumped.EITHER);
      if (taps.isEmpty()) {
        missing(
            "Run the taps from " + tank.label(),
            "No line leads from " + tank.label() + " to a tap.");
        continue;
      }
      boolean pumped = taps.stream().anyMatch(t -> joins(tank.id(), t.id(), Pumped.YES));
      run(tank, taps, drawn(tank(tank), taps), pumped ? "by pump" : "by fall", "");
      List<Part> falling = taps.stream().filter(t -> joins(tank.id(), t.id(), Pumped.NO)).toList();
      if (pumped && !falling.isEmpty()) {
        run(tank, falling, needs(tank(tank), falling, FALLING), "by fall", "-fall");
      }
      inlets.forEach(inlet -> runWhileFilling(tank, taps, inlet));
    }
    runTogether();
    boolean mains = false;
    for (Part inlet : inlets) {
      List<Part> taps = hasMains(inlet) ? taps(inlet.id(), Pumped.NO) : List.of();
      if (!taps.isEmpty()) {
        mains = true;
        Source source = new Source(Source.Kind.MAINS, inlet.id());
        add(
            Job.Kind.RUN_FROM_MAINS,
            "run-" + inlet.id(),
            "Run the taps from the mains",
            inlets.size() > 1 ? "at " + inlet.label() : "",
            List.of(
                Stage.of(
                    Goal.of(
                            Map.of(inlet.id(), HoseInlet.MAINS.id()),
                            needs(source, taps, MAINS),
                            opened(taps))
                        .and(new Condition.PumpsOff(inlet.id())))));
      }
      outside(inlet);
    }
    jugs.forEach(this::jug);
    if (!mains) {
      missing(
          "Run the taps from the mains",
          "It needs a hose inlet with a line to the taps, best with a regulator and a check valve.");
    }
  }

  private void run(Part tank, List<Part> taps, List<Need> needs, String by, String suffix) {
    Goal goal = Goal.of(Map.of(), needs, opened(taps)).and(new Condition.Breathes(tank.id()));
    Stage stage =
        suffix.isEmpty()
            ? pressurePump(tank.id(), taps)
                .map(p -> Stage.of(goal, new Until(Until.What.PRESSURE, p)))
                .orElseGet(() -> Stage.of(goal))
            : Stage.of(goal);
    boolean other = suffix.isEmpty() && joinsBothWays(tank, taps);
    add(
        Job.Kind.RUN_FROM_TANK,
        "run-" + tank.id() + suffix,
        "Run the taps from " + tank.label(),
        suffix.isEmpty() && !other ? "" : by,
        List.of(stage));
  }

  private boolean joinsBothWays(Part tank, List<Part> taps) {
    return taps.stream().anyMatch(t -> joins(tank.id(), t.id(), Pumped.YES))
        && taps.stream().anyMatch(t -> joins(tank.id(), t.id(), Pumped.NO));
  }

  /** The pump serves the taps while the mains keep the tank full. */
  private void runWhileFilling(Part tank, List<Part> taps, Part inlet) {
    boolean pumped = taps.stream().allMatch(t -> joins(tank.id(), t.id(), Pumped.YES));
    if (!pumped || !hasMains(inlet) || !joins(inlet.id(), tank.id(), Pumped.NO)) {
      return;
    }
    List<Need> needs = new ArrayList<>(needs(tank(tank), taps, PUMPED));
    needs.add(Need.of(new Source(Source.Kind.MAINS, inlet.id()), into(tank), MAINS));
    Goal goal =
        Goal.of(Map.of(inlet.id(), HoseInlet.MAINS.id()), needs, opened(taps))
            .and(
                new Condition.Breathes(tank.id()),
                new Condition.Tight(tank.id()),
                new Condition.Relieved(tank.id(), inlet.id()))
            .accepting(Warning.Code.FILLING_UNWATCHED);
    add(
        Job.Kind.RUN_FROM_TANK,
        "refill-" + tank.id() + "-" + inlet.id(),
        "Run the taps from %s while the mains fill it".formatted(tank.label()),
        inlets.size() > 1 ? "at " + inlet.label() : "",
        List.of(Stage.of(goal)),
        Caution.STAY);
  }

  private void runTogether() {
    List<Need> needs = new ArrayList<>();
    List<Part> taps = new ArrayList<>();
    for (Part tank : fresh) {
      List<Part> own = taps(tank.id(), Pumped.EITHER);
      own.stream().findFirst().ifPresent(taps::add);
      needs.addAll(drawn(tank(tank), own.stream().limit(1).toList()));
    }
    if (needs.size() > 1) {
      add(
          Job.Kind.RUN_FROM_TANK,
          "run-together",
          "Run the taps from all fresh tanks together",
          "",
          List.of(Stage.of(Goal.of(Map.of(), needs, opened(taps.stream().distinct().toList())))));
    }
  }

  private void outside(Part inlet) {
    List<Part> taps = taps(inlet.id(), Pumped.YES);
    if (!taps.isEmpty()) {
      Source source = new Source(Source.Kind.OUTSIDE, inlet.id());
      boolean fit = ((HoseInlet) inlet.kind()).drinksOutside();
      draw(inlet, source, HoseInlet.OUTSIDE, taps, fit, "by " + inlet.label());
    }
  }

  /** A jug, bladder or barrel that a pump draws from. */
  private void jug(Part jug) {
    List<Part> taps = taps(jug.id(), Pumped.YES);
    if (!taps.isEmpty()) {
      Source source = new Source(Source.Kind.JUG, jug.id());
      boolean fit = ((PortableContainer) jug.kind()).drinkable();
      draw(jug, source, PortableContainer.POURING, taps, fit, "from " + jug.label());
    }
  }

  private void draw(
      Part from, Source source, Position giving, List<Part> taps, boolean fit, String by) {
    Goal goal = Goal.of(Map.of(from.id(), giving.id()), needs(source, taps, PUMPED), opened(taps));
    List<Caution> cautions = fit ? List.of() : List.of(Caution.UNSAFE_SOURCE);
    add(
        Job.Kind.DRAW_OUTSIDE,
        "draw-" + from.id(),
        "Run the taps from a bladder, stream or low supply",
        by,
        List.of(Stage.of(fit ? goal : goal.accepting(Warning.Code.UNSAFE_WATER))),
        cautions.toArray(Caution[]::new));
  }

  private Optional<String> pressurePump(String source, List<Part> taps) {
    return parts(p -> p.kind().is(Purpose.PUMPS) && !p.kind().byHand()).stream()
        .map(Part::id)
        .filter(p -> joins(source, p, Pumped.TO_PUMP) && joins(p, taps.getFirst().id(), Pumped.YES))
        .findFirst();
  }
}
