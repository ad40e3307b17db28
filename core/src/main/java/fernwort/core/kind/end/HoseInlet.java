package fernwort.core.kind.end;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Adapter;
import fernwort.core.kind.Care;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Given;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Mouth;
import fernwort.core.kind.PortEnd;
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

/**
 * Where a hose from outside is joined: a tap under pressure, or water that something must draw.
 *
 * @param mainsPressure pressure expected at the tap (Pa)
 * @param outsideHeight height of the surface of water to be drawn, above the ground (m)
 * @param tapFlow what tap and hose give into a bucket, if somebody timed it (m³/s); without it they
 *     hold their pressure whatever is drawn
 * @param outsideDrinkable whether the outside water is fit to drink; it is not unless somebody says
 *     so
 * @param preventer whether the tap that the hose hangs on holds back what would run into it
 */
public record HoseInlet(
    double mainsPressure,
    double outsideHeight,
    Optional<Double> tapFlow,
    Optional<Boolean> outsideDrinkable,
    Optional<Boolean> preventer)
    implements Kind {

  /** What is left of the pressure of a weak supply (share); own choice. */
  private static final double WEAK_PRESSURE = 0.2;

  /** What is left of its flow (share); own choice. */
  private static final double WEAK_FLOW = 0.25;

  private static final Purposes DRAWING = Purposes.of(Purpose.SOURCE, Purpose.INLET);

  private static final Purposes PRESSED = Purposes.of(Purpose.SOURCE, Purpose.INLET, Purpose.MAINS);

  private static final Purposes PROTECTED =
      Purposes.of(Purpose.SOURCE, Purpose.INLET, Purpose.MAINS, Purpose.PROTECTS);

  /** What an ordinary tap gives through a garden hose where nobody timed it; an estimate (m³/s). */
  public static final double TAP = 3e-4;

  /** Nothing comes in or out. */
  public static final Position CAPPED = Position.of("capped", Says.CAP_ON.text());

  /** A hose is on, and the tap outside is shut. */
  public static final Position HOSE = Position.of("hose", Says.HOSE_ON_TAP_CLOSED.text());

  /** The tap outside gives its pressure. */
  public static final Position MAINS = Position.of("mains", Says.HOSE_FROM_A_TAP.text());

  /** Something has to draw. */
  public static final Position OUTSIDE = Position.of("outside", Says.HOSE_IN_OUTSIDE_WATER.text());

  /** Open to the air. */
  public static final Position OPEN = Position.of("open", Says.CAP_OFF_NO_HOSE.text());

  /**
   * Makes an inlet whose tap nobody timed.
   *
   * @param mainsPressure pressure of the tap at no flow (Pa)
   * @param outsideHeight height of outside water over the ground (m)
   */
  public HoseInlet(double mainsPressure, double outsideHeight) {
    this(mainsPressure, outsideHeight, Optional.empty());
  }

  /**
   * Makes an inlet whose outside water nobody drinks.
   *
   * @param mainsPressure pressure of the tap at no flow (Pa)
   * @param outsideHeight height of outside water over the ground (m)
   */
  public HoseInlet(double mainsPressure, double outsideHeight, Optional<Double> tapFlow) {
    this(mainsPressure, outsideHeight, tapFlow, Optional.empty(), Optional.empty());
  }

  /** Tells whether a backflow preventer at the tap keeps the rig's water out of the public pipe. */
  public boolean holdsBack() {
    return preventer.orElse(false);
  }

  /** Tells whether outside water may be drunk. */
  public boolean drinksOutside() {
    return outsideDrinkable.orElse(false);
  }

  @Override
  public List<PossibleFault> faults() {
    return List.of(
        new PossibleFault(FaultKind.NO_SUPPLY, 1), new PossibleFault(FaultKind.WEAK_SUPPLY, 1));
  }

  @Override
  public Purposes purposes() {
    if (mainsPressure <= 0) {
      return DRAWING;
    }
    return holdsBack() ? PROTECTED : PRESSED;
  }

  @Override
  public boolean onlyOnPurpose() {
    return true;
  }

  @Override
  public Rank rank(PositionId position) {
    return rests(position) || position.equals(HOSE.id()) ? Rank.HOSE_OR_CAP_AWAY : Rank.HOSE_GIVES;
  }

  @Override
  public List<Mouth> mouths(PositionId position) {
    if (position.equals(OPEN.id())) {
      return List.of(new Mouth(0, Mouth.Onto.GROUND));
    }
    return position.equals(OUTSIDE.id()) ? List.of(new Mouth(0, Mouth.Onto.WATER)) : List.of();
  }

  @Override
  public Wets wets(PositionId position) {
    return position.equals(HOSE.id()) ? Wets.NOTHING : Wets.BEHIND;
  }

  @Override
  public Frost frost() {
    return Frost.AS_ITS_LINE;
  }

  @Override
  public List<PortId> ports() {
    return List.of(PortId.OUT);
  }

  @Override
  public List<Position> positions() {
    return List.of(CAPPED, HOSE, MAINS, OUTSIDE, OPEN);
  }

  @Override
  public Optional<Given> gives(PositionId position) {
    if (position.equals(MAINS.id())) {
      return Optional.of(new Given(Given.From.MAINS, mainsPressure, 0, tapFlow, true));
    }
    return position.equals(OUTSIDE.id())
        ? Optional.of(
            new Given(Given.From.OUTSIDE, 0, outsideHeight, Optional.empty(), drinksOutside()))
        : Optional.empty();
  }

  /** What tap and hose give; nothing where there is no pressure. */
  @Override
  public double brings() {
    return mainsPressure > 0 ? tapFlow.orElse(TAP) : 0;
  }

  @Override
  public Keeps keeps() {
    return Keeps.UNTIL_ITS_LINE_LEAVES;
  }

  @Override
  public boolean opensToDrain(PositionId position) {
    return position.equals(OPEN.id());
  }

  /** Its hose and its cap take the same thread, so neither is on while one is changed. */
  @Override
  public Optional<PositionId> bare(PositionId from, PositionId to) {
    boolean changes = rests(from) != rests(to);
    return changes && !from.equals(OPEN.id()) && !to.equals(OPEN.id())
        ? Optional.of(OPEN.id())
        : Optional.empty();
  }

  @Override
  public Optional<PositionId> drained() {
    return Optional.of(OPEN.id());
  }

  @Override
  public Optional<PositionId> runsOut(PortId port) {
    return Optional.of(OPEN.id());
  }

  @Override
  public String purpose(PositionId position) {
    if (rests(position)) {
      return KindWords.DONE_WITH_HOSE.text();
    }
    return (position.equals(HOSE.id()) ? KindWords.TAP_SHUT_FIRST : KindWords.READY_FOR_WATER)
        .text();
  }

  @Override
  public String notice(PositionId position) {
    KindWords words =
        switch (position.value()) {
          case "mains" -> KindWords.HISS_IN_HOSE;
          case "outside" -> KindWords.HOSE_END_UNDER_WATER;
          case "hose" -> KindWords.TAP_OUTSIDE_SHUT;
          case "open" -> KindWords.CAP_LOOSENS;
          default -> KindWords.HOSE_DRAINED;
        };
    return words.text();
  }

  @Override
  public Optional<String> restNote() {
    return Optional.of(KindWords.HOSE_OFF.text());
  }

  @Override
  public String openedNote() {
    return KindWords.BEHIND_IT_RUNS_OUT.text();
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
  public Optional<Adapter> adapter() {
    return Optional.of(
        new Adapter(PortId.OUT, KindWords.SCREW_ADAPTER_ON.text(), KindWords.ADAPTER_OFF.text()));
  }

  @Override
  public List<Care> care(String label) {
    return List.of(Care.of(KindWords.LOOK_AT_HOSE.with(label), Care.A_YEAR));
  }

  @Override
  public List<Property> properties() {
    return List.of(
        Property.of(Asked.MAINS_PRESSURE, mainsPressure),
        Property.of(Asked.OUTSIDE_HEIGHT, outsideHeight),
        Property.of(Asked.TAP_FLOW, tapFlow),
        Property.of(Asked.OUTSIDE_FIT, drinksOutside()),
        Property.of(Asked.PREVENTER, holdsBack()));
  }

  @Override
  public Kind with(FaultKind fault) {
    return fault == FaultKind.WEAK_SUPPLY
        ? new HoseInlet(
            WEAK_PRESSURE * mainsPressure,
            outsideHeight,
            Optional.of(WEAK_FLOW * tapFlow.orElse(TAP)),
            outsideDrinkable,
            preventer)
        : this;
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new HoseInlet(
        answers.amount(Asked.MAINS_PRESSURE),
        answers.amount(Asked.OUTSIDE_HEIGHT),
        answers.optional(Asked.TAP_FLOW),
        answers.ticked(Asked.OUTSIDE_FIT) ? Optional.of(true) : Optional.empty(),
        answers.ticked(Asked.PREVENTER) ? Optional.of(true) : Optional.empty());
  }

  @Override
  public String figure() {
    return "inlet";
  }

  @Override
  public String act(String label, PositionId from, PositionId to) {
    boolean capped = rests(from);
    boolean bare = capped || from.equals(OPEN.id());
    KindWords words =
        switch (to.value()) {
          case "mains" ->
              capped
                  ? KindWords.CAP_OFF_CONNECT_AND_OPEN
                  : bare ? KindWords.CONNECT_AND_OPEN : KindWords.OPEN_HOSE_TAP;
          case "hose" ->
              capped
                  ? KindWords.CAP_OFF_CONNECT_CLOSED
                  : bare ? KindWords.CONNECT_CLOSED : KindWords.CLOSE_HOSE_TAP;
          case "outside" -> capped ? KindWords.CAP_OFF_LAY_IN : KindWords.LAY_IN;
          case "open" -> KindWords.CAP_OFF;
          default -> bare ? KindWords.CAP_ON : KindWords.HOSE_OFF_CAP_ON;
        };
    return words.with(label);
  }
}
