package fernwort.app.live;

import fernwort.app.mqtt.Link;
import fernwort.app.mqtt.Topics;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;

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
  private static final String STRING = "string";

  /** For how many days the water lasts, among the properties of a rig: fresh and gray. */
  private static final String DAYS = "days-";

  /** What a rule did last, among the properties of a rig. */
  private static final String RULE = "rule-";

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
   * What is told of one rig.
   *
   * @param tanks what sensors tell that tanks hold (m³)
   * @param handles how handles stand, by part
   * @param days for how many days the water lasts, by what ends it
   * @param rules what each rule did last, by its name
   */
  record Telling(
      Map<String, Double> tanks,
      Map<PartId, PositionId> handles,
      Map<String, Double> days,
      Map<String, String> rules) {}

  /** Says what changed, rig by rig. */
  void tell(Link link, Map<String, Telling> rigs, List<AlarmBar.Row> alarms) {
    say(link, "$homie", "4.0.0");
    say(link, "$name", "Fernwort");
    say(link, "$nodes", String.join(",", rigs.keySet()));
    rigs.forEach((rig, telling) -> tell(link, rig, telling, alarms));
    say(link, "$state", "ready");
  }

  private void tell(Link link, String rig, Telling telling, List<AlarmBar.Row> alarms) {
    String words =
        alarms.stream()
            .filter(a -> a.rig().equals(rig) && a.calls())
            .map(a -> a.words().toString())
            .collect(Collectors.joining("; "));
    List<String> properties = new ArrayList<>(List.of(ALARM, ALARMS));
    properties.addAll(telling.tanks().keySet());
    telling.handles().keySet().forEach(p -> properties.add(Topics.HANDLE + p));
    telling.days().keySet().forEach(d -> properties.add(DAYS + d));
    telling.rules().keySet().forEach(r -> properties.add(RULE + r.toLowerCase(Locale.ROOT)));
    say(link, rig + "/$name", rig);
    say(link, rig + "/$properties", String.join(",", properties));
    property(link, rig, ALARM, "boolean", "", Boolean.toString(!words.isEmpty()));
    property(link, rig, ALARMS, STRING, "", words);
    telling
        .tanks()
        .forEach((tank, volume) -> property(link, rig, tank, "float", "L", one(volume * LITRES)));
    telling
        .handles()
        .forEach((part, position) ->
            property(link, rig, Topics.HANDLE + part, STRING, "", position.value()));
    telling
        .days()
        .forEach((what, days) -> property(link, rig, DAYS + what, "float", "d", one(days)));
    telling
        .rules()
        .forEach((rule, did) ->
            property(link, rig, RULE + rule.toLowerCase(Locale.ROOT), STRING, "", did));
  }

  private static String one(double amount) {
    return Double.toString(Math.rint(amount * 10) / 10);
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
