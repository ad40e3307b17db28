package fernwort.core.guide.answers;

import fernwort.core.guide.answers.RigAnswers.Spot;
import java.util.Objects;
import java.util.Optional;

/**
 * What follows the hose inlet in rigs that can do more than fill one tank.
 *
 * @param chosenBy what decides where its water goes, when it can go to several
 * @param motor whether a motor turns that
 * @param filter whether the water passes a sediment filter first
 * @param checkAtTank whether the check valve is on the tank's own line, not right after the inlet
 * @param second a second inlet on the other side, which a diverter chooses
 */
public record InletBranches(
    ChosenBy chosenBy,
    boolean motor,
    boolean filter,
    boolean checkAtTank,
    Optional<SecondInlet> second) {

  /** A valve on each branch. */
  public static final InletBranches USUAL =
      new InletBranches(ChosenBy.VALVES, false, false, false, Optional.empty());

  /** What decides where water from the inlet goes. */
  public enum ChosenBy {
    /** A valve on each branch. */
    VALVES,
    /** A valve on what leads to a tank; the taps are always joined. */
    TANK_VALVES,
    /** A three-way valve that leads to one or the other. */
    DIVERTER,
    /** The same, with a closed position. */
    DIVERTER_WITH_OFF;

    /** Tells whether a three-way valve does it. */
    public boolean diverts() {
      return this == DIVERTER || this == DIVERTER_WITH_OFF;
    }
  }

  /**
   * Another hose inlet.
   *
   * @param spot where it is
   * @param height above the ground (m)
   */
  public record SecondInlet(Spot spot, double height) {}

  public InletBranches {
    chosenBy = Objects.requireNonNullElse(chosenBy, ChosenBy.VALVES);
    second = Objects.requireNonNullElse(second, Optional.empty());
  }
}
