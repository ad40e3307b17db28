package fernwort.core.live;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import java.time.Instant;
import java.util.Locale;

/**
 * A motor was told to move, and is watched until it has arrived.
 *
 * @param id its address
 * @param part what is to move
 * @param position where to
 * @param who who wants it
 * @param at when it was told
 * @param told the same on the steady clock (s)
 * @param travel how long it takes (s)
 * @param reports whether it tells where it is
 * @param state how far it is
 */
public record MotorCommand(
    String id,
    PartId part,
    PositionId position,
    String who,
    Instant at,
    double told,
    double travel,
    boolean reports,
    Progress state) {

  /** A motor that is not there after so many times its travel time has failed (1); own choice. */
  public static final double PATIENCE = 2;

  /** It has at least so long to report (s): the link takes its time too; own choice. */
  public static final double LEAST = 5;

  /** How far it is. */
  public enum Progress {
    /** Its travel time runs. */
    MOVING,
    /** It said that it has arrived. */
    REACHED,
    /** Its travel time is over, and it never says where it is. */
    ASSUMED,
    /** It did not arrive. */
    FAILED,
    /** It was told something else before it arrived. */
    REPLACED;

    /** Returns its name as programs write it. */
    public String written() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** Returns how it is going at a moment. */
  public MotorCommand at(Now now) {
    if (state != Progress.MOVING) {
      return this;
    }
    double since = now.steady() - told;
    if (!reports) {
      return since >= travel ? with(Progress.ASSUMED) : this;
    }
    return since >= Math.max(LEAST, PATIENCE * travel) ? with(Progress.FAILED) : this;
  }

  /** Returns it after a report of where the motor is. */
  public MotorCommand heard(PositionId reported) {
    boolean late = state == Progress.FAILED || state == Progress.ASSUMED;
    return (state == Progress.MOVING || late) && reported.equals(position)
        ? with(Progress.REACHED)
        : this;
  }

  /** Returns it after another command for the same part. */
  public MotorCommand replaced() {
    return state == Progress.MOVING || state == Progress.FAILED ? with(Progress.REPLACED) : this;
  }

  /** Tells whether the part is where it was told to be, as far as anybody knows. */
  public boolean hasArrived() {
    return state == Progress.REACHED || state == Progress.ASSUMED;
  }

  private MotorCommand with(Progress changed) {
    return new MotorCommand(id, part, position, who, at, told, travel, reports, changed);
  }
}
