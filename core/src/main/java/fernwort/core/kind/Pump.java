package fernwort.core.kind;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A pump.
 *
 * @param duty what it is there for
 * @param works how it moves water, which says what it lets pass at rest
 * @param shutOffPressure pressure at no flow (Pa)
 * @param freeFlow flow at no pressure (m³/s)
 * @param cutIn pressure at which its switch starts it (Pa)
 * @param cutOut pressure at which its switch stops it (Pa)
 * @param selfPriming how high it lifts water while it is dry (m)
 * @param dryRun how long it may run dry or against a closed outlet (s); {@link DryRun} where nobody
 *     knows
 */
public record Pump(
    Duty duty,
    Type works,
    double shutOffPressure,
    double freeFlow,
    double cutIn,
    double cutOut,
    double selfPriming,
    Optional<Double> dryRun)
    implements Driven {

  /** Makes a pump of which nobody knows how long it may run dry. */
  public Pump(
      Duty duty,
      Type works,
      double shutOffPressure,
      double freeFlow,
      double cutIn,
      double cutOut,
      double selfPriming) {
    this(duty, works, shutOffPressure, freeFlow, cutIn, cutOut, selfPriming, Optional.empty());
  }

  /** Tells whether its switch stops it before it stands at its shut-off pressure. */
  public boolean stopsItself() {
    return works.byHand() || cutOut < shutOffPressure;
  }

  /** Returns this pump with another flow at no pressure (m³/s). */
  public Pump flowing(double flow) {
    return new Pump(duty, works, shutOffPressure, flow, cutIn, cutOut, selfPriming, dryRun);
  }

  /** What a pump is there for. */
  public enum Duty {
    SUPPLY,
    CIRCULATION,
    TRANSFER
  }

  /** How a pump moves water. */
  public enum Type {
    DIAPHRAGM,
    CENTRIFUGAL,
    IMPELLER,
    FOOT,
    HAND;

    /** Tells whether somebody has to work it. */
    public boolean byHand() {
      return this == FOOT || this == HAND;
    }
  }

  @Override
  public List<Position> service() {
    return FITTED;
  }

  /** What it lets pass at rest: a diaphragm's valves one way, a centrifugal wheel both. */
  @Override
  public List<Link> links(String position) {
    if (position.equals(ON)) {
      return List.of(new Link(0, 1, Link.Law.DRIVE, 0));
    }
    return switch (works) {
      case DIAPHRAGM, FOOT, HAND -> List.of(new Link(0, 1, Link.Law.CHECK, 0));
      case CENTRIFUGAL -> Link.both(0, 1, Link.Law.FREE);
      case IMPELLER -> List.of();
    };
  }

  @Override
  public Set<Purpose> purposes() {
    return Set.of(Purpose.DRIVES);
  }

  @Override
  public Rank rank(String position) {
    return rests(position) ? Rank.POWER_OFF : Rank.PUMP_ON;
  }

  @Override
  public boolean setsItself() {
    return !works.byHand() && duty != Duty.CIRCULATION;
  }

  @Override
  public boolean holdsBack() {
    return switch (works) {
      case DIAPHRAGM, FOOT, HAND -> true;
      case CENTRIFUGAL, IMPELLER -> false;
    };
  }

  @Override
  public DryRun usualDryRun() {
    return switch (works) {
      case DIAPHRAGM -> DryRun.DIAPHRAGM;
      case CENTRIFUGAL -> DryRun.CENTRIFUGAL;
      case IMPELLER -> DryRun.IMPELLER;
      case FOOT, HAND -> DryRun.BY_HAND;
    };
  }

  @Override
  public OptionalDouble held() {
    return OptionalDouble.of((cutIn + cutOut) / 2);
  }

  @Override
  public Frost frost() {
    return Frost.CRACKS_WHEN_FULL;
  }

  @Override
  public List<String> ports() {
    return IN_OUT;
  }

  @Override
  public List<Position> positions() {
    return works.byHand()
        ? List.of(new Position(Position.OFF.id(), "still"), new Position(ON, "being worked"))
        : List.of(Position.OFF, new Position(ON, "switched on"));
  }

  @Override
  public Optional<String> unpowered() {
    return works.byHand() ? Optional.empty() : Optional.of(Position.OFF.id());
  }
}
