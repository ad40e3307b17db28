package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Goods;
import fernwort.core.kind.InOut;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.Motor;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.PortFlow;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.Rank;
import fernwort.core.kind.Shop;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** A kind whose handle joins some of its ports. */
public interface Valve extends Kind {

  Purposes PURPOSES = Purposes.of(Purpose.TURNS);

  /** Returns the positions of the handle with what each joins. */
  List<Stop> stops();

  /** Returns this with what a hand changes about it. */
  Valve with(List<Stop> stops, Optional<Motor> motor, Optional<Design> design);

  /** Returns what shuts it, if somebody said so. */
  Optional<Design> design();

  /**
   * What shuts a valve, which says what it keeps when it has run dry, and how it throttles half
   * way.
   */
  enum Design {
    BALL(18),
    GATE(4),
    BUTTERFLY(20),
    NEEDLE(30);

    private final double halfWay;

    Design(double halfWay) {
      this.halfWay = halfWay;
    }

    /**
     * Returns what it takes half way (velocity heads of its line): the middle of what tables give
     * (I. E. Idelchik, Handbook of Hydraulic Resistance).
     */
    public double halfWay() {
      return halfWay;
    }
  }

  /** The position of a ball valve's handle half way, in which no water is trapped in the ball. */
  PositionId HALF = PositionId.of("half");

  /** Tells whether a ball shuts it; so it is unless told. */
  default boolean hasBall() {
    return design().orElse(Design.BALL) == Design.BALL;
  }

  /** Returns the stop that a ball half way is nearest to: one that joins ports, if there is. */
  default Optional<Stop> opened() {
    return stops().stream()
        .filter(s -> !s.joins().isEmpty() && !s.id().equals(HALF))
        .min(BY_HANDLE);
  }

  @Override
  default List<PossibleFault> faults() {
    return motor().isPresent()
        ? List.of(
            new PossibleFault(FaultKind.NOT_ARRIVED, 1),
            new PossibleFault(FaultKind.NO_POWER, 0.7),
            new PossibleFault(FaultKind.LEAKS_PAST, 0.5))
        : List.of(
            new PossibleFault(FaultKind.MISPLACED, 3),
            new PossibleFault(FaultKind.LEAKS_PAST, 0.5));
  }

  /** A ball can be left half way by hand; a motor valve can only be undone. */
  @Override
  default List<Position> service() {
    boolean own = stops().stream().anyMatch(s -> s.id().equals(HALF));
    if (motor().isPresent()) {
      return FITTED;
    }
    return hasBall() && !own && opened().isPresent()
        ? List.of(
            Position.of("turned", Says.AT_A_STOP.text()),
            new Position(HALF, Says.HALF_WAY_OPEN.text()))
        : List.of();
  }

  /** Returns the stop with this id. */
  default Stop stop(PositionId id) {
    return stops().stream()
        .filter(s -> s.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("no position \"" + id + "\""));
  }

  @Override
  default double throttles(PositionId position) {
    return position.equals(HALF) ? design().orElse(Design.BALL).halfWay() : 0;
  }

  @Override
  default Frost frost() {
    return Frost.CRACKS;
  }

  @Override
  default boolean blowsClear() {
    return true;
  }

  @Override
  default Optional<InOut> through() {
    return Optional.of(new InOut(PortId.A, PortId.B));
  }

  @Override
  default PortFlow flow(PortId port) {
    return PortFlow.EITHER;
  }

  @Override
  default Rank rank(PositionId position) {
    return stop(position).joins().isEmpty() ? Rank.WAY_SHUT : Rank.WAY_OPEN;
  }

  @Override
  default boolean setsItself() {
    return motor().isPresent();
  }

  /** Two ports that are joined lead to each other, more of them to the middle of the body. */
  @Override
  default List<Link> links(PositionId position) {
    List<PortId> ports = ports();
    List<Link> links = new ArrayList<>();
    for (List<PortId> group : stop(position).joins()) {
      int[] joined = group.stream().mapToInt(ports::indexOf).toArray();
      if (joined.length == 2) {
        links.addAll(Link.both(joined[0], joined[1], Link.Law.FREE));
      } else {
        for (int port : joined) {
          links.addAll(Link.both(port, ports.size(), Link.Law.FREE));
        }
      }
    }
    return links;
  }

  /** One that only opens and closes is opened or closed; others are set to what they say. */
  @Override
  default String act(String label, PositionId from, PositionId to) {
    if (to.equals(HALF)) {
      return KindWords.HALF_OPEN.with(label);
    }
    if (service().stream().anyMatch(p -> p.id().equals(to))) {
      return motor().isPresent()
          ? Kind.super.act(label, from, to)
          : KindWords.TO_A_STOP.with(label);
    }
    long open = stops().stream().filter(s -> !s.joins().isEmpty()).count();
    if (from.equals(UNDONE) || open > 1 || stops().size() > 2) {
      return Kind.super.act(label, from, to);
    }
    return (stop(to).joins().isEmpty() ? KindWords.CLOSE_IT : KindWords.OPEN_IT).with(label);
  }

  /** Returns the stop that joins nothing, if there is one. */
  default Optional<Stop> shut() {
    return stops().stream().filter(s -> s.joins().isEmpty()).min(BY_HANDLE);
  }

  @Override
  default Optional<PositionId> unpowered() {
    return motor().flatMap(Motor::unpowered);
  }

  /**
   * The stop that joins nothing; of a diverter the one to which its motor goes without power, or
   * the one that its handle lies lowest in.
   */
  @Override
  default Optional<Position> rest() {
    return shut()
        .or(() -> unpowered().map(this::stop))
        .or(() -> stops().stream().min(BY_HANDLE))
        .map(Stop::position);
  }

  /** Stops in an order that does not depend on how a file lists them. */
  Comparator<Stop> BY_HANDLE = Comparator.comparingDouble(Stop::angle).thenComparing(Stop::id);

  @Override
  default List<Position> positions() {
    return stops().stream().map(Stop::position).toList();
  }

  @Override
  default Keeps keeps() {
    return hasBall() ? Keeps.ROUND_A_BALL : Keeps.UNTIL_RUN_THROUGH;
  }

  @Override
  default PositionId halfWay(PositionId position) {
    return stop(position).joins().isEmpty() ? opened().orElseThrow().id() : position;
  }

  /** Any stop lets something out that another keeps in. */
  @Override
  default boolean opensToDrain(PositionId position) {
    return !service().stream().findFirst().filter(p -> p.id().equals(position)).isPresent();
  }

  @Override
  default String purpose(PositionId position) {
    return KindWords.LEFT_SO.text();
  }

  @Override
  default String notice(PositionId position) {
    return motor()
        .map(m -> KindWords.MOTOR_TURNS.with(Math.round(m.travelTime())))
        .orElseGet(KindWords.GOES_TO_STOP::text);
  }

  @Override
  default String frozen(boolean little) {
    return KindWords.ROUND_BALL_OR_DISC.text();
  }

  @Override
  default String fix() {
    if (!hasBall()) {
      return KindWords.LEAVE_OPEN.text();
    }
    return (motor().isPresent() ? KindWords.OPEN_AND_BLOW : KindWords.LEAVE_HALF_WAY).text();
  }

  @Override
  default String openedNote() {
    return (hasBall() ? KindWords.NONE_IN_BALL : KindWords.RUNS_OUT_WITH_LINE).text();
  }

  @Override
  default Optional<String> wayRound() {
    return Optional.of(KindWords.HANDLE_AT_REST.with(rest().map(Position::words).orElse("closed")));
  }

  @Override
  default PortEnd end(PortId port) {
    return PortEnd.FEMALE_THREAD;
  }

  @Override
  default Goods goods(String label, String size) {
    KindWords words =
        ports().size() == 2
            ? motor().isPresent() ? KindWords.MOTOR_VALVE : KindWords.VALVE
            : motor().isPresent() ? KindWords.MOTOR_THREE_WAY : KindWords.THREE_WAY;
    return new Goods(Shop.WATER_ON_BOARD, words.with(size), false);
  }

  @Override
  default Purposes purposes() {
    return PURPOSES;
  }
}
