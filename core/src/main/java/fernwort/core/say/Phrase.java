package fernwort.core.say;

/**
 * A sentence or label of ours in English, with {@code {}} for each thing that is filled in. Each
 * package that speaks has one enum of them beside it.
 */
public interface Phrase {

  /** Returns the words as they are, with their places. */
  String text();

  /**
   * Says it with arguments in its places.
   *
   * @param arguments amounts, sayings, or what is said by its words; one for each place
   * @throws IllegalArgumentException when there are more or fewer arguments than places
   */
  default Message with(Object... arguments) {
    return Message.of(text(), arguments);
  }

  /**
   * Returns it filled, as a text; an amount reads in metric units.
   *
   * @param arguments what is said by its words; one for each place
   * @throws IllegalArgumentException when there are more or fewer arguments than places
   */
  default String filled(Object... arguments) {
    return with(arguments).toString();
  }
}
