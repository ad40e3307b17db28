package fernwort.core.kind;

import java.util.ArrayList;
import java.util.List;

/**
 * A way for water through a part.
 *
 * @param from the port that it leads out of, by its place in {@link Kind#ports}; as many as there
 *     are ports is the middle of a body in which several meet
 * @param to the port that it leads to, likewise
 * @param law what it does to the water
 * @param pressure what it takes to open, of a check, or holds behind it, of a regulator (Pa);
 *     nothing else has one
 */
public record Link(int from, int to, Law law, double pressure) {

  /** What a link does to the water that takes it. */
  public enum Law {
    /** Lets it pass. */
    FREE,
    /** Lets it pass one way, once it is pressed hard enough. */
    CHECK,
    /** Holds the pressure behind it. */
    REGULATOR,
    /** Drives it on. */
    DRIVE,
    /** Lets water pass, and no air. */
    SEAL
  }

  /** Returns the links of a body that lets water pass from a port to another and back. */
  public static List<Link> both(int a, int b, Law law) {
    return List.of(new Link(a, b, law, 0), new Link(b, a, law, 0));
  }

  /** Returns the links of a body in whose middle so many ports meet. */
  public static List<Link> star(int ports) {
    List<Link> links = new ArrayList<>();
    for (int port = 0; port < ports; port++) {
      links.addAll(both(port, ports, Law.FREE));
    }
    return links;
  }
}
