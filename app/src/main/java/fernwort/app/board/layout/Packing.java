package fernwort.app.board.layout;

import fernwort.core.rig.Part;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * The parts of one place set out in rows: higher parts in higher rows, in a row by their place
 * along the vehicle. Of all numbers of rows the one with the most air is taken.
 */
final class Packing {

  /** Room for the place's name above the first row (cells). */
  static final int TITLE = 3;

  static final int MARGIN = 1;

  /** Least room between parts that rows are balanced with (cells). */
  static final double BETWEEN = 2;

  /** One thing to be set out. */
  record Piece(String id, Glyph glyph, double along, double height) {

    static Piece of(Part part) {
      return new Piece(part.id().value(), Glyphs.of(part), part.x(), part.height());
    }
  }

  private final List<List<Piece>> rows;
  private final int width;
  private final int height;

  private Packing(List<List<Piece>> rows, int width, int height) {
    this.rows = rows;
    this.width = width;
    this.height = height;
  }

  static List<Piece> inOrder(List<Piece> pieces) {
    return pieces.stream()
        .sorted(
            Comparator.comparingDouble((Piece p) -> -Math.rint(p.height() * 12))
                .thenComparingDouble(Piece::along)
                .thenComparing(Piece::id))
        .toList();
  }

  /** Returns the packing with the most air for a room of this size. */
  static Packing best(List<Piece> ordered, int width, int height) {
    int rows = ordered.isEmpty() ? 1 : Shelves.of(ordered).bestRows(width, height);
    return new Packing(rows(ordered, rows), width, height);
  }

  /** Cuts the ordered pieces into so many rows of about the same width. */
  private static List<List<Piece>> rows(List<Piece> ordered, int n) {
    double total = ordered.stream().mapToDouble(p -> p.glyph().width() + BETWEEN).sum();
    List<List<Piece>> rows = new ArrayList<>();
    List<Piece> row = new ArrayList<>();
    double filled = 0;
    for (Piece piece : ordered) {
      double width = piece.glyph().width() + BETWEEN;
      boolean next = filled + width / 2 > total * (rows.size() + 1) / n;
      if (next && !row.isEmpty() && rows.size() < n - 1) {
        rows.add(row);
        row = new ArrayList<>();
      }
      row.add(piece);
      filled += width;
    }
    rows.add(row);
    return rows.stream()
        .map(r ->
            new ArrayList<>(r.stream().sorted(Comparator.comparingDouble(Piece::along)).toList()))
        .collect(Collectors.toCollection(ArrayList::new));
  }

  /** The smaller of the gaps between columns and between rows (cells); below 1 is too tight. */
  double air() {
    return Math.min(gapAcross(), gapDown());
  }

  private double gapAcross() {
    double gap = Double.POSITIVE_INFINITY;
    for (List<Piece> row : rows) {
      int used = row.stream().mapToInt(p -> p.glyph().width()).sum();
      gap = Math.min(gap, (width - 2.0 * MARGIN - used) / row.size());
    }
    return gap;
  }

  private double gapDown() {
    int used = rows.stream().mapToInt(r -> up(r) + down(r)).sum();
    return (height - TITLE - MARGIN - (double) used) / rows.size();
  }

  private static int up(List<Piece> row) {
    return row.stream().mapToInt(p -> p.glyph().up()).max().orElse(0);
  }

  private static int down(List<Piece> row) {
    return row.stream().mapToInt(p -> p.glyph().down()).max().orElse(0);
  }

  /** Returns the rows, which may be reordered in place. */
  List<List<Piece>> rows() {
    return rows;
  }

  /** Returns where everything stands in a room with this corner. */
  Map<String, Item> place(int x, int y) {
    Map<String, Item> items = new HashMap<>();
    double gap = gapDown();
    double top = y + TITLE + gap / 2;
    for (List<Piece> row : rows) {
      int centre = (int) Math.round(top + up(row));
      placeRow(row, x, centre, items);
      top += up(row) + down(row) + gap;
    }
    return items;
  }

  private void placeRow(List<Piece> row, int x, int centre, Map<String, Item> items) {
    int used = row.stream().mapToInt(p -> p.glyph().width()).sum();
    double gap = (width - 2.0 * MARGIN - used) / row.size();
    double left = x + MARGIN + gap / 2;
    for (Piece piece : row) {
      int middle = (int) Math.round(left + piece.glyph().left());
      items.put(piece.id(), new Item(piece.id(), piece.glyph(), middle, centre));
      left += piece.glyph().width() + gap;
    }
  }
}
