package fernwort.core.live;

import java.util.Locale;

/** How far a value can be trusted. */
public enum SignalState {
  /** It is as new as it usually is. */
  LIVE,
  /** The level swings: the vehicle drives, or somebody walks about. */
  MOVING,
  /** It is older than it usually gets. */
  STALE,
  /** Its device or the broker is gone, or it never told anything. */
  LOST;

  /** Returns its name as programs write it. */
  public String written() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Tells whether something may be done because of it. */
  public boolean canBeActedOn() {
    return this == LIVE;
  }
}
