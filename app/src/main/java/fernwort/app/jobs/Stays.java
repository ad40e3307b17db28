package fernwort.app.jobs;

import fernwort.app.services.OpenRig;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.jobs.find.EmptyingJob;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.rig.Line;
import fernwort.core.rig.Rig;
import fernwort.core.winter.sheets.ResidualWater;
import java.util.List;

/**
 * The water that stays after something was emptied, in words.
 *
 * @param rows where, and how much
 * @param total all of it
 */
record Stays(List<Row> rows, String total) {

  /** Water that stays. */
  record Row(String where, String amount) {}

  /** Returns what stays after a plan; nothing for a job of another sort. */
  static Stays of(OpenRig rig, Plan plan, Units units) {
    if (plan.job().kind() != Job.Kind.EMPTY_OUT) {
      return new Stays(List.of(), "");
    }
    List<ResidualWater> left =
        ResidualWater.of(
            rig.network(),
            plan.after(),
            EmptyingJob.tanksOf(plan.job()),
            EmptyingJob.emptiesLines(plan.job()));
    double total = left.stream().mapToDouble(ResidualWater::volume).sum();
    return new Stays(
        left.stream().map(l -> new Row(where(rig.rig(), l), amount(l.volume(), units))).toList(),
        amount(total, units));
  }

  private static String where(Rig rig, ResidualWater left) {
    return switch (left.kind()) {
      case TANK -> rig.part(left.id().part()).label();
      case BODY -> Says.ITS_BODY.filled(rig.part(left.id().part()).label());
      case LINE ->
          "line "
              + rig.lines().stream()
                  .filter(l -> l.id().equals(left.id()))
                  .findFirst()
                  .map(Line::label)
                  .orElse(left.id().value());
    };
  }

  private static String amount(double volume, Units units) {
    return units.show(Measure.VOLUME, volume);
  }
}
