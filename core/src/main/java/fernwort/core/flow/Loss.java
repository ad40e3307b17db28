package fernwort.core.flow;

/**
 * How much head a link takes from the water that flows through it: a law that rises strictly with
 * the flow. A pump's is negative.
 */
public sealed interface Loss
    permits Pipe, Lift, Orifice, Filtering, OneWay, Throttle, PressureControl, Venting, Expected {

  /**
   * What holds a one-way link shut (m per m³/s): a head of 30 m against it lets through a
   * millilitre in four days.
   */
  double BACK = 1e13;

  /** What an open passage without a loss of its own takes (m per m³/s): 0.1 mm at 6 L/min. */
  double FREE = 1;

  /**
   * Works out the loss and how it grows.
   *
   * @param flow flow from the link's first node to its second (m³/s)
   * @param into receives the loss (m) and its derivative (m per m³/s), which is more than 0
   * @param at index of the first of the two
   */
  void at(double flow, double[] into, int at);

  /** Returns a flow (m³/s) that is ordinary for the link, to start from. */
  double ordinary();

  /** Tells whether water passes only from the first node to the second. */
  default boolean oneWay() {
    return true;
  }
}
