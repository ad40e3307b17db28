package fernwort.app.live;

import fernwort.core.hazard.Severity;
import fernwort.core.live.Alarm;
import fernwort.core.live.AlarmCode;
import fernwort.core.live.LiveRig;
import fernwort.core.live.MotorCommand;
import fernwort.core.live.SignalKind;
import fernwort.core.live.Value;
import fernwort.core.say.Message;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What programs and pages are told of what is live. */
public final class LiveAnswers {

  private LiveAnswers() {}

  /**
   * The connection.
   *
   * @param since since when it is there, or was lost
   * @param url where the broker is; empty where nobody said
   * @param why what the broker or the network said when it did not come about
   */
  public record Connection(
      boolean connected, @Nullable Instant since, String url, String user, String why) {}

  /**
   * What a signal tells.
   *
   * @param value what counts, in the unit of its kind: of a level the median of half a minute
   * @param raw what was told last
   * @param at when that was
   * @param age how old it is (s)
   * @param state live, stale, lost or moving
   */
  public record SignalNow(
      String name,
      String kind,
      @Nullable String part,
      @Nullable String place,
      @Nullable String line,
      @Nullable String tray,
      String unit,
      @Nullable Object value,
      @Nullable Object raw,
      @Nullable Instant at,
      @Nullable Double age,
      String state,
      String topic) {

    static SignalNow of(LiveRig.Told told) {
      SignalText text = SignalText.of(told.signal());
      boolean known = told.raw().isPresent();
      return new SignalNow(
          told.signal().name(),
          told.signal().kind().written(),
          text.part(),
          text.place(),
          text.line(),
          text.tray(),
          told.signal().kind().unit(),
          plain(told.value()),
          plain(told.raw()),
          known ? told.at() : null,
          known ? Math.rint(told.age()) : null,
          told.state().written(),
          told.signal().source().topic());
    }

    private static @Nullable Object plain(Optional<Value> value) {
      return switch (value.orElse(null)) {
        case null -> null;
        case Value.Amount amount -> amount.amount();
        case Value.Contact contact -> contact.on();
        case Value.Stop stop -> stop.position().value();
      };
    }

    /** Tells whether it is of this kind. */
    public boolean is(SignalKind other) {
      return kind.equals(other.written());
    }
  }

  /**
   * An alarm.
   *
   * @param part the part, place or line it is about
   * @param gone when its cause went; null while it is there
   * @param seen when somebody saw it; null before
   * @param by who saw it
   * @param quietUntil until when it makes no noise
   */
  public record AlarmNow(
      String id,
      AlarmCode code,
      Severity grade,
      String part,
      Message words,
      Instant since,
      @Nullable Instant gone,
      @Nullable Instant seen,
      String by,
      @Nullable Instant quietUntil) {

    static AlarmNow of(Alarm alarm) {
      return new AlarmNow(
          alarm.id(),
          alarm.code(),
          alarm.code().grade(),
          alarm.about(),
          Message.kept(alarm.words()),
          alarm.since(),
          alarm.gone().orElse(null),
          alarm.seen().orElse(null),
          alarm.by(),
          alarm.quietUntil().orElse(null));
    }
  }

  /** A command: commanded and moving, reached, assumed, failed, or replaced by another. */
  public record CommandNow(String id, String part, String position, String state, Instant at) {
    static CommandNow of(MotorCommand command) {
      return new CommandNow(
          command.id(),
          command.part().value(),
          command.position().value(),
          command.state().written(),
          command.at());
    }
  }

  /**
   * A property that a device offers.
   *
   * @param value what it told last
   * @param at when it did
   */
  public record FoundNow(
      String device,
      String node,
      String property,
      String topic,
      String datatype,
      String unit,
      boolean settable,
      String value,
      @Nullable Instant at) {

    static FoundNow of(Discovery.Found found) {
      return new FoundNow(
          found.device(),
          found.node(),
          found.property(),
          found.topic(),
          found.datatype(),
          found.unit(),
          found.settable(),
          found.value(),
          found.at().orElse(null));
    }
  }
}
