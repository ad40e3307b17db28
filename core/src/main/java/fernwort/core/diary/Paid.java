package fernwort.core.diary;

import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What water cost at a place, of fills and hauls whose litres and price were noted.
 *
 * @param place its name; empty where none was noted
 * @param volume all of it (m³)
 * @param price paid in all
 * @param times how many times
 */
public record Paid(String place, double volume, BigDecimal price, int times) {

  /** Returns the price of a cubic metre; nothing where no water came. */
  public Optional<BigDecimal> perCubicMetre() {
    return volume > 0
        ? Optional.of(price.divide(BigDecimal.valueOf(volume), MathContext.DECIMAL64))
        : Optional.empty();
  }

  /** Returns what was paid place by place, by their names. */
  public static List<Paid> of(List<Entry> entries) {
    TreeMap<String, Paid> places = new TreeMap<>();
    for (Entry entry : entries) {
      if (entry.what() instanceof Entry.Supply water) {
        water.supplied().ifPresent(v -> add(places, water.bought(), v));
      }
    }
    return new ArrayList<>(places.values());
  }

  /** Something paid, and all that was paid by then. */
  public record Step(Instant at, BigDecimal price, BigDecimal sum) {}

  /** Returns what was paid, in order of time, with its sum. */
  public static List<Step> byTime(List<Entry> entries) {
    List<Step> steps = new ArrayList<>();
    BigDecimal sum = BigDecimal.ZERO;
    for (Entry entry : entries.stream().sorted(Comparator.comparing(Entry::at)).toList()) {
      if (entry.what() instanceof Entry.Supply water && water.bought().price().isPresent()) {
        BigDecimal price = water.bought().price().get();
        sum = sum.add(price);
        steps.add(new Step(entry.at(), price, sum));
      }
    }
    return steps;
  }

  private static void add(TreeMap<String, Paid> places, Entry.Bought bought, double volume) {
    bought
        .price()
        .ifPresent(price ->
            places.merge(bought.place(), new Paid(bought.place(), volume, price, 1), Paid::plus));
  }

  private Paid plus(Paid other) {
    return new Paid(place, volume + other.volume, price.add(other.price), times + other.times);
  }
}
