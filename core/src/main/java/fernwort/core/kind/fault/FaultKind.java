package fernwort.core.kind.fault;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What can be wrong. */
public enum FaultKind {
  /** A handle stands elsewhere than noted. */
  MISPLACED,
  /** A motor valve did not reach the position that it was told to take. */
  NOT_ARRIVED,
  NO_POWER,
  /** Shut, it lets a little through. */
  LEAKS_PAST,
  STUCK_OPEN,
  STUCK_CLOSED,
  /** Put in the wrong way round. */
  REVERSED,
  CLOGGED,
  LEAKING,
  KINKED,
  FROZEN,
  BLOCKED,
  /** Air stands in its crest. */
  AIR_LOCKED,
  /** Off its fitting. */
  DETACHED,
  /** A vent or overflow that ran full once and draws its tank down, whose walls draw in. */
  SIPHONS,
  /** A joint lets air in where water is drawn. */
  DRAWS_AIR,
  DEAD,
  /** Its pressure switch does not start it. */
  SWITCH_OPEN,
  WORN,
  /** Its pressure switch does not stop it. */
  RUNS_ON,
  /** Its valves let water run back. */
  LEAKS_BACK,
  JAMMED,
  NO_SUPPLY,
  WEAK_SUPPLY,
  STUCK_LOW,
  /** A tank holds less than its gauge shows. */
  EMPTIER,
  /** A tank holds more than its gauge shows. */
  FULLER,
  GAUGE_STUCK,
  NOT_HEATING,
  /** Cold and hot water mix in it where they should not. */
  CROSSES,
  /** An accumulator without air. */
  NO_AIR,
  /** A trap without water. */
  DRY;

  /** Returns its name as programs write it. */
  public String written() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Tells whether it is about where something stands, which a look at the handle tells. */
  public boolean isOfPosition() {
    return this == MISPLACED || this == NOT_ARRIVED;
  }

  /** Returns the kind of this name, if there is one. */
  public static Optional<FaultKind> of(String written) {
    return Arrays.stream(values()).filter(k -> k.written().equals(written)).findFirst();
  }
}
