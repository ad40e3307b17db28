package fernwort.core.live;

import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.say.Amount;
import fernwort.core.ways.FlowPath;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What sensors and handles say against each other: one of them is wrong, and which fits best is
 * said. A level that falls with everything closed is an alarm of its own.
 */
final class Contradictions {

  /** A level has risen by more than a lean or a warm day does (share of the tank); own choice. */
  private static final double RISES = 0.05;

  /** Within so long (s); own choice. */
  private static final double WINDOW = 1800;

  /** A level is remembered so often for that (s); own choice. */
  private static final double STEP = 60;

  /** Less is the meter's own noise (m³/s): 0.3 L/min; own choice. */
  private static final double FLOWS = 0.3e-3 / 60;

  /** It has to flow for so long (s): handles are noted a little later; own choice. */
  private static final double PATIENCE = 120;

  /** What has flowed should have moved the level by so much (share of the tank); own choice. */
  private static final double SHOULD_MOVE = 0.05;

  /** It has not moved where it changed by less (share of the tank); own choice. */
  private static final double STANDS = 0.01;

  /** That a handle was moved without a command is said for so long (s); own choice. */
  private static final double SAID = 600;

  private record Sample(double steady, double volume) {}

  /**
   * What has flowed from a tank while its level was looked at.
   *
   * @param tank the tank
   * @param level its level at the beginning (m³)
   * @param drawn what has flowed since (m³)
   * @param last when that was counted last (s)
   */
  private record Drawn(PartId tank, double level, double drawn, double last) {}

  private final Network network;
  private final Map<PartId, Deque<Sample>> trends = new HashMap<>();
  private final Map<LineId, Double> flowing = new HashMap<>();
  private final Map<LineId, Drawn> drawn = new HashMap<>();
  private final Map<PartId, Double> moved = new HashMap<>();

  Contradictions(Network network) {
    this.network = network;
  }

  void after(Contradictions before) {
    trends.putAll(before.trends);
    flowing.putAll(before.flowing);
    drawn.putAll(before.drawn);
    moved.putAll(before.moved);
  }

  List<AlarmCause> causes(
      List<LiveRig.Told> told, List<MotorCommand> commands, Situation situation, Now now) {
    List<AlarmCause> causes = new ArrayList<>();
    Map<PartId, Double> levels = new HashMap<>();
    for (LiveRig.Told one : told) {
      amount(one, SignalKind.LEVEL).ifPresent(v -> levels.put(one.signal().on().id().part(), v));
    }
    levels.forEach((tank, volume) -> rises(tank, volume, situation, now).ifPresent(causes::add));
    for (LiveRig.Told one : told) {
      amount(one, SignalKind.FLOW)
          .ifPresent(flow -> {
            LineId line = one.signal().on().id().line();
            unexplained(line, flow, situation, now).ifPresent(causes::add);
            sticks(line, flow, levels, situation, now).ifPresent(causes::add);
          });
    }
    for (LiveRig.Told one : told) {
      latest(commands, one.signal().on().id())
          .flatMap(c -> elsewhere(one, c, now))
          .ifPresent(causes::add);
    }
    return causes;
  }

  private static Optional<MotorCommand> latest(List<MotorCommand> commands, ElementId part) {
    return commands.stream().filter(c -> c.part().equals(part)).reduce((one, next) -> next);
  }

  /** A motor valve that had arrived stands elsewhere, and nobody told it to move. */
  private Optional<AlarmCause> elsewhere(LiveRig.Told one, MotorCommand command, Now now) {
    boolean tells = one.signal().kind() == SignalKind.POSITION && one.state().canBeActedOn();
    if (!tells || !(one.value().orElse(null) instanceof Value.Stop(PositionId position))) {
      return Optional.empty();
    }
    if (!command.hasArrived() || position.equals(command.position())) {
      moved.remove(command.part());
      return Optional.empty();
    }
    double since = moved.computeIfAbsent(command.part(), p -> now.steady());
    return now.steady() - since < SAID
        ? cause(
            command.part().value(),
            Says.MOVED_WITHOUT_A_COMMAND,
            network.rig().part(command.part()).label(),
            network.rig().position(command.part(), position).words(),
            network.rig().position(command.part(), command.position()).words())
        : Optional.empty();
  }

  private static Optional<Double> amount(LiveRig.Told one, SignalKind kind) {
    return one.signal().kind() == kind ? one.amount() : Optional.empty();
  }

  private Optional<AlarmCause> rises(PartId tank, double volume, Situation situation, Now now) {
    Deque<Sample> trend = trends.computeIfAbsent(tank, t -> new ArrayDeque<>());
    if (situation.fills(tank)) {
      trend.clear();
      return Optional.empty();
    }
    if (trend.isEmpty() || now.steady() - trend.getLast().steady() >= STEP) {
      trend.addLast(new Sample(now.steady(), volume));
    }
    while (trend.getFirst().steady() < now.steady() - WINDOW) {
      trend.removeFirst();
    }
    double lowest = trend.stream().mapToDouble(Sample::volume).min().orElse(volume);
    Part part = network.rig().part(tank);
    return volume - lowest > RISES * network.room(tank).capacity()
        ? cause(
            tank.value(), Says.RISES_THOUGH_CLOSED, part.label(), Amount.volume(volume - lowest))
        : Optional.empty();
  }

  private Optional<AlarmCause> unexplained(LineId line, double flow, Situation situation, Now now) {
    if (Math.abs(flow) < FLOWS || situation.moves(line)) {
      flowing.remove(line);
      return Optional.empty();
    }
    double since = flowing.computeIfAbsent(line, l -> now.steady());
    return now.steady() - since > PATIENCE
        ? cause(line.value(), Says.FLOWS_THOUGH_CLOSED, label(line), Amount.flow(Math.abs(flow)))
        : Optional.empty();
  }

  /** Water goes through a meter from the one tank that is open to it, and the level stays. */
  private Optional<AlarmCause> sticks(
      LineId line, double flow, Map<PartId, Double> levels, Situation situation, Now now) {
    Set<PartId> sources =
        situation.ways().ways().stream()
            .filter(w -> w.lines().contains(line))
            .map(FlowPath::source)
            .map(s -> s.part())
            .filter(levels::containsKey)
            .collect(Collectors.toSet());
    Optional<PartId> tank = sources.size() == 1 ? sources.stream().findFirst() : Optional.empty();
    if (tank.isEmpty()) {
      drawn.remove(line);
      return Optional.empty();
    }
    double level = levels.getOrDefault(tank.get(), 0.0);
    double capacity = network.room(tank.get()).capacity();
    Drawn anew =
        Optional.ofNullable(drawn.get(line))
            .filter(d -> d.tank().equals(tank.get()))
            .filter(d -> Math.abs(level - d.level()) <= STANDS * capacity)
            .map(d ->
                new Drawn(
                    d.tank(),
                    d.level(),
                    d.drawn() + Math.abs(flow) * (now.steady() - d.last()),
                    now.steady()))
            .orElseGet(() -> new Drawn(tank.get(), level, 0, now.steady()));
    drawn.put(line, anew);
    return anew.drawn() > SHOULD_MOVE * capacity
        ? cause(
            tank.get().value(),
            Says.LEVEL_STANDS_THOUGH_DRAWN,
            network.rig().part(tank.get()).label(),
            Amount.volume(anew.drawn()),
            label(line))
        : Optional.empty();
  }

  private static Optional<AlarmCause> cause(String about, Says words, Object... arguments) {
    return Optional.of(new AlarmCause(AlarmCode.CONTRADICTION, about, words.with(arguments)));
  }

  private String label(LineId line) {
    return network.rig().lines().stream()
        .filter(l -> l.id().equals(line))
        .map(l -> l.label())
        .findFirst()
        .orElse(line.value());
  }
}
