package fernwort.core.jobs.wait;

import fernwort.core.jobs.goal.Harm;
import fernwort.core.jobs.goal.Job;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;

/** Tells what is wrong with how a wait ended, when it is not how the job should end. */
final class WaitJudge {

  /** Nearer to a mark than this nobody can tell (m³). */
  private static final double NEAR = 5e-4;

  private final Network network;

  WaitJudge(Network network) {
    this.network = network;
  }

  /** Says what went wrong when it is not how the job should end. */
  void look(Job job, Job.Until until, WaitEnd end, double moved, StageRun stage) {
    String label = network.rig().part(until.part()).label();
    boolean little = moved < Waits.WORTHWHILE;
    Message never =
        switch (until.what()) {
          case FULL, FIRST_FULL -> Message.of("{} does not fill", label);
          case MARK, RUNS_OVER ->
              Message.of("{} does not come to {}", label, Amount.volume(until.mark()));
          case DRY -> Message.of("{} does not empty", label);
          case POURED_OUT -> Message.of("{} does not pour out", label);
          default -> Message.NOTHING;
        };
    boolean mains = job.kind().is(Job.Is.FROM_MAINS);
    boolean filling = mains && until.fills();
    switch (end) {
      case HARMED -> {}
      case REACHED -> tooFast(until, stage);
      case DRY_PUMP -> {
        if (little) {
          stage.fail(
              Harm.Kind.DREW_AIR,
              until.part(),
              "the pump draws air at once",
              until.what() == Job.Until.What.DRY
                  ? StageRun.LEAVE_THE_REST
                  : "Fill the tank that it draws from first.");
        }
      }
      case SETTLED -> {
        if (!isPatient(until) && (little || filling)) {
          stage.fail(Harm.Kind.NOT_REACHED, until.part(), never, reason(until, stage));
        }
      }
      case ENDLESS -> {
        if (!isPatient(until)) {
          stage.fail(
              Harm.Kind.NOT_REACHED,
              until.part(),
              Message.of("{} within {}", never, Amount.time(Waits.LONGEST)),
              Message.of(
                  "Too little comes, or it runs out as fast elsewhere: find what holds it back."));
        }
      }
    }
  }

  /** A mark that is passed while the last handle is still being turned cannot be stopped at. */
  private void tooFast(Job.Until until, StageRun stage) {
    double holds = stage.run().moment().state().volume(until.part());
    if (until.what() == Job.Until.What.MARK && holds > until.mark() + NEAR) {
      stage.fail(
          Harm.Kind.NOT_REACHED,
          until.part(),
          Message.of(
              "{} holds {} before anybody can stop at {}",
              network.rig().part(until.part()).label(),
              Amount.volume(holds),
              Amount.volume(until.mark())),
          Message.of("Choose a higher mark, or let it in more slowly."));
    }
  }

  /** What comes in its own time, or is so already. */
  private static boolean isPatient(Job.Until until) {
    return until.what() == Job.Until.What.HOT || until.what() == Job.Until.What.LEVEL;
  }

  private Message reason(Job.Until until, StageRun stage) {
    State now = stage.run().moment().state();
    if (until.what() == Job.Until.What.DRY) {
      double held = now.volume(until.part());
      if (held < Waits.WORTHWHILE) {
        return Message.of("It is empty already.");
      }
      if (Marks.isDry(network, now, until.part())) {
        return Message.of(
            "As it is parked, the {} in it do not come to its outlet: lean it that way.",
            Amount.volume(held));
      }
    }
    if (until.what() == Job.Until.What.MARK && now.volume(until.part()) > Waits.WORTHWHILE) {
      return Message.of("It stops at {} by itself.", Amount.volume(now.volume(until.part())));
    }
    return Message.of("Nothing moves at these levels: check what lies higher, and the pressure.");
  }
}
