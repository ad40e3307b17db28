package fernwort.core.jobs.goal;

import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;

/**
 * What of a plan is one act: what a person does of one sort at one place in one go. A wait is an
 * act of its own where hands have to do something for it, and divides what comes before from what
 * comes after.
 */
public final class Acts {

  private Acts() {}

  /** What a hand does to a part in its place. */
  public enum Sort {
    TAPS,
    VALVES,
    CAPS,
    PUMP;

    /** Returns what a hand does to a kind of part. */
    public static Sort of(Kind kind) {
      if (kind.is(Purpose.USE)) {
        return TAPS;
      }
      if (kind.is(Purpose.TURNS)) {
        return VALVES;
      }
      return kind.is(Purpose.DRIVES) ? PUMP : CAPS;
    }
  }

  /** Returns for each step the number of its act, from 1. */
  public static List<Integer> of(Rig rig, Plan plan) {
    List<Integer> numbers = new ArrayList<>();
    int number = 0;
    String act = "";
    for (Step step : plan.steps()) {
      String here =
          switch (step) {
            case Step.Move move -> {
              Part part = rig.part(move.part());
              yield rig.gangOf(part.id())
                  .map(gang -> "on " + gang.id())
                  .orElseGet(() -> part.place() + " " + Sort.of(part.kind()));
            }
            case Step.Wait wait -> "";
          };
      number += here.isEmpty() || !here.equals(act) ? 1 : 0;
      act = here;
      numbers.add(number);
    }
    return numbers;
  }

  /** Returns how many acts a plan takes, looking on while something runs not counted. */
  public static int count(Rig rig, Plan plan) {
    List<Integer> numbers = of(rig, plan);
    int waits = 0;
    for (Step step : plan.steps()) {
      waits += isDone(step) ? 0 : 1;
    }
    return (numbers.isEmpty() ? 0 : numbers.getLast()) - waits;
  }

  /** Tells whether hands do something in a step, rather than wait or look on. */
  public static boolean isDone(Step step) {
    return switch (step) {
      case Step.Move move -> true;
      case Step.Wait wait -> {
        Job.Until.What what = wait.until().what();
        yield what.isByHand() && what != Job.Until.What.POURED_FULL
            || what == Job.Until.What.RUNS
            || what == Job.Until.What.RUNS_HOT;
      }
    };
  }
}
