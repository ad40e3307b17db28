package fernwort.core.flow;

/**
 * A flow that is known, whatever the heads; as a law that rises with the flow, so steeply that a
 * metre of head changes it by a thousandth of a litre in a second.
 *
 * @param flow what flows (m³/s)
 */
public record FixedLoss(double flow) implements Loss {

  private static final double STEEP = 1e6;

  @Override
  public void at(double through, double[] into, int at) {
    into[at] = STEEP * (through - flow);
    into[at + 1] = STEEP;
  }

  @Override
  public double ordinary() {
    return flow;
  }

  @Override
  public boolean oneWay() {
    return false;
  }
}
