package fernwort.app.board.layout;

import java.util.List;

/**
 * A part with its glyph, put somewhere.
 *
 * @param part id of the part
 * @param glyph its glyph
 * @param x centre of the drawing (cells)
 * @param y centre of the drawing (cells)
 */
public record Item(String part, Glyph glyph, int x, int y) {

  Item at(int newX, int newY) {
    return new Item(part, glyph, newX, newY);
  }

  Box body() {
    return new Box(
        x - glyph.halfWidth(),
        y - glyph.halfHeight(),
        2 * glyph.halfWidth(),
        2 * glyph.halfHeight());
  }

  Box labelBox() {
    Box l = glyph.labelBox();
    return new Box(x + l.x(), y + l.y(), l.width(), l.height());
  }

  /** Returns the centre to the right (px). */
  public double centreX() {
    return x * (double) Grid.CELL;
  }

  /** Returns the centre down (px). */
  public double centreY() {
    return y * (double) Grid.CELL;
  }

  /** Returns half the width of the drawing (px). */
  public double halfWidth() {
    return glyph.halfWidth() * (double) Grid.CELL;
  }

  /** Returns half the height of the drawing (px). */
  public double halfHeight() {
    return glyph.halfHeight() * (double) Grid.CELL;
  }

  /** Returns the lines of the label. */
  public List<String> label() {
    return glyph.label();
  }

  /** Tells whether the label stands inside the drawing. */
  public boolean labelInside() {
    return glyph.at() == Glyph.LabelAt.INSIDE;
  }

  /** Tells whether the label starts at its left edge instead of standing on its middle. */
  public boolean labelBeside() {
    return glyph.at() == Glyph.LabelAt.RIGHT;
  }

  /** Returns where the label's lines are written: x, then the baseline of each (px). */
  public double[] labelAt() {
    int lines = glyph.label().size();
    double[] at = new double[lines + 1];
    Box box = labelBox();
    double top =
        switch (glyph.at()) {
          case INSIDE -> centreY() - lines * Glyph.LINE_HEIGHT / 2.0;
          case BELOW -> box.y() * Grid.CELL + 4.0;
          case ABOVE -> box.bottom() * (double) Grid.CELL - lines * Glyph.LINE_HEIGHT - 3;
          case RIGHT -> centreY() - lines * Glyph.LINE_HEIGHT / 2.0;
        };
    at[0] = labelBeside() ? box.x() * (double) Grid.CELL - 2 : centreX();
    for (int i = 0; i < lines; i++) {
      at[i + 1] = top + 10.5 + i * Glyph.LINE_HEIGHT;
    }
    return at;
  }
}
