package fernwort.app.board.layout;

import java.util.List;

/**
 * How much room a part's drawing and its label take, and where lines may be joined to it.
 *
 * @param halfWidth from the centre of the drawing to its side (cells)
 * @param halfHeight from the centre of the drawing to its top (cells)
 * @param label the lines of its label; empty for parts that are drawn without
 * @param at where the label stands
 * @param pins where lines may be joined
 */
record Glyph(int halfWidth, int halfHeight, List<String> label, LabelAt at, List<Pin> pins) {

  /** Height of a line of a label (px). */
  static final int LINE_HEIGHT = 13;

  /** Where a label stands. */
  enum LabelAt {
    INSIDE,
    BELOW,
    ABOVE,
    RIGHT
  }

  int labelWidth() {
    return label.isEmpty()
        ? 0
        : Grid.cells(label.stream().mapToDouble(Lettering::width).max().orElse(0) + 4);
  }

  int labelHeight() {
    return label.isEmpty() ? 0 : Grid.cells(label.size() * LINE_HEIGHT + 3.0);
  }

  private boolean beside() {
    return at == LabelAt.RIGHT && !label.isEmpty();
  }

  private boolean stacked(LabelAt where) {
    return at == where && !label.isEmpty();
  }

  private int centredHalf() {
    boolean stacked = at == LabelAt.BELOW || at == LabelAt.ABOVE;
    return Math.max(halfWidth, stacked ? (labelWidth() + 1) / 2 : 0);
  }

  int left() {
    return centredHalf();
  }

  int right() {
    return beside() ? halfWidth + labelWidth() + 1 : centredHalf();
  }

  int up() {
    return Math.max(
        halfHeight + (stacked(LabelAt.ABOVE) ? labelHeight() : 0),
        beside() ? (labelHeight() + 1) / 2 : 0);
  }

  int down() {
    return Math.max(
        halfHeight + (stacked(LabelAt.BELOW) ? labelHeight() : 0),
        beside() ? (labelHeight() + 1) / 2 : 0);
  }

  int width() {
    return left() + right();
  }

  /** Returns the label's rectangle from the centre of the drawing. */
  Box labelBox() {
    int w = labelWidth();
    int h = labelHeight();
    return switch (at) {
      case INSIDE -> new Box(0, 0, 0, 0);
      case BELOW -> new Box(-(w + 1) / 2, halfHeight, w, h);
      case ABOVE -> new Box(-(w + 1) / 2, -halfHeight - h, w, h);
      case RIGHT -> new Box(halfWidth + 1, -(h + 1) / 2, w, h);
    };
  }
}
