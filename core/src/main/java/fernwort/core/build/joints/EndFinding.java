package fernwort.core.build.joints;

import fernwort.core.id.LineId;
import fernwort.core.rig.PortRef;
import fernwort.core.say.Message;

/**
 * Something about two ends that does not fit.
 *
 * @param code what sort of thing
 * @param at the port where it is
 * @param line id of the line there
 * @param what what does not fit, and what comes of it
 * @param fix what to use instead
 */
public record EndFinding(Code code, PortRef at, LineId line, Message what, Message fix) {

  /** The sorts of finding. */
  public enum Code {
    TWO_STANDARDS,
    TWO_SIZES,
    SAME_HALVES,
    TAIL_SMALL,
    TAIL_LARGE,
    TAIL_WARMED,
    NO_CEMENT_HOLDS,
    TWO_PLASTICS,
    BRASS,
    SEALED_TWICE,
    NO_CHAIN,
    RELIEF_SHUT,
    OTHER
  }
}
