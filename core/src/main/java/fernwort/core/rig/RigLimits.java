package fernwort.core.rig;

import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Valve;
import fernwort.core.kind.tank.Shape;
import java.util.ArrayList;
import java.util.List;

/**
 * What is asked of a description when it is taken in or changed, beyond being a sound rig: bounds
 * on how much there is of anything, and slips that no computation survives. A rig that was kept
 * before a bound came is read all the same.
 */
public final class RigLimits {

  private static final int MOST_LINES = 800;
  private static final int MOST_POINTS = 60;
  private static final int MOST_POINTS_IN_ALL = 4000;
  private static final int MOST_CORNERS = 60;
  private static final int MOST_BLOCKS = 16;
  private static final int MOST_ROWS = 200;
  private static final int MOST_TANK_PORTS = 24;
  private static final int MOST_STOPS = 12;
  private static final int MOST_AXLES = 8;
  private static final int LONGEST_NOTE = 4000;

  /** Axles nearer to each other than this carry as one, and the sum has no answer (m). */
  private static final double NEAREST_AXLES = 0.01;

  /** A section of less than this holds nothing (m²). */
  private static final double LEAST_SECTION = 1e-4;

  private final List<Problem> problems = new ArrayList<>();

  private RigLimits() {}

  /** Returns everything that is too much or a slip; empty when the rig may be taken in. */
  public static List<Problem> problems(Rig rig) {
    RigLimits limits = new RigLimits();
    limits.words(rig);
    limits.axles(rig.vehicle());
    rig.parts().forEach(limits::part);
    limits.most(Says.THE_RIG.text(), "lines", rig.lines().size(), MOST_LINES);
    int points = 0;
    for (Line line : rig.lines()) {
      limits.most("line " + line.id(), "points", line.profile().size(), MOST_POINTS);
      points += line.profile().size();
    }
    limits.most(Says.THE_RIG.text(), Says.POINTS_OF_LINES.text(), points, MOST_POINTS_IN_ALL);
    return List.copyOf(limits.problems);
  }

  private void words(Rig rig) {
    plain(Says.THE_RIG.text(), "name", rig.name());
    plain(Says.THE_RIG.text(), "note", rig.note().replaceAll("[\\n\\r\\t]", " "));
    if (rig.note().length() > LONGEST_NOTE) {
      add(
          Says.THE_RIG.text(),
          Says.ITS_NOTE_IS_LONGER_THAN_LETTERS.filled(LONGEST_NOTE),
          Says.SHORTEN_IT.text());
    }
    for (Place place : rig.places()) {
      plain("place " + place.id(), "label", place.label());
      plain("place " + place.id(), Says.WAY_TO_REACH_IT.text(), place.reach());
    }
    rig.parts().forEach(part -> plain("part " + part.id(), "label", part.label()));
    rig.lines().forEach(line -> plain("line " + line.id(), "label", line.label()));
    rig.vehicle().axles().forEach(axle -> plain(Says.AN_AXLE.text(), "label", axle.label()));
  }

  private void plain(String where, String what, String text) {
    boolean odd =
        text.codePoints()
            .anyMatch(c ->
                Character.isISOControl(c) && c != '\n'
                    || Character.getType(c) == Character.SURROGATE
                    || c == 0xFFFE
                    || c == 0xFFFF);
    if (odd) {
      add(where, Says.ITS_HAS_A_SIGN_THAT_CANNOT.filled(what), Says.TYPE_IT_ANEW.text());
    }
  }

  private void axles(Vehicle vehicle) {
    List<Axle> axles = vehicle.axles();
    most(Says.THE_VEHICLE.text(), "axles", axles.size(), MOST_AXLES);
    for (int i = 0; i < axles.size(); i++) {
      for (int j = 0; j < i; j++) {
        if (Math.abs(axles.get(i).x() - axles.get(j).x()) < NEAREST_AXLES) {
          add(
              "axle " + axles.get(i).label(),
              Says.IT_STANDS_WHERE_AXLE_STANDS.filled(axles.get(j).label()),
              Says.MEASURE_BOTH_FROM_THE_REAR_AXLE.text());
        }
      }
    }
  }

  private void part(Part part) {
    String where = "part " + part.id();
    if (part.kind() instanceof Valve valve) {
      most(where, "positions", valve.stops().size(), MOST_STOPS);
      valve.stops().forEach(stop -> plain(where, Says.WORDS_OF_A_POSITION.text(), stop.words()));
    }
    if (part.kind() instanceof Tank tank) {
      most(where, "openings", tank.tankPorts().size(), MOST_TANK_PORTS);
      shape(where, tank.shape());
    }
  }

  private void shape(String where, Shape shape) {
    switch (shape) {
      case Shape.Prism prism -> {
        most(where, "corners", prism.section().size(), MOST_CORNERS);
        if (area(prism.section()) < LEAST_SECTION) {
          add(where, Says.ITS_SECTION_IS_FLAT.text(), Says.LIST_ITS_CORNERS_IN_ORDER_ONCE.text());
        }
      }
      case Shape.Straddling straddling ->
          most(where, "blocks", straddling.blocks().size(), MOST_BLOCKS);
      case Shape.DepthTable table -> most(where, "rows", table.rows().size(), MOST_ROWS);
      case Shape.Box box -> {}
      case Shape.UprightCylinder cylinder -> {}
      case Shape.LyingCylinder cylinder -> {}
    }
  }

  /** The area of a polygon by its corners (m²). */
  private static double area(List<Shape.Corner> corners) {
    double twice = 0;
    for (int i = 0; i < corners.size(); i++) {
      Shape.Corner a = corners.get(i);
      Shape.Corner b = corners.get((i + 1) % corners.size());
      twice += a.x() * b.z() - b.x() * a.z();
    }
    return Math.abs(twice) / 2;
  }

  private void most(String where, String what, int count, int most) {
    if (count > most) {
      add(where, Says.IT_HAS.filled(count, what), Says.KEEP_TO.filled(most));
    }
  }

  private void add(String where, String fault, String fix) {
    problems.add(new Problem(where, fault, fix));
  }
}
