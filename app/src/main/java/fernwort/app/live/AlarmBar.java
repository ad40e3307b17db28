package fernwort.app.live;

import fernwort.core.live.Alarm;
import fernwort.core.say.Message;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** The alarms that ask now, of every rig, at hand for each page. */
@Component
public class AlarmBar {

  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("EEE HH:mm", Locale.ENGLISH);

  private final Map<String, List<Row>> rows = new ConcurrentHashMap<>();

  /**
   * An alarm with the rig it is of.
   *
   * @param rig the address of the rig
   * @param name what the rig is called
   */
  public record Row(String rig, String name, Alarm alarm) {

    /** Tells whether it makes a noise. */
    public boolean calls() {
      return alarm.calls(Instant.now());
    }

    /** Returns what is said. */
    public Message words() {
      return Message.kept(alarm.words());
    }

    /** Returns since when, as people read it. */
    public String since() {
      return AlarmBar.since(alarm.since());
    }

    /** Returns how bad it is, as its style is called. */
    public String style() {
      return "alarm-" + alarm.code().grade().name().toLowerCase(Locale.ROOT);
    }
  }

  /** Returns a time as people read it. */
  static String since(Instant at) {
    return TIME.format(at.atZone(ZoneId.systemDefault()));
  }

  void set(String rig, String name, List<Alarm> alarms) {
    if (alarms.isEmpty()) {
      rows.remove(rig);
    } else {
      rows.put(rig, alarms.stream().map(a -> new Row(rig, name, a)).toList());
    }
  }

  /** Returns what asks, the worst first, of the same grade the newest first. */
  public List<Row> all() {
    if (rows.isEmpty()) {
      return List.of();
    }
    List<Row> all = new ArrayList<>();
    rows.values().forEach(all::addAll);
    all.sort(
        Comparator.comparing((Row r) -> r.alarm().seen().isPresent())
            .thenComparing(r -> r.alarm().code().grade())
            .thenComparing(r -> r.alarm().since(), Comparator.reverseOrder()));
    return all;
  }
}
