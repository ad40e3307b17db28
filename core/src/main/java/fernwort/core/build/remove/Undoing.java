package fernwort.core.build.remove;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.tank.Point;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;

/** Rigs some of whose joints stand apart: each half open to the air where it was, or capped. */
public final class Undoing {

  /** What sticks out of a port that is undone (m). */
  private static final double STUB = 0.005;

  private Undoing() {}

  /**
   * Returns the joints to undo so that parts come out: their ports with lines, in the order of the
   * lines. A line between two of them at one place comes out with them; a tank comes out alone, for
   * it has to be emptied.
   */
  public static List<PortRef> joints(Rig rig, Collection<PartId> parts) {
    List<PortRef> joints = new ArrayList<>();
    for (Line line : rig.lines()) {
      if (!staysWhole(rig, line, parts)) {
        for (PortRef end : List.of(line.from(), line.to())) {
          if (parts.contains(end.part())) {
            joints.add(end);
          }
        }
      }
    }
    return joints;
  }

  private static boolean staysWhole(Rig rig, Line line, Collection<PartId> parts) {
    Part from = rig.part(line.from().part());
    Part to = rig.part(line.to().part());
    return !from.equals(to)
        && parts.contains(from.id())
        && parts.contains(to.id())
        && from.place().equals(to.place())
        && !from.kind().is(Purpose.HOLDS)
        && !to.kind().is(Purpose.HOLDS);
  }

  /** Returns a rig with joints apart: both halves of each open to the air where they were. */
  static Rig open(Rig rig, Collection<PortRef> joints) {
    List<Part> parts = new ArrayList<>(rig.parts());
    List<Line> lines = new ArrayList<>();
    for (Line line : rig.lines()) {
      lines.add(
          moved(
              line,
              end(rig, line, line.from(), joints, parts, lines),
              end(rig, line, line.to(), joints, parts, lines)));
    }
    return new Rig(rig.name(), rig.note(), rig.vehicle(), rig.places(), parts, lines);
  }

  private static PortRef end(
      Rig rig,
      Line line,
      PortRef at,
      Collection<PortRef> joints,
      List<Part> parts,
      List<Line> lines) {
    if (!joints.contains(at)) {
      return at;
    }
    Part lineEnd = openEnd(rig, at, parts);
    Part portEnd = openEnd(rig, at, parts);
    lines.add(
        new Line(
            LineId.of(portEnd.id() + "-stub"),
            "Stub",
            at,
            portEnd.port(PortId.IN),
            line.bore(),
            STUB,
            line.material(),
            0,
            List.of()));
    return lineEnd.port(PortId.IN);
  }

  private static Part openEnd(Rig rig, PortRef at, List<Part> parts) {
    Part part = rig.part(at.part());
    Point point = part.at(at.port());
    Part end =
        new Part(
            PartId.of("undone-" + parts.size()),
            Says.UNDONE_END.text(),
            part.place(),
            point.x(),
            point.y(),
            point.z(),
            0,
            new OpenEnd(OpenEnd.Role.DRAIN));
    parts.add(end);
    return end;
  }

  /** Returns a rig without some parts, the ends of the lines that led to them capped. */
  static Rig without(Rig rig, Collection<PartId> out) {
    List<Part> parts = new ArrayList<>();
    rig.parts().stream().filter(p -> !out.contains(p.id())).forEach(parts::add);
    List<Line> lines = new ArrayList<>();
    for (Line line : rig.lines()) {
      boolean both = out.contains(line.from().part()) && out.contains(line.to().part());
      if (!both) {
        lines.add(
            moved(line, capped(rig, line.from(), out, parts), capped(rig, line.to(), out, parts)));
      }
    }
    return new Rig(rig.name(), rig.note(), rig.vehicle(), rig.places(), parts, lines);
  }

  private static PortRef capped(Rig rig, PortRef at, Collection<PartId> out, List<Part> parts) {
    if (!out.contains(at.part())) {
      return at;
    }
    Part part = rig.part(at.part());
    Point point = part.at(at.port());
    Part cap =
        new Part(
            PartId.of("cap-" + parts.size()),
            "Cap",
            part.place(),
            point.x(),
            point.y(),
            point.z(),
            0,
            new Plug(true));
    parts.add(cap);
    return cap.port(cap.kind().ports().getFirst());
  }

  private static Line moved(Line line, PortRef from, PortRef to) {
    return new Line(
        line.id(),
        line.label(),
        from,
        to,
        line.bore(),
        line.length(),
        line.material(),
        line.minorLoss(),
        line.profile(),
        line.insulation());
  }
}
