package fernwort.app.live;

import fernwort.app.mqtt.Topics;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What devices say of themselves by the Homie convention, version 4: each property with its topic,
 * type and unit, and whether the device is there. Bounded: a network that babbles fills nothing.
 */
final class Discovery {

  static final String ROOT = Topics.HOMIE;

  /** Every topic of the convention. */
  static final String ALL = ROOT + "#";

  /** So many properties are remembered; own choice. */
  private static final int MOST = 2000;

  /** So much that devices say of themselves and of their properties; own choice. */
  private static final int MOST_ATTRIBUTES = 8 * MOST;

  /** No name or value of the convention is longer (characters); own choice. */
  private static final int LONGEST = 200;

  /** Nor is a list of names (characters): a board with many sensors has a long one; own choice. */
  private static final int LONGEST_LIST = 4000;

  private static final Set<String> LISTS = Set.of("$nodes", "$properties");

  private static final Set<String> GONE = Set.of("lost", "disconnected");

  private final Map<String, Map<String, String>> devices = new LinkedHashMap<>();
  private final Map<String, Instant> times = new LinkedHashMap<>();
  private int known;

  /**
   * A property that was found.
   *
   * @param datatype such as float; empty where the device does not say
   * @param value what was told last; empty for nothing yet
   * @param at when it was told
   */
  record Found(
      String device,
      String node,
      String property,
      String topic,
      String datatype,
      String unit,
      boolean settable,
      String value,
      Optional<Instant> at) {}

  /**
   * Takes a message.
   *
   * @return the device, where it says that it is gone
   */
  Optional<String> take(String topic, String payload, Instant now) {
    boolean list = LISTS.contains(topic.substring(topic.lastIndexOf('/') + 1));
    int longest = list ? LONGEST_LIST : LONGEST;
    if (!topic.startsWith(ROOT) || payload.length() > longest || topic.length() > LONGEST) {
      return Optional.empty();
    }
    String rest = topic.substring(ROOT.length());
    int slash = rest.indexOf('/');
    if (slash <= 0) {
      return Optional.empty();
    }
    String device = rest.substring(0, slash);
    String attribute = rest.substring(slash + 1);
    boolean isNew = !devices.getOrDefault(device, Map.of()).containsKey(attribute);
    if (isNew && known >= MOST_ATTRIBUTES) {
      return Optional.empty();
    }
    // A long list counts as much as the room that it takes.
    known += isNew ? 1 + payload.length() / LONGEST : 0;
    devices.computeIfAbsent(device, d -> new LinkedHashMap<>()).put(attribute, payload);
    times.put(topic, now);
    return attribute.equals("$state") && GONE.contains(payload)
        ? Optional.of(device)
        : Optional.empty();
  }

  /** Returns what is known now, to be read on another thread. */
  Discovery copy() {
    Discovery copy = new Discovery();
    devices.forEach((device, told) -> copy.devices.put(device, new LinkedHashMap<>(told)));
    copy.times.putAll(times);
    return copy;
  }

  /** Forgets all: another broker has other devices. */
  void clear() {
    devices.clear();
    times.clear();
    known = 0;
  }

  /** Returns every property found. */
  List<Found> found() {
    List<Found> found = new ArrayList<>();
    devices.forEach((device, told) -> {
      for (String node : list(told.get("$nodes"))) {
        for (String property : list(told.get(node + "/$properties"))) {
          if (found.size() < MOST) {
            found.add(found(device, told, node, property));
          }
        }
      }
    });
    return found;
  }

  private Found found(String device, Map<String, String> told, String node, String property) {
    String path = node + "/" + property;
    String topic = ROOT + device + "/" + path;
    return new Found(
        device,
        node,
        property,
        topic,
        told.getOrDefault(path + "/$datatype", ""),
        told.getOrDefault(path + "/$unit", ""),
        "true".equals(told.get(path + "/$settable")),
        told.getOrDefault(path, ""),
        Optional.ofNullable(times.get(topic)));
  }

  private static List<String> list(@org.jspecify.annotations.Nullable String names) {
    return names == null || names.isEmpty() ? List.of() : List.of(names.split(","));
  }
}
