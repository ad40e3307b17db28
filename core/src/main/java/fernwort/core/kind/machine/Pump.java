package fernwort.core.kind.machine;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Adapter;
import fernwort.core.kind.Care;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.Clash;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

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
 * @param drive what drives it; electricity where nobody says
 */
public record Pump(
    Duty duty,
    Type works,
    double shutOffPressure,
    double freeFlow,
    double cutIn,
    double cutOut,
    double selfPriming,
    Optional<Double> dryRun,
    Optional<Drive> drive)
    implements Driven {

  /** A pump that hangs in its water never has to draw it up: as high as any vehicle (m). */
  private static final double IN_ITS_WATER = 10;

  private static final Purposes PUMPING = Purposes.of(Purpose.DRIVES, Purpose.PUMPS);

  private static final Purposes CIRCULATING =
      Purposes.of(Purpose.DRIVES, Purpose.PUMPS, Purpose.CIRCULATES);

  private static final Purposes SUPPLYING =
      Purposes.of(Purpose.DRIVES, Purpose.PUMPS, Purpose.SUPPLIES);

  /** What is left of the pressure of a worn pump (share); own choice. */
  private static final double WORN = 0.5;

  /** The cut-out of a switch that does not stop its pump, in its shut-off pressures. */
  private static final double OUT_OF_REACH = 1.5;

  /** What a pump could do beyond its cut-out, where its plate does not say (Pa); own choice. */
  private static final double OVER_CUT_OUT = 5e4;

  /** How long a pump is let run dry at the most (s): nothing more comes after it. */
  public static final double DRY_SECONDS = 15;

  /**
   * Makes a pump of which nobody knows how long it may run dry.
   *
   * @param shutOffPressure pressure at which it gives nothing (Pa)
   * @param freeFlow what it gives against nothing (m³/s)
   * @param cutIn pressure below which its switch starts it (Pa)
   * @param cutOut pressure at which its switch stops it (Pa)
   * @param selfPriming how high it draws water up dry (m)
   */
  public Pump(
      Duty duty,
      Type works,
      double shutOffPressure,
      double freeFlow,
      double cutIn,
      double cutOut,
      double selfPriming) {
    this(
        duty,
        works,
        shutOffPressure,
        freeFlow,
        cutIn,
        cutOut,
        selfPriming,
        Optional.empty(),
        Optional.empty());
  }

  /** Tells whether its switch stops it before it stands at its shut-off pressure. */
  public boolean stopsItself() {
    return works.byHand() || cutOut < shutOffPressure;
  }

  /** Returns this pump with another flow at no pressure (m³/s). */
  public Pump flowing(double flow) {
    return new Pump(duty, works, shutOffPressure, flow, cutIn, cutOut, selfPriming, dryRun, drive);
  }

  @Override
  public List<PossibleFault> faults() {
    return cutIn > 0
        ? List.of(
            new PossibleFault(FaultKind.DEAD, 1),
            new PossibleFault(FaultKind.NO_POWER, 0.7),
            new PossibleFault(FaultKind.WORN, 1),
            new PossibleFault(FaultKind.LEAKS_BACK, 0.7),
            new PossibleFault(FaultKind.MISPLACED, 1),
            new PossibleFault(FaultKind.RUNS_ON, 0.5),
            new PossibleFault(FaultKind.SWITCH_OPEN, 0.5))
        : List.of(
            new PossibleFault(FaultKind.DEAD, 1),
            new PossibleFault(FaultKind.NO_POWER, 0.7),
            new PossibleFault(FaultKind.WORN, 1),
            new PossibleFault(FaultKind.LEAKS_BACK, 0.7),
            new PossibleFault(FaultKind.MISPLACED, 1));
  }

  /** A worn pump has half its pressure left; one that runs on is never at its cut-out. */
  @Override
  public Kind with(FaultKind fault) {
    return switch (fault) {
      case WORN -> {
        double left = WORN * shutOffPressure;
        yield new Pump(
            duty,
            works,
            left,
            freeFlow,
            cutIn,
            cutIn == 0 ? left : cutOut,
            selfPriming,
            dryRun,
            drive);
      }
      case RUNS_ON ->
          new Pump(
              duty,
              works,
              shutOffPressure,
              freeFlow,
              cutIn,
              OUT_OF_REACH * shutOffPressure,
              selfPriming,
              dryRun,
              drive);
      default -> this;
    };
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
    HAND,
    /** It hangs in the water that it moves. */
    SUBMERSIBLE;

    /** Tells whether somebody has to work it. */
    public boolean byHand() {
      return this == FOOT || this == HAND;
    }
  }

  /** What drives a pump that nobody works by hand. */
  public enum Drive {
    ELECTRIC,
    ENGINE
  }

  /** Tells whether an engine drives it, which somebody starts and stops at the pump. */
  public boolean byEngine() {
    return !works.byHand() && drive.filter(d -> d == Drive.ENGINE).isPresent();
  }

  @Override
  public double suctionLift() {
    return works == Type.SUBMERSIBLE ? IN_ITS_WATER : selfPriming;
  }

  /**
   * A full suction hose bears no more than this (m): air comes out of water that is drawn higher,
   * however good the pump (our estimate for hot days and some height above the sea).
   */
  private static final double DRAWN_WHEN_FULL = 6;

  /** A wheel turns in the water that is poured in; a diaphragm draws as it does, full or not. */
  @Override
  public Kind primed() {
    boolean filled = works == Type.CENTRIFUGAL || works == Type.IMPELLER;
    return filled && selfPriming < DRAWN_WHEN_FULL
        ? new Pump(
            duty, works, shutOffPressure, freeFlow, cutIn, cutOut, DRAWN_WHEN_FULL, dryRun, drive)
        : this;
  }

  /** What it lets pass at rest: a diaphragm's valves one way, a centrifugal wheel both. */
  @Override
  public List<Link> links(PositionId position) {
    if (position.equals(ON)) {
      return List.of(new Link(0, 1, Link.Law.DRIVE, 0));
    }
    return switch (works) {
      case DIAPHRAGM, FOOT, HAND -> List.of(new Link(0, 1, Link.Law.CHECK, 0));
      case CENTRIFUGAL, SUBMERSIBLE -> Link.both(0, 1, Link.Law.FREE);
      case IMPELLER -> List.of();
    };
  }

  @Override
  public Purposes purposes() {
    return switch (duty) {
      case SUPPLY -> SUPPLYING;
      case CIRCULATION -> CIRCULATING;
      case TRANSFER -> PUMPING;
    };
  }

  @Override
  public boolean setsItself() {
    return !works.byHand() && !byEngine();
  }

  @Override
  public boolean holdsBack() {
    return switch (works) {
      case DIAPHRAGM, FOOT, HAND -> true;
      case CENTRIFUGAL, IMPELLER, SUBMERSIBLE -> false;
    };
  }

  @Override
  public DryRun usualDryRun() {
    return switch (works) {
      case DIAPHRAGM -> DryRun.DIAPHRAGM;
      case CENTRIFUGAL, SUBMERSIBLE -> DryRun.CENTRIFUGAL;
      case IMPELLER -> DryRun.IMPELLER;
      case FOOT, HAND -> DryRun.BY_HAND;
    };
  }

  @Override
  public OptionalDouble held() {
    return OptionalDouble.of((cutIn + cutOut) / 2);
  }

  @Override
  public List<Position> positions() {
    if (works.byHand()) {
      return List.of(
          new Position(Position.OFF.id(), "still"), new Position(ON, Says.BEING_WORKED.text()));
    }
    return byEngine()
        ? List.of(new Position(Position.OFF.id(), "stopped"), new Position(ON, "running"))
        : List.of(Position.OFF, new Position(ON, Says.SWITCHED_ON.text()));
  }

  @Override
  public Optional<PositionId> unpowered() {
    return works.byHand() || byEngine() ? Optional.empty() : Optional.of(Position.OFF.id());
  }

  @Override
  public double brings() {
    return duty == Duty.TRANSFER ? freeFlow : 0;
  }

  @Override
  public String purpose(PositionId position) {
    return (rests(position) ? KindWords.PUMP_RESTS : KindWords.WAY_IS_OPEN).text();
  }

  @Override
  public String notice(PositionId position) {
    if (works.byHand()) {
      return (rests(position) ? KindWords.STAYS_STILL : KindWords.FEW_STROKES).text();
    }
    if (byEngine()) {
      return (rests(position) ? KindWords.ENGINE_STOPS : KindWords.ENGINE_RUNS).text();
    }
    return (rests(position) ? KindWords.FALLS_SILENT : KindWords.HUMS).text();
  }

  @Override
  public String frozen(boolean little) {
    return (little ? KindWords.LITTLE_IN_HEAD : KindWords.HEAD_FULL).text();
  }

  @Override
  public String fix() {
    return works.byHand()
        ? KindWords.WORK_IT_EMPTY.text()
        : KindWords.RUN_DRY_FOR.with(Math.round(dryToEmpty()));
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.THREAD;
  }

  @Override
  public Optional<Adapter> adapter() {
    return duty == Duty.SUPPLY
        ? Optional.of(
            new Adapter(
                PortId.OUT, KindWords.INTO_OUTLET_HOSE.text(), KindWords.OUTLET_HOSE_BACK.text()))
        : Optional.empty();
  }

  @Override
  public List<Care> care(String label) {
    if (works.byHand()) {
      return List.of();
    }
    String look = KindWords.LISTEN_TO_PUMP.with(label);
    return List.of(
        duty == Duty.SUPPLY ? Care.byHours(look, freeFlow) : Care.of(look, Care.HALF_A_YEAR));
  }

  /** Returns how long it is let run dry to empty it, well within what it bears (s). */
  public double dryToEmpty() {
    return Math.min(DRY_SECONDS, Math.floor(DryRun.of(this) / 2));
  }

  @Override
  public List<Property> properties() {
    return List.of(
        Property.of(Asked.DUTY, duty),
        Property.of(Asked.PUMP_WORKS, works),
        Property.of(Asked.PUMP_DRIVE, drive.orElse(Drive.ELECTRIC)),
        Property.of(Asked.PUMP_SHUT_OFF, Optional.of(shutOffPressure)),
        Property.of(Asked.FREE_FLOW, freeFlow),
        Property.of(Asked.CUT_IN, cutIn),
        Property.of(Asked.CUT_OUT, cutOut),
        Property.of(Asked.SELF_PRIMING, selfPriming),
        dryRunAsked());
  }

  /** What it could do beyond its cut-out is rarely on its plate: left out, half a bar more. */
  @Override
  public Kind with(EnteredValues answers) {
    return new Pump(
        answers.choice(Asked.DUTY, Duty.class),
        answers.choice(Asked.PUMP_WORKS, Type.class),
        answers
            .optional(Asked.PUMP_SHUT_OFF)
            .orElseGet(() -> OVER_CUT_OUT + answers.amount(Asked.CUT_OUT)),
        answers.amount(Asked.FREE_FLOW),
        answers.amount(Asked.CUT_IN),
        answers.amount(Asked.CUT_OUT),
        answers.amount(Asked.SELF_PRIMING),
        answers.optional(Asked.DRY_RUN),
        Optional.of(answers.choice(Asked.PUMP_DRIVE, Drive.class)).filter(d -> d == Drive.ENGINE));
  }

  @Override
  public List<Clash> clashes() {
    return cutIn > cutOut
        ? List.of(new Clash(KindWords.CUTS_IN_ABOVE.text(), KindWords.SWAP_PRESSURES.text()))
        : List.of();
  }

  @Override
  public boolean byHand() {
    return works.byHand();
  }

  @Override
  public String act(String label, PositionId from, PositionId to) {
    boolean on = to.equals(ON);
    if (!on && !rests(to) || from.equals(UNDONE)) {
      return Driven.super.act(label, from, to);
    }
    if (works.byHand()) {
      return (on ? KindWords.WORK_IT : KindWords.STOP_IT).with(label);
    }
    if (byEngine()) {
      return (on ? KindWords.START_IT : KindWords.STOP_IT).with(label);
    }
    return (on ? KindWords.TURN_ON : KindWords.TURN_OFF).with(label);
  }
}
