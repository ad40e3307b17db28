package fernwort.core.run;

import fernwort.core.effort.Effort;
import fernwort.core.hydraulics.Flows;
import fernwort.core.id.LineId;
import fernwort.core.run.water.Air;
import fernwort.core.run.water.EventLocation;
import fernwort.core.run.water.Rates;
import fernwort.core.run.water.StepControl;
import fernwort.core.run.water.Tanks;
import java.util.Arrays;
import java.util.Map;
import java.util.OptionalInt;

/**
 * One step of a run after another: as long as the error in each tank's volume allows, and no longer
 * than to the next moment at which something opens, shuts, fills, empties or turns.
 */
final class TimeStep {

  /** Thermostats are not met in shorter steps than this (s). */
  private static final double SHORTEST = 1e-4;

  private static final int MOST_ATTEMPTS = 40;

  /** Steps as short as this are a sign of air that hardly gives way at all (s). */
  private static final double STIFF = 0.005;

  /** A line with more than this has water moving in it (m³/s). */
  private static final double MOVING = 1e-9;

  private final Progress progress;
  private final Tanks tanks;
  private final EventLocation crossings;
  private final StepControl pace;

  TimeStep(Progress progress) {
    this.progress = progress;
    tanks = progress.tanks;
    crossings = progress.crossings;
    pace = progress.pace;
  }

  /** Takes a step, at most to a time (s); tells whether anything may be otherwise after it. */
  boolean take(double until) {
    double left = until - progress.time();
    double turn = Math.max(SHORTEST, progress.untilTurn());
    Rates start = progress.rates();
    if (start.areStill()) {
      progress.idle(Math.min(left, turn));
      return turn <= left;
    }
    if (progress.locks.areStale(progress.time())) {
      progress.lookAround();
      start = progress.rates();
    }
    flow(start, longest(start, Math.min(left, turn)));
    return true;
  }

  /** How long the step may be by what its start tells (s). */
  private double longest(Rates start, double most) {
    double paced = Math.min(pace.next(progress.time()), most);
    double met = crossings.untilCrossing(start, start, paced);
    double h = Math.min(paced, Math.max(pace.shortest(), met));
    h = Math.min(h, progress.jugs.untilPouredOut(start.flows()));
    // However coarse the steps are: each line fills once, and what came in beyond would be lost.
    h = Math.min(h, Math.max(SHORTEST, progress.fronts.untilThrough(start.flows())));
    h = Math.min(h, crossings.untilLimit(start, start, h));
    return progress.wastes.untilBackedUp(crossings, start, h, pace.shortest());
  }

  /** Tries a step, shortens it until its error is small enough, and takes what may be taken. */
  private void flow(Rates start, double longest) {
    double h = longest;
    double shortest = pace.shortest();
    Rates end = start;
    double error = 0;
    for (int attempt = 0; attempt < MOST_ATTEMPTS; attempt++) {
      Effort.look();
      end = progress.after(start, h);
      error =
          Math.max(
              EventLocation.difference(start.gains(), end.gains()) * h / 2,
              progress.locks.overshot(start, end, h));
      OptionalInt stiff = stiff(start, end, h, error);
      if (stiff.isPresent()) {
        progress.lock(stiff.getAsInt());
        return;
      }
      if (!pace.isTooCoarse(error) || h <= shortest) {
        break;
      }
      h = pace.shorter(h, error);
    }
    if (!moveAlike(start.flows(), end.flows()) && h > shortest) {
      flood(start, h);
    } else {
      move(start, end, h, error);
    }
  }

  /** The tank whose shut-in air stands against this step, if one does. */
  private OptionalInt stiff(Rates start, Rates end, double h, double error) {
    if (pace.isTooCoarse(error) && (h < STIFF || h <= pace.shortest())) {
      OptionalInt tank = progress.locks.stiff(start, end);
      if (tank.isPresent()) {
        return tank;
      }
    }
    if (pace.isCoarse()) {
      OptionalInt tank = progress.locks.swinging(start, end, h);
      if (tank.isPresent()) {
        return tank;
      }
    }
    return progress.locks.balanced(start, end, h, pace);
  }

  private void move(Rates start, Rates end, double h, double error) {
    double crossing = Math.max(pace.shortest(), crossings.untilCrossing(start, end, h));
    double taken = Math.min(h, Math.min(crossing, crossings.untilLimit(start, end, h)));
    boolean turns = taken < h || progress.jugs.runOut(start.flows(), taken);
    progress.move(start, end, taken, h);
    pace.learn(h, taken, error);
    if (turns || crossings.crossed()) {
      turn(end);
    } else {
      progress.settle(end, taken < h ? Double.POSITIVE_INFINITY : error);
      letGo();
    }
  }

  /**
   * Goes to the moment within a step at which water begins or ceases to move in some lines: a crest
   * is reached, which the air's pressure decides as well as the level. Looked for where a head
   * comes to a crest first, and by halving what is left.
   */
  private void flood(Rates start, double within) {
    double shortest = pace.shortest();
    double[] likely = progress.heads.around(start, within, shortest / 2);
    double low = 0;
    double high = within;
    while (high - low > shortest) {
      double at = between(low, high, likely);
      if (moveAlike(start.flows(), progress.after(start, at).flows())) {
        low = at;
      } else {
        high = at;
      }
    }
    progress.move(start, start, high, high);
    pace.slowDown();
    turn(start);
    if (moveAlike(start.flows(), progress.flows())) {
      // It moves on all the same, as what flowed until now makes it: not to be met without end.
      pace.flip(progress.time());
    }
  }

  /** The middle one of the likely times between two, or the time halfway (s). */
  private static double between(double low, double high, double[] likely) {
    double[] left = Arrays.stream(likely).filter(t -> t > low && t < high).toArray();
    return left.length == 0 ? (low + high) / 2 : left[left.length / 2];
  }

  /** Tells whether water moves in the same lines. */
  private static boolean moveAlike(Flows one, Flows other) {
    return areAllMoving(one, other) && areAllMoving(other, one);
  }

  /** Tells whether it moves in other flows wherever it moves in some. */
  private static boolean areAllMoving(Flows some, Flows other) {
    for (Map.Entry<LineId, Double> line : some.lines().entrySet()) {
      if (isMoving(line.getValue()) && !isMoving(other.line(line.getKey()))) {
        return false;
      }
    }
    return true;
  }

  /**
   * Tells whether water moves.
   *
   * @param flow in a line (m³/s)
   */
  private static boolean isMoving(double flow) {
    return Math.abs(flow) > MOVING;
  }

  /** Works out anew what is open after a port or crest was met, with what moved until then. */
  private void turn(Rates before) {
    Air[] airBefore = tanks.airNow();
    progress.lookAround();
    letGo();
    boolean held = false;
    for (int i = 0; i < tanks.count(); i++) {
      held |= stopsAtPort(i, before, airBefore[i]);
    }
    if (!held) {
      pace.flip(progress.time());
    }
  }

  /**
   * Where a tank that rose now falls, or the other way, takes it to stand level with the port at
   * which it turned. Tells whether it does.
   */
  private boolean stopsAtPort(int tank, Rates before, Air airBefore) {
    Flows after = progress.flows();
    double gained = before.gains()[tank];
    double gains = progress.rates().gains()[tank];
    boolean rose = gained > Rates.STILL && gains < -Rates.STILL;
    boolean fell = gained < -Rates.STILL && gains > Rates.STILL;
    // Where the level hovers at a port, air passes there as it did while the port was free.
    Air free = rose ? airBefore : tanks.air(tank);
    if (free.isShutIn()) {
      return false;
    }
    boolean begins =
        rose && progress.spills.begins(tanks.part(tank), before.flows(), after, 0)
            || fell
                && progress.spills.begins(
                    tanks.part(tank), after, before.flows(), progress.untilPortOrCrest(tank));
    if (!begins) {
      return false;
    }
    tanks.restore(tank, free);
    progress.settle();
    if (progress.flows().spills().get(tanks.id(tank)) == Flows.Spill.HOLDS) {
      return true;
    }
    progress.spills.forget(tanks.id(tank));
    progress.lookAround();
    return false;
  }

  /** Lets tanks go that no longer stand level with a port. */
  private void letGo() {
    while (progress.spills.letGo(progress.flows())) {
      progress.lookAround();
    }
  }
}
