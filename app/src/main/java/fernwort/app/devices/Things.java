package fernwort.app.devices;

import fernwort.app.live.SignalText;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.tank.Contents;
import fernwort.core.live.SignalKind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What a sensor can tell of in a rig, and in which units, as a person chooses it. */
final class Things {

  private static final String SEPARATOR = "|";

  private final Rig rig;

  Things(Rig rig) {
    this.rig = rig;
  }

  /**
   * Something that can be chosen.
   *
   * @param key kind and thing, for the form
   * @param words what it is called
   * @param group under which heading
   */
  record Thing(String key, String words, String group) {}

  /** Returns all that can be chosen, the usual first. */
  List<Thing> all() {
    List<Thing> all = new ArrayList<>();
    rig.tanks()
        .sorted(
            java.util.Comparator.comparing((Part p) -> !p.kind().holds(Contents.FRESH))
                .thenComparing(Part::label))
        .forEach(t -> add(all, SignalKind.LEVEL, "part", t.id().value(), t.label(), Says.LEVELS));
    rig.places()
        .forEach(p -> add(all, SignalKind.LEAK, "place", p.id().value(), p.label(), Says.LEAKS));
    rig.parts().stream()
        .filter(p -> p.kind().is(Purpose.CATCHES))
        .forEach(p -> add(all, SignalKind.LEAK, "part", p.id().value(), p.label(), Says.LEAKS));
    rig.parts().stream()
        .filter(p -> p.kind().is(Purpose.TURNS) && p.kind().setsItself())
        .forEach(
            p -> add(all, SignalKind.POSITION, "part", p.id().value(), p.label(), Says.MOTORS));
    rig.parts().stream()
        .filter(p -> p.kind().is(Purpose.PUMPS))
        .forEach(p -> add(all, SignalKind.PUMP, "part", p.id().value(), p.label(), Says.PUMPS));
    all.add(
        new Thing(
            key(SignalKind.TEMPERATURE, "place", "outside"),
            Says.OUTSIDE.text(),
            Says.TEMPERATURES.text()));
    rig.places()
        .forEach(p ->
            add(
                all,
                SignalKind.TEMPERATURE,
                "place",
                p.id().value(),
                p.label(),
                Says.TEMPERATURES));
    rig.tanks()
        .forEach(t ->
            add(all, SignalKind.TEMPERATURE, "part", t.id().value(), t.label(), Says.TEMPERATURES));
    rig.tanks()
        .forEach(
            t -> add(all, SignalKind.SWITCH, "part", t.id().value(), t.label(), Says.SWITCHES));
    for (SignalKind kind : List.of(SignalKind.FLOW, SignalKind.TOTAL, SignalKind.PRESSURE)) {
      rig.lines().forEach(l -> add(all, kind, "line", l.id().value(), l.label(), heading(kind)));
    }
    all.add(new Thing(key(SignalKind.PITCH, "", ""), Says.NOSE_UP.text(), Says.LEAN.text()));
    all.add(new Thing(key(SignalKind.ROLL, "", ""), Says.LEFT_UP.text(), Says.LEAN.text()));
    return all;
  }

  private static Says heading(SignalKind kind) {
    return switch (kind) {
      case FLOW -> Says.FLOWS;
      case TOTAL -> Says.TOTALS;
      default -> Says.PRESSURES;
    };
  }

  private static void add(
      List<Thing> all, SignalKind kind, String where, String id, String label, Says group) {
    all.add(new Thing(key(kind, where, id), label, group.text()));
  }

  private static String key(SignalKind kind, String where, String id) {
    return kind.written() + SEPARATOR + where + SEPARATOR + id;
  }

  /** Returns what can be chosen under its headings. */
  Map<String, List<Thing>> byGroup() {
    Map<String, List<Thing>> groups = new LinkedHashMap<>();
    all().forEach(t -> groups.computeIfAbsent(t.group(), g -> new ArrayList<>()).add(t));
    return groups;
  }

  /** In what a sensor may tell its number. */
  enum In {
    LITRES("L", 0.001, Signal.VOLUME),
    PERCENT("%", 0.01, Signal.SHARE),
    US_GALLONS(Says.US_GALLONS.text(), 0.003785411784, Signal.VOLUME),
    MILLIMETRES("mm", 0.001, Signal.HEIGHT),
    CENTIMETRES("cm", 0.01, Signal.HEIGHT),
    CUBIC_METRES("m³", 1, Signal.VOLUME),
    STEPS("steps", 1, Signal.RAW),
    LITRES_A_MINUTE("L/min", 0.001 / 60, Signal.FLOW),
    BAR("bar", 1e5, Signal.PRESSURE),
    PSI("psi", 6894.757293168, Signal.PRESSURE),
    CELSIUS("°C", 1, Signal.OTHER),
    FAHRENHEIT("°F", 5.0 / 9, Signal.OTHER);

    private enum Signal {
      VOLUME,
      SHARE,
      HEIGHT,
      RAW,
      FLOW,
      PRESSURE,
      OTHER
    }

    private final String sign;
    private final double scale;
    private final Signal as;

    In(String sign, double scale, Signal as) {
      this.sign = sign;
      this.scale = scale;
      this.as = as;
    }

    /** Returns its sign. */
    public String sign() {
      return sign;
    }

    static Optional<In> of(String sign) {
      for (In in : values()) {
        if (in.sign.equalsIgnoreCase(sign.strip())) {
          return Optional.of(in);
        }
      }
      return Optional.empty();
    }
  }

  /** Fahrenheit is 0 at so many degrees Celsius. */
  private static final double FAHRENHEIT_ZERO = -160.0 / 9;

  /**
   * What was entered.
   *
   * @param thing what it tells of
   * @param topic where it comes from
   * @param pointer where in a JSON payload
   * @param in in what it tells its number
   * @param height how high a float switch is (m)
   * @param wet what means water
   * @param command where a motor is told to move; empty for nowhere
   * @param texts what is sent for each position
   * @param lost where its board turns it when the link is lost; empty where it stays
   */
  record Entered(
      String thing,
      String topic,
      String pointer,
      String in,
      @Nullable Double height,
      String wet,
      String command,
      Map<PositionId, String> texts,
      String lost) {}

  /**
   * Returns what was entered as a signal.
   *
   * @throws Refusal naming what is missing
   */
  SignalText text(Entered e) {
    String[] chosen = e.thing().split("\\|", -1);
    if (chosen.length != 3) {
      throw new Refusal(Says.CHOOSE_WHAT_IT_TELLS_OF.with());
    }
    SignalKind kind = SignalKind.of(chosen[0]);
    boolean level = kind == SignalKind.LEVEL;
    In in = In.of(e.in()).orElse(level ? In.LITRES : In.CELSIUS);
    boolean amount = kind.form() == SignalKind.Form.AMOUNT;
    Double scale = amount ? (Double) scale(kind, in) : null;
    return new SignalText(
        kind.written(),
        id(chosen, "part"),
        id(chosen, "place"),
        id(chosen, "line"),
        null,
        level ? as(in) : null,
        kind == SignalKind.SWITCH ? e.height() : null,
        e.wet().strip(),
        e.topic().strip(),
        e.pointer().strip(),
        scale,
        in == In.FAHRENHEIT && kind == SignalKind.TEMPERATURE ? FAHRENHEIT_ZERO : null,
        e.command().isBlank()
            ? null
            : new SignalText.Command(
                e.command().strip(), e.texts(), e.lost().isBlank() ? null : e.lost()),
        null,
        null);
  }

  private static @Nullable String id(String[] chosen, String where) {
    return chosen[1].equals(where) ? chosen[2] : null;
  }

  private static double scale(SignalKind kind, In in) {
    return switch (kind) {
      case LEVEL ->
          in.as == In.Signal.OTHER || in.as == In.Signal.FLOW ? In.LITRES.scale : in.scale;
      case TOTAL -> in.as == In.Signal.VOLUME ? in.scale : In.LITRES.scale;
      case FLOW -> In.LITRES_A_MINUTE.scale;
      case PRESSURE -> in.as == In.Signal.PRESSURE ? in.scale : In.BAR.scale;
      case TEMPERATURE -> in == In.FAHRENHEIT ? in.scale : 1;
      case SWITCH, LEAK, PUMP, POSITION, PITCH, ROLL -> 1;
    };
  }

  private static String as(In in) {
    return switch (in.as) {
      case SHARE -> "share";
      case HEIGHT -> "height";
      case RAW -> "raw";
      case VOLUME, FLOW, PRESSURE, OTHER -> "volume";
    };
  }

  /** Returns a name for a signal that is not taken yet, from what it tells of. */
  String name(Entered e, java.util.Set<String> taken) {
    String[] chosen = e.thing().split("\\|", -1);
    String thing = chosen.length == 3 && !chosen[2].isEmpty() ? chosen[2] + "-" : "";
    String base = (thing + chosen[0]).toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9._-]+", "-");
    String name = base.length() > 50 ? base.substring(0, 50) : base;
    int n = 2;
    String free = name;
    while (taken.contains(free)) {
      free = name + "-" + n;
      n++;
    }
    return free;
  }

  /** Returns what a thing of the rig is called. */
  String label(String thing) {
    if (rig.partsById().containsKey(PartId.of(thing))) {
      return rig.part(PartId.of(thing)).label();
    }
    return rig.places().stream()
        .filter(p -> p.id().value().equals(thing))
        .map(Place::label)
        .findFirst()
        .or(() ->
            rig.lines().stream()
                .filter(l -> l.id().value().equals(thing))
                .map(l -> l.label())
                .findFirst())
        .orElse(thing);
  }
}
