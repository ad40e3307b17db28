package fernwort.core.rig;

import fernwort.core.kind.Connection;
import fernwort.core.kind.Purpose;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/** What makes a description of joints and supports a sound one. */
final class BuiltRules {

  private static final Pattern SIZE = Pattern.compile("[0-9M][0-9xX./ -]{0,11}");
  private static final double WIDEST = 0.5;
  private static final double STRONGEST = 1e6;
  private static final int MOST_FASTENERS = 100;
  private static final double LONGEST = 20;

  private final List<Problem> problems = new ArrayList<>();

  private BuiltRules() {}

  static List<Problem> problems(List<Part> parts, Built built) {
    BuiltRules rules = new BuiltRules();
    Map<String, Part> byId = new HashMap<>();
    parts.forEach(p -> byId.put(p.id(), p));
    Set<PortRef> seen = new HashSet<>();
    for (Joint joint : built.joints()) {
      rules.joint(joint, byId, seen);
    }
    for (TankSupport support : built.supports()) {
      rules.support(support, byId);
    }
    return rules.problems;
  }

  private void joint(Joint joint, Map<String, Part> parts, Set<PortRef> seen) {
    String where = "joint " + joint.at().part() + "." + joint.at().port();
    Part part = parts.get(joint.at().part());
    if (part == null || !part.kind().ports().contains(joint.at().port())) {
      add(where, "there is no such port", "Name a part of the rig and one of its ports");
    }
    if (!seen.add(joint.at())) {
      add(where, "it is described twice", "Leave one of the two out");
    }
    joint.port().ifPresent(c -> form(where, c.form()));
    joint.line().ifPresent(c -> form(where, c.form()));
  }

  private void form(String where, Connection.Form form) {
    switch (form) {
      case Connection.Thread t -> size(where, t.size());
      case Connection.Bulkhead b -> size(where, b.size());
      case Connection.HoseTail t -> width(where, t.bore());
      case Connection.HoseEnd h -> width(where, h.bore());
      case Connection.TubeSocket s -> width(where, s.outside());
      case Connection.TubeEnd e -> width(where, e.outside());
      case Connection.Socket s -> width(where, s.nominal());
      case Connection.Spigot s -> width(where, s.nominal());
      case Connection.Grommet g -> width(where, g.outside());
      case Connection.Open _ -> {}
    }
  }

  private void size(String where, String size) {
    if (!SIZE.matcher(size).matches()) {
      add(where, "“" + size + "” is not a size of a thread", "Give one such as 1/2 or M22x1.5");
    }
  }

  private void width(String where, double width) {
    if (!(width > 0 && width <= WIDEST)) {
      add(where, "its size is not above 0 and up to half a metre", "Give its diameter in metres");
    }
  }

  private void support(TankSupport support, Map<String, Part> parts) {
    String where = "a support of " + support.tank();
    Part part = parts.get(support.tank());
    if (part == null || !part.kind().is(Purpose.HOLDS)) {
      add(where, "there is no such tank", "Name a tank of the rig");
    }
    within(where, "along", support.along(), -LONGEST, LONGEST);
    within(where, "width", support.width(), 0.001, LONGEST);
    within(where, "fasteners", support.fasteners(), 0, MOST_FASTENERS);
    within(where, "pull", support.pull(), 0, STRONGEST);
    within(where, "shear", support.shear(), 0, STRONGEST);
  }

  private void within(String where, String what, double value, double low, double high) {
    if (!(value >= low && value <= high)) {
      add(
          where,
          "its %s is not from %s to %s".formatted(what, low, high),
          "Check the number and its unit");
    }
  }

  private void add(String where, String what, String mend) {
    problems.add(new Problem(where, what, mend));
  }
}
