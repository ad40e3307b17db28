package fernwort.core.winter;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.kind.tank.Point;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.DoubleStream;

/**
 * Draining by brute force: every simple way between every two openings, and along it every point of
 * the lines, cut into small cells.
 */
final class EveryWay {

  static final int CELLS = 80;
  private static final double SAME = 1e-7;

  private final Rig rig;
  private final Slope slope;

  /** How many cells lower than it is cut here a column may end: none, or one. */
  private final int slack;

  private final Map<PartId, Part> parts;
  private final Map<PortRef, Line> lines;
  private final Map<LineId, boolean[]> wet = new HashMap<>();
  private final Map<PartId, Boolean> tees = new HashMap<>();
  private Setting setting;

  private Map<LineId, boolean[]> next = new HashMap<>();
  private Map<PartId, Boolean> nextTees = new HashMap<>();

  /**
   * Begins with everything wet.
   *
   * @param slack 1 to let in air that comes as high as the cell in which a column ends, 0 not to:
   *     where in the cell it ends is not known here, and what is true lies between the two
   */
  EveryWay(Rig rig, Slope slope, int slack) {
    this.slack = slack;
    this.rig = rig;
    this.slope = slope;
    parts = rig.partsById();
    lines = rig.linesByPort();
    setting = rig.atRest();
    for (Line line : rig.lines()) {
      boolean[] all = new boolean[CELLS];
      Arrays.fill(all, true);
      wet.put(line.id(), all);
    }
    rig.parts().stream().filter(p -> p.kind() instanceof Tee).forEach(p -> tees.put(p.id(), true));
  }

  void step(Turn turn) {
    setting = setting.with(turn.part(), turn.position());
    boolean ran = true;
    while (ran) {
      next = new HashMap<>();
      wet.forEach((id, cells) -> next.put(id, cells.clone()));
      nextTees = new HashMap<>(tees);
      for (Part part : rig.parts()) {
        if (isOpen(part)) {
          walk(part, part, new ArrayList<>(), new HashSet<>(Set.of(part.id())));
          back(part, part, PortId.NONE, List.of(), new HashSet<>(Set.of(part.id())));
        }
      }
      ran = false;
      for (LineId id : wet.keySet()) {
        ran |= !Arrays.equals(wet.get(id), next.get(id));
      }
      ran |= !tees.equals(nextTees);
      wet.putAll(next);
      tees.putAll(nextTees);
    }
  }

  /** Returns the water in a line (m³). */
  double volume(Line line) {
    int cells = 0;
    for (boolean one : wet.get(line.id())) {
      cells += one ? 1 : 0;
    }
    return line.volume() * cells / CELLS;
  }

  boolean isWet(Part tee) {
    return tees.get(tee.id());
  }

  /** A line walked from its first end to its second, or back, with what it came through. */
  private record Leg(Line line, boolean back, Part into) {}

  private boolean isOpen(Part part) {
    return switch (part.kind()) {
      case Plug k -> setting.of(part.id()).equals(PositionId.of("off"));
      case HoseInlet k -> setting.of(part.id()).equals(PositionId.of("open"));
      case Fixture k -> !setting.of(part.id()).equals(PositionId.of("shut"));
      default -> false;
    };
  }

  private boolean opens(Part part, PortId port) {
    return part.kind() instanceof Fixture f
        ? port.equals(PortId.HOT)
            ? f.opensHot(setting.of(part.id()))
            : f.opensCold(setting.of(part.id()))
        : isOpen(part);
  }

  /** Goes on from a part, along every line that it lets out by. */
  private void walk(Part start, Part at, List<Leg> legs, Set<PartId> seen) {
    PortId came = legs.isEmpty() ? PortId.NONE : port(legs.getLast(), at);
    if (!legs.isEmpty() && isOpen(at) && opens(at, came)) {
      judge(legs, start, at);
    }
    for (PortId port : at.kind().ports()) {
      if (passes(at, came, port) && lines.containsKey(at.port(port))) {
        Line line = lines.get(at.port(port));
        PortRef far = line.other(at.port(port));
        Part other = parts.get(far.part());
        if (seen.add(other.id())) {
          legs.add(new Leg(line, line.to().equals(at.port(port)), other));
          walk(start, other, legs, seen);
          legs.removeLast();
          seen.remove(other.id());
        }
      }
    }
  }

  /** Goes back from an outlet, along every line that leads to it, for what needs no air. */
  private void back(Part outlet, Part at, PortId left, List<Spot> way, Set<PartId> seen) {
    for (PortId port : at.kind().ports()) {
      boolean leads = left.isEmpty() ? opens(at, port) : passes(at, port, left);
      if (leads && lines.containsKey(at.port(port))) {
        Line line = lines.get(at.port(port));
        PortRef far = line.other(at.port(port));
        Part other = parts.get(far.part());
        List<Spot> longer = new ArrayList<>(cells(line, line.from().equals(at.port(port))));
        if (!left.isEmpty()) {
          longer.add(spot(at));
        }
        longer.addAll(way);
        for (int x = 0; x < longer.size(); x++) {
          if (leavesWide(longer, x, height(outlet))) {
            longer.get(x).dries().run();
          }
        }
        if (seen.add(other.id())) {
          back(outlet, other, far.port(), longer, seen);
          seen.remove(other.id());
        }
      }
    }
  }

  private static PortId port(Leg leg, Part at) {
    PortRef end = leg.back() ? leg.line().from() : leg.line().to();
    return end.part().equals(at.id()) ? end.port() : PortId.NONE;
  }

  private boolean passes(Part part, PortId in, PortId out) {
    if (in.isEmpty()) {
      return opens(part, out);
    }
    if (in.equals(out)) {
      return false;
    }
    return switch (part.kind()) {
      case Tee k -> true;
      case TwoWayValve k -> !setting.of(part.id()).value().matches("shut|turned");
      case CheckValve k -> in.equals(PortId.IN);
      case Fixture k -> opens(part, in) && opens(part, out);
      default -> false;
    };
  }

  private double height(Part part) {
    return slope.heightOf(new Point(part.x(), part.y(), part.height()));
  }

  /** The height of a point of a line (m), {@code along} from 0 to 1. */
  private double height(Line line, double along) {
    Part a = parts.get(line.from().part());
    Part b = parts.get(line.to().part());
    List<ProfilePoint> run = new ArrayList<>();
    run.add(new ProfilePoint(0, a.height()));
    run.addAll(line.profile());
    run.add(new ProfilePoint(line.length(), b.height()));
    double at = along * line.length();
    int i = 1;
    while (i < run.size() - 1 && run.get(i).along() < at) {
      i++;
    }
    ProfilePoint p = run.get(i - 1);
    ProfilePoint q = run.get(i);
    double z = p.height() + (at - p.along()) / (q.along() - p.along()) * (q.height() - p.height());
    return slope.heightOf(
        new Point(a.x() + along * (b.x() - a.x()), a.y() + along * (b.y() - a.y()), z));
  }

  /** One thing after another on a way: a cell of a line, or a part. */
  private record Spot(
      double height,
      double low,
      double high,
      boolean wet,
      boolean wide,
      double crack,
      Runnable dries) {}

  private void judge(List<Leg> legs, Part start, Part end) {
    List<Spot> way = new ArrayList<>();
    for (Leg leg : legs) {
      way.addAll(cells(leg.line(), leg.back()));
      if (!leg.into().equals(end)) {
        way.add(spot(leg.into()));
      }
    }
    double outlet = height(end);
    double cracks = way.stream().mapToDouble(Spot::crack).sum();
    for (int x = 0; x < way.size(); x++) {
      if (leaves(way, x, outlet, cracks)) {
        way.get(x).dries().run();
      }
    }
  }

  private List<Spot> cells(Line line, boolean back) {
    boolean[] now = wet.get(line.id());
    List<Spot> cells = new ArrayList<>();
    for (int i = 0; i < CELLS; i++) {
      int cell = back ? CELLS - 1 - i : i;
      cells.add(
          new Spot(
              height(line, (cell + 0.5) / CELLS),
              extreme(line, cell, -1),
              extreme(line, cell, 1),
              now[cell],
              line.bore() >= 0.019,
              0,
              () -> next.get(line.id())[cell] = false));
    }
    return cells;
  }

  /** The lowest (−1) or highest (1) point of a cell, be it at a bend (m). */
  private double extreme(Line line, int cell, int sign) {
    double from = 1.0 * cell / CELLS;
    double to = (cell + 1.0) / CELLS;
    DoubleStream bends =
        line.profile().stream()
            .mapToDouble(p -> p.along() / line.length())
            .filter(t -> t > from && t < to);
    return sign
        * DoubleStream.concat(DoubleStream.of(from, to), bends)
            .map(t -> sign * height(line, t))
            .max()
            .orElseThrow();
  }

  private Spot spot(Part part) {
    double crack =
        part.kind() instanceof CheckValve k ? k.crackingPressure() / (999.1 * 9.80665) : 0;
    Runnable dries = part.kind() instanceof Tee ? () -> nextTees.put(part.id(), false) : () -> {};
    return new Spot(height(part), height(part), height(part), false, true, crack, dries);
  }

  private boolean leaves(List<Spot> way, int x, double outlet, double cracks) {
    double height = way.get(x).height();
    double end = Double.NaN;
    for (int i = x + 1; i < way.size(); i++) {
      if (way.get(i).high() > height + SAME) {
        return false;
      }
      boolean air = way.get(i).crack() == 0 && !way.get(i).wet() && isCell(way, i);
      if (Double.isNaN(end) && air) {
        double cell = Math.abs(way.get(i).height() - way.get(i - 1).height());
        end = (way.get(i).height() + way.get(i - 1).height()) / 2 - slack * cell;
      }
    }
    if (outlet > height + SAME) {
      return false;
    }
    double lowest = (Double.isNaN(end) ? outlet : end) + cracks;
    if (cracks > 0 && height < lowest - SAME) {
      return false;
    }
    for (int i = 0; i < x; i++) {
      if (way.get(i).wet() && way.get(i).low() < lowest - SAME) {
        return false;
      }
    }
    return true;
  }

  /** A part is neither wet nor dry on the way. */
  private static boolean isCell(List<Spot> way, int i) {
    return (i % (CELLS + 1)) != CELLS;
  }

  private static boolean leavesWide(List<Spot> way, int x, double outlet) {
    double height = way.get(x).height();
    double cracks = 0;
    if (!way.get(x).wide() || outlet > height + SAME) {
      return false;
    }
    for (int i = x + 1; i < way.size(); i++) {
      if (!way.get(i).wide() || way.get(i).high() > height + SAME) {
        return false;
      }
      cracks += way.get(i).crack();
    }
    return cracks == 0 || height >= outlet + cracks;
  }
}
