package fernwort.core.live;

import fernwort.core.say.Amount;
import fernwort.core.say.Quantity;
import fernwort.core.say.Refusal;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What a signal tells of. */
public enum SignalKind {
  /** How much a tank holds (m³). */
  LEVEL(Form.AMOUNT, "m3", 0, 1000, Where.PART),
  /** Whether water has come up to a height of a tank. */
  SWITCH(Form.CONTACT, "on/off", 0, 1, Where.PART),
  /** Whether water is where none should be. */
  LEAK(Form.CONTACT, "on/off", 0, 1, Where.PLACE, Where.PART, Where.TRAY),
  /** How much flows in a line (m³/s). */
  FLOW(Form.AMOUNT, "m3/s", -0.01, 0.01, Where.LINE),
  /** How much has flowed in a line since the meter was made (m³). */
  TOTAL(Form.AMOUNT, "m3", 0, 1e6, Where.LINE),
  /** Gauge pressure in a line (Pa). */
  PRESSURE(Form.AMOUNT, "Pa", -1e5, 2e6, Where.LINE),
  /** How warm it is (°C). */
  TEMPERATURE(Form.AMOUNT, "°C", -60, 150, Where.OUTSIDE, Where.PLACE, Where.PART, Where.LINE),
  /** Whether a pump runs. */
  PUMP(Form.CONTACT, "on/off", 0, 1, Where.PART),
  /** Which stop a motor valve has reached. */
  POSITION(Form.STOP, "stop", 0, 0, Where.PART),
  /** How far the nose is up (degrees). */
  PITCH(Form.AMOUNT, "degrees", -45, 45, Where.VEHICLE),
  /** How far the left side is up (degrees). */
  ROLL(Form.AMOUNT, "degrees", -45, 45, Where.VEHICLE);

  /** What a value of it is. */
  public enum Form {
    AMOUNT,
    CONTACT,
    STOP
  }

  /** 0 °C (K). */
  private static final double KELVIN = 273.15;

  private final Form form;
  private final String unit;
  private final double least;
  private final double most;
  private final Set<Where> where;

  SignalKind(Form form, String unit, double least, double most, Where... where) {
    this.form = form;
    this.unit = unit;
    this.least = least;
    this.most = most;
    this.where = Set.of(where);
  }

  /** Returns what a value of it is. */
  public Form form() {
    return form;
  }

  /** Returns the unit of its values, as programs read it. */
  public String unit() {
    return unit;
  }

  /**
   * Tells whether a sensor of this kind may say so; outside of it is a fault of the sensor. The
   * bounds are our own choice: wider than any rig, narrower than nonsense.
   *
   * @param amount what it tells (in the unit of the kind)
   */
  public boolean isPlausible(double amount) {
    return amount >= least && amount <= most;
  }

  /**
   * Returns an amount of it as it is said; nothing where no mark can be set.
   *
   * @param amount what it tells (in the unit of the kind)
   */
  public Optional<Amount> said(double amount) {
    return switch (this) {
      case LEVEL, TOTAL -> Optional.of(Amount.volume(amount));
      case FLOW -> Optional.of(Amount.flow(amount));
      case PRESSURE -> Optional.of(Amount.pressure(amount));
      case TEMPERATURE -> Optional.of(new Amount(Quantity.TEMPERATURE, amount + KELVIN));
      case SWITCH, LEAK, PUMP, POSITION, PITCH, ROLL -> Optional.empty();
    };
  }

  /** Tells whether a signal of this kind can tell of such a thing. */
  public boolean tellsOf(Where what) {
    return where.contains(what);
  }

  /** Returns its name as programs write it. */
  public String written() {
    return name().toLowerCase(Locale.ROOT);
  }

  /**
   * Returns the kind of this name.
   *
   * @throws Refusal naming the kinds there are
   */
  public static SignalKind of(String name) {
    return Arrays.stream(values())
        .filter(k -> k.written().equals(name))
        .findFirst()
        .orElseThrow(() ->
            new Refusal(
                Says.NO_SUCH_KIND.with(
                    name,
                    List.of(values()).stream()
                        .map(SignalKind::written)
                        .collect(Collectors.joining(", ")))));
  }

  /** Where something is told of. */
  public enum Where {
    PART,
    LINE,
    PLACE,
    TRAY,
    OUTSIDE,
    VEHICLE
  }
}
