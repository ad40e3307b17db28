package fernwort.core.live;

import fernwort.core.hazard.Hazards;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Finds what is a reason for an alarm in what sensors and motors tell. */
final class AlarmWatch {

  /** A fresh tank is full for an alarm at this share (1); own choice: there is time to act. */
  static final double FULL = 0.95;

  /** A gray tank asks to be dumped at this share (1); own choice. */
  static final double GRAY = 0.9;

  /** It is near freezing (°C); own choice. */
  static final double COLD = 2;

  /** No draw takes longer (s); own choice, until the usual ones are known. */
  static final double LONGEST_DRAW = 600;

  /** A level falls when it has lost more than this (share of the tank); own choice. */
  static final double FALLS = 0.03;

  /** It is watched for so long (s); own choice. */
  private static final double FALL_TIME = 1800;

  /** A level is remembered so often for that (s); own choice. */
  private static final double FALL_STEP = 60;

  private record Sample(double steady, double volume) {}

  private final Network network;
  private final Hazards hazards;
  private final Contradictions contradictions;
  private final Map<PartId, Double> running = new HashMap<>();
  private final Map<PartId, Deque<Sample>> trends = new HashMap<>();

  AlarmWatch(Network network, Hazards hazards) {
    this.network = network;
    this.hazards = hazards;
    contradictions = new Contradictions(network);
  }

  void after(AlarmWatch before) {
    running.putAll(before.running);
    trends.putAll(before.trends);
    contradictions.after(before.contradictions);
  }

  /**
   * Looks for reasons.
   *
   * @param told what the signals tell
   * @param commands how far the motors are
   * @param state handles as they are kept, levels as they are seen
   */
  List<AlarmCause> causes(
      List<LiveRig.Told> told, List<MotorCommand> commands, State state, Now now) {
    List<AlarmCause> causes = new ArrayList<>();
    Situation situation = new Situation(network, hazards, state);
    for (LiveRig.Told one : told) {
      lost(one).ifPresent(causes::add);
      marks(one, causes);
      switch (one.signal().kind()) {
        case LEAK -> leak(one).ifPresent(causes::add);
        case LEVEL -> level(one, situation, now, causes);
        case SWITCH -> risen(one, situation).ifPresent(causes::add);
        case TEMPERATURE -> cold(one).ifPresent(causes::add);
        case PUMP -> pump(one, situation, now, causes);
        case FLOW, TOTAL, PRESSURE, POSITION, PITCH, ROLL -> {}
      }
    }
    causes.addAll(contradictions.causes(told, commands, situation, now));
    for (MotorCommand command : commands) {
      if (command.state() == MotorCommand.Progress.FAILED) {
        causes.add(
            new AlarmCause(
                AlarmCode.VALVE_FAILED,
                command.part().value(),
                AlarmCode.VALVE_FAILED.words(
                    label(command.part()),
                    network.rig().position(command.part(), command.position()).words())));
      }
    }
    return causes;
  }

  private Optional<AlarmCause> lost(LiveRig.Told one) {
    boolean old = one.state() == SignalState.STALE && one.age() > SignalTrack.LEAST_OLD;
    boolean silent = one.state() == SignalState.LOST || old;
    // What never told anything was only just bound; that shows on its page.
    return silent && one.raw().isPresent()
        ? cause(AlarmCode.SIGNAL_LOST, one.signal().name(), one.signal().name())
        : Optional.empty();
  }

  /** Beyond the marks that somebody set. */
  private void marks(LiveRig.Told one, List<AlarmCause> causes) {
    Signal signal = one.signal();
    if (one.amount().isEmpty()) {
      return;
    }
    double amount = one.amount().get();
    // One thing may have several sensors: each mark is an alarm of its own.
    String about = signal.kind() == SignalKind.LEVEL ? signal.on().id().value() : signal.name();
    signal
        .kind()
        .said(amount)
        .ifPresent(said -> {
          if (signal.marks().above().filter(m -> amount >= m).isPresent()) {
            cause(AlarmCode.ABOVE_MARK, about, thing(signal), said).ifPresent(causes::add);
          }
          if (signal.marks().below().filter(m -> amount <= m).isPresent()) {
            cause(AlarmCode.BELOW_MARK, about, thing(signal), said).ifPresent(causes::add);
          }
        });
  }

  private Optional<AlarmCause> leak(LiveRig.Told one) {
    return isOn(one)
        ? cause(AlarmCode.LEAK, one.signal().on().id().value(), thing(one.signal()))
        : Optional.empty();
  }

  private void level(LiveRig.Told one, Situation situation, Now now, List<AlarmCause> causes) {
    if (one.amount().isEmpty()) {
      return;
    }
    double level = one.amount().get();
    Part tank = network.rig().part(one.signal().on().id().part());
    double share = level / network.room(tank.id()).capacity();
    if (tank.kind().holds(Contents.FRESH) && share >= FULL && situation.fills(tank.id())) {
      causes.add(full(tank));
    }
    if (tank.kind().holds(Contents.GRAY) && share >= GRAY) {
      cause(AlarmCode.GRAY_HIGH, tank.id().value(), tank.label(), Amount.volume(level))
          .ifPresent(causes::add);
    }
    falls(tank, level, situation, now).ifPresent(causes::add);
  }

  private static AlarmCause full(Part tank) {
    return new AlarmCause(
        AlarmCode.FRESH_FULL, tank.id().value(), AlarmCode.FRESH_FULL.words(tank.label()));
  }

  private Optional<AlarmCause> risen(LiveRig.Told one, Situation situation) {
    Part tank = network.rig().part(one.signal().on().id().part());
    return isOn(one) && tank.kind().holds(Contents.FRESH) && situation.fills(tank.id())
        ? Optional.of(full(tank))
        : Optional.empty();
  }

  private Optional<AlarmCause> falls(Part tank, double volume, Situation situation, Now now) {
    Deque<Sample> trend = trends.computeIfAbsent(tank.id(), t -> new ArrayDeque<>());
    if (situation.leaves(tank.id())) {
      trend.clear();
      return Optional.empty();
    }
    if (trend.isEmpty() || now.steady() - trend.getLast().steady() >= FALL_STEP) {
      trend.addLast(new Sample(now.steady(), volume));
    }
    while (trend.getFirst().steady() < now.steady() - FALL_TIME) {
      trend.removeFirst();
    }
    double highest = trend.stream().mapToDouble(Sample::volume).max().orElse(volume);
    return highest - volume > FALLS * network.room(tank.id()).capacity()
        ? cause(
            AlarmCode.LEVEL_FALLS, tank.id().value(), tank.label(), Amount.volume(highest - volume))
        : Optional.empty();
  }

  private Optional<AlarmCause> cold(LiveRig.Told one) {
    boolean inside = one.signal().on().where() != SignalKind.Where.OUTSIDE;
    return one.amount()
        .filter(warmth -> inside && warmth <= COLD)
        .flatMap(one.signal().kind()::said)
        .flatMap(said ->
            cause(AlarmCode.FROST, one.signal().on().id().value(), thing(one.signal()), said));
  }

  private void pump(LiveRig.Told one, Situation situation, Now now, List<AlarmCause> causes) {
    PartId pump = one.signal().on().id().part();
    if (!isOn(one)) {
      running.remove(pump);
      return;
    }
    double since = running.computeIfAbsent(pump, p -> now.steady());
    boolean round = network.rig().part(pump).kind().is(Purpose.CIRCULATES);
    if (!round && now.steady() - since > LONGEST_DRAW && !situation.tapIsOpen()) {
      cause(AlarmCode.PUMP_LONG, pump.value(), label(pump)).ifPresent(causes::add);
    }
    if (situation.drawsAir(pump)) {
      cause(AlarmCode.PUMP_AIR, pump.value(), label(pump)).ifPresent(causes::add);
    }
  }

  private static boolean isOn(LiveRig.Told one) {
    return one.value().orElse(null) instanceof Value.Contact contact && contact.on();
  }

  private static Optional<AlarmCause> cause(AlarmCode code, String about, Object... arguments) {
    return Optional.of(new AlarmCause(code, about, code.words(arguments)));
  }

  private String label(PartId part) {
    return network.rig().part(part).label();
  }

  private Message thing(Signal signal) {
    Rig rig = network.rig();
    ElementId id = signal.on().id();
    return Message.words(
        switch (signal.on().where()) {
          case PART -> label(id.part());
          case TRAY ->
              rig.element(id.value()) instanceof PartId part
                  ? label(part)
                  : rig.place(PlaceId.of(id.value())).label();
          case PLACE -> rig.place(id.place()).label();
          case LINE ->
              rig.lines().stream()
                  .filter(l -> l.id().equals(id))
                  .map(Line::label)
                  .findFirst()
                  .orElse(id.value());
          case OUTSIDE -> Says.OUTSIDE.text();
          case VEHICLE -> rig.name();
        });
  }
}
