package fernwort.core.sizing;

import fernwort.core.network.Water;
import fernwort.core.say.Amount;
import fernwort.core.say.Refusal;

/**
 * Fetching water in containers.
 *
 * @param containers how many fillings of a container it takes in all
 * @param perTrip how many go on one trip
 * @param trips how many trips
 * @param load what the fullest trip weighs, containers included (kg)
 * @param price what it costs in all, in the currency the prices were given in (any money)
 */
public record Hauling(int containers, int perTrip, int trips, double load, double price) {

  /** Keeps a volume that just fills its containers from asking for one more. */
  private static final double ROUNDING = 1e-9;

  /**
   * A container.
   *
   * @param capacity what it holds (m³)
   * @param empty what it weighs empty (kg)
   * @param count how many there are
   */
  public record Container(double capacity, double empty, int count) {
    double full() {
      return empty + capacity * Water.DENSITY;
    }
  }

  /**
   * Works out the trips.
   *
   * @param volume water that is needed (m³)
   * @param container what it is fetched in
   * @param payload what may be carried on one trip (kg)
   * @param perVolume price of water (per m³)
   * @param perTrip price of a trip (m³)
   * @throws Refusal when not even one full container may be carried
   */
  public static Hauling of(
      double volume, Container container, double payload, double perVolume, double perTrip) {
    if (!(container.capacity() > 0) || container.count() < 1) {
      throw new Refusal(Says.SAY_WHAT_A_CONTAINER_HOLDS.with());
    }
    int carried = (int) Math.min(container.count(), Math.floor(payload / container.full()));
    if (carried < 1) {
      throw new Refusal(
          Says.ONE_FULL_CONTAINER_WEIGHS.with(Amount.mass(container.full()), Amount.mass(payload)));
    }
    int fillings = (int) Math.ceil(volume / container.capacity() - ROUNDING);
    int trips = (fillings + carried - 1) / carried;
    double load = Math.min(carried, fillings) * container.full();
    // A container is bought filled, also the last one that is needed in part.
    double bought = fillings * container.capacity() * perVolume;
    return new Hauling(fillings, carried, trips, load, bought + trips * perTrip);
  }
}
