package fernwort.core.kind.machine;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Position;
import fernwort.core.kind.Rank;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.Property;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** What moves water on while it is worked, by a motor, a foot or a hand. */
public interface Driven extends Kind {

  /** Returns the flow at no pressure (m³/s). */
  double freeFlow();

  @Override
  double shutOffPressure();

  @Override
  double selfPriming();

  /** Tells whether its own valves let nothing back through it while it runs. */
  boolean holdsBack();

  /** Returns how long it may run dry, where its papers say so (s). */
  Optional<Double> dryRun();

  /** Returns how long one like it may run dry. */
  DryRun usualDryRun();

  /** Returns the pressure about which its switch holds it, if it has one (Pa). */
  default OptionalDouble held() {
    return OptionalDouble.empty();
  }

  /** Asks how long it may run dry. */
  default Property dryRunAsked() {
    double usual = DryRun.of(this);
    return Property.of(Asked.DRY_RUN, dryRun())
        .hint(
            Double.isInfinite(usual)
                ? KindWords.DRY_RUN_BY_HAND.text()
                : KindWords.DRY_RUN_USUAL.with(Math.round(usual)));
  }

  @Override
  default List<PortId> ports() {
    return IN_OUT;
  }

  @Override
  default List<Position> service() {
    return FITTED;
  }

  @Override
  default Rank rank(PositionId position) {
    return rests(position) ? Rank.POWER_OFF : Rank.PUMP_ON;
  }

  @Override
  default Keeps keeps() {
    return Keeps.ALL;
  }

  @Override
  default Frost frost() {
    return Frost.CRACKS_WHEN_FULL;
  }

  @Override
  default Optional<String> restNote() {
    return Optional.of(KindWords.WOULD_RUN_DRY.text());
  }

  @Override
  default List<String> takenOut() {
    return List.of(KindWords.FUSE_OUT.text());
  }

  @Override
  default Optional<String> wayRound() {
    return Optional.of(KindWords.IN_TO_TANK.text());
  }

  @Override
  default boolean appliance() {
    return true;
  }

  @Override
  default String figure() {
    return "pump";
  }
}
