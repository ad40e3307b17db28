package fernwort.app.board.layout;

import fernwort.core.id.PartId;
import fernwort.core.rig.Line;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Parts set out in their rooms, then shifted within their rows until their lines are short.
 *
 * <p>Neighbours in a row change places whenever that shortens the lines at them; a few passes are
 * enough, and the order of trying is fixed, so the outcome is too.
 */
final class Arrangement {

  private static final int PASSES = 5;

  private final Map<String, Packing> packings = new TreeMap<>();
  private final Map<String, Box> rooms;
  private final Map<String, List<String>> neighbours = new HashMap<>();
  private final Map<String, Item> items = new LinkedHashMap<>();

  Arrangement(Rig rig, Map<String, List<Packing.Piece>> pieces, Map<String, Box> rooms) {
    this.rooms = rooms;
    for (Line line : rig.lines()) {
      join(line.from().part(), line.to().part());
      join(line.to().part(), line.from().part());
    }
    rooms.forEach((place, room) ->
        packings.put(
            place,
            Packing.best(
                pieces.getOrDefault(place, List.of()), room.width() - 1, room.height() - 1)));
    packings.keySet().forEach(this::set);
    for (int pass = 0; pass < PASSES; pass++) {
      packings.keySet().forEach(this::shorten);
    }
  }

  private void join(PartId a, PartId b) {
    neighbours.computeIfAbsent(a.value(), k -> new ArrayList<>()).add(b.value());
  }

  private void set(String place) {
    Box room = room(place);
    items.putAll(packing(place).place(room.x(), room.y()));
  }

  private Box room(String place) {
    return rooms.getOrDefault(place, new Box(0, 0, 1, 1));
  }

  private Packing packing(String place) {
    Packing packing = packings.get(place);
    if (packing == null) {
      throw new IllegalArgumentException("no place \"" + place + "\"");
    }
    return packing;
  }

  private void shorten(String place) {
    for (List<Packing.Piece> row : packing(place).rows()) {
      for (int i = 0; i < row.size(); i++) {
        for (int j = i + 1; j < row.size(); j++) {
          double before = length(row);
          Collections.swap(row, i, j);
          set(place);
          if (length(row) > before - 0.5) {
            Collections.swap(row, i, j);
            set(place);
          }
        }
      }
    }
  }

  private double length(List<Packing.Piece> row) {
    double sum = 0;
    for (Packing.Piece piece : row) {
      Item item = items.get(piece.id());
      for (String other : neighbours.getOrDefault(piece.id(), List.of())) {
        Item end = items.get(other);
        if (item != null && end != null) {
          sum += Math.abs(item.x() - end.x()) + Math.abs(item.y() - end.y());
        }
      }
    }
    return sum;
  }

  Map<String, Item> items() {
    return items;
  }
}
