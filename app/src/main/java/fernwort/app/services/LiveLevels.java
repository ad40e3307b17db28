package fernwort.app.services;

import fernwort.app.store.Logbook;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/**
 * What sensors say that tanks hold now. Where one speaks, it counts before what was read last;
 * where it falls silent, what was read counts again.
 */
@Component
public class LiveLevels {

  private final Map<String, Map<String, Logbook.Level>> levels = new ConcurrentHashMap<>();

  /** Returns the levels of a rig that sensors tell, by tank. */
  public Map<String, Logbook.Level> of(String rig) {
    return levels.getOrDefault(rig, Map.of());
  }

  /** Sets what sensors of a rig tell, by tank. */
  public void set(String rig, Map<String, Logbook.Level> told) {
    if (told.isEmpty()) {
      levels.remove(rig);
    } else {
      levels.put(rig, Map.copyOf(told));
    }
  }
}
