package fernwort.app.services;

import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tap;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Settings in which water runs, for who asks of flows without turning any handle. */
@Service
public class Waterway {

  private static final double HALF = 0.5;

  private final JobDesk desk;
  private final States states;

  Waterway(JobDesk desk, States states) {
    this.desk = desk;
    this.states = states;
  }

  /**
   * Returns a rig with its handles so that the taps run from its first tank that can, half full,
   * and its first tap open; nothing where no tap runs by itself.
   */
  public Optional<State> running(OpenRig rig) {
    return toTaps(rig)
        .flatMap(state ->
            rig.rig().parts().stream()
                .filter(p -> p.kind().is(Purpose.USE))
                .findFirst()
                .map(p -> state.with(p.id(), ((Tap) p.kind()).cold().id())));
  }

  /** Returns a rig with its handles so that the taps run, all of them shut. */
  public Optional<State> toTaps(OpenRig rig) {
    State half = states.of(rig).state();
    for (Part tank : rig.network().tanks()) {
      half = half.withVolume(tank.id(), HALF * rig.network().room(tank.id()).capacity());
    }
    State from = half;
    return desk.book(rig)
        .offered(j -> j.kind().is(Job.Is.RUNS_TAPS) && !j.kind().is(Job.Is.OUTSIDE_WATER))
        .map(j -> desk.book(rig).plans().brief().plan(j, from))
        .filter(p -> p.trouble().isEmpty())
        .findFirst()
        .map(Plan::after);
  }
}
