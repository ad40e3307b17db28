package fernwort.core.flow;

/**
 * A pump: its curve is straight from the shut-off head at no flow to no head at free flow, and goes
 * on beyond it as a resistance.
 *
 * @param shutOff head at no flow (m)
 * @param freeFlow flow at no head (m³/s)
 * @param oneWay whether its valves keep water from running back
 */
public record Lift(double shutOff, double freeFlow, boolean oneWay) implements Loss {

  @Override
  public void at(double flow, double[] into, int at) {
    boolean back = oneWay && flow < 0;
    double slope = back ? BACK : shutOff / freeFlow + FREE;
    into[at] = -shutOff + slope * flow;
    into[at + 1] = slope;
  }

  @Override
  public double ordinary() {
    return freeFlow / 2;
  }
}
