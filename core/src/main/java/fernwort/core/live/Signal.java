package fernwort.core.live;

import fernwort.core.id.ElementId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * One property of a device, bound to one thing of a rig.
 *
 * @param name what it is called; one for each signal of a rig
 * @param kind what it tells of
 * @param on the thing that it tells of
 * @param as how a level is told
 * @param height how high a float switch is above the inside floor of its tank (m)
 * @param wet the value that means water, or on; empty for the usual ones
 * @param source where its messages come from
 * @param drive how a motor valve or a pump is told to move, if it can be
 * @param marks at which amounts it is a reason for an alarm
 */
public record Signal(
    String name,
    SignalKind kind,
    Subject on,
    As as,
    Optional<Double> height,
    String wet,
    Source source,
    Optional<Drive> drive,
    Marks marks) {

  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_TOPIC = 200;
  private static final int LONGEST_PAYLOAD = 60;
  private static final Pattern NAME = Pattern.compile("[A-Za-z0-9][A-Za-z0-9._-]*");

  /**
   * The thing that a signal tells of.
   *
   * @param where what sort of thing
   * @param id its id in the rig, empty for outside and the vehicle; of a tray the rig tells whether
   *     it names a part or a place
   */
  public record Subject(SignalKind.Where where, ElementId id) {}

  /** How a level is told. */
  public enum As {
    /** In m³. */
    VOLUME,
    /** In m above the inside floor, at the gauge. */
    HEIGHT,
    /** As a share of the tank, 0 to 1. */
    SHARE,
    /** As the step that the tank's own gauge shows. */
    RAW
  }

  /**
   * Where messages come from.
   *
   * @param topic the topic, without wildcards
   * @param pointer where in a JSON payload the value is (RFC 6901); empty for all of it
   * @param scale what the number is multiplied by (1)
   * @param offset what is added after that (in the unit of the kind)
   */
  public record Source(String topic, String pointer, double scale, double offset) {
    public Source {
      Signal.checkTopic(topic);
      if (!pointer.isEmpty() && !pointer.startsWith("/")) {
        throw new Refusal(Says.A_POINTER_BEGINS_WITH.with(pointer));
      }
      if (pointer.length() > LONGEST_TOPIC) {
        throw new Refusal(Says.THE_POINTER_IS_TOO_LONG.with(LONGEST_TOPIC));
      }
      if (!Double.isFinite(scale) || scale == 0 || !Double.isFinite(offset)) {
        throw new Refusal(Says.THE_SCALE_MUST_BE_A_NUMBER.with());
      }
    }
  }

  /**
   * How a motor is told to move.
   *
   * @param topic where commands go
   * @param payloads what is sent for each position, and what means it when it is reported
   * @param lost where its board turns it by itself when the link is lost; empty where it stays
   */
  public record Drive(String topic, Map<PositionId, String> payloads, PositionId lost) {
    public Drive {
      Signal.checkTopic(topic);
      payloads = new LinkedHashMap<>(payloads);
      payloads.forEach((position, text) -> {
        if (text.isEmpty() || text.length() > LONGEST_PAYLOAD) {
          throw new Refusal(Says.SAY_WHAT_IS_SENT_FOR.with(position, LONGEST_PAYLOAD));
        }
      });
      if (payloads.values().stream().distinct().count() < payloads.size()) {
        throw new Refusal(Says.TWO_POSITIONS_SEND_THE_SAME.with());
      }
    }
  }

  /**
   * What is sent to turn something.
   *
   * @param topic where it is sent
   * @param payload what is sent
   */
  public record Order(String topic, String payload) {}

  /**
   * Returns what is sent to turn something.
   *
   * @param signals what is bound
   * @throws Refusal naming what is missing
   */
  public static Order order(Rig rig, Collection<Signal> signals, Turn turn) {
    Part moved = rig.part(turn.part());
    rig.position(turn.part(), turn.position());
    Drive drive =
        signals.stream()
            .filter(s -> s.on().id().equals(turn.part()))
            .flatMap(s -> s.drive().stream())
            .findFirst()
            .orElseThrow(() -> new Refusal(Says.CANNOT_BE_TOLD.with(moved.label())));
    String payload = drive.payloads().get(turn.position());
    if (payload == null) {
      throw new Refusal(Says.SENDS_NOTHING_FOR.with(turn.position(), moved.label()));
    }
    return new Order(drive.topic(), payload);
  }

  /**
   * The amounts beyond which a signal is a reason for an alarm.
   *
   * @param above it is one from here up (in the unit of the kind)
   * @param below it is one from here down (in the unit of the kind)
   */
  public record Marks(Optional<Double> above, Optional<Double> below) {

    /** No mark. */
    public static final Marks NONE = new Marks(Optional.empty(), Optional.empty());
  }

  public Signal {
    checkName(name);
    boolean sound =
        Stream.of(marks.above(), marks.below())
            .flatMap(Optional::stream)
            .allMatch(m -> kind.said(m).isPresent() && kind.isPlausible(m));
    if (!sound) {
      throw new Refusal(Says.A_MARK_IS_AN_AMOUNT.with(kind.written()));
    }
    if (marks.above().isPresent()
        && marks.below().isPresent()
        && marks.above().get() <= marks.below().get()) {
      throw new Refusal(Says.THE_LOWER_MARK_LIES_UNDER.with());
    }
  }

  /** A signal without marks. */
  public Signal(
      String name,
      SignalKind kind,
      Subject on,
      As as,
      Optional<Double> height,
      String wet,
      Source source,
      Optional<Drive> drive) {
    this(name, kind, on, as, height, wet, source, drive, Marks.NONE);
  }

  /**
   * Checks the name of a signal or a rule.
   *
   * @throws Refusal when it has other characters than letters, digits, dots and dashes
   */
  public static void checkName(String name) {
    if (!NAME.matcher(name).matches() || name.length() > LONGEST_NAME) {
      throw new Refusal(Says.A_NAME_IS_LETTERS.with(name, LONGEST_NAME));
    }
  }

  private static void checkTopic(String topic) {
    if (topic.isEmpty() || topic.length() > LONGEST_TOPIC) {
      throw new Refusal(Says.GIVE_THE_TOPIC.with(LONGEST_TOPIC));
    }
    if (topic.contains("#") || topic.contains("+") || topic.indexOf('\0') >= 0) {
      throw new Refusal(Says.A_TOPIC_WITH_WILDCARDS.with(topic));
    }
    if (topic.startsWith("$")) {
      throw new Refusal(Says.A_TOPIC_OF_THE_BROKER.with(topic));
    }
  }

  /**
   * Checks that a rig has what this signal tells of.
   *
   * @throws Refusal naming what is missing
   */
  public Signal checked(Rig rig) {
    if (!kind.tellsOf(on.where())) {
      throw new Refusal(Says.CANNOT_TELL_OF.with(kind.written(), where()));
    }
    switch (on.where()) {
      case PART -> part(rig);
      case TRAY -> rig.element(on.id().value());
      case PLACE -> rig.place(on.id().place());
      case LINE -> {
        if (rig.lines().stream().noneMatch(l -> l.id().equals(on.id()))) {
          throw new Refusal(Says.THE_RIG_HAS_NO_LINE.with(on.id()));
        }
      }
      case OUTSIDE, VEHICLE -> {}
    }
    return this;
  }

  private String where() {
    return on.where().name().toLowerCase(java.util.Locale.ROOT);
  }

  private void part(Rig rig) {
    Part part = rig.part(on.id().part());
    switch (kind) {
      case LEVEL, SWITCH -> {
        if (!part.kind().is(Purpose.HOLDS)) {
          throw new Refusal(Says.IS_NOT_A_TANK.with(part.label()));
        }
        if (kind == SignalKind.SWITCH && height.isEmpty()) {
          throw new Refusal(Says.SAY_HOW_HIGH_THE_SWITCH_IS.with(part.label()));
        }
      }
      case PUMP -> {
        if (!part.kind().is(Purpose.DRIVES)) {
          throw new Refusal(Says.IS_NOT_A_PUMP.with(part.label()));
        }
      }
      case POSITION -> {
        if (part.kind().positions().isEmpty()) {
          throw new Refusal(Says.HAS_NO_POSITIONS.with(part.label()));
        }
      }
      default -> {}
    }
    drive.ifPresent(d -> moves(part, d));
  }

  private static void moves(Part part, Drive drive) {
    if (!part.kind().setsItself()) {
      throw new Refusal(Says.HAS_NO_MOTOR.with(part.label()));
    }
    List<PositionId> named = new ArrayList<>(drive.payloads().keySet());
    if (!drive.lost().isEmpty()) {
      named.add(drive.lost());
    }
    for (PositionId position : named) {
      if (part.kind().positions().stream().map(Position::id).noneMatch(position::equals)) {
        throw new Refusal(Says.HAS_NO_POSITION.with(part.label(), position));
      }
    }
  }
}
