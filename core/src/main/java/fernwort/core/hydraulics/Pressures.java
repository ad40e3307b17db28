package fernwort.core.hydraulics;

import fernwort.core.network.Network;
import fernwort.core.rig.PortRef;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.DoubleStream;

/** The gauge pressure at each port under water, looked up when somebody asks. */
public final class Pressures {

  /** No port is under water. */
  static final Pressures NONE = new Pressures(Optional.empty(), new double[0]);

  private final Optional<Network> network;
  private final double[] atVertex;

  private Pressures(Optional<Network> network, double[] atVertex) {
    this.network = network;
    this.atVertex = atVertex;
  }

  /**
   * Makes the pressures of a rig.
   *
   * @param atVertex pressure at each vertex (Pa), NaN where it is dry
   */
  static Pressures of(Network network, double[] atVertex) {
    return new Pressures(Optional.of(network), atVertex);
  }

  /** Returns the gauge pressure at a port (Pa), where water stands. */
  public Optional<Double> at(PortRef port) {
    return network.map(p -> atVertex[p.vertex(port)]).filter(p -> !p.isNaN());
  }

  /** Returns all of them (Pa). */
  public DoubleStream all() {
    return Arrays.stream(atVertex).filter(p -> !Double.isNaN(p));
  }
}
