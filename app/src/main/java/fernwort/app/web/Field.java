package fernwort.app.web;

import java.util.List;
import java.util.OptionalDouble;

/**
 * One thing that a form asks.
 *
 * @param name its name in the form
 * @param label what it asks
 * @param type how it is asked
 * @param value what it holds now
 * @param unit what stands behind it; empty for none
 * @param hint how to measure it, or where a default comes from; empty for none
 * @param options what can be chosen
 * @param table the rows and columns that it asks, for a table
 * @param exact for an amount: what is shown rounded, in SI
 */
public record Field(
    String name,
    String label,
    Type type,
    String value,
    String unit,
    String hint,
    List<Option> options,
    Table table,
    OptionalDouble exact) {

  /** The ways of asking. */
  public enum Type {
    TEXT,
    NUMBER,
    CHOICE,
    TICK,
    ROWS,
    TABLE,
    /** A spot on the plan of the vehicle. */
    SPOT,
    /** Where a handle points, chosen by its picture. */
    TURN
  }

  /** One thing to choose. */
  public record Option(String value, String label) {}

  /** Returns how many lines a field of rows shows. */
  public int rows() {
    return (int) value.lines().count() + 1;
  }

  /**
   * Several of the same, row by row.
   *
   * @param heads what stands over the columns
   * @param rows the fields of each row
   * @param grows whether a button asks for one more row
   * @param names what each row is about; empty where the rows say so themselves
   */
  public record Table(List<Head> heads, List<List<Field>> rows, boolean grows, List<String> names) {
    static final Table NONE = new Table(List.of(), List.of());

    /** Makes a table whose rows say themselves what they are about. */
    public Table(List<Head> heads, List<List<Field>> rows, boolean grows) {
      this(heads, rows, grows, List.of());
    }

    /** Makes a table that grows. */
    public Table(List<Head> heads, List<List<Field>> rows) {
      this(heads, rows, true);
    }
  }

  /**
   * What stands over a column.
   *
   * @param words what it asks
   * @param picture name of its picture; empty for none
   */
  public record Head(String words, String picture) {}

  /** Returns this field with something else in it. */
  public Field holding(String other) {
    return new Field(name, label, type, other, unit, hint, options, table, exact);
  }

  /** Returns a field for words. */
  public static Field text(String name, String label, String value, String hint) {
    return new Field(
        name, label, Type.TEXT, value, "", hint, List.of(), Table.NONE, OptionalDouble.empty());
  }

  /** Returns a field for an amount. */
  public static Field number(String name, String label, String value, String unit, String hint) {
    return new Field(
        name, label, Type.NUMBER, value, unit, hint, List.of(), Table.NONE, OptionalDouble.empty());
  }

  /** Returns a field for an amount that is shown rounded and known exactly (SI). */
  public static Field exact(
      String name, String label, String shown, double exact, String unit, String hint) {
    return new Field(
        name,
        label,
        Type.NUMBER,
        shown,
        unit,
        hint,
        List.of(),
        Table.NONE,
        OptionalDouble.of(exact));
  }

  /**
   * Returns a field for where a handle points, by its picture.
   *
   * @param options angles in degrees (0 right, 90 up), with what each looks like
   */
  public static Field turn(String name, String label, String value, List<Option> options) {
    return new Field(
        name, label, Type.TURN, value, "", "", options, Table.NONE, OptionalDouble.empty());
  }

  /** Returns a field to choose from a list. */
  public static Field choice(String name, String label, String value, List<Option> options) {
    return new Field(
        name, label, Type.CHOICE, value, "", "", options, Table.NONE, OptionalDouble.empty());
  }

  /** Returns a field that is on or off. */
  public static Field tick(String name, String label, boolean value, String hint) {
    return new Field(
        name,
        label,
        Type.TICK,
        Boolean.toString(value),
        "",
        hint,
        List.of(),
        Table.NONE,
        OptionalDouble.empty());
  }

  /** Returns a field for several lines. */
  public static Field rows(String name, String label, String value, String hint) {
    return new Field(
        name, label, Type.ROWS, value, "", hint, List.of(), Table.NONE, OptionalDouble.empty());
  }

  /** Returns a field that is tapped on the plan of the vehicle, from its rear to its nose. */
  public static Field spot(String name, String label, String value) {
    return new Field(
        name, label, Type.SPOT, value, "", "", List.of(), Table.NONE, OptionalDouble.empty());
  }

  /** Returns a field for several of the same. */
  public static Field table(String name, String label, String hint, Table table) {
    return new Field(
        name, label, Type.TABLE, "", "", hint, List.of(), table, OptionalDouble.empty());
  }
}
