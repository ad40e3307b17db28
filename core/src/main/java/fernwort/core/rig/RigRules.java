package fernwort.core.rig;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Motor;
import fernwort.core.kind.Moved;
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
          Says.THE_RIG.text(),
          Says.ITS_NAME_IS_EMPTY_OR_LONGER.text(),
          Says.GIVE_IT_A_SHORT_NAME.text());
    }
    if (parts.size() > MOST_PARTS) {
      rules.faults.add(
          Says.THE_RIG.text(),
          Says.IT_HAS_PARTS.filled(parts.size()),
          Says.KEEP_TO.filled(MOST_PARTS));
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
    String where = Says.THE_VEHICLE.text();
    faults.size(where, "rear", v.rear(), -RigFaults.LONGEST, RigFaults.LONGEST);
    faults.size(where, "nose", v.nose(), -RigFaults.LONGEST, RigFaults.LONGEST);
    faults.size(where, "width", v.width(), 0.1, 10);
    faults.size(where, "floor", v.floor(), 0, 5);
    faults.size(where, "roof", v.roof(), 0, 10);
    faults.size(where, "clearance", v.clearance(), 0, 3);
    if (v.nose() <= v.rear()) {
      faults.add(
          where, Says.ITS_NOSE_IS_NOT_AHEAD.text(), Says.MAKE_NOSE_LARGER_THAN_REAR_X.text());
    }
    if (v.roof() <= v.floor()) {
      faults.add(
          where,
          Says.ITS_ROOF_IS_NOT_ABOVE_ITS_FLOOR.text(),
          Says.MAKE_ROOF_LARGER_THAN_FLOOR.text());
    }
    if (v.axles().isEmpty()) {
      faults.add(where, Says.IT_HAS_NO_AXLE.text(), Says.ADD_AT_LEAST_ONE_AXLE.text());
    }
    for (Axle axle : v.axles()) {
      String which = "axle " + axle.label();
      faults.size(which, "x", axle.x(), -RigFaults.LONGEST, RigFaults.LONGEST);
      faults.size(which, "limit", axle.limit(), 0, 100_000);
      faults.size(which, Says.EMPTY_LOAD.text(), axle.emptyLoad(), 0, 100_000);
    }
    v.hitch()
        .ifPresent(h -> {
          faults.size(Says.THE_HITCH.text(), "x", h.x(), -RigFaults.LONGEST, RigFaults.LONGEST);
          faults.size(Says.THE_HITCH.text(), "lowest", h.lowest(), 0, 100_000);
          faults.size(Says.THE_HITCH.text(), "highest", h.highest(), 0, 100_000);
          h.emptyLoad()
              .ifPresent(e ->
                  faults.size(Says.THE_HITCH.text(), Says.EMPTY_LOAD.text(), e, -1000, 100_000));
        });
  }

  private void places(List<Place> places) {
    Set<PlaceId> seen = new HashSet<>();
    for (Place place : places) {
      String where = "place " + place.id();
      faults.name(where, place.id().value(), place.label());
      if (!seen.add(place.id())) {
        faults.add(
            where, Says.THE_ID_IS_USED_TWICE.text(), Says.GIVE_ONE_OF_THEM_ANOTHER_ID.text());
      }
      faults.size(where, "x", place.x(), -RigFaults.LONGEST, RigFaults.LONGEST);
      faults.size(where, "y", place.y(), -RigFaults.LONGEST, RigFaults.LONGEST);
      faults.size(where, "z", place.z(), -5, 10);
      place.warmth().ifPresent(w -> faults.size(where, Says.SHARE_OF_WARMTH.text(), w, 0, 1));
      place.heating().ifPresent(h -> faults.size(where, "heating", h, 0, 10_000));
    }
    if (places.size() > MOST_PLACES) {
      faults.add(
          Says.THE_RIG.text(),
          Says.IT_HAS_PLACES.filled(places.size()),
          Says.KEEP_TO.filled(MOST_PLACES));
    }
    if (places.isEmpty()) {
      faults.add(
          Says.THE_RIG.text(), Says.IT_HAS_NO_PLACE.text(), Says.ADD_A_PLACE_FOR_ITS_PARTS.text());
    }
  }

  private void parts(List<Part> parts, List<Place> places) {
    Set<PlaceId> placeIds = places.stream().map(Place::id).collect(Collectors.toSet());
    Set<PartId> seen = new HashSet<>();
    for (Part part : parts) {
      String where = "part " + part.id();
      faults.name(where, part.id().value(), part.label());
      if (!seen.add(part.id())) {
        faults.add(
            where, Says.THE_ID_IS_USED_TWICE.text(), Says.GIVE_ONE_OF_THEM_ANOTHER_ID.text());
      }
      if (!placeIds.contains(part.place())) {
        faults.add(
            where,
            Says.THERE_IS_NO_PLACE.filled(part.place()),
            Says.ADD_THE_PLACE_OR_NAME_ANOTHER.text());
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
            where,
            Says.IT_MOVES_WHICH_IS_NO_PART.filled(moved.part()),
            Says.NAME_A_PART_OF_THE_RIG_FIRST.text());
      } else if (part.get().kind().positions().stream().noneMatch(p -> p.id().equals(moved.to()))) {
        faults.add(
            where,
            Says.IT_MOVES_TO_WHICH_IT_HAS_NOT.filled(moved.part(), moved.to()),
            Says.USE_ONE_OF.filled(
                part.get().kind().positions().stream()
                    .map(p -> p.id().value())
                    .collect(Collectors.joining(", "))));
      }
    }
  }

  private void kind(String where, Kind kind) {
    for (Property property : kind.properties()) {
      property.amount().ifPresent(x -> faults.property(where, property.asked(), x));
    }
    kind.clashes().forEach(c -> faults.add(where, c.fault(), c.fix()));
    if (kind instanceof Tank tank) {
      new TankRules(faults).check(where, tank);
    } else if (kind instanceof Valve valve) {
      valve(where, valve);
    }
  }

  private void valve(String where, Valve valve) {
    Set<PositionId> ids = new HashSet<>();
    if (valve.stops().size() < 2) {
      faults.add(
          where,
          Says.A_VALVE_NEEDS_TWO_POSITIONS.text(),
          Says.DESCRIBE_EACH_STOP_OF_ITS_HANDLE.text());
    }
    for (Stop stop : valve.stops()) {
      String which = Says.POSITION.filled(where, stop.id());
      faults.name(which, stop.id().value(), stop.words());
      if (!ids.add(stop.id())) {
        faults.add(
            which,
            Says.THE_POSITION_IS_LISTED_TWICE.text(),
            Says.GIVE_ONE_OF_THEM_ANOTHER_ID.text());
      }
      faults.size(which, "angle", stop.angle(), -360, 360);
      Set<PortId> joined = new HashSet<>();
      for (List<PortId> group : stop.joins()) {
        if (group.size() < 2) {
          faults.add(
              which,
              Says.IT_JOINS_FEWER_THAN_TWO_PORTS.text(),
              Says.NAME_TWO_PORTS_OR_LEAVE.text());
        }
        for (PortId port : group) {
          if (!valve.ports().contains(port)) {
            faults.add(
                which,
                Says.THE_VALVE_HAS_NO_PORT.filled(port),
                "Use " + PortId.listed(valve.ports()));
          } else if (!joined.add(port)) {
            faults.add(
                which, Says.IT_JOINS_PORT_TWICE.filled(port), Says.NAME_EACH_PORT_ONCE.text());
          }
        }
      }
    }
    valve.motor().ifPresent(motor -> motor(where, motor, ids));
  }

  private void motor(String where, Motor motor, Set<PositionId> stops) {
    faults.size(where, Says.TRAVEL_TIME.text(), motor.travelTime(), 0, 600);
    motor
        .opensBelow()
        .ifPresent(t -> faults.size(where, Says.TEMPERATURE_IT_OPENS_AT.text(), t, 233.15, 300));
    motor
        .unpowered()
        .filter(stop -> !stops.contains(stop))
        .ifPresent(stop ->
            faults.add(
                where,
                Says.WITHOUT_POWER_IT_WOULD_TAKE.filled(stop),
                Says.NAME_ONE_OF_ITS_OWN_POSITIONS.text()));
  }

  private void lines(List<Part> parts, List<Line> lines) {
    Map<PartId, Part> byId = new HashMap<>();
    parts.forEach(p -> byId.putIfAbsent(p.id(), p));
    Set<LineId> ids = new HashSet<>();
    Map<PortRef, LineId> used = new HashMap<>();
    for (Line line : lines) {
      String where = "line " + line.id();
      faults.name(where, line.id().value(), line.label());
      if (!ids.add(line.id())) {
        faults.add(
            where, Says.THE_ID_IS_USED_TWICE.text(), Says.GIVE_ONE_OF_THEM_ANOTHER_ID.text());
      }
      for (PortRef end : List.of(line.from(), line.to())) {
        end(where, byId, end);
        LineId other = used.putIfAbsent(end, line.id());
        if (other != null) {
          faults.add(
              where,
              Says.PORT_IS_ALREADY_JOINED_TO_LINE.filled(end, other),
              Says.PUT_A_TEE_BETWEEN_THEM_OR_USE.text());
        }
      }
      faults.size(where, "bore", line.bore(), 1e-3, 0.5);
      faults.size(where, "length", line.length(), 1e-3, RigFaults.LONGEST);
      faults.size(where, Says.MINOR_LOSS.text(), line.minorLoss(), 0, 1000);
      for (ProfilePoint point : line.profile()) {
        faults.size(where, Says.PROFILE_HEIGHT.text(), point.height(), -5, 10);
        if (!(point.along() >= 0 && point.along() <= line.length())) {
          faults.add(
              where, Says.ITS_PROFILE_LEAVES_THE_LINE.text(), Says.KEEP_ALONG_BETWEEN_0.text());
        }
      }
    }
  }

  private void end(String where, Map<PartId, Part> parts, PortRef end) {
    Part part = parts.get(end.part());
    if (part == null) {
      faults.add(
          where,
          Says.THERE_IS_NO_PART.filled(end.part()),
          Says.ADD_THE_PART_OR_JOIN_ANOTHER.text());
    } else if (!part.kind().ports().contains(end.port())) {
      faults.add(
          where,
          Says.PART_HAS_NO_PORT.filled(part.id(), end.port()),
          Says.USE_ONE_OF.filled(PortId.listed(part.kind().ports())));
    }
  }
}
