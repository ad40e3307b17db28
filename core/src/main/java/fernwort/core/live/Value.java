package fernwort.core.live;

import fernwort.core.id.PositionId;

/** What a message said. */
public sealed interface Value {

  /**
   * A number.
   *
   * @param amount in the unit of the signal's kind
   */
  record Amount(double amount) implements Value {}

  /** Whether a contact is closed, water is there, or a pump runs. */
  record Contact(boolean on) implements Value {}

  /** The stop that a valve has reached. */
  record Stop(PositionId position) implements Value {}
}
