package fernwort.core.guide;

import fernwort.core.describe.Addition;
import fernwort.core.describe.Fittings;
import fernwort.core.describe.FloorGrid;
import fernwort.core.describe.RigEdit;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankAnswers.Stands;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.tank.Point;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Vehicle;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * A rig as it grows: parts at spots of the vehicle, and lines between them whose lengths are worked
 * out from where their ends are.
 */
final class Assembly {

  /** Nothing of a rig is lower than this over the ground (m). */
  private static final double LOWEST = 0.1;

  /** What is on the floor is so much over it (m). */
  private static final double OVER_FLOOR = 0.01;

  /** Fittings that follow each other stand about so far above one another (m). */
  static final double STEP = 0.01;

  /** The water in a bucket or barrel beside the vehicle stands so high over the ground (m). */
  static final double IN_A_BUCKET = 0.2;

  /** A tail ends no higher than this over the ground (m). */
  static final double KNEE = 0.35;

  private static final String[] ALONG = {"rear", "mid-rear", "middle", "mid-front", "nose"};
  private static final String[] SIDE = {"left", "middle", "right"};

  private final Vehicle vehicle;
  private final Map<PlaceId, Place> places = new LinkedHashMap<>();
  private final Map<PartId, Part> parts = new LinkedHashMap<>();
  private final List<Line> lines = new ArrayList<>();
  private final Map<PartId, PositionId> running = new LinkedHashMap<>();
  private final Map<PartId, QuestionPage> pages = new LinkedHashMap<>();

  Assembly(RigAnswers answers) {
    Vehicle usual = vehicle(answers.vehicle());
    vehicle = usual.withFloor(floor(answers, usual.floor()));
  }

  /** Below a tank inside, and above one underneath, there is so much at least (m). */
  private static final double PLANK = 0.02;

  /** A tank underneath is so much lower than the floor at least (m). */
  private static final double HANGS = 0.15;

  /** The floor as somebody measured it, else the usual one, moved to where their tanks need it. */
  private static double floor(RigAnswers answers, double usual) {
    double floor = answers.vehicle().floor().orElse(usual);
    if (answers.vehicle().floor().isEmpty()) {
      for (TankAnswers tank : answers.tanks()) {
        boolean under = tank.stands().filter(s -> s == Stands.UNDERNEATH).isPresent();
        floor = under ? Math.max(floor, tank.bottom() + HANGS) : floor;
      }
      for (TankAnswers tank : answers.tanks()) {
        boolean inside = tank.stands().filter(s -> s == Stands.INSIDE).isPresent();
        floor = inside ? Math.min(floor, tank.bottom() - PLANK) : floor;
      }
    }
    return floor;
  }

  Vehicle vehicle() {
    return vehicle;
  }

  /** A vehicle of a length, with what such a one usually has. */
  private static Vehicle vehicle(RigAnswers.Van van) {
    return Proportions.of(van.standsOn()).vehicle(van);
  }

  /** Returns the point of a spot at some height (m). */
  Point point(Spot spot, double height) {
    return FloorGrid.of(vehicle).point(new FloorGrid.Cell(spot.along(), spot.side()), height);
  }

  /** Returns the place of a spot at some height, which it makes when it is the first there. */
  private Place place(Spot spot, double height) {
    boolean under = height < vehicle.floor();
    PlaceId id =
        PlaceId.of(
            "%s-%s%s"
                .formatted(ALONG[spot.along()], SIDE[spot.side()], under ? "-under" : "")
                .toLowerCase(Locale.ROOT));
    Point at = point(spot, under ? vehicle.floor() - 0.2 : vehicle.floor() + 0.6);
    return places.computeIfAbsent(
        id,
        key ->
            new Place(
                id,
                label(spot, under),
                under ? Says.KNEEL_BESIDE_IT.text() : Says.REACH_IN_FROM_INSIDE.text(),
                at.x(),
                at.y(),
                at.z()));
  }

  /** Returns what a spot is called, as in "Mid-rear left" and "Under nose right". */
  private static String label(Spot spot, boolean under) {
    String along = ALONG[spot.along()];
    String where = (under ? "under " : "") + along + " " + SIDE[spot.side()];
    return where.substring(0, 1).toUpperCase(Locale.ROOT) + where.substring(1);
  }

  /** Adds a part at a spot (height in m above the ground, body in m³); returns its id. */
  PartId part(QuestionPage page, String label, Spot spot, double height, double body, Kind kind) {
    return part(page, label, spot, point(spot, height), body, kind);
  }

  /** Adds a part of a spot at its own point, which a page asks for. */
  PartId part(QuestionPage page, String label, Spot spot, Point at, double body, Kind kind) {
    PartId id = freeId(label);
    pages.put(id, page);
    PlaceId place = place(spot, at.z()).id();
    parts.put(
        id, new Part(id, RigEdit.shortened(label), place, at.x(), at.y(), at.z(), body, kind));
    return id;
  }

  private PartId freeId(String label) {
    Set<String> taken = new HashSet<>();
    parts.keySet().forEach(id -> taken.add(id.value()));
    places.keySet().forEach(id -> taken.add(id.value()));
    return PartId.of(RigEdit.freeId(label, taken));
  }

  Part get(PartId id) {
    Part part = parts.get(id);
    if (part == null) {
      throw new IllegalArgumentException("no part " + id);
    }
    return part;
  }

  /** Joins two ports with a line of a bore (m). */
  void join(PortRef from, PortRef to, double bore) {
    join(from, to, bore, Double.NaN);
  }

  /**
   * Joins two ports with a line that rises to a height on its way (m); NaN for one that does not.
   */
  void join(PortRef from, PortRef to, double bore, double over) {
    Point a = get(from.part()).at(from.port());
    Point b = get(to.part()).at(to.port());
    double level = Math.abs(a.x() - b.x()) + Math.abs(a.y() - b.y());
    double up = Math.abs(a.z() - b.z());
    boolean rises = over > Math.max(a.z(), b.z());
    double first = rises ? over - a.z() + level / 2 : 0;
    double length = Addition.SLACK + level + (rises ? 2 * over - a.z() - b.z() : up);
    lines.add(
        new Line(
            LineId.of("l" + (lines.size() + 1) + "-" + from.part()),
            RigEdit.shortened(get(from.part()).label() + " to " + get(to.part()).label()),
            from,
            to,
            bore,
            length,
            Fittings.material(bore),
            Fittings.USUAL_LOSS,
            rises ? List.of(new ProfilePoint(first, over)) : List.of()));
  }

  /** Notes how a handle stands while the pump draws from the first tank. */
  void runsWith(PartId part, PositionId position) {
    running.put(part, position);
  }

  /** Returns how handles stand while the pump draws from the first tank, by part. */
  Map<PartId, PositionId> running() {
    return running;
  }

  /** Returns which page asks for each part. */
  Map<PartId, QuestionPage> pages() {
    return pages;
  }

  /** Returns so much below a height, on the same side of the floor: what is inside stays so (m). */
  double below(double height, double by) {
    double low = Math.max(LOWEST, height - by);
    return height >= vehicle.floor() ? Math.max(low, vehicle.floor() + OVER_FLOOR) : low;
  }

  /** Returns where the tail of a drain ends that begins at some height (m). */
  double tail(double from) {
    return Math.max(overGround(), Math.min(from - 10 * STEP, KNEE));
  }

  /** Returns a height from which a tail or overflow lets water onto the ground (m). */
  double overGround() {
    return vehicle.clearance() + 2 * STEP;
  }

  int lines() {
    return lines.size();
  }

  /** Returns the rig as far as it has come. */
  Rig build(String name) {
    List<Place> all = new ArrayList<>(places.values());
    if (all.isEmpty()) {
      all.add(place(new Spot(1, 1), vehicle.floor() + 1));
    }
    return new Rig(name, "", vehicle, all, new ArrayList<>(parts.values()), lines);
  }
}
