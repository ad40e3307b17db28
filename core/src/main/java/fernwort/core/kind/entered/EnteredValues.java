package fernwort.core.kind.entered;

import java.util.Optional;

/** What somebody entered of a part. */
public interface EnteredValues {

  /** Returns an amount, or a plain number (SI). */
  double amount(Asked asked);

  /** Returns an amount, or a plain number, that may be left out (SI). */
  Optional<Double> optional(Asked asked);

  /** Tells whether something was ticked. */
  boolean ticked(Asked asked);

  /** Returns what was chosen. */
  <E extends Enum<E>> E choice(Asked asked, Class<E> of);
}
