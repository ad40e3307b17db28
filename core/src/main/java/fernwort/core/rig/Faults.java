package fernwort.core.rig;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** Every fault that is found in a description, and the questions that most of them come from. */
final class Faults {

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
      add(
          where,
          "the id \"" + brief(id) + "\" is not usable",
          "Use a-z, 0-9 and hyphens, up to 64");
    }
    if (label.isBlank() || label.length() > 60) {
      add(where, "its label or words are empty or longer than 60 letters", "Name it in few words");
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
    if (value >= lowest && value <= highest) {
      return true;
    }
    add(
        where,
        "its %s of %s is not possible".formatted(what, with(what, value)),
        "Give a number from %s to %s".formatted(trim(lowest), with(what, highest)));
    return false;
  }

  private static String with(String what, double value) {
    String unit = unit(what);
    return trim(value) + (unit.isEmpty() ? "" : " " + unit);
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

  void add(String where, String fault, String mend) {
    problems.add(new Problem(where, fault, mend));
  }
}
