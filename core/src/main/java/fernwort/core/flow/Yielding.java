package fernwort.core.flow;

/**
 * Air above a tank's water that is shut in, over one step in time: its pressure is known for what
 * the tank is expected to gain, and stands up in proportion against what comes beyond that.
 *
 * @param expected what the tank gains where the air has the pressure that is known (m³/s)
 * @param resistance head over flow beyond that (m per m³/s), more than 0
 */
public record Yielding(double expected, double resistance) implements Loss {

  @Override
  public void at(double flow, double[] into, int at) {
    into[at] = resistance * (flow - expected);
    into[at + 1] = resistance;
  }

  @Override
  public double ordinary() {
    return expected;
  }

  @Override
  public boolean oneWay() {
    return false;
  }
}
