package fernwort.app.rig;

import fernwort.app.web.Field;
import fernwort.app.web.ValvePicture;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Motor;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Valve;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

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

  private final Function<PortId, String> ports;

  /**
   * Makes the form.
   *
   * @param ports what the ports of the valve are called
   */
  HandleForm(Function<PortId, String> ports) {
    this.ports = ports;
  }

  /** Handle words and orientation are set by looking at the real valve. */
  List<Field> fields(Valve valve) {
    List<Field> fields = new ArrayList<>();
    for (Stop stop : valve.stops()) {
      fields.add(
          Field.text(
              "words-" + stop.id(),
              Says.HANDLE_WHEN_IT.filled(joins(stop.joins())),
              stop.words(),
              Says.AS_IT_LOOKS.text()));
      fields.add(turn("angle-" + stop.id(), Says.THE_LEVER_POINTS.text(), stop.angle()));
    }
    fields.add(Field.choice("new-joins", Says.ONE_MORE_POSITION_WHICH.text(), "", joinsOf(valve)));
    fields.add(
        Field.text(
            "new-words", Says.ITS_HANDLE.text(), "", Says.A_POSITION_LEFT_EMPTY_IS_REMOVED.text()));
    fields.add(turn("new-angle", Says.ITS_FREE_END_POINTS.text(), 0));
    fields.add(
        Field.choice(
            "design",
            Says.CLOSED_BY_A.text(),
            valve.design().map(Values::key).orElse(""),
            designs()));
    fields.add(Field.tick("motor", Says.HAS_A_MOTOR.text(), valve.motor().isPresent(), ""));
    List<Field.Option> rest = new ArrayList<>();
    rest.add(new Field.Option("", Says.STAYS_AS_IT_IS.text()));
    valve.stops().forEach(s -> rest.add(new Field.Option(s.id().value(), s.words())));
    fields.add(
        Field.choice(
            "unpowered",
            Says.WITHOUT_POWER_THE_MOTOR.text(),
            valve.motor().flatMap(Motor::unpowered).orElse(PositionId.NONE).value(),
            rest));
    fields.add(
        Field.tick(
            "frost",
            Says.TAKES_THAT_POSITION_BY_ITSELF.text(),
            valve.motor().flatMap(Motor::opensBelow).isPresent(),
            Says.IT_LETS_HEATER_AND_TANK_RUN.text()));
    return fields;
  }

  /** Returns a three-way valve in each of its positions. */
  List<ValvePicture> pictures(Valve valve) {
    return valve.stops().stream()
        .map(s -> ValvePicture.of(s.words(), s.angle(), s.joins(), ports, joins(s.joins())))
        .toList();
  }

  private static List<Field.Option> designs() {
    List<Field.Option> options = new ArrayList<>();
    options.add(new Field.Option("", Says.BALL_AS_MOST_ARE.text()));
    options.addAll(Values.options(Valve.Design.class));
    return options;
  }

  /** Returns what shuts the valve, as the form has it; nothing when nobody said. */
  static Optional<Valve.Design> design(Values v) {
    return v.text("design").isEmpty()
        ? Optional.empty()
        : Optional.of(v.choice("design", Says.CLOSED_BY_A.text(), Valve.Design.class));
  }

  /** What a position joins, in words. */
  private String joins(List<List<PortId>> groups) {
    return groups.isEmpty()
        ? Says.CLOSES_ALL.text()
        : groups.stream().map(this::joined).collect(Collectors.joining(Says.AND.text()));
  }

  private String joined(List<PortId> group) {
    return "joins " + group.stream().map(ports).collect(Collectors.joining(" with "));
  }

  /** Where a handle points: four pictures, and the angle that it has if it is none of them. */
  private static Field turn(String name, String label, double angle) {
    String now = String.format(Locale.ROOT, "%.0f", ((angle % 360) + 360) % 360);
    List<Field.Option> options = new ArrayList<>(TURNS);
    if (options.stream().noneMatch(o -> o.value().equals(now))) {
      options.add(new Field.Option(now, Says.BETWEEN_AT.filled(now)));
    }
    return Field.turn(name, label, now, options);
  }

  /** What a position can join, as a person sees it from the ports. */
  private List<Field.Option> joinsOf(Valve valve) {
    List<Field.Option> options = new ArrayList<>();
    options.add(new Field.Option("", Says.NONE_MORE.text()));
    options.add(new Field.Option("shut", Says.CLOSES_ALL.text()));
    List<PortId> ends = valve.ports();
    for (int i = 0; i < ends.size(); i++) {
      for (int j = i + 1; j < ends.size(); j++) {
        String pair = ends.get(i) + "-" + ends.get(j);
        options.add(new Field.Option(pair, joined(List.of(ends.get(i), ends.get(j)))));
      }
    }
    if (ends.size() > 2) {
      options.add(
          new Field.Option(
              ends.stream().map(PortId::value).collect(Collectors.joining("-")),
              Says.JOINS_ALL.text()));
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
                : v.plain("angle-" + s.id(), Says.WHERE_THE_HANDLE_POINTS.text());
        stops.add(new Stop(s.id(), words, angle, s.joins()));
      }
    }
    String joins = v.text("new-joins");
    if (joinsOf(valve).stream().noneMatch(o -> o.value().equals(joins))) {
      throw new Refusal(Says.ONE_MORE_POSITION_CANNOT.with(joins));
    }
    if (!joins.isEmpty()) {
      List<List<PortId>> groups =
          joins.equals("shut")
              ? List.of()
              : List.of(Stream.of(joins.split("-")).map(PortId::of).toList());
      double angle = v.plain("new-angle", Says.WHERE_THE_NEW_POSITIONS_HANDLE.text());
      stops.add(new Stop(freeId(stops, joins), v.text("new-words"), angle, groups));
    }
    return stops;
  }

  private static PositionId freeId(List<Stop> stops, String wanted) {
    PositionId id = PositionId.of(wanted);
    for (int n = 2; taken(stops, id); n++) {
      id = PositionId.of(wanted + "-" + n);
    }
    return id;
  }

  private static boolean taken(List<Stop> stops, PositionId id) {
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
            new Motor(
                Optional.of(PositionId.of(v.text("unpowered"))).filter(u -> !u.isEmpty()),
                travel,
                cold))
        : Optional.empty();
  }
}
