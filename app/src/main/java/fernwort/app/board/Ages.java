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
      return "just now";
    }
    if (age.toMinutes() < 90) {
      return age.toMinutes() + " min ago";
    }
    if (age.toHours() < 36) {
      return age.toHours() + " h ago";
    }
    return age.toDays() + " days ago";
  }
}
