package fernwort.core.rig;

import fernwort.core.id.PartId;

/**
 * What carries a tank at one place along it.
 *
 * @param tank id of the tank
 * @param type what sort it is
 * @param along where it stands, from the tank's inside rear end (m)
 * @param width how wide it bears along the tank (m)
 * @param fasteners how many hold it to the vehicle
 * @param pull what each bears in pull, working load (N)
 * @param shear what each bears in shear, working load (N)
 */
public record TankSupport(
    PartId tank, Type type, double along, double width, int fasteners, double pull, double shear) {

  /** Sorts of support. */
  public enum Type {
    STRAP,
    RAIL,
    BRACKET,
    SHELF,
    BOX;

    /** Tells whether the tank stands on it, spread out: it neither goes slack nor dents a wall. */
    public boolean isUnder() {
      return this == SHELF || this == BOX;
    }
  }
}
