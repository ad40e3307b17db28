package fernwort.core.rig;

import fernwort.core.id.PortId;
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
    faults.pressure(where, Says.HIGHEST_PRESSURE.text(), tank.highestPressure());
    faults.size(where, Says.LOWEST_PRESSURE.text(), tank.lowestPressure(), -101_325, 0);
    faults.size(where, Says.GAUGE_STEPS.text(), tank.gauge().steps(), 0, 100);
    faults.size(
        where, Says.GAUGE_X.text(), tank.gauge().x(), -RigFaults.LONGEST, RigFaults.LONGEST);
    faults.size(
        where, Says.GAUGE_Y.text(), tank.gauge().y(), -RigFaults.LONGEST, RigFaults.LONGEST);
    probes(where, tank);
    if (tank.gauge().showsSteps() && tank.gauge().steps() < 2) {
      faults.add(where, Says.ITS_SENDER_SHOWS_FEWER.text(), Says.GIVE_THE_NUMBER_OF_STEPS.text());
    }
    int before = faults.problems().size();
    Optional<Room> room = shape(where, tank);
    if (faults.problems().size() > before || room.isEmpty()) {
      return;
    }
    Set<PortId> ids = new HashSet<>();
    for (TankPort port : tank.tankPorts()) {
      String which = Says.PORT.filled(where, port.id());
      if (port.id().value().isBlank() || !ids.add(port.id())) {
        faults.add(
            which, Says.THE_PORT_IS_NAMED_TWICE.text(), Says.GIVE_EACH_PORT_ITS_OWN_ID.text());
      }
      faults.size(which, "x", port.at().x(), -RigFaults.LONGEST, RigFaults.LONGEST);
      faults.size(which, "y", port.at().y(), -RigFaults.LONGEST, RigFaults.LONGEST);
      faults.size(which, "z", port.at().z(), -RigFaults.LONGEST, RigFaults.LONGEST);
      port.bore().ifPresent(bore -> faults.size(which, "bore", bore, 1e-3, 0.5));
      port.passes().ifPresent(flow -> faults.flow(which, Says.FLOATS_FLOW_AT_1_BAR.text(), flow));
      if (!room.get().holds(port.at())) {
        faults.add(
            which,
            Says.IT_LIES_OUTSIDE_ITS_TANK.text(),
            Says.MEASURE_IT_AGAIN_FROM_THE_INSIDE.text());
      }
    }
  }

  /** Lamps light one after another, within the tank. */
  private void probes(String where, Tank tank) {
    List<Double> probes = tank.gauge().heights();
    if (!probes.isEmpty() && probes.size() != tank.gauge().steps()) {
      faults.add(
          where,
          Says.IT_HAS_HEIGHTS_FOR_LAMPS.filled(probes.size(), tank.gauge().steps()),
          Says.GIVE_ONE_HEIGHT_FOR_EACH_LAMP.text());
    }
    double last = 0;
    for (double probe : probes) {
      faults.size(where, Says.HEIGHT_OF_A_LAMP.text(), probe, 0, RigFaults.LONGEST);
      if (probe < last) {
        faults.add(where, Says.ITS_LAMPS_DO_NOT_LIGHT.text(), Says.SORT_THEIR_HEIGHTS.text());
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
            where,
            Says.ITS_WALLS_LEAVE_NO_ROOM_IN_ITS.filled(names[i]),
            Says.CHECK_WALL_AND.filled(names[i]));
      }
    }
    return Optional.of(new Room(inside[0], inside[1], inside[2]));
  }

  private Optional<Room> prism(String where, double walls, Shape.Prism prism) {
    if (prism.section().size() < 3) {
      faults.add(
          where,
          Says.ITS_SECTION_HAS_FEWER_THAN_THREE.text(),
          Says.LIST_THE_CORNERS_IN_ORDER.text());
      return Optional.empty();
    }
    if (crosses(prism.section())) {
      faults.add(
          where,
          Says.THE_SIDES_OF_ITS_SECTION_CROSS.text(),
          Says.LIST_THE_CORNERS_IN_ORDER_ONCE.text());
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
      faults.add(where, Says.IT_HAS_NO_BLOCKS.text(), Says.GIVE_EACH_LOBE_AND_THE_BRIDGE.text());
      return Optional.empty();
    }
    double[] reach = new double[3];
    for (Shape.Block b : shape.blocks()) {
      room(where, walls, b.length(), b.width(), b.height());
      faults.size(where, Says.BLOCK_X.text(), b.x(), 0, 20);
      faults.size(where, Says.BLOCK_Y.text(), b.y(), 0, 20);
      faults.size(where, Says.BLOCK_Z.text(), b.z(), 0, 20);
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
          where, Says.ITS_DEPTH_TABLE_HAS_FEWER.text(), Says.ADD_THE_DEPTH_AND_LITRES.text());
      return Optional.empty();
    }
    double depth = -1;
    double volume = -1;
    for (Shape.Row row : table.rows()) {
      faults.size(where, "depth", row.depth(), 0, 20);
      faults.size(where, "volume", row.volume(), 0, 100);
      if (row.depth() <= depth || row.volume() <= volume) {
        faults.add(
            where,
            Says.ITS_DEPTH_TABLE_DOES_NOT_RISE.text(),
            Says.SORT_IT_FROM_EMPTY_TO_FULL.text());
      }
      depth = row.depth();
      volume = row.volume();
    }
    return Optional.of(new Room(table.length(), 20, depth));
  }
}
