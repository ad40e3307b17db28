package fernwort.core.kind;

/**
 * One position of something that a hand can change.
 *
 * @param id unique name within the part
 * @param words how it looks from where a person stands, such as "across the pipe"
 */
public record Position(String id, String words) {

  /** The position of everything with a switch in which it rests. */
  public static final Position OFF = new Position("off", "off");
}
