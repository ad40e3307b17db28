package fernwort.core.sim;

import fernwort.core.say.Phrase;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What can go wrong with a simulated rig, and what can be done with it. */
public enum Mishap {
  LEAK(Says.A_LINE_LEAKS, On.LINE),
  VALVE_STUCK(Says.A_VALVE_STICKS, On.MOTOR),
  SENSOR_STUCK(Says.A_SENSOR_STICKS, On.SENSOR),
  SENSOR_DRIFTS(Says.A_SENSOR_DRIFTS, On.SENSOR),
  SENSOR_LOST(Says.A_SENSOR_IS_SILENT, On.SENSOR),
  PUMP_WORN(Says.A_PUMP_IS_WORN, On.PUMP),
  LOW_MAINS(Says.THE_MAINS_ARE_LOW, On.ALL),
  POWER_CUT(Says.THE_POWER_IS_CUT, On.ALL),
  LINK_CUT(Says.THE_LINK_IS_CUT, On.ALL),
  FROST(Says.IT_FREEZES_OUTSIDE, On.ALL),
  DRIVING(Says.IT_IS_DRIVEN, On.ALL);

  private final Phrase words;
  private final On on;

  /** What it is done to. */
  public enum On {
    LINE,
    MOTOR,
    PUMP,
    SENSOR,
    ALL
  }

  Mishap(Phrase words, On on) {
    this.words = words;
    this.on = on;
  }

  /** Returns it as people say it. */
  public String words() {
    return words.text();
  }

  /** Returns what it is done to. */
  public On on() {
    return on;
  }

  /** Returns its name as programs write it. */
  public String written() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Returns the mishap of this name, if there is one. */
  public static Optional<Mishap> of(String written) {
    return Arrays.stream(values()).filter(m -> m.written().equals(written)).findFirst();
  }
}
