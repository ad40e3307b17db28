package fernwort.core.jobs.wait;

import fernwort.core.jobs.goal.Harm;
import fernwort.core.jobs.goal.Job;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Saying;

/** Tells what is wrong with how a wait ended, when it is not how the job should end. */
final class WaitJudge {

  /** Nearer to a mark than this nobody can tell (m³). */
  private static final double NEAR = 5e-4;

  private final Plumbing plumbing;

  WaitJudge(Plumbing plumbing) {
    this.plumbing = plumbing;
  }

  /** Says what went wrong when it is not how the job should end. */
  void look(Job job, Job.Until until, WaitEnd end, double moved, StageRun stage) {
    String label = plumbing.rig().part(until.part()).label();
    boolean little = moved < Waits.WORTHWHILE;
    Saying never =
        switch (until.what()) {
          case FULL, FIRST_FULL -> Saying.of("{} does not fill", label);
          case MARK -> Saying.of("{} does not come to {}", label, Amount.volume(until.mark()));
          case DRY -> Saying.of("{} does not empty", label);
          case POURED_OUT -> Saying.of("{} does not pour out", label);
          case LEVEL, HOT, PRESSURE, SLACK, RUNS -> Saying.NOTHING;
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
              Saying.of("{} within {}", never, Amount.time(Waits.LONGEST)),
              Saying.of(
                  "Too little comes, or it runs out as fast elsewhere: look for what holds it back."));
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
          Saying.of(
              "{} holds {} before anybody can stop at {}",
              plumbing.rig().part(until.part()).label(),
              Amount.volume(holds),
              Amount.volume(until.mark())),
          Saying.of("Choose a higher mark, or let it in more slowly."));
    }
  }

  /** What comes in its own time, or is so already. */
  private static boolean isPatient(Job.Until until) {
    return until.what() == Job.Until.What.HOT || until.what() == Job.Until.What.LEVEL;
  }

  private Saying reason(Job.Until until, StageRun stage) {
    State now = stage.run().moment().state();
    if (until.what() == Job.Until.What.DRY) {
      double held = now.volume(until.part());
      if (held < Waits.WORTHWHILE) {
        return Saying.of("It is empty already.");
      }
      if (Marks.isDry(plumbing, now, until.part())) {
        return Saying.of(
            "As it is parked, the {} in it do not come to its outlet: lean it that way.",
            Amount.volume(held));
      }
    }
    if (until.what() == Job.Until.What.MARK && now.volume(until.part()) > Waits.WORTHWHILE) {
      return Saying.of("It stops at {} by itself.", Amount.volume(now.volume(until.part())));
    }
    return Saying.of(
        "Nothing moves as the levels stand: look at what lies higher, and at the pressure.");
  }
}
