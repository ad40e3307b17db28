package fernwort.core.rig;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import java.util.Map;
import java.util.TreeMap;

/**
 * A setting, what each tank holds, and how the vehicle stands.
 *
 * @param setting handles, switches, caps and hoses
 * @param volumes water by tank id (m³); a tank that is not named is empty
 * @param slope how the vehicle stands
 */
public record State(Setting setting, Map<PartId, Double> volumes, Slope slope) {

  public State {
    volumes = Map.copyOf(volumes);
  }

  /** Returns the water in a tank (m³). */
  public double volume(PartId tank) {
    return volumes.getOrDefault(tank, 0.0);
  }

  /** Returns this state with another setting. */
  public State with(Setting changed) {
    return new State(changed, volumes, slope);
  }

  /** Returns this state with one thing set differently. */
  public State with(PartId part, PositionId position) {
    return with(setting.with(part, position));
  }

  /** Returns this state with another volume (m³) in one tank. */
  public State withVolume(PartId tank, double volume) {
    Map<PartId, Double> changed = new TreeMap<>(volumes);
    changed.put(tank, volume);
    return new State(setting, changed, slope);
  }
}
