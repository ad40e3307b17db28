package fernwort.core.jobs;

import fernwort.core.network.Levels;
import fernwort.core.network.Plumbing;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.rig.TankPort;

/** Whether a tank stands at its marks: full is where its lowest vent is under water. */
final class Marks {

  private Marks() {}

  /** Tells whether no outlet of a tank is under water. */
  static boolean isDry(Plumbing plumbing, State state, String tank) {
    Part part = plumbing.rig().part(tank);
    Levels levels = Levels.of(plumbing, state);
    return ((Kind.Tank) part.kind())
        .tankPorts().stream()
            .filter(p -> p.use() == TankPort.Use.FEED || p.use() == TankPort.Use.DRAIN)
            .noneMatch(p ->
                levels.volume(tank) > 1e-9
                    && levels.surface(tank) > levels.height(part.port(p.id())) + 1e-6);
  }

  /** Tells whether a tank's lowest vent is under water, or not a drop more fits. */
  static boolean isFull(Plumbing plumbing, State state, String tank) {
    Part part = plumbing.rig().part(tank);
    Levels levels = Levels.of(plumbing, state);
    boolean brim = levels.volume(tank) >= plumbing.room(tank).capacity() - 1e-9;
    return brim
        || ((Kind.Tank) part.kind())
            .tankPorts().stream()
                .filter(p -> p.use() == TankPort.Use.VENT)
                .anyMatch(p -> levels.surface(tank) > levels.height(part.port(p.id())) + 1e-6);
  }
}
