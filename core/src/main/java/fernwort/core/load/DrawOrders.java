package fernwort.core.load;

import fernwort.core.id.PartId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

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

  /** Less than this in a tank is nothing to draw (m³). */
  private static final double LEAST = 1e-4;

  private DrawOrders() {}

  /**
   * One order.
   *
   * @param tanks ids of the tanks in the order in which they are drawn
   * @param worst smallest margin to a limit met on the trip (kg)
   * @param own the same without the start and the end, which all orders share (kg)
   * @param side largest difference between left and right met on the trip (kg)
   * @param drawn what has been drawn at the start and after each stretch (m³)
   * @param course loads at the start and after each stretch
   */
  public record Order(
      List<PartId> tanks,
      double worst,
      double own,
      double side,
      List<Double> drawn,
      List<Loads> course) {

    /** Returns what the rear support carries (kg) when so much has been drawn (m³). */
    public double onRear(double volume) {
      return between(volume, Loads::onRear);
    }

    /** Returns what the front support or drawbar carries (kg) when so much has been drawn (m³). */
    public double onFront(double volume) {
      return between(volume, Loads::onFront);
    }

    /** Returns a figure between two stretches, in proportion. */
    private double between(double volume, ToDoubleFunction<Loads> figure) {
      int next = 1;
      while (next < drawn.size() - 1 && drawn.get(next) < volume) {
        next++;
      }
      if (next >= drawn.size()) {
        return figure.applyAsDouble(course.getFirst());
      }
      double from = drawn.get(next - 1);
      double share = Math.clamp((volume - from) / (drawn.get(next) - from), 0, 1);
      return (1 - share) * figure.applyAsDouble(course.get(next - 1))
          + share * figure.applyAsDouble(course.get(next));
    }
  }

  /**
   * Returns all orders, the one with the largest margin first, ties to the one that stays most even
   * from side to side.
   *
   * @param network the prepared rig
   * @param volumes water at the start by tank id (m³)
   * @param grayShare share of what is drawn that runs to the gray tanks, 0 to 1
   * @throws Refusal with too many tanks, or a vehicle that cannot stand
   */
  public static List<Order> of(Network network, Map<PartId, Double> volumes, double grayShare) {
    List<Part> tanks = network.tanks();
    double[] start = tanks.stream().mapToDouble(t -> volumes.getOrDefault(t.id(), 0.0)).toArray();
    List<Integer> fresh =
        IntStream.range(0, tanks.size())
            .filter(i -> isTank(tanks.get(i), Contents.FRESH) && start[i] > LEAST)
            .boxed()
            .toList();
    if (fresh.size() > MOST_TANKS) {
      throw new Refusal(Says.TANKS_CAN_BE_DRAWN_IN_TOO_MANY.filled(fresh.size()));
    }
    Trip trip = new Trip(network, new Moments(network), start, grayShare);
    List<Order> orders = new ArrayList<>();
    DrawOrders.<Integer>permute(new ArrayList<>(), fresh, order -> orders.add(trip.run(order)));
    orders.sort(
        Comparator.comparingDouble(Order::worst)
            .thenComparingDouble(Order::own)
            .reversed()
            .thenComparingDouble(Order::side));
    return orders;
  }

  private static boolean isTank(Part part, Contents contents) {
    return part.kind().holds(contents);
  }

  /** Calls for every order of some things. */
  static <T> void permute(List<T> chosen, List<T> left, Consumer<List<T>> found) {
    if (left.isEmpty()) {
      found.accept(List.copyOf(chosen));
      return;
    }
    for (T next : left) {
      chosen.add(next);
      permute(chosen, left.stream().filter(t -> !t.equals(next)).toList(), found);
      chosen.removeLast();
    }
  }

  /** One trip, to be run in any order of its tanks; tanks by their place in the rig. */
  private record Trip(Network network, Moments moments, double[] start, double grayShare) {

    Order run(List<Integer> order) {
      double[] now = start.clone();
      List<Loads> course = new ArrayList<>();
      course.add(moments.loads(now));
      List<Double> drawn = new ArrayList<>(List.of(0.0));
      for (int tank : order) {
        double part = start[tank] / LOOKS;
        for (int i = 0; i < LOOKS; i++) {
          now[tank] = Math.max(0, now[tank] - part);
          pour(now, part * grayShare);
          drawn.add(drawn.getLast() + part);
          course.add(moments.loads(now));
        }
      }
      return new Order(
          order.stream().map(t -> network.tanks().get(t).id()).toList(),
          worst(course),
          worst(course.subList(1, Math.max(1, course.size() - 1))),
          course.stream().mapToDouble(l -> Math.abs(l.left())).max().orElse(0),
          drawn,
          course);
    }

    private static double worst(List<Loads> course) {
      return course.stream().mapToDouble(Loads::margin).min().orElse(0);
    }

    /** Fills the gray tanks in their order; what no longer fits has been dumped on the way. */
    private void pour(double[] now, double volume) {
      double left = volume;
      for (int i = 0; i < now.length; i++) {
        Part tank = network.tanks().get(i);
        if (isTank(tank, Contents.GRAY)) {
          double room = network.room(tank.id()).capacity() - now[i];
          double into = Math.clamp(left, 0, Math.max(0, room));
          now[i] += into;
          left -= into;
        }
      }
    }
  }
}
