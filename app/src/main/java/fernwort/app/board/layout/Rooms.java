package fernwort.app.board.layout;

import fernwort.core.rig.Place;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/**
 * Cuts a rectangle into one room per place, by straight cuts that keep rear before nose and high
 * above low.
 *
 * <p>Every cut that keeps the order is tried, down to single places, and the tree whose tightest
 * room has the most air wins. Sets of places are remembered with their rectangle, so the search
 * stays small for the dozen places a vehicle has; with more, only the cuts nearest the middle are
 * tried.
 */
final class Rooms {

  private static final int MOST_FOR_ALL_CUTS = 7;

  private final Map<String, List<Packing.Piece>> pieces;
  private final Map<String, Cut> known = new HashMap<>();

  /** The best way found to cut one rectangle: the air of its tightest room, and the rooms. */
  private record Cut(double air, double sum, Map<String, Box> rooms) {
    boolean betterThan(Cut other) {
      double mine = Math.min(air, 3);
      double others = Math.min(other.air, 3);
      return Math.abs(mine - others) > 1e-9 ? mine > others : sum > other.sum;
    }
  }

  Rooms(Map<String, List<Packing.Piece>> pieces) {
    this.pieces = pieces;
  }

  Map<String, Box> cut(List<Place> places, Box box) {
    return places.isEmpty() ? Map.of() : best(places, box).rooms();
  }

  /** Returns the air of the tightest room that the best cut leaves. */
  double air(List<Place> places, Box box) {
    return places.isEmpty() ? 9 : best(places, box).air();
  }

  private List<Packing.Piece> pieces(Place place) {
    return pieces.getOrDefault(place.id(), List.of());
  }

  private Cut best(List<Place> places, Box box) {
    StringBuilder key = new StringBuilder();
    places.stream().map(Place::id).sorted().forEach(id -> key.append(id).append(' '));
    key.append(box);
    Cut found = known.get(key.toString());
    if (found == null) {
      found = places.size() == 1 ? single(places.getFirst(), box) : split(places, box);
      known.put(key.toString(), found);
    }
    return found;
  }

  private Cut single(Place place, Box box) {
    List<Packing.Piece> inside = pieces(place);
    double air =
        inside.isEmpty() ? 3 : Packing.best(inside, box.width() - 1, box.height() - 1).air();
    return new Cut(air, Math.min(air, 6), Map.of(place.id(), box));
  }

  private Cut split(List<Place> places, Box box) {
    Cut best = new Cut(Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY, Map.of());
    for (boolean across : new boolean[] {true, false}) {
      ToDoubleFunction<Place> coordinate = across ? Place::x : p -> -p.z();
      List<Place> sorted =
          places.stream()
              .sorted(
                  Comparator.comparingDouble(coordinate)
                      .thenComparing(Place::y)
                      .thenComparing(Place::id))
              .toList();
      for (int k = 1; k < sorted.size(); k++) {
        if (places.size() > MOST_FOR_ALL_CUTS && Math.abs(2 * k - sorted.size()) > 1) {
          continue;
        }
        double gap =
            coordinate.applyAsDouble(sorted.get(k)) - coordinate.applyAsDouble(sorted.get(k - 1));
        if (gap < (across ? 0 : 0.04)) {
          continue;
        }
        Cut candidate = join(sorted.subList(0, k), sorted.subList(k, sorted.size()), box, across);
        if (candidate.betterThan(best)) {
          best = candidate;
        }
      }
    }
    return best;
  }

  private Cut join(List<Place> first, List<Place> second, Box box, boolean across) {
    int whole = across ? box.width() : box.height();
    double share = demand(first) / (demand(first) + demand(second));
    Cut best = new Cut(Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY, Map.of());
    for (double nudge : new double[] {0, -0.08, 0.08}) {
      int at = (int) Math.round(whole * Math.clamp(share + nudge, 0.1, 0.9));
      Box a =
          across
              ? new Box(box.x(), box.y(), at, box.height())
              : new Box(box.x(), box.y(), box.width(), at);
      Box b =
          across
              ? new Box(box.x() + at, box.y(), whole - at, box.height())
              : new Box(box.x(), box.y() + at, box.width(), whole - at);
      Cut left = best(first, a);
      Cut right = best(second, b);
      Map<String, Box> rooms = new HashMap<>(left.rooms());
      rooms.putAll(right.rooms());
      Cut joined = new Cut(Math.min(left.air(), right.air()), left.sum() + right.sum(), rooms);
      if (joined.betterThan(best)) {
        best = joined;
      }
    }
    return best;
  }

  private double demand(List<Place> places) {
    return places.stream().mapToDouble(this::demand).sum();
  }

  /** The area that a place's parts need with a little air around each (cells²). */
  double demand(Place place) {
    double area = 30;
    for (Packing.Piece piece : pieces(place)) {
      Glyph g = piece.glyph();
      area += (g.width() + 3.0) * (g.up() + g.down() + 3.0);
    }
    return area;
  }
}
