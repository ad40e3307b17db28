package fernwort.app.board;

import java.time.Duration;
import java.time.Instant;

/** How long ago something was, in words. */
public final class Ages {

  private Ages() {}

  /** Returns for example "3 h ago". */
  public static String ago(Instant then, Instant now) {
    Duration age = Duration.between(then, now);
    if (age.toMinutes() < 2) {
      return Says.JUST_NOW.text();
    }
    if (age.toMinutes() < 90) {
      return Says.MIN_AGO.filled(age.toMinutes());
    }
    if (age.toHours() < 36) {
      return Says.H_AGO.filled(age.toHours());
    }
    return Says.DAYS_AGO.filled(age.toDays());
  }
}
