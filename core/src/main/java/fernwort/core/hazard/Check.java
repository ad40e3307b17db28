package fernwort.core.hazard;

import java.util.List;

/** Looks for one sort of danger. */
interface Check {

  /** Adds what it finds. */
  void look(Scene scene, List<Warning> found);
}
