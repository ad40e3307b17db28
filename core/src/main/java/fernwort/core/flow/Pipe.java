package fernwort.core.flow;

import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * A full round pipe: h = (f·L/D + K)·v²/2g after Darcy and Weisbach, with the factor of {@link
 * Friction}.
 *
 * @param bore inner diameter (m)
 * @param length (m)
 * @param roughness of the wall (m)
 * @param forward sum of loss coefficients for flow from the first end to the second (1)
 * @param backward the same for flow the other way (1)
 * @param fluid what flows
 */
public record Pipe(
    double bore, double length, double roughness, double forward, double backward, Fluid fluid)
    implements Loss {

  private static final double ORDINARY_SPEED = 0.5;

  /** The slope of a loss is taken to be at least this, for the solver to divide by (s/m²). */
  private static final double LEAST_SLOPE = 1e-6;

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
    return Math.PI / 4 * bore * bore;
  }

  /** Returns the Reynolds number of a flow (m³/s). */
  public double reynolds(double flow) {
    return fluid.density() * Math.abs(flow) / area() * bore / fluid.viscosity();
  }

  @Override
  public void at(double flow, double[] into, int at) {
    double size = Math.abs(flow);
    double area = area();
    double kinetic = 1 / (2 * Fluid.GRAVITY * area * area);
    double k = flow >= 0 ? forward : backward;
    double reynolds = reynolds(flow);
    double loss;
    double slope;
    if (reynolds <= Friction.LAMINAR) {
      double viscous =
          128
              * fluid.viscosity()
              * length
              / (Math.PI * fluid.density() * Fluid.GRAVITY * bore * bore * bore * bore);
      loss = viscous * size + kinetic * k * size * size;
      slope = viscous + 2 * kinetic * k * size;
    } else {
      double factor = Friction.factor(reynolds, roughness / bore);
      double friction = kinetic * factor * length / bore * size * size;
      loss = friction + kinetic * k * size * size;
      slope =
          friction / size * (2 + Friction.exponent(reynolds, roughness / bore, factor))
              + 2 * kinetic * k * size;
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
    double high = area() * ORDINARY_SPEED;
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
    return area() * ORDINARY_SPEED;
  }

  @Override
  public boolean oneWay() {
    return false;
  }
}
