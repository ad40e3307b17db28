package fernwort.core.jobs;

import fernwort.core.hazard.Warning;
import fernwort.core.network.Way;

/** What keeps a setting from being what a stage wants. */
sealed interface Fault {

  /** A part is not where it has to be. */
  record Misplaced(String part, String position) implements Fault {}

  /** A way is not open. */
  record Missing(Need need) implements Fault {}

  /** Two parts are not joined. */
  record Apart(String from, String to) implements Fault {}

  /** Water goes where it should not. */
  record Stray(Way way) implements Fault {}

  /** Something would go wrong. */
  record Danger(Warning warning) implements Fault {}

  /** A tank has no air. */
  record Airless(String tank) implements Fault {}

  /** A pump does not turn its water round. */
  record NotRound(String pump) implements Fault {}
}
