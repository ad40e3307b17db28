package fernwort.core.jobs.plan;

import fernwort.core.id.PositionId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.rig.Part;

/** What hands can do in one movement. */
public final class Hands {

  private Hands() {}

  /**
   * Tells whether a part goes from one position to another in one movement. A hose does not come
   * off while its tap gives: the tap is shut first.
   */
  public static boolean canTurn(Part part, PositionId from, PositionId to) {
    return !(part.kind().is(Purpose.INLET)
        && from.equals(HoseInlet.MAINS.id())
        && !to.equals(HoseInlet.HOSE.id()));
  }
}
