package fernwort.core.run.water;

/**
 * How long the steps of a run are: as long as the error in a tank's volume allows, and coarser
 * where they would otherwise be tiny without end.
 */
public final class StepControl {

  /** The next step aims at this share of the length that the error would allow; own choice. */
  private static final double SAFETY = 0.9;

  /** A step is shortened at most to this share at once; own choice. */
  private static final double SHORTER = 0.2;

  /** The next step is no shorter than this many times the last; own choice. */
  private static final double LESS = 0.3;

  /** It is no longer than this many times the last; own choice. */
  private static final double MORE = 4;

  /** Error in a tank's volume that one step may make (m³). */
  private static final double TOLERANCE = 5e-6;

  private static final double COARSE_TOLERANCE = 1e-3;
  private static final double FIRST_STEP = 60;
  private static final double SHORTEST = 1e-4;
  private static final double COARSEST = 6;
  private static final double LONGEST = 3600;
  private static final int STEPS_AT_ONCE = 200;
  private static final double STEPS_A_SECOND = 0.5;

  /** Ports that are covered or uncovered so soon after each other (s), so often, hover. */
  private static final double HOVERING = 8;

  private static final int MOST_HOVERING = 12;

  private double step = FIRST_STEP;
  private double shortest = SHORTEST;
  private double tolerance = TOLERANCE;
  private double handTime;
  private int steps;
  private int hovering;
  private double flipped = Double.NEGATIVE_INFINITY;

  /** Begins with the shortest steps. */
  public StepControl() {}

  /** Makes a copy that goes on by itself. */
  public StepControl(StepControl other) {
    step = other.step;
    shortest = other.shortest;
    tolerance = other.tolerance;
    handTime = other.handTime;
    steps = other.steps;
    hovering = other.hovering;
    flipped = other.flipped;
  }

  /** Begins anew, as when a hand has set something at a time (s). */
  public void restart(double time) {
    step = FIRST_STEP;
    shortest = SHORTEST;
    tolerance = TOLERANCE;
    hovering = 0;
    handTime = time;
    steps = 0;
  }

  /** Returns how long the next step may be, at a time (s). */
  public double next(double time) {
    calm(time);
    hurry(time);
    return Math.min(Math.max(step, shortest), LONGEST);
  }

  /** Returns the shortest step that is made now (s). */
  public double shortest() {
    return shortest;
  }

  /** Tells whether steps are longer than the water asks for, so that time goes on. */
  public boolean isCoarse() {
    return shortest > SHORTEST;
  }

  /** Tells whether an error in a tank's volume (m³) is too large for a step. */
  public boolean isTooCoarse(double error) {
    return error > tolerance;
  }

  /**
   * Returns a shorter step in place of one that made too large an error (m³).
   *
   * @param tried the step that was tried (s)
   * @param error its error in a volume (m³)
   */
  public double shorter(double tried, double error) {
    return Math.max(shortest, tried * Math.max(SHORTER, SAFETY * Math.sqrt(tolerance / error)));
  }

  /**
   * Learns from a step that was tried and of which so much was taken (s), with its error (m³).
   *
   * @param tried the step that was tried (s)
   * @param taken the step that was taken (s)
   * @param error its error in a volume (m³)
   */
  public void learn(double tried, double taken, double error) {
    step =
        error > 0
            ? taken * Math.clamp(SAFETY * Math.sqrt(tolerance / error), LESS, MORE)
            : MORE * tried;
  }

  /** Does not take a step that is longer than the first after this. */
  public void slowDown() {
    step = Math.min(step, FIRST_STEP);
  }

  /**
   * A port was covered or uncovered, or a line flooded, at a time (s). Where a level hovers at a
   * port this goes on without end; steps are then doubled from one to the next until time goes on.
   */
  public void flip(double time) {
    hovering = time - flipped < HOVERING ? hovering + 1 : 0;
    flipped = time;
    if (isHovering()) {
      shortest = Math.min(2 * shortest, COARSEST);
      tolerance = Math.min(2 * tolerance, COARSE_TOLERANCE);
    }
  }

  /** Tells whether a level hovers about a port. */
  public boolean isHovering() {
    return hovering > MOST_HOVERING;
  }

  /** Steps are as fine as ever once a level has left the port it hovered at. */
  private void calm(double time) {
    if (isHovering() && time - flipped > HOVERING) {
      hovering = 0;
      shortest = SHORTEST;
      tolerance = TOLERANCE;
    }
  }

  /**
   * Where steps stay tiny for another reason, as with air that is shut in and gives way and holds
   * by turns, they are made coarser more slowly, for there the small ones may be what it takes.
   */
  private void hurry(double time) {
    steps++;
    if (steps > STEPS_AT_ONCE + STEPS_A_SECOND * (time - handTime)) {
      shortest = Math.min(2 * shortest, COARSEST);
      tolerance *= 2;
      steps -= STEPS_AT_ONCE / 2;
    }
  }
}
