package fernwort.core.live;

import java.time.Instant;
import java.util.Optional;

/**
 * An alarm: it asks until its cause is gone and somebody has seen it.
 *
 * @param id its address
 * @param code what sort of alarm
 * @param about what it is about, by its name: a part, line, place, sensor or rule; else empty
 * @param words what is said, with its amounts as they are kept
 * @param since when it began
 * @param gone when its cause went; nothing while it is there
 * @param seen when somebody saw it; nothing before
 * @param by who saw it; empty before
 * @param quietUntil until when it makes no noise; nothing where nobody asked for that
 */
public record Alarm(
    String id,
    AlarmCode code,
    String about,
    String words,
    Instant since,
    Optional<Instant> gone,
    Optional<Instant> seen,
    String by,
    Optional<Instant> quietUntil) {

  /** Raises an alarm. */
  public static Alarm raised(String id, AlarmCause cause, Instant now) {
    return new Alarm(
        id,
        cause.code(),
        cause.about(),
        cause.words().keep(),
        now,
        Optional.empty(),
        Optional.empty(),
        "",
        Optional.empty());
  }

  /** Tells whether it is about the same as a cause. */
  public boolean isOf(AlarmCause.Key key) {
    return key.code() == code && key.about().equals(about);
  }

  /** Tells whether it is still to be shown: its cause is there, or nobody has seen it. */
  public boolean asks() {
    return gone.isEmpty() || seen.isEmpty();
  }

  /** Tells whether it makes a noise. */
  public boolean calls(Instant now) {
    return !code.isQuiet() && seen.isEmpty() && quietUntil.filter(q -> q.isAfter(now)).isEmpty();
  }

  /** Its cause is gone. */
  public Alarm gone(Instant now) {
    return with(gone.or(() -> Optional.of(now)), seen, by, quietUntil);
  }

  /** Its cause is back before it was over: it is the same alarm, to be seen anew. */
  public Alarm back() {
    return with(Optional.empty(), Optional.empty(), "", quietUntil);
  }

  /** Somebody saw it; who saw it first counts. */
  public Alarm seen(String who, Instant now) {
    return seen.isPresent() ? this : with(gone, Optional.of(now), who, quietUntil);
  }

  /** It makes no noise until then. */
  public Alarm quiet(Instant until) {
    return with(gone, seen, by, Optional.of(until));
  }

  private Alarm with(
      Optional<Instant> gone, Optional<Instant> seen, String by, Optional<Instant> quiet) {
    return new Alarm(id, code, about, words, since, gone, seen, by, quiet);
  }
}
