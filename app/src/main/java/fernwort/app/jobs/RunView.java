package fernwort.app.jobs;

import fernwort.app.services.OpenRig;
import fernwort.app.services.StepText;
import fernwort.app.store.RunStore;
import fernwort.app.store.RunStore.Mark;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Step;
import fernwort.core.kind.Moved;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.say.Message;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * A run sheet as it stands.
 *
 * @param id address of the run
 * @param title the job
 * @param outcome how it ended, in small letters; "running" while it has not
 * @param lines the steps in order
 * @param skipped steps that were left out and not yet answered for
 * @param drift handles that are not where the sheet has them, in words
 * @param done how many steps are ticked
 * @param stands where its tanks should stand now, once it is done
 */
record RunView(
    String id,
    String title,
    String outcome,
    List<Line> lines,
    List<Line> skipped,
    List<String> drift,
    int done,
    List<Stands> stands) {

  private static final double A_LITRE = 1e-3;

  /** A level over this is read to the litre (m³). */
  private static final double MUCH = 0.02;

  /**
   * A tank that the job has filled or emptied.
   *
   * @param tank its id
   * @param expected what it should hold, in the reader's units, without the unit
   */
  record Stands(String tank, String label, String expected, String unit) {}

  /**
   * A step of the sheet.
   *
   * @param seq its number in the run
   * @param number its number as people count
   * @param mark how it stands, in small letters
   * @param next whether it is the one to do next
   * @param begun when its wait was begun, in milliseconds; 0 when it was not
   * @param arrives whether one has to walk to another place for it
   */
  record Line(
      int seq,
      int number,
      String mark,
      boolean next,
      String note,
      long begun,
      StepView step,
      boolean arrives) {}

  static RunView of(
      OpenRig rig,
      RunStore.Run run,
      List<RunStore.Row> rows,
      StepText text,
      PartSearch gone,
      Setting now,
      Units units) {
    List<Line> lines = new ArrayList<>();
    boolean open = false;
    String at = "";
    for (RunStore.Row row : rows) {
      if (row.mark() == Mark.REPLACED) {
        continue;
      }
      StepView step = view(rig, text.read(row.step()), gone, units);
      boolean arrives = !step.place().isEmpty() && !step.place().equals(at);
      at = arrives ? step.place() : at;
      boolean next = !open && row.mark() == Mark.OPEN;
      open |= next;
      lines.add(
          new Line(
              row.seq(),
              lines.size() + 1,
              row.mark().name().toLowerCase(java.util.Locale.ROOT),
              next,
              row.note(),
              row.begun().map(Instant::toEpochMilli).orElse(0L),
              step,
              arrives));
    }
    boolean running = run.outcome() == RunStore.Outcome.RUNNING;
    return new RunView(
        run.id(),
        units.say(Message.kept(run.title())),
        run.outcome().name().toLowerCase(java.util.Locale.ROOT),
        lines,
        lines.stream().filter(l -> l.mark().equals("skipped")).toList(),
        running ? drift(rig, rows, text, now) : List.of(),
        (int) lines.stream().filter(l -> l.mark().equals("done")).count(),
        run.outcome() == RunStore.Outcome.DONE ? stands(rig, rows, text, units) : List.of());
  }

  private static List<Stands> stands(
      OpenRig rig, List<RunStore.Row> rows, StepText text, Units units) {
    List<Stands> stands = new ArrayList<>();
    levels(rig, rows, text)
        .forEach((tank, volume) ->
            stands.add(
                new Stands(
                    tank.value(),
                    rig.rig().part(tank).label(),
                    shown(volume, units),
                    units.unit(Measure.VOLUME).sign())));
    return stands;
  }

  /** A level as people read it: to the litre over twenty, to half a litre below. */
  static String shown(double volume, Units units) {
    double step = volume >= MUCH ? A_LITRE : A_LITRE / 2;
    return units.number(Measure.VOLUME, step * Math.rint(volume / step));
  }

  /** Returns what the last wait that was done should have left in each tank, by id (m³). */
  static Map<PartId, Double> levels(OpenRig rig, List<RunStore.Row> rows, StepText text) {
    Map<PartId, Double> levels = new TreeMap<>();
    for (RunStore.Row row : rows) {
      if (row.mark() == Mark.DONE && text.read(row.step()) instanceof Step.Wait wait) {
        levels.putAll(wait.levels());
      }
    }
    levels.keySet().retainAll(rig.rig().partsById().keySet());
    return levels;
  }

  private static StepView view(OpenRig rig, Step step, PartSearch gone, Units units) {
    return step instanceof Step.Move move && !Gone.has(rig.rig(), move.part(), move.to())
        ? StepView.gone(gone.lastWith(rig, move.part(), move.to()), move, units)
        : StepView.of(rig.rig(), step, units);
  }

  /** Other parts that go where the switch of a part goes. */
  private static Stream<PartId> onOneSwitch(Rig rig, PartId part) {
    return rig.gangOf(part).stream()
        .flatMap(gang -> gang.kind().moves().stream())
        .map(Moved::part)
        .filter(other -> !other.equals(part));
  }

  /** Handles that stand elsewhere than the ticks, or the steps to come, have them. */
  private static List<String> drift(
      OpenRig rig, List<RunStore.Row> rows, StepText text, Setting now) {
    Map<PartId, PositionId> expected = new HashMap<>();
    Set<PartId> toCome = new HashSet<>();
    for (RunStore.Row row : rows) {
      if (text.read(row.step()) instanceof Step.Move move) {
        if (row.mark() == Mark.DONE) {
          expected.put(move.part(), move.to());
          onOneSwitch(rig.rig(), move.part())
              .forEach(other -> {
                expected.put(other, rig.rig().turned(now, move.part(), move.to()).of(other));
                toCome.add(other);
              });
        } else if (row.mark() == Mark.OPEN && toCome.add(move.part())) {
          expected.put(move.part(), move.from());
        }
      }
    }
    List<String> drift = new ArrayList<>();
    expected.forEach((part, position) ->
        Optional.ofNullable(now.positions().get(part))
            .filter(at -> !at.equals(position) && Gone.has(rig.rig(), part, position))
            .ifPresent(at ->
                drift.add(
                    Says.IS_NOT.filled(
                        rig.rig().part(part).label(),
                        rig.rig().position(part, at).words(),
                        rig.rig().position(part, position).words()))));
    return drift;
  }
}
