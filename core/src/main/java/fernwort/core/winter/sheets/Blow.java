package fernwort.core.winter.sheets;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import java.util.List;

/**
 * Air blown to one outlet.
 *
 * @param outlet id of the outlet
 * @param length of the way (m)
 * @param pressure over the air's, that the outlet lets build up (Pa)
 * @param bursts how often
 * @param lines what happens in each line on the way, from the adapter on
 */
public record Blow(PartId outlet, double length, double pressure, int bursts, List<Swept> lines) {

  /** A carried line keeps a film of this share of what it holds, at least (our estimate). */
  public static final double LEAST_FILM = 0.02;

  /** At most. */
  public static final double MOST_FILM = 0.06;

  /**
   * One line.
   *
   * @param line its id
   * @param speed of the air (m/s)
   * @param wallis Wallis' number: 1 or more carries water up and out (1)
   * @param low water that stays, at least (m³)
   * @param high at most (m³)
   */
  public record Swept(LineId line, double speed, double wallis, double low, double high) {

    /** Tells whether water is carried out of it. */
    public boolean isCarried() {
      return wallis >= 1;
    }
  }
}
