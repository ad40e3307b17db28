package fernwort.core.kind.line;

import fernwort.core.id.PositionId;
import fernwort.core.kind.Goods;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.Shop;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import java.util.List;

/**
 * Lets water through from in to out only.
 *
 * @param crackingPressure pressure it takes to open (Pa)
 */
public record CheckValve(double crackingPressure) implements Seated {

  /** One that opens only above this lets out what a heater or regulator cannot hold (Pa). */
  private static final double RELIEF = 1e5;

  private static final Purposes PURPOSES = Purposes.of(Purpose.CHECKS);

  @Override
  public List<PossibleFault> faults() {
    return List.of(
        new PossibleFault(FaultKind.STUCK_OPEN, 0.5),
        new PossibleFault(FaultKind.STUCK_CLOSED, 0.5),
        new PossibleFault(FaultKind.REVERSED, 0.3));
  }

  @Override
  public List<Link> links(PositionId position) {
    return List.of(new Link(0, 1, Link.Law.CHECK, crackingPressure));
  }

  @Override
  public double loss(double flow) {
    return crackingPressure;
  }

  @Override
  public boolean relieves() {
    return crackingPressure >= RELIEF;
  }

  @Override
  public Goods goods(String label, String size) {
    return new Goods(
        Shop.WATER_ON_BOARD,
        (relieves() ? KindWords.RELIEF_VALVE : KindWords.CHECK_VALVE).with(size),
        true);
  }

  @Override
  public List<Property> properties() {
    return List.of(Property.of(Asked.CRACKING_PRESSURE, crackingPressure));
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new CheckValve(answers.amount(Asked.CRACKING_PRESSURE));
  }

  @Override
  public String figure() {
    return "check";
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }
}
