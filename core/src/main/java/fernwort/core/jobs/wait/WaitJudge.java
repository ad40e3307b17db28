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

  /** The same as a share of a tank: a litre of five hundred; own choice. */
  private static final double READ = 0.002;

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
          case FULL, FIRST_FULL -> Says.DOES_NOT_FILL.with(label);
          case MARK, RUNS_OVER -> Says.DOES_NOT_COME_TO.with(label, Amount.volume(until.mark()));
          case DRY -> Says.DOES_NOT_EMPTY.with(label);
          case POURED_OUT -> Says.DOES_NOT_POUR_OUT.with(label);
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
              Says.THE_PUMP_DRAWS_AIR_AT_ONCE.text(),
              until.what() == Job.Until.What.DRY
                  ? StageRun.LEAVE_THE_REST
                  : Says.FILL_THE_TANK_THAT_IT_DRAWS.text());
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
              Says.TOO_LITTLE_COMES_OR_IT_RUNS.with());
        }
      }
    }
  }

  /** A mark that is passed while the last handle is still being turned cannot be stopped at. */
  private void tooFast(Job.Until until, StageRun stage) {
    double holds = stage.run().moment().state().volume(until.part());
    if (until.what() != Job.Until.What.MARK) {
      return;
    }
    double near = Math.max(NEAR, READ * network.room(until.part()).capacity());
    if (holds > until.mark() + near) {
      stage.fail(
          Harm.Kind.NOT_REACHED,
          until.part(),
          Says.HOLDS_BEFORE_ANYBODY_CAN_STOP_AT.with(
              network.rig().part(until.part()).label(),
              Amount.volume(holds),
              Amount.volume(until.mark())),
          Says.CHOOSE_A_HIGHER_MARK_OR_LET.with(Amount.volume(holds)));
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
        return Says.IT_IS_EMPTY_ALREADY.with();
      }
      if (Marks.isDry(network, now, until.part())) {
        return Says.AS_IT_IS_PARKED.with(Amount.volume(held));
      }
    }
    if (until.what() == Job.Until.What.MARK && now.volume(until.part()) > Waits.WORTHWHILE) {
      return Says.IT_STOPS_AT_BY_ITSELF.with(Amount.volume(now.volume(until.part())));
    }
    return Says.NOTHING_MOVES_AT_THESE_LEVELS.with();
  }
}
