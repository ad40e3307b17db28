package fernwort.core.live;

import fernwort.core.hazard.Hazards;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Motor;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One rig with its sensors and motors: takes messages and commands, and tells what the sensors say,
 * how far the motors are, and what is a reason for an alarm. Not for use by several threads.
 */
public final class LiveRig {

  /** So many commands are remembered; own choice. */
  private static final int MOST_COMMANDS = 200;

  private final Network network;
  private final AlarmWatch watch;
  private final Map<String, SignalTrack> tracks = new LinkedHashMap<>();
  private final Map<String, SignalReader> readers = new LinkedHashMap<>();
  private final Map<String, MotorCommand> commands = new LinkedHashMap<>();

  private LiveRig(Network network, Hazards hazards) {
    this.network = network;
    watch = new AlarmWatch(network, hazards);
  }

  /**
   * Prepares a rig.
   *
   * @param signals what is bound; one that no longer fits the rig is left out
   */
  public static LiveRig of(Network network, Hazards hazards, Collection<Signal> signals) {
    LiveRig live = new LiveRig(network, hazards);
    signals.forEach(live::bind);
    return live;
  }

  /** Returns the rig that it is of. */
  public Network network() {
    return network;
  }

  private void bind(Signal signal) {
    try {
      signal.checked(network.rig());
    } catch (Refusal gone) {
      return;
    }
    boolean level = signal.kind() == SignalKind.LEVEL;
    double capacity = level ? network.room(signal.on().id().part()).capacity() : 0;
    tracks.put(signal.name(), new SignalTrack(signal, capacity));
    readers.put(signal.name(), new SignalReader(network, signal));
  }

  /** Goes on with what another told, where the same signal is bound to the same thing. */
  public LiveRig after(LiveRig before) {
    before.tracks.forEach((name, track) -> {
      SignalTrack own = tracks.get(name);
      if (own != null && own.signal().equals(track.signal())) {
        tracks.put(name, track);
      }
    });
    commands.putAll(before.commands);
    watch.after(before.watch);
    return this;
  }

  /** Returns what is bound. */
  public List<Signal> signals() {
    return tracks.values().stream().map(SignalTrack::signal).toList();
  }

  /**
   * What a signal tells.
   *
   * @param value what counts: of a level the median of the last half minute
   * @param raw what was told last
   * @param at when that was
   * @param age how old it is (s)
   * @param kept whether the broker kept it for those who come later, so that it may be of any age
   */
  public record Told(
      Signal signal,
      Optional<Value> value,
      Optional<Value> raw,
      Instant at,
      double age,
      boolean kept,
      SignalState state) {

    /** Returns the amount that counts (in the unit of the kind), where it can be acted on. */
    Optional<Double> amount() {
      return state.canBeActedOn() && value.orElse(null) instanceof Value.Amount amount
          ? Optional.of(amount.amount())
          : Optional.empty();
    }
  }

  /** Returns what all signals tell. */
  public List<Told> told(Now now) {
    return tracks.values().stream().map(t -> told(t, now)).toList();
  }

  /** Returns what a signal tells, if it is bound. */
  public Optional<Told> told(String name, Now now) {
    return Optional.ofNullable(tracks.get(name)).map(t -> told(t, now));
  }

  private static Told told(SignalTrack track, Now now) {
    return new Told(
        track.signal(),
        track.value(now),
        track.raw(),
        track.at(),
        track.age(now),
        track.isKept(),
        track.state(now));
  }

  /**
   * Takes a message.
   *
   * @param name of the signal
   * @param message as it came
   * @param kept whether the broker kept it for those who come later
   * @param slope how the vehicle is parked
   * @return the value that was in it; nothing where there was none
   */
  public Optional<Value> take(String name, String message, boolean kept, Slope slope, Now now) {
    SignalTrack track = tracks.get(name);
    SignalReader reader = readers.get(name);
    if (track == null || reader == null) {
      return Optional.empty();
    }
    Optional<Value> value = reader.read(message, slope);
    value.ifPresent(v -> {
      track.take(v, kept, now);
      if (v instanceof Value.Stop stop) {
        commands.replaceAll(
            (id, c) -> c.part().equals(track.signal().on().id()) ? c.heard(stop.position()) : c);
      }
    });
    return value;
  }

  /**
   * Tells whether the reason of an alarm can be seen to be gone: what its sensors told before a
   * restart, or before they fell silent, says nothing of now. A leak is over when its contact says
   * so itself; where the broker kept that for it, once somebody has seen the alarm as well.
   */
  public boolean canSee(Alarm alarm, Now now) {
    AlarmCode code = alarm.code();
    String about = alarm.about();
    return tracks.values().stream()
        .filter(t -> t.signal().name().equals(about) || t.signal().on().id().value().equals(about))
        .filter(t -> code != AlarmCode.LEAK || t.signal().kind() == SignalKind.LEAK)
        .allMatch(t ->
            code == AlarmCode.LEAK
                ? (!t.isKept() || alarm.seen().isPresent()) && t.state(now).canBeActedOn()
                : t.raw().isPresent());
  }

  /** The device of a signal says that it is gone. */
  public void lose(String name) {
    Optional.ofNullable(tracks.get(name)).ifPresent(SignalTrack::lose);
  }

  /** Returns the signal by which a part can be told to move, if there is one. */
  public Optional<Signal> driveOf(PartId part) {
    return signals().stream()
        .filter(s -> s.on().id().equals(part) && s.drive().isPresent())
        .findFirst();
  }

  /**
   * Notes that a part was told to move.
   *
   * @param id address of the command
   * @param who who wants it
   */
  public MotorCommand command(String id, PartId part, PositionId position, String who, Now now) {
    Part moved = network.rig().part(part);
    network.rig().position(part, position);
    boolean reports =
        tracks.values().stream()
            .anyMatch(t ->
                t.signal().kind() == SignalKind.POSITION
                    && t.signal().on().id().equals(part)
                    && t.raw().isPresent());
    commands.replaceAll((key, c) -> c.part().equals(part) ? c.replaced() : c);
    double travel = moved.kind().motor().map(Motor::travelTime).orElse(0.0);
    MotorCommand command =
        new MotorCommand(
            id,
            part,
            position,
            who,
            now.wall(),
            now.steady(),
            travel,
            reports,
            MotorCommand.Progress.MOVING);
    commands.put(id, command);
    if (commands.size() > MOST_COMMANDS) {
      commands.remove(commands.keySet().iterator().next());
    }
    return command;
  }

  /**
   * Lets time go by for the motors.
   *
   * @return the commands whose state changed since
   */
  public List<MotorCommand> watchCommands(Now now) {
    List<MotorCommand> changed = new ArrayList<>();
    commands.replaceAll((id, command) -> {
      MotorCommand next = command.at(now);
      if (next.state() != command.state()) {
        changed.add(next);
      }
      return next;
    });
    return changed;
  }

  /** Returns the commands there were, the newest last. */
  public List<MotorCommand> commands() {
    return List.copyOf(commands.values());
  }

  /** Returns a state with the levels that sensors tell and that can be acted on. */
  public State seen(State state, Now now) {
    State seen = state;
    for (SignalTrack track : tracks.values()) {
      if (track.signal().kind() == SignalKind.LEVEL
          && track.state(now).canBeActedOn()
          && track.value(now).orElse(null) instanceof Value.Amount level) {
        seen = seen.withVolume(track.signal().on().id().part(), level.amount());
      }
    }
    return seen;
  }

  /**
   * Returns what is a reason for an alarm.
   *
   * @param state handles and levels as they are kept
   */
  public List<AlarmCause> causes(State state, Now now) {
    return watch.causes(told(now), commands(), seen(state, now), now);
  }
}
