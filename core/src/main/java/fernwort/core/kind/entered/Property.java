package fernwort.core.kind.entered;

import java.util.Optional;

/**
 * Something that is entered of a part, with what it is now.
 *
 * @param asked what is asked
 * @param amount an amount, if it is one and somebody said (SI)
 * @param optional whether the amount may be left out
 * @param ticked whether it is ticked
 * @param choice what is chosen, if it is a choice
 * @param hint where one finds it
 */
public record Property(
    Asked asked,
    Optional<Double> amount,
    boolean optional,
    boolean ticked,
    Optional<Enum<?>> choice,
    String hint) {

  /** Returns an amount that has to be entered (SI). */
  public static Property of(Asked asked, double amount) {
    return new Property(asked, Optional.of(amount), false, false, Optional.empty(), asked.hint());
  }

  /** Returns an amount that may be left out (SI). */
  public static Property of(Asked asked, Optional<Double> amount) {
    return new Property(asked, amount, true, false, Optional.empty(), asked.hint());
  }

  /** Returns what is so or not. */
  public static Property of(Asked asked, boolean ticked) {
    return new Property(asked, Optional.empty(), false, ticked, Optional.empty(), asked.hint());
  }

  /** Returns one of several. */
  public static Property of(Asked asked, Enum<?> choice) {
    return new Property(asked, Optional.empty(), false, false, Optional.of(choice), asked.hint());
  }

  /** Returns this with other words on where one finds it. */
  public Property hint(String words) {
    return new Property(asked, amount, optional, ticked, choice, words);
  }
}
