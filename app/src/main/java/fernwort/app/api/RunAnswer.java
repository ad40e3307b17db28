package fernwort.app.api;

import fernwort.app.services.OpenRig;
import fernwort.core.hydraulics.Conditions;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.rig.State;
import fernwort.core.run.Acted;
import fernwort.core.run.Actor;
import fernwort.core.run.Event;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import fernwort.core.run.water.Dry;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What came of a run.
 *
 * @param events what began, in order
 * @param samples how things stood from time to time
 * @param end how things stand at the end
 */
record RunAnswer(List<Reported> events, List<Sample> samples, Sample end) {

  private static final int MOST_EVENTS = 2000;

  /**
   * Something began or ended.
   *
   * @param at when (s)
   * @param what what, such as RUNS_OUT
   * @param part id of the part or line
   * @param begins whether it began, or ended
   */
  record Reported(double at, String what, String part, boolean begins) {}

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
   * @param lacking what dry lines and bodies lack still (m³)
   */
  record Sample(
      double at,
      Map<PartId, PositionId> positions,
      Map<PartId, Double> tanks,
      Map<PartId, Double> air,
      Map<PartId, Double> supplied,
      Map<PartId, Double> drawn,
      Map<PartId, Double> out,
      double lacking) {

    static Sample of(Moment m) {
      return new Sample(
          m.time(),
          m.state().setting().positions(),
          m.state().volumes(),
          m.air(),
          m.totals().supplied(),
          m.totals().drawn(),
          m.totals().out(),
          m.lacking());
    }
  }

  static RunAnswer of(OpenRig rig, State from, Dry dry, RunAsked asked) {
    Simulation run =
        Simulation.start(rig.landmarks(), rig.hydraulics(), from, Conditions.ORDINARY, dry);
    Collected events = new Collected();
    Acted acted = new Acted(run, List.of(asked.hands()), events::water, events::hand);
    List<Sample> samples = new ArrayList<>();
    asked
        .every()
        .ifPresent(every -> {
          samples.add(Sample.of(run.moment()));
          for (int i = 1; i * every <= asked.seconds(); i++) {
            acted.runTo(i * every);
            samples.add(Sample.of(run.moment()));
          }
        });
    acted.runTo(asked.seconds());
    acted.ask();
    return new RunAnswer(events.found, samples, Sample.of(run.moment()));
  }

  /** What begins and ends, as long as the answer has room for it. */
  private static final class Collected {

    private final List<Reported> found = new ArrayList<>();

    void water(Event h) {
      add(new Reported(h.at(), h.kind().name(), h.subject().value(), h.begins()));
    }

    void hand(double at, Actor.Act act) {
      add(new Reported(at, Event.Kind.HAND.name(), act.part().value(), true));
    }

    private void add(Reported event) {
      if (found.size() < MOST_EVENTS) {
        found.add(event);
      }
    }
  }
}
