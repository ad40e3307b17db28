package fernwort.app.board.layout;

import fernwort.core.rig.Place;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Cuts a rectangle into one room per place, by straight cuts that keep rear before nose and high
 * above low.
 *
 * <p>First every order of cuts is tried with each side as large as its parts demand, and the one
 * whose tightest room has the most air wins; sets of places are remembered with the size of their
 * rectangle, so the search stays small for the dozen places a vehicle has (with more, only cuts
 * near the middle are tried). Then the winning cuts are moved: the tightest room asks for a little
 * more, again and again, and the best positions met are kept.
 */
final class Rooms {

  private static final int MOST_FOR_ALL_CUTS = 7;
  private static final int MOVES = 60;
  private static final double MORE = 1.05;

  /** Places count as one above the other only from this difference in height on (m). */
  private static final double STEP_UP = 0.04;

  /** A cut into two, or a single place where {@code place} is not negative. */
  private record Cut(
      double air,
      double sum,
      int place,
      boolean across,
      @Nullable Cut first,
      @Nullable Cut second) {

    boolean betterThan(Cut other) {
      double mine = Math.min(air, 3);
      double others = Math.min(other.air, 3);
      return Math.abs(mine - others) > 1e-9 ? mine > others : sum > other.sum;
    }
  }

  private record Size(long places, int width, int height) {}

  private final List<Place> places;
  private final Shelves[] shelves;
  private final double[] demand;
  private final int[] byLength;
  private final int[] byHeight;
  private final Map<Size, Cut> known = new HashMap<>();

  Rooms(List<Place> places, Map<String, List<Packing.Piece>> pieces) {
    this.places = places;
    shelves =
        places.stream()
            .map(p -> Shelves.of(pieces.getOrDefault(p.id().value(), List.of())))
            .toArray(Shelves[]::new);
    demand =
        places.stream()
            .mapToDouble(p -> demand(pieces.getOrDefault(p.id().value(), List.of())))
            .toArray();
    byLength = order(Comparator.comparingDouble(Place::x));
    byHeight = order(Comparator.comparingDouble(p -> -p.z()));
  }

  private int[] order(Comparator<Place> first) {
    Comparator<Place> comparator = first.thenComparing(Place::y).thenComparing(Place::id);
    return IntStream.range(0, places.size())
        .boxed()
        .sorted((a, b) -> comparator.compare(places.get(a), places.get(b)))
        .mapToInt(Integer::intValue)
        .toArray();
  }

  /** The area that parts need with a little air around each (cells²). */
  private static double demand(List<Packing.Piece> pieces) {
    double area = 30;
    for (Packing.Piece piece : pieces) {
      Glyph g = piece.glyph();
      area += (g.width() + 3.0) * (g.up() + g.down() + 3.0);
    }
    return area;
  }

  boolean isEmpty() {
    return places.isEmpty();
  }

  /** Returns the area that all parts need (cells²). */
  double demand() {
    return IntStream.range(0, demand.length).mapToDouble(i -> demand[i]).sum();
  }

  /** Rooms by place id, with the air of the tightest. */
  record Plan(double air, Map<String, Box> rooms) {}

  Plan cut(Box box) {
    if (places.isEmpty()) {
      return new Plan(9, Map.of());
    }
    Cut tree = best((1L << places.size()) - 1, places.size(), box.width(), box.height());
    return move(tree, box);
  }

  private Cut best(long set, int count, int width, int height) {
    Size size = new Size(set, width, height);
    Cut found = known.get(size);
    if (found == null) {
      found = count == 1 ? single(set, width, height) : split(set, count, width, height);
      known.put(size, found);
    }
    return found;
  }

  private Cut single(long set, int width, int height) {
    int place = Long.numberOfTrailingZeros(set);
    double air = shelves[place].air(width - 1, height - 1);
    return new Cut(air, Math.min(air, 6), place, false, null, null);
  }

  private Cut split(long set, int count, int width, int height) {
    Cut best = new Cut(Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY, -1, false, null, null);
    double whole = sum(set);
    for (boolean across : new boolean[] {true, false}) {
      long first = 0;
      int before = -1;
      int taken = 0;
      for (int place : across ? byLength : byHeight) {
        if ((set >> place & 1) == 0) {
          continue;
        }
        boolean near = count <= MOST_FOR_ALL_CUTS || Math.abs(2 * taken - count) <= 1;
        if (taken > 0 && near && apart(before, place, across)) {
          Cut joined = join(set, first, taken, count, sum(first) / whole, width, height, across);
          best = joined.betterThan(best) ? joined : best;
        }
        first |= 1L << place;
        before = place;
        taken++;
      }
    }
    return best.first() == null ? stack(set, count, width, height) : best;
  }

  private boolean apart(int before, int place, boolean across) {
    return across || places.get(before).z() - places.get(place).z() >= STEP_UP;
  }

  /** Cuts in the middle of the order along the vehicle, when no other cut is possible. */
  private Cut stack(long set, int count, int width, int height) {
    long first = 0;
    int taken = 0;
    for (int place : byLength) {
      if ((set >> place & 1) == 1 && taken < count / 2) {
        first |= 1L << place;
        taken++;
      }
    }
    return join(set, first, taken, count, sum(first) / sum(set), width, height, true);
  }

  private Cut join(
      long set,
      long first,
      int taken,
      int count,
      double share,
      int width,
      int height,
      boolean across) {
    int at = at(share, across ? width : height);
    Cut a = best(first, taken, across ? at : width, across ? height : at);
    Cut b =
        best(
            set & ~first,
            count - taken,
            across ? width - at : width,
            across ? height : height - at);
    return new Cut(Math.min(a.air(), b.air()), a.sum() + b.sum(), -1, across, a, b);
  }

  private static int at(double share, int whole) {
    return (int) Math.round(whole * Math.clamp(share, 0.08, 0.92));
  }

  private double sum(long set) {
    double sum = 0;
    for (int i = 0; i < demand.length; i++) {
      sum += (set >> i & 1) * demand[i];
    }
    return sum;
  }

  private Plan move(Cut tree, Box box) {
    double[] weights = demand.clone();
    Box[] rooms = new Box[places.size()];
    Box[] best = new Box[0];
    double most = Double.NEGATIVE_INFINITY;
    for (int turn = 0; turn < MOVES; turn++) {
      lay(tree, box, weights, rooms);
      int tightest = 0;
      double least = Double.POSITIVE_INFINITY;
      for (int i = 0; i < rooms.length; i++) {
        double air = shelves[i].air(rooms[i].width() - 1, rooms[i].height() - 1);
        if (air < least) {
          least = air;
          tightest = i;
        }
      }
      if (least > most) {
        most = least;
        best = rooms.clone();
      }
      weights[tightest] *= MORE;
    }
    Map<String, Box> named = new HashMap<>();
    for (int i = 0; i < best.length; i++) {
      named.put(places.get(i).id().value(), best[i]);
    }
    return new Plan(most, named);
  }

  private static void lay(Cut cut, Box box, double[] weights, Box[] rooms) {
    Cut first = cut.first();
    Cut second = cut.second();
    if (first == null || second == null) {
      rooms[cut.place()] = box;
      return;
    }
    double a = weight(first, weights);
    double b = weight(second, weights);
    int at = at(a / (a + b), cut.across() ? box.width() : box.height());
    if (cut.across()) {
      lay(first, new Box(box.x(), box.y(), at, box.height()), weights, rooms);
      lay(second, new Box(box.x() + at, box.y(), box.width() - at, box.height()), weights, rooms);
    } else {
      lay(first, new Box(box.x(), box.y(), box.width(), at), weights, rooms);
      lay(second, new Box(box.x(), box.y() + at, box.width(), box.height() - at), weights, rooms);
    }
  }

  private static double weight(Cut cut, double[] weights) {
    Cut first = cut.first();
    Cut second = cut.second();
    return first == null || second == null
        ? weights[cut.place()]
        : weight(first, weights) + weight(second, weights);
  }
}
