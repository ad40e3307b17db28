package fernwort.core.flow;

/**
 * A check valve, or the free end of a line: it takes a constant head while water passes and lets
 * nothing back.
 *
 * @param cracking head it takes to open and keeps while open (m); 0 for a free end
 */
public record OneWay(double cracking) implements Loss {

  /** An end that opens into the air. */
  public static final OneWay FREE_END = new OneWay(0);

  @Override
  public void at(double flow, double[] into, int at) {
    double slope = flow < 0 ? BACK : FREE;
    into[at] = cracking + slope * flow;
    into[at + 1] = slope;
  }

  @Override
  public double ordinary() {
    return 1e-4;
  }
}
