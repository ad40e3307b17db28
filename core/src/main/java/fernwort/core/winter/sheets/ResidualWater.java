package fernwort.core.winter.sheets;

import fernwort.core.drain.Draining;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wetness;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/**
 * Water that stays in a rig that has run out by gravity alone, its handles as they are left.
 *
 * @param id id of the tank, line or part that keeps it
 * @param kind what keeps it
 * @param volume how much (m³)
 */
public record ResidualWater(ElementId id, Kind kind, double volume) {

  /** What can keep water. */
  public enum Kind {
    TANK,
    LINE,
    BODY
  }

  /** Less than this is nothing worth a word (m³). */
  private static final double WORTHWHILE = 1e-6;

  /**
   * Returns what stays, the most first.
   *
   * @param network the prepared rig
   * @param state how it is left
   * @param tanks ids of the tanks that were to be emptied
   * @param lines whether the lines were, too
   */
  public static List<ResidualWater> of(
      Network network, State state, Set<PartId> tanks, boolean lines) {
    List<ResidualWater> left = new ArrayList<>();
    for (Part tank : network.tanks()) {
      if (tanks.contains(tank.id())) {
        add(left, tank.id(), ResidualWater.Kind.TANK, state.volume(tank.id()));
      }
    }
    if (lines) {
      Wetness wet = Draining.of(network, Filled.of(network, state)).wetness();
      for (Line line : network.rig().lines()) {
        add(left, line.id(), ResidualWater.Kind.LINE, wet.volume(line));
      }
      for (Part part : network.rig().parts()) {
        add(left, part.id(), ResidualWater.Kind.BODY, wet.body(part.id()));
      }
    }
    left.sort(Comparator.comparingDouble(ResidualWater::volume).reversed());
    return left;
  }

  private static void add(
      List<ResidualWater> left, ElementId id, ResidualWater.Kind kind, double volume) {
    if (volume > WORTHWHILE) {
      left.add(new ResidualWater(id, kind, volume));
    }
  }
}
