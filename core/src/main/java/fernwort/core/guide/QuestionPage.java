package fernwort.core.guide;

import java.util.Locale;

/** The pages of questions about a rig, in their order: which asks for what. */
public enum QuestionPage {
  VEHICLE,
  TANKS,
  FILL,
  VENTS,
  SUCTION,
  PUMP,
  TAPS,
  WASTE,
  LOWS;

  /** Returns its short name, as in its address. */
  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }
}
