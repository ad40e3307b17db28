package fernwort.core.budget;

/**
 * A store of water on board, all its tanks together.
 *
 * @param capacity what it holds when full (m³)
 * @param limit where it ends: what no port gives out any more, or what no more fits in (m³)
 * @param gains whether people fill it, as they do gray, or empty it
 */
public record Store(double capacity, double limit, boolean gains) {

  /** Returns what is left until it ends, at some volume (m³). */
  double left(double volume) {
    return Math.max(0, gains ? limit - volume : volume - limit);
  }

  /** Returns +1 where people fill it, else −1. */
  double sign() {
    return gains ? 1 : -1;
  }
}
