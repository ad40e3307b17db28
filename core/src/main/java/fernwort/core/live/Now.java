package fernwort.core.live;

import java.time.Instant;

/**
 * A moment on two clocks. How old something is goes by the steady one, so that a clock that is set
 * back or ahead makes nothing older or younger; what people read goes by that on the wall.
 *
 * @param wall what the clock on the wall says
 * @param steady seconds of a clock that nobody can set (s)
 */
public record Now(Instant wall, double steady) {

  private static final double NANOS = 1e-9;

  /** Reads both clocks. */
  public static Now read() {
    return new Now(Instant.now(), System.nanoTime() * NANOS);
  }

  /** Returns the moment so much later on both clocks (s). */
  public Now plus(double seconds) {
    return new Now(wall.plusNanos(Math.round(seconds / NANOS)), steady + seconds);
  }
}
