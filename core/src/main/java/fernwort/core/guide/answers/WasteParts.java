package fernwort.core.guide.answers;

import java.util.Objects;
import java.util.Optional;

/**
 * What few gray tanks have.
 *
 * @param meet whether the wastes meet in one line before the tank
 * @param separator whether the inlet of a urine separator runs into it, through a trap
 * @param rinse whether a hose inlet rinses it
 * @param outlet how wide its outlet is inside, if somebody said so (m)
 */
public record WasteParts(boolean meet, boolean separator, boolean rinse, Optional<Double> outlet) {

  /** A line of its own from each trap, and the usual outlet. */
  public static final WasteParts USUAL = new WasteParts(false, false, false, Optional.empty());

  public WasteParts {
    outlet = Objects.requireNonNullElse(outlet, Optional.empty());
  }
}
