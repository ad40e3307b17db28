package fernwort.core.hydraulics;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.machine.Heater;
import fernwort.core.network.Connections;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import java.util.List;
import java.util.Optional;

/**
 * How a thermostatic mixing valve stands: it opens its hot side so far, and its cold side by the
 * rest, that what comes out has the temperature it is set to. What it mixes from is water of 15 °C
 * and what the heater's thermostat holds; with a heater that is off it is open to the hot side.
 *
 * <p>The share of hot grows with the opening, so it is found by halving; each step solves the
 * network once.
 */
final class Blend {

  /** Water as it comes (K). */
  private static final double COLD = 288.15;

  /** A share of hot water that is so near is right (1). */
  private static final double NEAR = 0.01;

  private static final int MOST_STEPS = 10;

  private final Hydraulics hydraulics;
  private final Network network;
  private final List<Part> valves;

  Blend(Hydraulics hydraulics, Network network) {
    this.hydraulics = hydraulics;
    this.network = network;
    valves = network.rig().parts().stream().filter(p -> p.kind().mixesTo().isPresent()).toList();
  }

  boolean isNeeded() {
    return !valves.isEmpty();
  }

  /** Returns the steady flow with each valve so far open to its hot side as it takes. */
  Flows solve(State state, Conditions conditions) {
    Conditions blended = conditions;
    for (Part valve : valves) {
      blended = blended.withHot(valve.id(), share(valve, state.setting()));
    }
    Flows flows = hydraulics.once(state, blended);
    for (Part valve : valves) {
      double wanted = share(valve, state.setting());
      if (wanted < 1) {
        blended = opened(valve.id(), wanted, state, blended, flows);
        flows = hydraulics.once(state, blended);
      }
    }
    return flows;
  }

  private Conditions opened(
      PartId valve, double wanted, State state, Conditions conditions, Flows first) {
    double low = 0;
    double high = 1;
    Conditions tried = conditions;
    Flows flows = first;
    for (int step = 0; step < MOST_STEPS; step++) {
      Optional<Double> hot = hot(valve, flows);
      if (hot.isEmpty() || Math.abs(hot.get() - wanted) < NEAR) {
        return tried;
      }
      double stands = tried.hot(valve);
      if (hot.get() < wanted) {
        low = stands;
      } else {
        high = stands;
      }
      tried = tried.withHot(valve, (low + high) / 2);
      flows = hydraulics.once(state, tried);
    }
    return tried;
  }

  /** The share of hot in what comes out; empty where nothing does. */
  private Optional<Double> hot(PartId valve, Flows flows) {
    double hot = flow(valve, PortId.HOT, flows);
    double cold = flow(valve, PortId.COLD, flows);
    return hot + cold > Flows.TRICKLE ? Optional.of(hot / (hot + cold)) : Optional.empty();
  }

  private double flow(PartId valve, PortId port, Flows flows) {
    Optional<LineId> line = network.lineId(network.rig().part(valve).port(port));
    return line.map(l -> Math.abs(flows.line(l))).orElse(0.0);
  }

  /** The share of hot water that a valve takes: (T − cold)/(hot − cold), no more than all. */
  private double share(Part valve, Setting setting) {
    double wanted = valve.kind().mixesTo().orElseThrow();
    double hot = hotWater(valve, setting);
    return hot > wanted ? Math.max(0, (wanted - COLD) / (hot - COLD)) : 1;
  }

  /** What comes to the hot side of a valve (K): as heaters are set that are on, else cold. */
  private double hotWater(Part valve, Setting setting) {
    Connections open = Connections.of(network, setting);
    List<Part> heaters =
        network.rig().parts().stream()
            .filter(p -> p.kind().heatsTo().isPresent())
            .filter(p ->
                open.behind(valve.id(), PortId.HOT, x -> x.kind().is(Purpose.HOLDS), p::equals)
                    .isPresent())
            .toList();
    if (heaters.isEmpty()) {
      return Heater.THERMOSTAT;
    }
    return heaters.stream()
        .filter(p -> setting.has(p.id(), Kind.ON))
        .mapToDouble(p -> p.kind().heatsTo().orElseThrow())
        .max()
        .orElse(COLD);
  }
}
