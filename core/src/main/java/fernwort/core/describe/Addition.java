package fernwort.core.describe;

import fernwort.core.id.LineId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.kind.NewPart;
import fernwort.core.kind.PortFlow;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Point;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Something new where somebody pointed: whether it is put into a line, teed off it, hung on a port
 * or merely stood there follows from what was pointed at and from what it is.
 *
 * @param what the thing
 * @param name what it is called; empty for what such a thing is called
 * @param towards for what stands in a line: the end of the line to which water goes on
 * @param length of the line it hangs on, by tape (m); else it is worked out
 * @param height above the ground, by tape (m); else that of what it is added to
 */
public record Addition(
    NewPart what,
    String name,
    Optional<PortRef> towards,
    Optional<Double> length,
    Optional<Double> height) {

  /** Where somebody pointed. */
  public sealed interface Where {}

  /** At a line. */
  public record OnLine(LineId line) implements Where {}

  /** At a port that is free. */
  public record OnPort(PortRef port) implements Where {}

  /** Into a place. */
  public record InPlace(PlaceId place) implements Where {}

  /** What a line is longer than the way along, across and up: bends and what is left over (m). */
  public static final double SLACK = 0.15;

  /** A branch or a tail of which nobody has said how long it is (m). */
  private static final double USUAL_LENGTH = 0.5;

  private static final double FRESH_BORE = 0.013;
  private static final double WASTE_BORE = 0.04;
  private static final double OVER_A_TANK = 0.1;

  /** Returns the step that adds it. */
  public Alteration at(Rig rig, Where where) {
    if (what.kind().ports().isEmpty()) {
      return inPlace(rig, place(rig, where));
    }
    return switch (where) {
      case OnLine l -> onLine(rig, RigEdit.of(rig).line(l.line()));
      case OnPort p -> onPort(rig, p.port());
      case InPlace p -> inPlace(rig, rig.place(p.place()));
    };
  }

  /** What no line leads to stands where somebody pointed. */
  private static Place place(Rig rig, Where where) {
    return rig.place(
        switch (where) {
          case OnLine l -> rig.part(RigEdit.of(rig).line(l.line()).from().part()).place();
          case OnPort p -> rig.part(p.port().part()).place();
          case InPlace p -> p.place();
        });
  }

  private Alteration onLine(Rig rig, Line line) {
    Part beside = rig.part(line.from().part());
    double passes = RigEdit.of(rig).middle(line.id()).height();
    Part part = made(rig, beside.place(), new Point(beside.x(), beside.y(), passes));
    return what.through()
        .<Alteration>map(t -> {
          boolean back = towards.orElseGet(() -> onward(rig, line)).equals(line.from());
          return back
              ? new Alteration.PartPutIn(line.id(), part, t.out(), t.in())
              : new Alteration.PartPutIn(line.id(), part, t.in(), t.out());
        })
        .orElseGet(() ->
            new Alteration.PartTeedOff(
                line.id(), part, what.end(false, false), length.orElse(USUAL_LENGTH)));
  }

  /** Returns the end of a line to which water usually goes on. */
  public static PortRef onward(Rig rig, Line line) {
    boolean back = way(rig, line.from()) == PortFlow.IN || way(rig, line.to()) == PortFlow.OUT;
    return back ? line.from() : line.to();
  }

  private Alteration onPort(Rig rig, PortRef port) {
    Part host = rig.part(port.part());
    Point at = host.at(port.port());
    Part part = made(rig, host.place(), at);
    PortId end = what.end(way(rig, port) == PortFlow.IN, isAir(host));
    return new Alteration.PartHungOn(port, part, end, bore(rig, host), length.orElse(USUAL_LENGTH));
  }

  private Alteration inPlace(Rig rig, Place place) {
    return new Alteration.PartAdded(
        made(rig, place.id(), new Point(place.x(), place.y(), place.z())));
  }

  private Part made(Rig rig, PlaceId place, Point at) {
    String called = name.isBlank() ? what.label() : name.strip();
    return new Part(
        RigEdit.of(rig).freePart(called),
        called,
        place,
        at.x(),
        at.y(),
        height.orElse(what.kind().is(Purpose.HOLDS) ? at.z() + OVER_A_TANK : at.z()),
        what.bodyLitres() / 1000,
        what.kind());
  }

  /**
   * Returns the step that joins two free ports.
   *
   * @param length of the line, by tape (m); else worked out along, across and up
   */
  public static Alteration joined(Rig rig, PortRef from, PortRef to, Optional<Double> length) {
    Part first = rig.part(from.part());
    Part second = rig.part(to.part());
    Point a = first.at(from.port());
    Point b = second.at(to.port());
    double workedOut =
        SLACK + Math.abs(a.x() - b.x()) + Math.abs(a.y() - b.y()) + Math.abs(a.z() - b.z());
    double bore = Math.max(bore(rig, first), bore(rig, second));
    return Alteration.PortsJoined.of(rig, from, to, bore, length.orElse(workedOut));
  }

  /** The bore of the widest line at a part, or that of its openings, or the usual one (m). */
  private static double bore(Rig rig, Part part) {
    Stream<Double> lines = RigEdit.of(rig).linesAt(part.id()).stream().map(Line::bore);
    boolean waste = part.kind() instanceof Tank t && t.contents() != Contents.FRESH;
    return lines.max(Double::compare).orElse(waste ? WASTE_BORE : FRESH_BORE);
  }

  /** Which way water goes at a port, seen from its part. */
  private static PortFlow way(Rig rig, PortRef port) {
    return rig.part(port.part()).kind().flow(port.port());
  }

  private static boolean isAir(Part host) {
    return host.kind().is(Purpose.VENTS) || host.kind().is(Purpose.BREATHES);
  }
}
