package fernwort.core.flow;

/**
 * An open fixture: the flow goes with the square root of the pressure, and an aerator or restrictor
 * caps it.
 *
 * @param rated rated flow (m³/s)
 * @param head head for that flow (m)
 * @param cap most that it lets pass (m³/s); infinite for none
 */
public record Orifice(double rated, double head, double cap) implements Loss {

  /** How stiffly a restrictor holds its flow: 50 m more push a hundredth more through. */
  private static final double STIFFNESS = 5000;

  @Override
  public void at(double flow, double[] into, int at) {
    if (flow < 0) {
      into[at] = BACK * flow;
      into[at + 1] = BACK;
      return;
    }
    double c = head / (rated * rated);
    into[at] = c * flow * flow + FREE * flow;
    into[at + 1] = 2 * c * flow + FREE;
    if (flow > cap) {
      into[at] += STIFFNESS / cap * (flow - cap);
      into[at + 1] += STIFFNESS / cap;
    }
  }

  @Override
  public double ordinary() {
    return Math.min(cap, rated) / 2;
  }
}
