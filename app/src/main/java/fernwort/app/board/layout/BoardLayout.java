package fernwort.app.board.layout;

import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * A finished drawing: rooms, parts and lines, all in cells.
 *
 * @param width width of the drawing (cells)
 * @param height height of the drawing (cells)
 * @param body where the vehicle's body stands above its floor
 * @param floor y of the floor line (cells)
 * @param ground y of the ground line (cells)
 * @param rooms the room of each place, by place id
 * @param items the parts, by part id
 * @param wires the lines
 * @param tags where lines leave the drawing of a single place: the line at each tag, by item id
 */
public record BoardLayout(
    int width,
    int height,
    Box body,
    int floor,
    int ground,
    Map<String, Box> rooms,
    Map<String, Item> items,
    List<Wire> wires,
    Map<String, String> tags) {

  /** Size of the drawing that fits beside the panel at 1280 by 800 (cells). */
  private static final int WIDTH = 107;

  private static final int HEIGHT = 86;
  private static final int GROUND_STRIP = 4;
  private static final int WHEEL_STRIP = 9;
  private static final double ENOUGH_AIR = 2.5;

  /** Air with which a small rig is drawn on a smaller sheet, and so larger on the screen. */
  private static final double PLENTY_OF_AIR = 3.2;

  private static final double SMALLEST = 0.62;
  private static final int SMALL_RIG = 24;
  private static final double LARGEST = 6;
  private static final int MOST_MOVES = 8;

  /** Lays a whole rig out. The drawing grows for rigs too large for one screen. */
  public static BoardLayout of(Rig rig) {
    Map<String, List<Packing.Piece>> pieces =
        rig.parts().stream()
            .collect(
                Collectors.groupingBy(
                    x -> x.place().value(),
                    Collectors.mapping(Packing.Piece::of, Collectors.toList())));
    pieces.replaceAll((place, list) -> Packing.inOrder(list));
    double scale = rig.parts().size() <= SMALL_RIG ? SMALLEST : 1;
    while (true) {
      Sheet sheet = Sheet.of(rig, pieces, scale);
      double enough = scale < 1 ? PLENTY_OF_AIR : ENOUGH_AIR;
      if (sheet.air() >= enough || scale > LARGEST) {
        BoardLayout drawn = sheet.draw();
        if (drawn.wires().size() == rig.lines().size() || scale > LARGEST) {
          return drawn;
        }
      }
      scale = scale < 1 ? Math.min(1, scale * 1.1) : scale * 1.06;
    }
  }

  /** Lays one place out for a narrow screen; lines that leave it end at tags. */
  public static BoardLayout of(Rig rig, Place place, int widthPixels) {
    List<Packing.Piece> pieces = new ArrayList<>();
    rig.parts().stream()
        .filter(p -> p.place().equals(place.id()))
        .map(Packing.Piece::of)
        .forEach(pieces::add);
    Map<PartId, PlaceId> home =
        rig.parts().stream().collect(Collectors.toMap(Part::id, Part::place));
    List<Router.Job> jobs = new ArrayList<>();
    Map<String, String> tags = new LinkedHashMap<>();
    for (Line line : rig.lines()) {
      boolean from = place.id().equals(home.get(line.from().part()));
      boolean to = place.id().equals(home.get(line.to().part()));
      if (from && to) {
        jobs.add(job(line));
      } else if (from || to) {
        String tag = "to-" + line.id();
        PartId other = (from ? line.to() : line.from()).part();
        String where = rig.place(home.getOrDefault(other, PlaceId.NONE)).label();
        Part inside = rig.part((from ? line.from() : line.to()).part());
        tags.put(tag, line.id().value());
        pieces.add(new Packing.Piece(tag, Glyphs.exit(shortName(where)), inside.x(), -9));
        jobs.add(
            from
                ? new Router.Job(
                    line.id().value(),
                    line.from().part().value(),
                    line.from().port().value(),
                    tag,
                    "exit")
                : new Router.Job(
                    line.id().value(),
                    tag,
                    "exit",
                    line.to().part().value(),
                    line.to().port().value()));
      }
    }
    return narrow(place, Packing.inOrder(pieces), widthPixels / Grid.CELL, jobs, tags);
  }

  private static BoardLayout narrow(
      Place place,
      List<Packing.Piece> pieces,
      int width,
      List<Router.Job> jobs,
      Map<String, String> tags) {
    int height = 14;
    while (true) {
      Packing packing = Packing.best(pieces, width, height);
      if (packing.air() >= 2.2 || height > 200) {
        Map<String, Item> items = packing.place(0, 0);
        List<Wire> wires = new Router(width + 1, height + 1, items, List.of()).lead(jobs);
        if (wires.size() == jobs.size() || height > 200) {
          Box room = new Box(0, 0, width, height);
          return new BoardLayout(
              width,
              height,
              room,
              height,
              height,
              Map.of(place.id().value(), room),
              items,
              wires,
              tags);
        }
      }
      height += 2;
    }
  }

  private static String shortName(String label) {
    int comma = label.indexOf(',');
    return comma > 0 ? label.substring(0, comma) : label;
  }

  static Router.Job job(Line line) {
    return new Router.Job(
        line.id().value(),
        line.from().part().value(),
        line.from().port().value(),
        line.to().part().value(),
        line.to().port().value());
  }

  /** A sheet of a size on which a rig is tried. */
  private record Sheet(
      Rig rig,
      Map<String, List<Packing.Piece>> pieces,
      int width,
      int height,
      Box above,
      Rooms.Plan high,
      Rooms.Plan low) {

    static Sheet of(Rig rig, Map<String, List<Packing.Piece>> pieces, double scale) {
      int width = (int) Math.round(WIDTH * scale);
      int height = (int) Math.round(HEIGHT * scale);
      List<Place> used =
          rig.places().stream().filter(p -> pieces.containsKey(p.id().value())).toList();
      double floor = rig.vehicle().floor();
      Rooms high = new Rooms(used.stream().filter(p -> p.z() >= floor).toList(), pieces);
      Rooms low = new Rooms(used.stream().filter(p -> p.z() < floor).toList(), pieces);
      int nose =
          switch (rig.vehicle().body()) {
            case TRUCK -> 9;
            case VAN -> 8;
            case TRAILER -> 12;
          };
      double share = low.demand() / (low.demand() + high.demand());
      int usable = height - GROUND_STRIP - 2;
      int under =
          low.isEmpty() ? WHEEL_STRIP : (int) Math.round(Math.clamp(share, 0.12, 0.6) * usable);
      Sheet best = of(rig, pieces, width, height, nose, under, high, low);
      for (int moves = 0; moves < MOST_MOVES && !low.isEmpty(); moves++) {
        under += best.low().air() < best.high().air() ? 2 : -2;
        Sheet moved = of(rig, pieces, width, height, nose, under, high, low);
        if (moved.air() <= best.air()) {
          return best;
        }
        best = moved;
      }
      return best;
    }

    /** A sheet whose floor leaves so much height for what hangs under it. */
    private static Sheet of(
        Rig rig,
        Map<String, List<Packing.Piece>> pieces,
        int width,
        int height,
        int nose,
        int under,
        Rooms high,
        Rooms low) {
      int usable = height - GROUND_STRIP - 2;
      Box above = new Box(2, 2, width - nose - 2, usable - under - 1);
      Box below = new Box(2, 2 + usable - under, width - nose - 2, under);
      return new Sheet(rig, pieces, width, height, above, high.cut(above), low.cut(below));
    }

    double air() {
      return Math.min(high.air(), low.air());
    }

    BoardLayout draw() {
      Map<String, Box> cut = new HashMap<>(high.rooms());
      cut.putAll(low.rooms());
      Map<String, Item> items = new Arrangement(rig, pieces, cut).items();
      List<Box> titles = new ArrayList<>();
      for (Place place : rig.places()) {
        Box room = cut.get(place.id().value());
        if (room != null) {
          int title = Grid.cells(Lettering.width(place.label()) * 1.12 + 8);
          titles.add(new Box(room.x() + 1, room.y() + 1, title, 2));
        }
      }
      List<Router.Job> jobs = rig.lines().stream().map(BoardLayout::job).toList();
      List<Wire> wires = new Router(width + 1, height + 1, items, titles).lead(jobs);
      return new BoardLayout(
          width, height, above, above.bottom(), height - GROUND_STRIP, cut, items, wires, Map.of());
    }
  }
}
