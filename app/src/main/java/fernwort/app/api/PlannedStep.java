package fernwort.app.api;

import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Acts;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** A step of a plan: what a hand does to one part, or what is waited for or done beside the rig. */
sealed interface PlannedStep {

  /**
   * A handle, cap or hose that is moved.
   *
   * @param place id of the place where one stands for it
   * @param kind taps, valves, caps or pump
   * @param words what to do, as a sentence
   * @param group number of the act that it belongs to: what is done in one go at one place
   */
  record Turned(
      String place,
      String part,
      String from,
      String to,
      String kind,
      String words,
      Message why,
      String notice,
      int group)
      implements PlannedStep {}

  /**
   * What is waited for, or done beside the rig.
   *
   * @param kind wait, or carry where hands do it
   * @param seconds how long it takes (s)
   * @param moved what is moved meanwhile (m³)
   * @param volume the same (m³)
   * @param levels what the tanks hold then that have changed, by id (m³)
   */
  record Awaited(
      Job.Until until,
      String kind,
      Message words,
      String notice,
      Step.Span seconds,
      double moved,
      double volume,
      Map<PartId, Double> levels,
      List<Step.Then> then,
      int group)
      implements PlannedStep {}

  /** Returns the steps of a plan, those that are one act with the same number. */
  static List<PlannedStep> of(Rig rig, Plan plan) {
    List<PlannedStep> told = new ArrayList<>();
    List<Integer> acts = Acts.of(rig, plan);
    for (int i = 0; i < acts.size(); i++) {
      told.add(
          switch (plan.steps().get(i)) {
            case Step.Move move -> turned(rig.part(move.part()), move, acts.get(i));
            case Step.Wait wait -> awaited(wait, acts.get(i));
          });
    }
    return told;
  }

  private static Turned turned(Part part, Step.Move move, int group) {
    return new Turned(
        part.place().value(),
        part.id().value(),
        move.from().value(),
        move.to().value(),
        Acts.Sort.of(part.kind()).name().toLowerCase(Locale.ROOT),
        move.words(),
        move.why(),
        move.notice(),
        group);
  }

  private static Awaited awaited(Step.Wait wait, int group) {
    return new Awaited(
        wait.until(),
        wait.until().what().isByHand() ? "carry" : "wait",
        wait.words(),
        wait.notice(),
        wait.seconds(),
        wait.moved(),
        wait.moved(),
        wait.levels(),
        wait.then(),
        group);
  }
}
