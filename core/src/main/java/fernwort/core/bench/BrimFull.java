package fernwort.core.bench;

import fernwort.core.effort.Effort;
import fernwort.core.effort.EffortExceededException;
import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.road.Drive;
import fernwort.core.run.Event;
import fernwort.core.run.Simulation;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A tank brim-full but for a glass, pumps off and taps closed, left for six hours: as it stands, or
 * after a hose has run it over for two minutes, whichever loses more.
 *
 * @param tank its id
 * @param lost what ran out (m³)
 * @param siphons whether an overflow siphoned
 * @param folds what it holds still where the siphon sucked it in, so that its walls may fold (m³)
 * @param watched how long it was watched (s): one that gurgles on is left after a while
 */
public record BrimFull(
    PartId tank, double lost, boolean siphons, OptionalDouble folds, double watched) {

  /** So long a hose runs a tank over (s); own choice. */
  private static final double RUN_OVER = 120;

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
    return network.tanks().stream().map(tank -> worst(network, shut, tank)).toList();
  }

  private static BrimFull worst(Network network, State shut, Part tank) {
    BrimFull worst = of(network, shut, tank, Optional.empty());
    for (Part inlet : network.rig().parts()) {
      if (inlet.kind().is(Purpose.MAINS)) {
        BrimFull filled = of(network, shut, tank, Optional.of(inlet.id()));
        boolean worse = filled.folds().isPresent() || filled.lost > worst.lost;
        worst = worse && worst.folds().isEmpty() ? filled : worst;
      }
    }
    return worst;
  }

  private static BrimFull of(Network network, State shut, Part tank, Optional<PartId> inlet) {
    double capacity = network.room(tank.id()).capacity();
    Simulation run =
        Simulation.start(network, shut.withVolume(tank.id(), Math.max(0, capacity - GLASS)));
    List<Event> seen = new ArrayList<>();
    inlet.ifPresent(hose -> {
      run.set(hose, HoseInlet.MAINS.id());
      seen.addAll(run.runTo(RUN_OVER));
      run.set(hose, HoseInlet.HOSE.id());
    });
    double before = run.moment().totals().allOut();
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
    double lost = run.moment().totals().allOut() - before;
    boolean siphoned = seen.stream().anyMatch(h -> h.kind() == Event.Kind.SIPHONS);
    boolean sucked =
        seen.stream()
            .anyMatch(h ->
                h.kind() == Event.Kind.SUCKED_IN && h.subject().equals(tank.id()) && h.begins());
    return new BrimFull(
        tank.id(),
        lost,
        siphoned && lost > SPLASH,
        siphoned && sucked
            ? OptionalDouble.of(run.moment().state().volume(tank.id()))
            : OptionalDouble.empty(),
        run.time());
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
