package fernwort.app.rig;

import fernwort.app.web.Field;
import fernwort.core.kind.Motor;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Valve;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** The handle of a valve: how it looks in each position, what it joins there, its motor. */
final class HandleForm {

  /** Where a heater's frost valve opens, unless told (K). */
  private static final double FROST = 278.15;

  private static final List<Field.Option> TURNS =
      List.of(
          new Field.Option("0", "right"),
          new Field.Option("90", "up"),
          new Field.Option("180", "left"),
          new Field.Option("270", "down"));

  private final UnaryOperator<String> ports;

  /**
   * Makes the form.
   *
   * @param ports what the ports of the valve are called
   */
  HandleForm(UnaryOperator<String> ports) {
    this.ports = ports;
  }

  /** Handle words and orientation are set by looking at the real valve. */
  List<Field> fields(Valve valve) {
    List<Field> fields = new ArrayList<>();
    for (Stop stop : valve.stops()) {
      fields.add(
          Field.text(
              "words-" + stop.id(),
              "Handle when it " + joins(stop.joins()),
              stop.words(),
              "As it looks to you, such as “across the pipe”."));
      fields.add(turn("angle-" + stop.id(), "The lever points", stop.angle()));
    }
    fields.add(Field.choice("new-joins", "One more position, which", "", joinsOf(valve)));
    fields.add(Field.text("new-words", "Its handle", "", "A position left empty is removed."));
    fields.add(turn("new-angle", "Its free end points", 0));
    fields.add(
        Field.choice(
            "design", "Closed by a", valve.design().map(Values::key).orElse(""), designs()));
    fields.add(Field.tick("motor", "Has a motor", valve.motor().isPresent(), ""));
    List<Field.Option> rest = new ArrayList<>();
    rest.add(new Field.Option("", "stays as it is"));
    valve.stops().forEach(s -> rest.add(new Field.Option(s.id(), s.words())));
    fields.add(
        Field.choice(
            "unpowered",
            "Without power the motor",
            valve.motor().flatMap(Motor::unpowered).orElse(""),
            rest));
    fields.add(
        Field.tick(
            "frost",
            "Takes that position by itself near 5 °C, as a frost valve",
            valve.motor().flatMap(Motor::opensBelow).isPresent(),
            "It lets heater and tank run out in the cold or without power."));
    return fields;
  }

  private static List<Field.Option> designs() {
    List<Field.Option> options = new ArrayList<>();
    options.add(new Field.Option("", "ball, as most are"));
    options.addAll(Values.options(Valve.Design.class));
    return options;
  }

  /** Returns what shuts the valve, as the form has it; nothing when nobody said. */
  static Optional<Valve.Design> design(Values v) {
    return v.text("design").isEmpty()
        ? Optional.empty()
        : Optional.of(v.choice("design", "Closed by a", Valve.Design.class));
  }

  /** What a position joins, in words. */
  private String joins(List<List<String>> groups) {
    return groups.isEmpty()
        ? "closes all"
        : groups.stream().map(this::joined).collect(Collectors.joining(", and "));
  }

  private String joined(List<String> group) {
    return "joins " + group.stream().map(ports).collect(Collectors.joining(" with "));
  }

  /** Where a handle points: four pictures, and the angle that it has if it is none of them. */
  private static Field turn(String name, String label, double angle) {
    String now = String.format(Locale.ROOT, "%.0f", ((angle % 360) + 360) % 360);
    List<Field.Option> options = new ArrayList<>(TURNS);
    if (options.stream().noneMatch(o -> o.value().equals(now))) {
      options.add(new Field.Option(now, "between, at " + now + "°"));
    }
    return Field.turn(name, label, now, options);
  }

  /** What a position can join, as a person sees it from the ports. */
  private List<Field.Option> joinsOf(Valve valve) {
    List<Field.Option> options = new ArrayList<>();
    options.add(new Field.Option("", "none more"));
    options.add(new Field.Option("shut", "closes all"));
    List<String> ends = valve.ports();
    for (int i = 0; i < ends.size(); i++) {
      for (int j = i + 1; j < ends.size(); j++) {
        String pair = ends.get(i) + "-" + ends.get(j);
        options.add(new Field.Option(pair, joined(List.of(ends.get(i), ends.get(j)))));
      }
    }
    if (ends.size() > 2) {
      options.add(new Field.Option(String.join("-", ends), "joins all"));
    }
    return options;
  }

  /** The positions as the form has them: those whose words were emptied gone, a new one added. */
  List<Stop> stops(Valve valve, Values v) {
    List<Stop> stops = new ArrayList<>();
    for (Stop s : valve.stops()) {
      String words = v.text("words-" + s.id());
      if (!words.isEmpty()) {
        double angle =
            v.isAsShown("angle-" + s.id())
                ? s.angle()
                : v.plain("angle-" + s.id(), "Where the handle points");
        stops.add(new Stop(s.id(), words, angle, s.joins()));
      }
    }
    String joins = v.text("new-joins");
    if (joinsOf(valve).stream().noneMatch(o -> o.value().equals(joins))) {
      throw new Refusal(
          "One more position: “" + joins + "” cannot be chosen; pick one of the list");
    }
    if (!joins.isEmpty()) {
      List<List<String>> groups =
          joins.equals("shut") ? List.of() : List.of(List.of(joins.split("-")));
      double angle = v.plain("new-angle", "Where the new position's handle points");
      stops.add(new Stop(freeId(stops, joins), v.text("new-words"), angle, groups));
    }
    return stops;
  }

  private static String freeId(List<Stop> stops, String wanted) {
    String id = wanted;
    for (int n = 2; taken(stops, id); n++) {
      id = wanted + "-" + n;
    }
    return id;
  }

  private static boolean taken(List<Stop> stops, String id) {
    return stops.stream().anyMatch(s -> s.id().equals(id));
  }

  /** Returns the motor, as the form has it. */
  static Optional<Motor> motor(Valve valve, Values v) {
    double travel = valve.motor().map(Motor::travelTime).orElse(6.0);
    Optional<Double> cold =
        v.tick("frost")
            ? valve.motor().flatMap(Motor::opensBelow).or(() -> Optional.of(FROST))
            : Optional.empty();
    return v.tick("motor")
        ? Optional.of(
            new Motor(Optional.of(v.text("unpowered")).filter(u -> !u.isEmpty()), travel, cold))
        : Optional.empty();
  }
}
