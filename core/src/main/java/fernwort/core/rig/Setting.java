package fernwort.core.rig;

import fernwort.core.say.Refusal;
import java.util.HashMap;
import java.util.Map;

/**
 * The position of every handle, switch, cap and hose of a rig.
 *
 * @param positions position id by part id
 */
public record Setting(Map<String, String> positions) {

  public Setting {
    positions = Map.copyOf(positions);
  }

  /** Returns the position of a part. */
  public String of(String part) {
    String position = positions.get(part);
    if (position == null) {
      throw new Refusal("\"" + part + "\" has nothing that can be set");
    }
    return position;
  }

  /** Returns this setting with one thing changed. */
  public Setting with(String part, String position) {
    Map<String, String> changed = new HashMap<>(positions);
    changed.put(part, position);
    return new Setting(changed);
  }
}
