package fernwort.core.kind.machine;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Care;
import fernwort.core.kind.Frost;
import fernwort.core.kind.InOut;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.PortFlow;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.Rank;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A water heater.
 *
 * @param works with a store of hot water or without
 * @param relief whether it has its own pressure relief valve
 * @param drainHeight height of its drain above its bottom (m)
 * @param heating how it heats, if known
 */
public record Heater(Type works, boolean relief, double drainHeight, Optional<Heating> heating)
    implements Kind {

  private static final Purposes PURPOSES = Purposes.of(Purpose.HEATS);

  /**
   * Where a thermostat is set unless somebody says otherwise (K): 60 °C, at which legionella die.
   */
  public static final double THERMOSTAT = 333.15;

  /**
   * How a heater heats.
   *
   * @param power what it puts into the water (W)
   * @param thermostat temperature at which it stops (K)
   */
  public record Heating(double power, double thermostat) {}

  /** How many times as high as wide a heater is taken to be. */
  private static final double ASPECT = 1.5;

  /** How high a heater of a volume (m³) is taken to be: an upright cylinder (m). */
  public static double height(double volume) {
    return Math.cbrt(4 / Math.PI * ASPECT * ASPECT * volume);
  }

  /**
   * Makes a heater of unknown power.
   *
   * @param drainHeight of its drain above its bottom (m)
   */
  public Heater(Type works, boolean relief, double drainHeight) {
    this(works, relief, drainHeight, Optional.empty());
  }

  /** How a heater heats. */
  public enum Type {
    STORAGE,
    INSTANT
  }

  /** Its drain plug out. */
  public static final Position DRAINED = Position.of("drained", Says.DRAIN_PLUG_OUT.text());

  @Override
  public OptionalDouble heatsTo() {
    return OptionalDouble.of(heating.map(Heating::thermostat).orElse(THERMOSTAT));
  }

  @Override
  public List<PossibleFault> faults() {
    return List.of(
        new PossibleFault(FaultKind.NOT_HEATING, 1),
        new PossibleFault(FaultKind.NO_POWER, 0.7),
        new PossibleFault(FaultKind.MISPLACED, 1));
  }

  @Override
  public List<Position> service() {
    return List.of(Position.of("plugged", Says.DRAIN_PLUG_IN.text()), DRAINED);
  }

  @Override
  public List<Link> links(PositionId position) {
    return Link.both(0, 1, Link.Law.FREE);
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }

  @Override
  public boolean onlyOnPurpose() {
    return true;
  }

  @Override
  public PortFlow flow(PortId port) {
    return port.equals(PortId.HOT) ? PortFlow.OUT : PortFlow.IN;
  }

  @Override
  public Rank rank(PositionId position) {
    return rests(position) ? Rank.POWER_OFF : Rank.HEAT_ON;
  }

  @Override
  public Optional<InOut> through() {
    return Optional.of(new InOut(PortId.COLD, PortId.HOT));
  }

  @Override
  public Frost frost() {
    return Frost.CRACKS_WHEN_FULL;
  }

  @Override
  public boolean blowsClear() {
    return works == Type.INSTANT;
  }

  @Override
  public boolean bursts() {
    return true;
  }

  @Override
  public List<PortId> ports() {
    return List.of(PortId.COLD, PortId.HOT);
  }

  @Override
  public List<Position> positions() {
    return List.of(Position.OFF, new Position(ON, "heating"));
  }

  @Override
  public Optional<PositionId> unpowered() {
    return Optional.of(Position.OFF.id());
  }

  @Override
  public Keeps keeps() {
    return works == Type.STORAGE ? Keeps.UNDER_ITS_DRAIN : Keeps.ALL;
  }

  @Override
  public double underDrain(double volume) {
    return Math.min(1, drainHeight / height(volume));
  }

  @Override
  public boolean opensToDrain(PositionId position) {
    return position.equals(DRAINED.id());
  }

  @Override
  public Optional<PositionId> drained() {
    return works == Type.STORAGE ? Optional.of(DRAINED.id()) : Optional.empty();
  }

  @Override
  public String purpose(PositionId position) {
    return (rests(position) ? KindWords.HEATER_RESTS : KindWords.HEATER_HAS_WATER).text();
  }

  @Override
  public String notice(PositionId position) {
    return (rests(position) ? KindWords.LAMP_OUT : KindWords.LAMP_ON).text();
  }

  @Override
  public Optional<String> restNote() {
    return Optional.of(KindWords.GAS_OFF_TOO.text());
  }

  @Override
  public String frozen(boolean little) {
    if (works == Type.INSTANT) {
      return KindWords.COIL_FULL.text();
    }
    return (little ? KindWords.LITTLE_UNDER_DRAIN : KindWords.FULL).text();
  }

  @Override
  public String fix() {
    return (works == Type.INSTANT ? KindWords.BLOW_OR_ANTIFREEZE : KindWords.DRAIN_PLUG_OUT).text();
  }

  @Override
  public String openedNote() {
    return KindWords.RUNS_FOR_MINUTES.text();
  }

  @Override
  public List<String> takenOut() {
    return List.of(KindWords.OFF_SINCE_YESTERDAY.text());
  }

  @Override
  public Optional<String> wayRound() {
    return Optional.of(KindWords.COLD_IN_HOT_OUT.text());
  }

  @Override
  public boolean appliance() {
    return true;
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.THREAD;
  }

  @Override
  public List<Care> care(String label) {
    return works == Type.STORAGE
        ? List.of(Care.of(KindWords.LOOK_AT_ANODE.with(label), Care.A_YEAR))
        : List.of();
  }

  @Override
  public List<Property> properties() {
    return List.of(
        Property.of(Asked.HEATS_HOW, works),
        Property.of(Asked.RELIEF, relief),
        Property.of(Asked.DRAIN_HEIGHT, drainHeight),
        Property.of(Asked.POWER, heating.map(Heating::power)),
        Property.of(Asked.THERMOSTAT, heating.map(Heating::thermostat).orElse(THERMOSTAT)));
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new Heater(
        answers.choice(Asked.HEATS_HOW, Type.class),
        answers.ticked(Asked.RELIEF),
        answers.amount(Asked.DRAIN_HEIGHT),
        answers
            .optional(Asked.POWER)
            .map(power -> new Heating(power, answers.amount(Asked.THERMOSTAT))));
  }

  @Override
  public String figure() {
    return "heater";
  }

  @Override
  public String act(String label, PositionId from, PositionId to) {
    return switch (to.value()) {
      case "on" -> KindWords.TURN_ON.with(label);
      case "off" -> KindWords.TURN_OFF.with(label);
      case "drained" -> KindWords.OPEN_ITS_DRAIN.with(label);
      case "plugged" -> KindWords.CLOSE_ITS_DRAIN.with(label);
      default -> Kind.super.act(label, from, to);
    };
  }
}
