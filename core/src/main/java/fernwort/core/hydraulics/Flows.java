package fernwort.core.hydraulics;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.rig.PortRef;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The steady flow in one state. The maps are its own and not to be changed.
 *
 * @param lines flow in each line under water from its first end to its second, by id (m³/s)
 * @param pressures gauge pressure at each port under water, (Pa)
 * @param fixtures what each open fixture passes, hot and cold together, by id (m³/s)
 * @param ends what leaves at each open end, cap, filler or waste, by part id (m³/s)
 * @param tanks what each tank gains, by id; negative for what it loses (m³/s)
 * @param supplies what each hose inlet or jug gives, by id (m³/s)
 * @param pumps what each running pump does, by id
 * @param airAt ids of parts at which air is drawn into the moving water
 * @param runningFull ids of lines that water alone fills, fast enough to carry air away with it
 * @param spills how tanks fare that were taken to stand level with a port that lets water over, by
 *     id
 * @param air gauge pressure of the air above each tank's water where there is any, by id (Pa)
 */
public record Flows(
    Map<LineId, Double> lines,
    Pressures pressures,
    Map<PartId, Double> fixtures,
    Map<PartId, Double> ends,
    Map<PartId, Double> tanks,
    Map<PartId, Double> supplies,
    Map<PartId, Running> pumps,
    List<PartId> airAt,
    Set<LineId> runningFull,
    Map<PartId, Spill> spills,
    Map<PartId, Double> air) {

  /** Less than this from an open tap is no water (m³/s): a cup in a minute. */
  public static final double TRICKLE = 3e-6;

  /** Nothing flows. */
  public static final Flows NONE =
      new Flows(
          Map.of(),
          Pressures.NONE,
          Map.of(),
          Map.of(),
          Map.of(),
          Map.of(),
          Map.of(),
          List.of(),
          Set.of(),
          Map.of(),
          Map.of());

  /**
   * A pump at work.
   *
   * @param does how it fares
   * @param flow what it passes on average (m³/s)
   * @param rise pressure it adds (Pa)
   * @param running share of the time that it runs, 0 to 1
   */
  public record Running(Does does, double flow, double rise, double running) {}

  /** How a tank fares that was taken to stand level with a port that lets its water over. */
  public enum Spill {
    /** As much runs over as comes in. */
    HOLDS,
    /** More comes in than runs over. */
    RISES,
    /** Nothing runs over: as much leaves elsewhere. */
    FALLS
  }

  /** How a pump fares that is switched on. */
  public enum Does {
    /** It runs all the time. */
    RUNS,
    /** Its switch stops it at cut-out and starts it at cut-in, over and over. */
    CYCLES,
    /** Nothing is drawn, and its switch, or the pressure behind it, keeps it still. */
    RESTS,
    /** No water reaches it, or not all that it could take. */
    DRAWS_AIR
  }

  /** Returns the flow in a line from its first end to its second (m³/s); 0 in a dry one. */
  public double line(LineId id) {
    return lines.getOrDefault(id, 0.0);
  }

  /** Returns what a fixture passes (m³/s). */
  public double fixture(PartId id) {
    return fixtures.getOrDefault(id, 0.0);
  }

  /** Returns what leaves at an end (m³/s). */
  public double end(PartId id) {
    return ends.getOrDefault(id, 0.0);
  }

  /** Returns what a tank gains (m³/s). */
  public double tank(PartId id) {
    return tanks.getOrDefault(id, 0.0);
  }

  /** Returns the gauge pressure at a port (Pa), where water stands. */
  public Optional<Double> pressure(PartId part, PortId port) {
    return pressures.at(new PortRef(part, port));
  }
}
