package fernwort.core.jobs.plan;

import fernwort.core.hazard.LoadCheck;
import fernwort.core.hazard.Severity;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Step;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What is done with the water itself before a drive.
 *
 * @param network the prepared rig
 * @param state handles and levels as they are
 */
record BeforeDriving(Network network, State state) {

  /** So much of a tank stays free for what warms and sloshes (share of it); own choice. */
  private static final double ROOM = 0.02;

  /** At least so much (m³); own choice. */
  private static final double LEAST = 1e-3;

  /** Returns a step for each fresh tank that is filled to its top. */
  List<Step.Wait> lettingOut() {
    List<Step.Wait> steps = new ArrayList<>();
    for (Part tank : network.rig().tanks(Contents.FRESH).toList()) {
      double full = network.figures(tank, state.slope()).full();
      double room = Math.max(LEAST, ROOM * full);
      double out = state.volume(tank.id()) - (full - room);
      if (out > 0 && full > 2 * room) {
        steps.add(letOut(tank, Math.min(room, Math.max(out, LEAST))));
      }
    }
    return steps;
  }

  private Step.Wait letOut(Part tank, double out) {
    return new Step.Wait(
        new Job.Until(Job.Until.What.LET_OUT, tank.id()),
        Says.LET_ABOUT_OUT_OF_AT_A_TAP.with(Amount.volume(out), tank.label()),
        "",
        Step.Span.UNKNOWN,
        out,
        Map.of(tank.id(), state.volume(tank.id()) - out),
        List.of());
  }

  /** Returns what the axles and the coupling carry beyond their limits. */
  List<Message> loads() {
    return LoadCheck.of(network, state.volumes()).stream()
        .filter(w -> w.severity() == Severity.DANGER)
        .map(w -> Message.of("{}. {}", w.title(), w.fix()))
        .toList();
  }
}
