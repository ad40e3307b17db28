package fernwort.core.fault;

import java.util.List;

/** Tells from what a sensor said since a repair whether what was seen before is gone. */
public final class Proof {

  /** A pump that is silent for so long with all taps closed does not run on (s); own choice. */
  private static final double SILENT_FOR = 120;

  /** A change of a level that a person sees (m³), or this share of the tank. */
  private static final double SEEN = 0.7e-3;

  private static final double SEEN_SHARE = 0.01;

  private Proof() {}

  /**
   * What a sensor said.
   *
   * @param after how long after the repair (s)
   * @param value a level in m³; of a contact 1 (no unit) for on, running or wet, else 0
   */
  public record Reading(double after, double value) {}

  /**
   * Returns the least change of a level that a person sees (m³).
   *
   * @param capacity of the tank (m³)
   */
  public static double seen(double capacity) {
    return Math.max(SEEN, SEEN_SHARE * capacity);
  }

  /** Tells whether a sensor can prove it: water on a floor, a pump that is heard, a level. */
  public static boolean canBeTold(Observation complaint) {
    return switch (complaint.kind()) {
      case WET, LEVEL -> true;
      case PUMP -> !complaint.value().equals("hums");
      case WATER, WARMTH, DRAIN, BUCKET, DIP, HANDLE, POWER, INSPECT -> false;
    };
  }

  /**
   * Tells whether it is gone.
   *
   * @param complaint what was seen before the repair
   * @param now how long the repair is done (s)
   * @param readings what the sensor said since, in order of time
   * @param seen a change of the level that a person would see (m³)
   */
  public static boolean isGone(
      Observation complaint, double now, List<Reading> readings, double seen) {
    if (readings.isEmpty()) {
      return false;
    }
    double last = readings.getLast().value();
    return switch (complaint.kind()) {
      case WET -> last == 0;
      case PUMP ->
          complaint.value().equals("silent") ? last != 0 : isSilent(now, readings, SILENT_FOR);
      case LEVEL -> {
        double change = last - readings.getFirst().value();
        boolean watched = now >= complaint.watched();
        yield switch (complaint.value()) {
          case "steady" -> change >= seen;
          case "falls" -> watched && change > -seen;
          case "rises" -> watched && change < seen;
          default -> watched && Math.abs(change) < seen;
        };
      }
      case WATER, WARMTH, DRAIN, BUCKET, DIP, HANDLE, POWER, INSPECT -> false;
    };
  }

  private static boolean isSilent(double now, List<Reading> readings, double span) {
    boolean was = false;
    double since = 0;
    for (Reading reading : readings) {
      boolean silent = reading.value() == 0;
      if (silent && !was) {
        since = reading.after();
      }
      was = silent;
    }
    return was && now - since >= span;
  }
}
