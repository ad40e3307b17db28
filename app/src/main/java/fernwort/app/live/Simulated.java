package fernwort.app.live;

import fernwort.app.mqtt.Topics;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/** What simulated rigs say that they really are, for the page that makes them go wrong. */
final class Simulated {

  /** So many simulated rigs are known; own choice. */
  private static final int MOST = 20;

  private final Map<String, String> truths = new ConcurrentHashMap<>();

  /** Takes a message, if it is about how a simulated rig is. */
  void take(String topic, String payload) {
    if (!topic.startsWith(Topics.SIMULATED) || !topic.endsWith(Topics.NOW)) {
      return;
    }
    String rig = topic.substring(Topics.SIMULATED.length(), topic.length() - Topics.NOW.length());
    if (truths.containsKey(rig) || truths.size() < MOST) {
      truths.put(rig, payload);
    }
  }

  Optional<String> of(String rig) {
    return Optional.ofNullable(truths.get(rig));
  }

  void clear() {
    truths.clear();
  }
}
