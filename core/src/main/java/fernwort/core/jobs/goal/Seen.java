package fernwort.core.jobs.goal;

import fernwort.core.drain.Draining;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.network.Connections;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.HandleDistance;
import fernwort.core.ways.OpenWays;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What was seen in each setting with the water as it stands in one state, whatever the goal: kept
 * by those who look from there again. For one thread at a time.
 */
public final class Seen {

  private record Held(PartId tank, double volume) {}

  private final Network network;
  private final Hazards hazards;
  private final State start;
  private final Levels levels;
  private final HandleDistance distances;
  private final Map<Levels, Map<Setting, FlowPaths>> ways = new IdentityHashMap<>();
  private final Map<Levels, Map<Setting, Wintering>> drained = new IdentityHashMap<>();
  private final Map<Setting, List<Warning>> warnings = new HashMap<>();
  private final Map<Held, Levels> later = new HashMap<>();
  private final Map<Setting, Connections> connections = new HashMap<>();
  private @Nullable HandleDistance halfFull;

  /** Begins to look at a rig whose water stands as in a state. */
  public Seen(Network network, Hazards hazards, State start) {
    this.network = network;
    this.hazards = hazards;
    this.start = start;
    levels = Levels.of(network, start);
    distances = HandleDistance.of(network, levels);
  }

  /** Returns this where the water stands alike in a state, else a new beginning there. */
  public Seen at(State state) {
    boolean alike = state.slope().equals(start.slope()) && state.volumes().equals(start.volumes());
    return alike ? this : new Seen(network, hazards, state);
  }

  /** Returns the rig. */
  Network network() {
    return network;
  }

  Hazards hazards() {
    return hazards;
  }

  /** Returns the levels of the state. */
  public Levels levels() {
    return levels;
  }

  /** Returns how many turns lie between parts on these levels. */
  public HandleDistance distances() {
    return distances;
  }

  /** Returns what is open on some levels. */
  FlowPaths ways(Setting setting, Levels on) {
    return ways.computeIfAbsent(on, l -> new HashMap<>())
        .computeIfAbsent(setting, s -> OpenWays.find(network, s, on));
  }

  List<Warning> warnings(Setting setting) {
    return warnings.computeIfAbsent(setting, s -> hazards.withPower(s, levels, ways(s, levels)));
  }

  /** Returns levels with one tank holding so much (m³), otherwise as in the state. */
  Levels holding(PartId tank, double volume) {
    return later.computeIfAbsent(
        new Held(tank, volume), h -> Levels.of(network, start.withVolume(tank, volume)));
  }

  /** Returns the rig when all has run out that can, its lines full before. */
  Wintering drained(Setting setting, Levels on) {
    return drained
        .computeIfAbsent(on, l -> new HashMap<>())
        .computeIfAbsent(setting, s -> Draining.of(network, Filled.of(network, on.state(s))));
  }

  /** Returns how many turns lie between parts while every tank is half full. */
  HandleDistance halfFull() {
    HandleDistance known = halfFull;
    if (known == null) {
      State half = new State(start.setting(), network.halfFull(), start.slope());
      known = HandleDistance.of(network, Levels.of(network, half));
      halfFull = known;
    }
    return known;
  }

  /** Returns what is joined in a setting. */
  Connections connections(Setting setting) {
    return connections.computeIfAbsent(setting, s -> Connections.of(network, s));
  }
}
