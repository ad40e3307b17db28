package fernwort.core.winter.sheets;

import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What of a sheet is one act: what a person does of one sort at one place in one go, until
 * something is waited for, the vehicle is tilted, or an adapter or jug goes on or off. While an
 * adapter or jug is on, each visit to a tap is one.
 */
public final class Groups {

  private record Act(PlaceId place, WinterStep.Sort sort, PartId visit) {}

  private Groups() {}

  /** Returns for each step the number of its act, from 1 in the order in which acts begin. */
  public static List<Integer> of(List<WinterStep> steps) {
    Map<Act, Integer> open = new HashMap<>();
    List<Integer> numbers = new ArrayList<>();
    int last = 0;
    boolean passing = false;
    for (WinterStep step : steps) {
      WinterStep.Hand hand =
          step.hand().orElse(WinterStep.Hand.of(PartId.NONE, WinterStep.Sort.OTHER));
      boolean device = hand.sort() == WinterStep.Sort.ADAPTER || hand.sort() == WinterStep.Sort.JUG;
      if (step.isWait() || hand.sort() == WinterStep.Sort.TILT || device) {
        open.clear();
        passing = device ? !hand.off() : passing;
      }
      boolean tap =
          passing && (hand.sort() == WinterStep.Sort.TAPS || hand.sort() == WinterStep.Sort.RUN);
      Act act =
          tap
              ? new Act(step.place(), WinterStep.Sort.RUN, hand.part())
              : new Act(step.place(), hand.sort(), PartId.NONE);
      @Nullable Integer number = hand.sort() == WinterStep.Sort.OTHER ? null : open.get(act);
      if (number == null) {
        number = ++last;
        open.put(act, number);
      }
      numbers.add(number);
    }
    return numbers;
  }
}
