package fernwort.core.describe;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.line.Tee;
import fernwort.core.rig.Line;
import fernwort.core.rig.LineCourse;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Vehicle;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** One rig under change. Every method returns the changed rig and leaves this one as it was. */
public final class RigEdit {

  private static final double SHORTEST = 0.05;

  /** A line that passes a height by less runs past it evenly (m). */
  private static final double EVEN = 1e-3;

  private final Rig rig;

  private RigEdit(Rig rig) {
    this.rig = rig;
  }

  /** Starts from a rig. */
  public static RigEdit of(Rig rig) {
    return new RigEdit(rig);
  }

  // --- parts and lines -------------------------------------------------------------------------

  /**
   * Puts a part into the middle of a line, which becomes two lines.
   *
   * @param line id of the line
   * @param part the part; its id must be free
   * @param in its port towards the line's first end
   * @param out its port towards the line's second end
   * @throws Refusal when the part has no such ports
   */
  public Rig insert(LineId line, Part part, PortId in, PortId out) {
    return insert(line, part, in, out, line(line).length() / 2);
  }

  /** Puts a part into a line at some distance from its first end (m). */
  private Rig insert(LineId line, Part part, PortId in, PortId out, double along) {
    Line old = line(line);
    needPort(part, in);
    needPort(part, out);
    double share = along / old.length();
    Line before =
        new Line(
            old.id(),
            old.label(),
            old.from(),
            part.port(in),
            old.bore(),
            Math.max(SHORTEST, along),
            old.material(),
            share * old.minorLoss(),
            profile(old, 0, along),
            old.insulation());
    Line after =
        new Line(
            freeLine(old.id().value()),
            shortened(old.label() + " on"),
            part.port(out),
            old.to(),
            old.bore(),
            Math.max(SHORTEST, old.length() - along),
            old.material(),
            (1 - share) * old.minorLoss(),
            profile(old, along, old.length()),
            old.insulation());
    List<Line> lines = new ArrayList<>();
    for (Line l : rig.lines()) {
      if (l.id().equals(line)) {
        lines.add(before);
        lines.add(after);
      } else {
        lines.add(l);
      }
    }
    return with(plus(rig.parts(), part), lines);
  }

  private static List<ProfilePoint> profile(Line line, double from, double to) {
    return line.profile().stream()
        .filter(p -> p.along() > from && p.along() < to)
        .map(p -> new ProfilePoint(p.along() - from, p.height()))
        .toList();
  }

  /**
   * Takes a part out. A part with one line on each side leaves one line, which goes on passing
   * where it was; a part at a line's end takes that line with it.
   *
   * @throws Refusal when more than two lines meet in it, naming what is joined
   */
  public Rig remove(PartId id) {
    Part part = rig.part(id);
    List<Line> joined = linesAt(id);
    if (joined.size() > 2 || joined.size() == 2 && part.kind().is(Purpose.HOLDS)) {
      throw new Refusal(
          Says.IS_NEEDED_BY_REMOVE_ITS_LINES.with(
              part.label(),
              joined.stream().map(l -> "“" + l.label() + "”").collect(Collectors.joining(", "))));
    }
    List<Line> lines = new ArrayList<>(rig.lines());
    lines.removeAll(joined);
    if (joined.size() == 2) {
      closed(joined.get(0), joined.get(1), part).ifPresent(lines::add);
    }
    return with(rig.parts().stream().filter(p -> !p.id().equals(id)).toList(), lines);
  }

  /** One line in place of two that met in a part; none when both led to the same port. */
  private Optional<Line> closed(Line first, Line second, Part part) {
    Line before = first.to().part().equals(part.id()) ? first : first.turned();
    Line after = second.from().part().equals(part.id()) ? second : second.turned();
    if (before.from().part().equals(part.id()) || after.to().part().equals(part.id())) {
      return Optional.empty();
    }
    List<ProfilePoint> way = new ArrayList<>(before.profile());
    after
        .profile()
        .forEach(p -> way.add(new ProfilePoint(before.length() + p.along(), p.height())));
    Line whole =
        new Line(
            first.id(),
            first.label(),
            before.from(),
            after.to(),
            Math.min(first.bore(), second.bore()),
            first.length() + second.length(),
            first.material(),
            first.minorLoss() + second.minorLoss(),
            way,
            first.insulation());
    double height = part.at(before.to().port()).z();
    if (Math.abs(LineCourse.of(rig, whole).heightAt(before.length()) - height) > EVEN) {
      way.add(before.profile().size(), new ProfilePoint(before.length(), height));
    }
    Line passing = whole.along(way);
    return Optional.of(before.equals(first) ? passing : passing.turned());
  }

  /**
   * Tees a branch off the middle of a line, as high as it passes there, and leads it to a new part.
   *
   * @param line id of the line
   * @param part the new part at the end of the branch
   * @param port its port
   * @param length length of the branch (m)
   */
  public Rig teeOff(LineId line, Part part, PortId port, double length) {
    return teeOff(line, part, port, length, middle(line));
  }

  /** Returns where the middle of a line passes. */
  public ProfilePoint middle(LineId line) {
    Line found = line(line);
    double half = found.length() / 2;
    return new ProfilePoint(half, LineCourse.of(rig, found).heightAt(half));
  }

  /**
   * Tees a branch off a line at some point and leads it to a new part.
   *
   * @param line id of the line
   * @param part the new part at the end of the branch
   * @param port its port
   * @param length length of the branch (m)
   * @param at where the tee is from then on: at a height that the line does not pass it is led over
   */
  public Rig teeOff(LineId line, Part part, PortId port, double length, ProfilePoint at) {
    Line old = line(line);
    needPort(part, port);
    Part near = rig.part(old.from().part());
    Part tee =
        new Part(
            freePart("tee"), "Tee", near.place(), near.x(), near.y(), at.height(), 0, new Tee());
    Rig withTee = insert(line, tee, PortId.A, PortId.B, at.along());
    RigEdit next = of(withTee);
    Line branch =
        new Line(
            next.freeLine("to-" + part.id()),
            shortened("To " + part.label()),
            tee.port(PortId.C),
            part.port(port),
            old.bore(),
            length,
            old.material(),
            1,
            List.of());
    return next.with(plus(withTee.parts(), part), plus(withTee.lines(), branch));
  }

  /**
   * Adds a part and joins it with a short line.
   *
   * @param part the new part
   * @param port its port
   * @param to the free port it is joined to
   * @param bore bore of the line (m)
   * @param length length of the line (m)
   */
  public Rig addAt(Part part, PortId port, PortRef to, double bore, double length) {
    RigEdit next = of(add(part));
    return next.connect(
        new Line(
            next.freeLine(part.id() + "-line"),
            shortened("To " + part.label()),
            to,
            part.port(port),
            bore,
            length,
            Fittings.material(bore),
            Fittings.USUAL_LOSS,
            List.of()));
  }

  /** Adds a part that is joined to nothing yet. */
  public Rig add(Part part) {
    return with(plus(rig.parts(), part), rig.lines());
  }

  /** Joins two ports with a line; the line's id must be free. */
  public Rig connect(Line line) {
    return with(rig.parts(), plus(rig.lines(), line));
  }

  /** Takes a line off; its parts stay. */
  public Rig disconnect(LineId line) {
    line(line);
    return with(rig.parts(), rig.lines().stream().filter(l -> !l.id().equals(line)).toList());
  }

  /** Changes a part; its id stays. */
  public Rig change(PartId id, UnaryOperator<Part> how) {
    rig.part(id);
    return with(
        rig.parts().stream().map(p -> p.id().equals(id) ? how.apply(p) : p).toList(), rig.lines());
  }

  /** Puts a part in place of the one with its id, without the lines to ports it has no more. */
  public Rig replace(Part part) {
    rig.part(part.id());
    return with(
        rig.parts().stream().map(p -> p.id().equals(part.id()) ? part : p).toList(),
        rig.lines().stream().filter(l -> !loses(part, l.from()) && !loses(part, l.to())).toList());
  }

  /** Tells whether a line ends at a port that a part does not have. */
  static boolean loses(Part part, PortRef end) {
    return end.part().equals(part.id()) && !part.kind().ports().contains(end.port());
  }

  /** Changes a line; its id stays. */
  public Rig changeLine(LineId id, UnaryOperator<Line> how) {
    line(id);
    return with(
        rig.parts(), rig.lines().stream().map(l -> l.id().equals(id) ? how.apply(l) : l).toList());
  }

  /**
   * Moves a part to a place, to its middle along and across the vehicle unless it stays where it
   * is.
   *
   * @param height height above the ground (m)
   */
  public Rig move(PartId id, PlaceId place, double height) {
    Place to = rig.place(place);
    return change(
        id,
        p ->
            p.place().equals(place)
                ? p.atHeight(height)
                : new Part(p.id(), p.label(), place, to.x(), to.y(), height, p.volume(), p.kind()));
  }

  // --- the rest of a rig -----------------------------------------------------------------------

  /** Gives the rig another name. */
  public Rig rename(String name) {
    return new Rig(
        name, rig.note(), rig.vehicle(), rig.places(), rig.parts(), rig.lines(), rig.built());
  }

  /** Changes the vehicle. */
  public Rig vehicle(Vehicle vehicle) {
    return new Rig(
        rig.name(), rig.note(), vehicle, rig.places(), rig.parts(), rig.lines(), rig.built());
  }

  /** Adds a place, or changes the one with the same id. */
  public Rig place(Place place) {
    List<Place> places = new ArrayList<>(rig.places());
    places.removeIf(p -> p.id().equals(place.id()));
    places.add(place);
    return new Rig(
        rig.name(), rig.note(), rig.vehicle(), places, rig.parts(), rig.lines(), rig.built());
  }

  /**
   * Removes a place that no part is in.
   *
   * @throws Refusal when a part is in it, naming it
   */
  public Rig removePlace(PlaceId id) {
    rig.parts().stream()
        .filter(p -> p.place().equals(id))
        .findFirst()
        .ifPresent(p -> {
          throw new Refusal(
              Says.IS_IN_MOVE_IT_TO_ANOTHER_PLACE.with(p.label(), rig.place(id).label()));
        });
    List<Place> places = rig.places().stream().filter(p -> !p.id().equals(id)).toList();
    return new Rig(
        rig.name(), rig.note(), rig.vehicle(), places, rig.parts(), rig.lines(), rig.built());
  }

  // --- looking things up -----------------------------------------------------------------------

  /**
   * Returns the line with this id.
   *
   * @throws Refusal when there is none
   */
  public Line line(LineId id) {
    return rig.line(id);
  }

  /** Returns the lines at a part. */
  public List<Line> linesAt(PartId part) {
    return rig.lines().stream()
        .filter(l -> l.from().part().equals(part) || l.to().part().equals(part))
        .toList();
  }

  /** Returns the ports of a part that no line is joined to. */
  public List<PortId> freePorts(PartId part) {
    Set<PortRef> used = rig.linesByPort().keySet();
    Part found = rig.part(part);
    return found.kind().ports().stream().filter(p -> !used.contains(found.port(p))).toList();
  }

  /** Returns an id made from a text that neither part, line nor place of the rig has yet. */
  public String freeId(String text) {
    Set<String> taken = new HashSet<>();
    rig.parts().forEach(p -> taken.add(p.id().value()));
    rig.lines().forEach(l -> taken.add(l.id().value()));
    rig.places().forEach(p -> taken.add(p.id().value()));
    return freeId(text, taken);
  }

  /** Returns such an id for a part. */
  public PartId freePart(String text) {
    return PartId.of(freeId(text));
  }

  /** Returns such an id for a line. */
  public LineId freeLine(String text) {
    return LineId.of(freeId(text));
  }

  /** Returns an id made from a text that is not among some others. */
  public static String freeId(String text, Set<String> taken) {
    String base =
        text.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-+|-+$", "");
    String plain = base.isEmpty() ? "item" : base.substring(0, Math.min(base.length(), 50));
    String id = plain;
    for (int n = 2; taken.contains(id); n++) {
      id = plain + "-" + n;
    }
    return id;
  }

  private static void needPort(Part part, PortId port) {
    if (!part.kind().ports().contains(port)) {
      throw new Refusal(
          Says.HAS_NO_PORT_IT_HAS.with(part.label(), port, PortId.listed(part.kind().ports())));
    }
  }

  /** Returns a text cut to what a label may hold. */
  public static String shortened(String label) {
    return label.length() > 60 ? label.substring(0, 60) : label;
  }

  private static <T> List<T> plus(List<T> list, T item) {
    List<T> longer = new ArrayList<>(list);
    longer.add(item);
    return longer;
  }

  private Rig with(List<Part> parts, List<Line> lines) {
    return new Rig(
        rig.name(),
        rig.note(),
        rig.vehicle(),
        rig.places(),
        parts,
        lines,
        rig.built().within(parts));
  }
}
