package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import java.util.List;
import java.util.Optional;

/** A water seal against smell. */
public record DrainTrap() implements Fitting {

  private static final Purposes PURPOSES = Purposes.of(Purpose.TRAPS);

  @Override
  public List<PossibleFault> faults() {
    return List.of(new PossibleFault(FaultKind.BLOCKED, 2), new PossibleFault(FaultKind.DRY, 1));
  }

  @Override
  public List<Link> links(PositionId position) {
    return Link.both(0, 1, Link.Law.SEAL);
  }

  @Override
  public Frost frost() {
    return Frost.CRACKS_WHEN_FULL;
  }

  @Override
  public List<PortId> ports() {
    return IN_OUT;
  }

  @Override
  public List<Position> service() {
    return List.of(new Position(ON, Says.PLUG_IN.text()), new Position(OFF, Says.PLUG_OUT.text()));
  }

  @Override
  public Keeps keeps() {
    return Keeps.UNTIL_OFF;
  }

  @Override
  public Optional<PositionId> drained() {
    return Optional.of(OFF);
  }

  @Override
  public String frozen(boolean little) {
    return KindWords.SEAL_STANDS.text();
  }

  @Override
  public String fix() {
    return KindWords.PLUG_OUT_OR_ANTIFREEZE.text();
  }

  @Override
  public String openedNote() {
    return KindWords.SMELL_COMES_IN.text();
  }

  @Override
  public List<String> takenOut() {
    return List.of(KindWords.GLOVES.text());
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.GRIPS_LINE;
  }

  @Override
  public String usuallyAt(PortId port) {
    return "gray-tank";
  }

  @Override
  public String figure() {
    return "trap";
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }

  @Override
  public String act(String label, PositionId from, PositionId to) {
    return switch (to.value()) {
      case "on" -> KindWords.PLUG_IN.with(label);
      case "off" -> KindWords.PLUG_OUT.with(label);
      default -> Fitting.super.act(label, from, to);
    };
  }
}
