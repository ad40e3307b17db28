package fernwort.core.flow;

/**
 * A filter: its loss is in proportion to the flow.
 *
 * @param resistance head lost per flow (m per m³/s)
 */
public record Filtering(double resistance) implements Loss {

  @Override
  public void at(double flow, double[] into, int at) {
    double slope = resistance + FREE;
    into[at] = slope * flow;
    into[at + 1] = slope;
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
