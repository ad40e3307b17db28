package fernwort.app.cold;

import fernwort.app.services.OpenRig;
import fernwort.app.units.Units;
import fernwort.core.rig.Place;
import fernwort.core.say.Amount;
import fernwort.core.winter.sheets.Groups;
import fernwort.core.winter.sheets.WinterStep;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The steps of a winter sheet, in words. */
record StepsView(List<Row> rows, int done) {

  /**
   * A step.
   *
   * @param seq its number, from 0
   * @param number counted as people count: what is done in one go with the step before has its
   *     number
   * @param rest how many in a row from here are still to be done in the same go, told at the first
   *     of them; else 0
   * @param place where, empty for anywhere
   * @param time how long it takes, empty for moments
   * @param seconds for a timer, 0 for none
   * @param begun when its wait was begun, in milliseconds; 0 when it was not
   * @param next whether it is the one to do next
   */
  record Row(
      int seq,
      int number,
      int rest,
      String place,
      String reach,
      String what,
      String why,
      String time,
      long seconds,
      long begun,
      boolean ticked,
      boolean next) {}

  static StepsView of(
      OpenRig rig,
      List<WinterStep> steps,
      Map<Integer, Instant> ticks,
      Map<Integer, Instant> begun,
      Units units) {
    List<Row> rows = new ArrayList<>();
    List<Integer> acts = Groups.of(steps);
    boolean open = false;
    int number = 0;
    for (int i = 0; i < steps.size(); i++) {
      WinterStep step = steps.get(i);
      number += i > 0 && acts.get(i).equals(acts.get(i - 1)) ? 0 : 1;
      boolean ticked = ticks.containsKey(i);
      boolean next = !open && !ticked;
      open |= next;
      Optional<Place> place =
          rig.rig().places().stream().filter(p -> p.id().equals(step.place())).findFirst();
      rows.add(
          new Row(
              i,
              number,
              rest(acts, ticks, i),
              place.map(Place::label).orElse(""),
              place.map(Place::reach).orElse(""),
              units.say(step.words()),
              units.say(step.why()),
              step.timed() ? units.show(Amount.time(step.seconds())) : "",
              step.timed() ? Math.round(step.seconds()) : 0,
              begun.containsKey(i) ? begun.get(i).toEpochMilli() : 0,
              ticked,
              next));
    }
    return new StepsView(rows, ticks.size());
  }

  /** Returns how many things there are to do, counted as people count. */
  int acts() {
    return rows.isEmpty() ? 0 : rows.getLast().number();
  }

  private static int rest(List<Integer> acts, Map<Integer, Instant> ticks, int from) {
    boolean begun =
        from > 0 && acts.get(from - 1).equals(acts.get(from)) && !ticks.containsKey(from - 1);
    int to = from;
    while (!begun
        && to < acts.size()
        && acts.get(to).equals(acts.get(from))
        && !ticks.containsKey(to)) {
      to++;
    }
    return to - from;
  }
}
