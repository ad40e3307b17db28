package fernwort.core.flow;

import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * A full round pipe: h = (f·L/D + K)·v²/2g after Darcy and Weisbach, with the factor of {@link
 * Friction}.
 */
public final class Pipe implements Loss {

  private static final double ORDINARY_SPEED = 0.5;

  /** The slope of a loss is taken to be at least this, for the solver to divide by (s/m²). */
  private static final double LEAST_SLOPE = 1e-6;

  private final double area;
  private final double forward;
  private final double backward;
  private final Friction wall;

  /** Reynolds number over flow (s/m³). */
  private final double reynolds;

  /** Velocity head over flow squared (s²/m⁵). */
  private final double kinetic;

  /** Length over bore (1). */
  private final double slender;

  /** Loss over flow while it is laminar (s/m²). */
  private final double viscous;

  /**
   * Makes a pipe.
   *
   * @param bore inner diameter (m)
   * @param length (m)
   * @param roughness of the wall (m)
   * @param forward sum of loss coefficients for flow from the first end to the second (1)
   * @param backward the same for flow the other way (1)
   * @param fluid what flows
   */
  public Pipe(
      double bore, double length, double roughness, double forward, double backward, Fluid fluid) {
    this.forward = forward;
    this.backward = backward;
    area = Math.PI / 4 * bore * bore;
    wall = new Friction(roughness / bore);
    reynolds = fluid.density() / area * bore / fluid.viscosity();
    kinetic = 1 / (2 * Fluid.GRAVITY * area * area);
    slender = length / bore;
    viscous = kinetic * 64 / reynolds * slender;
  }

  /**
   * Returns a pipe that loses the same either way.
   *
   * @param bore inside diameter (m)
   * @param length length (m)
   * @param roughness roughness of its wall (m)
   * @param k loss coefficient of what is in it, by its velocity head (1)
   */
  public static Pipe of(double bore, double length, double roughness, double k, Fluid fluid) {
    return new Pipe(bore, length, roughness, k, k, fluid);
  }

  /** Returns the area of the bore (m²). */
  public double area() {
    return area;
  }

  /** Returns the sum of its loss coefficients for flow from the first end to the second (1). */
  public double forward() {
    return forward;
  }

  /** Returns the same for flow the other way (1). */
  public double backward() {
    return backward;
  }

  /** Returns the Reynolds number of a flow (m³/s). */
  public double reynolds(double flow) {
    return reynolds * Math.abs(flow);
  }

  @Override
  public void at(double flow, double[] into, int at) {
    double size = Math.abs(flow);
    double minor = kinetic * (flow >= 0 ? forward : backward) * size;
    double re = reynolds * size;
    double loss;
    double slope;
    if (re <= Friction.LAMINAR) {
      loss = (viscous + minor) * size;
      slope = viscous + 2 * minor;
    } else {
      double factor = wall.factor(re);
      double friction = kinetic * factor * slender * size;
      loss = (friction + minor) * size;
      slope = friction * (2 + wall.exponent(re, factor)) + 2 * minor;
    }
    into[at] = flow >= 0 ? loss : -loss;
    into[at + 1] = Math.max(slope, LEAST_SLOPE);
  }

  /** Returns the head lost (m) at a flow (m³/s), with the flow's sign. */
  public double loss(double flow) {
    double[] both = new double[2];
    at(flow, both, 0);
    return both[0];
  }

  /**
   * Returns the flow (m³/s) that a difference of head drives through the pipe on its own.
   *
   * @param head head at the first end over that at the second (m)
   */
  public double flow(double head) {
    if (head == 0) {
      return 0;
    }
    double high = area * ORDINARY_SPEED;
    while (loss(high) < Math.abs(head)) {
      high *= 2;
    }
    double sign = Math.signum(head);
    return sign
        * new BracketingNthOrderBrentSolver(1e-12, 1e-15, 1e-15, 5)
            .solve(200, q -> loss(sign * q) * sign - Math.abs(head), 0, high);
  }

  @Override
  public double ordinary() {
    return area * ORDINARY_SPEED;
  }

  @Override
  public boolean oneWay() {
    return false;
  }
}
