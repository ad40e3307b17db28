package fernwort.core.live;

import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Warning;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.OpenWays;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is open as things are, worked out when it is first asked for. */
final class Situation {

  private final Network network;
  private final Hazards hazards;
  private final State state;
  private Optional<FlowPaths> ways = Optional.empty();
  private List<FlowPaths> tapped = List.of();

  Situation(Network network, Hazards hazards, State state) {
    this.network = network;
    this.hazards = hazards;
    this.state = state;
  }

  FlowPaths ways() {
    if (ways.isEmpty()) {
      ways = Optional.of(OpenWays.find(network, state.setting(), Levels.of(network, state)));
    }
    return ways.get();
  }

  boolean fills(PartId tank) {
    return ways().to(tank).findAny().isPresent();
  }

  /** Tells whether water can leave a tank: people note no taps, so each of them may be open. */
  boolean leaves(PartId tank) {
    return ways().from(tank).findAny().isPresent()
        || tapped().stream().anyMatch(w -> w.from(tank).findAny().isPresent());
  }

  /** Tells whether water can move in a line, whatever taps are open. */
  boolean moves(LineId line) {
    return ways().moving().containsKey(line)
        || tapped().stream().anyMatch(w -> w.moving().containsKey(line));
  }

  /** What would be open with every tap open: once cold, once hot where they have both. */
  private List<FlowPaths> tapped() {
    if (tapped.isEmpty()) {
      List<FlowPaths> all = new ArrayList<>();
      for (int way = 0; way < 2; way++) {
        State open = state;
        for (Part tap : network.rig().parts()) {
          List<Position> ways =
              tap.kind().positions().stream().filter(p -> !p.equals(tap.rest())).toList();
          if (tap.kind().is(Purpose.USE) && tap.hasHandle() && !ways.isEmpty()) {
            open = open.with(tap.id(), ways.get(Math.min(way, ways.size() - 1)).id());
          }
        }
        all.add(OpenWays.find(network, open.setting(), Levels.of(network, open)));
      }
      tapped = all;
    }
    return tapped;
  }

  boolean tapIsOpen() {
    return network.rig().parts().stream()
        .filter(p -> p.kind().is(Purpose.USE))
        .anyMatch(p -> ways().to(p.id()).findAny().isPresent());
  }

  boolean drawsAir(PartId pump) {
    State on = state.with(pump, Kind.ON);
    Levels levels = Levels.of(network, on);
    return hazards
        .warnings(on.setting(), levels, OpenWays.find(network, on.setting(), levels))
        .stream()
        .anyMatch(w -> w.code().is(Warning.Is.DRAWS_AIR) && w.parts().getFirst().equals(pump));
  }
}
