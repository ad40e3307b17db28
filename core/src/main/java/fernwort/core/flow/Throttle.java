package fernwort.core.flow;

/**
 * A float valve on its way to closing: it lets water in and none back, and takes a head that grows
 * with the square of the flow.
 *
 * @param cracking head that it takes whatever flows (m)
 * @param coefficient head over flow squared (s²/m⁵)
 */
public record Throttle(double cracking, double coefficient) implements Loss {

  @Override
  public void at(double flow, double[] into, int at) {
    if (flow < 0) {
      into[at] = cracking + BACK * flow;
      into[at + 1] = BACK;
      return;
    }
    into[at] = cracking + coefficient * flow * flow + FREE * flow;
    into[at + 1] = 2 * coefficient * flow + FREE;
  }

  @Override
  public double ordinary() {
    return 1e-4;
  }
}
