package fernwort.app.fault;

import fernwort.core.fault.FaultWords;
import fernwort.core.fault.Look;
import fernwort.core.fault.Observation;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** What somebody sees first: each thing of a rig with what can be wrong with it, in plain words. */
final class Complaints {

  private static final double HALF_AN_HOUR = 1800;

  private final Rig rig;
  private final Setting noted;
  private final Map<PartId, PositionId> shut = new TreeMap<>();
  private List<Thing> things = new ArrayList<>();

  /**
   * A thing and what can be seen of it.
   *
   * @param on id of the part, line or place
   * @param label what people call it
   */
  record Thing(String on, String label, List<Choice> choices) {}

  /** Things of one sort. */
  record Group(String label, List<Thing> things) {}

  /** One thing that can be seen. */
  record Choice(String words, String seen) {}

  private Complaints(Rig rig, Setting noted) {
    this.rig = rig;
    this.noted = noted;
    taps().forEach(t -> shut.put(t.id(), t.rest().id()));
  }

  /**
   * Returns what can be seen.
   *
   * @param noted how handles stand
   */
  static List<Group> of(Rig rig, Setting noted) {
    Complaints all = new Complaints(rig, noted);
    return List.of(
            all.group(Says.TAPS, () -> all.taps().forEach(all::tap)),
            all.group(
                Says.PUMPS,
                () ->
                    rig.parts().stream()
                        .filter(p -> p.kind().is(Purpose.DRIVES))
                        .forEach(all::pump)),
            all.group(Says.TANKS, () -> rig.tanks().forEach(all::tank)),
            all.group(Says.HOSES, all::hoses),
            all.group(Says.PLACES, () -> rig.places().forEach(all::place)))
        .stream()
        .filter(g -> !g.things().isEmpty())
        .toList();
  }

  /** Returns the parts, lines and places of which something can be seen: what can be picked. */
  static Set<ElementId> pickable(Rig rig) {
    Set<ElementId> all = new HashSet<>();
    rig.parts().forEach(p -> all.add(p.id()));
    rig.lines().forEach(l -> all.add(l.id()));
    rig.places().forEach(p -> all.add(p.id()));
    return all;
  }

  /**
   * Returns what can be seen of one thing; of a part or line without any of its own that it is wet.
   *
   * @param noted how handles stand
   * @param on id of a part, line or place
   * @throws Refusal when the rig has nothing of this id
   */
  static List<Thing> at(Rig rig, Setting noted, String on) {
    ElementId named =
        pickable(rig).stream()
            .filter(p -> p.value().equals(on))
            .findFirst()
            .orElseThrow(() -> new Refusal(Says.NOTHING_OF_THIS_NAME.with(on)));
    List<Thing> own =
        of(rig, noted).stream()
            .flatMap(g -> g.things().stream())
            .filter(t -> t.on().equals(on))
            .toList();
    List<Thing> all = new ArrayList<>(own);
    if (!(named instanceof PlaceId)) {
      all.add(
          new Thing(
              on,
              own.isEmpty() ? new FaultWords(rig).label(on) : Says.AROUND_IT.text(),
              List.of(choice(Says.IS_WET, Look.WET, named, "wet", Map.of(), Optional.empty()))));
    }
    return all;
  }

  /** Something that a sensor sees: water at a place, a level that falls, a pump that runs on. */
  record Told(Look what, ElementId on) {}

  /**
   * Returns what sensors see, as what somebody would see; nothing where they see nothing.
   *
   * @param noted how handles stand
   */
  static List<Group> told(Rig rig, Setting noted, List<Told> told) {
    Complaints all = new Complaints(rig, noted);
    Group group =
        all.group(
            Says.SENSORS,
            () -> {
              for (Told one : told) {
                boolean part = rig.partsById().containsKey(one.on());
                switch (one.what()) {
                  case WET ->
                      all.place(
                          rig.place(part ? rig.part(one.on().part()).place() : one.on().place()));
                  case LEVEL -> all.falls(rig.part(one.on().part()));
                  default -> all.runsOn(rig.part(one.on().part()));
                }
              }
            });
    return group.things().isEmpty() ? List.of() : List.of(group);
  }

  private void falls(Part tank) {
    Optional<Double> later = Optional.of(HALF_AN_HOUR);
    things.add(
        new Thing(
            tank.id().value(),
            tank.label(),
            List.of(choice(Says.FALLS, Look.LEVEL, tank.id(), "falls", shut, later))));
  }

  private void runsOn(Part pump) {
    things.add(
        new Thing(
            pump.id().value(),
            pump.label(),
            List.of(choice(Says.RUNS_ON, Look.PUMP, pump.id(), "runs", shut, Optional.empty()))));
  }

  private Group group(Says label, Runnable fill) {
    things = new ArrayList<>();
    fill.run();
    return new Group(label.text(), things);
  }

  private void hoses() {
    rig.parts().stream()
        .filter(p -> p.kind().is(Purpose.INLET) && !noted.has(p.id(), p.rest().id()))
        .forEach(this::inlet);
    rig.parts().stream()
        .filter(p -> p.kind().is(Purpose.OUTLET) && !p.kind().is(Purpose.VENTS))
        .forEach(this::outlet);
  }

  private List<Part> taps() {
    return rig.parts().stream().filter(p -> p.kind().is(Purpose.USE) && p.hasHandle()).toList();
  }

  private static Choice choice(
      Says words,
      Look kind,
      ElementId on,
      String value,
      Map<PartId, PositionId> at,
      Optional<Double> s) {
    return new Choice(words.text(), SeenText.of(new Observation(kind, on, value, at, s)));
  }

  private void tap(Part tap) {
    for (Position way : tap.kind().positions()) {
      if (!way.equals(tap.rest()) && !way.id().equals(PositionId.of("warm"))) {
        Map<PartId, PositionId> at = new TreeMap<>(shut);
        at.put(tap.id(), way.id());
        boolean two = tap.kind().positions().size() > 2;
        List<Choice> choices = new ArrayList<>();
        choices.add(choice(Says.NO_WATER, Look.WATER, tap.id(), "none", at, Optional.empty()));
        choices.add(choice(Says.LITTLE_WATER, Look.WATER, tap.id(), "weak", at, Optional.empty()));
        choices.add(
            choice(Says.WATER_AND_AIR, Look.WATER, tap.id(), "spitting", at, Optional.empty()));
        if (way.id().equals(PositionId.of("hot"))) {
          choices.add(choice(Says.NOT_WARM, Look.WARMTH, tap.id(), "cold", at, Optional.empty()));
          choices.add(
              choice(Says.LUKEWARM, Look.WARMTH, tap.id(), "lukewarm", at, Optional.empty()));
        } else {
          choices.add(
              choice(Says.RUNS_OFF_BADLY, Look.DRAIN, tap.id(), "backs-up", at, Optional.empty()));
          choices.add(choice(Says.SMELLS, Look.DRAIN, tap.id(), "smells", at, Optional.empty()));
        }
        things.add(
            new Thing(
                tap.id().value(), two ? tap.label() + ", " + way.id() : tap.label(), choices));
      }
    }
  }

  private void pump(Part pump) {
    List<Choice> choices = new ArrayList<>();
    choices.add(choice(Says.SILENT, Look.PUMP, pump.id(), "silent", Map.of(), Optional.empty()));
    choices.add(choice(Says.RUNS_ON, Look.PUMP, pump.id(), "runs", shut, Optional.empty()));
    choices.add(
        choice(Says.STARTS_AGAIN, Look.PUMP, pump.id(), "starts-again", shut, Optional.empty()));
    choices.add(choice(Says.HUMS, Look.PUMP, pump.id(), "hums", Map.of(), Optional.empty()));
    things.add(new Thing(pump.id().value(), pump.label(), choices));
  }

  private void tank(Part tank) {
    Optional<Double> later = Optional.of(HALF_AN_HOUR);
    things.add(
        new Thing(
            tank.id().value(),
            tank.label(),
            List.of(
                choice(Says.FALLS, Look.LEVEL, tank.id(), "falls", shut, later),
                choice(Says.RISES, Look.LEVEL, tank.id(), "rises", shut, later),
                choice(
                    Says.IT_STAYS, Look.LEVEL, tank.id(), "steady", Map.of(), Optional.empty()))));
  }

  private void inlet(Part inlet) {
    things.add(
        new Thing(
            inlet.id().value(),
            inlet.label(),
            List.of(
                choice(
                    Says.NOTHING_GOES_IN,
                    Look.WATER,
                    inlet.id(),
                    "none",
                    Map.of(),
                    Optional.empty()),
                choice(
                    Says.FILLS_SLOWLY,
                    Look.WATER,
                    inlet.id(),
                    "weak",
                    Map.of(),
                    Optional.empty()))));
  }

  private void outlet(Part outlet) {
    things.add(
        new Thing(
            outlet.id().value(),
            outlet.label(),
            List.of(
                choice(Says.RUNS_OUT, Look.WATER, outlet.id(), "runs", Map.of(), Optional.empty()),
                choice(
                    Says.NOTHING_RUNS_OUT,
                    Look.WATER,
                    outlet.id(),
                    "none",
                    Map.of(),
                    Optional.empty()))));
  }

  private void place(Place place) {
    things.add(
        new Thing(
            place.id().value(),
            place.label(),
            List.of(choice(Says.IS_WET, Look.WET, place.id(), "wet", Map.of(), Optional.empty()))));
  }
}
