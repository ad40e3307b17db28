package fernwort.app.services;

import fernwort.app.store.Logbook;
import fernwort.core.rig.State;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Where things stand now.
 *
 * @param state handles, volumes and slope; a tank that was never read counts as empty
 * @param readings the newest reading of each tank
 * @param setAside tanks whose newest reading cannot be shown
 * @param sensed tanks of which a sensor tells the level now
 */
public record Standing(
    State state, Map<String, Logbook.Level> readings, List<String> setAside, Set<String> sensed) {

  /** Where no sensor tells anything. */
  public Standing(State state, Map<String, Logbook.Level> readings, List<String> setAside) {
    this(state, readings, setAside, Set.of());
  }

  /** Returns a state that nobody recorded. */
  public static Standing unrecorded(State state) {
    return new Standing(state, Map.of(), List.of());
  }
}
