package fernwort.app.jobs;

import fernwort.app.live.LiveAnswers.SignalNow;
import fernwort.app.services.StepText;
import fernwort.app.store.RunStore;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Step;
import fernwort.core.live.SignalKind;
import java.util.List;
import java.util.Optional;

/**
 * A wait that a sensor can tell the end of: the page shows how far it is, says "nearly full", and
 * ticks the step when its level is reached.
 *
 * @param seq the step
 * @param signal the sensor of its tank
 * @param from what the tank holds now (m³)
 * @param to what it holds at the end (m³)
 * @param factor how many of the reader's units a cubic metre is (1)
 * @param sign of the reader's unit
 */
record Watched(int seq, String signal, double from, double to, double factor, String sign) {

  /** Less than this there is nothing to watch (m³). */
  private static final double LEAST = 0.002;

  /** Returns the wait that comes next, if a sensor tells the level of its tank. */
  static Optional<Watched> of(
      List<RunStore.Row> rows, StepText text, List<SignalNow> signals, Units units) {
    return rows.stream()
        .filter(r -> r.mark() == RunStore.Mark.OPEN)
        .findFirst()
        .flatMap(row ->
            text.read(row.step()) instanceof Step.Wait wait
                ? of(row.seq(), wait, signals, units)
                : Optional.empty());
  }

  private static Optional<Watched> of(
      int seq, Step.Wait wait, List<SignalNow> signals, Units units) {
    Job.Until until = wait.until();
    boolean level = until.fills() || until.what() == Job.Until.What.DRY;
    if (!level || !wait.levels().containsKey(until.part())) {
      return Optional.empty();
    }
    double to = wait.levels().get(until.part());
    return signals.stream()
        .filter(s -> s.is(SignalKind.LEVEL) && until.part().value().equals(s.part()))
        .filter(s -> s.state().equals("live") && s.raw() instanceof Double)
        .map(s ->
            new Watched(
                seq,
                s.name(),
                (Double) s.raw(),
                to,
                units.in(Measure.VOLUME, 1),
                units.volumeSign()))
        .filter(w -> Math.abs(w.to - w.from) > LEAST)
        .findFirst();
  }
}
