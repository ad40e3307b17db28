package fernwort.app.live;

import fernwort.app.mqtt.Link;
import fernwort.app.mqtt.Topics;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * Fernwort as a device of the Homie convention, version 4, for whoever wants to show or sound what
 * it knows: each live rig a node, with litres of its tanks that sensors tell, how its handles
 * stand, whether an alarm asks, and which. Only what changed is sent; when Fernwort is gone, the
 * broker says so.
 */
final class OwnDevice {

  static final String LOST = "lost";
  private static final String ALARM = "alarm";
  private static final String ALARMS = "alarms";
  private static final double LITRES = 1000;

  private final String root;
  private final Map<String, String> sent = new HashMap<>();

  /**
   * Prepares it.
   *
   * @param clientId what this copy is called at the broker
   */
  OwnDevice(String clientId) {
    root = Discovery.ROOT + clientId;
  }

  /** Returns the topic under which it says whether it is there. */
  String state() {
    return root + "/$state";
  }

  /** Tells whether a topic is of this device: it is not found on the network. */
  boolean owns(String topic) {
    return topic.startsWith(root + "/");
  }

  /** The link is there anew: everything is said again. */
  void forget() {
    sent.clear();
  }

  /**
   * Says what changed.
   *
   * @param tanks what sensors tell that tanks hold, by rig and tank (m³)
   * @param handles how handles stand, by rig and part
   */
  void tell(
      Link link,
      Map<String, Map<String, Double>> tanks,
      Map<String, Map<String, String>> handles,
      List<AlarmBar.Row> alarms) {
    say(link, "$homie", "4.0.0");
    say(link, "$name", "Fernwort");
    say(link, "$nodes", String.join(",", tanks.keySet()));
    tanks.forEach((rig, levels) -> {
      List<String> words =
          alarms.stream()
              .filter(a -> a.rig().equals(rig) && a.calls())
              .map(a -> a.words().toString())
              .toList();
      List<String> properties = new ArrayList<>(List.of(ALARM, ALARMS));
      properties.addAll(levels.keySet());
      Map<String, String> stand = handles.getOrDefault(rig, Map.of());
      stand.keySet().forEach(p -> properties.add(Topics.HANDLE + p));
      stand.forEach(
          (part, position) -> property(link, rig, Topics.HANDLE + part, "string", "", position));
      say(link, rig + "/$name", rig);
      say(link, rig + "/$properties", String.join(",", properties));
      property(link, rig, ALARM, "boolean", "", Boolean.toString(!words.isEmpty()));
      property(link, rig, ALARMS, "string", "", String.join("; ", words));
      levels.forEach((tank, volume) ->
          property(
              link,
              rig,
              tank,
              "float",
              "L",
              Double.toString(Math.rint(volume * LITRES * 10) / 10)));
    });
    say(link, "$state", "ready");
  }

  private void property(
      Link link, String rig, String name, String type, String unit, String value) {
    String path = rig + "/" + name;
    say(link, path + "/$name", name);
    say(link, path + "/$datatype", type);
    if (!unit.isEmpty()) {
      say(link, path + "/$unit", unit);
    }
    say(link, path, value);
  }

  private void say(Link link, String path, String value) {
    if (!Objects.equals(sent.put(path, value), value)) {
      link.publish(root + "/" + path, value, true);
    }
  }
}
