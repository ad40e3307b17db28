package fernwort.app.api;

import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.State;
import fernwort.core.run.Happening;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * What came of a run.
 *
 * @param events what began, in order
 * @param samples how things stood from time to time
 * @param end how things stand at the end
 */
record RunAnswer(List<Event> events, List<Sample> samples, Sample end) {

  private static final int MOST_EVENTS = 2000;

  /**
   * Something began or ended.
   *
   * @param at when (s)
   * @param what what, such as RUNS_OUT
   * @param part id of the part or line
   * @param begins whether it began, or ended
   */
  record Event(double at, String what, String part, boolean begins) {}

  /**
   * How things stood.
   *
   * @param at when (s)
   * @param positions handles, by part id
   * @param tanks water, by id (m³)
   * @param air gauge pressure of the air in tanks where there is any, by id (Pa)
   * @param supplied what came in so far, by inlet or container (m³)
   * @param drawn what each fixture gave so far (m³)
   * @param out what left so far, by end (m³)
   */
  record Sample(
      double at,
      Map<String, String> positions,
      Map<String, Double> tanks,
      Map<String, Double> air,
      Map<String, Double> supplied,
      Map<String, Double> drawn,
      Map<String, Double> out) {

    static Sample of(Moment m) {
      return new Sample(
          m.time(),
          m.state().setting().positions(),
          m.state().volumes(),
          m.air(),
          m.totals().supplied(),
          m.totals().drawn(),
          m.totals().out());
    }
  }

  static RunAnswer of(Plumbing plumbing, State from, RunAsked asked) {
    Simulation run = Simulation.start(plumbing, Hydraulics.of(plumbing), from, Conditions.ORDINARY);
    List<Event> events = new ArrayList<>();
    List<Sample> samples = new ArrayList<>();
    asked.every().ifPresent(e -> samples.add(Sample.of(run.moment())));
    double sampled = 0;
    List<RunAsked.Act> acts =
        asked.acts().orElse(List.of()).stream()
            .sorted(Comparator.comparingDouble(RunAsked.Act::at))
            .toList();
    for (RunAsked.Act act : acts) {
      sampled = runTo(run, act.at(), asked, sampled, events, samples);
      add(run.set(act.part(), act.position()), events);
    }
    runTo(run, asked.seconds(), asked, sampled, events, samples);
    return new RunAnswer(events, samples, Sample.of(run.moment()));
  }

  private static double runTo(
      Simulation run,
      double until,
      RunAsked asked,
      double sampled,
      List<Event> events,
      List<Sample> samples) {
    double last = sampled;
    double every = asked.every().orElse(Double.POSITIVE_INFINITY);
    while (last + every <= until) {
      last += every;
      add(run.runTo(last), events);
      samples.add(Sample.of(run.moment()));
    }
    add(run.runTo(until), events);
    return last;
  }

  private static void add(List<Happening> happenings, List<Event> events) {
    for (Happening h : happenings) {
      if (events.size() < MOST_EVENTS) {
        events.add(new Event(h.at(), h.kind().name(), h.subject(), h.begins()));
      }
    }
  }
}
