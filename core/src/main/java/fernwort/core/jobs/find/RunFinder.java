package fernwort.core.jobs.find;

import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
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
import fernwort.core.kind.end.Tap;
import fernwort.core.network.End;
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

  RunFinder(Network network, Distances distances, List<Job> jobs, List<Jobs.Cannot> cannot) {
    super(network, distances, jobs, cannot);
  }

  @Override
  void find() {
    run();
  }

  private void run() {
    for (Part tank : fresh) {
      List<Part> taps = taps(tank.id(), Pumped.EITHER);
      runOutsideWhileFilling(tank);
      if (taps.isEmpty()) {
        missing(
            Says.RUN_THE_TAPS_FROM.filled(tank.label()),
            Says.NO_LINE_LEADS_FROM_TO_A_TAP.filled(tank.label()));
        continue;
      }
      boolean pumped = taps.stream().anyMatch(t -> joins(tank.id(), t.id(), Pumped.YES));
      run(
          tank,
          taps,
          drawn(tank(tank), taps),
          pumped ? Says.BY_PUMP.text() : Says.BY_GRAVITY.text(),
          "");
      List<Part> falling = taps.stream().filter(t -> joins(tank.id(), t.id(), Pumped.NO)).toList();
      if (pumped && !falling.isEmpty()) {
        run(tank, falling, needs(tank(tank), falling, FALLING), Says.BY_GRAVITY.text(), "-fall");
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
            Says.RUN_THE_TAPS_FROM_MAINS_WATER.text(),
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
          Says.RUN_THE_TAPS_FROM_MAINS_WATER.text(), Says.IT_NEEDS_A_HOSE_INLET_WITH_A_LINE.text());
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
        Says.RUN_THE_TAPS_FROM.filled(tank.label()),
        suffix.isEmpty() && !other ? "" : by,
        suffix.isEmpty() ? withHot(stage, tank, taps) : List.of(stage));
  }

  /** Behind a heater the hot side belongs to it, where the rig can do it as it stands. */
  private List<Stage> withHot(Stage cold, Part tank, List<Part> taps) {
    List<Stage> stages = new ArrayList<>(List.of(cold));
    for (Part heater : parts(p -> p.kind().is(Purpose.HEATS))) {
      taps.stream()
          .filter(t -> t.kind().ports().contains(PortId.HOT))
          .filter(t -> joins(tank.id(), heater.id(), Pumped.EITHER))
          .filter(t -> joins(heater.id(), t.id(), Pumped.NO))
          .findFirst()
          .ifPresent(tap -> stages.add(hot(tank, heater, tap)));
    }
    return stages;
  }

  private Stage hot(Part tank, Part heater, Part tap) {
    Need need =
        new Need(
            tank(tank),
            new End(End.Kind.FIXTURE, tap.id()),
            joins(tank.id(), tap.id(), Pumped.YES) ? PUMPED : FALLING,
            Optional.of(heater.id()));
    Goal goal =
        Goal.of(Map.of(), List.of(need), Map.of(tap.id(), Tap.HOT.id()))
            .and(new Condition.Breathes(tank.id()));
    return new Stage(goal, Optional.of(new Until(Until.What.RUNS_HOT, tap.id())), true);
  }

  private boolean joinsBothWays(Part tank, List<Part> taps) {
    return taps.stream().anyMatch(t -> joins(tank.id(), t.id(), Pumped.YES))
        && taps.stream().anyMatch(t -> joins(tank.id(), t.id(), Pumped.NO));
  }

  /** Washing from a buffer tank: its hose points, where no tap on board hangs on it. */
  private void runOutsideWhileFilling(Part tank) {
    List<Part> points =
        parts(p -> p.kind().is(Purpose.OUTSIDE) && joins(tank.id(), p.id(), Pumped.EITHER));
    if (!points.isEmpty() && taps(tank.id(), Pumped.EITHER).isEmpty()) {
      inlets.forEach(inlet -> runWhileFilling(tank, points.subList(0, 1), inlet));
    }
  }

  /** The pump serves the taps while the mains keep the tank full. */
  private void runWhileFilling(Part tank, List<Part> taps, Part inlet) {
    boolean pumped = taps.stream().allMatch(t -> joins(tank.id(), t.id(), Pumped.YES));
    boolean outside = taps.getFirst().kind().is(Purpose.OUTSIDE);
    if (!pumped && !outside || !hasMains(inlet) || !joins(inlet.id(), tank.id(), Pumped.NO)) {
      return;
    }
    List<Need> needs = new ArrayList<>(needs(tank(tank), taps, pumped ? PUMPED : FALLING));
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
        outside
            ? Says.USE_FROM_WHILE_MAINS_FILLS.filled(taps.getFirst().label(), tank.label())
            : Says.RUN_THE_TAPS_WHILE_MAINS_FILLS.filled(tank.label()),
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
          Says.RUN_THE_TAPS_FROM_ALL_FRESH.text(),
          "",
          List.of(
              Stage.of(
                  Goal.of(Map.of(), needs, opened(taps.stream().distinct().toList()))
                      .letting(betweenTanks()))));
    }
  }

  /** Joined tanks come to one level; that the fuller runs into the other is no harm. */
  private List<Need> betweenTanks() {
    List<Need> between = new ArrayList<>();
    for (Part from : fresh) {
      fresh.stream()
          .filter(to -> !to.equals(from))
          .forEach(to -> between.add(Need.of(tank(from), into(to), FALLING)));
    }
    return between;
  }

  private void outside(Part inlet) {
    List<Part> taps = taps(inlet.id(), Pumped.YES);
    if (!taps.isEmpty()) {
      Source source = new Source(Source.Kind.OUTSIDE, inlet.id());
      boolean fit = ((HoseInlet) inlet.kind()).drinksOutside();
      draw(inlet, source, HoseInlet.OUTSIDE, taps, fit, "by " + inlet.label());
    }
    parts(p -> p.kind().is(Purpose.OUTSIDE) && joins(inlet.id(), p.id(), Pumped.YES))
        .forEach(point -> outsideToHose(inlet, point));
  }

  /** Straight from a pond to a hose, no tank between. */
  private void outsideToHose(Part inlet, Part point) {
    Source source = new Source(Source.Kind.OUTSIDE, inlet.id());
    List<Part> hose = List.of(point);
    Goal goal =
        Goal.of(
                Map.of(inlet.id(), HoseInlet.OUTSIDE.id()),
                needs(source, hose, PUMPED),
                opened(hose))
            .accepting(Warning.Code.UNSAFE_WATER);
    add(
        Job.Kind.DRAW_OUTSIDE,
        "draw-" + point.id() + "-" + inlet.id(),
        Says.PUMP_OUTSIDE_WATER_AT_TO.filled(inlet.label(), point.label()),
        "",
        List.of(Stage.of(goal, new Until(Until.What.RUNS, point.id()))),
        Caution.UNSAFE_SOURCE,
        Caution.STAY);
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
        Says.RUN_THE_TAPS_FROM_A_BLADDER.text(),
        by,
        List.of(Stage.of(fit ? goal : goal.accepting(Warning.Code.UNSAFE_WATER))),
        cautions.toArray(Caution[]::new));
  }

  private Optional<PartId> pressurePump(PartId source, List<Part> taps) {
    return parts(p -> p.kind().is(Purpose.PUMPS) && !p.kind().byHand()).stream()
        .map(Part::id)
        .filter(p -> joins(source, p, Pumped.TO_PUMP) && joins(p, taps.getFirst().id(), Pumped.YES))
        .findFirst();
  }
}
