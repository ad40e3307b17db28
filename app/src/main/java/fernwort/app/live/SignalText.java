package fernwort.app.live;

import com.fasterxml.jackson.annotation.JsonInclude;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PositionId;
import fernwort.core.live.Signal;
import fernwort.core.live.SignalKind;
import fernwort.core.say.Refusal;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A signal as programs and the database write it.
 *
 * @param kind level, switch, leak, flow, total, pressure, temperature, pump, position, pitch, roll
 * @param part the part it tells of
 * @param place the place it tells of
 * @param line the line it tells of
 * @param tray the part or place whose tray it is in
 * @param as how a level is told: volume, height, share or raw
 * @param height how high a float switch is above the inside floor (m)
 * @param wet the value that means water
 * @param topic where its messages come from
 * @param pointer where in a JSON payload its value is
 * @param scale what the number is multiplied by (1)
 * @param offset what is added after that
 * @param command how a motor is told to move
 * @param alarmAbove it is an alarm from here up (in the unit of the kind)
 * @param alarmBelow it is an alarm from here down (in the unit of the kind)
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record SignalText(
    @Nullable String kind,
    @Nullable String part,
    @Nullable String place,
    @Nullable String line,
    @Nullable String tray,
    @Nullable String as,
    @Nullable Double height,
    @Nullable String wet,
    @Nullable String topic,
    @Nullable String pointer,
    @Nullable Double scale,
    @Nullable Double offset,
    @Nullable Command command,
    @Nullable Double alarmAbove,
    @Nullable Double alarmBelow) {

  /**
   * How a motor is told to move.
   *
   * @param topic where commands go
   * @param payloads what is sent for each position
   * @param lost where its board turns it by itself when the link is lost; left out where it stays
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  public record Command(
      @Nullable String topic, @Nullable Map<PositionId, String> payloads, @Nullable String lost) {}

  /**
   * Returns the signal.
   *
   * @param name what it is called
   * @throws Refusal naming what is missing
   */
  public Signal signal(String name) {
    SignalKind is = SignalKind.of(text(kind));
    return new Signal(
        name,
        is,
        subject(is),
        told(),
        Optional.ofNullable(height),
        text(wet),
        new Signal.Source(
            text(topic), text(pointer), scale == null ? 1 : scale, offset == null ? 0 : offset),
        Optional.ofNullable(command)
            .map(c ->
                new Signal.Drive(
                    text(c.topic()),
                    c.payloads() == null ? Map.of() : c.payloads(),
                    PositionId.of(text(c.lost())))),
        new Signal.Marks(Optional.ofNullable(alarmAbove), Optional.ofNullable(alarmBelow)));
  }

  /**
   * Returns it with other marks.
   *
   * @param above it is an alarm from here up (in the unit of the kind); null for none
   * @param below it is an alarm from here down (in the unit of the kind); null for none
   */
  public SignalText marked(@Nullable Double above, @Nullable Double below) {
    return new SignalText(
        kind, part, place, line, tray, as, height, wet, topic, pointer, scale, offset, command,
        above, below);
  }

  private Signal.Subject subject(SignalKind is) {
    if (part != null) {
      return new Signal.Subject(SignalKind.Where.PART, PartId.of(part));
    }
    if (line != null) {
      return new Signal.Subject(SignalKind.Where.LINE, LineId.of(line));
    }
    if (place != null) {
      return place.equals("outside")
          ? new Signal.Subject(SignalKind.Where.OUTSIDE, PlaceId.NONE)
          : new Signal.Subject(SignalKind.Where.PLACE, PlaceId.of(place));
    }
    if (tray != null) {
      return new Signal.Subject(SignalKind.Where.TRAY, PartId.of(tray));
    }
    if (is.tellsOf(SignalKind.Where.VEHICLE)) {
      return new Signal.Subject(SignalKind.Where.VEHICLE, PartId.NONE);
    }
    if (is.tellsOf(SignalKind.Where.OUTSIDE)) {
      return new Signal.Subject(SignalKind.Where.OUTSIDE, PartId.NONE);
    }
    throw new Refusal(Says.SAY_WHAT_IT_TELLS_OF.with(is.written()));
  }

  private Signal.As told() {
    if (as == null || as.isEmpty()) {
      return Signal.As.VOLUME;
    }
    try {
      return Signal.As.valueOf(as.toUpperCase(Locale.ROOT));
    } catch (IllegalArgumentException e) {
      throw new Refusal(Says.A_LEVEL_IS_TOLD_AS.with(as));
    }
  }

  private static String text(@Nullable String text) {
    return text == null ? "" : text;
  }

  /** Writes a signal. */
  public static SignalText of(Signal signal) {
    Signal.Subject on = signal.on();
    boolean level = signal.kind() == SignalKind.LEVEL;
    return new SignalText(
        signal.kind().written(),
        id(on, SignalKind.Where.PART),
        on.where() == SignalKind.Where.OUTSIDE ? "outside" : id(on, SignalKind.Where.PLACE),
        id(on, SignalKind.Where.LINE),
        id(on, SignalKind.Where.TRAY),
        level ? signal.as().name().toLowerCase(Locale.ROOT) : null,
        signal.height().orElse(null),
        signal.wet().isEmpty() ? null : signal.wet(),
        signal.source().topic(),
        signal.source().pointer().isEmpty() ? null : signal.source().pointer(),
        signal.source().scale() == 1 ? null : signal.source().scale(),
        signal.source().offset() == 0 ? null : signal.source().offset(),
        signal
            .drive()
            .map(d ->
                new Command(d.topic(), d.payloads(), d.lost().isEmpty() ? null : d.lost().value()))
            .orElse(null),
        signal.marks().above().orElse(null),
        signal.marks().below().orElse(null));
  }

  private static @Nullable String id(Signal.Subject on, SignalKind.Where where) {
    return on.where() == where ? on.id().value() : null;
  }
}
