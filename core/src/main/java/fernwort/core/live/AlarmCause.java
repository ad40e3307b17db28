package fernwort.core.live;

import fernwort.core.say.Message;

/**
 * What is a reason for an alarm now.
 *
 * @param code what sort of alarm
 * @param about what it is about, by its name: a part, line, place, sensor or rule; else empty
 * @param words what is to be said
 */
public record AlarmCause(AlarmCode code, String about, Message words) {

  /** What makes two causes one alarm. */
  public record Key(AlarmCode code, String about) {}

  /** Returns what makes two causes one alarm. */
  public Key key() {
    return new Key(code, about);
  }
}
