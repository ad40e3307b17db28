package fernwort.core.describe;

import fernwort.core.kind.Kind;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort.Use;
import fernwort.core.rig.Axle;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Vehicle;
import java.util.List;
import java.util.Optional;

/** What the ready layouts are put together from: a usual van, usual tanks, short lines. */
final class LayoutParts {

  static final double WALL = 0.005;

  private LayoutParts() {}

  static RigBuilder van(String name) {
    return RigBuilder.named(name)
        .vehicle(
            new Vehicle(
                Vehicle.Body.VAN,
                -1.1,
                4.6,
                2.0,
                0.62,
                2.7,
                0.2,
                List.of(new Axle("rear", 0, 2100, 1250), new Axle("front", 3.6, 1850, 1350)),
                Optional.empty()));
  }

  static RigBuilder truck(String name) {
    return RigBuilder.named(name)
        .vehicle(
            new Vehicle(
                Vehicle.Body.TRUCK,
                -2.0,
                6.2,
                2.4,
                0.95,
                3.3,
                0.28,
                List.of(new Axle("rear", 0, 5200, 3300), new Axle("front", 4.4, 3200, 2300)),
                Optional.empty()));
  }

  /** A fresh tank with a fill and a vent near its top, an outlet near its floor, and a drain. */
  static Kind fresh(double length, double width, double height) {
    double x = length - 2 * WALL - 0.05;
    double y = width - 2 * WALL - 0.05;
    double top = height - 2 * WALL - 0.005;
    return Fittings.tank(
        Contents.FRESH,
        new Shape.Box(length, width, height),
        WALL,
        Fittings.sender(4, length / 2, width / 2),
        Fittings.port("fill", Use.FILL, 0.05, y, top - 0.02),
        Fittings.port("feed", Use.FEED, 0.05, 0.05, 0.02),
        Fittings.port("vent", Use.VENT, x, y, top),
        Fittings.port("drain", Use.DRAIN, x, 0.05, 0.004));
  }

  /** A gray tank with one or more inlets near its top. */
  static Kind gray(double length, double width, double height) {
    double x = length - 2 * WALL - 0.05;
    double y = width - 2 * WALL - 0.05;
    double top = height - 2 * WALL - 0.005;
    return Fittings.tank(
        Contents.GRAY,
        new Shape.Box(length, width, height),
        WALL,
        Fittings.sender(4, length / 2, width / 2),
        Fittings.port("waste", Use.FILL, 0.05, y, top - 0.02),
        Fittings.port("vent", Use.VENT, 0.05, 0.05, top),
        Fittings.port("drain", Use.DRAIN, x, width / 2, 0.005));
  }

  /** A can: an open-topped store that is carried. */
  static Kind can(Contents contents) {
    return Fittings.tank(
        contents,
        new Shape.Box(0.34, 0.18, 0.4),
        0.002,
        new Gauge(Gauge.GaugeKind.SIGHT, 0, 0, 0),
        Fittings.port("fill", Use.FILL, 0.17, 0.09, 0.39),
        Fittings.port("feed", Use.FEED, 0.05, 0.09, 0.01),
        Fittings.port("vent", Use.VENT, 0.28, 0.09, 0.392));
  }

  /** Adds a usual line; its id and tag come from its ends. */
  static RigBuilder line(RigBuilder rig, String ends, double bore, double length) {
    String[] both = ends.split(" > ");
    String id = (both[0] + "-" + both[1].split("\\.")[0]).replace('.', '-');
    String tag = words(both[0].split("\\.")[0]) + " to " + words(both[1].split("\\.")[0]);
    return rig.line(
        id, tag, ends, bore, length, Fittings.material(bore / 1000), Fittings.USUAL_LOSS);
  }

  /**
   * Adds a gray tank with its vent, dump valve and outlet.
   *
   * @param x rear edge of the tank (m)
   * @param y its right edge (m)
   * @param height its inside bottom over the ground (m)
   * @param vent height of the vent's end (m)
   * @param tank the tank
   */
  static RigBuilder grayWater(
      RigBuilder rig, double x, double y, double height, double vent, Kind tank) {
    double valve = x + 0.75;
    return rig.part("gray", "Gray", x, y, height, tank)
        .part("gray-vent", "Gray vent", x, y - 0.1, vent, Fittings.end(Role.VENT))
        .part(
            "gray-valve",
            "Gray dump",
            valve,
            y + 0.2,
            height - 0.01,
            0.08,
            Fittings.twoWay(0, "pushed in", "pulled out"))
        .part(
            "outlet", "Dump outlet", valve + 0.1, y + 0.1, height - 0.04, Fittings.end(Role.DUMP));
  }

  /** Joins the gray tank, its vent, valve and outlet. */
  static void grayLines(RigBuilder rig, double ventLength) {
    line(rig, "gray.vent > gray-vent.in", 16, ventLength);
    line(rig, "gray.drain > gray-valve.a", 38, 0.15);
    line(rig, "gray-valve.b > outlet.in", 38, 0.15);
  }

  private static String words(String id) {
    return id.replace('-', ' ');
  }
}
