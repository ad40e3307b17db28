package fernwort.app.services;

import fernwort.app.store.Logbook;
import fernwort.core.rig.State;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

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

  /** Returns a state of which all levels are taken as known: that of a copy to practise on. */
  public static Standing supposed(State state) {
    Map<String, Logbook.Level> known = new TreeMap<>();
    state
        .volumes()
        .forEach((tank, v) -> known.put(tank.value(), new Logbook.Level(v, Instant.EPOCH, "")));
    return new Standing(state, known, List.of());
  }
}
