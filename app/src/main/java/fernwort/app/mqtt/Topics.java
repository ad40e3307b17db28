package fernwort.app.mqtt;

/** What topics begin with that are no board's own. */
public final class Topics {

  /** Devices of the Homie convention. */
  public static final String HOMIE = "homie/";

  /** What is said to and of simulated rigs. */
  public static final String SIMULATED = "sim/";

  /** How a simulated rig really is, under its own topic. */
  public static final String NOW = "/now";

  /** How a handle stands as people noted it, among the properties of a rig. */
  public static final String HANDLE = "handle-";

  private Topics() {}
}
