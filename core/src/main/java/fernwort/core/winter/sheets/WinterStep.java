package fernwort.core.winter.sheets;

import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Acts;
import fernwort.core.kind.Kind;
import fernwort.core.say.Message;
import java.util.Optional;

/**
 * One line of a winter run sheet.
 *
 * @param act what it does
 * @param place id of the place where one stands for it; empty for none
 * @param words what to do
 * @param why what for, or what to mind
 * @param seconds how long it takes, roughly (s)
 * @param timed whether it is waited for with a timer
 * @param litres antifreeze it takes (m³)
 * @param hand what a hand does to which part; empty on sheets that an earlier Fernwort kept
 */
public record WinterStep(
    Operation act,
    PlaceId place,
    Message words,
    Message why,
    double seconds,
    boolean timed,
    double litres,
    Optional<Hand> hand) {

  /** What a hand does. */
  public enum Sort {
    TAPS,
    VALVES,
    CAPS,
    PUMP,
    UNDO,
    REFIT,
    TILT,
    CUP,
    CARRY,
    ADAPTER,
    JUG,
    RUN,
    /** Nothing: something cools or runs out, and other things are done meanwhile. */
    WAIT,
    OTHER;

    /** Returns what a hand does to a kind of part in its place. */
    public static Sort of(Kind kind) {
      return switch (Acts.Sort.of(kind)) {
        case TAPS -> TAPS;
        case VALVES -> VALVES;
        case CAPS -> CAPS;
        case PUMP -> PUMP;
      };
    }
  }

  /**
   * What a hand does to which part.
   *
   * @param part id of the part; empty for none
   * @param sort what sort of thing
   * @param off whether an adapter or jug comes off
   * @param volume what runs (m³)
   */
  public record Hand(PartId part, Sort sort, boolean off, double volume) {

    /** Makes something that is done to a part. */
    public static Hand of(PartId part, Sort sort) {
      return new Hand(part, sort, false, 0);
    }

    /** Returns the same with so much running (m³). */
    public Hand running(double volume) {
      return new Hand(part, sort, off, volume);
    }

    /** Returns the same coming off. */
    public Hand comingOff() {
      return new Hand(part, sort, true, volume);
    }
  }

  /** Returns the same with what a hand does. */
  public WinterStep by(Hand hand) {
    return new WinterStep(act, place, words, why, seconds, timed, litres, Optional.of(hand));
  }

  /**
   * Makes a step of which no part is told.
   *
   * @param seconds how long it takes, roughly (s)
   * @param litres antifreeze it takes (m³)
   */
  public WinterStep(
      Operation act,
      PlaceId place,
      Message words,
      Message why,
      double seconds,
      boolean timed,
      double litres) {
    this(act, place, words, why, seconds, timed, litres, Optional.empty());
  }

  /** Tells whether other things are done while it goes on. */
  public boolean isWait() {
    return hand.filter(h -> h.sort() == Sort.WAIT).isPresent();
  }

  /** Returns the position that it puts a part into; empty for none. */
  public PositionId to() {
    return act instanceof Operation.Put put ? put.position() : PositionId.NONE;
  }
}
