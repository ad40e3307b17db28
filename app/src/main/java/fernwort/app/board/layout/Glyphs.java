package fernwort.app.board.layout;

import fernwort.app.board.layout.Glyph.LabelAt;
import fernwort.app.board.layout.Pin.Side;
import fernwort.core.id.PortId;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** The glyph of every kind of part. */
final class Glyphs {

  private static final List<String> NO_LABEL = List.of();
  private static final int TANK_HALF_WIDTH = 8;
  private static final int TANK_HALF_HEIGHT = 5;

  private Glyphs() {}

  static Glyph of(Part part) {
    List<String> label = Lettering.lines(part.label());
    List<PortId> ports = part.kind().ports();
    if (part.kind() instanceof Tank tank) {
      return tank(tank, label);
    }
    if (part.kind() instanceof TwoWayValve valve) {
      return twoWay(valve, label);
    }
    if (part.kind() instanceof ThreeWayValve valve) {
      return threeWay(valve, label);
    }
    return switch (part.kind().figure()) {
      case "tap", "shower", "toilet" -> fixture(ports, label);
      case "manifold" -> manifold(part, ports);
      case "tee", "check", "strainer" -> round(1, 1, NO_LABEL, LabelAt.BELOW, ports, Side.values());
      case "trap" -> round(2, 1, NO_LABEL, LabelAt.BELOW, ports, Side.values());
      case "tray", "switch" -> round(2, 1, label, LabelAt.RIGHT, ports, Side.values());
      case "heater" -> round(4, 3, label, LabelAt.INSIDE, ports, Side.values());
      case "end", "dump", "cap" -> round(1, 1, label, LabelAt.RIGHT, ports, Side.UP, Side.LEFT);
      case "air" -> round(1, 1, label, LabelAt.RIGHT, ports, Side.DOWN, Side.LEFT);
      default -> below(2, 2, label, ports);
    };
  }

  /** A tag at the edge of a phone's drawing that names where a line goes on. */
  static Glyph exit(String label) {
    int half = (Grid.cells(Lettering.width(label) + 14) + 1) / 2;
    return round(
        half, 1, List.of(label), LabelAt.INSIDE, List.of(PortId.of("exit")), Side.UP, Side.DOWN);
  }

  private static Glyph below(
      int halfWidth, int halfHeight, List<String> label, List<PortId> ports) {
    return round(
        halfWidth, halfHeight, label, LabelAt.BELOW, ports, Side.LEFT, Side.RIGHT, Side.UP);
  }

  private static Glyph round(
      int halfWidth,
      int halfHeight,
      List<String> label,
      LabelAt at,
      List<PortId> ports,
      Side... sides) {
    List<Pin> pins = new ArrayList<>();
    for (Side side : sides) {
      pins.add(Pin.of(side, halfWidth, halfHeight, ports));
    }
    return new Glyph(halfWidth, halfHeight, label, at, pins);
  }

  /** The lever lies along the pipe when open, so the pipe is drawn along the open lever. */
  private static Glyph twoWay(TwoWayValve valve, List<String> label) {
    double open =
        valve.stops().stream()
            .filter(s -> !s.joins().isEmpty())
            .findFirst()
            .map(Stop::angle)
            .orElse(0.0);
    boolean upright = side(open).dx == 0;
    return round(
        2,
        2,
        label,
        upright ? LabelAt.RIGHT : LabelAt.BELOW,
        valve.ports(),
        upright ? Side.UP : Side.LEFT,
        upright ? Side.DOWN : Side.RIGHT);
  }

  /** Where the lever points to a port, the port is drawn; the port common to all takes the rest. */
  private static Glyph threeWay(ThreeWayValve valve, List<String> label) {
    Set<Side> taken = new HashSet<>();
    List<Pin> pins = new ArrayList<>();
    for (Stop stop : valve.stops()) {
      for (List<PortId> group : stop.joins()) {
        Side side = side(stop.angle());
        String pointed = group.getLast().value();
        boolean known = pins.stream().anyMatch(p -> p.ports().contains(PortId.of(pointed)));
        if (group.size() == 2 && !known && taken.add(side)) {
          pins.add(Pin.of(side, 2, 2, List.of(PortId.of(pointed))));
        }
      }
    }
    List<PortId> rest =
        valve.ports().stream()
            .filter(p -> pins.stream().noneMatch(pin -> pin.ports().contains(p)))
            .toList();
    Side labelled = taken.contains(Side.DOWN) ? Side.RIGHT : Side.DOWN;
    labelled = taken.contains(labelled) ? Side.UP : labelled;
    for (Side side : Side.values()) {
      if (!taken.contains(side) && side != labelled) {
        pins.add(Pin.of(side, 2, 2, rest));
      }
    }
    LabelAt at =
        switch (labelled) {
          case RIGHT -> LabelAt.RIGHT;
          case UP -> LabelAt.ABOVE;
          case DOWN, LEFT -> LabelAt.BELOW;
        };
    return new Glyph(2, 2, label, at, pins);
  }

  static Side side(double angle) {
    int quarter = Math.floorMod(Math.round(angle / 90), 4);
    return switch (quarter) {
      case 0 -> Side.RIGHT;
      case 1 -> Side.UP;
      case 2 -> Side.LEFT;
      default -> Side.DOWN;
    };
  }

  private static Glyph fixture(List<PortId> ports, List<String> label) {
    List<PortId> supply = ports.stream().filter(p -> !p.equals(PortId.WASTE)).toList();
    List<Pin> pins =
        List.of(
            Pin.of(Side.LEFT, 2, 2, supply),
            Pin.of(Side.RIGHT, 2, 2, supply),
            Pin.of(Side.DOWN, 2, 2, List.of(PortId.WASTE)));
    return new Glyph(2, 2, label, LabelAt.ABOVE, pins);
  }

  private static Glyph manifold(Part part, List<PortId> ports) {
    int half = Math.max(ports.size() - 1, (Grid.cells(Lettering.width(part.label()) + 8) + 1) / 2);
    List<Pin> pins = new ArrayList<>();
    for (int dx = -half + 1; dx <= half - 1; dx += 2) {
      pins.add(new Pin(dx, -1, Side.UP, ports));
      pins.add(new Pin(dx, 1, Side.DOWN, ports));
    }
    pins.add(Pin.of(Side.LEFT, half, 1, ports));
    pins.add(Pin.of(Side.RIGHT, half, 1, ports));
    return new Glyph(half, 1, List.of(part.label()), LabelAt.INSIDE, pins);
  }

  /**
   * A tank's ports are drawn where they are: high ones on top, low ones below, along its length.
   */
  private static Glyph tank(Tank tank, List<String> label) {
    double height = TankRoom.of(tank).highest(Slope.LEVEL);
    double length = tank.tankPorts().stream().mapToDouble(p -> p.at().x()).max().orElse(1);
    Set<Integer> above = new HashSet<>();
    Set<Integer> beneath = new HashSet<>();
    List<Pin> pins = new ArrayList<>();
    for (TankPort port : tank.tankPorts()) {
      boolean high = port.at().z() > height / 2;
      double share = length <= 0 ? 0.5 : Math.clamp(port.at().x() / Math.max(length, 0.2), 0, 1);
      int wanted = (int) Math.round((2 * share - 1) * (TANK_HALF_WIDTH - 1));
      int dx = free(high ? above : beneath, wanted);
      int dy = high ? -TANK_HALF_HEIGHT : TANK_HALF_HEIGHT;
      pins.add(new Pin(dx, dy, high ? Side.UP : Side.DOWN, List.of(port.id())));
    }
    return new Glyph(TANK_HALF_WIDTH, TANK_HALF_HEIGHT, label, LabelAt.INSIDE, pins);
  }

  /** The spot nearest to the wanted one that keeps two cells from those already taken. */
  private static int free(Set<Integer> taken, int wanted) {
    for (int off = 0; off < 2 * TANK_HALF_WIDTH; off++) {
      for (int dx : new int[] {wanted - off, wanted + off}) {
        if (Math.abs(dx) < TANK_HALF_WIDTH && taken.stream().noneMatch(t -> Math.abs(t - dx) < 2)) {
          taken.add(dx);
          return dx;
        }
      }
    }
    return wanted;
  }
}
