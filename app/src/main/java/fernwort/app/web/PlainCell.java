package fernwort.app.web;

import java.util.regex.Pattern;

/**
 * Text in a cell of a table for other programs. A spreadsheet takes a cell that begins with one of
 * a few signs for a formula and works it out; an apostrophe before it says that it is text.
 */
public final class PlainCell {

  /** What would be worked out, or was marked already and must keep its own apostrophes. */
  private static final Pattern WORKED_OUT = Pattern.compile("'*[=+\\-@\\t\\r].*", Pattern.DOTALL);

  private static final Pattern MARKED = Pattern.compile("'+[=+\\-@\\t\\r].*", Pattern.DOTALL);

  /** A number is one already. */
  private static final Pattern NUMBER = Pattern.compile("[+\\-]?\\d+(\\.\\d+)?([eE][+\\-]?\\d+)?");

  private PlainCell() {}

  /** Returns a text as it goes into a cell. */
  public static String of(String text) {
    boolean workedOut = WORKED_OUT.matcher(text).matches() && !NUMBER.matcher(text).matches();
    return workedOut ? "'" + text : text;
  }

  /** Returns the text of a cell that was written so; any other is as it stands. */
  public static String read(String cell) {
    return MARKED.matcher(cell).matches() ? cell.substring(1) : cell;
  }
}
