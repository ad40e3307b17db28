package fernwort.app.live;

import fernwort.app.store.SettingStore;
import fernwort.core.live.AlarmCode;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Which alarms of a rig somebody switched off; all others are on. */
@Component
class AlarmSwitches {

  private static final String NAME = "alarms-off:";

  private final SettingStore settings;
  private final Map<String, Set<AlarmCode>> known = new ConcurrentHashMap<>();

  AlarmSwitches(SettingStore settings) {
    this.settings = settings;
  }

  /** Returns what is off. */
  Set<AlarmCode> off(String rig) {
    return known.computeIfAbsent(rig, r -> read(settings.get(NAME + r).orElse("")));
  }

  private static Set<AlarmCode> read(String names) {
    Set<AlarmCode> off = EnumSet.noneOf(AlarmCode.class);
    Arrays.stream(AlarmCode.values())
        .filter(c -> Arrays.asList(names.split(",")).contains(c.name()))
        .forEach(off::add);
    return off;
  }

  /** Sets what is off. */
  void set(String rig, Set<AlarmCode> off) {
    settings.set(NAME + rig, off.stream().map(Enum::name).collect(Collectors.joining(",")));
    known.remove(rig);
  }

  /** What is kept was replaced. */
  void forget() {
    known.clear();
  }
}
