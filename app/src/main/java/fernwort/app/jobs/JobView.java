package fernwort.app.jobs;

import fernwort.app.services.JobBook;
import fernwort.app.services.OpenRig;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.jobs.find.FillToMark;
import fernwort.core.jobs.goal.Acts;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import fernwort.core.say.Times;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * A job with its plan from how things stand.
 *
 * @param id of the job
 * @param name what it is, and by which means
 * @param fills the tank that may be filled to a mark only; empty for none
 * @param cautions what to mind
 * @param notes what to know before
 * @param trouble why it cannot be done now; empty when it can
 * @param steps what to do
 * @param sum how much there is to do
 * @param others other means to the same end
 * @param stays the water that stays, where something is emptied
 */
record JobView(
    String id,
    String name,
    String fills,
    List<String> cautions,
    List<String> notes,
    String trouble,
    List<StepView> steps,
    String sum,
    List<Other> others,
    Stays stays) {

  /** Another means to the same end, with what it costs. */
  record Other(String id, String name, String sum) {}

  /**
   * A slip in words.
   *
   * @param sign how bad, in small letters
   * @param words what is done wrong
   * @param leads what it leads to
   * @param undone whether it can be undone
   */
  record SlipRow(String sign, String words, String leads, String undone) {

    /** What is the same to people is told once, with every slip that leads to it. */
    private record Outcome(Slip.Grade grade, Message leads, String undone) {}

    /** Returns each outcome once, in the order of the slips, the worst first. */
    static List<SlipRow> of(List<Slip> slips, Units units) {
      Map<Outcome, List<String>> outcomes = new LinkedHashMap<>();
      for (Slip slip : slips) {
        outcomes
            .computeIfAbsent(
                new Outcome(slip.grade(), slip.leads(), slip.undone()), o -> new ArrayList<>())
            .add(said(slip, units));
      }
      List<SlipRow> rows = new ArrayList<>();
      outcomes.forEach((o, words) ->
          rows.add(
              new SlipRow(
                  o.grade().name().toLowerCase(Locale.ROOT),
                  String.join(" Or: ", words),
                  units.say(o.leads()),
                  o.undone())));
      return rows;
    }

    private static String said(Slip slip, Units units) {
      return (slip.step() < 0 ? "" : Says.STEP.filled(slip.step() + 1)) + units.say(slip.words());
    }
  }

  static JobView of(OpenRig rig, JobBook book, Plan plan, List<Other> others, Units units) {
    Job job = plan.job();
    return new JobView(
        job.id(),
        units.say(job.name()),
        FillToMark.tank(job).map(t -> rig.rig().part(t).label()).orElse(""),
        job.cautions().stream().map(Caution::words).toList(),
        plan.notes().stream().map(units::say).toList(),
        plan.trouble().map(Plan.Trouble::words).map(units::say).orElse(""),
        plan.steps().stream().map(s -> StepView.of(rig.rig(), s, units)).toList(),
        sum(rig, plan, units),
        others,
        Stays.of(rig, plan, units));
  }

  /** A job as it hangs on the door: from the rig at rest with its tanks half full. */
  static JobView fromRest(OpenRig rig, JobBook book, String job, Units units) {
    return of(rig, book, book.plans().plan(book.job(job), rest(rig)), List.of(), units);
  }

  /** The rig at rest with its tanks half full. */
  static State rest(OpenRig rig) {
    return new State(rig.rig().atRest(), halfFull(rig), Slope.LEVEL);
  }

  private static Map<PartId, Double> halfFull(OpenRig rig) {
    Map<PartId, Double> half = new LinkedHashMap<>();
    rig.network().tanks().forEach(t -> half.put(t.id(), rig.network().room(t.id()).capacity() / 2));
    return half;
  }

  /** Returns from which levels what begins at rest is reckoned. */
  static String workedOutFrom(OpenRig rig, Units units) {
    return halfFull(rig).entrySet().stream()
        .map(t ->
            rig.rig().part(t.getKey()).label() + " " + units.show(Measure.VOLUME, t.getValue()))
        .collect(Collectors.joining(", ", Says.TIMES_ARE_WORKED_OUT_FROM_EVERY.text(), "."));
  }

  /** What a plan costs: moves of hands, places, time, water; empty where it cannot be done. */
  static String sum(OpenRig rig, Plan plan, Units units) {
    if (plan.trouble().isPresent()) {
      return "";
    }
    List<PlaceId> places =
        plan.moves().stream().map(m -> rig.rig().part(m.part()).place()).toList();
    long visits = 0;
    for (int i = 0; i < places.size(); i++) {
      visits += i == 0 || !places.get(i).equals(places.get(i - 1)) ? 1 : 0;
    }
    double seconds = 0;
    double litres = 0;
    for (Step step : plan.steps()) {
      if (step instanceof Step.Wait wait) {
        seconds += wait.seconds().expected();
        litres += wait.moved();
      }
    }
    long things = plan.steps().stream().filter(Acts::isDone).count();
    String hands =
        things == 0
            ? Says.NOTHING_TO_DO.text()
            : Says.THING_TO_DO.filled(
                things,
                things == 1 ? "" : "s",
                visits == 0
                    ? ""
                    : visits == 1 ? Says.IN_1_PLACE.text() : Says.IN_PLACES.filled(visits));
    return hands
        + (seconds > 0 ? Says.WAIT.filled(Times.of(seconds)) : "")
        + (litres > 0 ? " · " + units.show(Measure.VOLUME, litres) : "");
  }
}
