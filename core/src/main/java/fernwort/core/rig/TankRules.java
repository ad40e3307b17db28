package fernwort.core.rig;

import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What makes a tank a sound one: its shape, and openings that lie in it. */
final class TankRules {

  private final RigFaults faults;

  TankRules(RigFaults faults) {
    this.faults = faults;
  }

  void check(String where, Tank tank) {
    faults.size(where, "wall", tank.wall(), 0, 0.1);
    faults.pressure(where, "highest pressure", tank.highestPressure());
    faults.size(where, "lowest pressure", tank.lowestPressure(), -101_325, 0);
    faults.size(where, "gauge steps", tank.gauge().steps(), 0, 100);
    faults.size(where, "gauge x", tank.gauge().x(), -RigFaults.LONGEST, RigFaults.LONGEST);
    faults.size(where, "gauge y", tank.gauge().y(), -RigFaults.LONGEST, RigFaults.LONGEST);
    probes(where, tank);
    if (tank.gauge().showsSteps() && tank.gauge().steps() < 2) {
      faults.add(
          where, "its sender shows fewer than two steps", "Give the number of steps it shows");
    }
    int before = faults.problems().size();
    Optional<Room> room = shape(where, tank);
    if (faults.problems().size() > before || room.isEmpty()) {
      return;
    }
    Set<String> ids = new HashSet<>();
    for (TankPort port : tank.tankPorts()) {
      String which = where + ", port " + port.id();
      if (port.id().isBlank() || !ids.add(port.id())) {
        faults.add(which, "the port is named twice or not at all", "Give each port its own id");
      }
      faults.size(which, "x", port.at().x(), -RigFaults.LONGEST, RigFaults.LONGEST);
      faults.size(which, "y", port.at().y(), -RigFaults.LONGEST, RigFaults.LONGEST);
      faults.size(which, "z", port.at().z(), -RigFaults.LONGEST, RigFaults.LONGEST);
      port.bore().ifPresent(bore -> faults.size(which, "bore", bore, 1e-3, 0.5));
      port.passes().ifPresent(flow -> faults.flow(which, "float's flow at 1 bar", flow));
      if (!room.get().holds(port.at())) {
        faults.add(
            which,
            "it lies outside its tank",
            "Measure it again from the inside rear right corner");
      }
    }
  }

  /** Lamps light one after another, within the tank. */
  private void probes(String where, Tank tank) {
    List<Double> probes = tank.gauge().heights();
    if (!probes.isEmpty() && probes.size() != tank.gauge().steps()) {
      faults.add(
          where,
          "it has heights for " + probes.size() + " lamps and shows " + tank.gauge().steps(),
          "Give one height for each lamp, or none");
    }
    double last = 0;
    for (double probe : probes) {
      faults.size(where, "height of a lamp", probe, 0, RigFaults.LONGEST);
      if (probe < last) {
        faults.add(where, "its lamps do not light from the lowest up", "Sort their heights");
      }
      last = probe;
    }
  }

  /** The inside room of a tank, as a bounding box from its low corner. */
  private record Room(double length, double width, double height) {
    private static final double SLACK = 2e-3;

    boolean holds(Point p) {
      return within(p.x(), length) && within(p.y(), width) && within(p.z(), height);
    }

    private static boolean within(double value, double extent) {
      return value >= -SLACK && value <= extent + SLACK;
    }
  }

  private Optional<Room> shape(String where, Tank tank) {
    double walls = 2 * tank.wall();
    return switch (tank.shape()) {
      case Shape.Box b -> room(where, walls, b.length(), b.width(), b.height());
      case Shape.UprightCylinder c -> room(where, walls, c.diameter(), c.diameter(), c.height());
      case Shape.LyingCylinder c ->
          c.across()
              ? room(where, walls, c.diameter(), c.length(), c.diameter())
              : room(where, walls, c.length(), c.diameter(), c.diameter());
      case Shape.Prism p -> prism(where, walls, p);
      case Shape.Straddling s -> straddling(where, walls, s);
      case Shape.DepthTable t -> table(where, t);
    };
  }

  private Optional<Room> room(String where, double walls, double... outside) {
    String[] names = {"length", "width", "height"};
    double[] inside = new double[3];
    for (int i = 0; i < 3; i++) {
      if (!faults.size(where, names[i], outside[i], 1e-3, 20)) {
        continue;
      }
      inside[i] = outside[i] - walls;
      if (inside[i] <= 0) {
        faults.add(
            where, "its walls leave no room in its " + names[i], "Check wall and " + names[i]);
      }
    }
    return Optional.of(new Room(inside[0], inside[1], inside[2]));
  }

  private Optional<Room> prism(String where, double walls, Shape.Prism prism) {
    if (prism.section().size() < 3) {
      faults.add(where, "its section has fewer than three corners", "List the corners in order");
      return Optional.empty();
    }
    if (crosses(prism.section())) {
      faults.add(where, "the sides of its section cross", "List the corners in order, once round");
    }
    prism.section().forEach(c -> faults.size(where, "corner", Math.max(c.x(), c.z()), 0, 20));
    prism.section().forEach(c -> faults.size(where, "corner", Math.min(c.x(), c.z()), 0, 20));
    return room(
        where,
        walls,
        prism.section().stream().mapToDouble(Shape.Corner::x).max().orElse(0),
        prism.width(),
        prism.section().stream().mapToDouble(Shape.Corner::z).max().orElse(0));
  }

  /** Tells whether two sides of a polygon cut each other; neighbours may meet. */
  private static boolean crosses(List<Shape.Corner> section) {
    int n = section.size();
    for (int i = 0; i < n; i++) {
      for (int j = i + 2; j < n; j++) {
        boolean neighbours = i == 0 && j == n - 1;
        if (!neighbours
            && cut(section.get(i), section.get(i + 1), section.get(j), section.get((j + 1) % n))) {
          return true;
        }
      }
    }
    return false;
  }

  private static boolean cut(Shape.Corner a, Shape.Corner b, Shape.Corner c, Shape.Corner d) {
    return turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;
  }

  private static double turn(Shape.Corner a, Shape.Corner b, Shape.Corner c) {
    return Math.signum((b.x() - a.x()) * (c.z() - a.z()) - (b.z() - a.z()) * (c.x() - a.x()));
  }

  private Optional<Room> straddling(String where, double walls, Shape.Straddling shape) {
    if (shape.blocks().isEmpty()) {
      faults.add(where, "it has no blocks", "Give each lobe and the bridge as a block");
      return Optional.empty();
    }
    double[] reach = new double[3];
    for (Shape.Block b : shape.blocks()) {
      room(where, walls, b.length(), b.width(), b.height());
      faults.size(where, "block x", b.x(), 0, 20);
      faults.size(where, "block y", b.y(), 0, 20);
      faults.size(where, "block z", b.z(), 0, 20);
      reach[0] = Math.max(reach[0], b.x() + b.length());
      reach[1] = Math.max(reach[1], b.y() + b.width());
      reach[2] = Math.max(reach[2], b.z() + b.height());
    }
    return room(where, walls, reach);
  }

  private Optional<Room> table(String where, Shape.DepthTable table) {
    faults.size(where, "length", table.length(), 1e-3, 20);
    if (table.rows().size() < 2) {
      faults.add(
          where, "its depth table has fewer than two rows", "Add the depth and litres when full");
      return Optional.empty();
    }
    double depth = -1;
    double volume = -1;
    for (Shape.Row row : table.rows()) {
      faults.size(where, "depth", row.depth(), 0, 20);
      faults.size(where, "volume", row.volume(), 0, 100);
      if (row.depth() <= depth || row.volume() <= volume) {
        faults.add(
            where, "its depth table does not rise from row to row", "Sort it from empty to full");
      }
      depth = row.depth();
      volume = row.volume();
    }
    return Optional.of(new Room(table.length(), 20, depth));
  }
}
