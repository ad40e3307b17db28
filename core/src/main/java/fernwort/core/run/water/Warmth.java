package fernwort.core.run.water;

import fernwort.core.flow.Fluid;
import fernwort.core.hydraulics.Flows;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Tap;
import fernwort.core.kind.machine.Heater;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * The water in the storage heaters whose power is known, each well mixed: V·dT/dt = P/(ρ·c) +
 * q·(cold − T), solved exactly between events. Heat lost through the walls is left out.
 *
 * <p>What flows through a heater and comes back, as in a recirculation loop, cools nothing: only as
 * much cold water comes in as is drawn hot.
 */
public final class Warmth {

  /** Temperature of the water that comes in: 15 °C (K). */
  private static final double COLD = 288.15;

  /** How far the water falls below the thermostat's setting before it heats again (K). */
  private static final double HYSTERESIS = 5;

  /** Specific heat of water (J/(kg·K)). */
  private static final double SPECIFIC_HEAT = 4186;

  private static final double NEARLY = 1e-9;

  private final List<Part> heaters;
  private final List<LineId> feeds;
  private final double[] temperature;
  private final boolean[] satisfied;

  /** Begins with every heater cold. */
  public Warmth(Network network) {
    heaters = network.rig().parts().stream().filter(Warmth::isKnown).toList();
    feeds =
        heaters.stream().map(h -> network.lineId(h.port(PortId.COLD)).orElse(LineId.NONE)).toList();
    temperature = new double[heaters.size()];
    Arrays.fill(temperature, COLD);
    satisfied = new boolean[heaters.size()];
  }

  /** Makes a copy that goes on by itself. */
  public Warmth(Warmth other) {
    heaters = other.heaters;
    feeds = other.feeds;
    temperature = other.temperature.clone();
    satisfied = other.satisfied.clone();
  }

  private static boolean isKnown(Part part) {
    return part.kind() instanceof Heater h
        && h.works() == Heater.Type.STORAGE
        && h.heating().isPresent()
        && part.volume() > 0;
  }

  /** Returns the temperature in each heater, by id (K). */
  public Map<PartId, Double> temperatures() {
    Map<PartId, Double> all = new TreeMap<>();
    for (int i = 0; i < temperature.length; i++) {
      all.put(heaters.get(i).id(), temperature[i]);
    }
    return all;
  }

  /** Returns the heaters that are on and have their water where the thermostat is set. */
  public List<PartId> hot(Setting setting) {
    List<PartId> hot = new ArrayList<>();
    for (int i = 0; i < satisfied.length; i++) {
      if (satisfied[i] && isOn(heaters.get(i), setting)) {
        hot.add(heaters.get(i).id());
      }
    }
    return hot;
  }

  private static boolean isOn(Part heater, Setting setting) {
    return setting.of(heater.id()).equals(Kind.ON);
  }

  /** Returns when the first thermostat turns, if everything stays as it is (s). */
  public double untilTurn(Setting setting, Flows flows) {
    double soonest = Double.POSITIVE_INFINITY;
    for (int i = 0; i < temperature.length; i++) {
      double thermostat = heating(i).thermostat();
      boolean heats = isOn(heaters.get(i), setting) && !satisfied[i];
      if (heats || satisfied[i]) {
        double target = satisfied[i] ? thermostat - HYSTERESIS : thermostat;
        soonest = Math.min(soonest, timeTo(i, target, heats, drawn(i, setting, flows)));
      }
    }
    return soonest;
  }

  private double timeTo(int heater, double target, boolean heats, double drawn) {
    double rate = rate(heater, heats, drawn, temperature[heater]);
    double change = target - temperature[heater];
    if (rate * change <= 0) {
      return Math.abs(change) < NEARLY ? 0 : Double.POSITIVE_INFINITY;
    }
    if (drawn <= 0) {
      return change / rate;
    }
    double settles = COLD + gain(heater, heats) * volume(heater) / drawn;
    double left = (target - settles) / (temperature[heater] - settles);
    return left > 0 ? -Math.log(left) * volume(heater) / drawn : Double.POSITIVE_INFINITY;
  }

  /** Lets time pass (s), up to a thermostat's next turn. */
  public void advance(double seconds, Setting setting, Flows flows) {
    for (int i = 0; i < temperature.length; i++) {
      double thermostat = heating(i).thermostat();
      boolean heats = isOn(heaters.get(i), setting) && !satisfied[i];
      double drawn = drawn(i, setting, flows);
      if (drawn > 0) {
        double settles = COLD + gain(i, heats) * volume(i) / drawn;
        double fades = Math.exp(-drawn * seconds / volume(i));
        temperature[i] = settles + (temperature[i] - settles) * fades;
      } else {
        temperature[i] += gain(i, heats) * seconds;
      }
      if (temperature[i] >= thermostat - NEARLY) {
        satisfied[i] = true;
      } else if (temperature[i] <= thermostat - HYSTERESIS + NEARLY) {
        satisfied[i] = false;
      }
    }
  }

  private double rate(int heater, boolean heats, double drawn, double at) {
    return gain(heater, heats) + drawn / volume(heater) * (COLD - at);
  }

  /** How fast the heater alone warms its water (K/s). */
  private double gain(int heater, boolean heats) {
    return heats
        ? heating(heater).power() / (Fluid.WATER.density() * SPECIFIC_HEAT * volume(heater))
        : 0;
  }

  private Heater.Heating heating(int heater) {
    return ((Heater) heaters.get(heater).kind()).heating().orElseThrow();
  }

  private double volume(int heater) {
    return heaters.get(heater).volume();
  }

  /** What is drawn hot through a heater (m³/s). */
  private double drawn(int heater, Setting setting, Flows flows) {
    double hot = 0;
    for (Map.Entry<PartId, Double> fixture : flows.fixtures().entrySet()) {
      hot += hotShare(setting.of(fixture.getKey())) * Math.max(0, fixture.getValue());
    }
    return Math.min(hot, Math.abs(flows.line(feeds.get(heater))));
  }

  private static double hotShare(PositionId position) {
    if (position.equals(Tap.HOT.id())) {
      return 1;
    }
    return position.equals(Tap.WARM.id()) ? 0.5 : 0;
  }
}
