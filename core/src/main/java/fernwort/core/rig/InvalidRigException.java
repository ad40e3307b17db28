package fernwort.core.rig;

import fernwort.core.say.Refusal;
import java.util.List;
import java.util.stream.Collectors;

/** Thrown when a description is no rig; carries every fault that was found. */
public final class InvalidRigException extends Refusal {

  private static final long serialVersionUID = 1L;

  private final transient List<Problem> problems;

  public InvalidRigException(List<Problem> problems) {
    super(problems.stream().map(Problem::toString).collect(Collectors.joining("\n")));
    this.problems = List.copyOf(problems);
  }

  /** Returns the faults, at least one. */
  public List<Problem> problems() {
    return problems;
  }
}
