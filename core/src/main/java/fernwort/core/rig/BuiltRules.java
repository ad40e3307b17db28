package fernwort.core.rig;

import fernwort.core.id.PartId;
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
    Map<PartId, Part> byId = new HashMap<>();
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

  private void joint(Joint joint, Map<PartId, Part> parts, Set<PortRef> seen) {
    String where = Says.JOINT.filled(joint.at().part(), joint.at().port());
    Part part = parts.get(joint.at().part());
    if (part == null || !part.kind().ports().contains(joint.at().port())) {
      add(where, Says.THERE_IS_NO_SUCH_PORT.text(), Says.NAME_A_PART_OF_THE_RIG.text());
    }
    if (!seen.add(joint.at())) {
      add(where, Says.IT_IS_DESCRIBED_TWICE.text(), Says.LEAVE_ONE_OF_THE_TWO_OUT.text());
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
      add(where, Says.IS_NOT_A_SIZE_OF_A_THREAD.filled(size), Says.GIVE_ONE_SUCH_AS_1_2.text());
    }
  }

  private void width(String where, double width) {
    if (!(width > 0 && width <= WIDEST)) {
      add(where, Says.ITS_SIZE_IS_NOT_ABOVE_0.text(), Says.GIVE_ITS_DIAMETER_IN_METRES.text());
    }
  }

  private void support(TankSupport support, Map<PartId, Part> parts) {
    String where = Says.A_SUPPORT_OF.filled(support.tank());
    Part part = parts.get(support.tank());
    if (part == null || !part.kind().is(Purpose.HOLDS)) {
      add(where, Says.THERE_IS_NO_SUCH_TANK.text(), Says.NAME_A_TANK_OF_THE_RIG.text());
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
          Says.ITS_IS_NOT_FROM_TO.filled(what, low, high),
          Says.CHECK_THE_NUMBER_AND_ITS_UNIT.text());
    }
  }

  private void add(String where, String what, String fix) {
    problems.add(new Problem(where, what, fix));
  }
}
