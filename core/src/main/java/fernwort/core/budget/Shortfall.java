package fernwort.core.budget;

/**
 * Fresh water that has to be fetched so that it lasts, nine times in ten.
 *
 * @param used what is used until then, at the high end of what people use (m³)
 * @param there what can be drawn now (m³)
 * @param missing what has to be fetched (m³)
 * @param room what the tanks take now (m³)
 */
public record Shortfall(double used, double there, double missing, double room) {

  private static final double DAY = 86_400;

  /**
   * Returns what so many days need.
   *
   * @param days how long it shall last (days)
   */
  public static Shortfall of(Budget budget, Store fresh, double days) {
    double until = budget.at() + days * DAY;
    ConsumptionFilter learnt = budget.fresh();
    double used = budget.crew().days(budget.at(), until) * learnt.rate().high();
    double there = fresh.left(learnt.volume());
    return new Shortfall(
        used, there, Math.max(0, used - there), Math.max(0, fresh.capacity() - learnt.volume()));
  }
}
