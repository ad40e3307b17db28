package fernwort.core.rig;

import fernwort.core.kind.Kind;
import fernwort.core.kind.Motor;
import fernwort.core.kind.Moved;
import fernwort.core.kind.Position;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.entered.Property;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Valve;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What makes a description a sound rig. Finds every fault, never stops at the first. */
final class RigRules {

  private static final int MOST_PARTS = 500;
  private static final int MOST_PLACES = 40;
  private static final int LONGEST_NAME = 60;

  private final RigFaults faults = new RigFaults();

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
      rules.faults.add(
          "the rig", "its name is empty or longer than 60 letters", "Give it a short name");
    }
    if (parts.size() > MOST_PARTS) {
      rules.faults.add("the rig", "it has " + parts.size() + " parts", "Keep to " + MOST_PARTS);
      return rules.faults.problems();
    }
    rules.vehicle(vehicle);
    rules.places(places);
    rules.parts(parts, places);
    rules.lines(parts, lines);
    rules.faults.problems().addAll(BuiltRules.problems(parts, built));
    return rules.faults.problems();
  }

  private void vehicle(Vehicle v) {
    String where = "the vehicle";
    faults.size(where, "rear", v.rear(), -RigFaults.LONGEST, RigFaults.LONGEST);
    faults.size(where, "nose", v.nose(), -RigFaults.LONGEST, RigFaults.LONGEST);
    faults.size(where, "width", v.width(), 0.1, 10);
    faults.size(where, "floor", v.floor(), 0, 5);
    faults.size(where, "roof", v.roof(), 0, 10);
    faults.size(where, "clearance", v.clearance(), 0, 3);
    if (v.nose() <= v.rear()) {
      faults.add(
          where, "its nose is not ahead of its rear", "Make nose larger than rear; x is forward");
    }
    if (v.roof() <= v.floor()) {
      faults.add(where, "its roof is not above its floor", "Make roof larger than floor");
    }
    if (v.axles().isEmpty()) {
      faults.add(where, "it has no axle", "Add at least one axle");
    }
    for (Axle axle : v.axles()) {
      String which = "axle " + axle.label();
      faults.size(which, "x", axle.x(), -RigFaults.LONGEST, RigFaults.LONGEST);
      faults.size(which, "limit", axle.limit(), 1, 100_000);
      faults.size(which, "empty load", axle.emptyLoad(), 0, 100_000);
    }
    v.hitch()
        .ifPresent(h -> {
          faults.size("the hitch", "x", h.x(), -RigFaults.LONGEST, RigFaults.LONGEST);
          faults.size("the hitch", "lowest", h.lowest(), 0, 100_000);
          faults.size("the hitch", "highest", h.highest(), 0, 100_000);
          h.emptyLoad().ifPresent(e -> faults.size("the hitch", "empty load", e, -1000, 100_000));
        });
  }

  private void places(List<Place> places) {
    Set<String> seen = new HashSet<>();
    for (Place place : places) {
      String where = "place " + place.id();
      faults.name(where, place.id(), place.label());
      if (!seen.add(place.id())) {
        faults.add(where, "the id is used twice", "Give one of them another id");
      }
      faults.size(where, "x", place.x(), -RigFaults.LONGEST, RigFaults.LONGEST);
      faults.size(where, "y", place.y(), -RigFaults.LONGEST, RigFaults.LONGEST);
      faults.size(where, "z", place.z(), -5, 10);
      place.warmth().ifPresent(w -> faults.size(where, "share of warmth", w, 0, 1));
      place.heating().ifPresent(h -> faults.size(where, "heating", h, 0, 10_000));
    }
    if (places.size() > MOST_PLACES) {
      faults.add("the rig", "it has " + places.size() + " places", "Keep to " + MOST_PLACES);
    }
    if (places.isEmpty()) {
      faults.add("the rig", "it has no place", "Add a place for its parts to be in");
    }
  }

  private void parts(List<Part> parts, List<Place> places) {
    Set<String> placeIds = places.stream().map(Place::id).collect(Collectors.toSet());
    Set<String> seen = new HashSet<>();
    for (Part part : parts) {
      String where = "part " + part.id();
      faults.name(where, part.id(), part.label());
      if (!seen.add(part.id())) {
        faults.add(where, "the id is used twice", "Give one of them another id");
      }
      if (!placeIds.contains(part.place())) {
        faults.add(
            where, "there is no place \"" + part.place() + "\"", "Add the place or name another");
      }
      faults.size(where, "x", part.x(), -RigFaults.LONGEST, RigFaults.LONGEST);
      faults.size(where, "y", part.y(), -RigFaults.LONGEST, RigFaults.LONGEST);
      faults.size(where, "height", part.height(), -5, 10);
      faults.size(where, "volume", part.volume(), 0, 1);
      kind(where, part.kind());
      moves(where, part, parts);
    }
  }

  /** What one switch moves has to be there, and to have the position that it is put in. */
  private void moves(String where, Part gang, List<Part> parts) {
    for (Moved moved : gang.kind().moves()) {
      Optional<Part> part = parts.stream().filter(p -> p.id().equals(moved.part())).findFirst();
      if (part.isEmpty()) {
        faults.add(
            where, "it moves \"" + moved.part() + "\", which is no part", "Name a part of the rig");
      } else if (part.get().kind().positions().stream().noneMatch(p -> p.id().equals(moved.to()))) {
        faults.add(
            where,
            "it moves %s to \"%s\", which it has not".formatted(moved.part(), moved.to()),
            "Use one of "
                + part.get().kind().positions().stream()
                    .map(Position::id)
                    .collect(Collectors.joining(", ")));
      }
    }
  }

  private void kind(String where, Kind kind) {
    for (Property property : kind.properties()) {
      property.amount().ifPresent(x -> faults.property(where, property.asked(), x));
    }
    kind.clashes().forEach(c -> faults.add(where, c.fault(), c.mend()));
    if (kind instanceof Tank tank) {
      new TankRules(faults).check(where, tank);
    } else if (kind instanceof Valve valve) {
      valve(where, valve);
    }
  }

  private void valve(String where, Valve valve) {
    Set<String> ids = new HashSet<>();
    if (valve.stops().size() < 2) {
      faults.add(where, "a valve needs two positions or more", "Describe each stop of its handle");
    }
    for (Stop stop : valve.stops()) {
      String which = where + ", position " + stop.id();
      faults.name(which, stop.id(), stop.words());
      if (!ids.add(stop.id())) {
        faults.add(which, "the position is listed twice", "Give one of them another id");
      }
      faults.size(which, "angle", stop.angle(), -360, 360);
      Set<String> joined = new HashSet<>();
      for (List<String> group : stop.joins()) {
        if (group.size() < 2) {
          faults.add(
              which, "it joins fewer than two ports", "Name two ports, or leave the group out");
        }
        for (String port : group) {
          if (!valve.ports().contains(port)) {
            faults.add(
                which,
                "the valve has no port \"" + port + "\"",
                "Use " + String.join(", ", valve.ports()));
          } else if (!joined.add(port)) {
            faults.add(which, "it joins port \"" + port + "\" twice", "Name each port once");
          }
        }
      }
    }
    valve.motor().ifPresent(motor -> motor(where, motor, ids));
  }

  private void motor(String where, Motor motor, Set<String> stops) {
    faults.size(where, "travel time", motor.travelTime(), 0, 600);
    motor
        .opensBelow()
        .ifPresent(t -> faults.size(where, "temperature it opens at", t, 233.15, 300));
    motor
        .unpowered()
        .filter(stop -> !stops.contains(stop))
        .ifPresent(stop ->
            faults.add(
                where,
                "without power it would take a position \"" + stop + "\" that it does not have",
                "Name one of its own positions"));
  }

  private void lines(List<Part> parts, List<Line> lines) {
    Map<String, Part> byId = new HashMap<>();
    parts.forEach(p -> byId.putIfAbsent(p.id(), p));
    Set<String> ids = new HashSet<>();
    Map<PortRef, String> used = new HashMap<>();
    for (Line line : lines) {
      String where = "line " + line.id();
      faults.name(where, line.id(), line.label());
      if (!ids.add(line.id())) {
        faults.add(where, "the id is used twice", "Give one of them another id");
      }
      for (PortRef end : List.of(line.from(), line.to())) {
        end(where, byId, end);
        String other = used.putIfAbsent(end, line.id());
        if (other != null) {
          faults.add(
              where,
              "port " + end + " is already joined to line " + other,
              "Put a tee between them, or use another port");
        }
      }
      faults.size(where, "bore", line.bore(), 1e-3, 0.5);
      faults.size(where, "length", line.length(), 1e-3, RigFaults.LONGEST);
      faults.size(where, "minor loss", line.minorLoss(), 0, 1000);
      for (ProfilePoint point : line.profile()) {
        faults.size(where, "profile height", point.height(), -5, 10);
        if (!(point.along() >= 0 && point.along() <= line.length())) {
          faults.add(where, "its profile leaves the line", "Keep along between 0 and its length");
        }
      }
    }
  }

  private void end(String where, Map<String, Part> parts, PortRef end) {
    Part part = parts.get(end.part());
    if (part == null) {
      faults.add(where, "there is no part \"" + end.part() + "\"", "Add the part or join another");
    } else if (!part.kind().ports().contains(end.port())) {
      faults.add(
          where,
          "part " + part.id() + " has no port \"" + end.port() + "\"",
          "Use one of " + String.join(", ", part.kind().ports()));
    }
  }
}
