package fernwort.core.kind.entered;

import fernwort.core.say.Quantity;
import java.util.Optional;

/** What can be entered of parts: what it is called, in which unit, what is possible and usual. */
public enum Asked {
  MAINS_PRESSURE(
      "mains",
      Says.MAINS_PRESSURE.text(),
      Says.MAINS_PRESSURE_INSIDE.text(),
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(0, 8e5),
      Says.MEASURED_AT_A_TAP_WITH_NOTHING.text()),
  OUTSIDE_HEIGHT(
      "outside",
      Says.SURFACE_OF_OUTSIDE_WATER.text(),
      Says.OUTSIDE_HEIGHT.text(),
      Quantity.LENGTH,
      new Span(-20, 20),
      Words.ANY,
      Says.BELOW_THE_GROUND_IS_NEGATIVE.text()),
  TAP_FLOW(
      "tap",
      Says.TAP_AND_HOSE_GIVE_INTO_A_BUCKET.text(),
      Says.TAP_FLOW.text(),
      Quantity.FLOW,
      Words.FLOWS,
      new Span(2e-5, 2e-3),
      Says.TIME_A_BUCKET_AT_THE_END.text()),
  OUTSIDE_FIT(
      "fit",
      Says.OUTSIDE_WATER_IS_FIT_TO_DRINK.text(),
      Type.TICK,
      Says.A_BLADDER_OR_BARREL_FILLED.text()),
  PREVENTER(
      "preventer",
      Says.THE_TAP_HAS_A_BACKFLOW_PREVENTER.text(),
      Type.TICK,
      Says.MANY_OUTDOOR_TAPS_HAVE_ONE_BUILT.text()),
  CRACKING_PRESSURE(
      "cracking",
      Says.PRESSURE_IT_TAKES_TO_OPEN.text(),
      Says.CRACKING_PRESSURE.text(),
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(0, 1e6),
      Says.DEFAULT_0_02_BAR_ONE_THAT_OPENS.text()),
  SET_PRESSURE(
      "set",
      Says.SET_PRESSURE.text(),
      Says.SET_PRESSURE_INSIDE.text(),
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(5e4, 6e5),
      Words.PLATE),
  GRADE("grade", Says.TAKES_OUT.text(), Says.WHAT_IT_TAKES_OUT.text(), Type.CHOICE),
  RATED_FLOW(
      "flow",
      Says.RATED_FLOW.text(),
      Says.RATED_FLOW_INSIDE.text(),
      Quantity.FLOW,
      Words.FLOWS,
      new Span(1e-5, 2e-3),
      Words.PLATE),
  RATED_LOSS(
      "loss",
      Says.PRESSURE_LOST_AT_THAT_FLOW_CLEAN.text(),
      Says.RATED_LOSS.text(),
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(1e3, 3e5),
      Says.DATA_SHEET_DEFAULT_0_35_BAR.text()),
  DOUBLING(
      "doubling",
      Says.ITS_LOSS_HAS_DOUBLED_AFTER.text(),
      Says.LITRES_UNTIL_ITS_LOSS_DOUBLES.text(),
      Quantity.VOLUME,
      new Span(1e-3, 1e4),
      new Span(0.05, 100),
      Says.WHAT_PASSES_UNTIL_THE_FLOW_DROPS.text()),
  DUTY("duty", Says.WHAT_IT_IS_FOR.text(), Says.WHAT_IT_IS_THERE_FOR.text(), Type.CHOICE),
  PUMP_WORKS("works", Says.WORKS_AS.text(), Says.HOW_IT_WORKS.text(), Type.CHOICE),
  PUMP_DRIVE("drive", Says.DRIVEN_BY.text(), Says.WHAT_DRIVES_IT.text(), Type.CHOICE),
  PUMP_SHUT_OFF(
      "shutoff",
      Says.PRESSURE_AT_NO_FLOW.text(),
      Says.SHUT_OFF_PRESSURE.text(),
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(5e3, 8e5),
      Says.PLATE_AS_MAX_PRESSURE_OR_HEAD.text()),
  SHUT_OFF(
      "shutoff",
      Says.PRESSURE_AT_NO_FLOW.text(),
      Says.SHUT_OFF_PRESSURE.text(),
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(5e3, 8e5),
      Words.PLATE),
  FREE_FLOW(
      "flow",
      Says.FLOW_WITH_ITS_OUTLET_OPEN.text(),
      Says.FREE_FLOW.text(),
      Quantity.FLOW,
      Words.FLOWS,
      new Span(1e-5, 2e-2),
      Words.PLATE),
  CUT_IN(
      "cutin",
      Says.SWITCH_CUTS_IN_AT.text(),
      Says.CUT_IN_PRESSURE.text(),
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(0, 6e5),
      Words.PLATE),
  CUT_OUT(
      "cutout",
      Says.SWITCH_CUTS_OUT_AT.text(),
      Says.CUT_OUT_PRESSURE.text(),
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(0, 8e5),
      Words.PLATE),
  SELF_PRIMING(
      "priming",
      Says.PRIMES_ITSELF_UP_TO.text(),
      Says.SELF_PRIMING_LIFT.text(),
      Quantity.LENGTH,
      new Span(0, 10),
      new Span(0, 8),
      Words.PLATE),
  DRY_RUN("dry", Says.MAY_RUN_DRY_FOR.text(), Says.DRY_RUN.text(), "s", new Span(1, 86400), ""),
  PRECHARGE(
      "precharge",
      Says.AIR_PRESSURE_WITHOUT_WATER.text(),
      "precharge",
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(2e4, 6e5),
      Says.TYRE_GAUGE_PUMP_OFF_AND_A_TAP.text()),
  HEATS_HOW("works", "Heats", Says.HOW_IT_HEATS.text(), Type.CHOICE),
  RELIEF("relief", Says.HAS_ITS_OWN_PRESSURE_RELIEF.text(), Type.TICK, ""),
  DRAIN_HEIGHT(
      "drain",
      Says.DRAIN_ABOVE_ITS_BOTTOM.text(),
      Says.DRAIN_HEIGHT.text(),
      Quantity.LENGTH,
      new Span(0, 2),
      new Span(0, 0.6),
      ""),
  POWER(
      "power",
      Says.HEAT_INTO_THE_WATER.text(),
      "power",
      "W",
      new Span(1, 100000),
      Says.PLATE_EMPTY_IF_IT_SAYS_NOTHING.text()),
  THERMOSTAT(
      "thermostat",
      Says.THERMOSTAT_SET_TO.text(),
      "thermostat",
      Quantity.TEMPERATURE,
      new Span(293.15, 372.15),
      Words.ANY,
      Says.DEFAULT_60_C_COOLER_WATER_BREEDS.text()),
  OUTLETS("outlets", "Outlets", "outlets", "", new Span(1, 32), ""),
  FIXTURE("use", "Is a", Says.WHAT_IT_IS.text(), Type.CHOICE),
  DRINKING("drinking", Says.PEOPLE_DRINK_OR_COOK_FROM_IT.text(), Type.TICK, ""),
  TAP_RATED_FLOW(
      "flow",
      Says.RATED_FLOW.text(),
      Says.RATED_FLOW_INSIDE.text(),
      Quantity.FLOW,
      Words.FLOWS,
      new Span(5e-6, 5e-3),
      Says.A_JUG_AND_A_WATCH_AT_FULL.text()),
  RATED_PRESSURE(
      "pressure",
      "at",
      Says.RATED_PRESSURE.text(),
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(2e4, 6e5),
      Says.DEFAULT_2_BAR.text()),
  RESTRICTOR(
      "restrictor",
      Says.RESTRICTOR_LETS_THROUGH_AT_MOST.text(),
      Says.RESTRICTED_FLOW.text(),
      Quantity.FLOW,
      Words.FLOWS,
      new Span(5e-6, 5e-3),
      Says.PRINTED_ON_THE_AERATOR_OR_SHOWER.text()),
  CAPACITY(
      "capacity", "Holds", "capacity", Quantity.VOLUME, new Span(1e-4, 2), new Span(1e-3, 0.3), ""),
  DRINKABLE("drinkable", Says.ITS_WATER_IS_FIT_TO_DRINK.text(), Type.TICK, ""),
  MACERATOR_FLOW(
      "flow",
      Says.FLOW_WITH_ITS_OUTLET_OPEN.text(),
      Says.FREE_FLOW.text(),
      Quantity.FLOW,
      Words.FLOWS,
      new Span(5e-5, 5e-3),
      Words.PLATE),
  END_ROLE("role", "Is a", Says.WHAT_IT_IS.text(), Type.CHOICE),
  REMOVABLE("removable", Says.A_CAP_THAT_A_HAND_TAKES_OFF.text(), Type.TICK, ""),
  TRAY_HOLDS(
      "holds",
      Says.IT_HOLDS.text(),
      Says.WHAT_IT_HOLDS.text(),
      Quantity.VOLUME,
      new Span(0, 1),
      new Span(0.0001, 1),
      ""),
  CONTACT(
      "contact",
      Says.A_CONTACT_TELLS_WHEN_WATER.text(),
      Type.TICK,
      Says.TEST_IT_WITH_A_WET_FINGER_TWICE.text()),
  MIXES_TO(
      "mixes",
      Says.MIXES_TO.text(),
      Says.TEMPERATURE_IT_MIXES_TO.text(),
      Quantity.TEMPERATURE,
      new Span(293.15, 338.15),
      new Span(303.15, 322.15),
      Says.DEFAULT_38_C_ABOVE_49_C.text());

  /** How something is entered. */
  public enum Type {
    AMOUNT,
    NUMBER,
    TICK,
    CHOICE
  }

  private static final class Words {
    static final String PLATE = Says.ON_ITS_PLATE_DEFAULT_AN_ORDINARY.text();

    static final Span ANY = new Span(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);

    /** Pressures that parts on board bear (Pa). */
    static final Span PRESSURES = new Span(0, 2e6);

    /** Flows on board (m³/s). */
    static final Span FLOWS = new Span(1e-7, 0.1);
  }

  private final String key;
  private final String label;
  private final String called;
  private final Type type;
  private final Optional<Quantity> quantity;
  private final String unit;
  private final Span possible;
  private final Span usual;
  private final String hint;

  Asked(
      String key,
      String label,
      String called,
      Quantity quantity,
      Span possible,
      Span usual,
      String hint) {
    this(key, label, called, Type.AMOUNT, Optional.of(quantity), "", possible, usual, hint);
  }

  Asked(String key, String label, String called, String unit, Span possible, String hint) {
    this(key, label, called, Type.NUMBER, Optional.empty(), unit, possible, Words.ANY, hint);
  }

  Asked(String key, String label, Type type, String hint) {
    this(key, label, label, type, Optional.empty(), "", Words.ANY, Words.ANY, hint);
  }

  Asked(String key, String label, String called, Type type) {
    this(key, label, called, type, Optional.empty(), "", Words.ANY, Words.ANY, "");
  }

  Asked(
      String key,
      String label,
      String called,
      Type type,
      Optional<Quantity> quantity,
      String unit,
      Span possible,
      Span usual,
      String hint) {
    this.key = key;
    this.label = label;
    this.called = called;
    this.type = type;
    this.quantity = quantity;
    this.unit = unit;
    this.possible = possible;
    this.usual = usual;
    this.hint = hint;
  }

  /** Returns its short name in a form. */
  public String key() {
    return key;
  }

  /** Returns what a form asks. */
  public String label() {
    return label;
  }

  /** Returns what it is called in a sentence. */
  public String called() {
    return called;
  }

  /** Returns how it is entered. */
  public Type type() {
    return type;
  }

  /** Returns what an amount measures. */
  public Optional<Quantity> quantity() {
    return quantity;
  }

  /** Returns the unit of a plain number; empty for none. */
  public String unit() {
    return unit;
  }

  /** Returns what a rig can have. */
  public Span possible() {
    return possible;
  }

  /** Returns what nobody asks about again. */
  public Span usual() {
    return usual;
  }

  /** Returns where one finds it, or where a default is from; empty for nothing to say. */
  public String hint() {
    return hint;
  }
}
