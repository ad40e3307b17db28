package fernwort.core.run;

import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;

/** A hand that goes by a list: each thing at its time, those of one time in the list's order. */
public final class WorkList implements Actor {

  /**
   * Something to do.
   *
   * @param at when (s), from the start of the run
   * @param act what
   */
  public record Due(double at, Act act) {}

  private final Deque<Due> left;

  /** Takes a list, in any order. */
  public WorkList(List<Due> list) {
    left = new ArrayDeque<>(list.stream().sorted(Comparator.comparingDouble(Due::at)).toList());
  }

  @Override
  public double next(Moment now) {
    return left.isEmpty() ? Double.POSITIVE_INFINITY : left.element().at();
  }

  @Override
  public List<Act> act(Moment now) {
    return List.of(left.remove().act());
  }
}
