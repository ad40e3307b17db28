package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import java.util.List;

/**
 * Holds the pressure behind it at or below a set one.
 *
 * @param setPressure pressure it holds (Pa)
 */
public record Regulator(double setPressure) implements Seated {

  /** What a stuck one lets through (share of what it is set to); own choice. */
  private static final double STUCK = 0.15;

  private static final Purposes PURPOSES = Purposes.of(Purpose.REGULATES);

  @Override
  public List<PossibleFault> faults() {
    return List.of(new PossibleFault(FaultKind.STUCK_LOW, 0.5));
  }

  @Override
  public List<Link> links(PositionId position) {
    return List.of(new Link(0, 1, Link.Law.REGULATOR, setPressure));
  }

  @Override
  public String frozen(boolean little) {
    return KindWords.ROUND_SEAT.text();
  }

  @Override
  public String fix() {
    return KindWords.BURST_OR_UNDO.text();
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
  public List<Property> properties() {
    return List.of(Property.of(Asked.SET_PRESSURE, setPressure));
  }

  @Override
  public Kind with(FaultKind fault) {
    return fault == FaultKind.STUCK_LOW ? new Regulator(STUCK * setPressure) : this;
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new Regulator(answers.amount(Asked.SET_PRESSURE));
  }

  @Override
  public String figure() {
    return "regulator";
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }
}
