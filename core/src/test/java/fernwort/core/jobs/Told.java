package fernwort.core.jobs;

import static fernwort.core.OnRecord.number;
import static fernwort.core.OnRecord.tell;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Jobs and plans as text, for the record. */
public final class Told {

  private Told() {}

  /** What a job is, as its finder made it. */
  public static List<String> job(Job job) {
    List<String> told = new ArrayList<>();
    told.add("## " + job.id() + ": " + job.name());
    told.add(job.kind() + ", cautions " + job.cautions());
    for (Job.Stage stage : job.stages()) {
      String until = stage.until().map(u -> u.what() + " " + u.part()).orElse("nothing");
      told.add(
          "stage%s, then wait for %s".formatted(stage.optional() ? " if possible" : "", until));
      stage.goal().conditions().forEach(c -> told.add("  " + tell(c)));
      told.add(
          "  taps " + tell(stage.goal().probe()) + ", accepting " + tell(stage.goal().inherent()));
    }
    return told;
  }

  /** What a plan says to do. */
  public static List<String> plan(Plan plan, State from) {
    List<String> told = new ArrayList<>();
    told.add("## " + plan.job().id() + ": " + plan.job().name());
    plan.notes().forEach(n -> told.add("! " + n));
    for (int i = 0; i < plan.steps().size(); i++) {
      told.add("%s.%s %s".formatted(plan.stages().get(i), i, step(plan.steps().get(i))));
    }
    plan.trouble()
        .ifPresent(t ->
            told.add(
                "cannot: " + t.words() + t.hazard().map(h -> " (" + h.code() + ")").orElse("")));
    told.add("after: " + changed(from, plan.after()));
    return told;
  }

  private static String step(Step step) {
    return switch (step) {
      case Step.Move m ->
          "%s: %s > %s. %s [%s]".formatted(m.part(), m.from(), m.to(), m.why(), m.notice());
      case Step.Wait w ->
          "wait for %s %s: %s [%s] %s..%s..%s s, %s m³, then %s%s"
              .formatted(
                  w.until().what(),
                  w.until().part(),
                  w.words(),
                  w.notice(),
                  number(w.seconds().low()),
                  number(w.seconds().expected()),
                  number(w.seconds().high()),
                  number(w.moved()),
                  tell(w.levels()),
                  w.then().stream()
                      .map(t ->
                          "%n     after %s s: %s%s"
                              .formatted(
                                  number(t.seconds()),
                                  t.words(),
                                  t.shows().map(p -> " (at " + p + ")").orElse("")))
                      .collect(Collectors.joining()));
    };
  }

  private static String changed(State from, State after) {
    Map<PartId, PositionId> changed = new TreeMap<>();
    after
        .setting()
        .positions()
        .forEach((part, position) -> {
          if (!position.equals(from.setting().of(part))) {
            changed.put(part, position);
          }
        });
    return changed + " " + tell(after.volumes());
  }
}
