package fernwort.app.devices;

import fernwort.app.live.LiveAnswers.SignalNow;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.id.PartId;
import fernwort.core.kind.Position;
import fernwort.core.live.SignalKind;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A signal as a row of the page.
 *
 * @param name what it is called
 * @param what what it tells of, such as Level of Fore fresh
 * @param value what it tells, in the reader's units; a dash where nothing came yet
 * @param age how old that is; empty where nothing came yet
 * @param seconds the same as a number (s); empty where nothing came yet
 * @param state live, moving, stale or lost, in words
 * @param bad whether it cannot be trusted
 * @param part the part that can be told to move; empty for none
 * @param moves to which positions
 * @param raw a level as it was told last (m³); null for others
 */
record SignalRow(
    String name,
    String what,
    String value,
    String age,
    String seconds,
    String state,
    boolean bad,
    String topic,
    String part,
    List<Position> moves,
    @Nullable Double raw) {

  private static final int MINUTE = 60;
  private static final int HOUR = 3600;
  private static final int DAY = 86_400;

  static SignalRow of(SignalNow signal, Rig rig, boolean canMove, Units units) {
    SignalKind kind = SignalKind.of(signal.kind());
    String thing =
        Stream.of(signal.part(), signal.place(), signal.line(), signal.tray())
            .filter(Objects::nonNull)
            .findFirst()
            .orElse("");
    boolean known = signal.value() != null;
    String part = canMove && signal.part() != null ? signal.part() : "";
    return new SignalRow(
        signal.name(),
        what(kind, thing, new Things(rig)),
        known ? value(kind, signal, rig, units) : "–",
        signal.age() == null ? "" : age(signal.age()),
        signal.age() == null ? "" : Long.toString(Math.round(signal.age())),
        state(signal.state(), known),
        known && (signal.state().equals("stale") || signal.state().equals("lost")),
        signal.topic(),
        part,
        part.isEmpty() ? List.of() : rig.part(PartId.of(part)).kind().positions(),
        kind == SignalKind.LEVEL && signal.raw() instanceof Double level ? level : null);
  }

  private static String what(SignalKind kind, String thing, Things things) {
    String label = thing.equals("outside") ? Says.OUTSIDE.text() : things.label(thing);
    return switch (kind) {
      case LEVEL -> Says.LEVEL_OF.filled(label);
      case SWITCH -> Says.SWITCH_OF.filled(label);
      case LEAK -> Says.LEAK_AT.filled(label);
      case FLOW -> Says.FLOW_IN.filled(label);
      case TOTAL -> Says.TOTAL_OF.filled(label);
      case PRESSURE -> Says.PRESSURE_IN.filled(label);
      case TEMPERATURE -> Says.TEMPERATURE_OF.filled(label);
      case PUMP -> Says.PUMP_RUNS.filled(label);
      case POSITION -> Says.POSITION_OF.filled(label);
      case PITCH -> Says.NOSE_UP.text();
      case ROLL -> Says.LEFT_UP.text();
    };
  }

  /** Returns what it tells, in the reader's units. */
  static String value(SignalKind kind, SignalNow signal, Rig rig, Units units) {
    Object value = Objects.requireNonNull(signal.value());
    return switch (kind) {
      case LEVEL, TOTAL, FLOW, PRESSURE, TEMPERATURE, PITCH, ROLL ->
          amount(kind, (double) value, units);
      case LEAK, SWITCH -> ((boolean) value ? Says.WET : Says.DRY).text();
      case PUMP -> ((boolean) value ? Says.RUNS : Says.OFF).text();
      case POSITION ->
          rig.part(PartId.of(Objects.requireNonNull(signal.part()))).kind().positions().stream()
              .filter(p -> p.id().equals(value))
              .map(Position::words)
              .findFirst()
              .orElse(value.toString());
    };
  }

  /**
   * Returns an amount in the reader's units.
   *
   * @param amount in the unit of the kind
   */
  static String amount(SignalKind kind, double amount, Units units) {
    return kind.said(amount)
        .map(units::show)
        .orElseGet(() -> String.format(Locale.ROOT, "%.1f°", amount));
  }

  /** Returns what was typed in the unit of the kind; null for nothing. */
  static @Nullable Double parsed(SignalKind kind, String text, Units units) {
    if (text.isBlank()) {
      return null;
    }
    // What is said of nothing is how far its zero lies from that of the unit.
    return kind.said(0)
        .flatMap(zero ->
            Measure.of(zero.quantity())
                .map(m -> units.parse(Says.THE_MARK.text(), m, text) - zero.si()))
        .orElse(null);
  }

  /** Returns the sign of the reader's unit for amounts of a kind. */
  static String sign(SignalKind kind, Units units) {
    return kind.said(0)
        .flatMap(zero -> Measure.of(zero.quantity()))
        .map(m -> units.unit(m).sign())
        .orElse("");
  }

  private static String state(String state, boolean known) {
    return switch (state) {
      case "live" -> Says.LIVE.text();
      case "moving" -> Says.MOVING.text();
      case "stale" -> Says.OLD.text();
      default -> (known ? Says.LOST : Says.NOTHING_YET).text();
    };
  }

  /** Returns how old something is (s), in words. */
  static String age(double seconds) {
    if (seconds < MINUTE) {
      return Says.SECONDS_AGO.filled(Math.round(seconds));
    }
    if (seconds < HOUR) {
      return Says.MINUTES_AGO.filled(Math.round(seconds / MINUTE));
    }
    return seconds < DAY
        ? Says.HOURS_AGO.filled(Math.round(seconds / HOUR))
        : Says.DAYS_AGO.filled(Math.round(seconds / DAY));
  }
}
