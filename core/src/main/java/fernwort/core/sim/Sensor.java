package fernwort.core.sim;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Motor;
import fernwort.core.kind.Purpose;
import fernwort.core.live.Signal;
import fernwort.core.live.SignalKind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A sensor or a motor of a simulated rig.
 *
 * @param name what it is called, for topics
 * @param kind what it tells of
 * @param on the thing that it tells of
 */
public record Sensor(String name, SignalKind kind, Signal.Subject on) {

  /** So many leak contacts lie on the floors of places; own choice. */
  private static final int LEAK_CONTACTS = 4;

  /** Returns what a rig has: a level for each tank, contacts, motors, one flow, temperatures. */
  static List<Sensor> of(Rig rig) {
    List<Sensor> all = new ArrayList<>();
    rig.tanks().forEach(t -> all.add(part(t, SignalKind.LEVEL, "level")));
    rig.parts().stream()
        .filter(p -> p.kind().setsItself() && p.hasHandle())
        .forEach(p ->
            all.add(
                p.kind().is(Purpose.DRIVES)
                    ? part(p, SignalKind.PUMP, "runs")
                    : part(p, SignalKind.POSITION, "position")));
    leaks(rig, all);
    flow(rig)
        .ifPresent(l ->
            all.add(
                new Sensor(
                    l.id() + "-flow",
                    SignalKind.FLOW,
                    new Signal.Subject(SignalKind.Where.LINE, l.id()))));
    all.add(
        new Sensor(
            "outside-temperature",
            SignalKind.TEMPERATURE,
            new Signal.Subject(SignalKind.Where.OUTSIDE, PartId.NONE)));
    places(rig).forEach(p -> all.add(place(p, SignalKind.TEMPERATURE, "temperature")));
    return List.copyOf(all);
  }

  private static void leaks(Rig rig, List<Sensor> all) {
    List<Sensor> leaks = new ArrayList<>();
    rig.parts().stream()
        .filter(p -> p.kind().is(Purpose.CATCHES))
        .forEach(p ->
            leaks.add(
                new Sensor(
                    p.id() + "-leak",
                    SignalKind.LEAK,
                    new Signal.Subject(SignalKind.Where.TRAY, p.id()))));
    places(rig).forEach(p -> leaks.add(place(p, SignalKind.LEAK, "leak")));
    all.addAll(leaks.subList(0, Math.min(LEAK_CONTACTS, leaks.size())));
  }

  /** Places in which water stands under pressure or in a tank. */
  private static List<Place> places(Rig rig) {
    return rig.places().stream()
        .filter(place ->
            rig.parts().stream()
                .filter(p -> p.place().equals(place.id()))
                .anyMatch(p -> p.kind().is(Purpose.DRIVES) || p.kind().motor().isPresent()))
        .toList();
  }

  /** The line behind the pump that supplies the taps. */
  private static Optional<Line> flow(Rig rig) {
    return rig.parts().stream()
        .filter(p -> p.kind().is(Purpose.SUPPLIES))
        .findFirst()
        .flatMap(p -> Optional.ofNullable(rig.linesByPort().get(p.port(PortId.OUT))));
  }

  private static Sensor part(Part part, SignalKind kind, String what) {
    return new Sensor(
        part.id() + "-" + what, kind, new Signal.Subject(SignalKind.Where.PART, part.id()));
  }

  private static Sensor place(Place place, SignalKind kind, String what) {
    return new Sensor(
        place.id() + "-" + what, kind, new Signal.Subject(SignalKind.Where.PLACE, place.id()));
  }

  /** Tells whether it can be told to move. */
  public boolean canMove() {
    return kind == SignalKind.POSITION || kind == SignalKind.PUMP;
  }

  /** Returns how long it takes from one position to the next (s). */
  static double travel(Part part) {
    return part.kind().motor().map(Motor::travelTime).orElse(0.0);
  }
}
