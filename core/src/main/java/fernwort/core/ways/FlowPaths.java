package fernwort.core.ways;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Everything that is open in one state. Its map and its sets do not change.
 *
 * @param ways every way that water can move
 * @param air each tank's way for air
 * @param pumps what each running pump does
 * @param moving lines in which water moves, true when from the line's first end to its second
 * @param pressed ids of parts that mains or a pump keeps under pressure
 * @param wetted ids of parts that water from some source stands in or passes
 * @param dead ids of parts through which nothing moves, neither water nor a tank's air
 */
public record FlowPaths(
    List<FlowPath> ways,
    List<TankAir> air,
    List<PumpWork> pumps,
    Map<LineId, Boolean> moving,
    Set<PartId> pressed,
    Set<PartId> wetted,
    Set<PartId> dead) {

  public FlowPaths {
    ways = List.copyOf(ways);
    air = List.copyOf(air);
    pumps = List.copyOf(pumps);
  }

  /** Returns the ways that end in this part. */
  public Stream<FlowPath> to(PartId part) {
    return ways.stream().filter(w -> w.end().part().equals(part));
  }

  /** Returns the ways that start from this part. */
  public Stream<FlowPath> from(PartId part) {
    return ways.stream().filter(w -> w.source().part().equals(part));
  }

  /** Returns how air gets in and out of a tank. */
  public Optional<TankAir> airOf(PartId tank) {
    return air.stream().filter(a -> a.tank().equals(tank)).findFirst();
  }
}
