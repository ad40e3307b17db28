package fernwort.core.rig;

import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Moved;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.say.Refusal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A whole rig. Making one checks it, so that whoever holds a rig holds a sound one.
 *
 * @param name what its people call it
 * @param note what else is worth knowing
 * @param vehicle the vehicle
 * @param places where the parts are
 * @param parts the parts
 * @param lines what joins them
 * @param built how they are put together
 */
public record Rig(
    String name,
    String note,
    Vehicle vehicle,
    List<Place> places,
    List<Part> parts,
    List<Line> lines,
    Built built) {

  /** Makes a rig that is put together as usual. */
  public Rig(
      String name,
      String note,
      Vehicle vehicle,
      List<Place> places,
      List<Part> parts,
      List<Line> lines) {
    this(name, note, vehicle, places, parts, lines, Built.AS_USUAL);
  }

  /**
   * @throws InvalidRigException with every fault, when the description is no sound rig
   */
  public Rig {
    places = List.copyOf(places);
    parts = List.copyOf(parts);
    lines = List.copyOf(lines);
    List<Problem> problems = RigRules.problems(name, vehicle, places, parts, lines, built);
    if (!problems.isEmpty()) {
      throw new InvalidRigException(problems);
    }
  }

  /** Returns this rig put together so; what is said of what it lacks is left out. */
  public Rig with(Built changed) {
    return new Rig(name, note, vehicle, places, parts, lines, changed.within(parts));
  }

  /**
   * Returns the part with this id.
   *
   * @throws Refusal when there is none
   */
  public Part part(PartId id) {
    // A loop: nothing is asked more often.
    for (Part part : parts) {
      if (part.id().equals(id)) {
        return part;
      }
    }
    throw id.missing();
  }

  /** Returns the place with this id. */
  public Place place(PlaceId id) {
    return places.stream().filter(p -> p.id().equals(id)).findFirst().orElseThrow(id::missing);
  }

  /**
   * Returns the line with this id.
   *
   * @throws Refusal when there is none
   */
  public Line line(LineId id) {
    return lines.stream().filter(l -> l.id().equals(id)).findFirst().orElseThrow(id::missing);
  }

  /**
   * Returns what of the rig has this id: a part, else a line, else a place.
   *
   * @throws Refusal when nothing has it
   */
  public ElementId element(String id) {
    for (Part part : parts) {
      if (part.id().value().equals(id)) {
        return part.id();
      }
    }
    for (Line line : lines) {
      if (line.id().value().equals(id)) {
        return line.id();
      }
    }
    return place(PlaceId.of(id)).id();
  }

  /** Returns the parts that are tanks. */
  public Stream<Part> tanks() {
    return parts.stream().filter(p -> p.kind() instanceof Tank);
  }

  /** Returns the tanks that are meant for this water. */
  public Stream<Part> tanks(Contents contents) {
    return tanks().filter(p -> ((Tank) p.kind()).contents() == contents);
  }

  /** Tells whether anything on board heats water. */
  public boolean hasHeater() {
    return parts.stream().anyMatch(p -> p.kind().is(Purpose.HEATS));
  }

  /** Returns the parts that a hand can set. */
  public Stream<Part> handles() {
    return parts.stream().filter(Part::hasHandle);
  }

  /** Returns the parts by id, in the order they are listed. */
  public Map<PartId, Part> partsById() {
    return parts.stream()
        .collect(Collectors.toMap(Part::id, Function.identity(), (a, b) -> a, LinkedHashMap::new));
  }

  /** Returns the line at a port, by port. */
  public Map<PortRef, Line> linesByPort() {
    Map<PortRef, Line> byPort = new LinkedHashMap<>();
    for (Line line : lines) {
      byPort.put(line.from(), line);
      byPort.put(line.to(), line);
    }
    return byPort;
  }

  /** Returns the setting with everything as it is left at rest. */
  public Setting atRest() {
    Map<PartId, PositionId> positions = new TreeMap<>();
    handles().forEach(p -> positions.put(p.id(), p.rest().id()));
    return new Setting(positions);
  }

  /**
   * Returns a setting that was kept of this rig as it applies today: each handle where it was, as
   * far as it still is there and has that position, else at rest.
   */
  public Setting fitted(Map<PartId, PositionId> kept) {
    Map<PartId, PositionId> positions = new TreeMap<>();
    handles()
        .forEach(p -> {
          PositionId stood = kept.get(p.id());
          boolean has = p.kind().positions().stream().anyMatch(at -> at.id().equals(stood));
          positions.put(p.id(), stood != null && has ? stood : p.rest().id());
        });
    return new Setting(positions);
  }

  /** Returns the switch that moves a part along with others, if one does. */
  public Optional<Part> gangOf(PartId part) {
    return parts.stream()
        .filter(p -> p.kind().moves().stream().anyMatch(m -> m.part().equals(part)))
        .findFirst();
  }

  /**
   * Returns where the other parts on one switch go when a part is put in a position, by id: with it
   * when that is how the switch puts it, to their rest when it was.
   */
  public Map<PartId, PositionId> movedAlong(Setting at, PartId part, PositionId to) {
    Map<PartId, PositionId> along = new TreeMap<>();
    List<Moved> moves = gangOf(part).map(g -> g.kind().moves()).orElse(List.of());
    for (Moved own : moves) {
      boolean on = own.to().equals(to);
      if (own.part().equals(part) && (on || at.has(part, own.to()))) {
        moves.stream()
            .filter(m -> !m.part().equals(part))
            .filter(m -> on || at.has(m.part(), m.to()))
            .forEach(m -> along.put(m.part(), on ? m.to() : part(m.part()).rest().id()));
      }
    }
    along.entrySet().removeIf(e -> at.has(e.getKey(), e.getValue()));
    return along;
  }

  /**
   * Returns what a hand does to put a part from one position into another, as a sentence; one
   * switch is named, with all that it moves.
   */
  public String act(Part part, PositionId from, PositionId to) {
    return gangOf(part.id())
        .filter(gang -> part.kind().positions().stream().anyMatch(p -> p.id().equals(to)))
        .map(gang -> {
          String words = part.kind().act(gang.label(), from, to);
          String moved =
              gang.kind().moves().stream()
                  .map(m -> part(m.part()).label())
                  .collect(Collectors.joining(", "));
          return words.substring(0, words.length() - 1) + ": " + moved + ".";
        })
        .orElseGet(() -> part.kind().act(part.label(), from, to));
  }

  /** Returns a setting with a part turned, and with it what hangs on one switch with it. */
  public Setting turned(Setting at, PartId part, PositionId to) {
    Setting turned = at.with(part, to);
    for (Map.Entry<PartId, PositionId> other : movedAlong(at, part, to).entrySet()) {
      turned = turned.with(other.getKey(), other.getValue());
    }
    return turned;
  }

  /**
   * Returns where everything belongs that runs, gives water, heats or stands open, once nobody uses
   * it: pumps and heaters off, taps shut, hoses off and caps on. Valves are not among it.
   */
  public Map<PartId, PositionId> shutDown() {
    Map<PartId, PositionId> shut = new TreeMap<>();
    handles()
        .filter(p -> !p.kind().is(Purpose.TURNS))
        .forEach(p -> shut.put(p.id(), p.rest().id()));
    return shut;
  }

  /** Returns what a setting becomes when the power fails. */
  public Setting withoutPower(Setting setting) {
    Map<PartId, PositionId> dark = new TreeMap<>(setting.positions());
    parts.forEach(p -> p.kind().unpowered().ifPresent(rest -> dark.put(p.id(), rest)));
    return new Setting(dark);
  }

  /**
   * Returns the position a part would be in.
   *
   * @throws Refusal in one sentence, when part or position do not exist
   */
  public Position position(PartId partId, PositionId positionId) {
    Part part = part(partId);
    if (!part.hasHandle()) {
      throw new Refusal(Says.HAS_NOTHING_TO_TURN_OR_SWITCH.with(part.label()));
    }
    return part.kind().positions().stream()
        .filter(p -> p.id().equals(positionId))
        .findFirst()
        .orElseThrow(() ->
            new Refusal(
                Says.HAS_NO_POSITION_IT_CAN_BE.with(
                    part.label(),
                    positionId,
                    part.kind().positions().stream()
                        .map(p -> "\"" + p.id() + "\"")
                        .collect(Collectors.joining(", ")))));
  }
}
