package fernwort.app;

/** Which Fernwort this is. The changelog says what changed with it. */
public final class Version {

  /** The number of this version. */
  public static final String NUMBER = "1.0.0";

  private Version() {}
}
