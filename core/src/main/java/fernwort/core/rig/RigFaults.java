package fernwort.core.rig;

import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.Span;
import fernwort.core.say.Quantity;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** Every fault that is found in a description, and the questions that most of them come from. */
final class RigFaults {

  private static final Pattern ID = Pattern.compile("[a-z0-9][a-z0-9-]{0,63}");

  /** No vehicle with water on board is longer than this (m); a slipped decimal point is. */
  static final double LONGEST = 100;

  private static final double HIGHEST_PRESSURE = 2e6;

  private final List<Problem> problems = new ArrayList<>();

  /** Returns what was found so far. */
  List<Problem> problems() {
    return problems;
  }

  void name(String where, String id, String label) {
    if (!ID.matcher(id).matches()) {
      add(where, Says.THE_ID_IS_NOT_USABLE.filled(brief(id)), Says.USE_A_Z_0_9_AND_HYPHENS.text());
    }
    if (label.isBlank() || label.length() > 60) {
      add(where, Says.ITS_LABEL_OR_WORDS_ARE_EMPTY.text(), Says.NAME_IT_IN_FEW_WORDS.text());
    }
  }

  private static String brief(String text) {
    return text.length() > 20 ? text.substring(0, 20) + "…" : text;
  }

  void pressure(String where, String what, double value) {
    size(where, what, value, 0, HIGHEST_PRESSURE);
  }

  void flow(String where, String what, double value) {
    size(where, what, value, 1e-7, 0.1);
  }

  boolean size(String where, String what, double value, double lowest, double highest) {
    return size(where, what, unit(what), value, new Span(lowest, highest));
  }

  /** Finds fault with what was entered of a part where it is not possible. */
  void property(String where, Asked asked, double value) {
    size(
        where,
        asked.called(),
        asked.quantity().map(RigFaults::unit).orElse(asked.unit()),
        value,
        asked.possible());
  }

  private boolean size(String where, String what, String unit, double value, Span possible) {
    if (value >= possible.low() && value <= possible.high()) {
      return true;
    }
    add(
        where,
        Says.ITS_OF_IS_NOT_POSSIBLE.filled(what, with(unit, value)),
        Says.GIVE_A_NUMBER_FROM_TO.filled(trim(possible.low()), with(unit, possible.high())));
    return false;
  }

  private static String with(String unit, double value) {
    return trim(value) + (unit.isEmpty() ? "" : " " + unit);
  }

  /** The unit of a quantity, as the file has it. */
  private static String unit(Quantity quantity) {
    return switch (quantity) {
      case LENGTH, LIFT -> "m";
      case VOLUME -> "m³";
      case FLOW -> "m³/s";
      case PRESSURE -> "Pa";
      case MASS -> "kg";
      case TEMPERATURE -> "K";
      case TIME -> "s";
      case SHARE -> "";
    };
  }

  /** The unit of a figure by its name, as the file has it. */
  private static String unit(String what) {
    return switch (what) {
      case "limit", "empty load", "lowest", "highest" -> "kg";
      case "volume", "capacity", "litres until its loss doubles" -> "m³";
      case "travel time" -> "s";
      case "power" -> "W";
      case "thermostat" -> "K";
      case "angle" -> "°";
      case "minor loss", "outlets", "gauge steps" -> "";
      default ->
          what.contains("pressure") || what.endsWith("loss") || what.equals("precharge")
              ? "Pa"
              : what.contains("flow") ? "m³/s" : "m";
    };
  }

  private static String trim(double value) {
    return value == Math.rint(value) && Math.abs(value) < 1e9
        ? Long.toString((long) value)
        : Double.toString(value);
  }

  void add(String where, String fault, String fix) {
    problems.add(new Problem(where, fault, fix));
  }
}
