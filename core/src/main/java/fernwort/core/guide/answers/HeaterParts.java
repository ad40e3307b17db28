package fernwort.core.guide.answers;

import java.util.Objects;

/**
 * What is around a heater beyond its drain.
 *
 * @param bypass how its bypass is built, where it has one
 * @param loop whether a pump keeps hot water going round to the taps
 * @param oneSwitch whether one switch turns it and the pump on
 * @param relief whether its relief valve has a tube that leads outside
 * @param tray whether it stands in a tray with a leak alarm
 */
public record HeaterParts(
    Bypass bypass, boolean loop, boolean oneSwitch, boolean relief, boolean tray) {

  /** Three valves, where there is a bypass, and nothing more. */
  public static final HeaterParts USUAL =
      new HeaterParts(Bypass.THREE_VALVES, false, false, false, false);

  /** How water is led past a heater. */
  public enum Bypass {
    THREE_VALVES,
    /** One before it and one past it. */
    TWO_VALVES,
    TWO_THREE_WAYS
  }

  public HeaterParts {
    bypass = Objects.requireNonNullElse(bypass, Bypass.THREE_VALVES);
  }
}
