package fernwort.app.live;

import fernwort.core.hazard.Warning;

/** A command was not sent: what it leads to is a danger. A person may send it all the same. */
public final class StandsAgainst extends RuntimeException {

  private static final long serialVersionUID = 1L;

  private final transient Warning warning;

  StandsAgainst(Warning warning) {
    super(warning.title().toString());
    this.warning = warning;
  }

  /** Returns what stands against it. */
  public Warning warning() {
    return warning;
  }
}
