package fernwort.core.kind;

import fernwort.core.id.PositionId;

/**
 * One position of something that a hand can change.
 *
 * @param id unique name within the part
 * @param words how it looks from where a person stands, such as "across the pipe"
 */
public record Position(PositionId id, String words) {

  /** The position of everything with a switch in which it rests. */
  public static final Position OFF = Position.of("off", "off");

  /** Returns the position of this name. */
  public static Position of(String id, String words) {
    return new Position(PositionId.of(id), words);
  }
}
