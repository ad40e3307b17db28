package fernwort.core.winter;

import fernwort.core.drain.Draining;
import fernwort.core.drain.EverythingOpen;
import fernwort.core.drain.Wintering;
import fernwort.core.glycol.FreezingPoint;
import fernwort.core.id.ElementId;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.winter.sheets.Operation;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Which one more thing to do would get more water out: what is turned, taken off or leaned is tried
 * by draining the rig with it.
 */
public final class Helping {

  private static final double TWENTIETH = 0.05;

  /** Glycol protects less again above this share. */
  private static final double STRONGEST = 0.6;

  /** What lets out less is not worth a hand (m³). */
  private static final double WORTHWHILE = 2e-6;

  private Helping() {}

  /**
   * Returns for each line and part that keeps water what would get most of it out: one turn, else
   * another slope, else a burst of air, or a cup of antifreeze in a trap.
   *
   * @param cold what it shall stand (K)
   */
  public static Map<ElementId, Operation> acts(Network network, Wintering now, double cold) {
    Best best = new Best(network, now);
    Levels levels = Levels.of(network, now.state());
    for (Turn turn : EverythingOpen.candidates(network, now)) {
      best.take(
          new Operation.Put(turn.part(), turn.position()),
          EverythingOpen.after(network, now, levels, turn));
    }
    Map<ElementId, Operation> acts = new HashMap<>(best.acts);
    Best leaning = new Best(network, now);
    for (Slope slope : DrainingPoints.slopes(network.rig().vehicle())) {
      leaning.take(
          new Operation.Tilt(slope.pitch(), slope.roll()), Draining.of(network, now.on(slope)));
    }
    leaning.acts.forEach(acts::putIfAbsent);
    for (Part part : network.rig().parts()) {
      if (now.wetness().body(part.id()) > WORTHWHILE) {
        byHand(part, cold).ifPresent(act -> acts.putIfAbsent(part.id(), act));
      }
    }
    for (Line line : network.rig().lines()) {
      if (now.wetness().volume(line) > WORTHWHILE) {
        acts.putIfAbsent(line.id(), new Operation.Blown(List.of(line.id()), List.of()));
      }
    }
    return acts;
  }

  /** What gets the water out of a body that neither a turn nor a slope empties. */
  private static Optional<Operation> byHand(Part part, double cold) {
    Kind kind = part.kind();
    if (kind.is(Purpose.TRAPS)) {
      return Optional.of(new Operation.Filled(Map.of(part.id(), strength(cold))));
    }
    // What only joins lines is cleared with them.
    return kind.blowsClear() && kind.frost() != Frost.AS_ITS_LINE
        ? Optional.of(new Operation.Blown(List.of(), List.of(part.id())))
        : Optional.empty();
  }

  /** The least share of glycol, in steps of a twentieth, that stands a cold (K). */
  private static double strength(double cold) {
    double strength = TWENTIETH;
    while (strength < STRONGEST && !FreezingPoint.stands(strength, cold)) {
      strength += TWENTIETH;
    }
    return strength;
  }

  /** The act that lets most out of each line and part. */
  private static final class Best {

    private final Network network;
    private final Wintering now;
    private final Map<ElementId, Operation> acts = new HashMap<>();
    private final Map<ElementId, Double> most = new HashMap<>();

    private Best(Network network, Wintering now) {
      this.network = network;
      this.now = now;
    }

    private void take(Operation act, Wintering after) {
      for (Line line : network.rig().lines()) {
        keep(line.id(), now.wetness().volume(line) - after.wetness().volume(line), act);
      }
      for (Part part : network.rig().parts()) {
        double less =
            now.wetness().body(part.id())
                - after.wetness().body(part.id())
                + now.state().volume(part.id())
                - after.state().volume(part.id());
        keep(part.id(), less, act);
      }
    }

    private void keep(ElementId id, double less, Operation act) {
      if (less > most.getOrDefault(id, WORTHWHILE)) {
        most.put(id, less);
        acts.put(id, act);
      }
    }
  }
}
