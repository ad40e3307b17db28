package fernwort.core.effort;

/** A computation was ended because its time was over or nobody waited for it. */
public final class EffortExceededException extends RuntimeException {

  private static final long serialVersionUID = 1L;

  EffortExceededException() {
    super("the computation was ended", null, false, false);
  }
}
