package fernwort.core.run;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import java.util.List;

/**
 * Who sets handles, switches, caps and taps in a run: a hand by its list, an automation by its
 * senders; later a device, frost, or a drill. It is asked when it wants to be, and says what it
 * does then.
 */
public interface Actor {

  /**
   * Something that is set.
   *
   * @param part id of the part
   * @param position id of the position
   */
  record Act(PartId part, PositionId position) {}

  /** Times closer than this are the same (s). */
  double SAME = 1e-6;

  /** Tells whether a time has come (s). */
  static boolean isDue(double at, Moment now) {
    return at <= now.time() + SAME;
  }

  /**
   * Returns when it wants to be asked next (s), from the start of the run; infinite for never
   * again.
   *
   * @param now how things stand
   */
  double next(Moment now);

  /**
   * Returns what it does at the time it wanted to be asked.
   *
   * @param now how things stand
   */
  List<Act> act(Moment now);
}
