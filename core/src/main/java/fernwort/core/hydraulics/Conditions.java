package fernwort.core.hydraulics;

import fernwort.core.flow.Fluid;
import fernwort.core.id.PartId;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a steady flow depends on beyond handles and levels.
 *
 * @param water the water in the lines
 * @param clogging how many times its clean loss a filter takes, by id; 1 where none is given
 * @param carried what a run carries over from the moment before
 * @param hot how far mixing valves are open to their hot side (share), by id
 */
public record Conditions(
    Fluid water, Map<PartId, Double> clogging, Carried carried, Map<PartId, Double> hot) {

  /** Water at 15 °C, clean filters, every vent open. */
  public static final Conditions ORDINARY =
      new Conditions(Fluid.WATER, Map.of(), Carried.NOTHING, Map.of());

  public Conditions {
    clogging = Map.copyOf(clogging);
    hot = Map.copyOf(hot);
  }

  /** Returns these with what a run carries over. */
  public Conditions carrying(Carried other) {
    return new Conditions(water, clogging, other, hot);
  }

  /** Returns these with one filter clogged to so many times its clean loss. */
  public Conditions withClogged(PartId filter, double factor) {
    Map<PartId, Double> changed = new TreeMap<>(clogging);
    changed.put(filter, factor);
    return new Conditions(water, changed, carried, hot);
  }

  /** Returns these with other water. */
  public Conditions with(Fluid other) {
    return new Conditions(other, clogging, carried, hot);
  }

  /** Returns these with a mixing valve open to its hot side by a share (0 to 1). */
  Conditions withHot(PartId valve, double share) {
    Map<PartId, Double> changed = new TreeMap<>(hot);
    changed.put(valve, share);
    return new Conditions(water, clogging, carried, changed);
  }

  /** Returns how far a mixing valve is open to its hot side (share). */
  double hot(PartId valve) {
    return hot.getOrDefault(valve, 1.0);
  }

  double clogging(PartId filter) {
    return clogging.getOrDefault(filter, 1.0);
  }

  double airHead(PartId tank) {
    return water.head(carried.airPressure().getOrDefault(tank, 0.0));
  }
}
