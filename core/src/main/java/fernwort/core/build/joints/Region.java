package fernwort.core.build.joints;

import fernwort.core.kind.Connection.Standard;

/** Whose trade sizes are usual where somebody buys: what shops there have. */
public enum Region {
  /** BSP threads, push-fit tube of 8 to 35 mm, hose and pipe in millimetres. */
  METRIC(Standard.BSP_PARALLEL, Standard.BSP_PARALLEL),
  /** NPT and NPSM threads, tube in inches with crimp rings, hose and pipe in inches. */
  US(Standard.NPT, Standard.NPSM);

  private final Standard thread;
  private final Standard tapThread;

  Region(Standard thread, Standard tapThread) {
    this.thread = thread;
    this.tapThread = tapThread;
  }

  /** Returns the usual thread of tanks and appliances. */
  Standard thread() {
    return thread;
  }

  /** Returns the usual thread of a tap's tail, which a loose nut with a washer goes on. */
  Standard tapThread() {
    return tapThread;
  }
}
