package fernwort.core.fault;

import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What a person can look at on a rig, with the work it is. */
final class Checks {

  // Minutes of work; our own estimates.
  private static final double TURN = 0.5;
  private static final double GLANCE = 1;
  private static final double METER = 2;
  private static final double WAIT = 5;
  private static final double LONG_WAIT = 30;
  private static final double FEEL = 6;
  private static final double FEEL_ALL = 8;
  private static final double UNDO = 10;

  /** So many complaints are looked at again with a handle turned; own choice. */
  private static final int MOST_COMPLAINTS = 2;

  private static final double SOON = 300;
  private static final double LATE = 1800;

  private final Rig rig;
  private final Setting noted;
  private final List<Check> all = new ArrayList<>();

  /**
   * Something to look at.
   *
   * @param look without what is seen
   * @param minutes of work
   */
  record Check(Observation look, double minutes) {}

  private Checks(Rig rig, Setting noted) {
    this.rig = rig;
    this.noted = noted;
  }

  /**
   * Returns what can be looked at.
   *
   * @param noted where handles stand as far as anybody knows
   * @param complaints what was seen that should not be: looked at again with one handle turned
   * @param feeling how lines are felt along
   */
  static List<Check> of(
      Rig rig, Setting noted, List<Observation> complaints, FaultFinder.Feeling feeling) {
    Checks checks = new Checks(rig, noted);
    complaints.stream().limit(MOST_COMPLAINTS).forEach(checks::otherwise);
    checks.taps();
    rig.parts().forEach(checks::part);
    rig.places().forEach(checks::place);
    rig.lines().forEach(checks::line);
    if (feeling == FaultFinder.Feeling.PLACE_BY_PLACE) {
      rig.places().forEach(p -> checks.add(Look.INSPECT, p.id(), FEEL_ALL));
    }
    return checks.all;
  }

  private void add(Look kind, ElementId on, double minutes) {
    add(kind, on, Map.of(), Optional.empty(), minutes);
  }

  private void add(
      Look kind,
      ElementId on,
      Map<PartId, PositionId> positions,
      Optional<Double> seconds,
      double minutes) {
    Map<PartId, PositionId> otherwise = new TreeMap<>(positions);
    all.add(new Check(new Observation(kind, on, "", otherwise, seconds), minutes));
  }

  /** The same once more with one handle turned, which says on which side of it the fault is. */
  private void otherwise(Observation complaint) {
    double minutes =
        switch (complaint.kind()) {
          case WATER, PUMP -> TURN;
          case WARMTH -> METER;
          case LEVEL, DRAIN -> complaint.seconds().orElse(SOON) > SOON ? LONG_WAIT : WAIT;
          case WET, BUCKET, DIP, HANDLE, POWER, INSPECT -> 0;
        };
    if (minutes == 0) {
      return;
    }
    for (Part handle : rig.parts()) {
      if (handle.kind().is(Purpose.TURNS) && !complaint.positions().containsKey(handle.id())) {
        for (Position position : handle.kind().positions()) {
          if (!noted.has(handle.id(), position.id())) {
            Map<PartId, PositionId> turned = new TreeMap<>(complaint.positions());
            turned.put(handle.id(), position.id());
            add(complaint.kind(), complaint.on(), turned, complaint.seconds(), minutes + GLANCE);
          }
        }
      }
    }
  }

  /** Each tap open with all others shut, and all shut. */
  private void taps() {
    List<Part> taps =
        rig.parts().stream().filter(p -> p.kind().is(Purpose.USE) && p.hasHandle()).toList();
    Map<PartId, PositionId> shut = new TreeMap<>();
    taps.forEach(t -> shut.put(t.id(), t.rest().id()));
    List<Part> pumps = rig.parts().stream().filter(p -> p.kind().is(Purpose.DRIVES)).toList();
    for (Part tap : taps) {
      for (Position way : tap.kind().positions()) {
        if (!way.equals(tap.rest()) && !way.id().equals(PositionId.of("warm"))) {
          Map<PartId, PositionId> at = new TreeMap<>(shut);
          at.put(tap.id(), way.id());
          add(Look.WATER, tap.id(), at, Optional.empty(), TURN);
          if (way.id().equals(PositionId.of("hot"))) {
            add(Look.WARMTH, tap.id(), at, Optional.empty(), METER);
          }
          pumps.stream()
              .filter(p -> p.kind().is(Purpose.PUMPS))
              .limit(1)
              .forEach(p -> add(Look.PUMP, p.id(), at, Optional.empty(), TURN));
          if (rig.linesByPort().containsKey(tap.port(PortId.WASTE))) {
            add(Look.DRAIN, tap.id(), at, Optional.of(SOON), GLANCE);
          }
        }
      }
    }
    for (Part pump : pumps) {
      add(Look.PUMP, pump.id(), shut, Optional.empty(), TURN);
      add(Look.POWER, pump.id(), METER);
    }
    rig.tanks().forEach(t -> add(Look.LEVEL, t.id(), shut, Optional.of(LATE), LONG_WAIT));
  }

  private void part(Part part) {
    Kind kind = part.kind();
    PartId id = part.id();
    if (kind.is(Purpose.HOLDS)) {
      add(Look.DIP, id, GLANCE);
      add(Look.LEVEL, id, Map.of(), Optional.of(SOON), WAIT);
    }
    if (kind.is(Purpose.HEATS) || kind.motor().isPresent()) {
      add(Look.POWER, id, METER);
    }
    boolean stands = kind.faults().stream().anyMatch(f -> f.kind().isOfPosition());
    if (stands && kind.motor().isEmpty() && part.hasHandle()) {
      add(Look.HANDLE, id, GLANCE);
    }
    boolean outside =
        kind.is(Purpose.INLET) && !part.rest().id().equals(noted.of(id)) && part.hasHandle();
    if (outside) {
      add(Look.BUCKET, id, METER);
      add(Look.WATER, id, TURN);
    }
    if (kind.is(Purpose.OUTLET)) {
      add(Look.WATER, id, TURN);
    }
    if (kind.faults().stream().anyMatch(f -> !f.kind().isOfPosition() && !kind.is(Purpose.HOLDS))) {
      add(Look.INSPECT, id, UNDO);
    }
  }

  private void place(Place place) {
    add(Look.WET, place.id(), GLANCE);
  }

  private void line(Line line) {
    add(Look.WET, line.id(), GLANCE);
    add(Look.INSPECT, line.id(), FEEL);
  }
}
