package fernwort.core.kind.line;

import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.Property;
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
}
