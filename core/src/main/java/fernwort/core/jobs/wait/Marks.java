package fernwort.core.jobs.wait;

import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;

/** Whether a tank stands at its marks: full is where its lowest vent is under water. */
public final class Marks {

  private Marks() {}

  /** Tells whether no outlet of a tank is under water. */
  static boolean isDry(Network network, State state, PartId tank) {
    Part part = network.rig().part(tank);
    Levels levels = Levels.of(network, state);
    return ((Tank) part.kind())
        .tankPorts().stream()
            .filter(p -> p.use() == TankPort.Use.FEED || p.use() == TankPort.Use.DRAIN)
            .noneMatch(p -> levels.isCovered(part.port(p.id())));
  }

  /** A volume this near to a mark is at it (m³). */
  static final double AT = 1e-5;

  /** Tells whether what is filled has come to its mark. */
  public static boolean isReached(Network network, State state, Job job, Job.Until until) {
    return switch (until.what()) {
      case FULL -> isFull(network, state, until.part());
      case POURED_FULL ->
          job.tanks(network.rig()).stream().allMatch(t -> isFull(network, state, t));
      case FIRST_FULL -> job.tanks(network.rig()).stream().anyMatch(t -> isFull(network, state, t));
      case MARK, RUNS_OVER -> state.volume(until.part()) > until.mark() - AT;
      case LEVEL,
          DRY,
          HOT,
          POURED_OUT,
          PRESSURE,
          SLACK,
          RUNS,
          RUNS_HOT,
          HOSE_IN,
          HOSE_OUT,
          CARRIED_OUT,
          LET_OUT,
          PRIMED ->
          false;
    };
  }

  /** Tells whether a tank's lowest vent is under water, or not a drop more fits. */
  static boolean isFull(Network network, State state, PartId tank) {
    Part part = network.rig().part(tank);
    Levels levels = Levels.of(network, state);
    return levels.isBrimFull(tank)
        || ((Tank) part.kind())
            .tankPorts().stream()
                .filter(p -> p.use() == TankPort.Use.VENT)
                .anyMatch(p -> levels.isCovered(part.port(p.id())));
  }
}
