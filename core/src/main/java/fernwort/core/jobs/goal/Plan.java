package fernwort.core.jobs.goal;

import fernwort.core.hazard.Warning;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Optional;

/**
 * How to do a job from how things stand.
 *
 * @param job the job
 * @param steps what to do, in order, as far as it can be done
 * @param stages for each step the stage of the job that it belongs to, from 0
 * @param notes what to know before
 * @param after how things stand then
 * @param trouble why it cannot be done to its end, if it cannot
 */
public record Plan(
    Job job,
    List<Step> steps,
    List<Integer> stages,
    List<Message> notes,
    State after,
    Optional<Trouble> trouble) {

  public Plan {
    steps = List.copyOf(steps);
    stages = List.copyOf(stages);
    notes = List.copyOf(notes);
  }

  /**
   * Why a job cannot be done.
   *
   * @param words in a sentence
   * @param hazard the hazard that stands in the way, if one does
   */
  public record Trouble(Message words, Optional<Warning> hazard) {

    /** Returns the danger in the way, if it is one that people meet with care. */
    public Optional<Warning> leftToCare() {
      return hazard.filter(w -> w.code().is(Warning.Is.LEFT_TO_CARE));
    }
  }

  /** Returns the moves of hands. */
  public List<Step.Move> moves() {
    return steps.stream().filter(Step.Move.class::isInstance).map(Step.Move.class::cast).toList();
  }
}
