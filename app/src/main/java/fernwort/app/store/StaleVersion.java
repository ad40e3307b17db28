package fernwort.app.store;

/** Somebody else changed a rig since a form was opened. Nothing of either change is lost. */
public final class StaleVersion extends RuntimeException {

  private static final long serialVersionUID = 1;

  private final int current;

  StaleVersion(int current, RigStore.Version newest) {
    super(Says.CHANGED_THIS_RIG_MEANWHILE.filled(newest.who(), newest.what()));
    this.current = current;
  }

  /** Returns the version that stands now. */
  public int current() {
    return current;
  }
}
