package fernwort.core.kind.line;

import fernwort.core.id.PositionId;
import fernwort.core.kind.Care;
import fernwort.core.kind.Goods;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.Mouth;
import fernwort.core.kind.NewPart;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.Shop;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import java.util.List;
import java.util.Optional;

/**
 * An atmospheric vacuum breaker: water lifts its disc and passes one way; without pressure the disc
 * falls, shuts the way back and lets air in behind it, so that nothing is drawn back.
 *
 * @param openingPressure pressure it takes to lift the disc (Pa)
 */
public record VacuumBreaker(double openingPressure) implements Seated {

  private static final Purposes PURPOSES = Purposes.of(Purpose.CHECKS);

  /** An ordinary one opens at 0.07 bar, our estimate. */
  public static final NewPart OFFER =
      new NewPart(
          "vacuum-breaker",
          KindWords.VACUUM_BREAKER.text(),
          KindWords.WHAT_A_VACUUM_BREAKER_IS.text(),
          new VacuumBreaker(7_000),
          0.02);

  @Override
  public List<Link> links(PositionId position) {
    return List.of(new Link(0, 1, Link.Law.CHECK, openingPressure));
  }

  @Override
  public List<Mouth> mouths(PositionId position) {
    return List.of(new Mouth(1, Mouth.Onto.AIR));
  }

  @Override
  public double loss(double flow) {
    return openingPressure;
  }

  @Override
  public Optional<String> wayRound() {
    return Optional.of(KindWords.ARROW_AND_UPRIGHT.text());
  }

  @Override
  public List<Care> care(String label) {
    return List.of(Care.of(KindWords.TRY_VACUUM_BREAKER.with(label), Care.A_YEAR));
  }

  @Override
  public List<Property> properties() {
    return List.of(Property.of(Asked.CRACKING_PRESSURE, openingPressure));
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new VacuumBreaker(answers.amount(Asked.CRACKING_PRESSURE));
  }

  @Override
  public String figure() {
    return "vacuum-breaker";
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }

  @Override
  public Goods goods(String label, String size) {
    return new Goods(Shop.WATER_ON_BOARD, KindWords.BUY_VACUUM_BREAKER.with(size), false);
  }
}
