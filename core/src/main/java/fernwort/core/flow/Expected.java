package fernwort.core.flow;

/**
 * A flow that is expected: what comes beyond it meets a head in proportion, and what lacks is drawn
 * by one. So does water over one step in time that squeezes air which is shut in, and water that is
 * known to fall.
 *
 * @param expected what flows where no head stands against it or draws it (m³/s)
 * @param resistance head over flow beyond that (m per m³/s), more than 0
 */
public record Expected(double expected, double resistance) implements Loss {

  /** A metre of head changes it by a thousandth of a litre in a second (m per m³/s). */
  private static final double STEEP = 1e6;

  /** Returns a flow (m³/s) that is known, whatever the heads. */
  public static Expected known(double flow) {
    return new Expected(flow, STEEP);
  }

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
