package fernwort.core.jobs;

import fernwort.core.hazard.Warning;
import fernwort.core.jobs.Job.Stage;
import fernwort.core.jobs.Job.Until;
import fernwort.core.network.Plumbing;
import fernwort.core.network.Source;
import fernwort.core.network.Turns.Pumped;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Finds the ways to run the taps. */
final class RunFinder extends Finder {

  RunFinder(Plumbing plumbing, List<Job> jobs, List<Jobs.Cannot> cannot) {
    super(plumbing, jobs, cannot);
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
      Goal goal = Goal.of(Map.of(), needs(tank(tank), taps, PUMPED_OR_FALLING), opened(taps));
      Stage stage =
          pressurePump(tank.id(), taps)
              .map(p -> Stage.of(goal, new Until(Until.What.PRESSURE, p)))
              .orElseGet(() -> Stage.of(goal));
      add(
          Job.Kind.RUN_FROM_TANK,
          "run-" + tank.id(),
          "Run the taps from " + tank.label(),
          "",
          List.of(stage));
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
                        Map.of(inlet.id(), "mains"), needs(source, taps, MAINS), opened(taps)))),
            Caution.DRINKING_HOSE,
            Caution.BACKFLOW);
      }
      outside(inlet);
    }
    if (!mains) {
      missing(
          "Run the taps from the mains",
          "It needs a hose inlet with a line to the taps, best with a regulator and a check valve.");
    }
  }

  private void runTogether() {
    List<Need> needs = new ArrayList<>();
    List<Part> taps = new ArrayList<>();
    for (Part tank : fresh) {
      List<Part> own = taps(tank.id(), Pumped.EITHER);
      own.stream().findFirst().ifPresent(taps::add);
      needs.addAll(needs(tank(tank), own.stream().limit(1).toList(), PUMPED_OR_FALLING));
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
      Goal goal =
          Goal.of(Map.of(inlet.id(), "outside"), needs(source, taps, PUMPED), opened(taps))
              .accepting(Warning.Code.UNSAFE_WATER);
      add(
          Job.Kind.DRAW_OUTSIDE,
          "draw-" + inlet.id(),
          "Run the taps from a bladder, stream or low supply",
          "by " + inlet.label(),
          List.of(Stage.of(goal)),
          Caution.UNSAFE_SOURCE);
    }
  }

  private Optional<String> pressurePump(String source, List<Part> taps) {
    return parts(p -> p.kind() instanceof Kind.Pump k && !k.works().byHand()).stream()
        .map(Part::id)
        .filter(p -> joins(source, p, Pumped.NO) && joins(p, taps.getFirst().id(), Pumped.YES))
        .findFirst();
  }
}
