package fernwort.core.rig;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What makes a description a sound rig. Finds every fault, never stops at the first. */
final class RigRules {

  private static final Pattern ID = Pattern.compile("[a-z0-9][a-z0-9-]{0,63}");

  /** No vehicle with water on board is longer than this (m); a slipped decimal point is. */
  private static final double LONGEST = 100;

  private static final double HIGHEST_PRESSURE = 2e6;
  private static final int MOST_PARTS = 500;
  private static final int MOST_PLACES = 40;
  private static final int LONGEST_NAME = 60;

  private final List<Problem> problems = new ArrayList<>();

  private RigRules() {}

  static List<Problem> problems(
      String name,
      Vehicle vehicle,
      List<Place> places,
      List<Part> parts,
      List<Line> lines,
      Built built) {
    RigRules rules = new RigRules();
    if (name.isBlank() || name.length() > LONGEST_NAME) {
      rules.add("the rig", "its name is empty or longer than 60 letters", "Give it a short name");
    }
    if (parts.size() > MOST_PARTS) {
      rules.add("the rig", "it has " + parts.size() + " parts", "Keep to " + MOST_PARTS);
      return rules.problems;
    }
    rules.vehicle(vehicle);
    rules.places(places);
    rules.parts(parts, places);
    rules.lines(parts, lines);
    rules.problems.addAll(BuiltRules.problems(parts, built));
    return rules.problems;
  }

  private void vehicle(Vehicle v) {
    String where = "the vehicle";
    size(where, "rear", v.rear(), -LONGEST, LONGEST);
    size(where, "nose", v.nose(), -LONGEST, LONGEST);
    size(where, "width", v.width(), 0.1, 10);
    size(where, "floor", v.floor(), 0, 5);
    size(where, "roof", v.roof(), 0, 10);
    size(where, "clearance", v.clearance(), 0, 3);
    if (v.nose() <= v.rear()) {
      add(where, "its nose is not ahead of its rear", "Make nose larger than rear; x is forward");
    }
    if (v.roof() <= v.floor()) {
      add(where, "its roof is not above its floor", "Make roof larger than floor");
    }
    if (v.axles().isEmpty()) {
      add(where, "it has no axle", "Add at least one axle");
    }
    for (Axle axle : v.axles()) {
      String which = "axle " + axle.label();
      size(which, "x", axle.x(), -LONGEST, LONGEST);
      size(which, "limit", axle.limit(), 1, 100_000);
      size(which, "empty load", axle.emptyLoad(), 0, 100_000);
    }
    v.hitch()
        .ifPresent(h -> {
          size("the hitch", "x", h.x(), -LONGEST, LONGEST);
          size("the hitch", "lowest", h.lowest(), 0, 100_000);
          size("the hitch", "highest", h.highest(), 0, 100_000);
          h.emptyLoad().ifPresent(e -> size("the hitch", "empty load", e, -1000, 100_000));
        });
  }

  private void places(List<Place> places) {
    Set<String> seen = new HashSet<>();
    for (Place place : places) {
      String where = "place " + place.id();
      name(where, place.id(), place.label());
      if (!seen.add(place.id())) {
        add(where, "the id is used twice", "Give one of them another id");
      }
      size(where, "x", place.x(), -LONGEST, LONGEST);
      size(where, "y", place.y(), -LONGEST, LONGEST);
      size(where, "z", place.z(), -5, 10);
      place.warmth().ifPresent(w -> size(where, "share of warmth", w, 0, 1));
      place.heating().ifPresent(h -> size(where, "heating", h, 0, 10_000));
    }
    if (places.size() > MOST_PLACES) {
      add("the rig", "it has " + places.size() + " places", "Keep to " + MOST_PLACES);
    }
    if (places.isEmpty()) {
      add("the rig", "it has no place", "Add a place for its parts to be in");
    }
  }

  private void parts(List<Part> parts, List<Place> places) {
    Set<String> placeIds = places.stream().map(Place::id).collect(Collectors.toSet());
    Set<String> seen = new HashSet<>();
    for (Part part : parts) {
      String where = "part " + part.id();
      name(where, part.id(), part.label());
      if (!seen.add(part.id())) {
        add(where, "the id is used twice", "Give one of them another id");
      }
      if (!placeIds.contains(part.place())) {
        add(where, "there is no place \"" + part.place() + "\"", "Add the place or name another");
      }
      size(where, "x", part.x(), -LONGEST, LONGEST);
      size(where, "y", part.y(), -LONGEST, LONGEST);
      size(where, "height", part.height(), -5, 10);
      size(where, "volume", part.volume(), 0, 1);
      kind(where, part.kind());
    }
  }

  private void kind(String where, Kind kind) {
    switch (kind) {
      case Kind.HoseInlet k -> {
        pressure(where, "mains pressure", k.mainsPressure());
        size(where, "outside height", k.outsideHeight(), -20, 20);
        k.tapFlow().ifPresent(most -> flow(where, "tap flow", most));
      }
      case Kind.Tank k -> tank(where, k);
      case Kind.TwoWayValve k -> valve(where, k);
      case Kind.ThreeWayValve k -> valve(where, k);
      case Kind.CheckValve k -> pressure(where, "cracking pressure", k.crackingPressure());
      case Kind.Regulator k -> pressure(where, "set pressure", k.setPressure());
      case Kind.Filter k -> {
        flow(where, "rated flow", k.ratedFlow());
        pressure(where, "rated loss", k.ratedLoss());
        k.doubling().ifPresent(v -> size(where, "litres until its loss doubles", v, 1e-3, 1e4));
      }
      case Kind.Pump k -> pump(where, k);
      case Kind.Accumulator k -> pressure(where, "precharge", k.precharge());
      case Kind.Heater k -> {
        size(where, "drain height", k.drainHeight(), 0, 2);
        k.heating()
            .ifPresent(h -> {
              size(where, "power", h.power(), 1, 100_000);
              size(where, "thermostat", h.thermostat(), 293.15, 372.15);
            });
      }
      case Kind.Manifold k -> size(where, "outlets", k.outlets(), 1, 32);
      case Kind.Fixture k -> {
        flow(where, "rated flow", k.ratedFlow());
        pressure(where, "rated pressure", k.ratedPressure());
        k.restrictor().ifPresent(most -> flow(where, "restricted flow", most));
      }
      case Kind.PortableContainer k -> size(where, "capacity", k.capacity(), 1e-4, 2);
      case Kind.Macerator k -> {
        flow(where, "free flow", k.freeFlow());
        pressure(where, "shut-off pressure", k.shutOffPressure());
      }
      case Kind.GravityFiller k -> {}
      case Kind.OpenEnd k -> {}
      case Kind.AirAdmittanceValve k -> {}
      case Kind.Strainer k -> {}
      case Kind.Tee k -> {}
      case Kind.DrainTrap k -> {}
      case Kind.LeakTray k -> size(where, "what it holds", k.holds(), 0, 1);
      case Kind.Plug k -> {}
    }
  }

  private void pump(String where, Kind.Pump pump) {
    pressure(where, "shut-off pressure", pump.shutOffPressure());
    flow(where, "free flow", pump.freeFlow());
    pressure(where, "cut-in pressure", pump.cutIn());
    pressure(where, "cut-out pressure", pump.cutOut());
    size(where, "self-priming lift", pump.selfPriming(), 0, 10);
    if (pump.cutIn() > pump.cutOut()) {
      add(where, "its switch cuts in above where it cuts out", "Swap the two pressures");
    }
  }

  private void valve(String where, Kind.Valve valve) {
    Set<String> ids = new HashSet<>();
    if (valve.stops().size() < 2) {
      add(where, "a valve needs two positions or more", "Describe each stop of its handle");
    }
    for (Stop stop : valve.stops()) {
      String which = where + ", position " + stop.id();
      name(which, stop.id(), stop.words());
      if (!ids.add(stop.id())) {
        add(which, "the position is listed twice", "Give one of them another id");
      }
      size(which, "angle", stop.angle(), -360, 360);
      Set<String> joined = new HashSet<>();
      for (List<String> group : stop.joins()) {
        if (group.size() < 2) {
          add(which, "it joins fewer than two ports", "Name two ports, or leave the group out");
        }
        for (String port : group) {
          if (!valve.ports().contains(port)) {
            add(
                which,
                "the valve has no port \"" + port + "\"",
                "Use " + String.join(", ", valve.ports()));
          } else if (!joined.add(port)) {
            add(which, "it joins port \"" + port + "\" twice", "Name each port once");
          }
        }
      }
    }
    valve.motor().ifPresent(motor -> motor(where, motor, ids));
  }

  private void motor(String where, Motor motor, Set<String> stops) {
    size(where, "travel time", motor.travelTime(), 0, 600);
    motor.opensBelow().ifPresent(t -> size(where, "temperature it opens at", t, 233.15, 300));
    motor
        .unpowered()
        .filter(stop -> !stops.contains(stop))
        .ifPresent(stop ->
            add(
                where,
                "without power it would take a position \"" + stop + "\" that it does not have",
                "Name one of its own positions"));
  }

  private void tank(String where, Kind.Tank tank) {
    size(where, "wall", tank.wall(), 0, 0.1);
    pressure(where, "highest pressure", tank.highestPressure());
    size(where, "lowest pressure", tank.lowestPressure(), -101_325, 0);
    size(where, "gauge steps", tank.gauge().steps(), 0, 100);
    size(where, "gauge x", tank.gauge().x(), -LONGEST, LONGEST);
    size(where, "gauge y", tank.gauge().y(), -LONGEST, LONGEST);
    if (tank.gauge().showsSteps() && tank.gauge().steps() < 2) {
      add(where, "its sender shows fewer than two steps", "Give the number of steps it shows");
    }
    int before = problems.size();
    Optional<Room> room = shape(where, tank);
    if (problems.size() > before || room.isEmpty()) {
      return;
    }
    Set<String> ids = new HashSet<>();
    for (TankPort port : tank.tankPorts()) {
      String which = where + ", port " + port.id();
      if (port.id().isBlank() || !ids.add(port.id())) {
        add(which, "the port is named twice or not at all", "Give each port its own id");
      }
      size(which, "x", port.at().x(), -LONGEST, LONGEST);
      size(which, "y", port.at().y(), -LONGEST, LONGEST);
      size(which, "z", port.at().z(), -LONGEST, LONGEST);
      port.bore().ifPresent(bore -> size(which, "bore", bore, 1e-3, 0.5));
      if (!room.get().holds(port.at())) {
        add(
            which,
            "it lies outside its tank",
            "Measure it again from the inside rear right corner");
      }
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

  private Optional<Room> shape(String where, Kind.Tank tank) {
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
      if (!size(where, names[i], outside[i], 1e-3, 20)) {
        continue;
      }
      inside[i] = outside[i] - walls;
      if (inside[i] <= 0) {
        add(where, "its walls leave no room in its " + names[i], "Check wall and " + names[i]);
      }
    }
    return Optional.of(new Room(inside[0], inside[1], inside[2]));
  }

  private Optional<Room> prism(String where, double walls, Shape.Prism prism) {
    if (prism.section().size() < 3) {
      add(where, "its section has fewer than three corners", "List the corners in order");
      return Optional.empty();
    }
    if (crosses(prism.section())) {
      add(where, "the sides of its section cross", "List the corners in order, once round");
    }
    prism.section().forEach(c -> size(where, "corner", Math.max(c.x(), c.z()), 0, 20));
    prism.section().forEach(c -> size(where, "corner", Math.min(c.x(), c.z()), 0, 20));
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
      add(where, "it has no blocks", "Give each lobe and the bridge as a block");
      return Optional.empty();
    }
    double[] reach = new double[3];
    for (Shape.Block b : shape.blocks()) {
      room(where, walls, b.length(), b.width(), b.height());
      size(where, "block x", b.x(), 0, 20);
      size(where, "block y", b.y(), 0, 20);
      size(where, "block z", b.z(), 0, 20);
      reach[0] = Math.max(reach[0], b.x() + b.length());
      reach[1] = Math.max(reach[1], b.y() + b.width());
      reach[2] = Math.max(reach[2], b.z() + b.height());
    }
    return room(where, walls, reach);
  }

  private Optional<Room> table(String where, Shape.DepthTable table) {
    size(where, "length", table.length(), 1e-3, 20);
    if (table.rows().size() < 2) {
      add(where, "its depth table has fewer than two rows", "Add the depth and litres when full");
      return Optional.empty();
    }
    double depth = -1;
    double volume = -1;
    for (Shape.Row row : table.rows()) {
      size(where, "depth", row.depth(), 0, 20);
      size(where, "volume", row.volume(), 0, 100);
      if (row.depth() <= depth || row.volume() <= volume) {
        add(where, "its depth table does not rise from row to row", "Sort it from empty to full");
      }
      depth = row.depth();
      volume = row.volume();
    }
    return Optional.of(new Room(table.length(), 20, depth));
  }

  private void lines(List<Part> parts, List<Line> lines) {
    Map<String, Part> byId = new HashMap<>();
    parts.forEach(p -> byId.putIfAbsent(p.id(), p));
    Set<String> ids = new HashSet<>();
    Map<PortRef, String> used = new HashMap<>();
    for (Line line : lines) {
      String where = "line " + line.id();
      name(where, line.id(), line.label());
      if (!ids.add(line.id())) {
        add(where, "the id is used twice", "Give one of them another id");
      }
      for (PortRef end : List.of(line.from(), line.to())) {
        end(where, byId, end);
        String other = used.putIfAbsent(end, line.id());
        if (other != null) {
          add(
              where,
              "port " + end + " is already joined to line " + other,
              "Put a tee between them, or use another port");
        }
      }
      size(where, "bore", line.bore(), 1e-3, 0.5);
      size(where, "length", line.length(), 1e-3, LONGEST);
      size(where, "minor loss", line.minorLoss(), 0, 1000);
      for (ProfilePoint point : line.profile()) {
        size(where, "profile height", point.height(), -5, 10);
        if (!(point.along() >= 0 && point.along() <= line.length())) {
          add(where, "its profile leaves the line", "Keep along between 0 and its length");
        }
      }
    }
  }

  private void end(String where, Map<String, Part> parts, PortRef end) {
    Part part = parts.get(end.part());
    if (part == null) {
      add(where, "there is no part \"" + end.part() + "\"", "Add the part or join another");
    } else if (!part.kind().ports().contains(end.port())) {
      add(
          where,
          "part " + part.id() + " has no port \"" + end.port() + "\"",
          "Use one of " + String.join(", ", part.kind().ports()));
    }
  }

  private void name(String where, String id, String label) {
    if (!ID.matcher(id).matches()) {
      add(
          where,
          "the id \"" + brief(id) + "\" is not usable",
          "Use a-z, 0-9 and hyphens, up to 64");
    }
    if (label.isBlank() || label.length() > 60) {
      add(where, "its label or words are empty or longer than 60 letters", "Name it in few words");
    }
  }

  private static String brief(String text) {
    return text.length() > 20 ? text.substring(0, 20) + "…" : text;
  }

  private void pressure(String where, String what, double value) {
    size(where, what, value, 0, HIGHEST_PRESSURE);
  }

  private void flow(String where, String what, double value) {
    size(where, what, value, 1e-7, 0.1);
  }

  private boolean size(String where, String what, double value, double lowest, double highest) {
    if (value >= lowest && value <= highest) {
      return true;
    }
    add(
        where,
        "its %s of %s is not possible".formatted(what, with(what, value)),
        "Give a number from %s to %s".formatted(trim(lowest), with(what, highest)));
    return false;
  }

  private static String with(String what, double value) {
    String unit = unit(what);
    return trim(value) + (unit.isEmpty() ? "" : " " + unit);
  }

  /** The unit of a figure by its name, as the file has it. */
  private static String unit(String what) {
    return switch (what) {
      case "limit", "empty load", "lowest", "highest" -> "kg";
      case "volume", "capacity", "litres until its loss doubles" -> "m³";
      case "travel time" -> "s";
      case "power" -> "W";
      case "thermostat" -> "K";
      case "angle" -> "°";
      case "minor loss", "outlets", "gauge steps" -> "";
      default ->
          what.contains("pressure") || what.endsWith("loss") || what.equals("precharge")
              ? "Pa"
              : what.contains("flow") ? "m³/s" : "m";
    };
  }

  private static String trim(double value) {
    return value == Math.rint(value) && Math.abs(value) < 1e9
        ? Long.toString((long) value)
        : Double.toString(value);
  }

  private void add(String where, String fault, String mend) {
    problems.add(new Problem(where, fault, mend));
  }
}
