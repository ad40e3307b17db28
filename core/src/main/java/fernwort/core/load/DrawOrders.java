package fernwort.core.load;

import fernwort.core.network.Plumbing;
import fernwort.core.rig.Contents;
import fernwort.core.rig.Part;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Every order in which the fresh tanks can be drawn over a trip, with the loads it gives.
 *
 * <p>Between the moments when a tank runs out the loads change nearly evenly, so they are looked at
 * there and at quarters between: O(n! · n) load sums.
 */
public final class DrawOrders {

  /** More tanks than this make too many orders to try. */
  public static final int MOST_TANKS = 7;

  private static final int LOOKS = 4;

  private DrawOrders() {}

  /**
   * One order.
   *
   * @param tanks ids of the tanks in the order in which they are drawn
   * @param worst smallest margin to a limit met on the trip (kg)
   * @param side largest difference between left and right met on the trip (kg)
   * @param course loads at the start and after each stretch
   */
  public record Order(List<String> tanks, double worst, double side, List<Loads> course) {}

  /**
   * Returns all orders, the one with the largest margin first, ties to the one that stays most even
   * from side to side.
   *
   * @param plumbing the prepared rig
   * @param volumes water at the start by tank id (m³)
   * @param grayShare share of what is drawn that runs to the gray tanks, 0 to 1
   * @throws IllegalArgumentException with too many tanks, or a vehicle that cannot stand
   */
  public static List<Order> of(Plumbing plumbing, Map<String, Double> volumes, double grayShare) {
    List<String> fresh =
        plumbing.rig().tanks(Contents.FRESH).map(Part::id).filter(t -> has(volumes, t)).toList();
    if (fresh.size() > MOST_TANKS) {
      throw new IllegalArgumentException(
          "%d tanks can be drawn in too many orders; empty some first".formatted(fresh.size()));
    }
    List<Order> orders = new ArrayList<>();
    permute(
        new ArrayList<>(), fresh, order -> orders.add(run(plumbing, volumes, grayShare, order)));
    orders.sort(
        Comparator.comparingDouble(Order::worst).reversed().thenComparingDouble(Order::side));
    return orders;
  }

  private static boolean has(Map<String, Double> volumes, String tank) {
    return volumes.getOrDefault(tank, 0.0) > 1e-4;
  }

  private interface Found {
    void order(List<String> order);
  }

  private static void permute(List<String> chosen, List<String> left, Found found) {
    if (left.isEmpty()) {
      found.order(List.copyOf(chosen));
      return;
    }
    for (String next : left) {
      chosen.add(next);
      permute(chosen, left.stream().filter(t -> !t.equals(next)).toList(), found);
      chosen.removeLast();
    }
  }

  private static Order run(
      Plumbing plumbing, Map<String, Double> start, double grayShare, List<String> order) {
    Map<String, Double> now = new HashMap<>(start);
    List<Loads> course = new ArrayList<>();
    course.add(Loads.of(plumbing, now));
    for (String tank : order) {
      double part = start.getOrDefault(tank, 0.0) / LOOKS;
      for (int i = 0; i < LOOKS; i++) {
        now.merge(tank, -part, Double::sum);
        now.computeIfPresent(tank, (t, v) -> Math.max(0, v));
        pour(plumbing, now, part * grayShare);
        course.add(Loads.of(plumbing, now));
      }
    }
    return new Order(
        order,
        course.stream().mapToDouble(Loads::margin).min().orElse(0),
        course.stream().mapToDouble(l -> Math.abs(l.left())).max().orElse(0),
        course);
  }

  /** Fills the gray tanks in their order; what no longer fits has been dumped on the way. */
  private static void pour(Plumbing plumbing, Map<String, Double> now, double volume) {
    double left = volume;
    for (Part gray : plumbing.rig().tanks(Contents.GRAY).toList()) {
      double room = plumbing.room(gray.id()).capacity() - now.getOrDefault(gray.id(), 0.0);
      double into = Math.min(left, Math.max(0, room));
      now.merge(gray.id(), into, Double::sum);
      left -= into;
    }
  }
}
