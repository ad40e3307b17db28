package fernwort.core.cold;

import fernwort.core.plumbing.Plumbing;
import java.util.List;

/** Draining as a list of steps: after each, whatever can leave has left. */
public final class Procedure {

  private Procedure() {}

  /**
   * One step.
   *
   * @param part id of the part
   * @param position its position, of those in use or of {@link fernwort.core.rig.Kind#service}
   */
  public record Turn(String part, String position) {}

  /**
   * Returns a rig after some steps.
   *
   * @throws fernwort.core.say.Refusal when a part cannot be put so
   */
  public static Wintering run(Plumbing plumbing, Wintering before, List<Turn> steps) {
    Wintering now = before;
    for (Turn step : steps) {
      now = Draining.of(plumbing, now.with(plumbing.rig(), step.part(), step.position()));
    }
    return now;
  }
}
