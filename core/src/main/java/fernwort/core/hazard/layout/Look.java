package fernwort.core.hazard.layout;

import java.util.List;

/** Looks a plan over for one sort of weakness. */
interface Look {

  /** Adds what it finds. */
  void over(Plan plan, List<Finding> found);
}
