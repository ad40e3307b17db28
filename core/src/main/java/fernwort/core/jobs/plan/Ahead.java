package fernwort.core.jobs.plan;

import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Step;
import fernwort.core.kind.InLine;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.network.Network;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** What of a stage is better done before the stage that comes before it. */
record Ahead(Network network) {

  /**
   * What a stage turns after a fill before it stops the water, which runs over meanwhile: better
   * done before the fill.
   */
  List<Condition> of(Job.Stage stage, List<Step> steps, int firstStep) {
    boolean filled =
        firstStep > 0
            && firstStep < steps.size()
            && steps.get(firstStep - 1) instanceof Step.Wait wait
            && wait.until().fills();
    if (!filled) {
      return List.of();
    }
    if (stage.until().filter(Job.Until::fills).isPresent()) {
      return besides(steps.subList(firstStep, steps.size()));
    }
    Set<PartId> stops = stage.goal().musts().keySet();
    List<Condition> late = new ArrayList<>();
    for (Step step : steps.subList(firstStep, steps.size())) {
      if (!(step instanceof Step.Move move)) {
        return List.of();
      }
      if (stops.contains(move.part())) {
        return late;
      }
      late.add(new Condition.Placed(move.part(), move.to()));
    }
    return List.of();
  }

  /**
   * Where the tap is closed between two fills for what has to be opened first: what can stand so
   * from the start, so that only the selector is turned while the water runs.
   */
  private List<Condition> besides(List<Step> between) {
    List<Step.Move> moves = new ArrayList<>();
    for (Step step : between) {
      if (step instanceof Step.Move move) {
        moves.add(move);
      }
    }
    if (moves.stream().noneMatch(m -> m.from().equals(HoseInlet.MAINS.id()))) {
      return List.of();
    }
    List<Condition> late = new ArrayList<>();
    for (Step.Move move : moves) {
      Kind kind = network.rig().part(move.part()).kind();
      if (!kind.is(Purpose.INLET) && kind.inLine() != InLine.SELECTS) {
        late.add(new Condition.Placed(move.part(), move.to()));
      }
    }
    return late;
  }
}
