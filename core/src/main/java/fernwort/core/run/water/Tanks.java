package fernwort.core.run.water;

import fernwort.core.flow.Expected;
import fernwort.core.flow.Fluid;
import fernwort.core.id.PartId;
import fernwort.core.kind.tank.Point;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** The tanks of a run, by their place in the rig: what each holds, and the air above it. */
public final class Tanks {

  private final Network network;
  private final List<Part> parts;
  private final Slope slope;
  private final double[] capacities;
  private final double[] volumes;
  private final Air[] air;

  /** Begins as a state has them. */
  public Tanks(Network network, State state) {
    this.network = network;
    parts = network.tanks();
    slope = state.slope();
    capacities = parts.stream().mapToDouble(t -> network.room(t.id()).capacity()).toArray();
    volumes = new double[parts.size()];
    air = new Air[volumes.length];
    for (int i = 0; i < volumes.length; i++) {
      volumes[i] = Math.clamp(state.volume(id(i)), 0, capacity(i));
      air[i] = new Air(capacity(i), volumes[i]);
    }
  }

  /** Makes a copy that goes on by itself. */
  public Tanks(Tanks other) {
    network = other.network;
    parts = other.parts;
    slope = other.slope;
    capacities = other.capacities;
    volumes = other.volumes.clone();
    air = other.airNow();
  }

  /** Returns how many there are. */
  public int count() {
    return volumes.length;
  }

  /** Returns a tank by its number. */
  public Part part(int tank) {
    return parts.get(tank);
  }

  /** Returns the id of a tank by its number. */
  public PartId id(int tank) {
    return part(tank).id();
  }

  /** Returns the place of a tank, −1 when there is none of this id. */
  public int place(PartId id) {
    for (int i = 0; i < volumes.length; i++) {
      if (id(i).equals(id)) {
        return i;
      }
    }
    return -1;
  }

  /** Returns what a tank holds at most (m³). */
  public double capacity(int tank) {
    return capacities[tank];
  }

  /** Returns what each holds (m³): the array itself, which moves with the run. */
  public double[] volumes() {
    return volumes;
  }

  /** Returns what is in a tank (m³). */
  public double volume(int tank) {
    return volumes[tank];
  }

  /** Returns the air in a tank. */
  public Air air(int tank) {
    return air[tank];
  }

  /** Returns copies of the air above each, as it is now. */
  public Air[] airNow() {
    Air[] copies = new Air[air.length];
    for (int i = 0; i < copies.length; i++) {
      copies[i] = new Air(air[i]);
    }
    return copies;
  }

  /** Puts air as it was before above a tank, and lets it come to the water as it stands now. */
  public void restore(int tank, Air before) {
    air[tank] = before;
    air[tank].settle(volumes[tank]);
  }

  /** Brings the water to other volumes (m³), and the air after it. */
  public void hold(double[] moved) {
    System.arraycopy(moved, 0, volumes, 0, volumes.length);
    for (int i = 0; i < volumes.length; i++) {
      air[i].settle(volumes[i]);
    }
  }

  /** Returns an amount of each tank by its id. */
  public Map<PartId, Double> byId(double[] amounts) {
    Map<PartId, Double> named = new HashMap<>();
    for (int i = 0; i < amounts.length; i++) {
      named.put(id(i), amounts[i]);
    }
    return named;
  }

  /** Returns the gauge pressure of the air above such volumes (m³), where there is any (Pa). */
  public Map<PartId, Double> pressures(double[] holding) {
    Map<PartId, Double> pressures = new TreeMap<>();
    for (int i = 0; i < holding.length; i++) {
      double pressure = air[i].pressure(holding[i]);
      if (pressure != 0) {
        pressures.put(id(i), pressure);
      }
    }
    return pressures;
  }

  /**
   * Returns how air that is shut in gives way over a time, by the id of its tank: as at half of the
   * time, by what its tank gains beyond what it was expected to.
   *
   * @param expected what each tank is expected to gain (m³/s)
   * @param seconds for how long (s)
   */
  public Map<PartId, Expected> yielding(double[] expected, double seconds) {
    Map<PartId, Expected> yielding = new TreeMap<>();
    for (int i = 0; i < expected.length; i++) {
      double halfway = Math.clamp(volumes[i] + expected[i] * seconds / 2, 0, capacity(i));
      double stiffness = air[i].stiffness(halfway);
      if (stiffness > 0) {
        double resistance = Fluid.WATER.head(stiffness * seconds / 2);
        yielding.put(id(i), new Expected(expected[i], resistance));
      }
    }
    return yielding;
  }

  /** Returns the head of a tank's water when it holds a volume (m³), its air's included (m). */
  public double head(int tank, double holding) {
    Part part = part(tank);
    double level = network.room(part.id()).level(holding, slope);
    double corner = slope.heightOf(new Point(part.x(), part.y(), part.height()));
    return corner + level + Fluid.WATER.head(air[tank].pressure(holding));
  }
}
