package fernwort.core.review;

import java.util.List;

/** Looks a plan over for one sort of weakness. */
interface LayoutCheck {

  /** Adds what it finds. */
  void over(Plumbed plan, List<Finding> found);
}
