package fernwort.core.kind.end;

import fernwort.core.id.PortId;
import fernwort.core.kind.Goods;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.NewPart;
import fernwort.core.kind.Position;
import fernwort.core.kind.Shop;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import java.util.List;
import java.util.Optional;

/**
 * A spout for drinking bottles that gives water as long as somebody holds it.
 *
 * @param ratedFlow flow at its rated pressure (m³/s)
 * @param ratedPressure pressure for that flow (Pa)
 */
public record BottleFiller(double ratedFlow, double ratedPressure) implements Tap {

  /** An ordinary one: 2 L/min at 2 bar, our estimate. */
  public static final NewPart OFFER =
      new NewPart(
          "bottle-filler",
          KindWords.BOTTLE_FILLER.text(),
          KindWords.WHAT_A_BOTTLE_FILLER_IS.text(),
          new BottleFiller(2e-3 / 60, 2e5),
          0);

  @Override
  public boolean drinking() {
    return true;
  }

  @Override
  public Optional<Double> restrictor() {
    return Optional.empty();
  }

  @Override
  public List<PortId> ports() {
    return List.of(PortId.COLD);
  }

  @Override
  public List<Position> positions() {
    return List.of(SHUT, Position.of("open", KindWords.HELD_OPEN.text()));
  }

  @Override
  public List<Property> properties() {
    return List.of(
        Property.of(Asked.TAP_RATED_FLOW, ratedFlow),
        Property.of(Asked.RATED_PRESSURE, ratedPressure));
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new BottleFiller(
        answers.amount(Asked.TAP_RATED_FLOW), answers.amount(Asked.RATED_PRESSURE));
  }

  @Override
  public String figure() {
    return "bottle-filler";
  }

  @Override
  public Goods goods(String label, String size) {
    return new Goods(Shop.WATER_ON_BOARD, KindWords.BUY_BOTTLE_FILLER.with(size), false);
  }
}
