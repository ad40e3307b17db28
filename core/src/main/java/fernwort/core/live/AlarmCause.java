package fernwort.core.live;

import fernwort.core.say.Message;

/**
 * What is a reason for an alarm now.
 *
 * @param code what sort of alarm
 * @param part the part, place or line it is about
 * @param words what is to be said
 */
public record AlarmCause(AlarmCode code, String part, Message words) {

  /** What makes two causes one alarm. */
  public record Key(AlarmCode code, String part) {}

  /** Returns what makes two causes one alarm. */
  public Key key() {
    return new Key(code, part);
  }
}
