package fernwort.core.kind.entered;

import fernwort.core.say.Quantity;
import java.util.Optional;

/** What can be entered of parts: what it is called, in which unit, what is possible and usual. */
public enum Asked {
  MAINS_PRESSURE(
      "mains",
      "Mains pressure",
      "mains pressure",
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(0, 8e5),
      "Measured at a tap with nothing running; 0 when it only draws. Default 4 bar."),
  OUTSIDE_HEIGHT(
      "outside",
      "Surface of outside water over the ground",
      "outside height",
      Quantity.LENGTH,
      new Span(-20, 20),
      Words.ANY,
      "Below the ground is negative."),
  TAP_FLOW(
      "tap",
      "Tap and hose give into a bucket",
      "tap flow",
      Quantity.FLOW,
      Words.FLOWS,
      new Span(2e-5, 2e-3),
      "Time a bucket at the end of your hose; default 18 L/min, an estimate."),
  OUTSIDE_FIT(
      "fit",
      "Outside water is fit to drink",
      Type.TICK,
      "A bladder or barrel filled at a drinking tap is; a stream is not."),
  PREVENTER(
      "preventer",
      "The tap has a backflow preventer",
      Type.TICK,
      "Many outdoor taps have one built in; ask, or look for a vented cap above the thread."),
  CRACKING_PRESSURE(
      "cracking",
      "Pressure it takes to open",
      "cracking pressure",
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(0, 1e6),
      "Default 0.02 bar. One that opens above 1 bar only is a relief valve."),
  SET_PRESSURE(
      "set",
      "Set pressure",
      "set pressure",
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(5e4, 6e5),
      Words.PLATE),
  GRADE("grade", "Takes out", "what it takes out", Type.CHOICE),
  RATED_FLOW(
      "flow",
      "Rated flow",
      "rated flow",
      Quantity.FLOW,
      Words.FLOWS,
      new Span(1e-5, 2e-3),
      Words.PLATE),
  RATED_LOSS(
      "loss",
      "Pressure lost at that flow, clean",
      "rated loss",
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(1e3, 3e5),
      "Data sheet; default 0.35 bar."),
  DOUBLING(
      "doubling",
      "Its loss has doubled after",
      "litres until its loss doubles",
      Quantity.VOLUME,
      new Span(1e-3, 1e4),
      new Span(0.05, 100),
      "What passes until the flow drops; empty if nobody knows."),
  DUTY("duty", "What it is for", "what it is there for", Type.CHOICE),
  PUMP_WORKS("works", "Works as", "how it works", Type.CHOICE),
  PUMP_DRIVE("drive", "Driven by", "what drives it", Type.CHOICE),
  PUMP_SHUT_OFF(
      "shutoff",
      "Pressure at no flow",
      "shut-off pressure",
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(5e3, 8e5),
      "Plate, as max. pressure or head. Empty: half a bar over its cut-out."),
  SHUT_OFF(
      "shutoff",
      "Pressure at no flow",
      "shut-off pressure",
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(5e3, 8e5),
      Words.PLATE),
  FREE_FLOW(
      "flow",
      "Flow with its outlet open",
      "free flow",
      Quantity.FLOW,
      Words.FLOWS,
      new Span(1e-5, 2e-2),
      Words.PLATE),
  CUT_IN(
      "cutin",
      "Switch cuts in at",
      "cut-in pressure",
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(0, 6e5),
      Words.PLATE),
  CUT_OUT(
      "cutout",
      "Switch cuts out at",
      "cut-out pressure",
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(0, 8e5),
      Words.PLATE),
  SELF_PRIMING(
      "priming",
      "Primes itself up to",
      "self-priming lift",
      Quantity.LENGTH,
      new Span(0, 10),
      new Span(0, 8),
      Words.PLATE),
  DRY_RUN("dry", "May run dry for", "dry run", "s", new Span(1, 86400), ""),
  PRECHARGE(
      "precharge",
      "Air pressure without water",
      "precharge",
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(2e4, 6e5),
      "Tyre gauge, pump off and a tap open."),
  HEATS_HOW("works", "Heats", "how it heats", Type.CHOICE),
  RELIEF("relief", "Has its own pressure relief valve", Type.TICK, ""),
  DRAIN_HEIGHT(
      "drain",
      "Drain above its bottom",
      "drain height",
      Quantity.LENGTH,
      new Span(0, 2),
      new Span(0, 0.6),
      ""),
  POWER(
      "power",
      "Heat into the water",
      "power",
      "W",
      new Span(1, 100000),
      "Plate; empty if it says nothing. With it a rehearsal knows when water is hot."),
  THERMOSTAT(
      "thermostat",
      "Thermostat set to",
      "thermostat",
      Quantity.TEMPERATURE,
      new Span(293.15, 372.15),
      Words.ANY,
      "Default 60 °C: cooler water breeds legionella, hotter scalds."),
  OUTLETS("outlets", "Outlets", "outlets", "", new Span(1, 32), ""),
  FIXTURE("use", "Is a", "what it is", Type.CHOICE),
  DRINKING("drinking", "People drink or cook from it", Type.TICK, ""),
  TAP_RATED_FLOW(
      "flow",
      "Rated flow",
      "rated flow",
      Quantity.FLOW,
      Words.FLOWS,
      new Span(5e-6, 5e-3),
      "A jug and a watch at full pressure."),
  RATED_PRESSURE(
      "pressure",
      "at",
      "rated pressure",
      Quantity.PRESSURE,
      Words.PRESSURES,
      new Span(2e4, 6e5),
      "Default 2 bar."),
  RESTRICTOR(
      "restrictor",
      "Restrictor lets through at most",
      "restricted flow",
      Quantity.FLOW,
      Words.FLOWS,
      new Span(5e-6, 5e-3),
      "Printed on the aerator or shower head; empty for none."),
  CAPACITY(
      "capacity", "Holds", "capacity", Quantity.VOLUME, new Span(1e-4, 2), new Span(1e-3, 0.3), ""),
  DRINKABLE("drinkable", "Its water is fit to drink", Type.TICK, ""),
  MACERATOR_FLOW(
      "flow",
      "Flow with its outlet open",
      "free flow",
      Quantity.FLOW,
      Words.FLOWS,
      new Span(5e-5, 5e-3),
      Words.PLATE),
  END_ROLE("role", "Is a", "what it is", Type.CHOICE),
  REMOVABLE("removable", "A cap that a hand takes off", Type.TICK, ""),
  TRAY_HOLDS(
      "holds",
      "It holds",
      "what it holds",
      Quantity.VOLUME,
      new Span(0, 1),
      new Span(0.0001, 1),
      ""),
  CONTACT(
      "contact",
      "A contact tells when water is in it",
      Type.TICK,
      "Test it with a wet finger twice a year."),
  MIXES_TO(
      "mixes",
      "Mixes to",
      "temperature it mixes to",
      Quantity.TEMPERATURE,
      new Span(293.15, 338.15),
      new Span(303.15, 322.15),
      "Default 38 °C. Above 49 °C it scalds.");

  /** How something is entered. */
  public enum Type {
    AMOUNT,
    NUMBER,
    TICK,
    CHOICE
  }

  private static final class Words {
    static final String PLATE = "On its plate. Default: an ordinary one of its kind.";

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
