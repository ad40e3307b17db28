package fernwort.core.flow;

import java.util.List;

/**
 * The air that water pushes out of a tank, or draws in, through the lines of its vent: as much air
 * passes as water moves, and what friction takes from it stands as pressure over the water.
 *
 * @param lines the vent's lines one after another, for {@link Fluid#AIR}
 */
public record Venting(List<Pipe> lines) implements Loss {

  /** A head of air as a head of water (1). */
  private static final double THIN = Fluid.AIR.density() / Fluid.WATER.density();

  public Venting {
    lines = List.copyOf(lines);
  }

  @Override
  public void at(double flow, double[] into, int at) {
    double loss = 0;
    double slope = FREE;
    for (Pipe line : lines) {
      line.at(flow, into, at);
      loss += THIN * into[at];
      slope += THIN * into[at + 1];
    }
    into[at] = loss + FREE * flow;
    into[at + 1] = slope;
  }

  /** Returns the pressure (Pa) over the water at a flow (m³/s). */
  public double pressure(double flow) {
    double[] both = new double[2];
    at(flow, both, 0);
    return Fluid.WATER.pressure(both[0] - FREE * flow);
  }

  @Override
  public double ordinary() {
    return 1e-4;
  }

  @Override
  public boolean oneWay() {
    return false;
  }
}
