package fernwort.core.flow;

/** The steps towards a steady flow did not settle. */
public final class UnsettledException extends RuntimeException {

  private static final long serialVersionUID = 1L;

  private final int link;

  UnsettledException(int link) {
    super(Says.THE_FLOW_DOES_NOT_SETTLE_LINK.filled(link));
    this.link = link;
  }

  /** Returns the number of the link that moves most. */
  public int link() {
    return link;
  }
}
