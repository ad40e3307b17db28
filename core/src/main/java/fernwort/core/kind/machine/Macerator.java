package fernwort.core.kind.machine;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import java.util.List;
import java.util.Optional;

/**
 * A pump that cuts up what is in gray water and pushes it out.
 *
 * @param freeFlow flow at no pressure (m³/s)
 * @param shutOffPressure pressure at no flow (Pa)
 * @param dryRun how long it may run dry or against a closed outlet (s); {@link DryRun} where nobody
 *     knows
 */
public record Macerator(double freeFlow, double shutOffPressure, Optional<Double> dryRun)
    implements Driven {

  private static final Purposes PURPOSES = Purposes.of(Purpose.DRIVES, Purpose.CUTS);

  /**
   * How high a macerator draws gray water up to itself (m): its impeller primes itself a little,
   * and nobody gives a figure; own choice.
   */
  public static final double LIFTS = 0.3;

  @Override
  public List<PossibleFault> faults() {
    return List.of(
        new PossibleFault(FaultKind.JAMMED, 0.7),
        new PossibleFault(FaultKind.DEAD, 0.5),
        new PossibleFault(FaultKind.NO_POWER, 0.7),
        new PossibleFault(FaultKind.MISPLACED, 1));
  }

  @Override
  public double selfPriming() {
    return LIFTS;
  }

  /**
   * Makes a macerator of which nobody knows how long it may run dry.
   *
   * @param freeFlow what it gives against nothing (m³/s)
   * @param shutOffPressure pressure at which it gives nothing (Pa)
   */
  public Macerator(double freeFlow, double shutOffPressure) {
    this(freeFlow, shutOffPressure, Optional.empty());
  }

  @Override
  public List<Link> links(PositionId position) {
    return position.equals(ON) ? List.of(new Link(0, 1, Link.Law.DRIVE, 0)) : List.of();
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }

  @Override
  public boolean holdsBack() {
    return true;
  }

  @Override
  public DryRun usualDryRun() {
    return DryRun.MACERATOR;
  }

  @Override
  public List<Position> positions() {
    return List.of(Position.OFF, new Position(ON, "running"));
  }

  @Override
  public Optional<PositionId> unpowered() {
    return Optional.of(Position.OFF.id());
  }

  @Override
  public boolean pushedThrough() {
    return false;
  }

  @Override
  public String purpose(PositionId position) {
    return (rests(position) ? KindWords.MUST_NOT_RUN_DRY : KindWords.WAY_IS_OPEN).text();
  }

  @Override
  public String notice(PositionId position) {
    return (rests(position) ? KindWords.FALLS_SILENT : KindWords.GROWLS).text();
  }

  @Override
  public String frozen(boolean little) {
    return KindWords.HEAD_FULL.text();
  }

  @Override
  public String fix() {
    return KindWords.TIP_OUT_OR_ANTIFREEZE.text();
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.GRIPS_LINE;
  }

  @Override
  public List<Property> properties() {
    return List.of(
        Property.of(Asked.MACERATOR_FLOW, freeFlow),
        Property.of(Asked.SHUT_OFF, shutOffPressure),
        dryRunAsked());
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new Macerator(
        answers.amount(Asked.MACERATOR_FLOW),
        answers.amount(Asked.SHUT_OFF),
        answers.optional(Asked.DRY_RUN));
  }

  @Override
  public String act(String label, PositionId from, PositionId to) {
    return switch (to.value()) {
      case "on" -> KindWords.TURN_ON.with(label);
      case "off" -> KindWords.TURN_OFF.with(label);
      default -> Driven.super.act(label, from, to);
    };
  }
}
