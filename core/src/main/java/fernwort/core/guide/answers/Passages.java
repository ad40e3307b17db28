package fernwort.core.guide.answers;

import java.util.Objects;
import java.util.Optional;

/**
 * How water comes from another tank, and whether the pump draws from this one.
 *
 * @param by what brings it
 * @param motor whether the valve between them has a motor
 * @param intoFiller whether it comes into the hose of the filler rather than an opening of its own
 * @param fromOutlet whether it leaves by the line through which the other gives to the pump
 * @param drawn whether the supply pump draws from the tank, if somebody said so
 */
public record Passages(
    By by, boolean motor, boolean intoFiller, boolean fromOutlet, Optional<Boolean> drawn) {

  /** By a pump, if at all. */
  public static final Passages USUAL = new Passages(By.PUMP, false, false, false, Optional.empty());

  /** What brings water from one tank to the next. */
  public enum By {
    PUMP,
    OVERFLOW,
    LINK
  }

  /** Returns these with a tank that the pump draws from, or not. */
  public Passages drawing(boolean is) {
    return new Passages(by, motor, intoFiller, fromOutlet, Optional.of(is));
  }

  public Passages {
    by = Objects.requireNonNullElse(by, By.PUMP);
    drawn = Objects.requireNonNullElse(drawn, Optional.empty());
  }
}
