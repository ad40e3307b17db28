package fernwort.core.jobs.wait;

/** How a wait ended. */
enum WaitEnd {
  /** What was waited for happened. */
  REACHED,
  /** A pump got no more water. */
  DRY_PUMP,
  /** Nothing moves any more. */
  SETTLED,
  /** It goes on without an end. */
  ENDLESS,
  /** Something went wrong first. */
  HARMED
}
