package fernwort.core.hydraulics;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.network.End;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.Source;
import fernwort.core.ways.TankAir;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a run has to know of what is open besides the flow: where the waste of each fixture in use
 * goes, and how each tank gets its air.
 *
 * @param wastes where waste ends, by the fixture's id
 * @param air each tank's way for air
 * @param vents lines that each tank's air passes, by tank id
 */
public record Surroundings(
    Map<PartId, End> wastes, List<TankAir> air, Map<PartId, List<LineId>> vents) {

  static Surroundings of(FlowPaths ways) {
    Map<PartId, End> wastes = new HashMap<>();
    for (FlowPath way : ways.ways()) {
      if (way.source().kind() == Source.Kind.WASTE) {
        wastes.putIfAbsent(way.source().part(), way.end());
      }
    }
    return new Surroundings(wastes, ways.air(), Vents.lines(ways.air()));
  }

  /** Returns how air gets in and out of a tank. */
  public Optional<TankAir> airOf(PartId tank) {
    return air.stream().filter(a -> a.tank().equals(tank)).findFirst();
  }
}
