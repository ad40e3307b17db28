package fernwort.core.bench;

import fernwort.core.effort.Effort;
import fernwort.core.effort.EffortExceededException;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.road.Drive;
import fernwort.core.run.Event;
import fernwort.core.run.Simulation;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;

/**
 * A tank brim-full but for a glass, pumps off and taps closed, left for six hours.
 *
 * @param tank its id
 * @param lost what ran out (m³)
 * @param siphons whether an overflow siphoned
 * @param watched how long it was watched (s): one that gurgles on is left after a while
 */
public record BrimFull(PartId tank, double lost, boolean siphons, double watched) {

  private static final double HOURS = 6 * 3600;

  /** What is left free at first (m³). */
  private static final double GLASS = 2e-4;

  /** A siphon draws more than a splash (m³). */
  private static final double SPLASH = 1e-4;

  /** Less than this is nothing (m³). */
  private static final double NOTHING = 1e-5;

  /** How long the computing may watch one tank gurgle. */
  private static final Duration GURGLING = Duration.ofMillis(250);

  /** Watches every tank of a rig, one after the other, from how the rig stands. */
  public static List<BrimFull> of(Network network, State now) {
    State shut = Drive.shutDown(network.rig(), now);
    return network.tanks().stream().map(tank -> of(network, shut, tank)).toList();
  }

  private static BrimFull of(Network network, State shut, Part tank) {
    double capacity = network.room(tank.id()).capacity();
    Simulation run =
        Simulation.start(network, shut.withVolume(tank.id(), Math.max(0, capacity - GLASS)));
    List<Event> seen = new ArrayList<>();
    try {
      Effort.of(GURGLING)
          .on(() -> {
            while (run.time() < HOURS) {
              seen.addAll(run.runToNext(HOURS));
            }
            return seen;
          });
    } catch (EffortExceededException e) {
      // What was seen until then stands, and how long that was.
    }
    double lost = run.moment().totals().allOut();
    boolean siphons = lost > SPLASH && seen.stream().anyMatch(h -> h.kind() == Event.Kind.SIPHONS);
    return new BrimFull(tank.id(), lost, siphons, run.time());
  }

  /** Tells whether nothing ran out. */
  public boolean losesNothing() {
    return lost < NOTHING;
  }

  /** Tells whether it was watched for all of the six hours. */
  public boolean isToTheEnd() {
    return watched >= HOURS;
  }
}
