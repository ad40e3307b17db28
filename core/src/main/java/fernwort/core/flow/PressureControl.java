package fernwort.core.flow;

/**
 * A link behind which the head stays at or below a limit: a regulator, or a pump that its switch
 * turns on and off. What it takes away beyond {@code through} is found around the rest.
 *
 * @param limit highest head behind it (m)
 * @param through what it takes or gives while it does not hold: a free passage or a pump
 */
public record PressureControl(double limit, Loss through) implements Loss {

  @Override
  public void at(double flow, double[] into, int at) {
    through.at(flow, into, at);
  }

  @Override
  public double ordinary() {
    return through.ordinary();
  }

  @Override
  public boolean oneWay() {
    return through.oneWay();
  }
}
