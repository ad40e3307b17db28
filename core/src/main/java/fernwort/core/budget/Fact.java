package fernwort.core.budget;

/**
 * Something that was noted and tells about one store of water: fresh, or gray. Times in seconds
 * since 1970.
 */
public sealed interface Fact {

  /** Returns when. */
  double at();

  /**
   * Somebody looked.
   *
   * @param volume what was seen (m³)
   * @param doubt standard deviation of such a look (m³)
   * @param coarse whether it is a step of a sender: seen twice it says nothing new
   */
  record Seen(double at, double volume, double doubt, boolean coarse) implements Fact {}

  /** It was filled until full, or dumped: the volume is known (m³) but for a doubt (m³). */
  record Set(double at, double volume, double doubt) implements Fact {}

  /** So much came in, or went out at once where it is less than nothing (m³), but for a doubt. */
  record Added(double at, double volume, double doubt) implements Fact {}

  /** So many people are on board from then on. */
  record People(double at, int people) implements Fact {}

  /** Nobody is on board until then. */
  record Away(double at, double until) implements Fact {}

  /** A new estimate of what a person uses in a day was entered (m³); it begins anew from there. */
  record Estimate(double at, double perPersonDay) implements Fact {}
}
