package fernwort.core.sizing;

import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * A trip with chances to fill and to dump at different stops.
 *
 * @param legs the stretches between the stops, in order
 */
public record Itinerary(List<Leg> legs) {

  /** Less than this is rounding, not water (m³). */
  private static final double DROP = 1e-9;

  /**
   * A chance on the way.
   *
   * @param day when it comes, counted from the start (days)
   * @param fill whether drinking water can be had
   * @param dump whether gray can be dumped
   */
  public record Chance(double day, boolean fill, boolean dump) {}

  /**
   * A stretch between two stops.
   *
   * @param from when it starts (days)
   * @param to when it ends (days)
   * @param freshAtStart fresh water to draw at its start (m³)
   * @param freshAtEnd what is left at its end (m³); negative for what is missing
   * @param roomAtStart gray room at its start (m³)
   * @param roomAtEnd gray room at its end (m³); negative for what does not fit
   */
  public record Leg(
      double from,
      double to,
      double freshAtStart,
      double freshAtEnd,
      double roomAtStart,
      double roomAtEnd) {

    /** Returns the day on which fresh water ends, infinite when it does not. */
    public double dry() {
      return end(freshAtStart, freshAtEnd);
    }

    /** Returns the day on which gray is full, infinite when it is not. */
    public double full() {
      return end(roomAtStart, roomAtEnd);
    }

    private double end(double start, double end) {
      return end < -DROP ? from + (to - from) * start / (start - end) : Double.POSITIVE_INFINITY;
    }
  }

  public Itinerary {
    legs = List.copyOf(legs);
  }

  /**
   * Works out each stretch. What is missing on one stretch is not carried to the next: it starts
   * dry, or with gray full.
   *
   * @param habits who travels and what they use
   * @param fresh fresh water to draw when full (m³)
   * @param gray gray room when empty (m³)
   * @param days how long the trip is (days)
   * @param chances stops, in any order
   * @throws Refusal when a stop lies outside the trip
   */
  public static Itinerary of(
      Habits habits, double fresh, double gray, double days, List<Chance> chances) {
    List<Chance> stops = new ArrayList<>(chances);
    stops.sort(Comparator.comparingDouble(Chance::day));
    for (Chance stop : stops) {
      if (!(stop.day() >= 0 && stop.day() <= days)) {
        throw new Refusal(
            String.format(Locale.ROOT, Says.A_STOP_ON_DAY_LIES_OUTSIDE.text(), stop.day(), days));
      }
    }
    stops.add(new Chance(days, false, false));
    List<Leg> legs = new ArrayList<>();
    double at = 0;
    double water = fresh;
    double room = gray;
    for (Chance stop : stops) {
      double time = stop.day() - at;
      double left = water - habits.freshPerDay() * time;
      double free = room - habits.grayPerDay() * time;
      if (time > 0) {
        legs.add(new Leg(at, stop.day(), water, left, room, free));
      }
      at = stop.day();
      water = stop.fill() ? fresh : Math.max(0, left);
      room = stop.dump() ? gray : Math.max(0, free);
    }
    return new Itinerary(legs);
  }

  /** Tells whether fresh water and gray room last on every stretch. */
  public boolean works() {
    return legs.stream().allMatch(l -> l.freshAtEnd() > -DROP && l.roomAtEnd() > -DROP);
  }
}
